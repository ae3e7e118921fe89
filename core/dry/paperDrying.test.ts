import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  AIR_MOTIONS,
  dryingCurve,
  dryingRemedies,
  moistureAfter,
  moistureOf,
  moved,
  onMat,
  PACKET_MOISTURE,
  panMin,
  paperSheet,
  READINESS,
  softeningKelvin,
  standingFree,
  type AirMotion,
} from '.'
import { found } from '../quantity'
import { boxHumidity, waterFromFirm } from './dryBox'
import { uptakeGG } from './soak'
import { glycerinWater, moistureAt } from './sorption'

const hours = (minutes: number | null): number => (minutes === null ? Infinity : minutes / 60)
const wafer = paperSheet('wafer', 0.3)
const petal = (humidity: number) =>
  dryingCurve({
    sheet: paperSheet('wafer', 0.28),
    startMoisture: moistureAfter(paperSheet('wafer', 0.28), 0.4),
    surroundings: standingFree({ airC: 22, humidity }),
    roomC: 22,
    horizonH: 72,
  }).reachedMin
const painted = (humidity: number, motion: AirMotion = 'still', plies = 1) => {
  const sheet = paperSheet('wafer', 0.3, plies)
  return dryingCurve({
    sheet,
    startMoisture: moistureAfter(sheet, 1),
    surroundings: moved(onMat({ airC: 22, humidity }), motion),
    roomC: 22,
    horizonH: 96,
  }).reachedMin
}

describe('brushed petals and painted sails', () => {
  it.each([
    [0.4, 16, 16, 20],
    [0.5, 20, 21, 28],
    [0.55, 23, 25, 37],
    [0.6, 26, 29, null],
  ])('a petal at %d takes the minutes of the reference within a third', (humidity, touch, handle, set) => {
    const reached = petal(humidity)
    expect(reached.touch! / touch).toBeGreaterThan(0.67)
    expect(reached.touch! / touch).toBeLessThan(1.33)
    expect(reached.handle! / handle).toBeGreaterThan(0.67)
    expect(reached.handle! / handle).toBeLessThan(1.33)
    if (set !== null) expect(reached.set! / set).toBeCloseTo(1, 0)
  })
  it('a petal never sets hard at 65 % and more', () =>
    expect([0.65, 0.7, 0.8].map((humidity) => petal(humidity).set)).toEqual([null, null, null]))
  it.each([
    [0.4, 82, 87, 108],
    [0.5, 99, 114, 402],
    [0.55, 108, 138, 612],
    [0.6, 126, 186, 1050],
  ])('a painted sail at %d takes the minutes of the reference', (humidity, touch, handle, set) => {
    const reached = painted(humidity)
    for (const [model, reference] of [
      [reached.touch, touch],
      [reached.handle, handle],
      [reached.set, set],
    ] as const) {
      expect(model! / reference).toBeGreaterThan(0.8)
      expect(model! / reference).toBeLessThan(1.8)
    }
  })

  it('is never quicker in damper air, never slower in moved air, never quicker in more plies', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.25, max: 0.58, noNaN: true }),
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        fc.integer({ min: 1, max: 2 }),
        (humidity, damper, plies) => {
          for (const state of ['touch', 'handle', 'set'] as const) {
            expect(hours(painted(humidity + damper, 'still', plies)[state])).toBeGreaterThanOrEqual(
              hours(painted(humidity, 'still', plies)[state]),
            )
            const byAir = AIR_MOTIONS.map((motion) => hours(painted(humidity, motion, plies)[state]))
            byAir.slice(1).forEach((quicker, at) => expect(quicker).toBeLessThanOrEqual(byAir[at]! + 1e-9))
            // As wet through: of twice as many plies.
            const [one, more] = [plies, plies + 1].map((count) => {
              const sheet = paperSheet('wafer', 0.3, count)
              return hours(
                dryingCurve({
                  sheet,
                  startMoisture: 1,
                  surroundings: onMat({ airC: 22, humidity }),
                  roomC: 22,
                  horizonH: 96,
                }).reachedMin[state],
              )
            })
            expect(more).toBeGreaterThanOrEqual(one!)
          }
        },
      ),
      { numRuns: 12 },
    ))

  it('dries with the air as it changes: a damp night holds it back, and steady air is as before', () => {
    const startMoisture = moistureAfter(wafer, 1)
    const at = (humidity: number) => onMat({ airC: 22, humidity })
    const steady = dryingCurve({ sheet: wafer, startMoisture, surroundings: at(0.5), roomC: 22, horizonH: 72 })
      .reachedMin.set!
    expect(
      dryingCurve({ sheet: wafer, startMoisture, surroundings: () => at(0.5), roomC: 22, horizonH: 72 }).reachedMin.set,
    ).toBe(steady)
    const night = dryingCurve({
      sheet: wafer,
      startMoisture,
      surroundings: (minute) => at(minute > 60 && minute < 600 ? 0.75 : 0.5),
      roomC: 22,
      horizonH: 72,
    }).reachedMin.set!
    expect(night).toBeGreaterThan(steady + 120)
    expect(night).toBeLessThan(steady + 900)
  })
})

