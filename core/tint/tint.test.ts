import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DYES } from '../material'
import { found } from '../quantity'
import { addition, difference, evenLadder, filmHex, filmOklab, hexOklab, layer, mixFor, nearestStrength, over, steppedBath, type Dose } from '.'

const dose = (red: number, yellow: number, blue: number): Dose => ({ red, yellow, blue })
const share = fc.double({ min: 0.001, max: 4, noNaN: true })

describe('a layer of film', () => {
  it('sends back 0.26795 of the light when thick and as absorbing as scattering', () => expect(layer(50, 50).reflected).toBeCloseTo(0.26795, 5))
  it('is two half layers', () => fc.assert(fc.property(share, share, (k, s) => {
    const half = layer(k / 2, s / 2)
    return Math.abs(over(half, half.reflected) - layer(k, s).reflected) < 1e-9
  })))
  it('neither makes nor hides light', () => fc.assert(fc.property(share, share, (k, s) => { const { reflected, passed } = layer(k, s); return reflected >= 0 && passed >= 0 && reflected + passed <= 1 + 1e-12 })))
})

describe('film in a dye bath', () => {
  it.each([[dose(10, 0, 0), 'wet', '#e58ea7'], [dose(10, 0, 0), 'dry', '#e698ae'], [dose(0, 8, 4), 'dry', '#c5d7a3']] as const)('comes out as reckoned', (bath, state, hex) => expect(difference(hexOklab(filmHex(bath, DYES, state)), hexOklab(hex))).toBeLessThan(0.01))
  it('darkens with every drop', () => fc.assert(fc.property(fc.double({ min: 0, max: 30, noNaN: true }), fc.double({ min: 0.1, max: 10, noNaN: true }), (drops, more) =>
    filmOklab(dose(drops + more, 0, 0), DYES, 'dry').l < filmOklab(dose(drops, 0, 0), DYES, 'dry').l)))
  it('is the same from half the drops of a dye twice as strong', () => {
    const strong = DYES.map((dye) => dye.id === 'blue' ? { ...dye, absorptionPerDrop: dye.absorptionPerDrop.map((each) => each * 2) as unknown as typeof dye.absorptionPerDrop } : dye)
    expect(filmHex(dose(3, 0, 2), strong, 'dry')).toBe(filmHex(dose(3, 0, 4), DYES, 'dry'))
  })
  it('red lies where OKLab says', () => expect(hexOklab('#ff0000')).toMatchObject({ l: expect.closeTo(0.62796, 4), a: expect.closeTo(0.22486, 4), b: expect.closeTo(0.12585, 4) }))
  it('does not take a name for a colour', () => expect(() => hexOklab('reddish')).toThrow('reddish'))
})

describe('finding a mix', () => {
  it('finds the green of the reference', () => {
    const { dose: found, difference: away } = mixFor('#a9c48f', DYES)
    expect(found.yellow).toBeCloseTo(10.6, 0)
    expect(found.blue).toBeCloseTo(7.67, 0)
    expect(found.red).toBeCloseTo(0.68, 0)
    expect(away).toBeLessThan(0.001)
  })
  it('finds again what it was given', () => fc.assert(fc.property(fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 20 }), (red, yellow) => mixFor(filmHex(dose(red, yellow, 0), DYES, 'dry'), DYES).difference < 0.004), { numRuns: 15 }))
})

describe('an even ladder', () => {
  it('of blue from 1 to 20 drops in five has the steps of the reference', () => {
    const drops = evenLadder(dose(0, 0, 20), 0.05, 5, DYES).map((step) => step.dose.blue)
    ;[1, 4.35, 8.48, 13.61, 20].forEach((expected, at) => expect(drops[at]).toBeCloseTo(expected, 1))
  })
  it('steps evenly to the eye within a hundredth', () => {
    const colours = evenLadder(dose(20, 40, 0), 0.04, 6, DYES).map((step) => filmOklab(step.dose, DYES, 'dry'))
    const path = (from: number): number => difference(colours[from]!, colours[from + 1]!)
    const steps = [0, 1, 2, 3, 4].map(path)
    expect(Math.max(...steps) / Math.min(...steps)).toBeLessThan(1.1)
  })
  it('of one step is the deepest', () => expect(evenLadder(dose(5, 0, 0), 0.1, 1, DYES)).toMatchObject([{ strength: 1 }]))
  it('finds the strength of a paler colour', () => expect(nearestStrength(dose(20, 0, 0), filmHex(dose(6, 0, 0), DYES, 'dry'), DYES)).toBeCloseTo(0.3, 1))
})

describe('one bath stepped from pale to deep', () => {
  it('adds the doses of the reference: 400 ml, batches of 9, 7, 5, 4, 3 dm²', () => {
    let volume = 400
    let held = 0
    const wanted = [1, 4.351, 8.478, 13.611, 20]
    const added = [9, 7, 5, 4, 3].map((area, at) => {
      const drops = addition(held, volume, wanted[at]!)
      held += drops
      volume += drops * 0.045
      const taken = 3 * area
      held -= held * taken / volume
      volume -= taken
      return drops
    })
    ;[4, 12.53, 14.61, 17.48, 21.1].forEach((expected, at) => expect(added[at]).toBeCloseTo(expected, 1))
  })

  const areas = fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { minLength: 1, maxLength: 6 })
  const bathFor = (batches: readonly number[]) => steppedBath(evenLadder(dose(20, 40, 3), 0.05, batches.length, DYES), batches.map((areaDm2) => ({ pieceCount: 1, areaDm2 })), found('pieces', batches.length, 'count', 'counted'), { lengthMm: 240, widthMm: 240, depthMm: 8 }, DYES)

  it('puts in just the dye that is carried away and left over', () => fc.assert(fc.property(areas, (batches) => {
    const bath = bathFor(batches)
    const carried = bath.steps.reduce((sum, step) => sum + step.carriedDrops, 0)
    return Math.abs(bath.totalDrops.value - carried - bath.leftDrops) < 1e-9 * (1 + bath.totalDrops.value)
  })))
  it('keeps enough to cover a sheet to the end', () => fc.assert(fc.property(areas, (batches) => bathFor(batches).leftMl.value > 240 * 240 * 8 / 1000)))
  it('comes near the planned shades with whole drops', () => bathFor([4, 6, 5, 2]).steps.forEach((step) => expect(difference(hexOklab(step.predictedHex), hexOklab(step.plannedHex))).toBeLessThan(0.02)))
  it('never takes dye out', () => fc.assert(fc.property(areas, (batches) => bathFor(batches).steps.every(({ exactDrops, wholeDrops }) => exactDrops.value >= 0 && Object.values(wholeDrops).every((drops) => drops >= 0 && Number.isInteger(drops))))))
})
