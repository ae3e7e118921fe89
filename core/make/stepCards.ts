/**
 * The work of a job as one does it: a card for each task, with its amounts, what to do, what to watch, what can hurt,
 * its timers.
 */
import { chosenOption, type Commission } from '../commission'
import { stepKey, type PlannedDecoration } from '../decoration'
import { recordOf, type Bench, type TaskRecord } from '../ledger'
import { TIMED_RULE } from '../learn'
import { coveringOf } from '../material'
import { dryingOf, type Plan } from '../plan'
import { found, printWorkingValue, workingsBelow, type Moment, type UnitSystem, type Working } from '../quantity'
import {
  PLACE,
  type Load,
  type Making,
  type MakingStep,
  type Slot,
  type SlotKind,
  type TaskOf,
  type Turn,
} from '../schedule'
import { several } from '../quantity'
import { bathStep, type Bath } from '../tint'

/** A timer that a card offers. */
type OfferedTimer = { readonly name: string; readonly minutes: number }

/** What is seen on a card: what lies on its mat, sheets with their pieces, an element of a decoration, the cake. */
export type CardPicture =
  | { readonly kind: 'load'; readonly decoration: string; readonly load: Load; readonly former: 'mat' | 'tray' }
  | { readonly kind: 'sheets'; readonly decoration: string }
  | { readonly kind: 'element'; readonly decoration: string }
  | { readonly kind: 'cake' }

export type StepCard = {
  readonly task: string
  readonly kind: SlotKind
  /** Which step of which decoration it is; none at the cake and on the road. */
  readonly of: TaskOf | null
  readonly name: string
  readonly from: Moment
  readonly to: Moment
  readonly planned: Working
  readonly record: TaskRecord | null
  readonly say: readonly string[]
  readonly amounts: readonly { readonly label: string; readonly text: string }[]
  /** What is seen when it goes wrong, and why. */
  readonly watch: readonly string[]
  readonly cautions: readonly string[]
  readonly timers: readonly OfferedTimer[]
  /** What it is left to do by itself after, and for how long. */
  readonly rest: OfferedTimer | null
  /**
   * The parts that are in hand, how many of each, and whether they come out finished here; none where nothing is
   * counted.
   */
  readonly counts: {
    readonly technique: string
    readonly finishes: boolean
    readonly parts: readonly { readonly id: string; readonly many: number }[]
  } | null
  /** What the ledger calls it, and how long it takes by starting values; none where its speed is not learned. */
  readonly ledger: { readonly step: string; readonly standardMin: number } | null
  readonly picture: CardPicture
}

type Wanted = { readonly plan: Plan; readonly commission: Commission; readonly units: UnitSystem }

const NOTHING = {
  say: [],
  amounts: [],
  watch: [],
  cautions: [],
  timers: [],
  rest: null,
  counts: null,
  ledger: null,
} as const
type Told = Omit<StepCard, 'task' | 'kind' | 'of' | 'name' | 'from' | 'to' | 'planned' | 'record'>

/**
 * How long work takes by starting values: what was learned of it is taken out again, so that factors are always told
 * against the same beginning.
 */
function ledgerOf(step: string, working: Working, { learned }: Pick<Plan, 'learned'>): NonNullable<StepCard['ledger']> {
  const isTimed = workingsBelow(working).some(({ source }) => source.from === 'derived' && source.rule === TIMED_RULE)
  return { step, standardMin: working.value / (isTimed ? (learned.hands[step]?.median ?? 1) : 1) }
}

/** Everything to do by hand, in the order of the timetable; a task that is done in parts stands once. */
export function stepCards(wanted: Wanted): readonly StepCard[] {
  const { plan, commission } = wanted
  if (!plan.timetable.ok) return []
  const seen = new Set<string>()
  const { slots } = plan.timetable.value
  return slots
    .filter(({ hands, task }) => hands && task !== null)
    .flatMap((slot): readonly StepCard[] => {
      const task = slot.task!
      if (seen.has(task)) return []
      seen.add(task)
      const parts = slots.filter((each) => each.task === task && each.hands)
      const minutes = parts.reduce((sum, { from, to }) => sum + to - from, 0)
      const at = placeInWork(task, slot.of, plan)
      return [
        {
          task,
          kind: slot.kind,
          of: slot.of,
          name: at
            ? nameOf(at)
            : (plan.work.making.flatMap(({ again }) => again).find((each) => each.task === task)?.name ?? slot.name),
          from: slot.from,
          to: parts.at(-1)!.to,
          planned: plannedOf(slot, at, plan) ?? found(slot.name, minutes, 'duration', 'of the timetable'),
          record: recordOf(commission.bench, task),
          ...toldOf(slot, at, wanted),
        },
      ]
    })
}

