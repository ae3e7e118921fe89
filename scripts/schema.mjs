// Writes the published JSON Schema of the commission file.
import { writeFileSync } from 'node:fs'
import { loadModule } from './core.mjs'
import { root } from './setup.mjs'

const { commissionFileJsonSchema } = await loadModule('core/format/published.ts')
writeFileSync(
  `${root}/public/lamellon-commission-6.schema.json`,
  `${JSON.stringify(commissionFileJsonSchema(), null, 2)}\n`,
)
