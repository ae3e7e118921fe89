import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { between, seededStream, workingsBelow } from '../quantity'
import { DYES, type Bands } from '../material'
import { sheetHex, SOAKED_FILM } from '../tint'
import {
  breakageOf,
  factorOf,
  handsFactor,
  learnedDye,
  learnedFrom,
  limitOf,
  plannedShrink,
  shrinkBelief,
  type DryingTrial,
  type DyeTrial,
  type Run,
  type ShrinkTrial,
} from '.'
import { cutNormal, type Sighting } from './factor'
import { DRYING_CASES, dryingCaseMin } from '../dry'

const DRYING = { thing: 0.3, place: 0.38, noise: 0.25 } as const
const exact = (thing: string, place: string, factor: number): Sighting => ({
  thing,
  place,
  from: Math.log(factor),
  to: Math.log(factor),
})
const planFactor = ({ median, deviation }: { readonly median: number; readonly deviation: number }): number =>
  median * Math.exp(1.2816 * deviation)
const deviate = (stream: () => number): number =>
  Math.sqrt(-2 * Math.log(Math.max(stream(), 1e-12))) * Math.cos(2 * Math.PI * stream())

describe('a factor in two parts', () => {
  const first = exact('rice', 'room', 8 / 10.47)
  const second: Sighting = { thing: 'rice', place: 'room', from: Math.log(5 / 12.47), to: Math.log(9 / 12.47) }
  const third: Sighting = { thing: 'rice', place: 'room', from: -Infinity, to: Math.log(11 / 10.47) }

  it('follows the reference: set after 8 h, then between 5 and 9, then hard when found after 11', () => {
    expect(planFactor(factorOf([], 'rice', 'room', DRYING))).toBeCloseTo(2.01, 2)
    const one = factorOf([first], 'rice', 'room', DRYING)
    expect(one.median).toBeCloseTo(0.809, 3)
    expect(planFactor(one)).toBeCloseTo(1.242, 2)
    expect(factorOf([first, second], 'rice', 'room', DRYING).median).toBeCloseTo(0.703, 2)
    const three = factorOf([first, second, third], 'rice', 'room', DRYING)
    expect(three.median).toBeCloseTo(0.689, 2)
    expect(planFactor(three)).toBeCloseTo(1.015, 2)
  })
  it('keeps what is known of the room for a paper that was never tried', () => {
    const other = factorOf([first, second, third], 'wafer', 'room', DRYING)
    expect(other.median).toBeCloseTo(0.795, 2)
    expect(planFactor(other)).toBeCloseTo(1.448, 2)
    expect(factorOf([first], 'wafer', 'elsewhere', DRYING).median).toBe(1)
  })
  it('lies between no change and what was seen, is surer for every sighting, and does not mind their order', () =>
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.5, max: 2, noNaN: true }), { minLength: 1, maxLength: 8 }), (seen) => {
        const sightings = seen.map((each) => exact('rice', 'room', each))
        const { median, deviation } = factorOf(sightings, 'rice', 'room', DRYING)
        expect(median).toBeGreaterThanOrEqual(Math.min(1, ...seen) - 1e-9)
        expect(median).toBeLessThanOrEqual(Math.max(1, ...seen) + 1e-9)
        expect(deviation).toBeLessThan(factorOf(sightings.slice(1), 'rice', 'room', DRYING).deviation + 0.2)
        expect(factorOf([...sightings].reverse(), 'rice', 'room', DRYING).median).toBeCloseTo(median, 6)
      }),
    ))
  it('cuts a normal distribution as its definition says', () =>
    fc.assert(
      fc.property(
        fc.double({ min: -2, max: 1, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        (from, width) => {
          const steps = 4000
          const at = (step: number): number => from + (width * (step + 0.5)) / steps
          const weights = Array.from({ length: steps }, (_, step) => Math.exp(-(at(step) ** 2) / 2))
          const all = weights.reduce((sum, each) => sum + each, 0)
          const mean = weights.reduce((sum, each, step) => sum + each * at(step), 0) / all
          const variance = weights.reduce((sum, each, step) => sum + each * (at(step) - mean) ** 2, 0) / all
          const cut = cutNormal(from, from + width)
          expect(cut.mean).toBeCloseTo(mean, 3)
          expect(cut.variance).toBeCloseTo(variance, 3)
        },
      ),
    ))
})

