/**
 * The work of a job as one does it: a card for each task, with its amounts, what to do, what to watch, what can hurt,
 * its timers.
 */
import { recordOf, type Bench, type TaskRecord } from '../ledger'
import { coveringOf } from '../material'
import { chosenOption, stepKey, type Commission, type Paperwork, type Plan } from '../plan'
import { sailPart, type Piece } from '../piece'
import { found, printWorkingValue, workingsBelow, type Moment, type UnitSystem, type Working } from '../quantity'
import { TIMED_RULE, type Making, type Slot, type SlotKind } from '../schedule'
import { soakedSail } from '../technique'

/** A timer that a card offers. */
type OfferedTimer = { readonly name: string; readonly minutes: number }

/** What is seen on a card: the load on its former, sheets with their pieces, an element of a decoration, the cake. */
export type CardPicture =
  | { readonly kind: 'load'; readonly load: number }
  | { readonly kind: 'discs' }
  | { readonly kind: 'sheets'; readonly decoration: string }
  | { readonly kind: 'element'; readonly decoration: string }
  | { readonly kind: 'cake' }

export type StepCard = {
  readonly task: string
  readonly kind: SlotKind
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

/** A step of a technique with what belongs to it. */
type TaughtStep = { readonly say: string; readonly cautions: readonly string[] }

const sailStep = (...ids: readonly string[]): TaughtStep => ({
  say: soakedSail.steps
    .filter(({ id }) => ids.includes(id))
    .map(({ say }) => say)
    .join(' '),
  cautions: soakedSail.cautions.filter(({ at }) => ids.includes(at)).map(({ say }) => say),
})

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
type Told = Omit<StepCard, 'task' | 'kind' | 'name' | 'from' | 'to' | 'planned' | 'record'>

/**
 * How long work takes by starting values: what was learned of it is taken out again, so that factors are always told
 * against the same beginning.
 */
function ledgerOf(step: string, working: Working, { learned }: Pick<Plan, 'learned'>): NonNullable<StepCard['ledger']> {
  const isTimed = workingsBelow(working).some(({ source }) => source.from === 'derived' && source.rule === TIMED_RULE)
  return { step, standardMin: working.value / (isTimed ? (learned.hands[step]?.median ?? 1) : 1) }
}

/** Everything to do by hand, in the order of the timetable; a task that is done in parts stands once. */
export function stepCards({ plan, commission, units }: Wanted): readonly StepCard[] {
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
      const told = toldOf(slot, { plan, commission, units })
      return [
        {
          task,
          kind: slot.kind,
          name: slot.name.replace(/, part \d+ of \d+$/, ''),
          from: slot.from,
          to: parts.at(-1)!.to,
          planned: plannedOf(slot, plan) ?? found(slot.name, minutes, 'duration', 'of the timetable'),
          record: recordOf(commission.bench, task),
          ...told,
        },
      ]
    })
}

function plannedOf({ kind, load, task }: Slot, { work }: Plan): Working | null {
  switch (kind) {
    case 'drape':
      return work.loads[load! - 1]?.drape ?? null
    case 'lift':
      return work.loads[load! - 1]?.lift ?? null
    case 'cut':
      return work.cut
    case 'choose':
      return work.choose
    case 'pack':
      return work.pack
    case 'place':
      return work.place
    case 'loadCar':
      return work.loadCar
    case 'cover':
      return work.cover
    case 'stack':
      return work.stack
    case 'photograph':
      return work.photograph
    case 'make':
      return (
        work.making.find(({ id }) => task!.startsWith(`${id}-`))?.again.find(({ id }) => id === task)?.hands ?? null
      )
    default:
      return null
  }
}

