import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  fillFormers,
  STARTING_PACE,
  planTimetable,
  workFor,
  type Completion,
  type Timetable,
  type TimetableQuestion,
  type WorkingHours,
} from '.'
import { cutListFor, type Piece } from '../piece'
import { dayOf, found, parseMoment, starting, valueOf, weekdayOf } from '../quantity'
import type { SizedElement } from '../technique'

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
const soak = starting('soak', 1, 'duration', 'usual')

function questionFor(
  sails: number,
  change: Partial<TimetableQuestion> = {},
  completion: Completion = 'atVenue',
): TimetableQuestion {
  const elements = Array.from({ length: sails }, (_, index): SizedElement => ({
    index,
    portion: (['whole', 'half', 'quarter'] as const)[index % 3]!,
    discMm: 160,
    seenHeightMm: 70,
    seenWidthMm: 90,
    flatReach: soak,
    spareReachMm: 0,
  }))
  const count = found('sails', sails, 'count', 'counted')
  const cutList = cutListFor(elements, count, starting('spares', 0.2, 'share', 'usual'), (index) => index % 4)
  const { loads } = fillFormers(cutList.pieces, 1.6, mat)
  return {
    eventAt,
    aheadMin: 30,
    driveMin: 40,
    warmMin: 0,
    warmedFor: 'placing',
    completion,
    work: workFor(cutList, loads, count, soak, completion, STARTING_PACE),
    times: { onFormerMin: 600, untilSetMin: 1500, ovenMin: null },
    formers: { name: 'mat', count: 2 },
    ovenPlaces: 2,
    moulds: [],
    pins: {},
    people: [{ id: 'me', name: 'hands', hours, busy: [] }],
    ...change,
  }
}

const timetableOf = (question: TimetableQuestion): Timetable => valueOf(planTimetable(question, WALKS))
const startOf = (question: TimetableQuestion): number => {
  const result = planTimetable(question, WALKS)
  return result.ok ? result.value.startBy : -Infinity
}

