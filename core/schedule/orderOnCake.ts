/**
 * The order on a cake: skins of the tiers, stacked, out of the refrigerator and warm, everything placed, set, picks
 * out, photographed, boxed, driven.
 */
import { dayOf } from '../quantity'
import type { TimetableQuestion } from './question'
import type { Making } from './work'
import type { Collected, Done } from './collected'
import { handsDoubt, spareOf } from './spare'
import { dressTiers } from './tierToDress'

/** A stacked cake stands in the cold so long at most. Usual practice. */
const STACKED_KEEPS_MIN = 24 * 60

const WHOLE = { splits: true, keeps: 'day' } as const
const SAME_DAY = { keeps: 'day' } as const
const ON_THE_DAY = { anyHour: true } as const
const BY_ITSELF = { byHand: false, anyHour: true } as const

/** A road takes longer by such a share, now and then. A guess. */
const ROAD_DOUBT = 0.3
/** Boxed and sealed, a cake that is kept chilled is cold again after so long. Usual practice. */
const COLD_AGAIN_MIN = 120

/** Where work at the bench meets the cake. */
export type CakeTasks = {
  /** What all but skins must be ready for: placing them, or packing. */
  readonly made: string
  /** What a skin waits for, by when it is glued on and which tiers it is on. */
  readonly skinAfter: (making: Making) => readonly string[]
  /** What comes after a skin. */
  readonly skinBefore: (making: Making) => readonly string[]
}

/** Whether a skin goes on before the tiers are stacked: on a cold tier it would buckle, so that it waits there. */
const isBeforeStacking = ({ skin, tiers: own }: Making, { tiers }: TimetableQuestion): boolean =>
  skin === 'beforeStacking' && !own.some((at) => tiers[at]?.isChilled)

/**
 * All that is done at the cake and on the road, in its order.
 * @param level how much time is left to spare where the doubt is
 */