/** A task of a decoration: which step of its making, which turn. */
type InWork = {
  readonly making: Making
  readonly made: PlannedDecoration
  readonly step: MakingStep
  readonly turn: Turn
  readonly of: TaskOf
}

function placeInWork(task: string, of: TaskOf | null, { work, decorations }: Plan): InWork | null {
  const making = of && work.making.find(({ decoration }) => decoration === of.decoration)
  const step = making?.steps.find(({ id }) => id === of!.step)
  const turn = step?.turns.find((each) => each.task === task)
  const made = decorations.find(({ id }) => id === of?.decoration)
  return making && step && turn && made ? { making, made, step, turn, of: of! } : null
}

function nameOf({ making, step, turn, of }: InWork): string {
  const which = turn.load
    ? `, load ${turn.load.number}${turn.load.again ? ', cut again' : ''}`
    : of.turns > 1
      ? `, turn ${of.turn} of ${of.turns}`
      : ''
  return `${making.name}: ${step.name.toLowerCase()}${which}`
}

function plannedOf({ kind, task }: Slot, at: InWork | null, { work }: Plan): Working | null {
  if (at) return at.turn.hands
  switch (kind) {
    case 'pack':
    case 'place':
    case 'loadCar':
    case 'cover':
    case 'stack':
    case 'photograph':
      return work[kind]
    default:
      return work.making.flatMap(({ again }) => again).find((each) => each.task === task)?.hands ?? null
  }
}

function toldOf(slot: Slot, at: InWork | null, wanted: Wanted): Told {
  const { plan } = wanted
  if (at) return makeCard(at, wanted)
  const onCake = { kind: 'cake' } as const
  switch (slot.kind) {
    case 'make':
      return { ...NOTHING, say: ['All steps once more, for the pieces that broke.'], picture: onCake }
    case 'cover':
      return coverCard(wanted)
    case 'stack':
      return stackCard(wanted)
    case 'place':
      return placeCard(wanted)
    case 'pack':
      return {
        ...NOTHING,
        say: [
          'Everything set hard and cool first. Box by box as Deliver lists it, a bag of desiccant in each; ' +
            'repair kit last, on top.',
        ],
        ledger: ledgerOf('packMin', plan.work.pack, plan),
        picture: onCake,
      }
    case 'loadCar':
      return {
        ...NOTHING,
        say: [
          'Level floor, non-slip mat, boxes braced. Cool the car before the cake goes in.',
          'Tick the checklist in Deliver before you close the door.',
        ],
        ledger: ledgerOf('loadMin', plan.work.loadCar, plan),
        picture: onCake,
      }
    case 'photograph':
      return {
        ...NOTHING,
        say: [
          'Front at eye level, a step back, then details. Count what is not food out, hand over list and care ' +
            'card, have it signed.',
        ],
        ledger: ledgerOf('photographMin', plan.work.photograph, plan),
        picture: onCake,
      }
    case 'drive':
      return { ...NOTHING, say: ['Gently. The cake on the floor of the car, never on a seat.'], picture: onCake }
    default:
      return { ...NOTHING, picture: onCake }
  }
}

const watchOf = (failures: PlannedDecoration['failures']): readonly string[] =>
  failures.map(({ seen, because, next }) => `${seen}: ${because}. Next: ${next}.`)

const PAN_SIDE_MIN = 1
const LEAST_TIMER_MIN = 0.5

/** The last step at the bench: after it pieces are as they go on the cake. */
const lastAtBench = ({ steps }: Making): MakingStep | undefined =>
  [...steps].reverse().find(({ onTheCake, id }) => !onTheCake && id !== PLACE) ?? steps.at(-1)

