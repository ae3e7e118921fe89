// How good and how fast it is: nesting beside boxes and strips by hand, the plan and the drawing in Node, an edit and
// the first load in Chromium. Prints figures.
// npm run bench -- nest [NAME] [SECONDS] runs nesting alone, only jobs of that name, for at most so long.
import { spawnSync } from 'node:child_process'
import {
  bin,
  bundleOf,
  checkNode,
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  findChromium,
  hasSecondCore,
  root,
} from './setup.mjs'

checkNode()
ensureInstalled()
const [only, name = '', seconds = '30'] = process.argv.slice(2)
const { path } = await bundleOf('bench/nest/nestBench.ts')
const { nestBench } = await import(path)
const thread = hasSecondCore() ? (await bundleOf('scripts/nestThread.ts')).path : null
await nestBench(process.stdout, name, Number(seconds), thread)
const memory = await bundleOf('bench/nest/memory.ts')
const script =
  `const { nestMemory } = await import(${JSON.stringify(memory.path)}); console.log('heap after ` +
  `every ten of 100 searches, MB: ' + nestMemory(globalThis.gc).map((used) => used.toFixed(1)).join(' '))`
spawnSync(process.execPath, ['--expose-gc', '--input-type=module', '-e', script], { cwd: root, stdio: 'inherit' })
if (only === 'nest') process.exit(0)

ensureBuilt()
ensureChromium()
const run = (command, args, env = {}) =>
  spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1
const inNode = run(bin('vitest'), ['bench', '--run', '--project', 'core'])
const inBrowser = run(bin('playwright'), ['test', '--workers=1'], {
  LAMELLON_BENCH: 'yes',
  CHROMIUM_PATH: findChromium(),
})
process.exit(inNode || inBrowser)