export function cakeTasks(plan: Collected, question: TimetableQuestion, level: number): CakeTasks {
  const { work, completion, driveMin, tiers, warmMin, isKeptChilled, setMin, eventAt } = question
  const isPlaced = work.place.value > 0
  const here = completion === 'beforeDriving' && isPlaced
  const there = completion === 'atVenue' && isPlaced
  const all = tiers.map((_, at) => at)
  const isChilled = tiers.some((tier) => tier.isChilled)
  const lateSkins = work.making.filter((making) => making.skin && !isBeforeStacking(making, question))
  const isWarmHere = isChilled && (here || lateSkins.length > 0 || (!isKeptChilled && completion !== 'handedOver'))
  const isWarmThere = isChilled && isKeptChilled && completion !== 'handedOver'
  const add = (id: Parameters<Collected['add']>[1], name: string, minutes: number, how: object): string =>
    plan.add(id, id, name, minutes, { tiers: all, ...how })

  const ready = dressTiers(plan, question)
  const stacking = { keeps: 'days', notBefore: dayOf(eventAt - STACKED_KEEPS_MIN) } as const
  const stack = work.stack.value > 0 ? add('stack', 'Stack the tiers', work.stack.value, stacking) : null
  const dressedSpare = { spareMin: spareOf(handsDoubt(work.fill, work.cover), level) }
  ready.forEach((task) => plan.then(task, stack, 0, dressedSpare))
  const standing = stack ? [stack] : ready.filter((task) => task !== null)
  const warmHere =
    isWarmHere && warmMin.here > 0
      ? add('warm', 'Cake out of the refrigerator, warms through', warmMin.here, BY_ITSELF)
      : null
  const standingSpare = stack ? {} : dressedSpare
  if (warmHere) standing.forEach((task) => plan.then(task, warmHere, 0, standingSpare))
  const takesPaper = warmHere ? [warmHere] : standing

  const finishing = (placed: string | null, how: object) => {
    const set = placed && setMin > 0 ? add('set', 'What was placed sets', setMin, { ...how, ...BY_ITSELF }) : null
    const picksOut =
      work.picksOut.value > 0 ? add('picksOut', 'Take the picks out, count them', work.picksOut.value, how) : null
    const photograph = work.photograph.value > 0 ? add('photograph', 'Photograph', work.photograph.value, how) : null
    return inTurn(plan, [placed, set, picksOut, photograph])
  }
  const placeHere = here ? add('place', 'Place the decorations', work.place.value, WHOLE) : null
  const finishedHere = there ? [] : finishing(placeHere, SAME_DAY)
  const boxing = here || !isPlaced ? 'Box the cake' : 'Pack the decorations airtight, box the cake'
  const pack = add('pack', boxing, work.pack.value, WHOLE)
  const cold =
    isKeptChilled && warmHere && completion !== 'handedOver'
      ? plan.add('coldAgain', 'chill', 'Boxed and sealed, cold again', COLD_AGAIN_MIN, { ...BY_ITSELF, tiers: all })
      : null
  const loadCar = add('loadCar', 'Load the car', work.loadCar.value, ON_THE_DAY)
  const drive = add('drive', 'Drive', driveMin, ON_THE_DAY)
  const warmThere =
    isWarmThere && warmMin.there > 0
      ? plan.add('warmThere', 'warm', 'Cake warms through at the venue', warmMin.there, { ...BY_ITSELF, tiers: all })
      : null
  const placeThere = there ? add('place', 'Place the decorations at the venue', work.place.value, ON_THE_DAY) : null
  const finishedThere = there ? finishing(placeThere, ON_THE_DAY) : []
  const handOver = add('handOver', 'Set up and hand over', work.handOver.value, ON_THE_DAY)

  const firstHere = finishedHere[0] ?? pack
  takesPaper.forEach((task) => plan.then(task, firstHere, 0, warmHere ? {} : standingSpare))
  inTurn(plan, [...finishedHere, pack])
  const dayDoubt = handsDoubt(work.stack, ...(there ? [] : [work.place, work.picksOut, work.photograph]), work.pack)
  plan.then(pack, cold ?? loadCar, 0, { spareMin: spareOf(dayDoubt, level) })
  inTurn(plan, [cold, loadCar, drive, warmThere, ...finishedThere])
  plan.then(finishedThere.at(-1) ?? warmThere ?? drive, handOver, 0, { spareMin: spareThere(question, there, level) })
  return {
    made: placeHere ?? pack,
    skinAfter: (making) =>
      isBeforeStacking(making, question) ? making.tiers.flatMap((at) => ready[at] ?? []) : takesPaper,
    skinBefore: (making) => (isBeforeStacking(making, question) && stack ? [stack] : [firstHere]),
  }
}

/** Time to spare at the venue, on the road too: no more than its doors leave. */
function spareThere(question: TimetableQuestion, there: boolean, level: number): number {
  const { work, driveMin, eventAt, aheadMin, venueOpensAt, setMin, warmMin, isKeptChilled } = question
  const placed = there ? [work.place, work.picksOut, work.photograph] : []
  const hands = [...placed, work.handOver].reduce((sum, { value }) => sum + value, 0)
  const latestThere = eventAt - aheadMin - hands - (there ? setMin : 0) - (isKeptChilled ? warmMin.there : 0)
  const wanted = spareOf(handsDoubt(...placed, work.handOver, work.loadCar) + driveMin * ROAD_DOUBT, level)
  return Math.max(0, Math.min(wanted, latestThere - venueOpensAt))
}

/** Tasks one after the other, those that there are. */
function inTurn(plan: Collected, tasks: readonly (string | null)[]): readonly string[] {
  const there = tasks.filter((task) => task !== null)
  there.slice(1).forEach((task, at) => plan.then(there[at]!, task))
  return there
}

/** A skin in its place: after what makes its tiers ready, before what comes over it. */
export function skinOn(
  plan: Collected,
  making: Making,
  done: readonly Done[],
  cake: CakeTasks,
  spareMin: number,
): void {
  const gluing = making.steps.filter(({ onCake }) => onCake).flatMap(({ turns }) => turns)
  for (const { task } of gluing) for (const before of cake.skinAfter(making)) plan.then(before, task)
  for (const { task, restMin, drying } of done)
    for (const next of cake.skinBefore(making)) plan.then(task, next, restMin, { drying: drying ?? null, spareMin })
}
