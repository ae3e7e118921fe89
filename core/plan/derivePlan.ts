import { stackTiers } from '../cake'
import { careCard } from '../care'
import { freePatches, type Standing } from '../compose'
import type { Layout } from '../technique'
import { shareDiscs, strokesOn, type CutDisc } from '../cut'
import { dryingRemedies, estimateDrying, type Climate, type DryingEstimate, type DryingLearned } from '../dry'
import { coveringOf, RICE_FILM, type PaperId } from '../material'
import { mixturesFor, unwantedOf } from '../mixture'
import { cutListFor, pieceAreaDm2, withRecuts, type CutList, type Piece } from '../piece'
import {
  derive,
  found,
  ok,
  sumOf,
  parseMoment,
  refuse,
  typed,
  valueOf,
  type Moment,
  type Result,
  type Working,
} from '../quantity'
import {
  fillFormers,
  findTimetable,
  paceWorking,
  timetableSince,
  workFor,
  type Former,
  type FormerLoad,
  type FoundTimetable,
  type Happened,
  type Making,
  type NoTimetable,
  type Person,
  type Stretch,
  type TimetableQuestion,
  type Work,
} from '../schedule'
import { costOf, discSupplies, dyeUses } from '../supply'
import { MOULD_WORDS, MOULDS, soakedSail, TECHNIQUES } from '../technique'
import type { Bench, Recut } from '../ledger'
import {
  learnedDye,
  learnedFrom,
  type Breakage,
  type Learned,
  type LearnedDye,
  type Ledger,
  type UsedFactor,
} from '../learn'
import {
  evenLadder,
  nearestStrength,
  recipeFor,
  SOAKED_FILM,
  STARTING_TRAY,
  steppedBath,
  type LadderStep,
  type SteppedBath,
} from '../tint'
import { accentStage, anchorsOf } from './accents'
import { arrange, type Arrangement } from './arrange'
import { bouquetStage, membersOf, plannedBouquet } from './bouquets'
import { fitting } from './boxFit'
import { cakeStage } from './cakeStage'
import { cautionsFor, tiersTouched } from './cautions'
import { allSheets, cuttingStage, ownWork } from './cutting'
import { dishStage } from './dishes'
import { chosenOption, type Commission, type PaperDecoration, type SailSweep } from './commission'
import type { Plan, PlanInputs } from './plan'
import { makingOf, neverFirmOf, slowingOf, type Slowing } from './making'
import { laidTooEarlyOf, onTheCakeStage } from './onTheCake'
import { learnedOf, paperworkStage, sparesOf, type Paperwork } from './paperwork'
import { inedibleOf } from './inedible'
import { remember } from './remember'
import { roadWorking } from './road'
import { discCount, leafStatesOf, tallyOf } from './tally'
import { wireStage } from './wiring'
import type { Workshop } from './workshop'

const RICE_FILM_ID: PaperId = 'riceFilm'
const DAMP: Pick<Climate, 'humidity'> = { humidity: 0.75 }
const UNDYED = { heart: '#efece2', tail: '#efece2', steps: 1, tray: STARTING_TRAY } as const
/** Orders of work tried for an answer at once. */
const QUICK_WALKS = 4
/** How often a timetable is lived through, when there is time for more than a quick answer. */
const RISK_RUNS = 200
const STARTING_DRYING: SailSweep['drying'] = { way: 'mat', soakWaterC: 38, ovenC: 80 }

type TintInputs = Pick<SailSweep['colour'], 'heart' | 'tail' | 'steps'> & {
  readonly shelf: Workshop['dyes']
  readonly trials: Workshop['dyeTrials']
}

/**
 * The colours of a sweep: dyes as their strips have them, the recipe of its heart from those in use, and shades from
 * tail to heart that look evenly stepped.
 */
function tintStage({ heart, tail, steps, shelf, trials }: TintInputs): Pick<Plan, 'mix' | 'ladder' | 'dyes'> {
  const dyes = shelf.map((dye) => learnedDye(dye, trials, SOAKED_FILM))
  const inUse = shelf.flatMap(({ inUse: isOn }, at) => (isOn ? [dyes[at]!.dye] : []))
  const mix = recipeFor(heart, inUse)
  return { dyes, mix, ladder: evenLadder(mix.dose, nearestStrength(mix.dose, tail, inUse), steps, inUse) }
}

