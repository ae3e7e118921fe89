import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import { demoWorkshop } from '../../demo'
import { workingsBelow } from '../../quantity'
import { fixed, TECHNIQUES } from '../../technique'
import { derivePlan } from '..'
import { dryingOf, neverDryOf, restAfter, slowingOf, type RestFacts } from './dry'

const USUAL = { airC: 22, humidity: 0.475 }
const NINE_IN_TEN = 1.3776
const damped = (change: Partial<RestFacts> = {}): RestFacts => ({
  paper: 'thinWafer',
  slowing: slowingOf(USUAL),
  soaked: null,
  learned: {},
  swap: null,
  ...change,
})
const rest = (usualMin: number, until: 'handle' | 'firm', facts: RestFacts) =>
  restAfter({ name: 'damp', rest: { until, from: 'damp', usualMin } }, facts)!
const logged = (median: number) => ({ median, deviation: 0.3, trials: 5 })

describe('rests in this room', () => {
  it('are those of nine pieces in ten, of what is usual in the usual room', () => {
    for (const minutes of [60, 240, 720]) {
      expect(rest(minutes, 'firm', damped()).planned.value).toBe(Math.round(minutes * NINE_IN_TEN))
      expect(rest(minutes, 'firm', damped()).drying!.usuallyMin).toBeCloseTo(minutes, 6)
    }
  })
  it('are never shorter than practice in a dry room, unless trials say so', () => {
    const dry = { slowing: slowingOf({ airC: 26, humidity: 0.2 }) }
    expect(rest(240, 'firm', damped(dry)).planned.value).toBe(240)
    const quick = damped({ ...dry, learned: { 'thinWafer firm': logged(0.8) } })
    expect(rest(240, 'firm', quick).planned.value).toBeLessThan(240)
  })
  it('grow with the damp and never shrink with it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.6, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        (humidity, damper) => {
          const [dry, damp] = [humidity, humidity + damper].map((each) =>
            damped({ slowing: slowingOf({ airC: 21, humidity: each }) }),
          )
          for (const minutes of [30, 120, 720])
            expect(rest(minutes, 'firm', damp!).planned.value).toBeGreaterThanOrEqual(
              rest(minutes, 'firm', dry!).planned.value,
            )
        },
      ),
      { numRuns: 15 },
    ))
  it('go by logs of their own: what is handled by what was handled, what stands by what stood', () => {
    const learned = { 'thinWafer handle': logged(1.5) }
    expect(rest(60, 'handle', damped({ learned })).planned.value).toBe(Math.round(60 * 1.5 * NINE_IN_TEN))
    expect(rest(60, 'firm', damped({ learned })).planned.value).toBe(rest(60, 'firm', damped()).planned.value)
    expect(rest(60, 'handle', damped({ learned, paper: 'thickWafer' })).planned.value).toBe(
      rest(60, 'handle', damped()).planned.value,
    )
  })
  it('take as many times as long as what replaces a mixture dries more slowly', () =>
    expect(rest(60, 'handle', damped({ swap: { name: 'Water alone', times: 3 } })).planned.value).toBe(
      Math.round(180 * NINE_IN_TEN),
    ))
  it('of a fixed length, for glue, stay as they are in the damp', () => {
    const facts = damped({ slowing: slowingOf({ airC: 21, humidity: 0.75 }) })
    expect(restAfter({ name: 'glue', rest: fixed(15) }, facts)).toMatchObject({
      planned: { value: 15 },
      drying: null,
    })
  })
  it('end somewhere though paper never gets so far', () =>
    expect(rest(720, 'firm', damped({ slowing: slowingOf({ airC: 21, humidity: 0.8 }) })).planned.value).toBeCloseTo(
      2880 * NINE_IN_TEN,
      -1,
    ))
})

describe('rests of soaked film', () => {
  const plan = derivePlan({
    commission: onTwoTiers(fourGroups(), 0),
    workshop: demoWorkshop(),
    now: 0,
    units: 'metric',
  })
  const facts: RestFacts = { paper: 'riceFilm', slowing: plan.slowing, learned: {}, swap: null, soaked: null }

  it('are worked out once for each way of drying, for all who dry so', () =>
    expect(plan.dryings.map(({ drying, decorations }) => [drying.way, [...decorations].sort()])).toEqual([
      ['oven', ['sweep']],
      ['mat', ['crown', 'pair', 'single']],
    ]))

  it('go by the curve of the film and by nothing else', () => {
    const soaked = dryingOf(plan.dryings, 'crown')!.estimate
    for (const until of ['handle', 'firm', 'set'] as const) {
      const rest = restAfter({ name: 'soak', rest: { until, from: 'soaked', usualMin: 1 } }, { ...facts, soaked })!
      expect(rest.planned.value).toBe(Math.ceil(soaked.ready[until].planned!.value))
      expect(rest.drying!.usuallyMin).toBe(soaked.ready[until].median!.value)
      expect(workingsBelow(rest.planned)).toContain(soaked.ready[until].planned)
    }
  })

  it('of every step of every technique are as long as what it is made of needs: film by film, wafer by the room', () => {
    const soaked = dryingOf(plan.dryings, 'crown')!.estimate
    const learned = { 'riceFilm handle': logged(2), 'riceFilm firm': logged(2) }
    for (const { steps } of TECHNIQUES)
      for (const step of steps) {
        const usual = restAfter(step, { ...facts, soaked })!.planned.value
        expect(usual, step.id).toBeGreaterThanOrEqual(0)
        if (!('rest' in step)) expect(usual).toBe(0)
        const slower = restAfter(step, { ...facts, soaked, learned })!.planned.value
        const isCurve = 'rest' in step && step.rest && 'until' in step.rest && step.rest.from === 'damp'
        if (!isCurve) expect(slower).toBe(usual)
        else expect(slower).toBeGreaterThanOrEqual(usual)
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

describe('paper that never gets dry enough', () => {
  const ruffle = { name: 'Ruffle', paper: 'thinWafer', elements: [{}], steps: [], setting: {} }
  const asking = (until: string) => ({ steps: [{ rest: { until, from: 'damp' } }] })
  const named = (decoration: object, humidity: number): readonly string[] =>
    neverDryOf([{ ...ruffle, ...decoration } as never], slowingOf({ airC: 21, humidity }))

  it('is named in a damp room, where it has to stand and, damper still, where it is only handled', () => {
    expect(named(asking('firm'), 0.85)).toEqual(['ruffle'])
    expect(named(asking('firm'), 0.45)).toEqual([])
    expect(named(asking('firm'), 0.72)).toEqual(['ruffle'])
    expect(named(asking('handle'), 0.72)).toEqual([])
    expect(named(asking('handle'), 0.97)).toEqual(['ruffle'])
    expect(named({ ...asking('firm'), elements: [] }, 0.85)).toEqual([])
    expect(named({ setting: asking('firm').steps[0] }, 0.85)).toEqual(['ruffle'])
  })
})
