// Derives the plan of a commission file without a browser: npm run plan -- FILE.lamellon.json [--json] [--now
// 2026-12-01T09:00]
import { bundleOf, checkNode, ensureInstalled } from './setup.mjs'

checkNode()
ensureInstalled()
const { path } = await bundleOf('scripts/planCommand.ts')
const { planCommand } = await import(path)
process.exitCode = await planCommand(process.argv.slice(2), process.stdout, process.stderr)
