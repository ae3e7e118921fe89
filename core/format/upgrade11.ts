/** What version 11 asks besides version 10: in which currency prices are. Those of before were guessed in euro. */
import { filled } from './looseRecords'

/** Anything of version 10, or of what an edit of it changed. */
export const from10 = (value: unknown): unknown =>
  filled(value, (own) => ('discEach' in own && 'hour' in own ? { currency: 'EUR' } : {}))