describe('the limit of a room', () => {
  const trial = (humidity: number, readyAtMin: number | null, softAtMin: number | null): DryingTrial => ({
    id: 'a',
    at: 0,
    room: 'workroom',
    odd: false,
    paper: 'riceFilm',
    thicknessMm: 0.2,
    what: 'filmMat',
    airC: 22,
    humidity,
    readyAtMin,
    softAtMin,
  })
  it('moves up by what set hard, down by what never did, and stays otherwise', () => {
    expect(limitOf('workroom', []).mean).toBe(0.625)
    expect(limitOf('workroom', [trial(0.64, 900, null)]).mean).toBeCloseTo(0.662, 3)
    expect(limitOf('workroom', [trial(0.66, null, 2880)]).mean).toBeLessThan(0.625)
    expect(limitOf('workroom', [trial(0.66, null, 600)]).mean).toBe(0.625)
    expect(limitOf('attic', [trial(0.64, 900, null)]).mean).toBe(0.625)
  })
})

const RED = DYES[0]!

/** A decorator whose hands, paper and room are not known to the plan. */
function decorator(seed: number) {
  const stream = seededStream(seed)
  const shrink = -between(stream, 0.005, 0.09)
  const drying = Math.exp(0.45 * deviate(stream))
  const hands = Math.exp(0.4 * deviate(stream))
  const breaking = between(stream, 0.05, 0.4)
  const dyeing = Math.exp(0.4 * deviate(stream))
  const room = { airC: between(stream, 18, 24), humidity: between(stream, 0.35, 0.52) }
  const fields = (at: number) => ({ id: `trial-${at}`, at, room: 'workroom', odd: false })
  return {
    shrink,
    drying,
    hands,
    breaking,
    dyeing,
    dyeTrials: (count: number): DyeTrial[] =>
      Array.from({ length: count }, (_, at) => {
        const own = dyeing * Math.exp(0.12 * deviate(stream))
        return {
          id: `strip-${at}`,
          dye: RED.id,
          kind: 'film',
          dropsPer100Ml: 6,
          bare: sheetHex({}, [RED], SOAKED_FILM),
          swatch: sheetHex(
            { [RED.id]: 6 },
            [{ ...RED, absorptionPerDrop: RED.absorptionPerDrop.map((each) => each * own) as unknown as Bands }],
            SOAKED_FILM,
          ),
          odd: false,
        }
      }),
    shrinkTrials: (count: number): ShrinkTrial[] =>
      Array.from({ length: count }, (_, at) => ({
        ...fields(at),
        way: 'mat',
        beforeMm: 200,
        afterMm: 200 * Math.exp(shrink + 0.012 * deviate(stream)),
      })),
    dryingTrials: (count: number): DryingTrial[] =>
      Array.from({ length: count }, (_, at) => {
        const minutes = dryingCaseMin('filmMat', 0.2, room)! * drying * Math.exp(0.15 * deviate(stream))
        const film = { paper: 'riceFilm', thicknessMm: 0.2, what: 'filmMat' } as const
        return { ...fields(at), ...film, ...room, softAtMin: minutes, readyAtMin: minutes }
      }),
    runs: (count: number): Run[] =>
      Array.from({ length: count }, (_, at) => {
        const pieces = 30
        const broken = Array.from({ length: pieces }, () => stream() < breaking).filter(Boolean).length
        return {
          ...fields(at),
          step: 'drapeMin',
          name: 'Drape',
          commission: '',
          standardMin: 60,
          minutes: 60 * hands * Math.exp(0.15 * deviate(stream)),
          technique: 'soakedSail',
          good: pieces - broken,
          broken,
        }
      }),
  }
}

const DECORATORS = 60
const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length

/** How far what is planned lies from what is true, on the mean over many decorators. */
function errors(
  trials: number,
  spoil: (trials: { shrink: ShrinkTrial[]; drying: DryingTrial[]; runs: Run[]; dyes: DyeTrial[] }) => void = () =>
    undefined,
) {
  const each = Array.from({ length: DECORATORS }, (_, seed) => {
    const one = decorator(seed + 1)
    const logged = {
      shrink: one.shrinkTrials(trials),
      drying: one.dryingTrials(trials),
      runs: one.runs(trials),
      dyes: one.dyeTrials(trials),
    }
    spoil(logged)
    const learned = learnedFrom(
      { shrinkTrials: logged.shrink, dryingTrials: logged.drying, runs: logged.runs, room: 'workroom', learnFrom: 3 },
      { soakedSail: 0.2 },
    )
    return {
      drying: Math.abs((learned.drying['riceFilm firm']?.median ?? 1) / one.drying - 1),
      hands: Math.abs((learned.hands.drapeMin?.median ?? 1) / one.hands - 1),
      size: Math.abs(Math.exp(one.shrink) / Math.exp(learned.shrink.mat?.mean ?? -0.015) - 1),
      colour: Math.abs(learnedDye(RED, logged.dyes, SOAKED_FILM).strength / one.dyeing - 1),
      pieces: Math.abs((1 - one.breaking) / (1 - (learned.breakage.soakedSail?.share ?? 0.2)) - 1),
    }
  })
  return {
    colour: mean(each.map(({ colour }) => colour)),
    drying: mean(each.map(({ drying }) => drying)),
    hands: mean(each.map(({ hands }) => hands)),
    size: mean(each.map(({ size }) => size)),
    pieces: mean(each.map(({ pieces }) => pieces)),
  }
}