type PieceInputs = {
  readonly elements: readonly { readonly sized: Arrangement['sails'][number]['sized']; readonly shade: number }[]
  readonly count: Working
  readonly breakage: Breakage | null
  readonly recuts: readonly Recut[]
}

/** The cut list and the discs it is laid on; pieces cut again come on what is left of them, then on fresh ones. */
function pieceStage({ elements, count, breakage, recuts }: PieceInputs): {
  cutList: CutList
  planned: CutList
  again: readonly (readonly Piece[])[]
  discs: readonly CutDisc[]
} {
  const planned = cutListFor(
    elements.map(({ sized }) => sized),
    count,
    sparesOf(soakedSail.spareShare, breakage),
    (element) => elements[element]!.shade,
  )
  const { cutList, again } = withRecuts(planned, recuts)
  return {
    cutList,
    planned,
    again,
    discs: again.reduce((discs, pieces) => shareDiscs(pieces, discs), shareDiscs(planned.pieces)),
  }
}

type BathInputs = {
  readonly dyes: readonly LearnedDye[]
  readonly pieces: readonly Piece[]
  readonly total: Working
  readonly ladder: readonly LadderStep[]
  readonly tray: SailSweep['colour']['tray']
}

/** One bath for all shades that have pieces, pale first. */
function bathStage({ dyes, pieces, total, ladder, tray }: BathInputs): SteppedBath | null {
  const batches = ladder.map((_, shade) => {
    const dipped = pieces.filter((piece) => piece.shade === shade)
    return { pieceCount: dipped.length, areaDm2: dipped.reduce((sum, piece) => sum + pieceAreaDm2(piece), 0) }
  })
  return pieces.length === 0
    ? null
    : steppedBath(
        ladder,
        batches,
        total,
        tray,
        dyes.map(({ dye }) => dye),
      )
}

type DryInputs = {
  readonly drying: SailSweep['drying']
  readonly workroom: Climate
  readonly venue: Climate
  readonly transport: Climate
  readonly learned: DryingLearned
}

const dryStage = ({ drying, workroom, venue, transport, learned }: DryInputs): DryingEstimate =>
  estimateDrying({
    sheet: RICE_FILM,
    way: drying.way,
    soakWaterC: drying.soakWaterC,
    ovenC: drying.ovenC,
    workroom,
    venue,
    transport,
    learned,
  })

/** What each technique begins with as spares. */
const STARTING_SPARES = Object.fromEntries([
  ...TECHNIQUES.map(({ id, spareShare }) => [id, spareShare.value]),
  [soakedSail.id, soakedSail.spareShare.value],
]) as Readonly<Record<string, number>>

type ScheduleInputs = {
  readonly brief: Pick<Commission['brief'], 'eventAt' | 'completion' | 'keeping'> & { readonly roadMin: number }
  readonly warmMin: number
  readonly workshop: Pick<Workshop, 'mats' | 'trays' | 'ovenPlaces' | 'hours' | 'pace' | 'moulds' | 'people' | 'busy'>
  readonly tiers: Working
  readonly others: readonly Stretch[]
  readonly pins: Readonly<Record<string, number>>
  readonly walks: number
  readonly cutList: CutList
  /** Pieces without those cut again, and these. */
  readonly planned: CutList
  readonly again: readonly (readonly Piece[])[]
  readonly sails: Working
  readonly gather: number
  readonly drying: DryingEstimate
  readonly making: readonly Making[]
  readonly hands: Learned['hands']
}

type Scheduled = {
  readonly loads: readonly FormerLoad[]
  readonly tooBig: number
  readonly work: Work
  readonly question: TimetableQuestion | null
  readonly found: Result<
    FoundTimetable,
    NoTimetable | { readonly code: 'never-sets' } | { readonly code: 'nothing-to-make' }
  >
}

