import { dayClockText, printDuration, printQuantity, type Moment, type UnitSystem } from '../quantity'
import type { Caution, Severity } from './caution'
import type { ColourFault } from './colourFit'

/** What the plan knows that may go wrong. Sizes in mm, times in minutes, humidity and chances as shares. */
export type Facts = {
  readonly now: Moment
  readonly eventAt: Moment
  readonly units: UnitSystem
  readonly clearanceMm: Readonly<Record<'wide' | 'deep' | 'high', number>>
  readonly tiers: number
  /** Decorations on a paper they must not be made of, and why. */
  readonly unfitPapers: readonly { readonly name: string; readonly because: string }[]
  /** Decorations with an ingredient that the client wants left out. */
  readonly unwantedIngredients: readonly { readonly name: string; readonly ingredient: string }[]
  /** Accents that lie near nothing, and those for show on a cake that is eaten. */
  readonly strayAccents: readonly string[]
  readonly forShow: readonly string[]
  readonly largerThanSheet: readonly { readonly name: string; readonly why: string }[]
  readonly notPlaced: readonly string[]
  /** A bouquet bound to a ledge too narrow for its holders. */
  readonly narrowLedge: { readonly bouquet: string; readonly mm: number } | null
  readonly neededBoxMm: Readonly<Record<'wide' | 'deep' | 'high', number>>
  readonly overhang: { readonly tier: number; readonly byMm: number } | null
  readonly boardTooSmall: boolean
  /** Scalloped tiers, counted from the bottom, whose cutter is too narrow. */
  readonly lobesApart: readonly number[]
  readonly leansTooFar: readonly number[]
  readonly tall: boolean
  /**
   * Tiers whose filling must stay chilled; minutes until they stand above the dew point, null when they never do
   * within a day.
   */
  readonly chilled: {
    readonly tiers: readonly number[]
    readonly warmMin: number | null
    readonly dewGdm2: number
    readonly dewC: number
  } | null
  readonly keeping: 'roomTemperature' | 'chilledSealed'
  readonly coolCar: boolean
  readonly roadMin: number
  /** What is of soaked film, set hard: when it goes soft in the air of car and venue, minutes; none where it does not. */
  readonly softens: {
    readonly names: readonly string[]
    readonly roadMin: number | null
    readonly venueMin: number | null
  } | null
  readonly dairyCoverings: readonly string[]
  /** Decorations whose sweep ends above the cake, and how far. */
  readonly aboveTop: readonly { readonly name: string; readonly byMm: number }[]
  /** Elements that stay lower than wished, because no sheet is large enough. */
  readonly shortReach: readonly { readonly called: string; readonly count: number; readonly byMm: number }[]
  /** Papers of which no size is in use. */
  readonly noSheets: readonly string[]
  readonly feetOnWet: readonly string[]
  readonly feetOnMoist: readonly string[]
  readonly sheetsShort: readonly { readonly name: string; readonly missing: number }[]
  /** Decorations whose deepest colour no mix of dyes reaches. */
  readonly outOfReach: readonly string[]
  /** Colours that do not suit their paper, the heat or the client. */
  readonly unsuitedColours: readonly Pick<ColourFault, 'decoration' | 'severity' | 'say'>[]
  readonly bathDays: number
  readonly tooBigForFormer: number
  readonly former: string
  readonly inOven: boolean
  readonly isSoaked: boolean
  readonly isColoured: boolean
  readonly isCut: boolean
  readonly roomHumidity: number
  /** Of soaked film in this room, without an oven: how likely it sets hard, and whether it ever does; none where there is none. */
  readonly setting: { readonly chance: number; readonly atAll: boolean } | null
  /** Paper that has to set for half a day and never stands firm in this room. */
  readonly paperNeverFirm: readonly string[]
  readonly venueHumidity: number
  /** What is set on the cake in the workshop, and lies on a covering that makes it soft before the event is over. */
  readonly laidTooEarly: readonly { readonly name: string; readonly covering: string; readonly from: Moment }[]
  readonly timetableProblem: string | null
  readonly startBy: Moment | null
  readonly atVenueBy: Moment | null
  readonly venueOpensAt: Moment
}

