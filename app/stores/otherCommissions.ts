/** What other commissions of these weeks take of the studio: hands, and what lies on the shelf. */
import type { Commission } from '#core/commission'
import { MINUTES_PER_DAY, parseMoment } from '#core/quantity'
import type { Stretch } from '#core/schedule'
import type { Listed } from '~/database/keeping'
import type { Taken } from '~/workers/plan'

/** Commissions whose events are so near share hands. */
const WEEKS_SHARED = 6

/** A stretch of time that another commission takes, and which. */
type OtherHours = Stretch & { readonly name: string }

export type TakenByOthers = {
  readonly hours: readonly OtherHours[]
  /** How much of each item is kept by those whose events are before. */
  readonly kept: ReadonlyMap<string, number>
  /** Names of those that could not be worked out. */
  readonly unworkable: readonly string[]
}

/** Nobody else takes anything. */
export const NONE_TAKEN: TakenByOthers = { hours: [], kept: new Map(), unworkable: [] }

/** Those whose events are so near that they share the studio with a commission. */
function nearTo({ id, brief }: Commission, listed: readonly Listed[]): readonly Listed[] {
  const own = parseMoment(brief.eventAt)
  return listed.filter((each) => {
    const at = parseMoment(each.eventAt)
    if (each.id === id || each.archived || !at.ok || !own.ok) return false
    return Math.abs(at.value - own.value) < WEEKS_SHARED * 7 * MINUTES_PER_DAY
  })
}

/**
 * Hours that others take, as they are planned now, and what those before this one keep of the stock.
 * @param peek a commission by its id
 * @param taken what a commission takes
 */
export async function takenByOthers(
  commission: Commission,
  listed: readonly Listed[],
  peek: (id: string) => Promise<Commission | null>,
  taken: (commission: Commission) => Promise<Taken>,
): Promise<TakenByOthers> {
  const { id, brief } = commission
  const found = await Promise.all(
    nearTo(commission, listed).map(async (each) => {
      const other = await peek(each.id)
      if (!other || other.bench.handedOver) return { hours: [], needs: [] }
      // One that cannot be worked out must not keep this one from opening.
      const found = await taken(other).catch(() => null)
      if (!found) return { hours: [], needs: [], unworkable: each.name }
      const { hours, needs } = found
      const isBefore = each.eventAt < brief.eventAt || (each.eventAt === brief.eventAt && each.id < id)
      return {
        hours: hours.map((stretch): OtherHours => ({ ...stretch, name: each.name })),
        needs: isBefore ? needs : [],
      }
    }),
  )
  const kept = new Map<string, number>()
  for (const [item, amount] of found.flatMap(({ needs }) => needs)) kept.set(item, (kept.get(item) ?? 0) + amount)
  return {
    hours: found.flatMap(({ hours }) => hours),
    kept,
    unworkable: found.flatMap(({ unworkable }) => unworkable ?? []),
  }
}
