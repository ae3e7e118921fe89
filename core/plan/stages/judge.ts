/** What is to be known of a plan: its facts, judged by the rules of care. */
import { boardReachMm, leanDeg, stackHeightMm, type Board, type BoxFit, type StandingTier, type Tier } from '../../cake'
import { judge, type Caution, type Facts } from '../../care'
import { chosenOption, wayToFitWords } from '../../commission'
import type { PlannedDecoration } from '../../decoration'
import type { DryingEstimate } from '../../dry'
import { coveringOf, paperOf } from '../../material'
import { dayOf, MINUTES_PER_DAY, parseMoment, valueOf } from '../../quantity'
import { paperName, type SheetSupply } from '../../supply'
import type { Ingredient } from '../../technique'
import type { Plan, PlanInputs } from '../plan'
import type { PlannedAccent } from './accents'
import type { CakeFacts } from './cake'
import type { CutGroup } from './cutting/group'
import type { SoakedDrying } from './dry'
import { roadWorking } from './road'
import { unsureOf } from './schedule'
import { aboveTopOf, feetOn, narrowLedgeOf } from './standing'
import type { DishWork } from './tint'

type CautionInputs = {
  readonly inputs: PlanInputs
  readonly stack: readonly StandingTier[]
  readonly decorations: readonly PlannedDecoration[]
  readonly groups: readonly CutGroup[]
  readonly accents: readonly PlannedAccent[]
  readonly cakeFacts: CakeFacts
  readonly fit: BoxFit
  readonly dishes: DishWork
  readonly supplies: readonly SheetSupply[]
  readonly timetable: Plan['timetable']
  readonly dryings: readonly SoakedDrying[]
  readonly tooBig: number
  readonly neverDry: readonly string[]
  readonly laidTooEarly: Facts['laidTooEarly']
}

const timetableWords = (timetable: Plan['timetable']): string | null => {
  if (timetable.ok) return null
  switch (timetable.error.code) {
    case 'nothing-to-make':
      return null
    case 'never-sets':
      return null
    case 'no-formers':
      return `There is no ${timetable.error.formers} to dry with. Add one in Dry or Supply, or choose another way of drying.`
    case 'goes-off':
      return (
        `“${timetable.error.task}” would wait too long for “${timetable.error.next}”: ` +
        `it goes off. Free hours between them, or do less at once.`
      )
    case 'no-working-time':
      return `No working time was found for ${timetable.error.task} in the four months before. Add working hours in Timetable.`
  }
}

/** Days over which the longest used bath is dipped into. */
function bathDaysOf(
  { baths }: DishWork,
  timetable: Plan['timetable'],
  decorations: readonly PlannedDecoration[],
): number {
  if (!timetable.ok) return 0
  const days = baths.map(({ uses }) => {
    const dips = timetable.value.slots.filter(({ of, hands }) => {
      const made = hands && of && decorations.find(({ id }) => id === of.decoration)
      return (
        made &&
        uses.some(({ decoration }) => decoration === made.id) &&
        made.steps.some(({ id, colours }) => colours && id === of.step)
      )
    })
    return dips.length > 1 ? (dips.at(-1)!.to - dips[0]!.from) / MINUTES_PER_DAY : 0
  })
  return Math.max(0, ...days)
}

/** The colour differs by so much from what was asked that it is seen at once. */
const CLEAR_MISS = 0.05

