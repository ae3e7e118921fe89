/** The plan: a chain of stages, each worked out from those before it. Nothing turns back. */
import { stackTiers } from '../cake'
import { chosenOption } from '../commission'
import { plannedDecoration } from '../decoration'
import { learnedFrom } from '../learn'
import { mixturesFor, unwantedOf } from '../mixture'
import { sumOf, typed } from '../quantity'
import { costOf, dyeUses, sheetSupplies } from '../supply'
import { TECHNIQUES } from '../technique'
import type { Plan, PlanInputs } from './plan'
import { remember } from './remember'
import { accentStage } from './stages/accents'
import { bouquetStage } from './stages/bouquets'
import { fitting } from './stages/boxFit'
import { cakeStage } from './stages/cake'
import { careCardOf } from './stages/care'
import { cutStage, ownWork, sheetNeeds } from './stages/cut'
import { dryStage, neverFirmOf, slowingOf } from './stages/dry'
import { inedibleOf } from './stages/inedible'
import { cautionsFor } from './stages/judge'
import { laidTooEarlyOf, onTheCakeStage } from './stages/onTheCake'
import { placeStage } from './stages/place'
import { eventAtOf, roadWorking } from './stages/road'
import { QUICK_WALKS, scheduleStage, startByWorking, timetableStage } from './stages/schedule'
import { leafStatesOf, noStartWords, tallyOf } from './stages/tally'
import { tintStage } from './stages/tint'
import { wireStage } from './stages/wires'
import { workStage } from './stages/work'

/** What each technique begins with as spares. */
const STARTING_SPARES = Object.fromEntries(TECHNIQUES.map(({ id, spareShare }) => [id, spareShare.value]))

/** The slow stages, each remembered by its inputs. */
const rememberStages = () => ({
  learn: remember((ledger: Parameters<typeof learnedFrom>[0]) => learnedFrom(ledger, STARTING_SPARES)),
  stack: remember(stackTiers),
  cake: remember(cakeStage),
  bouquet: remember(bouquetStage),
  decoration: remember(plannedDecoration),
  accent: remember(accentStage),
  cut: remember(cutStage),
  tint: remember(tintStage),
  slowing: remember(slowingOf),
  dry: remember(dryStage),
  onTheCake: remember(onTheCakeStage),
  work: remember(workStage),
  schedule: remember(scheduleStage),
  timetable: remember(timetableStage),
})