describe('what happens at 75 %', () => {
  const film = paperSheet('film', 0.2)
  const touch = (motion: AirMotion) =>
    hours(
      dryingCurve({
        sheet: film,
        startMoisture: PACKET_MOISTURE + uptakeGG(1),
        surroundings: moved(onMat({ airC: 22, humidity: 0.75 }), motion),
        roomC: 22,
        horizonH: 72,
      }).reachedMin.touch,
    )
  const remedies = dryingRemedies(film, { airC: 22, humidity: 0.75 }, 80, { areaDm2: 20, desiccantG: 100 })
  const of = (id: (typeof remedies)[number]['id']) => remedies.find((each) => each.id === id)!

  it('a fan shortens touch from about 10.5 to about 3.6 h and still does not set it', () => {
    expect(touch('still')).toBeCloseTo(10.5, 0)
    expect(touch('fan') / 3.6).toBeGreaterThan(0.75)
    expect(touch('fan') / 3.6).toBeLessThan(1.25)
    expect(of('fan').setMin).toBeNull()
    expect(of('mat').setMin).toBeNull()
  })
  it('drier air sets it in hours, warmer in fewer, an oven in a quarter of an hour; all of them must be boxed after', () => {
    expect(hours(of('dryRoom').setMin) / 6.8).toBeCloseTo(1, 0)
    expect(of('warmDryRoom').setMin!).toBeLessThan(of('dryRoom').setMin!)
    expect(of('oven').setMin).toBeCloseTo(14, -1)
    expect(['dryBox', 'dryRoom', 'oven'].map((id) => of(id as 'oven').mustBeBoxed)).toEqual([true, true, true])
    expect(of('oven').gainedMin).toBeNull()
  })
  it('a rack and a box help only what gets firm on the mat, and are slower than a room that is dry from the first', () => {
    expect([of('rack').setMin, of('dryBox').setMin]).toEqual([null, null])
    const near = dryingRemedies(film, { airC: 22, humidity: 0.64 }, 80, { areaDm2: 20, desiccantG: 100 })
    const [mat, rack, dryBox, dryRoom] = (['mat', 'rack', 'dryBox', 'dryRoom'] as const).map(
      (id) => near.find((each) => each.id === id)!.setMin,
    )
    expect([mat, rack]).toEqual([null, null])
    expect(dryBox!).toBeGreaterThan(dryRoom!)
    const usual = dryingRemedies(film, { airC: 22, humidity: 0.5 }, 80, { areaDm2: 20, desiccantG: 100 })
    const [onMat, onRack] = usual.filter(({ id }) => id === 'mat' || id === 'rack').map(({ setMin }) => setMin!)
    expect(onRack!).toBeLessThan(onMat! * 0.95)
  })
  it('a box dries what its desiccant can take, from firm', () => {
    // By hand: 20 dm² × 2.7 g/dm² × ( 0.180 − 0.161 ) = 1.03 g.
    expect(waterFromFirm(film, 20, 22).value).toBeCloseTo(1.03, 1)
    const humidity = (waterG: number, desiccantG: number): number =>
      boxHumidity(found('water', waterG, 'mass', 'told'), desiccantG).value
    expect(humidity(2, 10)).toBeCloseTo(0.4, 9)
    expect(humidity(1, 1000)).toBe(0.1)
    expect([humidity(1, 0), humidity(50, 1)]).toEqual([1, 1])
    const set = (desiccantG: number) =>
      dryingRemedies(film, { airC: 22, humidity: 0.64 }, 80, { areaDm2: 20, desiccantG }).find(
        ({ id }) => id === 'dryBox',
      )!.setMin
    expect(set(0)).toBeNull()
    expect(set(3)).toBeNull()
    expect(set(5)!).toBeGreaterThan(set(50)!)
  })
  it('in a dry room nothing must be boxed, and what is gained is said in minutes', () => {
    const dry = dryingRemedies(film, { airC: 22, humidity: 0.5 }, 80, { areaDm2: 20, desiccantG: 100 })
    expect(dry.every(({ mustBeBoxed }) => !mustBeBoxed)).toBe(true)
    const [asItIs, ...others] = dry
    others.forEach(({ setMin, gainedMin }) => expect(gainedMin).toBeCloseTo(asItIs!.setMin! - setMin!, 9))
  })
})

