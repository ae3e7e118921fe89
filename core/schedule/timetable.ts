/**
 * From the work of a commission to its timetable: tasks with what each waits for and occupies, laid back from the
 * event.
 */
import { derive, found, ok, refuse, starting, type Moment, type Result, type Working } from '../quantity'
import { freeWithOvertime, inOrder, liveThrough, type Happened } from './live'
import { riskOf, STARTING_STRAYING, type Risk, type Since } from './risk'
import { latestSchedule } from './search'
import { smoothed } from './smooth'
import type { Hold, Job, NoSchedule, Person, PlacedTask, Reason, Resource, Schedule, Task, Wait } from './task'
import type { Completion, MakingStep, Work } from './tasks'
import type { Stretch } from './workingHours'

export type SlotKind =
  | 'warm'
  | 'cover'
  | 'stack'
  | 'make'
  | 'cut'
  | 'drape'
  | 'dry'
  | 'oven'
  | 'lift'
  | 'rest'
  | 'choose'
  | 'pack'
  | 'place'
  | 'loadCar'
  | 'drive'
  | 'photograph'
  | 'event'

/**
 * Something that has its hours. `lane` is what it occupies: the hands, a mat, a tray, a place in the oven, the rack,
 * the road, the cake itself.
 */
export type Slot = Stretch & {
  readonly id: string
  readonly kind: SlotKind
  readonly name: string
  readonly lane: string
  readonly hands: boolean
  readonly load: number | null
  /** The task it is all or part of; none for what only lies and waits. */
  readonly task: string | null
  readonly person: string | null
  /** Whether it is over, or somebody is at it. */
  readonly state: 'toDo' | 'underWay' | 'done'
}

/** Minutes a load takes: before it may leave its former, and before it is ready for the cake. */
type LoadTimes = { readonly onFormerMin: number; readonly untilSetMin: number; readonly ovenMin: number | null }

export type TimetableQuestion = {
  readonly eventAt: Moment
  /** On the road, with stops. */
  readonly driveMin: number
  /**
   * Minutes the cake stands out of the refrigerator until paper may go on it, or, when it is kept chilled, until it
   * may be shown; 0 when nothing is chilled.
   */
  readonly warmMin: number
  readonly warmedFor: 'placing' | 'showing'
  /** Ready so long before the event, minutes. */
  readonly aheadMin: number
  readonly completion: Completion
  readonly work: Work
  readonly times: LoadTimes
  readonly formers: { readonly name: string; readonly count: number }
  readonly ovenPlaces: number
  /** Half-spheres, foam, pan, fan: how many there are of what steps occupy. */
  readonly moulds: readonly Resource[]
  readonly people: readonly Person[]
  /** Tasks that were put at an hour by hand. */
  readonly pins: Readonly<Record<string, Moment>>
}

/** Why a task is no later. */
type SlotReason = { readonly task: string; readonly reason: Reason }

export type Timetable = {
  readonly slots: readonly Slot[]
  readonly startBy: Moment
  readonly atVenueBy: Moment
  readonly leaveAt: Moment
  readonly reasons: readonly SlotReason[]
  readonly unkeptPins: readonly string[]
  /**
   * When all is ready if work goes on as planned from here, and how long before it must be; none before anything was
   * begun.
   */
  readonly standing: { readonly readyAt: Moment; readonly spareMin: number } | null
  /** How likely it is to hold, once that was worked out; what makes it late, in words. */
  readonly risk: {
    readonly chance: Working
    readonly sure: SureStart | null
    readonly causes: readonly { readonly words: string; readonly share: number }[]
  } | null
}

/** What it takes to be ready nine times in ten: ready so much earlier than asked, and begun then. */
type SureStart = { readonly earlierMin: number; readonly startBy: Moment; readonly chance: number }

export type NoTimetable =
  | { readonly code: 'no-working-time'; readonly task: string }
  | { readonly code: 'no-formers'; readonly formers: string }
  | { readonly code: 'goes-off'; readonly task: string; readonly next: string }

