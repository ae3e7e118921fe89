import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'
import { BaseSequencer, type TestSpecification } from 'vitest/node'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
// A string keeps esbuild from looking for .nuxt/tsconfig, which is not there before `nuxt prepare`.
const esbuild = { tsconfigRaw: '{}' }
// Properties run many plans; machines share their cores.
const testTimeout = 300_000
// Properties are tried with one seed.
const seed = here('./tests/any/seed.ts')
// Puts a module of its own in place of another, and so cannot share what others have imported.
const replacing = 'core/plan/newTechnique.test.ts'
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

export default defineConfig({
  test: {
    // Every core: nobody else waits for them.
    maxWorkers: '100%',
    sequence: { sequencer: LongestFirst },
    projects: [
      {
        esbuild,
        resolve: { alias },
        test: {
          name: 'core',
          // Pure code: files share what they import, which is most of a small test's time.
          isolate: false,
          testTimeout,
          environment: 'node',
          setupFiles: [seed],
          include: ['core/**/*.test.ts', 'campaign/**/*.test.ts'],
          exclude: [replacing],
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
          include: [replacing],
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
        esbuild,
        resolve: { alias },
        plugins: [vue()],
        test: {
          name: 'app',
          testTimeout,
          environment: 'happy-dom',
          include: ['app/**/*.test.ts'],
          setupFiles: ['fake-indexeddb/auto', seed],
        },
      },
    ],
  },
})
