import { readdirSync, readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vitest/config'
import { BaseSequencer, type TestSpecification } from 'vitest/node'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
// A string keeps esbuild from looking for .nuxt/tsconfig, which is not there before `nuxt prepare`.
const esbuild = { tsconfigRaw: '{}' }
// Properties run many plans; machines share their cores.
const testTimeout = 300_000
// Properties are tried with one seed.
const seed = here('./tests/any/seed.ts')
// What a test of the interface leaves behind.
const mounted = here('./tests/any/mounted.ts')
const testsIn = (folder: string): string[] =>
  readdirSync(here(folder), { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('.test.ts'))
    .map((path) => `${folder}/${path.replaceAll('\\', '/')}`)
/** Tests of a folder that put a module of their own in place of another: they cannot share what others have imported. */
const replacing = (folder: string): string[] =>
  testsIn(folder).filter((path) => /\bvi\.(do)?[mM]ock\(/.test(readFileSync(here(path), 'utf8')))
/** What takes longest begins first, so that no core is left alone with it at the end; then one project after another. */
const LONGEST = [
  'core/plan/orderOnCake.test.ts',
  'core/plan/rightWay.test.ts',
  'core/cut/nest/nest.test.ts',
  'core/schedule/timetable.test.ts',
  'core/commission/startingPoints.test.ts',
]
class LongestFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const place = ({ moduleId }: TestSpecification): number => {
      const at = LONGEST.findIndex((path) => moduleId.endsWith(path))
      return at === -1 ? LONGEST.length : at
    }
    const usual = await super.sort(files)
    return usual.sort((one, other) => place(one) - place(other) || other.project.name.localeCompare(one.project.name))
  }
}
const alias = { '#core': here('./core'), '~': here('./app') }

/** Tests of a folder that look at the demo through a studio of their own. */
const withDemo = (folder: string): string[] =>
  testsIn(folder).filter((path) => readFileSync(here(path), 'utf8').includes('/tests/any/demoStudio'))

/** Has every module of a test import one file in place of another. */
const standsIn = (other: string, file: string): Plugin => ({
  name: 'stands-in',
  enforce: 'pre',
  async resolveId(source, importer, options) {
    const found = await this.resolve(source, importer, { ...options, skipSelf: true })
    return found?.id === here(file) ? here(other) : null
  },
})

/** What every test of the interface has. */
const interfaces = {
  esbuild,
  resolve: { alias },
  plugins: [vue()],
  test: { testTimeout, environment: 'happy-dom', setupFiles: ['fake-indexeddb/auto', seed, mounted] },
}

export default defineConfig({
  test: {
    // Every core: nobody else waits for them.
    maxWorkers: '100%',
    sequence: { sequencer: LongestFirst },
    // Files share what they import, which is most of a small test's time.
    projects: [
      {
        esbuild,
        resolve: { alias },
        test: {
          name: 'core',
          isolate: false,
          testTimeout,
          environment: 'node',
          setupFiles: [seed],
          include: ['core/**/*.test.ts', 'campaign/**/*.test.ts'],
          exclude: replacing('core'),
          benchmark: { include: ['bench/**/*.bench.ts'] },
        },
      },
      {
        esbuild,
        resolve: { alias },
        test: {
          name: 'core, replacing',
          testTimeout,
          environment: 'node',
          setupFiles: [seed],
          include: replacing('core'),
        },
      },
      {
        esbuild,
        resolve: { alias },
        test: {
          name: 'server',
          testTimeout,
          environment: 'node',
          setupFiles: [seed],
          include: ['server/**/*.test.ts'],
        },
      },
      {
        ...interfaces,
        test: {
          ...interfaces.test,
          name: 'app',
          isolate: false,
          include: ['app/**/*.test.ts'],
          exclude: [...replacing('app'), ...withDemo('app')],
        },
      },
      {
        ...interfaces,
        plugins: [
          ...interfaces.plugins,
          standsIn('./tests/any/demoStudio.ts', './app/stores/studio.ts'),
          // Files are read without a worker, where there are none.
          standsIn('./tests/any/readAtOnce.ts', './app/files/reading.ts'),
        ],
        test: { ...interfaces.test, name: 'app, on the demo', isolate: false, include: withDemo('app') },
      },
      {
        ...interfaces,
        test: { ...interfaces.test, name: 'app, replacing', include: replacing('app') },
      },
    ],
  },
})
