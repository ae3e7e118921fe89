// Prints the demo commission as a file, for the hour given or now: npm run --silent demo-file -- 2026-11-24T09:00 >
// demo.lamellon.json
import { loadModule } from './core.mjs'

const [{ demoCommission, demoWorkshop }, { writeCommissionFile }, { parseMoment, valueOf }] = await Promise.all([
  loadModule('core/demo/index.ts'),
  loadModule('core/format/index.ts'),
  loadModule('core/quantity/index.ts'),
])
const now = valueOf(parseMoment(process.argv[2] ?? new Date().toISOString().slice(0, 16)))
process.stdout.write(writeCommissionFile({ commission: demoCommission(now), workshop: demoWorkshop() }))