const COOLING_MIN = 10
/** A covered tier chills so long before it is stacked. Usual practice. */
const CHILL_MIN = 60
/** What is fried keeps so long. */
const FRESH_MIN = 24 * 60
/** Work up to so long is done in one go. */
const ONE_GO_MIN = 90
const HANDS = 'hands'
const SEED = 1

type PlannedTask = Task & { readonly kind: SlotKind; readonly load: number | null }

/** A job with what its tasks are called and shown as. */
type TimetableJob = { readonly job: Job; readonly tasks: readonly PlannedTask[] }

/** Everything to be done for a commission, with its waits and what it occupies. */
function timetableJob(question: TimetableQuestion): TimetableJob {
  const { work, times, formers, completion, driveMin, warmMin, warmedFor, pins } = question
  const tasks: PlannedTask[] = []
  const waits: Wait[] = []
  const holds: Hold[] = []
  const add = (
    id: string,
    kind: SlotKind,
    name: string,
    durationMin: number,
    change: Partial<PlannedTask> = {},
  ): string => {
    tasks.push({
      id,
      kind,
      name,
      durationMin,
      byHand: true,
      splits: false,
      anyHour: false,
      endsBy: null,
      keeps: false,
      group: kind,
      load: null,
      pinnedAt: pins[id] ?? null,
      ...change,
    })
    return id
  }
  const then = (before: string | null, after: string | null, leastMin = 0, mostMin: number | null = null): void => {
    if (before && after) waits.push({ before, after, leastMin, mostMin })
  }
  const whole = { splits: true }
  const onTheDay = { anyHour: true }
  const keeps = { keeps: true }

  const photograph =
    work.photograph.value > 0
      ? add('photograph', 'photograph', 'Photograph, hand over', work.photograph.value, onTheDay)
      : null
  const atVenue =
    completion === 'atVenue' && work.place.value > 0
      ? add('place', 'place', 'Place the decorations at the venue', work.place.value, onTheDay)
      : null
  const drive = add('drive', 'drive', 'Drive', driveMin, onTheDay)
  const loadCar = add('loadCar', 'loadCar', 'Load the car', work.loadCar.value, onTheDay)
  const pack = add(
    'pack',
    'pack',
    completion === 'beforeDriving' ? 'Box the cake' : 'Pack airtight',
    work.pack.value,
    whole,
  )
  const here =
    completion === 'beforeDriving' && work.place.value > 0
      ? add('place', 'place', 'Place the decorations', work.place.value, whole)
      : null
  then(atVenue, photograph)
  then(drive, atVenue ?? photograph)
  then(loadCar, drive)
  then(pack, loadCar)
  then(here, pack)
  const made = here ?? pack

  const stack = work.stack.value > 0 ? add('stack', 'stack', 'Stack the tiers', work.stack.value) : null
  const cover = work.cover.value > 0 ? add('cover', 'cover', 'Cover the tiers', work.cover.value, whole) : null
  then(cover, stack, CHILL_MIN)
  then(stack, made)
  if (warmMin > 0) {
    const warm = add('warm', 'warm', 'Cake out of the refrigerator, warms through', warmMin, {
      byHand: false,
      anyHour: true,
    })
    then(stack, warm)
    then(warm, warmedFor === 'placing' ? (atVenue ?? here ?? photograph) : photograph)
  }

  const choose =
    work.choose.value > 0
      ? add('choose', 'choose', 'Choose and trim the sails', work.choose.value, { ...whole, ...keeps, group: 'sails' })
      : null
  then(choose, made)
  const cut =
    work.cut.value > 0
      ? add('cut', 'cut', 'Cut the discs', work.cut.value, { ...whole, ...keeps, group: 'sails' })
      : null
  let before: string | null = null
  for (const { load, drape: draping, lift: lifting } of work.loads) {
    const { number } = load
    const drape = add(
      `drape-${number}`,
      'drape',
      `${load.again ? 'Cut again, soak and drape' : 'Soak and drape'} load ${number}`,
      draping.value,
      { ...keeps, load: number, group: 'sails' },
    )
    const lift = add(`lift-${number}`, 'lift', `Lift load ${number} off`, lifting.value, {
      ...keeps,
      load: number,
      group: 'sails',
    })
    holds.push({ resource: formers.name, units: 1, from: drape, until: lift })
    if (times.ovenMin === null) {
      then(drape, lift, times.onFormerMin)
      then(drape, choose, times.untilSetMin)
    } else {
      const oven = add(`oven-${number}`, 'oven', `Load ${number} in the oven`, times.ovenMin, {
        byHand: false,
        load: number,
      })
      holds.push({ resource: 'oven', units: 1, from: oven, until: oven })
      then(drape, oven)
      then(oven, lift, COOLING_MIN)
    }
    then(lift, choose)
    // One bath serves them from pale to deep.
    then(before ?? cut, drape)
    if (!load.again) before = drape
  }
  if (!before) then(cut, choose)

  for (const making of work.making) {
    // What goes off within a day is made for the hour it is set on the cake.
    let last: readonly string[] = []
    let waitMin = 0
    for (const step of making.steps) {
      const turns = turnsOf(step, question.moulds)
      const next = turns.map((units, turn): string => {
        const many = turns.length > 1
        const id = `${making.id}-${step.id}${many ? `-${turn + 1}` : ''}`
        add(
          id,
          'make',
          `${making.name}: ${step.name.toLowerCase()}${many ? `, turn ${turn + 1} of ${turns.length}` : ''}`,
          step.hands.value / turns.length,
          {
            splits: step.hold === null && step.hands.value > ONE_GO_MIN,
            keeps: !step.onTheCake && !making.goesOff,
            group: making.id,
          },
        )
        for (const each of last) then(each, id, waitMin)
        if (step.onTheCake) then(stack, id)
        if (!step.hold) return id
        if (step.rest.value === 0) {
          holds.push({ resource: step.hold.resource, units, from: id, until: id })
          return id
        }
        const dry = add(`${id}-dry`, 'dry', `${making.name}: ${step.hold.name}`, step.rest.value, {
          byHand: false,
          anyHour: true,
          keeps: true,
          group: making.id,
        })
        then(id, dry)
        holds.push({ resource: step.hold.resource, units, from: id, until: dry })
        return dry
      })
      waitMin = step.hold && step.rest.value > 0 ? 0 : step.rest.value
      last = next
    }
    for (const each of last) then(each, made, waitMin, making.goesOff ? waitMin + FRESH_MIN : null)
    for (const { id, name, hands, rest } of making.again) {
      add(id, 'make', name, hands.value, { splits: hands.value > ONE_GO_MIN, keeps: !making.goesOff, group: making.id })
      then(id, made, rest.value)
    }
  }
  const resources: readonly Resource[] = [
    { id: formers.name, name: formers.name, count: formers.count },
    { id: 'oven', name: 'oven', count: question.ovenPlaces },
    ...question.moulds,
  ]
  return {
    tasks,
    job: { tasks, waits, holds, resources, people: question.people, endAt: question.eventAt - question.aheadMin },
  }
}

