import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { roundTier, stackTiers, warmThrough } from '.'
import { dewPointC, saturationPa } from '../dry'
import { lumpedLag, scaledErfc, surfaceLag, warmingLengthMm } from './warming'

const tier = stackTiers({ tiers: [roundTier('x', 200, 100)] })[0]!
const warm = (airC: number, humidity: number, fridgeC: number, across = 200, height = 100) =>
  warmThrough(
    stackTiers({ tiers: [roundTier('x', across, height)] })[0]!,
    { airC, humidity, dewC: dewPointC({ airC, humidity }) },
    fridgeC,
    saturationPa,
  )

describe('dew point', () => {
  it.each([
    [22, 0.5, 11.1],
    [22, 0.6, 13.88],
    [25, 0.6, 16.7],
    [28, 0.7, 22.02],
  ])('of %d °C at %d is %d °C', (airC, humidity, dew) => expect(dewPointC({ airC, humidity })).toBeCloseTo(dew, 1))
  it('is the air itself when full, and always holds just as much water', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 40, noNaN: true }),
        fc.double({ min: 0.1, max: 0.98, noNaN: true }),
        (airC, humidity) => {
          expect(saturationPa(dewPointC({ airC, humidity }))).toBeCloseTo(humidity * saturationPa(airC), 3)
          expect(dewPointC({ airC, humidity: 1 })).toBeCloseTo(airC, 6)
        },
      ),
    ))
})

describe('warming through', () => {
  it('sees a 20 × 10 cm tier as 33.3 mm of cake', () => expect(warmingLengthMm(tier)).toBeCloseTo(33.3, 1))
  it.each([
    [22, 0.6, 4, 66],
    [22, 0.7, 4, 116],
    [22, 0.5, 12, 0],
  ])('in %d °C at %d from %d °C takes %d min', (airC, humidity, fridge, minutes) =>
    expect(Math.abs(warm(airC, humidity, fridge).usual!.value - minutes)).toBeLessThan(3),
  )
  it('takes 83 min by the cautious answer at 60 %', () =>
    expect(Math.abs(warm(22, 0.6, 4).cautious!.value - 83)).toBeLessThan(1.5))
  it('takes longer the damper the room, the colder the cake and the larger the tier', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.45, max: 0.8, noNaN: true }),
        fc.double({ min: 2, max: 8, noNaN: true }),
        fc.integer({ min: 100, max: 300 }),
        (humidity, fridge, across) => {
          const usual = warm(22, humidity, fridge, across).usual!.value
          expect(warm(22, humidity + 0.04, fridge, across).usual!.value).toBeGreaterThanOrEqual(usual)
          expect(warm(22, humidity, fridge - 1, across).usual!.value).toBeGreaterThanOrEqual(usual)
          expect(warm(22, humidity, fridge, across + 40).cautious!.value).toBeGreaterThanOrEqual(
            warm(22, humidity, fridge, across).cautious!.value - 0.5,
          )
        },
      ),
      { numRuns: 30 },
    ))
  it('never ends in air that is full, and gathers dew until it does', () => {
    expect(warm(22, 0.98, 4).usual === null || warm(22, 0.98, 4).usual!.value > 400).toBe(true)
    const {
      dew: [least, most],
    } = warm(22, 0.6, 4)
    expect(least).toBeGreaterThan(0.1)
    expect(least).toBeLessThan(0.3)
    expect(most).toBeGreaterThan(least)
    expect(most).toBeLessThan(0.5)
  })
  it('starts as cold as the refrigerator and nears the room', () =>
    fc.assert(
      fc.property(fc.double({ min: 15, max: 80, noNaN: true }), fc.integer({ min: 1, max: 700 }), (length, minutes) => {
        expect(surfaceLag(length, 0)).toBe(1)
        expect(surfaceLag(length, minutes + 20)).toBeLessThanOrEqual(surfaceLag(length, minutes) + 1e-9)
        expect(lumpedLag(length, minutes)).toBeLessThanOrEqual(1)
      }),
    ))
  it.each([
    [0, 1],
    [0.5, 0.615690344],
    [1, 0.427583576],
    [3, 0.179001151],
    [8, 0.0699852],
  ])('scaled erfc of %d is %d', (b, value) => expect(scaledErfc(b)).toBeCloseTo(value, 4))
})
