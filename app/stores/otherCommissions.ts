/** What other commissions of these weeks take of the studio: hands, and what lies on the shelf. */
import { ref, shallowRef } from 'vue'
import type { Commission } from '#core/commission'
import { MINUTES_PER_DAY, parseMoment } from '#core/quantity'
import type { Stretch } from '#core/schedule'
import type { Workshop } from '#core/workshop'
import type { Listed } from '~/database/keeping'
import type { Taken } from '~/workers/plan'

/** Commissions whose events are so near share hands. */
const WEEKS_SHARED = 6

/** A stretch of time that another commission takes, and which. */
type OtherHours = Stretch & { readonly name: string }

type TakenByOthers = {
  readonly hours: readonly OtherHours[]
  /** How much of each item is kept by those whose events are before. */
  readonly kept: ReadonlyMap<string, number>
  /** Names of those that could not be worked out. */
  readonly unworkable: readonly string[]
}

/** Nobody else takes anything. */
const NONE_TAKEN: TakenByOthers = { hours: [], kept: new Map(), unworkable: [] }

/** Those whose events are so near that they share the studio with a commission. */
function nearTo({ id, brief }: Commission, listed: readonly Listed[]): readonly Listed[] {
  const own = parseMoment(brief.eventAt)
  return listed.filter((each) => {
    const at = parseMoment(each.eventAt)
    if (each.id === id || each.archived || !at.ok || !own.ok) return false
    return Math.abs(at.value - own.value) < WEEKS_SHARED * 7 * MINUTES_PER_DAY
  })
}

/** What one of the others takes; of one that could not be worked out nothing is known. */
type OfOne = { readonly each: Listed; readonly taken: Taken | 'unworkable' }

/** All that others take together. @param commission the one they are others to */
function together({ id, brief }: Commission, others: readonly OfOne[]): TakenByOthers {
  const isBefore = (each: Listed): boolean =>
    each.eventAt < brief.eventAt || (each.eventAt === brief.eventAt && each.id < id)
  const kept = new Map<string, number>()
  const hours: OtherHours[] = []
  const unworkable: string[] = []
  for (const { each, taken } of others) {
    if (taken === 'unworkable') {
      unworkable.push(each.name)
      continue
    }
    hours.push(...taken.hours.map((stretch) => ({ ...stretch, name: each.name })))
    if (isBefore(each)) for (const [item, amount] of taken.needs) kept.set(item, (kept.get(item) ?? 0) + amount)
  }
  return { hours, kept, unworkable }
}

type InWorkshop = { readonly workshop: Workshop; readonly workshopRevision: number }

const NOTHING: Taken = { hours: [], needs: [] }
const takesAnything = ({ taken }: OfOne): boolean =>
  taken === 'unworkable' || taken.hours.length > 0 || taken.needs.length > 0

/**
 * Hours that others take, as they are planned now, and what those before this one keep of the stock. A commission is
 * open at once; what is known of others from before is there with it, and the rest when it has been worked out. One that
 * cannot be worked out keeps nobody from anything.
 * @param peek a commission by its id
 * @param work what a commission takes of a studio with this workshop
 */
export function othersOf(
  peek: (id: string) => Promise<Commission | null>,
  work: (commission: Commission, workshop: Workshop) => Promise<Taken>,
) {
  const taken = shallowRef<TakenByOthers>(NONE_TAKEN)
  const isLearning = ref(false)
  /** What others take, as long as they and the workshop are as they were. */
  const remembered = new Map<string, OfOne & { readonly workshopRevision: number }>()
  let learnings = 0

  const known = (each: Listed, { workshopRevision }: InWorkshop): OfOne | null => {
    const before = remembered.get(each.id)
    return before?.each.savedAt === each.savedAt && before.workshopRevision === workshopRevision ? before : null
  }

  async function learnOf(each: Listed, { workshop, workshopRevision }: InWorkshop): Promise<OfOne> {
    const other = await peek(each.id).catch(() => 'unreadable' as const)
    if (other === 'unreadable') return { each, taken: 'unworkable' }
    const isOver = !other || other.bench.handedOver !== null
    const found = { each, taken: isOver ? NOTHING : await work(other, workshop).catch(() => 'unworkable' as const) }
    // What is under way takes less with every hour.
    if (isOver || other.bench.tasks.length === 0) remembered.set(each.id, { ...found, workshopRevision })
    return found
  }

  /** @returns names of those that could not be worked out, or null where something else was opened meanwhile */
  async function learn(
    commission: Commission,
    listed: readonly Listed[],
    workshop: InWorkshop,
  ): Promise<readonly string[] | null> {
    const mine = (learnings += 1)
    const near = nearTo(commission, listed)
    const all = near.flatMap((each) => known(each, workshop) ?? [])
    const unknown = near.filter((each) => !known(each, workshop))
    taken.value = together(commission, all)
    isLearning.value = unknown.length > 0
    const learned: OfOne[] = []
    for (const each of unknown) {
      learned.push(await learnOf(each, workshop))
      if (mine !== learnings) return null
    }
    // Where they take nothing, figures are not worked out a second time.
    if (learned.some(takesAnything)) taken.value = together(commission, [...all, ...learned])
    isLearning.value = false
    return taken.value.unworkable
  }

  /** Nothing is open that others could take from. */
  function leave(): void {
    learnings += 1
    taken.value = NONE_TAKEN
    isLearning.value = false
  }

  return { taken, isLearning, learn, leave }
}
