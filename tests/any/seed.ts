/**
 * One seed for all properties, so that the same code passes or fails alike everywhere. `LAMELLON_SEED=7 npm run unit`
 * looks at other cases.
 */
import fc from 'fast-check'

const USUAL_SEED = 2026
const asked = Number(process.env.LAMELLON_SEED ?? USUAL_SEED)
if (!Number.isInteger(asked)) throw new Error(`LAMELLON_SEED is a whole number, not “${process.env.LAMELLON_SEED}”.`)
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: asked })