/**
 * Units taken by each turn of a step: as few turns as what there is allows, as even as they go. One turn that asks too
 * much where there is none, so that it is said.
 */
function turnsOf({ hold }: MakingStep, moulds: readonly Resource[]): readonly number[] {
  if (!hold) return [0]
  const count = moulds.find(({ id }) => id === hold.resource)?.count ?? 0
  if (count === 0) return [1]
  const turns = Math.ceil(hold.units / count)
  return Array.from({ length: turns }, (_, turn) => Math.ceil((hold.units - turn) / turns))
}

/**
 * The latest timetable found.
 *
 * @param walks how many orders of the tasks are tried beyond the first few
 * @param runs how often it is lived through to know its risk; 0 for not at all
 * @returns slots in the order of time and the hour to start; or what could not be placed
 */
export function planTimetable(
  question: TimetableQuestion,
  walks: number,
  runs = 0,
  since: Since | null = null,
): Result<Timetable, NoTimetable> {
  const found = findTimetable(question, walks)
  return found.ok ? ok(timetableSince(found.value, question, walks, runs, since)) : found
}

/** A schedule that was found, with the job it is for. */
export type FoundTimetable = { readonly planned: TimetableJob; readonly schedule: Schedule }

/** The latest schedule found, made roomy; nothing has happened yet. */
export function findTimetable(question: TimetableQuestion, walks: number): Result<FoundTimetable, NoTimetable> {
  const planned = timetableJob(question)
  const schedule = latestSchedule(planned.job, SEED, walks)
  return schedule.ok
    ? ok({ planned, schedule: smoothed(planned.job, schedule.value) })
    : refuse(inWords(schedule.error, planned))
}