/** Checks a timetable by rules of its own, without any of the search. Returns what is wrong with it. */
function faults({ slots }: Timetable, { times, work, completion, driveMin }: TimetableQuestion): readonly string[] {
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
      ['drive', 'loadCar', 'photograph', 'event', 'dry', 'rest'].includes(slot.kind) ||
      (slot.kind === 'place' && completion === 'atVenue')
    const within =
      hours.days[weekdayOf(slot.from)] &&
      hours.spells.some(
        ({ fromMin, toMin }) => slot.from >= dayOf(slot.from) + fromMin && slot.to <= dayOf(slot.from) + toMin,
      )
    if (!free && !within) wrong.push(`out of hours: ${slot.name}`)
  }
  const of = (kind: string, load?: number) =>
    slots.filter((slot) => slot.kind === kind && (load === undefined || slot.load === load))
  const chosenFrom = Math.min(...of('choose').map(({ from }) => from))
  let before = -Infinity
  for (const { load } of work.loads) {
    const drape = of('drape', load.number)[0]!
    const lift = of('lift', load.number)[0]!
    if (drape.from < before) wrong.push(`load ${load.number} is draped before the paler one`)
    before = drape.from
    if (drape.lane !== lift.lane) wrong.push(`load ${load.number} changes its former`)
    if (times.ovenMin === null && lift.from < drape.to + times.onFormerMin)
      wrong.push(`load ${load.number} is lifted before it is firm`)
    if (times.ovenMin === null && chosenFrom < drape.to + times.untilSetMin)
      wrong.push(`load ${load.number} is chosen before it is set`)
    if (times.ovenMin !== null) {
      const oven = of('oven', load.number)[0]!
      if (oven.from < drape.to || oven.to > lift.from || oven.to - oven.from < times.ovenMin)
        wrong.push(`load ${load.number} is not dried between draping and lifting`)
    }
  }
  if (Math.max(...of('cut').map(({ to }) => to)) > of('drape')[0]!.from) wrong.push('draped before cut')
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
        (sails, mats, firm, completion) => {
          const question = questionFor(
            sails,
            {
              formers: { name: 'mat', count: mats },
              times: { onFormerMin: firm, untilSetMin: Math.round(firm * 1.7), ovenMin: null },
            },
            completion,
          )
          expect(faults(timetableOf(question), question)).toEqual([])
        },
      ),
      { numRuns: 300 },
    ))
  it('holds with the oven too, where places are as few as trays', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 1, max: 3 }),
        (sails, trays, ovenPlaces) => {
          const question = questionFor(sails, {
            formers: { name: 'tray', count: trays },
            ovenPlaces,
            times: { onFormerMin: 30, untilSetMin: 30, ovenMin: 30 },
          })
          expect(faults(timetableOf(question), question)).toEqual([])
        },
      ),
      { numRuns: 40 },
    ))
  it('by hand: one load at the venue leaves at 16:57 and is draped a full drying before choosing', () => {
    const question = questionFor(2)
    const { slots, leaveAt, atVenueBy } = timetableOf(question)
    expect(eventAt - 30 - 15 - 8).toBe(atVenueBy)
    expect(leaveAt).toBe(atVenueBy - 40)
    const choose = slots.find(({ kind }) => kind === 'choose')!
    const drape = slots.find(({ kind }) => kind === 'drape')!
    expect(choose.from - drape.to).toBeGreaterThanOrEqual(1500)
  })
  it('never starts later with longer drying, and never earlier with one more mat', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer({ min: 60, max: 2400 }),
        fc.integer({ min: 0, max: 900 }),
        (sails, mats, firm, longer) => {
          const start = (count: number, onFormerMin: number) =>
            startOf(
              questionFor(sails, {
                formers: { name: 'mat', count },
                times: { onFormerMin, untilSetMin: Math.round(onFormerMin * 1.7), ovenMin: null },
              }),
            )
          return start(mats, firm + longer) <= start(mats, firm) && start(mats + 1, firm) >= start(mats, firm)
        },
      ),
      { numRuns: 300 },
    ))
  it('starts as much earlier as the event is moved by weeks', () =>
    expect(startOf(questionFor(12)) - startOf(questionFor(12, { eventAt: eventAt - 7 * 1440 }))).toBe(7 * 1440))
  it('says what is missing', () => {
    expect(planTimetable(questionFor(3, { formers: { name: 'mat', count: 0 } }), WALKS)).toMatchObject({
      ok: false,
      error: { code: 'no-formers', formers: 'mat' },
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

describe('filling mats', () => {
  const pieces = fc
    .array(
      fc.tuple(
        fc.constantFrom('whole' as const, 'half' as const, 'quarter' as const),
        fc.constantFrom(160, 220, 280),
        fc.integer({ min: 0, max: 4 }),
      ),
      { maxLength: 40 },
    )
    .map((kinds) =>
      kinds.map(([portion, discMm, shade], at): Piece => ({ number: at + 1, portion, discMm, element: at, shade })),
    )
  it('lays every piece once, in bounds, apart, palest loads first', () =>
    fc.assert(
      fc.property(pieces, (list) => {
        const { loads, tooBig } = fillFormers(list, 1.6, mat)
        expect(
          loads.flatMap(({ laid }) => laid.map(({ piece }) => piece.number)).sort((one, other) => one - other),
        ).toEqual(list.map(({ number }) => number))
        expect(tooBig).toEqual([])
        const shades = loads.flatMap(({ laid }) => [
          Math.min(...laid.map(({ piece }) => piece.shade)),
          Math.max(...laid.map(({ piece }) => piece.shade)),
        ])
        expect(shades).toEqual([...shades].sort((one, other) => one - other))
        return loads.every(({ laid }) =>
          laid.every(
            (one, at) =>
              one.xMm >= 0 &&
              one.yMm >= 0 &&
              one.xMm + one.widthMm <= mat.lengthMm + 1e-9 &&
              one.yMm + one.heightMm <= mat.widthMm + 1e-9 &&
              laid
                .slice(at + 1)
                .every(
                  (other) =>
                    one.xMm + one.widthMm <= other.xMm ||
                    other.xMm + other.widthMm <= one.xMm ||
                    one.yMm + one.heightMm <= other.yMm ||
                    other.yMm + other.heightMm <= one.yMm,
                ),
          ),
        )
      }),
    ))
  it('names pieces that no mat takes, and lays each by itself', () => {
    const { loads, tooBig } = fillFormers(
      [
        { number: 1, portion: 'whole', discMm: 280, element: 0, shade: 0 },
        { number: 2, portion: 'quarter', discMm: 160, element: 1, shade: 0 },
      ],
      1.6,
      { lengthMm: 200, widthMm: 150 },
    )
    expect(tooBig.map(({ number }) => number)).toEqual([1])
    expect(loads.map(({ laid }) => laid.map(({ piece }) => piece.number))).toEqual([[1], [2]])
  })
})

describe('work by hand', () => {
  it('adds up its tasks: 15 sails cut, draped, lifted, chosen, packed, placed, loaded', () => {
    const { work } = questionFor(15)
    const parts = [
      work.cut,
      work.choose,
      work.pack,
      work.place,
      work.loadCar,
      work.cover,
      work.stack,
      work.photograph,
      ...work.loads.flatMap(({ drape, lift }) => [drape, lift]),
    ]
    expect(work.total.value).toBe(parts.reduce((sum, { value }) => sum + value, 0))
    expect(work.place.value).toBe(60)
  })
  it('has nothing to place when it is handed over', () =>
    expect(questionFor(15, {}, 'handedOver').work.place.value).toBe(0))
})
