// Derives the plan of a commission file without a browser: npm run plan -- FILE.lamellon.json [--json] [--now
// 2026-12-01T09:00]
import { checkNode, ensureInstalled } from './setup.mjs'

checkNode()
ensureInstalled()
const { loadModule } = await import('./core.mjs')
const { planCommand } = await loadModule('scripts/planCommand.ts')
process.exitCode = await planCommand(process.argv.slice(2), process.stdout, process.stderr)
