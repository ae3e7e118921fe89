import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import { demoWorkshop } from '../../demo'
import type { DryingWay } from '../../dry'
import { workingsBelow } from '../../quantity'
import { fixed, techniqueOf, TECHNIQUES, untilHandled, type Step } from '../../technique'
import { derivePlan } from '..'
import { dryingOf } from './dry'
import { airAfter, restAfter, slowingOf, type RestFacts } from './rests'

const USUAL = { airC: 22, humidity: 0.475 }
const NINE_IN_TEN = 1.3776
const dryingIn = (way: DryingWay) => ({ way, soakWaterC: 38, ovenC: 80 })
const damped = (change: Partial<RestFacts> = {}): RestFacts => ({
  paper: 'thinWafer',
  thicknessMm: 0.28,
  drying: dryingIn('room'),
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
  it('have no end where paper never gets so far: where it stands sooner than where it is only handled', () => {
    const at = (humidity: number, until: 'handle' | 'firm') =>
      restAfter(
        { name: 'damp', rest: { until, from: 'damp', usualMin: 60 } },
        damped({ slowing: slowingOf({ airC: 21, humidity }) }),
      )
    expect(at(0.45, 'firm')).not.toBeNull()
    expect(at(0.72, 'firm')).toBeNull()
    expect(at(0.72, 'handle')).not.toBeNull()
    expect(at(0.97, 'handle')).toBeNull()
  })
})

describe('rests in other ways of drying', () => {
  const damp = slowingOf({ airC: 21, humidity: 0.8 })
  const minutes = (way: DryingWay, change: Partial<RestFacts> = {}, until: 'handle' | 'firm' = 'firm') =>
    restAfter(
      { name: 'damp', rest: { until, from: 'damp', usualMin: 240 } },
      damped({ drying: dryingIn(way), ...change }),
    )?.planned.value ?? Infinity

  it('are shorter before a fan and in a dry room, shortest in the oven', () => {
    expect(minutes('fan')).toBeLessThan(minutes('room'))
    expect(minutes('dryRoom')).toBeLessThan(minutes('room'))
    expect(minutes('oven')).toBeLessThan(minutes('fan'))
  })
  it('a fan is no help where paper never sets; a dry room and the oven are', () => {
    expect([minutes('room', { slowing: damp }), minutes('fan', { slowing: damp })]).toEqual([Infinity, Infinity])
    expect(minutes('dryRoom', { slowing: damp })).toBe(
      minutes('dryRoom', { slowing: slowingOf({ ...USUAL, airC: 21 }) }),
    )
    expect(minutes('oven', { slowing: damp })).toBe(minutes('oven'))
  })
  it('are told for a fan where that is usual: as they are before one, longer without', () => {
    const told = { name: 'drape', rest: untilHandled(120, 'fan') }
    const [fan, room] = (['fan', 'room'] as const).map((way) => restAfter(told, damped({ drying: dryingIn(way) }))!)
    expect(fan!.drying!.usuallyMin).toBeCloseTo(120, 6)
    expect(room!.drying!.usuallyMin).toBeGreaterThan(150)
  })
  it('at the cake are in the room', () => {
    const glue = { name: 'set', rest: untilHandled(60), onCake: true } as const
    expect(restAfter(glue, damped({ drying: dryingIn('oven') }))).toEqual(restAfter(glue, damped()))
  })
  it('of thicker film are longer, whatever the way', () => {
    const film = (thicknessMm: number, way: DryingWay) => minutes(way, { paper: 'riceFilm', thicknessMm }, 'handle')
    for (const way of ['room', 'fan', 'dryRoom'] as const) expect(film(0.4, way)).toBeGreaterThan(film(0.2, way))
  })
  it('take a fan from twenty minutes on, off the cake, at the last of those that began together', () => {
    const step = (rest: Step['rest'], change: Partial<Step> = {}): Step => ({
      id: 'damp',
      name: 'damp',
      say: '',
      minutes: {},
      ...(rest && { rest }),
      ...change,
    })
    expect(airAfter(step(untilHandled(30)), [], 'fan')).toBe('fan')
    expect(airAfter(step(untilHandled(30)), [], 'room')).toBeNull()
    expect(airAfter(step(untilHandled(15)), [], 'fan')).toBeNull()
    expect(airAfter(step(fixed(60)), [], 'fan')).toBeNull()
    expect(airAfter(step(untilHandled(30), { onCake: true }), [], 'fan')).toBeNull()
    const { steps } = techniqueOf('soakedSail')
    expect(steps.map((each) => airAfter(each, steps, 'rack'))).toEqual([null, null, 'rack', null])
  })
})

describe('rests of soaked film', () => {
  const plan = derivePlan({
    commission: onTwoTiers(fourGroups(), 0),
    workshop: demoWorkshop(),
    now: 0,
    units: 'metric',
  })
  const facts = damped({ paper: 'riceFilm', thicknessMm: 0.2, slowing: plan.slowing })

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
    const calm = onTwoTiers(fourGroups(), 0)
    const brief = { ...calm.brief, workroom: { airC: 21, humidity: 0.85 } }
    const damp = derivePlan({ commission: { ...calm, brief }, workshop: demoWorkshop(), now: 0, units: 'metric' })
    const soaked = dryingOf(damp.dryings, 'crown')!.estimate
    const lift = { name: 'lift', rest: { until: 'set', from: 'soaked', usualMin: 1 } } as const
    expect(restAfter(lift, { ...facts, soaked })).toBe(null)
    expect(damp.timetable).toMatchObject({ ok: false, error: { code: 'never-sets' } })
  })
})
