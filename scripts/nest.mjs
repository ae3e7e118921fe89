// Lays out a nesting job without a browser: npm run nest -- JOB.json --seconds S --out LAYOUT.json [--seed N]
// [--iterations N]
import { bundleOf, checkNode, ensureInstalled, hasSecondCore } from './setup.mjs'

checkNode()
ensureInstalled()
const { path, isNew } = await bundleOf('scripts/nestCommand.ts')
const thread = hasSecondCore() ? await bundleOf('scripts/nestThread.ts') : null
/** What npm itself takes before this script begins, about; whoever waits, waits for that too. */
const NPM_MS = process.env.npm_lifecycle_event ? 250 : 0
// Time is counted from the start of this process, unless the engine had to be put together first.
const begunMs = isNew || thread?.isNew ? performance.now() : -NPM_MS
const { nestCommand } = await import(path)
process.exitCode = await nestCommand(
  process.argv.slice(2),
  process.stdout,
  process.stderr,
  () => performance.now() - begunMs,
  thread?.path ?? null,
)
