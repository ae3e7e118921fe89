import { extentMm, leanDeg, stackHeightMm, type BoxFit, type Tier } from '../cake'
import { HOLDER_ROOM_MM, judge, type Caution, type ColourFault, type Facts } from '../care'
import type { Bouquet } from '../compose'
import type { DryingEstimate } from '../dry'
import { coveringOf } from '../material'
import { dayOf, MINUTES_PER_DAY, parseMoment, valueOf, type Moment } from '../quantity'
import type { DiscSupply } from '../supply'
import type { Ingredient } from '../technique'
import type { PlannedAccent } from './accents'
import type { Arrangement } from './arrange'
import type { CakeFacts } from './cakeStage'
import type { CutGroup } from './cutting'
import { chosenOption } from './commission'
import type { Paperwork } from './paperwork'
import type { Plan, PlanInputs } from './plan'
import { roadWorking } from './road'

/** The tiers on which sails stand. */
export const tiersTouched = ({ stack, sails }: Arrangement) =>
  [...new Set(sails.map(({ place }) => place.tier))].map((tier) => stack[tier]!)

type CautionInputs = {
  readonly inputs: PlanInputs
  readonly arrangement: Arrangement
  readonly paperwork: readonly Paperwork[]
  readonly groups: readonly CutGroup[]
  readonly accents: readonly PlannedAccent[]
  readonly cakeFacts: CakeFacts
  readonly usedDyes: readonly string[]
  readonly fit: BoxFit
  readonly mixDifference: number
  readonly colourFaults: readonly ColourFault[]
  readonly supplies: readonly DiscSupply[]
  readonly timetable: Plan['timetable']
  readonly drying: DryingEstimate
  readonly tooBig: number
  readonly neverFirm: readonly string[]
  readonly laidTooEarly: Facts['laidTooEarly']
  readonly noDiscs: boolean
  readonly hasDecoration: boolean
  readonly skewered: boolean
}

const timetableWords = (timetable: Plan['timetable']): string | null => {
  if (timetable.ok) return null
  switch (timetable.error.code) {
    case 'nothing-to-make':
      return null
    case 'never-sets':
      return null
    case 'no-formers':
      return `There is no ${timetable.error.formers} to dry on. Add one in Dry.`
    case 'goes-off':
      return (
        `“${timetable.error.task}” would wait too long for “${timetable.error.next}”: ` +
        `it goes off. Free hours between them, or do less at once.`
      )
    case 'no-working-time':
      return `No working time was found for ${timetable.error.task} in the four months before. Add working hours in Timetable.`
  }
}

/** The first bouquet on a ledge that has no room for holders. */
function narrowLedgeOf(
  bouquets: readonly Bouquet[],
  stack: Arrangement['stack'],
): { readonly bouquet: string; readonly mm: number } | null {
  const narrow = bouquets.find(
    ({ place, tier }) => place === 'ledge' && tier < stack.length - 1 && stack[tier]!.ledge.leastMm < HOLDER_ROOM_MM,
  )
  return narrow ? { bouquet: narrow.name, mm: stack[narrow.tier]!.ledge.leastMm } : null
}

