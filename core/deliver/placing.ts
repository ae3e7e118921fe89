/**
 * Where everything goes on the cake and in which order: numbered, by the clock and by height, with what fixes and
 * holds it.
 */
import type { PlannedDecoration } from '../decoration'
import { chosenOption, type Commission } from '../commission'
import { glueOf, type Glue } from '../material'
import { type Plan } from '../plan'
import { seenAs, type PlacedElement } from '../technique'

/** When an element goes on: as the cake is dressed, then the focal point, the large ones, the rest. */
const PLACING_STAGES = ['dressed', 'focal', 'large', 'fill'] as const
export type PlacingStage = (typeof PLACING_STAGES)[number]
export const STAGE_WORDS: Readonly<Record<PlacingStage, string>> = {
  dressed: 'on as the cake is dressed',
  focal: 'focal point',
  large: 'large',
  fill: 'fill',
}

/** One element in its place. `clock` is where it stands seen from above, front at six; heights above the board, mm. */
export type Placing = {
  readonly number: number
  readonly stage: PlacingStage
  readonly decoration: string
  /** Which of its elements, in their order. */
  readonly index: number
  readonly name: string
  readonly tier: number
  readonly on: 'side' | 'top'
  readonly angleDeg: number
  readonly clock: string
  readonly heightMm: number
  /** From the middle of the tier, on a top. */
  readonly outMm: number
  readonly seenWidthMm: number
  readonly seenHeightMm: number
  readonly fix: string
  readonly hold: string
}

const HALF_HOUR_DEG = 15
const FOCAL_AWAY = 0.15
const LARGE_SIZE = 0.75

/**
 * Where an angle lies on a clock seen from above, the front at six and the right at three; to the half hour.
 * By hand: 45° to the right of the front is half past four.
 */
export function clockOf(angleDeg: number): string {
  const halves = ((Math.round((180 - angleDeg) / HALF_HOUR_DEG) % 24) + 24) % 24
  const hour = Math.floor(halves / 2) || 12
  return halves % 2 === 0 ? `${hour} o’clock` : `half past ${hour}`
}

type Unnumbered = Omit<Placing, 'number'>

const holdOf = ({ removals }: PlannedDecoration, minutes: number): string => {
  const picks = removals.filter(({ stays }) => !stays).map(({ name }) => name)
  if (picks.length > 0) return `${picks.join(', ')}${minutes > 0 ? `, ${minutes} min` : ''}, then out`
  return minutes > 0 ? `leave ${minutes} min` : 'till it stands'
}

/** When an element goes on. What is sized by the sheets there are has its focal point at the heart of its run. */
function stageOf(made: PlannedDecoration, element: PlacedElement, isFocal: boolean, share: number): PlacingStage {
  if (made.skin) return 'dressed'
  if (isFocal || (element.fitted && element.away <= FOCAL_AWAY)) return 'focal'
  return (element.fitted ? share : element.size) >= LARGE_SIZE ? 'large' : 'fill'
}

/** Every element, numbered in the order it goes on. */
export function placingsOf(plan: Plan, commission: Commission): readonly Placing[] {
  const { cake, bouquets, decorations: wanted } = chosenOption(commission)
  const glueFor = ({ gluings }: PlannedDecoration, tier: number): Glue | null => {
    const own = gluings.find(({ covering }) => covering === cake.tiers[tier]!.covering)
    return own ? glueOf(own.glue) : null
  }
  const all = plan.decorations.flatMap((made) => {
    const decoration = wanted.find(({ id }) => id === made.id)
    const isFocal = decoration?.gathered ? decoration.gathered.role === 'focal' : false
    const bouquet = bouquets.find(({ id }) => id === decoration?.gathered?.bouquet)
    const tallest = Math.max(...made.elements.map((element) => seenAs(element, made.seen).heightMm))
    return made.elements.map((element, index): Unnumbered => ({
      stage: stageOf(made, element, isFocal, seenAs(element, made.seen).heightMm / tallest),
      decoration: made.id,
      index,
      name: bouquet ? `${made.one} of ${bouquet.name}` : made.one,
      tier: element.tier,
      on: element.on,
      angleDeg: element.angleDeg,
      clock: clockOf(element.angleDeg),
      heightMm: element.pose ? element.pose.at[2] : element.heightMm,
      outMm: element.outMm,
      seenWidthMm: seenAs(element, made.seen).widthMm,
      seenHeightMm: seenAs(element, made.seen).heightMm,
      fix: glueFor(made, element.tier)?.name ?? 'its wire into a food-safe holder',
      hold: holdOf(made, glueFor(made, element.tier)?.setMin ?? 0),
    }))
  })
  const order = ({ stage }: Unnumbered): number => PLACING_STAGES.indexOf(stage)
  return all
    .map((each, at) => ({ each, at }))
    .sort(
      (one, other) =>
        order(one.each) - order(other.each) ||
        other.each.seenHeightMm * other.each.seenWidthMm - one.each.seenHeightMm * one.each.seenWidthMm ||
        one.at - other.at,
    )
    .map(({ each }, at) => ({ ...each, number: at + 1 }))
}

/** Runs of numbers for reading: “1–3, 7”. */
export function runsOf(numbers: readonly number[]): string {
  const runs: [number, number][] = []
  for (const number of numbers) {
    const last = runs.at(-1)
    if (last && number === last[1] + 1) last[1] = number
    else runs.push([number, number])
  }
  return runs.map(([from, to]) => (from === to ? String(from) : `${from}–${to}`)).join(', ')
}