function toldOf(slot: Slot, wanted: Wanted): Told {
  const { plan, units } = wanted
  const amount = (working: Working, label = working.label): StepCard['amounts'][number] => ({
    label,
    text: printWorkingValue(working, units),
  })
  const load = slot.load === null ? null : (plan.work.loads[slot.load - 1] ?? null)
  switch (slot.kind) {
    case 'cut':
      return {
        ...NOTHING,
        ...both(sailStep('cut')),
        amounts: [amount(plan.cutList.total, 'pieces'), ...plan.supplies.map(({ needed }) => amount(needed))],
        ledger: ledgerOf('cutMin', plan.work.cut, plan),
        picture: { kind: 'discs' },
      }
    case 'drape':
      return drapeCard(slot, wanted)
    case 'lift': {
      const taught = sailStep('lift')
      return {
        ...NOTHING,
        ...both(taught),
        amounts: [{ label: 'pieces', text: String(load?.load.laid.length ?? 0) }],
        watch: watchOf(soakedSail.failures),
        counts: sailCounts(load?.load.laid.map(({ piece }) => piece) ?? [], true),
        ledger: load && ledgerOf('liftMin', load.lift, plan),
        picture: { kind: 'load', load: slot.load! },
      }
    }
    case 'choose':
      return {
        ...NOTHING,
        ...both(sailStep('choose')),
        amounts: [amount(plan.arrangement.count, 'sails to choose'), amount(plan.cutList.total, 'of pieces')],
        counts: sailCounts(plan.cutList.pieces, false),
        ledger: ledgerOf('chooseMin', plan.work.choose, plan),
        picture: { kind: 'cake' },
      }
    case 'make':
      return makeCard(slot, wanted)
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
          'Everything set hard and cool first. Box by box as Deliver lists it, a bag of desiccant in each; repair kit last, on top.',
        ],
        amounts: [],
        ledger: ledgerOf('packMin', plan.work.pack, plan),
        picture: { kind: 'cake' },
      }
    case 'loadCar':
      return {
        ...NOTHING,
        say: [
          'Level floor, non-slip mat, boxes braced. Cool the car before the cake goes in.',
          'Tick the checklist in Deliver before you close the door.',
        ],
        ledger: ledgerOf('loadMin', plan.work.loadCar, plan),
        picture: { kind: 'cake' },
      }
    case 'photograph':
      return {
        ...NOTHING,
        say: [
          'Front at eye level, a step back, then details. Count what is not food out, hand over list and care card, have it signed.',
        ],
        ledger: ledgerOf('photographMin', plan.work.photograph, plan),
        picture: { kind: 'cake' },
      }
    case 'drive':
      return {
        ...NOTHING,
        say: ['Gently. The cake on the floor of the car, never on a seat.'],
        picture: { kind: 'cake' },
      }
    default:
      return { ...NOTHING, picture: { kind: 'cake' } }
  }
}

/** Pieces of film as they are counted. */
function sailCounts(pieces: readonly Piece[], finishes: boolean): StepCard['counts'] {
  const many = new Map<string, number>()
  for (const piece of pieces) many.set(sailPart(piece), (many.get(sailPart(piece)) ?? 0) + 1)
  return { technique: soakedSail.id, finishes, parts: [...many].map(([id, count]) => ({ id, many: count })) }
}

const both = ({ say, cautions }: TaughtStep): Pick<Told, 'say' | 'cautions'> => ({
  say: say === '' ? [] : [say],
  cautions,
})
const watchOf = (failures: Paperwork['failures']): readonly string[] =>
  failures.map(({ seen, because, next }) => `${seen}: ${because}. Next: ${next}.`)

function drapeCard(slot: Slot, { plan, units }: Wanted): Told {
  const load = plan.work.loads[slot.load! - 1]
  const taught = sailStep('soak')
  const pieces = load?.load.laid ?? []
  const shades = [...new Set(pieces.map(({ piece }) => piece.shade))].sort((one, other) => one - other)
  const doses = (plan.bath?.steps ?? []).flatMap((step, shade) => (shades.includes(shade) ? [{ shade, step }] : []))
  const { soak, ready, way } = plan.drying
  return {
    ...NOTHING,
    ...both(taught),
    amounts: [
      { label: 'pieces', text: `${pieces.length}: ${pieces.map(({ piece }) => piece.number).join(', ')}` },
      ...doses.map(({ shade, step }) => ({
        label: `for shade ${shade + 1}`,
        text:
          Object.entries(step.wholeDrops)
            .filter(([, drops]) => drops > 0)
            .map(([dye, drops]) => `${drops} ${plan.dyes.find((each) => each.dye.id === dye)?.dye.name ?? dye}`)
            .join(', ') || 'no more colour',
      })),
      ...(plan.bath && slot.load === 1 ? [{ label: 'bath', text: printWorkingValue(plan.bath.startMl, units) }] : []),
    ],
    watch: watchOf(soakedSail.failures),
    timers: [{ name: 'Soak', minutes: Math.max(0.5, Math.round(soak.value * 4) / 4) }],
    rest: ready.firm.planned
      ? {
          name: `Load ${slot.load} ${way === 'mat' ? 'on its mat' : 'in the oven'}`,
          minutes: way === 'mat' ? ready.firm.planned.value : (ready.set.planned?.value ?? ready.firm.planned.value),
        }
      : null,
    counts: sailCounts(
      pieces.map(({ piece }) => piece),
      false,
    ),
    ledger: load && !load.load.again ? ledgerOf('drapeMin', load.drape, plan) : null,
    picture: { kind: 'load', load: slot.load! },
  }
}