/** A schedule as a timetable, moved by what has happened by now. */
export function timetableSince(
  { planned, schedule }: FoundTimetable,
  question: TimetableQuestion,
  walks: number,
  runs: number,
  since: Since | null,
): Timetable {
  const known = since && {
    ...since,
    happened: new Map([...since.happened].filter(([task]) => planned.tasks.some(({ id }) => id === task))),
  }
  const carried = known && known.happened.size > 0 ? carriedOn(planned.job, schedule, known, walks) : null
  const timetable = timetableOf(planned, carried?.schedule ?? schedule, question, known?.happened)
  const risk =
    runs > 0
      ? riskOf(
          planned.job,
          carried?.order ?? schedule,
          STARTING_STRAYING,
          runs,
          SEED,
          question.aheadMin,
          known ?? undefined,
        )
      : null
  return {
    ...timetable,
    standing: carried && { readyAt: carried.readyAt, spareMin: planned.job.endAt - carried.readyAt },
    risk: risk && riskInWords(risk, runs, planned, () => (carried ? null : sureStart(question, runs))),
  }
}

/**
 * So far past the event work is put where hands are free; beyond, at any hour, so that a timetable always has an end.
 */
const DAYS_AFTER = 60
const MINUTES_PER_DAY = 1440

/** A schedule as it goes on from what has happened; `order` is the schedule whose order it follows. */
type Carried = { readonly schedule: Schedule; readonly order: Schedule; readonly readyAt: Moment }

/**
 * Everything goes on in its planned order, later where it must. Where that is too late, the rest is put in another
 * order if one is ready sooner.
 */
function carriedOn(job: Job, schedule: Schedule, since: Since, walks: number): Carried {
  const asPlanned = carriedIn(job, schedule, since)
  if (asPlanned.readyAt <= job.endAt) return asPlanned
  const isDone = (task: string): boolean => (since.happened.get(task)?.to ?? null) !== null
  const rest: Job = {
    ...job,
    tasks: job.tasks.filter(({ id }) => !isDone(id)),
    waits: job.waits.filter(({ before, after }) => !isDone(before) && !isDone(after)),
    holds: job.holds
      .filter(({ until }) => !isDone(until))
      .map((hold) => (isDone(hold.from) ? { ...hold, from: hold.until } : hold)),
  }
  const other = latestSchedule(rest, SEED, walks)
  if (!other.ok) return asPlanned
  const merged: Schedule = {
    ...other.value,
    placed: schedule.placed.map((each) => other.value.placed.find(({ task }) => task === each.task) ?? each),
    held: schedule.held.map(
      (each) =>
        other.value.held.find(
          ({ hold }) =>
            hold.resource === each.hold.resource && hold.until === each.hold.until && !isDone(each.hold.from),
        ) ?? each,
    ),
  }
  const inOther = carriedIn(job, merged, since)
  return inOther.readyAt < asPlanned.readyAt ? inOther : asPlanned
}