/** The step at which pieces are counted as finished: where they are lifted, or the last at the bench. */
const finishingStep = (making: Making): MakingStep | undefined =>
  making.steps.find(({ turnsOf }) => turnsOf !== null) ?? lastAtBench(making)

/** Colour that is put on at a step: dishes mixed for it, doses added to its bath. */
function colourAmounts({ made, step, turn }: InWork, { plan, units }: Wanted): StepCard['amounts'] {
  const colouring = made.steps.find(({ colours }) => colours)?.id ?? made.steps[0]?.id
  if (step.id !== colouring) return []
  const isFor = ({ uses }: { readonly uses: readonly { readonly decoration: string }[] }): boolean =>
    uses.some(({ decoration }) => decoration === made.id)
  const dishes = plan.dishes.dishes
    .filter(isFor)
    .map(({ ml }) => ({ label: 'colour', text: printWorkingValue(ml, units) }))
  const bath = plan.dishes.baths.find(isFor)
  return [...dishes, ...(bath ? doseAmounts(bath, made, turn, plan, units) : [])]
}

/** What is added to a bath for the shades of a load. */
function doseAmounts(
  bath: Bath,
  made: PlannedDecoration,
  { load }: Turn,
  { dishes }: Plan,
  units: UnitSystem,
): StepCard['amounts'] {
  const shades = (load?.laid ?? []).map(({ part }) => made.classes.find(({ id }) => id === part)?.shade ?? 0)
  const steps = [...new Set(shades.map((shade) => bathStep(shade, bath.ladder.length)))].sort(
    (one, other) => one - other,
  )
  const nameOfDye = (dye: string): string =>
    dishes.dyes[bath.sheet.kind].find((each) => each.dye.id === dye)?.dye.name ?? dye
  return [
    ...(steps[0] === 0 ? [{ label: 'bath', text: printWorkingValue(bath.startMl, units) }] : []),
    ...steps.map((step) => ({
      label: `for shade ${step + 1}`,
      text:
        Object.entries(bath.steps[step]!.wholeDrops)
          .filter(([, drops]) => drops > 0)
          .map(([dye, drops]) => `${drops} ${nameOfDye(dye)}`)
          .join(', ') || 'no more colour',
    })),
  ]
}

/** How many of each part are in hand. */
function partsIn({ made, turn }: InWork): readonly { readonly id: string; readonly many: number }[] {
  if (!turn.load) return made.classes.map(({ id, needed, spares }) => ({ id, many: needed.value + spares.value }))
  const many = new Map<string, number>()
  for (const { part } of turn.load.laid) many.set(part, (many.get(part) ?? 0) + 1)
  return [...many].map(([id, count]) => ({ id, many: count }))
}

/** What is in hand, in words. */
function pieceAmounts(at: InWork, { units }: Wanted): StepCard['amounts'] {
  const { made, turn } = at
  const classOf = (id: string) => made.classes.find((each) => each.id === id)!
  const sized = partsIn(at)
    .slice(0, 5)
    .map(({ id, many }) => {
      const { name, sector, shade, width, height } = classOf(id)
      const size = sector
        ? `of ${sector.discMm} mm${made.colour.steps > 1 ? `, shade ${bathStep(shade, made.colour.steps) + 1}` : ''}`
        : `${printWorkingValue(width, units)} × ${printWorkingValue(height, units)}`
      return { label: several(name), text: `${many}, ${size}` }
    })
  if (turn.load) return [{ label: 'pieces', text: String(turn.load.laid.length) }, ...sized]
  return [
    { label: made.called, text: printWorkingValue(made.count, units) },
    { label: 'pieces, spares too', text: printWorkingValue(made.pieces, units) },
    ...sized,
  ]
}

function pictureOf({ made, turn, of }: InWork): CardPicture {
  const { id, drying, steps } = made
  if (turn.load)
    return { kind: 'load', decoration: id, load: turn.load, former: drying.way === 'oven' ? 'tray' : 'mat' }
  return { kind: steps[0]?.id === of.step ? 'sheets' : 'element', decoration: id }
}