/** Loads in the order of the bath, and one more for each time pieces were cut again. */
function loadsOf(
  planned: CutList,
  again: readonly (readonly Piece[])[],
  gather: number,
  former: Former,
): { readonly loads: readonly FormerLoad[]; readonly tooBig: number } {
  const first = fillFormers(planned.pieces, gather, former)
  const more = again.map((pieces) => fillFormers(pieces, gather, former))
  const loads = [...first.loads, ...more.flatMap((each) => each.loads.map((load) => ({ ...load, again: true })))].map(
    (load, at) => ({ ...load, number: at + 1 }),
  )
  return { loads, tooBig: first.tooBig.length + more.reduce((sum, { tooBig }) => sum + tooBig.length, 0) }
}

/** Loads on the formers, the work they make, and the latest timetable for it, before anything has happened. */
function scheduleStage({
  brief,
  warmMin,
  workshop,
  tiers,
  others,
  pins,
  walks,
  cutList,
  planned,
  again,
  sails,
  gather,
  drying,
  making,
  hands,
}: ScheduleInputs): Scheduled {
  const former = drying.way === 'mat' ? workshop.mats : workshop.trays
  const { loads, tooBig } = loadsOf(planned, again, gather, former)
  const work = workFor(cutList, loads, sails, drying.soak, brief.completion, workshop.pace, making, tiers, hands)
  const result = { loads, tooBig, work, question: null }
  const hasSails = cutList.pieces.length > 0
  if (!hasSails && making.length === 0) return { ...result, found: refuse({ code: 'nothing-to-make' }) }
  const { firm, set } = drying.ready
  if (hasSails && (!firm.planned || !set.planned)) return { ...result, found: refuse({ code: 'never-sets' }) }
  const question: TimetableQuestion = {
    eventAt: valueOf(parseMoment(brief.eventAt)),
    driveMin: brief.roadMin,
    warmMin,
    warmedFor: brief.keeping === 'roomTemperature' ? 'placing' : 'showing',
    aheadMin: workshop.pace.aheadMin,
    completion: brief.completion,
    work,
    times: {
      onFormerMin: Math.ceil(firm.planned?.value ?? 0),
      untilSetMin: Math.ceil(set.planned?.value ?? 0),
      ovenMin: drying.way === 'oven' ? Math.ceil(set.planned?.value ?? 0) : null,
    },
    formers: { name: drying.way === 'mat' ? 'mat' : 'tray', count: former.count },
    ovenPlaces: workshop.ovenPlaces,
    moulds: MOULDS.map((id) => ({ id, name: MOULD_WORDS[id], count: workshop.moulds[id] })),
    people: peopleOf(workshop, others),
    pins,
  }
  return { ...result, question, found: findTimetable(question, walks) }
}

type SinceInputs = {
  readonly scheduled: Scheduled
  readonly walks: number
  readonly tasks: Bench['tasks']
  readonly now: Moment
}

/** The timetable as it has gone so far, and as it goes on from now. */
function timetableStage({
  scheduled: { found: schedule, question },
  walks,
  tasks,
  now,
}: SinceInputs): Plan['timetable'] {
  if (!schedule.ok || !question) return schedule.ok ? refuse({ code: 'nothing-to-make' }) : schedule
  const happened = new Map(
    tasks.map(({ task, begunAt, doneAt }): readonly [string, Happened] => [task, { from: begunAt, to: doneAt }]),
  )
  return ok(
    timetableSince(
      schedule.value,
      question,
      walks,
      walks > QUICK_WALKS ? RISK_RUNS : 0,
      happened.size > 0 ? { happened, now } : null,
    ),
  )
}

/**
 * Everybody works the studio's hours; the first of them is the one whose calendar is known, and who does what other
 * commissions ask.
 */
const peopleOf = (
  { people, hours, busy }: Pick<Workshop, 'people' | 'hours' | 'busy'>,
  others: readonly Stretch[],
): readonly Person[] =>
  Array.from({ length: people }, (_, at) => ({
    id: `hands-${at + 1}`,
    name: people === 1 ? 'hands' : `hands ${at + 1}`,
    hours,
    busy: at === 0 ? [...busy, ...others] : [],
  }))

