/**
 * A timetable as it is shown, lived through by rules of its own: somebody does what can be done first, hour by hour;
 * hands, drying and mishaps come as they do. It shares nothing with the plan's own lives.
 */
import { chosenOption, type Commission } from '../../core/commission'
import type { Plan } from '../../core/plan'
import { dayOf, MINUTES_PER_DAY, parseMoment, seededStream, valueOf, weekdayOf } from '../../core/quantity'
import type { Slot } from '../../core/schedule'
import { techniqueOf } from '../../core/technique'
import type { Workshop } from '../../core/workshop'

const OVERTIME_MIN = 30
const COOLING_MIN = 10
const PACE = 0.15
const TASK = 0.2
const PIECE = 0.25
const MISHAP = 1 / 25

/** A task as shown: its planned beginning and minutes, whether hands are at it, whose, and whether hours matter. */
type Task = {
  readonly id: string
  readonly from: number
  readonly minutes: number
  readonly byHand: boolean
  readonly person: string
  readonly anyHour: boolean
}

/** It begins no sooner than so long after another ended; drying has a usual time and how far the room may be off. */
type Edge = { readonly before: string; readonly minutes: number; readonly drying: readonly [number, number] | null }

const ON_THE_ROAD = ['loadCar', 'drive', 'handOver']
/** In this order things are done at the cake; what is not there is left out. */
const HERE = [
  'place',
  'set',
  'picksOut',
  'photograph',
  'pack',
  'coldAgain',
  'loadCar',
  'drive',
  'warmThere',
  'handOver',
]
const THERE = [
  'pack',
  'coldAgain',
  'loadCar',
  'drive',
  'warmThere',
  'place',
  'set',
  'picksOut',
  'photograph',
  'handOver',
]

function tasksIn(slots: readonly Slot[], isThere: boolean): readonly Task[] {
  const ids = [...new Set(slots.flatMap(({ task }) => (task === null ? [] : [task])))]
  return ids.map((id): Task => {
    const own = slots.filter(({ task }) => task === id)
    const { kind, hands, person } = own[0]!
    return {
      id,
      from: Math.min(...own.map(({ from }) => from)),
      minutes: own.reduce((sum, { from, to }) => sum + to - from, 0),
      byHand: hands,
      person: person ?? '',
      anyHour: ON_THE_ROAD.includes(kind) || (isThere && ['place', 'photograph', 'picksOut'].includes(kind)),
    }
  })
}

/** What each task waits for, by what makers do: steps in turn, then the cake in its order. */
function edgesIn(plan: Plan, commission: Commission, slots: readonly Slot[]): ReadonlyMap<string, readonly Edge[]> {
  const edges = new Map<string, Edge[]>()
  const there = new Set(slots.map(({ task }) => task))
  const add = (after: string, before: string, minutes = 0, drying: Edge['drying'] = null): void => {
    if (!there.has(after) || !there.has(before)) return
    edges.set(after, [...(edges.get(after) ?? []), { before, minutes, drying }])
  }
  const { cake, decorations } = chosenOption(commission)
  const isHere = commission.brief.completion === 'beforeDriving'
  const order = (commission.brief.completion === 'atVenue' ? THERE : HERE).filter((id) => there.has(id))
  order.slice(1).forEach((id, at) => add(id, order[at]!))
  const wanted = isHere && there.has('place') ? 'place' : 'pack'

  const dressed = (tier: number): readonly string[] =>
    ['fill', 'chill', 'cover', 'ready'].flatMap((kind) =>
      slots.filter((slot) => slot.kind === kind && slot.tiers.includes(tier)).flatMap(({ task }) => task ?? []),
    )
  cake.tiers.forEach((_, tier) => {
    const chain = dressed(tier)
    chain.slice(1).forEach((id, at) => add(id, chain[at]!))
    const ready = chain.at(-1)
    if (!ready) return
    for (const id of ['stack', 'warm', wanted]) add(id, ready)
  })
  add('warm', 'stack')
  add(wanted, 'stack')
  add(wanted, 'warm')

  for (const { decoration, steps } of plan.work.making) {
    const technique = techniqueOf(plan.decorations.find(({ id }) => id === decoration)!.technique)
    let before: (readonly Edge[])[] = []
    for (const step of steps) {
      step.turns.forEach(({ task }, turn) => {
        for (const edge of step.turnsOf ? before[turn]! : before.flat())
          add(task, edge.before, edge.minutes, edge.drying)
      })
      before = step.turns.map(({ task }, turn): readonly Edge[] => {
        const drying = step.drying && ([step.drying.usuallyMin, step.drying.deviation] as const)
        if (step.ovenMin) return [{ before: task, minutes: step.ovenMin.value + COOLING_MIN, drying: null }]
        if (step.since === null) return [{ before: task, minutes: step.rest.value, drying }]
        const began = steps.find(({ id }) => id === step.since)!
        return [
          { before: task, minutes: 0, drying: null },
          ...(began.ovenMin ? [] : [{ before: began.turns[turn]!.task, minutes: step.rest.value, drying }]),
        ]
      })
    }
    const own = decorations.find(({ id }) => id === decoration)!
    const tiers = plan.decorations.find(({ id }) => id === decoration)!.elements.map(({ tier }) => tier)
    if (technique.skin) {
      const gluing = steps.at(-1)!.turns[0]!.task
      const isOnCold = tiers.some((tier) => cake.tiers[tier]!.chilled && cake.tiers[tier]!.inside === 'cake')
      const isEarly = own.glued === 'beforeStacking' && !isOnCold
      for (const tier of tiers) dressed(tier).forEach((id) => add(gluing, id))
      if (!isEarly) for (const id of ['stack', 'warm']) add(gluing, id)
      for (const { before: task, minutes, drying } of before.flat())
        add(isEarly && there.has('stack') ? 'stack' : wanted, task, minutes, drying)
    } else for (const { before: task, minutes, drying } of before.flat()) add(wanted, task, minutes, drying)
  }
  // A mat or tray takes the next load when the last is off it.
  for (const lane of new Set(slots.map((slot) => slot.lane).filter((name) => /^(mat|tray) \d+$/.test(name)))) {
    const on = slots.filter((slot) => slot.lane === lane && slot.hands).sort((one, other) => one.from - other.from)
    on.slice(1).forEach((slot, at) => {
      if (slot.task && on[at]!.task) add(slot.task, on[at]!.task)
    })
  }
  return edges
}

