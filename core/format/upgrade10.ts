/** What version 10 asks besides version 9: whether a tier stands on the one below it or loose on the board. */
import { filled, type Loose } from './looseRecords'

const isTier = (own: Loose): boolean => 'taperDeg' in own && 'builtOfTwo' in own

/** Anything of version 9, or of what an edit of it changed. */
export const from9 = (value: unknown): unknown => filled(value, (own) => (isTier(own) ? { stands: 'stacked' } : {}))
