/**
 * What version 11 asks besides version 10: in which currency prices are, those of before were guessed in euro; pictures of
 * how a step came out.
 */
import { filled } from './looseRecords'

/** Anything of version 10, or of what an edit of it changed. */
export const from10 = (value: unknown): unknown =>
  filled(value, (own) => ({
    ...('discEach' in own && 'hour' in own && { currency: 'EUR' }),
    ...('wentIn' in own && 'cameOut' in own && { stepPhotos: [] }),
  }))
