import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  fillFormers,
  planTimetable,
  STARTING_PACE,
  workFor,
  type CakeCounts,
  type Completion,
  type Load,
  type Making,
  type MakingStep,
  type PieceToLay,
  type Timetable,
  type TimetableQuestion,
  type WorkingHours,
} from '.'
import { dayOf, found, parseMoment, valueOf, weekdayOf, type Working } from '../quantity'

const mat = { lengthMm: 400, widthMm: 300 }
const eventAt = valueOf(parseMoment('2026-12-05T18:30'))
const hours: WorkingHours = {
  days: [false, false, true, true, true, true, true],
  spells: [
    { fromMin: 540, toMin: 780 },
    { fromMin: 840, toMin: 1080 },
  ],
}
const WALKS = 4
const minutes = (value: number): Working => found('minutes', value, 'duration', 'counted')

/** How long things dry that are soaked, laid down in loads and taken up again, minutes. */
type Times = { readonly firmMin: number; readonly setMin: number; readonly ovenMin: number | null }
const USUAL: Times = { firmMin: 600, setMin: 1500, ovenMin: null }

/** Pieces of sizes and shades by turns. */
const piecesFor = (count: number): readonly PieceToLay[] =>
  Array.from({ length: count }, (_, at) => ({
    part: `p${at}`,
    order: Math.floor((at * 4) / count),
    widthMm: [100, 100, 71][at % 3]!,
    heightMm: [160, 80, 80][at % 3]!,
  }))

/** Draping so many pieces, in turns of as many as a mat holds, pale first. */
function draping(pieces: number, { firmMin, setMin, ovenMin }: Times): Making {
  const loads = fillFormers(piecesFor(pieces), mat).fillings.map(({ laid }, at): Load => ({
    number: at + 1,
    laid,
    again: false,
  }))
  const step = (id: string, change: Partial<MakingStep>): MakingStep => ({
    id,
    name: id,
    turns: [{ task: id, hands: minutes(2 * pieces), units: 1, load: null }],
    rest: minutes(0),
    drying: null,
    since: null,
    ovenMin: null,
    hold: null,
    air: null,
    turnsOf: null,
    putDown: true,
    suppleMin: null,
    onCake: false,
    ...change,
  })
  const turns = (id: string, each: number) =>
    loads.map((load) => ({ task: `${id}-${load.number}`, hands: minutes(each * load.laid.length), units: 1, load }))
  const place = ovenMin === null ? ('mat' as const) : ('tray' as const)
  const steps = [
    step('cut', {}),
    step('drape', {
      turns: turns('drape', 5),
      rest: minutes(firmMin),
      ovenMin: ovenMin === null ? null : minutes(ovenMin),
      hold: { place, name: place, untilStep: 'lift', whileHands: false },
      putDown: false,
    }),
    step('lift', { turns: turns('lift', 1), rest: minutes(setMin), since: 'drape', turnsOf: 'drape', putDown: false }),
    step('choose', {}),
  ]
  return {
    decoration: 'folds',
    name: 'Folds',
    luck: 'folds 1',
    hands: minutes(steps.flatMap((each) => each.turns).reduce((sum, { hands }) => sum + hands.value, 0)),
    place: minutes(4 * pieces),
    skin: null,
    tiers: [],
    steps,
    again: [],
    goesOff: false,
  }
}

type Asked = Partial<TimetableQuestion> & {
  readonly times?: Times
  readonly formers?: number
  readonly ovenPlaces?: number
}

function questionFor(
  pieces: number,
  { times = USUAL, formers = 2, ovenPlaces = 2, ...change }: Asked = {},
  completion: Completion = 'atVenue',
): TimetableQuestion {
  const making = draping(pieces, times)
  const chain = making.steps.find(({ id }) => id === 'drape')!.turns.map(({ task }) => task)
  return {
    eventAt,
    aheadMin: 30,
    venueOpensAt: eventAt - 12 * 60,
    wantedChance: 0.5,
    driveMin: 40,
    tiers: [],
    isKeptChilled: false,
    warmMin: { here: 0, there: 0 },
    setMin: 15,
    completion,
    work: workFor([making], [chain], completion, STARTING_PACE, BOUGHT_COVERED),
    resources: [
      { id: times.ovenMin === null ? 'mat' : 'tray', name: 'mats', count: formers },
      { id: 'oven', name: 'places in the oven', count: ovenPlaces },
    ],
    pins: {},
    people: [{ id: 'me', name: 'hands', hours, busy: [] }],
    ...change,
  }
}

