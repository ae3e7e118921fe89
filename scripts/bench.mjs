// How fast it is: the plan and the drawing in Node, an edit and the first load in Chromium. Prints figures; checks nothing.
import { spawnSync } from 'node:child_process'
import { bin, checkNode, ensureBuilt, ensureChromium, ensureInstalled, findChromium, root } from './setup.mjs'

checkNode()
ensureInstalled()
ensureBuilt()
ensureChromium()
const run = (command, args, env = {}) => spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } }).status ?? 1
const inNode = run(bin('vitest'), ['bench', '--run', '--project', 'core'])
const inBrowser = run(bin('playwright'), ['test', '--workers=1'], { LAMELLON_BENCH: 'yes', CHROMIUM_PATH: findChromium() })
process.exit(inNode || inBrowser)