function makeCard(at: InWork, wanted: Wanted): Told {
  const { making, made, step, turn, of } = at
  const { plan, units } = wanted
  const technique = made.steps.find(({ id }) => id === step.id)
  const soak = technique?.soaks ? dryingOf(plan.dryings, made.id)?.estimate.soak.value : undefined
  const restMin = (step.ovenMin ?? step.rest).value
  const where = step.ovenMin ? 'in the oven' : (step.hold?.name ?? 'rests')
  return {
    ...NOTHING,
    say: technique ? [technique.say] : [],
    amounts: [
      ...pieceAmounts(at, wanted),
      ...(of.turns > 1 && !turn.load ? [{ label: 'this turn', text: `${of.turn} of ${of.turns}` }] : []),
      ...colourAmounts(at, wanted),
      ...made.liquids.slice(0, 2).map(({ ml }) => ({ label: ml.label, text: printWorkingValue(ml, units) })),
    ],
    watch: watchOf(made.failures),
    cautions: made.cautions.filter((caution) => caution.at === step.id).map(({ say }) => say),
    timers: [
      ...(step.id === 'pan'
        ? [
            { name: 'First side', minutes: PAN_SIDE_MIN },
            { name: 'Second side', minutes: PAN_SIDE_MIN },
          ]
        : []),
      ...(soak ? [{ name: 'Soak', minutes: Math.max(LEAST_TIMER_MIN, Math.round(soak * 4) / 4) }] : []),
    ],
    rest: restMin > 0 && step.since === null ? { name: `${nameOf(at)}: ${where}`, minutes: restMin } : null,
    counts: { technique: made.technique, finishes: step.id === finishingStep(making)?.id, parts: partsIn(at) },
    ledger:
      of.turns > 1 && !turn.load
        ? null
        : turn.load?.again
          ? null
          : ledgerOf(stepKey(made.technique, step.id), turn.hands, plan),
    picture: pictureOf(at),
  }
}

function coverCard({ plan, commission, units }: Wanted): Told {
  const { cake } = chosenOption(commission)
  return {
    ...NOTHING,
    say: cake.tiers.map(
      ({ covering }, at) =>
        `Tier ${at + 1}: ${coveringOf(covering).name.toLowerCase()}; wait until ${coveringOf(covering).readyWhen}.`,
    ),
    amounts: plan.cake.coverings.map(({ name, total }) => ({ label: name, text: printWorkingValue(total, units) })),
    ledger: ledgerOf('coverMin', plan.work.cover, plan),
    picture: { kind: 'cake' },
  }
}

function stackCard({ plan, units }: Wanted): Told {
  return {
    ...NOTHING,
    say: ['Supports to one height, level, then the next tier. Count each one in: they come out when it is cut.'],
    amounts: plan.cake.tiers.flatMap(({ supports }, at) =>
      supports.map(({ count, length }) => ({
        label: `supports in tier ${at + 1}`,
        text: `${count.value} of ${printWorkingValue(length, units)}`,
      })),
    ),
    ledger: ledgerOf('stackMin', plan.work.stack, plan),
    picture: { kind: 'cake' },
  }
}

function placeCard({ plan, units }: Wanted): Told {
  const placed = plan.decorations.filter(({ elements, onTheCake }) => elements.length > 0 && !onTheCake)
  return {
    ...NOTHING,
    say: ['As the placing guide in Deliver numbers them: focal first, then the large ones, then fill.'],
    amounts: placed.map(({ called, count }) => ({ label: called, text: printWorkingValue(count, units) })),
    ledger: ledgerOf(PLACE, plan.work.place, plan),
    picture: { kind: 'cake' },
  }
}

/** The card to do next: what somebody is at, else the first that is neither done nor waits for something. */
export function nextCard(cards: readonly StepCard[], bench: Bench): StepCard | null {
  const open = cards.filter(({ record }) => record === null || record.doneAt === null)
  const isAt = ({ record }: StepCard): boolean => record !== null && record.doneAt === null && record.pausedAt === null
  const lastBegun = [...bench.tasks]
    .reverse()
    .find(({ doneAt, pausedAt }) => doneAt === null && pausedAt === null)?.task
  return open.find((card) => isAt(card) && card.task === lastBegun) ?? open.find(isAt) ?? open[0] ?? null
}