/** The hour to start with its working, down to the event and the drive. */
function startByWorking(
  { commission, workshop }: PlanInputs,
  timetable: Plan['timetable'],
  loads: number,
  work: Work,
  drying: DryingEstimate,
): Working | null {
  if (!timetable.ok) return null
  const { leaveAt, startBy } = timetable.value
  const atVenue = commission.brief.completion === 'atVenue'
  const inputs = {
    event: typed('event', valueOf(parseMoment(commission.brief.eventAt)), 'moment', 'Brief'),
    before: paceWorking(workshop.pace, 'aheadMin'),
    drive: roadWorking(commission.brief),
    ...(atVenue ? { place: work.place } : {}),
  }
  const leave = derive(
    'leave by',
    'moment',
    'back from the event',
    `{event} − {before}${atVenue ? ' − {place}' : ''} − {drive}`,
    inputs,
    () => leaveAt,
  )
  const former = drying.way === 'mat' ? 'mats' : 'trays'
  const shared = { leave, hands: work.total, carLoad: paceWorking(workshop.pace, 'loadMin') }
  if (!drying.ready.firm.planned || !drying.ready.set.planned || loads === 0) {
    return derive(
      'start by',
      'moment',
      'walked back in working hours',
      `the latest beginning found, back from {leave}: {hands} of work in working hours, {carLoad}`,
      shared,
      () => startBy,
    )
  }
  return derive(
    'start by',
    'moment',
    'walked back in working hours',
    `the latest beginning found, back from {leave}: {loads} on {formers}, each {firm} before it leaves, ` +
      `the last {set} before it is chosen, {hands} of work in working hours, {carLoad}`,
    {
      ...shared,
      loads: derive(
        'loads',
        'count',
        'pieces on formers',
        `pieces laid on {formers} until none is left`,
        { formers: typed(former, drying.way === 'mat' ? workshop.mats.count : workshop.trays.count, 'count', 'Dry') },
        () => loads,
      ),
      formers: typed(former, drying.way === 'mat' ? workshop.mats.count : workshop.trays.count, 'count', 'Dry'),
      firm: drying.ready.firm.planned,
      set: drying.ready.set.planned,
    },
    () => startBy,
  )
}

const usedDyes = (bath: SteppedBath | null, dyes: readonly LearnedDye[]): readonly string[] =>
  bath
    ? dyes.flatMap(({ dye: { id, name } }) =>
        bath.steps.some(({ wholeDrops }) => (wholeDrops[id] ?? 0) > 0) ? [id, name.toLowerCase()] : [],
      )
    : []

type Stages = ReturnType<typeof rememberStages>

/** The slow stages, each remembered by its inputs. */
const rememberStages = () => ({
  stack: remember(stackTiers),
  arrange: remember(arrange),
  bouquet: remember(bouquetStage),
  paperwork: remember(paperworkStage),
  cutting: remember(cuttingStage),
  accent: remember(accentStage),
  cake: remember(cakeStage),
  tint: remember(tintStage),
  learned: remember((ledger: Ledger) => learnedFrom(ledger, STARTING_SPARES)),
  pieces: remember(pieceStage),
  bath: remember(bathStage),
  dishes: remember(dishStage),
  dry: remember(dryStage),
  slowing: remember(slowingOf),
  making: remember(
    ({
      made,
      slowing,
      drying,
      recuts,
    }: {
      readonly made: Paperwork
      readonly slowing: Slowing
      readonly drying: UsedFactor | null
      readonly recuts: readonly Recut[]
    }) => makingOf(made, slowing, drying, recuts),
  ),
  remedies: remember(({ room, ovenC }: { readonly room: Climate; readonly ovenC: number }) =>
    dryingRemedies(RICE_FILM, room, ovenC),
  ),
  onTheCake: remember(onTheCakeStage),
  schedule: remember(scheduleStage),
  timetable: remember(timetableStage),
})

/**
 * Decorations one after the other, each keeping off what it is told to of those before it. @param mostTopMm how high
 * they may reach above the board, if they travel on the cake
 */
