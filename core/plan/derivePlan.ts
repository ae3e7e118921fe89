/** The plan: a chain of stages, each worked out from those before it. Nothing turns back. */
import { chosenOption } from '../commission'
import { mixturesFor, unwantedOf } from '../mixture'
import type { Plan, PlanInputs, TallyFigure } from './plan'
import { fitting, travellingOf } from './stages/boxFit'
import { careCardOf } from './stages/care'
import { inedibleOf } from './stages/inedible'
import { cautionsFor } from './stages/judge'
import { asColoured } from './stages/liquids'
import { laidTooEarlyOf } from './stages/onTheCake'
import { placeStage } from './stages/place'
import { rememberStages, type RememberedStages } from './stages/remembered'
import { eventAtOf, warmingAir } from './stages/road'
import { picksIn, placedSetMin, QUICK_WALKS, startByWorking, toSchedule, type ToDo } from './stages/schedule'
import { supplyStage } from './stages/supply'
import { figuresAhead, leafStatesOf, tallyOf } from './stages/tally'
import { toColour } from './stages/tint'
import { wireStage } from './stages/wires'

/** From what is wanted and what is there to where everything stands and how it travels. */
function placed(stages: RememberedStages, { commission, workshop }: PlanInputs) {
  const { brief } = commission
  const option = chosenOption(commission)
  const { cake } = option
  const { shrinkTrials, dryingTrials, runs, room, learnFrom, stepMinutes } = workshop
  const learned = stages.learn({ shrinkTrials, dryingTrials, runs, room, learnFrom })

  const stack = stages.stack({ tiers: cake.tiers })
  const airs = { workroom: brief.workroom, venue: brief.venue }
  const cakeFacts = stages.cake({ cake, stack, air: warmingAir(brief), ...airs, fridgeC: workshop.fridgeC })
  const { travelling, mostTopMm } = travellingOf(brief, option)
  const { papers: shelf, tools } = workshop
  const unwanted = unwantedOf(brief.limits)
  const toPlace = { option, stack, shelf, punchesMm: tools.punchesMm, stepMinutes, learned, unwanted }
  const standing = placeStage({ ...toPlace, mostTopMm }, stages)

  const asWished = () => placeStage({ ...toPlace, mostTopMm: null }, stages).decorations
  const fits = fitting(cake, brief.box, stack, travelling, standing.decorations, asWished)
  return { option, learned, stack, cakeFacts, fits, ...standing }
}

type Placed = ReturnType<typeof placed>

/** From where everything stands to sheets, colours and rests. */
function cutColouredDried(stages: RememberedStages, inputs: PlanInputs, { option, decorations, learned }: Placed) {
  const { commission, workshop, nested = {} } = inputs
  const { brief } = commission
  const made = decorations.filter(({ elements }) => elements.length > 0)
  const paper = stages.paper({ made, commission, workshop, nested })
  const { groups } = paper

  const coloured = toColour(option.decorations, made, paper.liquids)
  const { dyes: shelf, dyeTrials: trials } = workshop
  const dishes = stages.tint({ coloured, groups, shelf, trials, tray: option.tray, limits: brief.limits })
  const liquids = asColoured(paper.liquids, dishes.dishes)
  const mixtures = mixturesFor(Object.values(liquids).flat(), unwantedOf(brief.limits))

  const { workroom, venue, transport } = brief
  const slowing = stages.slowing(workroom)
  const climates = { workroom, venue, transport: { airC: transport.airC, humidity: transport.humidity } }
  const known = { learned: learned.drying, limit: learned.limit, desiccantG: workshop.desiccantG }
  const dryings = stages.dry({ decorations: made, ...climates, ...known })
  const coverings = option.cake.tiers.map(({ covering }) => covering)
  const onTheCake = stages.onTheCake({ coverings, air: venue, eventAt: eventAtOf(brief) })
  return { ...paper, liquids, mixtures, dishes, made, slowing, dryings, onTheCake }
}

type CutColouredDried = ReturnType<typeof cutColouredDried>

