/** What version 12 asks besides version 11: in which units the venue measures. */
import { filled } from './looseRecords'

/** Anything of version 11, or of what an edit of it changed. */
export const from11 = (value: unknown): unknown =>
  filled(value, (own) => ('venueOpensMin' in own && 'completion' in own ? { venueUnits: null } : {}))
