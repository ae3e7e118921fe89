import { parseMoment, type Moment } from '#core/quantity'
import type { Listed } from '~/database/keeping'

/** A commission on the shelf, and when its event is. */
export type OnShelf = Listed & { readonly event: Moment }

const eventOf = ({ eventAt }: Listed): Moment => {
  const moment = parseMoment(eventAt)
  return moment.ok ? moment.value : 0
}

/**
 * Those that stand on the shelf, or in the archive, whose names hold what is sought: what is to come first, the soonest
 * on top; what is past below, the latest on top.
 */
export function onShelf(
  listed: readonly Listed[],
  { archived, sought, now }: { readonly archived: boolean; readonly sought: string; readonly now: Moment },
): readonly OnShelf[] {
  const words = sought.trim().toLowerCase()
  const isPast = ({ event }: OnShelf): boolean => event < now
  return listed
    .filter((each) => each.archived === archived && each.name.toLowerCase().includes(words))
    .map((each) => ({ ...each, event: eventOf(each) }))
    .sort((one, other) => {
      if (isPast(one) !== isPast(other)) return Number(isPast(one)) - Number(isPast(other))
      return isPast(one) ? other.event - one.event : one.event - other.event
    })
}