const BATH_LIFE_DAYS = 3
const VENUE_NEEDS_MIN = 6 * 60
/** Dew that wets paper as much as a light brush coat, g/dm². */
const DEW_BUCKLES_GDM2 = 0.15

type Rule = (facts: Facts) => Caution | null

/** A food-safe holder and the cake round it take so much of a ledge, mm. */
export const HOLDER_ROOM_MM = 12

const rule =
  (
    code: string,
    leaf: Caution['leaf'],
    severity: Caution['severity'],
    applies: (facts: Facts) => boolean,
    say: (facts: Facts) => string,
  ): Rule =>
  (facts) =>
    applies(facts) ? { code, leaf, severity, say: say(facts) } : null

const length = (mm: number, { units }: Facts): string => printQuantity(mm, 'length', units)
const percent = (share: number): string => `${Math.round(share * 100)} %`

const unsuited = ({ unsuitedColours }: Facts, of: Severity): Facts['unsuitedColours'] =>
  unsuitedColours.filter(({ severity }) => severity === of)

const RULES: readonly Rule[] = [
  rule(
    'start-passed',
    'timetable',
    'stop',
    ({ startBy, now }) => startBy !== null && startBy < now,
    ({ startBy }) =>
      `The hour to start, ${dayClockText(startBy!)}, has passed. Use an oven, add a mat, make fewer pieces or work more hours.`,
  ),
  rule(
    'start-soon',
    'timetable',
    'look',
    ({ startBy, now }) => startBy !== null && startBy >= now && startBy - now < 24 * 60,
    ({ startBy, now }) => `Only ${printDuration(startBy! - now)} left until you must start.`,
  ),
  rule(
    'no-timetable',
    'timetable',
    'stop',
    ({ timetableProblem }) => timetableProblem !== null,
    ({ timetableProblem }) => timetableProblem!,
  ),
  rule(
    'venue-closed',
    'brief',
    'look',
    ({ atVenueBy, venueOpensAt }) => atVenueBy !== null && atVenueBy < venueOpensAt,
    ({ atVenueBy, venueOpensAt }) =>
      `The work wants you at the venue by ${dayClockText(atVenueBy!)}, but it opens at ` +
      `${dayClockText(venueOpensAt)}. Place fewer decorations there, or complete before driving.`,
  ),
  rule(
    'box-too-small',
    'tiers',
    'stop',
    ({ clearanceMm }) => Math.min(...Object.values(clearanceMm)) < 0,
    (facts) =>
      `It does not fit the box standing. A box of ${length(facts.neededBoxMm.wide, facts)} × ` +
      `${length(facts.neededBoxMm.deep, facts)} × ${length(facts.neededBoxMm.high, facts)} ` +
      `inside would just hold it; Tiers offers what else would do.`,
  ),
  rule(
    'overhang',
    'tiers',
    'look',
    ({ overhang }) => overhang !== null,
    (facts) =>
      `Tier ${facts.overhang!.tier}, counted from the bottom, reaches ` +
      `${length(facts.overhang!.byMm, facts)} over the edge of the one below it.`,
  ),
  rule(
    'lobes-apart',
    'tiers',
    'look',
    ({ lobesApart }) => lobesApart.length > 0,
    ({ lobesApart }) =>
      `The lobes of tier ${lobesApart.join(' and ')} do not meet: take a cutter at least as ` +
      `wide as from mark to mark. Until then they are drawn as if they did.`,
  ),
  rule(
    'leans-too-far',
    'tiers',
    'look',
    ({ leansTooFar }) => leansTooFar.length > 0,
    ({ leansTooFar }) =>
      `Tier ${leansTooFar.join(' and ')} would come to a point; it is drawn leaning only as far as leaves a top.`,
  ),
  rule(
    'tall',
    'tiers',
    'look',
    ({ tall }) => tall,
    () =>
      'Tall and narrow: more than twice as high as its board is wide. A middle dowel into a drum, and somebody to hold it on the way.',
  ),
  rule(
    'support',
    'tiers',
    'note',
    ({ tiers }) => tiers > 1,
    () =>
      'Counts of dowels and straws are guidance. Weigh your tiers, test, and ask somebody who stacks tall cakes when in doubt.',
  ),
  rule(
    'never-warm',
    'tiers',
    'stop',
    ({ chilled, keeping }) => chilled !== null && chilled.warmMin === null && keeping === 'roomTemperature',
    ({ chilled }) =>
      `The air's dew point is ${chilled!.dewC.toFixed(0)} °C: a chilled tier stays wet ` +
      `for a day and more. Dry the room, or choose a filling that keeps.`,
  ),
  rule(
    'paper-last',
    'tiers',
    'note',
    ({ chilled, keeping }) => chilled !== null && chilled.warmMin !== null && keeping === 'roomTemperature',
    ({ chilled }) =>
      `Chilled tiers sweat for up to ${printDuration(chilled!.warmMin!)} out of the refrigerator. Paper goes on after that, and last.`,
  ),
  rule(
    'dew-on-paper',
    'tiers',
    'look',
    ({ chilled, keeping }) => chilled !== null && keeping === 'chilledSealed' && chilled.dewGdm2 > DEW_BUCKLES_GDM2,
    ({ chilled }) =>
      `Taken out decorated, up to ${chilled!.dewGdm2.toFixed(2)} g/dm² of dew settles on it, as much as a ` +
      `brush coat: paper buckles and goes sticky. Let it warm through inside its sealed box.`,
  ),
  rule(
    'warm-car',
    'brief',
    'look',
    ({ chilled, coolCar, roadMin }) => chilled !== null && !coolCar && roadMin > 30,
    ({ roadMin }) =>
      `A filling that must stay chilled is ${printDuration(roadMin)} on the road in a ` +
      `warm car. Cool the car, or ask what your local food rules allow.`,
  ),
  rule(
    'dairy',
    'brief',
    'look',
    ({ dairyCoverings }) => dairyCoverings.length > 0,
    ({ dairyCoverings }) =>
      `No dairy was asked, and ${dairyCoverings.join(' and ')} is usually made with it. Use a recipe without, or another covering.`,
  ),

  rule(
    'event-past',
    'brief',
    'stop',
    ({ eventAt, now }) => eventAt < now,
    ({ eventAt }) => `The event, ${dayClockText(eventAt)}, has gone by. Set its day and hour.`,
  ),
  rule(
    'board',
    'tiers',
    'look',
    ({ boardTooSmall }) => boardTooSmall,
    () => 'The board is smaller than the lowest tier.',
  ),
  rule(
    'sweep-above',
    'arrange',
    'look',
    ({ aboveTop }) => aboveTop.length > 0,
    (facts) =>
      `${facts.aboveTop.map(({ name }) => name).join(', ')}: the sweep ends ` +
      `${length(Math.max(...facts.aboveTop.map(({ byMm }) => byMm)), facts)} above the top of the cake, where no side ` +
      `holds a foot. End it lower.`,
  ),
  rule(
    'unfit-paper',
    'arrange',
    'stop',
    ({ unfitPapers }) => unfitPapers.length > 0,
    ({ unfitPapers }) => unfitPapers.map(({ because }) => because).join(' '),
  ),
  rule(
    'unwanted-ingredient',
    'arrange',
    'look',
    ({ unwantedIngredients }) => unwantedIngredients.length > 0,
    ({ unwantedIngredients }) =>
      unwantedIngredients
        .map(({ name, ingredient }) => `No ${ingredient} was asked, and ${name} is made with it.`)
        .join(' '),
  ),
  rule(
    'stray-accents',
    'arrange',
    'look',
    ({ strayAccents }) => strayAccents.length > 0,
    ({ strayAccents }) =>
      `What the ${strayAccents.join(' and ')} went with is gone from the cake. Let them go with something else, or remove them.`,
  ),
  rule(
    'for-show',
    'arrange',
    'note',
    ({ forShow }) => forShow.length > 0,
    ({ forShow }) => `For show only, off before the cake is cut: ${forShow.join(', ')}. They are on the removal list.`,
  ),
  rule(
    'narrow-ledge',
    'arrange',
    'look',
    ({ narrowLedge }) => narrowLedge !== null,
    (facts) =>
      `The ledge under “${facts.narrowLedge!.bouquet}” is ${length(facts.narrowLedge!.mm, facts)} at its ` +
      `narrowest: holders want ${length(HOLDER_ROOM_MM, facts)}. Set it over the ` +
      `shoulder, or stand the holders where the ledge is wider.`,
  ),
  rule(
    'not-placed',
    'arrange',
    'look',
    ({ notPlaced }) => notPlaced.length > 0,
    ({ notPlaced }) => `No place was found for ${notPlaced.join(', ')}: make it smaller, or give it more room.`,
  ),
  rule(
    'larger-than-sheet',
    'cut',
    'stop',
    ({ largerThanSheet, unfitPapers }) => largerThanSheet.length > 0 && unfitPapers.length === 0,
    ({ largerThanSheet }) =>
      `Some pieces for ${largerThanSheet.map(({ name }) => name).join(', ')} lie on no sheet. ${largerThanSheet[0]!.why}`,
  ),
  rule(
    'no-sheets',
    'cut',
    'look',
    ({ noSheets }) => noSheets.length > 0,
    ({ noSheets }) =>
      `No size of ${noSheets.join(' and ')} is in use; the usual one is reckoned with. Tick yours in Cut.`,
  ),
  rule(
    'short-reach',
    'arrange',
    'look',
    ({ shortReach }) => shortReach.length > 0,
    (facts) =>
      facts.shortReach
        .map(
          ({ called, count, byMm }) =>
            `${count} of the ${called} ${count === 1 ? 'stays' : 'stay'} up to ${length(byMm, facts)} lower than wished: ` +
            `no disc in use reaches. Lower the seen height, shorten the foot, or use larger discs.`,
        )
        .join(' '),
  ),
  rule(
    'sheets-short',
    'cut',
    'look',
    ({ sheetsShort }) => sheetsShort.length > 0,
    ({ sheetsShort }) =>
      `Not enough on the shelf: ${sheetsShort.map(({ name, missing }) => `${missing} more of ${name}`).join('; ')}.`,
  ),
  rule(
    'colour-miss',
    'tint',
    'look',
    ({ outOfReach }) => outOfReach.length > 0,
    ({ outOfReach }) =>
      `The deepest colour cannot be reached with these dyes: ${outOfReach.join(', ')}. The swatch shows the nearest.`,
  ),
  rule(
    'colour-stops',
    'tint',
    'stop',
    (facts) => unsuited(facts, 'stop').length > 0,
    (facts) =>
      unsuited(facts, 'stop')
        .map(({ decoration, say }) => `${decoration}: ${say}`)
        .join(' '),
  ),
  rule(
    'colour-unsuited',
    'tint',
    'look',
    (facts) => unsuited(facts, 'look').length > 0,
    (facts) =>
      unsuited(facts, 'look')
        .map(({ decoration, say }) => `${decoration}: ${say}`)
        .join(' '),
  ),
  rule(
    'bath-life',
    'tint',
    'look',
    ({ bathDays }) => bathDays > BATH_LIFE_DAYS,
    ({ bathDays }) =>
      `One bath serves ${Math.ceil(bathDays)} days of dipping. Keep it covered and cold, stir, and test a strip before ` +
      `each load; past ${BATH_LIFE_DAYS} days mix afresh.`,
  ),
  rule(
    'former-too-small',
    'dry',
    'look',
    ({ tooBigForFormer }) => tooBigForFormer > 0,
    ({ tooBigForFormer, former }) =>
      `${tooBigForFormer} ${tooBigForFormer === 1 ? 'piece is' : 'pieces are'} larger than a ${former} and will hang over its edge.`,
  ),
  rule(
    'never-sets',
    'dry',
    'stop',
    ({ setting }) => setting !== null && !setting.atAll,
    ({ roomHumidity }) =>
      `Soaked film is unlikely to set hard in a room at ${percent(roomHumidity)}. Dry in a cool oven, or bring the room ` +
      `under 60 %.`,
  ),
  rule(
    'paper-never-firm',
    'dry',
    'look',
    ({ paperNeverFirm }) => paperNeverFirm.length > 0,
    ({ paperNeverFirm, roomHumidity }) =>
      `At ${percent(roomHumidity)} wafer never stands firm: ${paperNeverFirm.join(', ')}. Dry it in a closed ` +
      `box with desiccant, in a cool oven, or dry the room; the timetable reckons with four times the usual rest.`,
  ),
  rule(
    'slow-set',
    'dry',
    'look',
    ({ setting }) => setting !== null && setting.atAll && setting.chance < 0.9,
    ({ roomHumidity, setting }) =>
      `At ${percent(roomHumidity)} the room is near the limit: film sets hard in about ${percent(setting!.chance)} of ` +
      `such rooms. Watch the first load, keep the oven ready.`,
  ),
  rule(
    'softens-in-room',
    'dry',
    'look',
    ({ inOven, roomHumidity }) => inOven && roomHumidity >= 0.71,
    ({ roomHumidity }) =>
      `Set in the oven, but soft again in a room at ${percent(roomHumidity)}: box each load airtight as soon as it is cool.`,
  ),
  rule(
    'venue-softens',
    'deliver',
    'look',
    ({ softens }) => softens !== null && softens.venueMin !== null && softens.venueMin < VENUE_NEEDS_MIN,
    ({ softens, venueHumidity }) =>
      `At the venue's ${percent(venueHumidity)} film goes soft in about ${printDuration(softens!.venueMin!)}: ` +
      `${softens!.names.join(', ')}. Place it last, keep the rest boxed.`,
  ),
  rule(
    'laid-too-early',
    'timetable',
    'look',
    ({ laidTooEarly }) => laidTooEarly.length > 0,
    ({ laidTooEarly }) =>
      laidTooEarly
        .map(
          ({ name, covering, from }) =>
            `${name} on ${covering} goes soft: not on the cake before ${dayClockText(from)}. ` +
            `Place it there, or put a thin film of fat between.`,
        )
        .join(' '),
  ),
  rule(
    'road-softens',
    'deliver',
    'look',
    ({ softens, roadMin }) => softens !== null && softens.roadMin !== null && softens.roadMin < roadMin + 30,
    ({ softens }) =>
      `In the car's air film on the cake goes soft in about ${printDuration(softens!.roadMin!)}: ` +
      `${softens!.names.join(', ')}. Dry the car's air, or place it at the venue.`,
  ),
  rule(
    'feet-wet',
    'arrange',
    'look',
    ({ feetOnWet }) => feetOnWet.length > 0,
    ({ feetOnWet }) =>
      `Feet on ${feetOnWet.join(' and ')} soften within minutes to hours. Place last, or stand each on a skewer.`,
  ),
  rule(
    'feet-moist',
    'arrange',
    'note',
    ({ feetOnMoist }) => feetOnMoist.length > 0,
    ({ feetOnMoist }) =>
      `Feet on ${feetOnMoist.join(' and ')} soften over hours: only what is set hard, and as late as you can.`,
  ),
  rule(
    'hot-oven',
    'dry',
    'note',
    ({ inOven }) => inOven,
    () => 'Trays at 80 °C burn: dry gloves, a clear place to put them down. Silicone clips stay out of the oven.',
  ),
  rule(
    'sticky',
    'dry',
    'note',
    ({ isSoaked }) => isSoaked,
    () => 'Wet film is very sticky and tears: one piece in the water at a time.',
  ),
  rule(
    'warm-water',
    'dry',
    'note',
    ({ isSoaked }) => isSoaked,
    () => 'Soak in boiled, cooled water, in a dish kept for food.',
  ),
  rule(
    'blade',
    'cut',
    'note',
    ({ isCut }) => isCut,
    ({ isSoaked }) =>
      `Scissors and blades: cut away from the hand${isSoaked ? '; sweep up the sharp flakes of dry film' : ''}.`,
  ),
  rule(
    'food-colour',
    'tint',
    'note',
    ({ isColoured }) => isColoured,
    () => 'Use colours sold as edible, within the amount on their label; some are restricted in some countries.',
  ),
]

/** Everything to know about a plan, what stops it first. */
export function judge(facts: Facts): readonly Caution[] {
  const order = { stop: 0, look: 1, note: 2 } as const
  return RULES.map((each) => each(facts))
    .filter((caution) => caution !== null)
    .sort((one, other) => order[one.severity] - order[other.severity])
}
