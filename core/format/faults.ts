import type { z } from 'zod'
import { commissionSchema } from '../commission'
import { workshopSchema } from '../workshop'

const sentences = (read: z.ZodSafeParseResult<unknown>): readonly string[] =>
  read.success ? [] : read.error.issues.map(({ path, message }) => `${path.map(String).join(' → ')}: ${message}`)

/** What of a commission and of a workshop does not hold together: a sentence for each field, none where all does. */
export const faultsOf = (
  commission: unknown,
  workshop: unknown,
): { readonly commission: readonly string[]; readonly workshop: readonly string[] } => ({
  commission: sentences(commissionSchema.safeParse(commission)),
  workshop: sentences(workshopSchema.safeParse(workshop)),
})