/** What is to be known of a plan, from the facts of its stages. */
export function cautionsFor({
  inputs,
  arrangement,
  paperwork,
  groups,
  accents,
  cakeFacts,
  usedDyes,
  fit,
  mixDifference,
  colourFaults,
  supplies,
  timetable,
  drying,
  tooBig,
  neverFirm,
  laidTooEarly,
  noDiscs,
  hasDecoration,
  skewered,
}: CautionInputs): readonly Caution[] {
  const { commission, now, units } = inputs
  const { brief } = commission
  const { cake } = chosenOption(commission)
  const eventAt = valueOf(parseMoment(brief.eventAt))
  const short = arrangement.sails.map(({ sized }) => -sized.spareReachMm).filter((missing) => missing > 0.5)
  const coverings = [...new Set(tiersTouched(arrangement).map(({ covering }) => covering))].map(coveringOf)
  const named = (wetness: string): readonly string[] =>
    coverings.filter((covering) => covering.wetness === wetness).map(({ name }) => name.toLowerCase())
  const drapes = timetable.ok ? timetable.value.slots.filter(({ kind }) => kind === 'drape') : []
  const overhang = arrangement.stack.findIndex(({ ledge }) => ledge.overhangMm > 0.5)
  const tierNumbers = (applies: (tier: Tier, index: number) => boolean): readonly number[] =>
    cake.tiers.flatMap((tier, index) => (applies(tier, index) ? [index + 1] : []))
  const slowest = cakeFacts.slowest
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
    tiers: cake.tiers.length,
    unfitPapers: paperwork.flatMap(({ unfit, name }) => (unfit ? [{ name: name.toLowerCase(), because: unfit }] : [])),
    unwantedIngredients: paperwork.flatMap(({ contains, name, elements }) =>
      elements.length > 0
        ? contains.filter((each) => unwanted[each]).map((ingredient) => ({ name: name.toLowerCase(), ingredient }))
        : [],
    ),
    strayAccents: accents.filter(({ elements }) => elements.length === 0).map(({ many }) => many),
    forShow: accents.filter(({ edible, elements }) => !edible && elements.length > 0).map(({ many }) => many),
    largerThanSheet: paperwork.flatMap(({ id, name }) => {
      const out = groups.flatMap(({ layout }) => layout.leftOut).find(({ part }) => part.decoration === id)
      return out ? [{ name: name.toLowerCase(), why: out.why }] : []
    }),
    narrowLedge: narrowLedgeOf(chosenOption(commission).bouquets, arrangement.stack),
    notPlaced: paperwork.filter(({ elements }) => elements.length === 0).map(({ name }) => name.toLowerCase()),
    overhang: overhang === -1 ? null : { tier: overhang + 2, byMm: arrangement.stack[overhang]!.ledge.overhangMm },
    boardTooSmall: boardTooSmall(cake.board.acrossMm, arrangement),
    lobesApart: tierNumbers((_, index) => !cakeFacts.tiers[index]!.lobesMeet),
    leansTooFar: tierNumbers((tier) => leanDeg(tier) < tier.taperDeg - 0.01),
    tall: cake.tiers.length > 1 && stackHeightMm(arrangement.stack) > 2 * cake.board.acrossMm,
    chilled: slowest && {
      tiers: tierNumbers(({ chilled }) => chilled),
      warmMin: slowest.cautious?.value ?? null,
      dewGdm2: slowest.dew[1],
      dewC: slowest.dewPoint.value,
    },
    keeping: brief.keeping,
    coolCar: brief.transport.coolCar,
    roadMin: roadWorking(brief).value,
    roadSoftMin: brief.completion === 'beforeDriving' ? drying.roadSoftMin : null,
    dairyCoverings: brief.limits.noDairy
      ? [...new Set(cake.tiers.map(({ covering }) => covering))]
          .filter((id) => DAIRY.includes(id))
          .map((id) => coveringOf(id).name.toLowerCase())
      : [],
    unwantedColours: usedDyes.filter((dye) =>
      brief.limits.noColours.some((named) => named.trim().toLowerCase() === dye),
    ),
    sweepAboveTopMm: arrangement.aboveTopMm,
    shortReach: { count: short.length, byMm: Math.max(0, ...short) },
    noDiscs: noDiscs && hasDecoration,
    feetOnWet: skewered ? [] : named('wet'),
    feetOnMoist: named('moist'),
    discsShort: supplies
      .filter(({ needed, onHand }) => needed.value > onHand.value)
      .map(({ diameterMm, needed, onHand }) => ({ diameterMm, missing: needed.value - onHand.value })),
    colourDifference: mixDifference,
    unsuitedColours: colourFaults.map(({ decoration, severity, say }) => ({
      decoration: paperwork.find(({ id }) => id === decoration)?.name ?? decoration,
      severity,
      say,
    })),
    bathDays: drapes.length > 1 ? (drapes.at(-1)!.to - drapes[0]!.from) / MINUTES_PER_DAY : 0,
    tooBigForFormer: tooBig,
    former: drying.way === 'mat' ? 'mat' : 'tray',
    inOven: drying.way === 'oven',
    roomHumidity: brief.workroom.humidity,
    chanceOfSetting: drying.chanceOfSetting.value,
    setsAtAll: drying.ready.set.median !== null,
    paperNeverFirm: neverFirm,
    laidTooEarly,
    venueHumidity: brief.venue.humidity,
    venueSoftMin: drying.venueSoftMin,
    timetableProblem: timetableWords(timetable),
    startBy: timetable.ok ? timetable.value.startBy : null,
    atVenueBy: timetable.ok ? timetable.value.atVenueBy : null,
    venueOpensAt: venueOpensAt(eventAt, brief.venueOpensMin),
  })
}

/** Coverings that are usually made with milk, cream or butter. */
const DAIRY: readonly string[] = ['ganache', 'setButtercream', 'freshButtercream', 'whippedCream', 'modellingChocolate']

function boardTooSmall(boardMm: number, { stack }: Arrangement): boolean {
  const { sideways, frontBack } = extentMm(stack[0]!.shape, stack[0]!.turnDeg)
  return boardMm / 2 < Math.max(sideways, frontBack)
}

const venueOpensAt = (eventAt: Moment, opensMin: number): Moment => dayOf(eventAt) + opensMin
