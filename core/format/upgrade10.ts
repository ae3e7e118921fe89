/**
 * What version 10 asks besides version 9: whether a tier stands on the one below it or loose on the board, how many faces
 * of a box are panelled.
 */
import { filled, isRecord, type Loose } from './looseRecords'

const isTier = (own: Loose): boolean => 'taperDeg' in own && 'builtOfTwo' in own

/** Panels had a tick for the top. */
function panelled(own: Loose): Loose {
  if (!('top' in own && 'perCorner' in own)) return own
  const { top, ...others } = own
  return { faces: top ? 'five' : 'sides', ...others }
}

/** Anything of version 9, or of what an edit of it changed. */
export const from9 = (value: unknown): unknown =>
  filled(
    value,
    (own) => (isTier(own) ? { stands: 'stacked' } : {}),
    (own) => (isRecord(own.parameters) ? { parameters: panelled(own.parameters) } : {}),
  )
