import { z } from 'zod'
import { commissionFileSchema } from './commissionFile'

/** The published JSON Schema of the commission file. Apart from the rest, so that no page carries what writes it. */
export const commissionFileJsonSchema = (): object =>
  z.toJSONSchema(commissionFileSchema, { target: 'draft-2020-12', reused: 'ref' })
