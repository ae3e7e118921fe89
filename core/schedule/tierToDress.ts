/** A tier from the filled cake to a skin that takes paper. */
import { dayOf } from '../quantity'
import type { TimetableQuestion } from './question'
import type { Collected } from './collected'

/** Crumb-coated, a tier chills so long before it is covered, and no longer than a day. Usual practice. */
const CHILL_MIN = 60
const CHILL_MOST_MIN = 24 * 60
/** Fewer minutes in one go are no sitting. */
const LEAST_SPELL_MIN = 60
/** Filled cake keeps so long in the refrigerator. Usual practice. */
const FILLED_KEEPS_MIN = 3 * 24 * 60

const BY_ITSELF = { byHand: false, anyHour: true, keeps: 'days' } as const

/** Tiers by their numbers, the lowest 1. */
const tierWords = (tiers: readonly number[]): string =>
  `tier${tiers.length > 1 ? 's' : ''} ${tiers.map((at) => at + 1).join(', ')}`

/** Tiers in sittings: as many in one go as the longest spell of somebody's day holds. */
function sittings(tiers: readonly number[], eachMin: number, spellMin: number): readonly (readonly number[])[] {
  const most = Math.max(1, Math.floor(spellMin / Math.max(eachMin, 1)))
  return Array.from({ length: Math.ceil(tiers.length / most) }, (_, at) => tiers.slice(at * most, (at + 1) * most))
}

/**
 * Tasks that bring every tier to a skin that takes paper: filled, chilled, covered in one sitting, dried or set.
 * @returns for each tier the task after which paper may go on; none where nothing is done to it here
 */
export function dressTiers(plan: Collected, question: TimetableQuestion): readonly (string | null)[] {
  const { tiers, work, people, eventAt } = question
  const all = tiers.map((_, at) => at)
  const covered = all.filter((at) => tiers[at]!.covering)
  const bare = all.filter((at) => !tiers[at]!.covering)
  const filled = all.filter((at) => tiers[at]!.isFilled)
  const fillEach = filled.length > 0 ? work.fill.value / filled.length : 0
  const coverEach = covered.length > 0 ? work.cover.value / covered.length : 0
  const spellMin = Math.max(
    LEAST_SPELL_MIN,
    ...people.flatMap(({ hours }) => hours.spells.map(({ fromMin, toMin }) => toMin - fromMin)),
  )
  const ready: (string | null)[] = tiers.map(() => null)
  const idOf = (id: string, number: number): string => (number === 0 ? id : `${id}-${number + 1}`)
  const sat = [...sittings(covered, Math.max(fillEach, coverEach), spellMin), ...sittings(bare, fillEach, spellMin)]
  sat.forEach((sitting, number) => {
    const own = sitting.map((at) => tiers[at]!)
    const keepsMin = Math.min(
      ...own.flatMap(({ isFilled, covering }) => [
        ...(isFilled ? [FILLED_KEEPS_MIN] : []),
        ...(covering ? [covering.keepsMin] : []),
      ]),
    )
    const early = { keeps: 'days', notBefore: dayOf(eventAt - keepsMin), group: 'cover', tiers: sitting } as const
    const toFill = sitting.filter((at) => tiers[at]!.isFilled)
    let last: string | null = null
    if (toFill.length > 0 && fillEach > 0) {
      const name = `Fill and crumb-coat ${tierWords(toFill)}`
      last = plan.add(idOf('fill', number), 'fill', name, fillEach * toFill.length, {
        ...early,
        tiers: toFill,
      })
    }
    if (own.some(({ covering }) => covering) && coverEach > 0) {
      const cover = plan.add(
        idOf('cover', number),
        'cover',
        `Cover ${tierWords(sitting)}`,
        coverEach * own.length,
        early,
      )
      if (last) {
        const chill = plan.add(idOf('chill', number), 'chill', `Chill ${tierWords(toFill)}`, CHILL_MIN, {
          ...BY_ITSELF,
          tiers: toFill,
        })
        plan.then(last, chill, 0, { mostMin: CHILL_MOST_MIN })
        plan.then(chill, cover, 0, { mostMin: CHILL_MOST_MIN })
      }
      last = cover
    }
    for (const at of sitting) {
      const { covering, id } = tiers[at]!
      ready[at] = last
      if (!last || !covering || covering.readyMin === 0) continue
      const task = plan.add(
        `ready-${id}`,
        'ready',
        `${covering.name} on ${tierWords([at])}: till ${covering.readyWhen}`,
        covering.readyMin,
        {
          ...BY_ITSELF,
          tiers: [at],
        },
      )
      plan.then(last, task)
      ready[at] = task
    }
  })
  return ready
}