function planWith(stages: ReturnType<typeof rememberStages>, inputs: PlanInputs): Plan {
  const { commission, workshop, units, walks = QUICK_WALKS } = inputs
  const { brief, bench } = commission
  const option = chosenOption(commission)
  const { cake } = option
  const { shrinkTrials, dryingTrials, runs, room, learnFrom, mats, trays, ovenPlaces, moulds } = workshop

  const learned = stages.learn({ shrinkTrials, dryingTrials, runs, room, learnFrom })

  const stack = stages.stack({ tiers: cake.tiers })
  const isDecoratedHere = brief.completion === 'beforeDriving'
  const warmsHere = isDecoratedHere && brief.keeping === 'roomTemperature'
  const air = warmsHere ? brief.workroom : brief.venue
  const cakeFacts = stages.cake({ cake, stack, air, fridgeC: workshop.fridgeC })

  const mostTopMm = isDecoratedHere ? brief.box.heightMm - cake.board.thicknessMm : null
  const { papers: shelf, stepMinutes } = workshop
  const toPlace = { option, stack, shelf, stepMinutes, learned }
  const placed = placeStage({ ...toPlace, mostTopMm }, stages)
  const { decorations, bouquets, accents } = placed
  const made = decorations.filter(({ elements }) => elements.length > 0)
  const apart = Math.min(option.tiersApart, cake.tiers.length - 1)
  const travelling = { decorated: isDecoratedHere, tiersApart: apart }
  const asWished = () => placeStage({ ...toPlace, mostTopMm: null }, stages).decorations
  const fits = fitting(cake, brief.box, stack, travelling, decorations, asWished)

  const remnants = workshop.remnants.filter(({ from }) => from !== commission.id)
  const cuttable = decorations.map(({ id, paper, shapes, classes, cutting }) => ({
    id,
    paper,
    shapes,
    classes,
    cutting,
  }))
  const groups = stages.cut({
    work: [...cuttable, ...option.ownPieces.map(ownWork)],
    tools: workshop.tools,
    kept: option.keptSheets,
    remnants,
    nested: inputs.nested ?? {},
    again: bench.recuts.map(({ part, many }) => ({ part, many })),
  })
  const sheets = sheetNeeds(groups)

  const coloured = option.decorations.flatMap((decoration, at) =>
    decorations[at]!.elements.length > 0 ? [{ decoration, made: decorations[at]! }] : [],
  )
  const { dyes, dyeTrials: trials } = workshop
  const dishes = stages.tint({ coloured, groups, shelf: dyes, trials, tray: option.tray, limits: brief.limits })

  const slowing = stages.slowing(brief.workroom)
  const { airC, humidity } = brief.transport
  const climates = { workroom: brief.workroom, venue: brief.venue, transport: { airC, humidity } }
  const dryings = stages.dry({ decorations: made, ...climates, learned: learned.drying, limit: learned.limit })
  const eventAt = eventAtOf(brief)
  const onTheCake = stages.onTheCake({
    coverings: cake.tiers.map(({ covering }) => covering),
    air: brief.venue,
    eventAt,
  })

  const places = { mats, trays, ovenPlaces, moulds }
  const { pace } = workshop
  const { baths } = dishes
  const hands = { learned: { drying: learned.drying, hands: learned.hands }, pace, stepMinutes }
  const making = stages.work({ decorations: made, baths, dryings, slowing, recuts: bench.recuts, ...hands, ...places })

  const { eventAt: event, completion, keeping } = brief
  const scheduled = stages.schedule({
    brief: { eventAt: event, completion, keeping, roadMin: roadWorking(brief).value },
    warmMin: Math.ceil(cakeFacts.slowest?.cautious?.value ?? 0),
    workshop: { ...places, hours: workshop.hours, pace, people: workshop.people, busy: workshop.busy },
    tiers: typed('tiers', cake.tiers.length, 'count', 'Tiers'),
    others: inputs.others ?? [],
    pins: option.pins,
    walks,
    making,
    hands: learned.hands,
  })
  const now = bench.tasks.length > 0 ? (bench.handedOver?.at ?? inputs.now) : 0
  const timetable = stages.timetable({ scheduled, walks, tasks: bench.tasks, now })
  const { work } = scheduled

  const supplies = sheetSupplies(sheets, workshop.stock)
  const uses = dyeUses(dyes, baths, dishes.dishes)
  const colour = sumOf(
    'colour',
    'volume',
    'dyes added up',
    uses.map(({ ml }) => ml),
  )
  const cost = costOf(sheets, colour, work.total, workshop.prices)
  const wires = wireStage({ decorations })
  const inedible = inedibleOf({ cake, facts: cakeFacts, decorations, holders: wires.holders, accents })

  const neverFirm = neverFirmOf(decorations, slowing)
  const laidTooEarly = laidTooEarlyOf(onTheCake, decorations, timetable.ok ? timetable.value.slots : [])
  const judged = {
    groups,
    accents,
    cakeFacts,
    fit: fits.fit,
    dishes,
    supplies,
    timetable,
    dryings,
    neverFirm,
    laidTooEarly,
  }
  const cautions = cautionsFor({ inputs, stack, decorations, tooBig: making.tooBig, ...judged })

  const loads = work.making.flatMap(({ steps }) => steps.flatMap(({ turns, hold }) => (hold?.untilStep ? turns : [])))
  const figures = { decorations, sheets, dishes, handsOn: work.total, cost, cautions, units }
  const tally = tallyOf({
    ...figures,
    ownPieces: option.ownPieces.reduce((sum, { quantity }) => sum + quantity, 0),
    loads: loads.length,
    leaveAt: timetable.ok ? timetable.value.leaveAt : null,
    startBy: startByWorking(brief, pace, timetable, work),
    noStart: noStartWords(timetable),
  })
  return {
    ...{ learned, stack, decorations, bouquets, accents, cake: cakeFacts, ...fits, groups, sheets, dishes },
    ...{
      slowing,
      dryings,
      onTheCake,
      work,
      tooBig: making.tooBig,
      timetable,
      supplies,
      dyeUses: uses,
      cost,
      wires,
      inedible,
      cautions,
      tally,
    },
    mixtures: mixturesFor(
      decorations.flatMap(({ liquids }) => liquids),
      unwantedOf(brief.limits),
    ),
    careCard: careCardOf({ cake, stack, decorations: made, accents, inedible, dryings, onTheCake, venue: brief.venue }),
    leafStates: leafStatesOf(cautions, option.decorations.length > 0),
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
