/**
 * Whether a timetable as it is shown keeps the order on the cake: looked at from slots, commission and the data of
 * techniques and coverings, sharing nothing with the search.
 */
import { chosenOption, type Commission } from '../../core/commission'
import { coveringOf, glueOf } from '../../core/material'
import type { Plan } from '../../core/plan'
import { dayOf, parseMoment, valueOf, weekdayOf } from '../../core/quantity'
import type { Slot } from '../../core/schedule'
import { finishOf, techniqueOf } from '../../core/technique'
import type { Workshop } from '../../core/workshop'

const NEAR = 1e-3
const CHILL_MIN = 60
const OUT_OF_HOURS = ['place', 'photograph', 'picksOut', 'loadCar', 'drive', 'handOver']

const last = (slots: readonly Slot[]): number => Math.max(-Infinity, ...slots.map(({ to }) => to))
const first = (slots: readonly Slot[]): number => Math.min(Infinity, ...slots.map(({ from }) => from))

const NUMBERED = /^(mat|tray|oven|rack) \d+$/

/** Places in which more lies at once than there is room for: one in a numbered lane, so many before fans. */
function crowded(slots: readonly Slot[], counts: Readonly<Record<string, number>>): readonly string[] {
  const lying = slots.filter(({ lane, hands }) => !hands && (lane in counts || NUMBERED.test(lane)))
  return lying.flatMap((slot) => {
    const here = lying.filter(
      ({ lane, from, to }) => lane === slot.lane && from <= slot.from + NEAR && slot.from < to - NEAR,
    )
    return here.length > (counts[slot.lane] ?? 1) ? [`${here.length} at once in ${slot.lane}`] : []
  })
}

