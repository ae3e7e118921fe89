// One process of the campaign: tries every so many inputs and tells of each.
import { loadModule } from './core.mjs'

const [from, to, step] = process.argv.slice(2).map(Number)
const { tryInputs } = await loadModule('campaign/inputs.ts')
await tryInputs(from, to, step, (line) => process.send(line))
process.disconnect()