function paperworkOf(
  stages: Stages,
  wanted: readonly PaperDecoration[],
  laid: ReadonlyMap<string, Layout>,
  { stack, sails }: Arrangement,
  mostTopMm: number | null,
  learned: Learned,
): readonly Paperwork[] {
  const standing: Standing[] = sails.map(({ element, sized }) => ({
    elements: [{ ...element, size: 1 }],
    seen: { widthMm: sized.seenWidthMm, heightMm: sized.seenHeightMm },
    hasSeams: false,
  }))
  return wanted.map((decoration) => {
    const made = stages.paperwork({
      decoration,
      stack,
      free: freePatches(decoration.quiet, standing, stack),
      mostTopMm,
      laid: laid.get(decoration.id) ?? null,
      learned: learnedOf(learned, decoration.technique),
    })
    standing.push({ elements: made.elements, seen: made.seen, hasSeams: made.onTheCake })
    return made
  })
}

function planWith(stages: Stages, inputs: PlanInputs): Plan {
  const { commission, workshop } = inputs
  const { brief } = commission
  const {
    cake,
    decorations,
    paperwork: wanted,
    bouquets: gatherings,
    accents,
    keptSheets,
    ownPieces,
    pins,
    tiersApart,
  } = chosenOption(commission)
  const decoration = decorations[0] ?? null
  const discsMm = workshop.discs.filter(({ inUse }) => inUse).map(({ diameterMm }) => diameterMm)
  const colour = decoration?.colour ?? UNDYED
  const drying = decoration?.drying ?? STARTING_DRYING

  const { shrinkTrials, dryingTrials, runs, room, learnFrom } = workshop
  const learned = stages.learned({ shrinkTrials, dryingTrials, runs, room, learnFrom })
  const { bench } = commission
  const arrangement = stages.arrange({
    stack: stages.stack({ tiers: cake.tiers }),
    decoration,
    discsMm,
    shrinks: learned.shrink,
  })
  const warmsInWorkroom = brief.completion === 'beforeDriving' && brief.keeping === 'roomTemperature'
  const mostTopMm = brief.completion === 'beforeDriving' ? brief.box.heightMm - cake.board.thicknessMm : null
  const packed = gatherings.map((bouquet) => {
    const members = membersOf(bouquet, wanted)
    return { bouquet, members, packing: stages.bouquet({ bouquet, members, stack: arrangement.stack, mostTopMm }) }
  })
  const paperwork = paperworkOf(
    stages,
    wanted,
    new Map(packed.flatMap(({ packing }) => [...packing.layouts])),
    arrangement,
    mostTopMm,
    learned,
  )
  const groups = stages.cutting({
    work: [
      ...paperwork.map(({ id, paper, format, classes, cutting }) => ({ id, paper, format, classes, cutting })),
      ...ownPieces.map((own) => ownWork(own)),
    ],
    tools: workshop.tools,
    kept: keptSheets,
    remnants: workshop.remnants.filter(({ from }) => from !== commission.id),
    nested: inputs.nested ?? {},
  })
  const planned = accents.map((accent) =>
    stages.accent({ accent, anchors: anchorsOf(accent.follows, arrangement, paperwork), stack: arrangement.stack }),
  )
  const slowing = stages.slowing(brief.workroom)
  const making = paperwork
    .filter(({ elements }) => elements.length > 0)
    .map((made) =>
      stages.making({
        made,
        slowing,
        drying: learned.drying[made.paper] ?? null,
        recuts: bench.recuts.filter(({ part }) => part.startsWith(`${made.id}/`)),
      }),
    )
  const cakeFacts = stages.cake({
    cake,
    stack: arrangement.stack,
    air: warmsInWorkroom ? brief.workroom : brief.venue,
    fridgeC: workshop.fridgeC,
  })
  const { fit, finished, remedies } = fitting(
    cake,
    brief.box,
    arrangement,
    { sailsOn: brief.completion === 'beforeDriving', tiersApart: Math.min(tiersApart, cake.tiers.length - 1) },
    paperwork,
  )
  const { mix, ladder, dyes } = stages.tint({
    heart: colour.heart,
    tail: colour.tail,
    steps: colour.steps,
    shelf: workshop.dyes,
    trials: workshop.dyeTrials,
  })
  const {
    cutList,
    planned: plannedCuts,
    again,
    discs,
  } = stages.pieces({
    elements: arrangement.sails.map(({ sized, shade }) => ({ sized, shade })),
    count: arrangement.count,
    breakage: learned.breakage[soakedSail.id] ?? null,
    recuts: bench.recuts.filter(({ part }) => part.startsWith('sails/')),
  })
  const bath = stages.bath({ dyes, pieces: cutList.pieces, total: cutList.total, ladder, tray: colour.tray })
  const dishes = stages.dishes({
    coloured: wanted.flatMap(({ id, technique, colouring, finishes }, at) => {
      const made = paperwork[at]!
      return made.elements.length > 0 ? [{ decoration: { id, technique, colouring, finishes }, made }] : []
    }),
    groups: groups
      .filter(({ colour: all }) => all !== null)
      .map(({ parts, colour: all, sheets, format, paper }) => ({ parts, colour: all, sheets, format, paper })),
    shelf: workshop.dyes,
    trials: workshop.dyeTrials,
    tray: colour.tray,
    limits: brief.limits,
  })
  const { airC, humidity } = brief.transport
  const climates = { workroom: brief.workroom, venue: brief.venue, transport: { airC, humidity } }
  const dryingLearned = { factor: learned.drying[RICE_FILM_ID] ?? null, limit: learned.limit }
  const estimate = stages.dry({ drying, ...climates, learned: dryingLearned })
  const dryingWhenDamp = stages.dry({
    drying,
    ...climates,
    learned: dryingLearned,
    workroom: { ...brief.workroom, ...DAMP },
  })
  const walks = inputs.walks ?? QUICK_WALKS
  const scheduled = stages.schedule({
    brief: {
      eventAt: brief.eventAt,
      completion: brief.completion,
      keeping: brief.keeping,
      roadMin: roadWorking(brief).value,
    },
    warmMin: Math.ceil(cakeFacts.slowest?.cautious?.value ?? 0),
    workshop: {
      mats: workshop.mats,
      trays: workshop.trays,
      ovenPlaces: workshop.ovenPlaces,
      hours: workshop.hours,
      pace: workshop.pace,
      moulds: workshop.moulds,
      people: workshop.people,
      busy: workshop.busy,
    },
    tiers: typed('tiers', cake.tiers.length, 'count', 'Tiers'),
    others: inputs.others ?? [],
    pins,
    walks,
    cutList,
    planned: plannedCuts,
    again,
    hands: learned.hands,
    sails: arrangement.count,
    gather: decoration?.sail.gather ?? soakedSail.startingParameters.gather,
    drying: estimate,
    making,
  })
  const { loads, tooBig, work } = scheduled
  const timetable = stages.timetable({
    scheduled,
    walks,
    tasks: bench.tasks,
    now: bench.tasks.length > 0 ? (bench.handedOver?.at ?? inputs.now) : 0,
  })
  const supplies = discSupplies(discs, workshop.discs)
  const startBy = startByWorking(inputs, timetable, loads.length, work, estimate)
  const skewers = derive(
    'wooden skewers',
    'count',
    'of all sails',
    '{sails} × {each}',
    {
      sails: arrangement.count,
      each: found(
        'in one',
        decoration ? soakedSail.holdingParts(decoration.sail).reduce((sum, part) => sum + part.perElement, 0) : 0,
        'count',
        'by the technique',
      ),
    },
    (v) => v.sails * v.each,
  )
  const onTheCake = stages.onTheCake({
    coverings: cake.tiers.map(({ covering }) => covering),
    air: brief.venue,
    eventAt: valueOf(parseMoment(brief.eventAt)),
  })
  const cautions = cautionsFor({
    inputs,
    arrangement,
    paperwork,
    groups,
    accents: planned,
    cakeFacts,
    usedDyes: usedDyes(bath, dyes),
    fit,
    mixDifference: decoration ? mix.difference : 0,
    colourFaults: dishes.faults,
    supplies,
    timetable,
    drying: estimate,
    tooBig,
    neverFirm: neverFirmOf(paperwork, slowing),
    laidTooEarly: laidTooEarlyOf(onTheCake, paperwork, timetable.ok ? timetable.value.slots : []),
    noDiscs: discsMm.length === 0,
    hasDecoration: decoration !== null,
    skewered: decoration?.sail.skewered ?? false,
  })
  const uses = dyeUses(workshop.dyes, bath, dishes.dishes)
  const cost = costOf(
    supplies,
    allSheets(groups),
    sumOf(
      'colour',
      'volume',
      'dyes added up',
      uses.map(({ ml }) => ml),
    ),
    work.total,
    workshop.prices,
  )
  const strokes = derive(
    'cuts with the scissors',
    'count',
    'cuts on all discs',
    'cuts on {discs}',
    { discs: discCount(discs, cutList.total) },
    () => discs.reduce((sum, disc) => sum + strokesOn(disc), 0),
  )
  const wires = wireStage({ paperwork })
  const inedible = inedibleOf({ cake, facts: cakeFacts, skewers, paperwork, holders: wires.holders, accents: planned })
  const noStart =
    !timetable.ok && timetable.error.code === 'never-sets'
      ? 'not in this room'
      : timetable.ok
        ? ''
        : timetable.error.code === 'nothing-to-make'
          ? 'nothing yet'
          : 'not possible'
  return {
    learned,
    arrangement,
    paperwork,
    bouquets: packed.map(({ bouquet, members, packing }) => plannedBouquet(bouquet, members, packing)),
    wires,
    mixtures: mixturesFor(
      paperwork.flatMap(({ liquids }) => liquids),
      unwantedOf(brief.limits),
    ),
    accents: planned,
    cake: cakeFacts,
    fit,
    finished,
    remedies,
    cost,
    mix,
    ladder,
    dyes,
    cutList,
    discs,
    strokes,
    groups,
    supplies,
    bath,
    dishes,
    dyeUses: uses,
    drying: estimate,
    dryingWhenDamp,
    dryingRemedies: decoration ? stages.remedies({ room: brief.workroom, ovenC: drying.ovenC }) : [],
    slowing,
    onTheCake,
    loads,
    work,
    timetable,
    inedible,
    cautions,
    careCard: careCard({
      sails: arrangement.count.value,
      glues: [...new Set(tiersTouched(arrangement).map(({ covering }) => coveringOf(covering).glue))],
      venueHumidity: brief.venue.humidity,
      venueSoftMin: estimate.venueSoftMin,
      paper: paperwork
        .filter(({ elements }) => elements.length > 0)
        .map(({ name, removals }) => ({ name: name.toLowerCase(), isWired: removals.some(({ stays }) => stays) })),
      inedible: inedible.map(({ id, name, count: { value }, where, stays }) => ({
        id,
        name,
        count: value,
        where,
        stays,
      })),
      accents: planned.map(({ many, count, edible }) => ({ many, count: count.value, edible })),
      dummyTiers: cake.tiers.flatMap(({ covering, inside }, at) =>
        covering === 'dummy' || inside === 'dummy' ? [`Tier ${at + 1} from the bottom`] : [],
      ),
    }),
    tally: tallyOf({
      arrangement,
      groups,
      pieces: cutList.total,
      discs,
      loads: loads.length,
      leaveAt: timetable.ok ? timetable.value.leaveAt : null,
      bath,
      handsOn: work.total,
      cost,
      startBy,
      noStart,
      cautions,
      units: inputs.units,
    }),
    leafStates: leafStatesOf(cautions, arrangement.sails.length > 0, paperwork.length > 0),
  }
}

/**
 * A planner that remembers each stage, for many edits of the same commission. Same inputs, same plan, whatever was
 * asked before.
 */
export function createPlanner(): (inputs: PlanInputs) => Plan {
  const stages = rememberStages()
  return (inputs) => planWith(stages, inputs)
}

/** The plan that follows from a commission and a workshop. Pure: nothing else enters. */
export const derivePlan = (inputs: PlanInputs): Plan => createPlanner()(inputs)