describe('decorators whose true factors are hidden', () => {
  it('are planned more than 10 % wrong before they log anything, and less after five trials of each kind', () => {
    const before = errors(0)
    expect(before.drying).toBeGreaterThan(0.2)
    expect(before.hands).toBeGreaterThan(0.2)
    expect(before.colour).toBeGreaterThan(0.2)
    const after = errors(5)
    for (const error of Object.values(after)) expect(error).toBeLessThan(0.1)
    expect(after.size).toBeLessThan(before.size)
    expect(after.pieces).toBeLessThan(before.pieces)
  })
  it('goes by starting values while there are fewer trials than asked', () => {
    const [few, none] = [errors(2), errors(0)]
    expect({ ...few, colour: 0 }).toEqual({ ...none, colour: 0 })
  })
  it('is not thrown by one trial that went wrong', () => {
    const spoiled = errors(6, ({ shrink, drying, runs, dyes }) => {
      dyes[0] = { ...dyes[0]!, swatch: '#3a1512' }
      shrink[0] = { ...shrink[0]!, afterMm: 130 }
      drying[0] = { ...drying[0]!, softAtMin: drying[0]!.softAtMin! * 6, readyAtMin: drying[0]!.readyAtMin! * 6 }
      runs[0] = { ...runs[0]!, minutes: runs[0]!.minutes * 6, good: 2, broken: 28 }
    })
    for (const error of Object.values(spoiled)) expect(error).toBeLessThan(0.12)
  })
  it('leaves out what is marked odd', () => {
    const [logged] = [decorator(3).runs(5)]
    const odd = logged.map((run, at) => (at === 0 ? { ...run, minutes: 900, odd: true } : run))
    expect(handsFactor('drapeMin', odd)).toEqual(handsFactor('drapeMin', logged.slice(1)))
    expect(breakageOf('soakedSail', 0.2, odd)).toEqual(breakageOf('soakedSail', 0.2, logged.slice(1)))
  })
})

describe('shrink and breaking', () => {
  const trial = (afterMm: number): ShrinkTrial => ({
    id: 'a',
    at: 0,
    room: 'workroom',
    odd: false,
    way: 'mat',
    beforeMm: 100,
    afterMm,
  })
  it('weighs five pieces at 93 % against the beginning as by hand', () => {
    const belief = shrinkBelief('mat', [93, 93, 93, 93, 93].map(trial))
    expect(belief.mean).toBeCloseTo(-0.0561, 3)
    expect(plannedShrink('mat', belief).value).toBeGreaterThan(0.055)
  })
  it('says of 7, 8 and 6 % about 7 %, and the allowance says how it comes from them', () => {
    const belief = shrinkBelief('mat', [93, 92, 94].map(trial))
    expect(1 - Math.exp(belief.own)).toBeCloseTo(0.07, 2)
    expect(belief.ownDeviation).toBeCloseTo(0.0107, 3)
    const planned = plannedShrink('mat', belief)
    const labels = workingsBelow(planned).map(({ label }) => label)
    expect(labels).toEqual(expect.arrayContaining(['your trials by themselves', 'begun with', 'pieces that count']))
    for (const each of workingsBelow(planned))
      if (each.label === 'mean shrink') expect(each.value).toBeCloseTo((2 * 0.015 + 3 * -belief.own) / 5, 9)
  })
  it('plans as before without trials, and more the more pieces drew in', () => {
    expect(plannedShrink('mat').value).toBeCloseTo(plannedShrink('mat', shrinkBelief('mat', [])).value, 12)
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 99 }),
        fc.integer({ min: 1, max: 8 }),
        (after, less) =>
          plannedShrink('mat', shrinkBelief('mat', [after - less, after - less, after - less].map(trial))).value >
          plannedShrink('mat', shrinkBelief('mat', [after, after, after].map(trial))).value,
      ),
    )
  })
  it('counts what breaks as by hand', () => {
    const run: Run = {
      id: 'a',
      at: 0,
      room: 'workroom',
      odd: false,
      step: 'x',
      name: 'x',
      commission: '',
      standardMin: 1,
      minutes: 1,
      technique: 'soakedSail',
      good: 60,
      broken: 6,
    }
    expect(breakageOf('soakedSail', 0.2, [run]).share).toBeCloseTo(0.116, 3)
  })
  it('knows a thing that dries for every case', () =>
    expect(
      Object.keys(DRYING_CASES).map(
        (id) => (dryingCaseMin(id as keyof typeof DRYING_CASES, 0.25, { airC: 22, humidity: 0.45 }) ?? 0) > 0,
      ),
    ).toEqual(Object.keys(DRYING_CASES).map(() => true)))
})