/** The making a task belongs to, its step, and which turn of how many. */
function madeBy(
  task: string,
  { work }: Plan,
): { readonly making: Making; readonly step: Making['steps'][number] | null; readonly turn: string } | null {
  const making = [...work.making]
    .sort((one, other) => other.id.length - one.id.length)
    .find(({ id, again }) => task.startsWith(`${id}-`) || again.some((each) => each.id === task))
  if (!making) return null
  const step =
    making.steps.find(
      ({ id }) => task === `${making.id}-${id}` || new RegExp(`^${escaped(`${making.id}-${id}`)}-\\d+$`).test(task),
    ) ?? null
  return { making, step, turn: task.slice(`${making.id}-${step?.id ?? ''}`.length) }
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')

const PAN_SIDE_MIN = 1

/** The last step at the bench: after it pieces are as they go on the cake. */
const lastAtBench = ({ steps }: Making): Making['steps'][number] | undefined =>
  [...steps].reverse().find(({ onTheCake, id }) => !onTheCake && id !== 'place') ?? steps.at(-1)

function makeCard(slot: Slot, { plan, units }: Wanted): Told {
  const made = madeBy(slot.task!, plan)
  const paper = made && plan.paperwork.find(({ id }) => id === made.making.id)
  if (!made || !paper) return { ...NOTHING, picture: { kind: 'cake' } }
  const { step, making } = made
  const technique = paper.steps.find(({ id }) => id === step?.id)
  const at = paper.steps.findIndex(({ id }) => id === step?.id)
  const first = at <= 0
  const turns = slot.name.match(/turn (\d+) of (\d+)/)
  const dish = first
    ? plan.dishes.dishes.filter(({ uses }) => uses.some(({ decoration }) => decoration === paper.id))
    : []
  return {
    ...NOTHING,
    say: technique ? [technique.say] : ['All steps once more, for the pieces that broke.'],
    amounts: [
      { label: paper.called, text: printWorkingValue(paper.count, units) },
      { label: 'pieces, spares too', text: printWorkingValue(paper.pieces, units) },
      ...(turns ? [{ label: 'this turn', text: `${turns[1]} of ${turns[2]}` }] : []),
      ...paper.classes.slice(0, 4).map(({ name, needed, spares, width, height }) => ({
        label: name,
        text: `${needed.value + spares.value}, ${printWorkingValue(width, units)} × ${printWorkingValue(height, units)}`,
      })),
      ...dish.map(({ ml }) => ({ label: 'colour', text: printWorkingValue(ml, units) })),
      ...paper.liquids.slice(0, 2).map(({ ml }) => ({ label: ml.label, text: printWorkingValue(ml, units) })),
    ],
    watch: watchOf(paper.failures),
    cautions: paper.cautions.filter((caution) => caution.at === step?.id).map(({ say }) => say),
    timers:
      step?.id === 'pan'
        ? [
            { name: 'First side', minutes: PAN_SIDE_MIN },
            { name: 'Second side', minutes: PAN_SIDE_MIN },
          ]
        : [],
    rest:
      step && step.rest.value > 0
        ? { name: `${paper.name}: ${step.hold?.name ?? 'rests'}`, minutes: step.rest.value }
        : null,
    counts: {
      technique: paper.technique,
      finishes: step?.id === lastAtBench(making)?.id,
      parts: paper.classes.map(({ needed, spares }, index) => ({
        id: `${paper.id}/${index}`,
        many: needed.value + spares.value,
      })),
    },
    ledger: step && !turns ? ledgerOf(stepKey(paper.technique, step.id), step.hands, plan) : null,
    picture: first ? { kind: 'sheets', decoration: paper.id } : { kind: 'element', decoration: making.id },
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
  return {
    ...NOTHING,
    say: [
      'As the placing guide in Deliver numbers them: focal first, then the large ones, then fill.',
      ...(plan.arrangement.sails.length > 0 ? [sailStep('place').say] : []),
    ],
    amounts: [
      ...(plan.arrangement.sails.length > 0
        ? [{ label: 'sails', text: printWorkingValue(plan.arrangement.count, units) }]
        : []),
      ...plan.paperwork
        .filter(({ elements, onTheCake }) => elements.length > 0 && !onTheCake)
        .map(({ called, count }) => ({ label: called, text: printWorkingValue(count, units) })),
    ],
    counts: null,
    ledger: ledgerOf('placeMin', plan.work.place, plan),
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