function carriedIn(job: Job, schedule: Schedule, since: Since): Carried {
  const begin = Math.min(schedule.startBy, since.now) - MINUTES_PER_DAY
  const free = new Map(
    job.people.map((person) => [
      person.id,
      freeWithOvertime(person, Math.max(job.endAt, since.now) + DAYS_AFTER * MINUTES_PER_DAY).filter(
        ({ to }) => to > begin,
      ),
    ]),
  )
  const lived = liveThrough(job, schedule, inOrder(job, schedule), free, {
    ...since,
    minutesOf: ({ durationMin }) => durationMin,
    restOf: ({ leastMin }) => leastMin,
  })
  const last = Math.max(job.endAt, since.now) + DAYS_AFTER * MINUTES_PER_DAY
  const partsOf = (task: string): readonly Stretch[] =>
    lived.get(task)!.parts.map(({ from, to }) => ({ from: Math.min(from, last), to: Math.min(to, last) }))
  const placed = schedule.placed.map((each) => ({ ...each, parts: partsOf(each.task) }))
  return {
    schedule: { ...schedule, placed },
    order: schedule,
    readyAt: Math.max(...placed.map(({ parts }) => parts.at(-1)!.to)),
  }
}

const SURE = 0.9
/** How much earlier than asked is tried, minutes. */
const EARLIER_MIN = [30, 60, 120, 180, 240, 360, 720, 1440] as const

/**
 * The least that one has to be ready earlier to be ready for the event nine times in ten; none where even a day does
 * not do.
 */
function sureStart(question: TimetableQuestion, runs: number): SureStart | null {
  for (const earlierMin of EARLIER_MIN) {
    const { job } = timetableJob({ ...question, aheadMin: question.aheadMin + earlierMin })
    const schedule = latestSchedule(job, SEED, 0)
    if (!schedule.ok) continue
    const { chance } = riskOf(
      job,
      smoothed(job, schedule.value),
      STARTING_STRAYING,
      runs,
      SEED,
      question.aheadMin + earlierMin,
    )
    if (chance >= SURE) return { earlierMin, startBy: schedule.value.startBy, chance }
  }
  return null
}

function riskInWords(
  { chance, causes }: Risk,
  runs: number,
  { tasks }: TimetableJob,
  sure: () => SureStart | null,
): Timetable['risk'] {
  const nameOf = (id: string): string => tasks.find((task) => task.id === id)?.name ?? id
  return {
    sure: chance >= SURE ? null : sure(),
    causes: causes.map(({ task, drying, share }) => ({
      share,
      words: drying ? `drying after “${nameOf(task)}”` : `“${nameOf(task)}” takes longer`,
    })),
    chance: derive(
      'chance to be ready',
      'share',
      'lived through by chance',
      'ready for the event in so many of {runs}; late work goes on half an hour past the day, hands ' +
        'stray by {pace}, drying by {drying}, one step in {mishap} is half done again',
      {
        runs: found('runs', runs, 'count', 'with a seed of their own, the same each time'),
        pace: starting('pace', Math.hypot(STARTING_STRAYING.pace, STARTING_STRAYING.task), 'share', 'guess'),
        drying: starting('drying', Math.hypot(STARTING_STRAYING.room, STARTING_STRAYING.piece), 'share', 'usual'),
        mishap: starting('steps', 1 / STARTING_STRAYING.mishap, 'count', 'guess'),
      },
      () => chance,
    ),
  }
}

function inWords(problem: NoSchedule, { job, tasks }: TimetableJob): NoTimetable {
  const nameOf = (id: string): string => tasks.find((task) => task.id === id)?.name ?? id
  switch (problem.code) {
    case 'no-units':
      return {
        code: 'no-formers',
        formers: job.resources.find(({ id }) => id === problem.resource)?.name ?? problem.resource,
      }
    case 'goes-off':
      return { code: 'goes-off', task: nameOf(problem.task), next: nameOf(problem.next) }
    case 'no-time':
      return { code: 'no-working-time', task: nameOf(problem.task) }
    case 'in-circles':
      return { code: 'no-working-time', task: nameOf(problem.task) }
  }
}