/** From pieces and rests to turns, and to all that is to be done. */
function workToDo(
  stages: RememberedStages,
  inputs: PlanInputs,
  { option, learned, cakeFacts }: Placed,
  { made, groups, dishes, dryings, slowing }: CutColouredDried,
) {
  const { commission, workshop, others = [] } = inputs
  const { brief, bench } = commission
  const { mats, trays, ovenPlaces, moulds, pace, stepMinutes } = workshop
  const places = { mats, trays, ovenPlaces, moulds }
  const hands = { learned: { drying: learned.drying, hands: learned.hands }, pace, stepMinutes }
  const rests = { dryings, slowing, unwanted: unwantedOf(brief.limits), recuts: bench.recuts }
  const making = stages.work({ decorations: made, groups, baths: dishes.baths, ...rests, ...hands, ...places })

  const counted = { picks: picksIn(made), setMin: placedSetMin(made) }
  const wanted = { ...toSchedule(brief, option, workshop), ...counted, warmMin: cakeFacts.warmMin, others }
  const toDo = stages.toDo({ ...wanted, making, hands: learned.hands })
  return { toDo, work: toDo.work, tooBig: making.tooBig, neverDry: making.neverSet }
}

/** From all that is to be done to hours, which takes longest. */
function hoursFor(
  stages: RememberedStages,
  { commission: { bench }, now, walks = QUICK_WALKS }: PlanInputs,
  toDo: ToDo,
): Plan['timetable'] {
  const scheduled = stages.schedule({ toDo, walks })
  const since = bench.tasks.length > 0 ? (bench.handedOver?.at ?? now) : 0
  return stages.timetable({ toDo, scheduled, walks, tasks: bench.tasks, now: since })
}

/** Told of figures while a plan is still being worked out. */
type TellAhead = (figures: readonly TallyFigure[]) => void

function planWith(stages: RememberedStages, inputs: PlanInputs, tellAhead?: TellAhead): Plan {
  const { workshop, units, commission } = inputs
  const { brief } = commission
  const onCake = placed(stages, inputs)
  const { option, learned, stack, cakeFacts, fits, decorations, bouquets, accents } = onCake
  const prepared = cutColouredDried(stages, inputs, onCake)
  const { groups, sheets, torn, liquids, mixtures, dishes, made, slowing, dryings, onTheCake } = prepared
  const { cake, ownPieces } = option

  const { toDo, work, tooBig, neverDry } = workToDo(stages, inputs, onCake, prepared)
  const supplied = supplyStage({ sheets, dishes, handsOn: work.total, shelf: workshop })
  const toTally = { decorations, sheets, dishes, ownPieces, work, units, cost: supplied.cost }
  tellAhead?.(figuresAhead(toTally))
  const timetable = hoursFor(stages, inputs, toDo)

  const wires = wireStage({ decorations })
  const { holders } = wires
  const inedible = inedibleOf({ cake, facts: cakeFacts, decorations, holders, accents })
  const careCard = careCardOf({ ...onCake, ...prepared, cake, decorations: made, inedible, venue: brief.venue })

  const conditioned = stages.conditioned({
    decorations,
    unwanted: unwantedOf(brief.limits),
    room: brief.workroom,
  })
  const laidTooEarly = laidTooEarlyOf(onTheCake, decorations, timetable.ok ? timetable.value.slots : [])
  const facts = { ...onCake, ...prepared, ...supplied, fit: fits.fit, timetable, tooBig, neverDry, laidTooEarly }
  const cautions = cautionsFor({ ...facts, inputs })

  const startBy = startByWorking(brief, workshop.pace, timetable, work)
  const tally = tallyOf({ ...toTally, timetable, startBy, cautions })
  const leafStates = leafStatesOf(cautions, option.decorations.length > 0)
  return {
    ...{
      learned,
      stack,
      decorations,
      bouquets,
      accents,
      cake: cakeFacts,
      ...fits,
      groups,
      sheets,
      torn,
      liquids,
      dishes,
    },
    ...{ slowing, conditioned, dryings, onTheCake, work, tooBig, timetable, ...supplied, wires, mixtures },
    ...{ careCard, inedible, cautions, tally, leafStates },
  }
}

/**
 * A planner that remembers each stage, for many edits of the same commission. Same inputs, same plan, whatever was
 * asked before. Who wants figures before hours are found, which takes longest, is told of them first.
 */
export function createPlanner(): (inputs: PlanInputs, tellAhead?: TellAhead) => Plan {
  const stages = rememberStages()
  return (inputs, tellAhead) => planWith(stages, inputs, tellAhead)
}

/** The plan that follows from a commission and a workshop. Pure: nothing else enters. */
export const derivePlan = (inputs: PlanInputs): Plan => createPlanner()(inputs)