describe('paper with glycerin', () => {
  const balance = (humidity: number, glycerinGG: number): number =>
    moistureAt(humidity, 22) + glycerinWater(humidity, glycerinGG)
  it.each([
    [0, 58],
    [0.05, 40],
    [0.1, 25],
    [0.15, 13],
    [0.2, 2],
    [0.3, -14],
  ])('of %d g/g stands %d kelvin above softening at 50 %%', (glycerinGG, margin) =>
    expect(softeningKelvin(balance(0.5, glycerinGG), glycerinGG) - 295.15).toBeCloseTo(margin, 0),
  )
  it('its marks are where its softening says', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.1, noNaN: true }), (glycerinGG) => {
        for (const state of READINESS) {
          const moisture = moistureOf(state, 22, glycerinGG)
          if (moisture > 0)
            expect(softeningKelvin(moisture, glycerinGG)).toBeCloseTo(
              295.15 + { touch: -8, handle: 15, firm: 30, set: 40 }[state],
              6,
            )
        }
      }),
    ))
  it('a wrap dries to the touch before a fan and stays flexible, down to its balance with the air', () => {
    const sheet = paperSheet('wafer', 0.28)
    const { reachedMin, points } = dryingCurve({
      sheet,
      startMoisture: moistureAfter(sheet, 1),
      surroundings: moved(onMat({ airC: 22, humidity: 0.475 }), 'fan'),
      roomC: 22,
      horizonH: 24,
      glycerinGG: 0.2,
    })
    expect(reachedMin.touch).toBeGreaterThan(20)
    expect(reachedMin.touch).toBeLessThan(180)
    expect([reachedMin.handle, reachedMin.set]).toEqual([null, null])
    expect(points.at(-1)!.moisture).toBeCloseTo(balance(0.475, 0.2), 2)
  })
  it('a little of it sets later than none, and is never quicker in damper air', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 0.5, noNaN: true }),
        fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        (humidity, damper) => {
          const sheet = paperSheet('wafer', 0.3)
          const handle = (share: number, glycerinGG: number): number =>
            hours(
              dryingCurve({
                sheet,
                startMoisture: moistureAfter(sheet, 0.5),
                surroundings: onMat({ airC: 22, humidity: share }),
                roomC: 22,
                horizonH: 96,
                glycerinGG,
              }).reachedMin.handle,
            )
          expect(handle(humidity, 0.05)).toBeGreaterThanOrEqual(handle(humidity, 0))
          expect(handle(humidity + damper, 0.05)).toBeGreaterThanOrEqual(handle(humidity, 0.05))
        },
      ),
      { numRuns: 10 },
    ))
})

describe('in the pan', () => {
  it.each([
    [2, 62],
    [3, 92],
    [4, 122],
  ])('%d g/dm² take %d s at 140 °C', (water, seconds) =>
    expect(panMin(wafer, water, 140, 22) * 60).toBeCloseTo(seconds, 0),
  )
  it('takes about twice as long at 120 °C, and longer for more water', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (water, more) => {
          expect(panMin(wafer, water, 120, 22) / panMin(wafer, water, 140, 22)).toBeGreaterThan(1.7)
          expect(panMin(wafer, water + more, 140, 22)).toBeGreaterThan(panMin(wafer, water, 140, 22))
        },
      ),
    ))
})