/** A schedule as slots: work in its parts, what lies on formers, what sets on the rack. */
function timetableOf(
  { tasks, job }: TimetableJob,
  schedule: Schedule,
  { eventAt, formers, times, people }: TimetableQuestion,
  happened: ReadonlyMap<string, Happened> = new Map(),
): Timetable {
  const stateOf = (task: string): Slot['state'] => {
    const has = happened.get(task)
    return !has ? 'toDo' : has.to === null ? 'underWay' : 'done'
  }
  const placed = new Map(schedule.placed.map((each) => [each.task, each]))
  const stretchOf = (id: string): Stretch => {
    const { parts } = placed.get(id)!
    return { from: parts[0]!.from, to: parts.at(-1)!.to }
  }
  const unitOf = (task: string): string | null => {
    const held = schedule.held.find(({ hold }) => hold.from === task && hold.units === 1)
    return held ? `${held.hold.resource} ${held.unit}` : null
  }
  const handsLane = ({ person }: PlacedTask): string =>
    people.length > 1 ? (people.find(({ id }) => id === person)?.name ?? HANDS) : HANDS
  const slots = tasks.flatMap((task): readonly Slot[] => {
    const here = placed.get(task.id)!
    const lane =
      task.kind === 'drive'
        ? 'road'
        : task.kind === 'warm'
          ? 'cake'
          : task.kind === 'oven'
            ? unitOf(task.id)!
            : !task.byHand
              ? laneOfDrying(task.id, schedule)
              : handsLane(here)
    const former =
      task.load !== null && task.kind !== 'oven'
        ? schedule.held.find(
            ({ hold }) => hold.resource === formers.name && (hold.from === task.id || hold.until === task.id),
          )
        : undefined
    return here.parts.map((part, at): Slot => ({
      ...part,
      id: here.parts.length > 1 ? `${task.id}-${at + 1}` : task.id,
      kind: task.kind,
      hands: task.byHand,
      load: task.load,
      task: task.id,
      person: here.person,
      state: stateOf(task.id),
      lane: former ? `${formers.name} ${former.unit}` : lane,
      name: here.parts.length > 1 ? `${task.name}, part ${at + 1} of ${here.parts.length}` : task.name,
    }))
  })
  const lying = schedule.held
    .filter(({ hold }) => hold.resource === formers.name)
    .flatMap(({ hold, unit }): readonly Slot[] => {
      const { load } = tasks.find(({ id }) => id === hold.from)!
      const [draped, lifted] = [stretchOf(hold.from), stretchOf(hold.until)]
      const waiting = {
        hands: false,
        load,
        task: null,
        person: null,
        state: stateOf(hold.until) === 'done' ? 'done' : stateOf(hold.from) === 'done' ? 'underWay' : 'toDo',
      } as const
      const set = draped.to + times.untilSetMin
      return [
        {
          ...waiting,
          id: `dry-${load}`,
          kind: 'dry',
          name: times.ovenMin === null ? `Load ${load} dries` : `Load ${load} on its tray`,
          lane: `${formers.name} ${unit}`,
          from: draped.to,
          to: lifted.from,
        },
        ...(times.ovenMin === null && set > lifted.to
          ? [
              {
                ...waiting,
                id: `rest-${load}`,
                kind: 'rest' as const,
                name: `Load ${load} sets`,
                lane: 'rack',
                from: lifted.to,
                to: set,
              },
            ]
          : []),
      ]
    })
  const event: Slot = {
    id: 'event',
    kind: 'event',
    name: 'Event',
    lane: 'road',
    hands: false,
    load: null,
    task: null,
    person: null,
    state: 'toDo',
    from: eventAt,
    to: eventAt,
  }
  const drive = stretchOf('drive')
  const atVenue = job.waits.filter(({ before }) => before === 'drive').map(({ after }) => stretchOf(after).from)
  return {
    slots: [...slots, ...lying, event].sort((one, other) => one.from - other.from || one.to - other.to),
    startBy: schedule.startBy,
    leaveAt: drive.from,
    atVenueBy: Math.min(job.endAt, ...atVenue),
    reasons: schedule.placed.map(({ task, reason }) => ({ task, reason })),
    unkeptPins: schedule.unkeptPins,
    risk: null,
    standing: null,
  }
}

/** What something dries on that is held by a task before it. */
const laneOfDrying = (task: string, { held }: Schedule): string =>
  held.find(({ hold }) => hold.until === task)?.hold.resource ?? 'rack'