/** The share of lives in which all is ready when guests come. */
export function shareOfLives(
  plan: Plan,
  commission: Commission,
  workshop: Workshop,
  lives: number,
  seed: number,
): number {
  if (!plan.timetable.ok) return 0
  const { slots } = plan.timetable.value
  const isThere = commission.brief.completion === 'atVenue'
  const tasks = tasksIn(slots, isThere).filter(({ id }) => !/-dry$|-oven$/.test(id))
  const edges = edgesIn(plan, commission, slots)
  const event = valueOf(parseMoment(commission.brief.eventAt))
  const stream = seededStream(seed)
  const normal = (): number => Math.sqrt(-2 * Math.log(Math.max(stream(), 1e-12))) * Math.cos(2 * Math.PI * stream())
  let ready = 0
  for (let life = 0; life < lives; life += 1)
    if (endOfLife(tasks, edges, workshop, stream, normal) <= event + 1e-6) ready += 1
  return ready / lives
}

function endOfLife(
  tasks: readonly Task[],
  edges: ReadonlyMap<string, readonly Edge[]>,
  workshop: Workshop,
  stream: () => number,
  normal: () => number,
): number {
  const room = normal()
  const paces = new Map([...new Set(tasks.map(({ person }) => person))].map((id) => [id, PACE * normal()]))
  const ends = new Map<string, number>()
  const clocks = new Map<string, number>()
  const known = new Set(tasks.map(({ id }) => id))
  const rests = new Map<Edge, number>()
  const restOf = (edge: Edge): number => {
    const kept = rests.get(edge)
    if (kept !== undefined) return kept
    const minutes = edge.drying ? edge.drying[0] * Math.exp(edge.drying[1] * room + PIECE * normal()) : edge.minutes
    rests.set(edge, minutes)
    return minutes
  }
  const left = new Set(tasks)
  while (left.size > 0) {
    let next: { readonly task: Task; readonly at: number } | null = null
    for (const task of left) {
      const before = (edges.get(task.id) ?? []).filter((edge) => known.has(edge.before))
      if (before.some((edge) => !ends.has(edge.before))) continue
      const free = task.byHand ? (clocks.get(task.person) ?? -Infinity) : -Infinity
      const earliest = Math.max(task.from, free, ...before.map((edge) => ends.get(edge.before)! + restOf(edge)))
      const at = task.byHand && !task.anyHour ? opensAt(earliest, workshop) : earliest
      if (!next || at < next.at || (at === next.at && task.from < next.task.from)) next = { task, at }
    }
    const { task, at } = next!
    const minutes = task.byHand
      ? task.minutes * Math.exp(paces.get(task.person)! + TASK * normal()) * (stream() < MISHAP ? 1.5 : 1)
      : task.minutes
    const end = task.byHand && !task.anyHour ? workedUntil(at, minutes, workshop) : at + minutes
    ends.set(task.id, end)
    if (task.byHand) clocks.set(task.person, end)
    left.delete(task)
  }
  return Math.max(...ends.values())
}

/** The next moment in working hours; the last spell of a day goes on a little. */
function opensAt(moment: number, { hours }: Workshop): number {
  for (let day = dayOf(moment); ; day += MINUTES_PER_DAY) {
    if (!hours.days[weekdayOf(day)]) continue
    for (const [at, { fromMin, toMin }] of hours.spells.entries()) {
      const closes = day + toMin + (at === hours.spells.length - 1 ? OVERTIME_MIN : 0)
      if (moment < closes - 1) return Math.max(moment, day + fromMin)
    }
  }
}

/** When so many minutes of work are done, over breaks and nights. */
function workedUntil(from: number, minutes: number, workshop: Workshop): number {
  const { hours } = workshop
  let [at, left] = [from, minutes]
  for (;;) {
    at = opensAt(at, workshop)
    const day = dayOf(at)
    const spell = hours.spells.findIndex(
      ({ fromMin, toMin }, index) =>
        at >= day + fromMin && at < day + toMin + (index === hours.spells.length - 1 ? OVERTIME_MIN : 0),
    )
    const closes = day + hours.spells[spell]!.toMin + (spell === hours.spells.length - 1 ? OVERTIME_MIN : 0)
    if (at + left <= closes) return at + left
    left -= closes - at
    at = closes
  }
}
