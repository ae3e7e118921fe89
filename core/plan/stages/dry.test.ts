import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import { demoWorkshop } from '../../demo'
import { derive, workingsBelow } from '../../quantity'
import { fixed, TECHNIQUES } from '../../technique'
import { derivePlan } from '..'
import { dampRestMin, dryingOf, neverFirmOf, restAfter, slowingOf } from './dry'

describe('rests in this room', () => {
  it('are as told in the usual room', () => {
    const usual = slowingOf({ airC: 22, humidity: 0.475 })
    expect([60, 240, 720].map((minutes) => dampRestMin(minutes, 'firm', usual.wafer))).toEqual([60, 240, 720])
  })
  it('grow with the damp and never shrink with it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.6, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        (humidity, damper) => {
          const [dry, damp] = [humidity, humidity + damper].map((each) => slowingOf({ airC: 21, humidity: each }))
          for (const minutes of [30, 120, 720])
            expect(dampRestMin(minutes, 'firm', damp!.wafer)).toBeGreaterThanOrEqual(
              dampRestMin(minutes, 'firm', dry!.wafer),
            )
        },
      ),
      { numRuns: 15 },
    ))
  it('of a fixed length, for glue, stay as they are in the damp', () => {
    const facts = {
      kind: 'wafer',
      slowing: slowingOf({ airC: 21, humidity: 0.75 }),
      soaked: null,
      factor: null,
    } as const
    expect(restAfter({ name: 'glue', rest: fixed(15) }, facts)!.value).toBe(15)
  })
  it('end somewhere though paper never gets so far', () =>
    expect(dampRestMin(720, 'firm', slowingOf({ airC: 21, humidity: 0.8 }).wafer)).toBe(2880))
})

describe('rests of soaked film', () => {
  const plan = derivePlan({
    commission: onTwoTiers(fourGroups(), 0),
    workshop: demoWorkshop(),
    now: 0,
    units: 'metric',
  })
  const facts = { kind: 'film', slowing: plan.slowing, factor: null } as const

  it('are worked out once for each way of drying, for all who dry so', () =>
    expect(plan.dryings.map(({ drying, decorations }) => [drying.way, [...decorations].sort()])).toEqual([
      ['oven', ['sweep']],
      ['mat', ['crown', 'pair', 'single']],
    ]))

  it('go by the curve of the film and by nothing else', () => {
    const soaked = dryingOf(plan.dryings, 'crown')!.estimate
    for (const until of ['handle', 'firm', 'set'] as const) {
      const rest = restAfter({ name: 'soak', rest: { until, from: 'soaked', usualMin: 1 } }, { ...facts, soaked })!
      expect(rest.value).toBe(Math.ceil(soaked.ready[until].planned!.value))
      expect(workingsBelow(rest)).toContain(soaked.ready[until].planned)
    }
  })

  it('of every step of every technique are as long as what it is made of needs: film by film, wafer by the room', () => {
    const soaked = dryingOf(plan.dryings, 'crown')!.estimate
    const longer = derive('slower', 'ratio', 'twice', '2', {}, () => 2)
    for (const { steps } of TECHNIQUES)
      for (const step of steps) {
        const rest = restAfter(step, { ...facts, soaked })!
        expect(rest.value, step.id).toBeGreaterThanOrEqual(0)
        if (!step.rest) expect(rest.value).toBe(0)
        const yours = { factor: { median: longer.value, trials: 9 } }
        const slower = restAfter(step, { ...facts, soaked, factor: yours.factor as never })!
        const isCurve = step.rest && 'until' in step.rest && step.rest.from === 'damp'
        if (!isCurve) expect(slower.value).toBe(rest.value)
        else expect(slower.value).toBeGreaterThanOrEqual(rest.value)
      }
  })

  it('have no end where film never sets', () => {
    const damp = derivePlan({
      commission: {
        ...onTwoTiers(fourGroups(), 0),
        brief: { ...onTwoTiers([], 0).brief, workroom: { airC: 21, humidity: 0.85 } },
      },
      workshop: demoWorkshop(),
      now: 0,
      units: 'metric',
    })
    const soaked = dryingOf(damp.dryings, 'crown')!.estimate
    expect(restAfter({ name: 'lift', rest: { until: 'set', from: 'soaked', usualMin: 1 } }, { ...facts, soaked })).toBe(
      null,
    )
    expect(damp.timetable).toMatchObject({ ok: false, error: { code: 'never-sets' } })
  })
})

describe('paper that never stands firm', () => {
  const ruffle = {
    name: 'Ruffle',
    paper: 'thinWafer',
    elements: [{}],
    steps: [{ rest: { until: 'firm', from: 'damp' } }],
  }
  const named = (decoration: object, humidity: number): readonly string[] =>
    neverFirmOf([{ ...ruffle, ...decoration } as never], slowingOf({ airC: 21, humidity }))

  it('is named in a damp room, and only where it has to stand and is on the cake', () => {
    expect(named({}, 0.85)).toEqual(['ruffle'])
    expect(named({}, 0.45)).toEqual([])
    expect(named({ elements: [] }, 0.85)).toEqual([])
    expect(named({ steps: [{ rest: { until: 'handle', from: 'damp' } }, {}] }, 0.85)).toEqual([])
  })
})