const none = found('none', 0, 'count', 'bought covered')
const BOUGHT_COVERED: CakeCounts = { stacked: none, filled: none, covered: none, picks: none }

const timetableOf = (question: TimetableQuestion): Timetable => valueOf(planTimetable(question, WALKS))
/** The last possible hour to start. */
const startOf = (question: TimetableQuestion): number => {
  const result = planTimetable(question, WALKS)
  return result.ok ? result.value.last!.startBy : -Infinity
}

/** Checks a timetable by rules of its own, without any of the search. Returns what is wrong with it. */
function faults(
  { slots }: Timetable,
  { work, completion, driveMin }: TimetableQuestion,
  { firmMin, setMin, ovenMin }: Times,
): readonly string[] {
  const wrong: string[] = []
  const overlapping = (lane: string, of: typeof slots): void =>
    of.forEach((one, at) =>
      of.slice(at + 1).forEach((other) => {
        if (one.from < other.to && other.from < one.to) wrong.push(`${lane}: ${one.name} / ${other.name}`)
      }),
    )
  overlapping(
    'hands',
    slots.filter(({ hands }) => hands),
  )
  for (const lane of new Set(slots.map(({ lane }) => lane)))
    if (/^(mat|tray|oven)/.test(lane))
      overlapping(
        lane,
        slots.filter((slot) => slot.lane === lane),
      )
  for (const slot of slots) {
    const free =
      // What goes on by itself has no hours, but an oven is not left alone.
      (!slot.hands && slot.kind !== 'oven') ||
      ['drive', 'loadCar', 'handOver'].includes(slot.kind) ||
      (completion === 'atVenue' && ['place', 'picksOut', 'photograph'].includes(slot.kind))
    const within =
      hours.days[weekdayOf(slot.from)] &&
      hours.spells.some(
        ({ fromMin, toMin }) => slot.from >= dayOf(slot.from) + fromMin && slot.to <= dayOf(slot.from) + toMin,
      )
    if (!free && !within) wrong.push(`out of hours: ${slot.name}`)
  }
  const of = (kind: string) => slots.filter((slot) => slot.kind === kind)
  const at = (step: string, turn?: number) =>
    slots.filter((slot) => slot.hands && slot.of?.step === step && (turn === undefined || slot.of.turn === turn))
  const chosenFrom = Math.min(...at('choose').map(({ from }) => from))
  let before = -Infinity
  for (const { load } of work.making[0]!.steps.find(({ id }) => id === 'drape')!.turns) {
    const { number } = load!
    const drape = at('drape', number)[0]!
    const lift = at('lift', number)[0]!
    if (drape.from < before) wrong.push(`load ${number} is draped before the paler one`)
    before = drape.from
    const lies = slots.find(
      ({ kind, of: which }) => kind === 'dry' && which?.step === 'drape' && which.turn === number,
    )!
    if (!/^(mat|tray)/.test(lies.lane)) wrong.push(`load ${number} lies on no former`)
    if (lies.from > drape.to || lies.to < lift.from) wrong.push(`load ${number} leaves its former too early`)
    if (ovenMin === null && lift.from < drape.to + firmMin) wrong.push(`load ${number} is lifted before it is firm`)
    if (ovenMin === null && chosenFrom < drape.to + setMin) wrong.push(`load ${number} is chosen before it is set`)
    if (ovenMin !== null) {
      const oven = slots.find(({ kind, of: which }) => kind === 'oven' && which?.turn === number)!
      if (oven.from < drape.to || oven.to > lift.from || oven.to - oven.from < ovenMin)
        wrong.push(`load ${number} is not dried between draping and lifting`)
    }
  }
  if (Math.max(...at('cut').map(({ to }) => to)) > at('drape')[0]!.from) wrong.push('draped before cut')
  if (of('drive')[0]!.to - of('drive')[0]!.from !== driveMin) wrong.push('the drive is not as long as the drive')
  if (of('pack').at(-1)!.to > of('loadCar')[0]!.from) wrong.push('loaded before packed')
  return wrong
}

