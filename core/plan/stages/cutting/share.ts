/** What cutting the pieces of one decoration takes of the sheets that it shares. */
import type { CutShare } from '../../../decoration'
import { derive, found, sumOf, type Working } from '../../../quantity'
import type { CutGroup } from './group'

type Shared = Pick<CutGroup, 'parts' | 'minutes' | 'sheets'>

const piecesIn = (parts: CutGroup['parts']): number => parts.reduce((sum, { quantity }) => sum + quantity, 0)

/** Minutes and sheets of a decoration: of each group by its pieces among all of it. Null where none are cut. */
export function cutShareOf(groups: readonly Shared[], decoration: string): CutShare | null {
  const shares = groups.flatMap(({ parts, minutes, sheets }) => {
    const own = piecesIn(parts.filter((part) => part.decoration === decoration))
    return own > 0 ? [{ own, all: piecesIn(parts), minutes, sheets }] : []
  })
  if (shares.length === 0) return null
  const of = (key: 'minutes' | 'sheets', label: string): Working =>
    sumOf(
      label,
      key === 'minutes' ? 'duration' : 'count',
      'what is cut together, added up',
      shares.map((share) => shareIn(share[key], share.own, share.all)),
    )
  return { minutes: of('minutes', 'cutting'), sheets: of('sheets', 'sheets') }
}

/** What of a whole falls to a decoration by its pieces among all that share it. */
export const shareIn = (whole: Working, own: number, all: number): Working =>
  own === all
    ? whole
    : derive(
        whole.label,
        whole.kind,
        'its pieces among those it shares sheets with',
        '{whole} × {own} ÷ {all}',
        {
          whole,
          own: found('its pieces', own, 'count', 'counted'),
          all: found('pieces in all', all, 'count', 'counted'),
        },
        (v) => v.whole * (v.own / v.all),
      )

/** Minutes to cut one piece of a decoration, for what is cut again. */
export function cutEachOf(share: CutShare | null, pieces: Working): Working {
  return share && pieces.value > 0
    ? derive(
        'to cut one',
        'duration',
        'cutting shared by pieces',
        '{cutting} ÷ {pieces}',
        { cutting: share.minutes, pieces },
        (v) => v.cutting / v.pieces,
      )
    : found('to cut one', 0, 'duration', 'nothing is cut')
}