/** Every rule that a timetable breaks, in words; nothing for a plan without one. */
export function orderFaults(plan: Plan, commission: Commission, workshop: Workshop): readonly string[] {
  if (!plan.timetable.ok) return []
  const { brief } = commission
  const { cake, decorations: wanted } = chosenOption(commission)
  const { slots } = plan.timetable.value
  const faults: string[] = []
  const after = (what: string, later: number, earlier: number, leastMin = 0): void => {
    if (later - earlier < leastMin - NEAR) faults.push(`${what}: ${Math.round(later - earlier)} min, least ${leastMin}`)
  }
  const of = (...kinds: readonly Slot['kind'][]): readonly Slot[] => slots.filter(({ kind }) => kinds.includes(kind))
  const onTier = (kind: Slot['kind'], tier: number): readonly Slot[] =>
    of(kind).filter(({ tiers }) => tiers.includes(tier))

  const made = plan.decorations.filter(({ elements }) => elements.length > 0)
  const stepSlots = (decoration: string, step: string): readonly Slot[] =>
    slots.filter((slot) => slot.of?.decoration === decoration && slot.of.step === step && slot.hands)
  const bySkin = made.filter(({ technique }) => techniqueOf(technique).skin !== undefined)
  const tiersOf = (id: string): readonly number[] => [
    ...new Set(made.find((each) => each.id === id)!.elements.map(({ tier }) => tier)),
  ]
  const isCake = (tier: number): boolean =>
    cake.tiers[tier]!.inside === 'cake' && cake.tiers[tier]!.covering !== 'dummy'
  const isCold = cake.tiers.some((tier, at) => tier.chilled && isCake(at))
  const places = of('place')
  const placeFrom = first(places)

  cake.tiers.forEach((tier, at) => {
    const { readyMin } = coveringOf(tier.covering)
    const covered = onTier('cover', at)
    if (tier.covering !== 'dummy' && covered.length !== 1)
      faults.push(`tier ${at + 1} is covered ${covered.length} times`)
    if (isCake(at)) {
      const filled = onTier('fill', at)
      if (filled.length !== 1) faults.push(`tier ${at + 1} is filled ${filled.length} times`)
      after(`tier ${at + 1} covered after it was filled`, first(covered), last(filled), CHILL_MIN)
    }
    if (tier.covering === 'dummy') return
    const isReadyFor = (what: string, from: number): void =>
      after(`${what} on tier ${at + 1} after it was covered`, from, last(covered), readyMin)
    isReadyFor('stacked', first(of('stack')))
    isReadyFor('placed', placeFrom)
    for (const { id, setting } of bySkin)
      if (tiersOf(id).includes(at)) isReadyFor(`${id} glued`, first(stepSlots(id, setting.id)))
  })

  for (const { id, setting } of bySkin) {
    const glued = stepSlots(id, setting.id)
    if (glued.length === 0) faults.push(`${id} is never glued on`)
    const isOnCold = tiersOf(id).some((at) => cake.tiers[at]!.chilled && isCake(at))
    const isEarly = wanted.find((each) => each.id === id)!.glued === 'beforeStacking' && !isOnCold
    if (isEarly) after(`${id} glued before stacking`, first(of('stack')), last(glued))
    else {
      after(`${id} glued on the stacked cake`, first(glued), last(of('stack')))
      if (isCold) after(`${id} glued on a warm cake`, first(glued), first(of('warm')) + plan.cake.warmMin.here)
    }
    after(`placed after ${id} was glued`, placeFrom, last(glued))
    after(`packed after ${id} was glued`, first(of('pack')), last(glued))
  }
  if (isCold && places.length > 0) {
    const warmed = of('warm').filter(({ to }) => to <= placeFrom + NEAR)
    if (warmed.length === 0) faults.push('placed on a cold cake')
    const isThere = brief.completion === 'atVenue' && brief.keeping === 'chilledSealed'
    const needed = isThere ? plan.cake.warmMin.there : plan.cake.warmMin.here
    if (!warmed.some(({ from, to }) => to - from >= needed - NEAR)) faults.push('the cake warmed too shortly')
  }

  for (const each of made) {
    const technique = techniqueOf(each.technique)
    const { finishes: asked, drying } = wanted.find(({ id }) => id === each.id)!
    const finishes = asked.map(({ finish }) => finishOf(finish))
    const bench = technique.steps.filter(({ onCake }) => !onCake)
    const isSoaked = bench.some(({ soaks }) => soaks)
    const own = slots.filter((slot) => slot.of?.decoration === each.id && slot.of.step !== each.setting.id)
    bench.slice(1).forEach((step, at) => {
      const before = bench[at]!
      if (step.turnsOf || !before.rest || !('fixedMin' in before.rest || before.rest.from === 'damp')) return
      const isUsual = 'until' in before.rest && drying.way === (before.rest.usualIn ?? 'room')
      const least = 'fixedMin' in before.rest ? before.rest.fixedMin : isUsual ? before.rest.usualMin : 1
      const earlier = stepSlots(each.id, before.id).filter(({ hands }) => hands)
      after(
        `${each.id}: ${step.id} after ${before.id}`,
        first(stepSlots(each.id, step.id)),
        last(earlier),
        isLearned(plan) ? 0 : least,
      )
    })
    for (const { id, when, driesMin } of finishes) {
      const done = stepSlots(each.id, id)
      if (when === 'beforeCutting' && !isSoaked)
        after(`${each.id} cut after ${id}`, first(stepSlots(each.id, bench[0]!.id)), last(done), driesMin)
      else after(`${each.id}: ${id} after it was made`, first(done), last(stepSlots(each.id, bench.at(-1)!.id)))
    }
    const needed = technique.skin ? first(stepSlots(each.id, each.setting.id)) : Math.min(placeFrom, first(of('pack')))
    const wantedBy = brief.completion === 'beforeDriving' && !technique.skin ? Math.min(placeFrom, needed) : needed
    after(`${each.id} is ready when it is wanted`, brief.completion === 'beforeDriving' ? wantedBy : needed, last(own))
  }

  faults.push(...crowded(slots, { fan: workshop.moulds.fan, dryRoom: workshop.moulds.dryRoom }))

  const isHere = brief.completion === 'beforeDriving'
  const [set, picks, photographs, pack, load, drive, hand] = (
    ['set', 'picksOut', 'photograph', 'pack', 'loadCar', 'drive', 'handOver'] as const
  ).map((kind) => of(kind))
  if (places.length > 0) {
    const placed = made.filter(({ technique }) => !techniqueOf(technique).skin)
    const setMin = Math.max(0, ...placed.flatMap(({ gluings }) => gluings.map(({ glue }) => glueOf(glue).setMin)))
    after('set before picks come out', first(picks!), last(places), setMin)
    after('set before it is photographed', first(photographs!), last(places), setMin)
    after(
      'placed here before it is packed, there after the drive',
      isHere ? first(pack!) : placeFrom,
      isHere ? last(places) : last(drive!),
    )
  }
  after('set is over before picks', first(picks!), last(set!))
  after('picks are out before it is photographed', first(photographs!), last(picks!))
  if (isHere) after('photographed before it is boxed', first(pack!), last(photographs!))
  after('packed before it is loaded', first(load!), last(pack!))
  after('loaded before it is driven', first(drive!), last(load!))
  after('handed over last', first(hand!), Math.max(last(photographs!), last(picks!), last(places), last(drive!)))
  after('handed over in time', valueOf(parseMoment(brief.eventAt)), last(hand!), workshop.pace.aheadMin)
  const driven = drive![0]!
  for (const slot of slots)
    if (slot.hands && slot !== driven && slot.from < driven.to - NEAR && driven.from < slot.to - NEAR)
      faults.push(`${slot.name} during the drive`)

  for (const slot of slots.filter(({ hands }) => hands)) {
    if (slot.to - slot.from <= 0 && slot.kind !== 'drive') faults.push(`${slot.name} takes no time`)
    const here = slots.filter(({ hands, person, id }) => hands && person === slot.person && id > slot.id)
    for (const other of here)
      if (slot.from < other.to - NEAR && other.from < slot.to - NEAR)
        faults.push(`${slot.name} and ${other.name} at once`)
    const { days, spells } = workshop.hours
    const minute = slot.from - dayOf(slot.from)
    const isInHours =
      days[weekdayOf(slot.from)] &&
      spells.some(({ fromMin, toMin }) => minute >= fromMin - NEAR && minute + slot.to - slot.from <= toMin + NEAR)
    if (!isInHours && !OUT_OF_HOURS.includes(slot.kind)) faults.push(`${slot.name} out of hours`)
  }
  return faults
}

/** Whether rests go by trials, so that practice does not bind. */
const isLearned = ({ learned }: Plan): boolean => Object.keys(learned.drying).length > 0