const completions = fc.constantFrom('beforeDriving' as const, 'atVenue' as const, 'handedOver' as const)

describe('walking back from the event', () => {
  it('holds by rules of its own, whatever the job', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 45 }),
        fc.integer({ min: 1, max: 5 }),
        fc.integer({ min: 30, max: 3000 }),
        completions,
        (pieces, formers, firmMin, completion) => {
          const times = { firmMin, setMin: Math.round(firmMin * 1.7), ovenMin: null }
          const question = questionFor(pieces, { formers, times }, completion)
          expect(faults(timetableOf(question), question, times)).toEqual([])
        },
      ),
      { numRuns: 200 },
    ))
  it('holds with the oven too, where places are as few as trays', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 3 }),
        (pieces, formers, ovenPlaces) => {
          const times = { firmMin: 30, setMin: 30, ovenMin: 30 }
          const question = questionFor(pieces, { formers, ovenPlaces, times })
          expect(faults(timetableOf(question), question, times)).toEqual([])
        },
      ),
      { numRuns: 40 },
    ))
  it('by hand: one load at the venue leaves at 16:37 and is draped a full drying before choosing', () => {
    const question = questionFor(2)
    const { slots, leaveAt, atVenueBy } = timetableOf(question)
    // Ready half an hour before; 10 min to hand over and to photograph each, 15 to set, 8 to place.
    expect(eventAt - 30 - 10 - 10 - 15 - 8).toBe(atVenueBy)
    expect(leaveAt).toBe(atVenueBy - 40)
    const at = (step: string) => slots.find(({ hands, of }) => hands && of?.step === step)!
    const [choose, drape] = [at('choose'), at('drape')]
    expect(choose.from - drape.to).toBeGreaterThanOrEqual(1500)
  })
  it('never starts later with longer drying, and never earlier with one more mat', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 60, max: 2400 }),
        fc.integer({ min: 0, max: 900 }),
        (pieces, mats, firm, longer) => {
          const start = (formers: number, firmMin: number) =>
            startOf(
              questionFor(pieces, { formers, times: { firmMin, setMin: Math.round(firmMin * 1.7), ovenMin: null } }),
            )
          return start(mats, firm + longer) <= start(mats, firm) && start(mats + 1, firm) >= start(mats, firm)
        },
      ),
      { numRuns: 60 },
    ))
  it('starts as much earlier as the event is moved by weeks', () =>
    expect(startOf(questionFor(12)) - startOf(questionFor(12, { eventAt: eventAt - 7 * 1440 }))).toBe(7 * 1440))
  it('says what is missing', () => {
    expect(planTimetable(questionFor(3, { formers: 0 }), WALKS)).toMatchObject({
      ok: false,
      error: { code: 'no-formers', formers: 'mats' },
    })
    expect(
      planTimetable(
        questionFor(12, {
          people: [
            {
              id: 'me',
              name: 'hands',
              busy: [],
              hours: { days: [true, false, false, false, false, false, false], spells: [{ fromMin: 600, toMin: 610 }] },
            },
          ],
        }),
        WALKS,
      ),
    ).toMatchObject({ ok: false, error: { code: 'no-working-time' } })
  })
})

describe('work by hand', () => {
  it('adds up its tasks: making, packing, placing, loading', () => {
    const { work } = questionFor(15)
    const { making, inTurn, total, ...parts } = work
    expect(inTurn).toHaveLength(1)
    expect(total.value).toBe(
      [...Object.values(parts), ...making.map(({ hands }) => hands)].reduce((sum, { value }) => sum + value, 0),
    )
    expect(work.place.value).toBe(60)
  })
  it('has nothing to place when it is handed over', () =>
    expect(questionFor(15, {}, 'handedOver').work.place.value).toBe(0))
})
