import { z } from 'zod'
import { momentSchema } from '../quantity'

/** What every trial says: when and in which room it was made, and whether it is left out of what is learned. */
export const trialFields = {
  id: z.string().min(1).max(60),
  at: momentSchema,
  room: z.string().min(1).max(40),
  odd: z.boolean(),
}