/** What is to be known of a plan, from the facts of its stages. */
export function cautionsFor(parts: CautionInputs): readonly Caution[] {
  const { inputs, stack, decorations, groups, accents, cakeFacts, fit, dishes, supplies, timetable, dryings } = parts
  const { commission, workshop, now, units } = inputs
  const { brief } = commission
  const option = chosenOption(commission)
  const { cake } = option
  const eventAt = valueOf(parseMoment(brief.eventAt))
  const feet = feetOn(decorations, stack)
  const named = (wetness: string): readonly string[] =>
    feet.filter((covering) => covering.wetness === wetness).map(({ name }) => name.toLowerCase())
  const overhang = stack.findIndex(({ ledge }) => ledge.overhangMm > 0.5)
  const tierNumbers = (applies: (tier: Tier, index: number) => boolean): readonly number[] =>
    cake.tiers.flatMap((tier, index) => (applies(tier, index) ? [index + 1] : []))
  const slowest = cakeFacts.slowest
  const soft = (of: (estimate: DryingEstimate) => number | null): number | null =>
    dryings.reduce<number | null>((least, { estimate }) => {
      const own = of(estimate)
      return own === null ? least : Math.min(own, least ?? Infinity)
    }, null)
  const inRoom = dryings.filter(({ drying }) => drying.way !== 'oven').map(({ estimate }) => estimate)
  const made = decorations.filter(({ elements }) => elements.length > 0)
  const nameOf = (id: string): string => decorations.find((each) => each.id === id)?.name ?? id
  const unwanted: Readonly<Record<Ingredient, boolean>> = {
    gelatine: brief.limits.noGelatine,
    dairy: brief.limits.noDairy,
    alcohol: brief.limits.noAlcohol,
  }
  return judge({
    now,
    eventAt,
    units,
    clearanceMm: { wide: fit.clearance.wide.value, deep: fit.clearance.deep.value, high: fit.clearance.high.value },
    neededBoxMm: fit.neededMm,
    boxShift: fit.shift,
    tiers: cake.tiers.length,
    unfitPapers: decorations.flatMap(({ id, unfit }) => (unfit ? [{ id, because: unfit }] : [])),
    unwantedIngredients: made.flatMap(({ id, contains, name }) => {
      const ingredients = contains.filter((each) => unwanted[each])
      return ingredients.length > 0 ? [{ id, name: name.toLowerCase(), ingredients }] : []
    }),
    strayAccents: accents.filter(({ elements }) => elements.length === 0).map(({ many }) => many),
    forShow: accents.filter(({ edible, elements }) => !edible && elements.length > 0).map(({ many }) => many),
    showOnEaten: accents
      .filter(({ edible, elements }) => !edible && elements.some(({ tier }) => !stack[tier]?.isDummy))
      .map(({ many }) => many),
    largerThanSheet: decorations.flatMap(({ id, name }) => {
      const out = groups.flatMap(({ layout }) => layout.leftOut).find(({ part }) => part.decoration === id)
      return out ? [{ name: name.toLowerCase(), why: out.why }] : []
    }),
    narrowLedge: narrowLedgeOf(option.bouquets, stack),
    fewerFit: decorations.flatMap(({ id, name, fewer }) =>
      fewer ? [{ id, name, ...fewer, ways: fewer.ways.map((way) => wayToFitWords(way, units)) }] : [],
    ),
    notPlaced: decorations
      .filter(({ elements, fewer }) => elements.length === 0 && !fewer)
      .map(({ id, name }) => ({ id, name: name.toLowerCase() })),
    overhang: overhang === -1 ? null : { tier: overhang + 2, byMm: stack[overhang]!.ledge.overhangMm },
    boardTooSmall: stack.some((tier) => tier.footMm === 0 && boardTooSmall(cake.board, tier)),
    lobesApart: tierNumbers((_, index) => !cakeFacts.tiers[index]!.lobesMeet),
    leansTooFar: tierNumbers((tier) => leanDeg(tier) < tier.taperDeg - 0.01),
    tall: stack.some(({ carries }) => carries) && stackHeightMm(stack) > 2 * cake.board.acrossMm,
    chilled: slowest && {
      tiers: tierNumbers(({ chilled }) => chilled),
      warmMin: slowest.cautious?.value ?? null,
      dewGdm2: slowest.dew[1],
      dewC: slowest.dewPoint.value,
    },
    keeping: brief.keeping,
    coolCar: brief.transport.coolCar,
    roadMin: roadWorking(brief).value,
    softens:
      dryings.length === 0
        ? null
        : {
            names: dryings.flatMap((each) => each.decorations).map((id) => nameOf(id).toLowerCase()),
            roadMin: brief.completion === 'beforeDriving' ? soft(({ roadSoftMin }) => roadSoftMin) : null,
            venueMin: soft(({ venueSoftMin }) => venueSoftMin),
          },
    dairyCoverings: brief.limits.noDairy
      ? [...new Set(cake.tiers.map(({ covering }) => covering))]
          .filter((id) => DAIRY.includes(id))
          .map((id) => coveringOf(id).name.toLowerCase())
      : [],
    aboveTop: aboveTopOf(option.decorations, decorations, stack),
    shortReach: made.flatMap(({ id, called, short }) => (short.count > 0 ? [{ id, called, ...short }] : [])),
    noSheets: [...new Set(made.map(({ paper }) => paper))]
      .filter((paper) => !workshop.papers.some((each) => each.paper === paper && each.inUse))
      .map((paper) => paperOf(paper).name),
    feetOnWet: named('wet'),
    feetOnMoist: named('moist'),
    sheetsShort: supplies.flatMap(({ paper, shape, needed, onHand }) =>
      onHand && needed.value > onHand.value
        ? [{ name: paperName(paper, shape), missing: needed.value - onHand.value }]
        : [],
    ),
    outOfReach: dishes.baths
      .filter(({ mix }) => mix.difference > CLEAR_MISS)
      .flatMap(({ uses }) => uses.map(({ name }) => name.toLowerCase())),
    notMixed: [
      ...new Set(
        dishes.dishes
          .filter(({ outOfReach }) => outOfReach === 'another')
          .flatMap(({ uses }) => uses.map(({ name }) => name.toLowerCase())),
      ),
    ],
    unsuitedColours: dishes.faults.map(({ decoration, severity, say }) => ({
      id: decoration,
      name: nameOf(decoration),
      severity,
      say,
    })),
    bathDays: bathDaysOf(dishes, timetable, decorations),
    tooBigForFormer: parts.tooBig,
    former: dryings.every(({ drying }) => drying.way === 'oven') ? 'tray' : 'mat',
    inOven: made.some(({ drying }) => drying.way === 'oven'),
    isSoaked: dryings.length > 0,
    isColoured: dishes.dishes.length + dishes.baths.length > 0,
    isCut: made.length > 0,
    roomHumidity: brief.workroom.humidity,
    setting:
      inRoom.length === 0
        ? null
        : {
            chance: Math.min(...inRoom.map(({ chanceOfSetting }) => chanceOfSetting.value)),
            atAll: inRoom.every(({ ready }) => ready.set.median !== null),
          },
    paperNeverDry: parts.neverDry
      .filter((id) => !dryings.some((each) => each.decorations.includes(id)))
      .map((id) => nameOf(id).toLowerCase()),
    laidTooEarly: parts.laidTooEarly,
    venueHumidity: brief.venue.humidity,
    timetableProblem: timetableWords(timetable),
    startBy: timetable.ok ? timetable.value.startBy : null,
    unsure: unsureOf(timetable),
    atVenueBy: timetable.ok ? timetable.value.atVenueBy : null,
    venueOpensAt: dayOf(eventAt) + brief.venueOpensMin,
  })
}

/** Coverings that are usually made with milk, cream or butter. */
const DAIRY: readonly string[] = ['ganache', 'setButtercream', 'freshButtercream', 'whippedCream', 'modellingChocolate']

/** Whether a tier that stands on the board, its corners too, reaches over it. */
const boardTooSmall = ({ outline, acrossMm }: Board, tier: StandingTier): boolean =>
  boardReachMm(outline, tier) > acrossMm / 2 + 0.05
