import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DYES, type Dye } from '../material'
import { seededStream } from '../quantity'
import { bandsHex, difference, hexOklab, recipeFor, sheetBands, sheetOklab, SOAKED_FILM } from '../tint'
import { dyeTrialSchema, learnedDye, shadeRange, type DyeTrial } from '.'

const [red, , blue] = DYES as readonly [Dye, Dye, Dye]
const trial = (change: Partial<DyeTrial>): DyeTrial =>
  dyeTrialSchema.parse({
    id: 'one',
    dye: 'blue',
    kind: 'film',
    dropsPer100Ml: 8,
    bare: '#efece2',
    swatch: '#9fb6cf',
    odd: false,
    ...change,
  })
const scaled = (dye: Dye, by: number): Dye => ({
  ...dye,
  absorptionPerDrop: dye.absorptionPerDrop.map((each) => each * by) as unknown as Dye['absorptionPerDrop'],
})

/**
 * What a strip of a dye that is really so strong looks like beside a bare one in some light, and in each reading a
 * little off.
 */
function strip(truth: Dye, drops: number, light: number, off: () => number): DyeTrial {
  const seen = (dose: number): string =>
    bandsHex(
      sheetBands({ [truth.id]: dose }, [truth], SOAKED_FILM).map(
        (each) => each * light * (1 + off()),
      ) as unknown as readonly [number, number, number],
    )
  return trial({ dye: truth.id, dropsPer100Ml: drops, bare: seen(0), swatch: seen(drops) })
}

describe('what a dipped strip teaches', () => {
  it('is the strength of the reference: 1.50, within 15 %', () => {
    const { strength, spread, trials } = learnedDye(blue, [trial({})], SOAKED_FILM)
    expect(strength).toBeCloseTo(1.5, 1)
    expect(spread).toBeCloseTo(0.147, 2)
    expect(trials).toBe(1)
  })

  it('lets the drops for a colour fall as in the reference, from 30.4 to 20.4', () => {
    const dropsOf = (dye: Dye): number => recipeFor('#7fa0c4', [dye]).dose.blue!
    expect(dropsOf(blue)).toBeCloseTo(30.4, 0)
    expect(dropsOf(scaled(blue, learnedDye(blue, [trial({})], SOAKED_FILM).strength))).toBeCloseTo(20.4, 0)
  })

  it('is nothing without trials, of other papers, of other dyes, or when it is marked odd', () => {
    for (const trials of [[], [trial({ kind: 'wafer' })], [trial({ dye: 'red' })], [trial({ odd: true })]]) {
      const learned = learnedDye(blue, trials, SOAKED_FILM)
      expect(learned).toMatchObject({ strength: 1, trials: 0 })
      learned.dye.absorptionPerDrop.forEach((each, band) => expect(each).toBeCloseTo(blue.absorptionPerDrop[band]!, 12))
      expect(learned.spread).toBeCloseTo(0.8, 12)
    }
  })

  it('is surer with every strip', () => {
    const spreads = [1, 2, 3, 5].map(
      (count) =>
        learnedDye(
          blue,
          Array.from({ length: count }, () => trial({})),
          SOAKED_FILM,
        ).spread,
    )
    expect([...spreads].sort((one, other) => other - one)).toEqual(spreads)
  })

  it('does not depend on how bright the light was', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 1, noNaN: true }), (light) => {
        const truth = scaled(red, 1.3)
        const learned = [light, 1].map(
          (each) => learnedDye(red, [strip(truth, 10, each, () => 0)], SOAKED_FILM).strength,
        )
        expect(learned[0]).toBeCloseTo(learned[1]!, 1)
      }),
    )
  })

  it('after five strips of a dye 20 % stronger or weaker than thought, colours are at least four times nearer to what was foreseen', () => {
    const stream = seededStream(11)
    const off = (): number => 0.03 * (stream() + stream() - 1)
    const errors = { before: 0, after: 0 }
    for (let run = 0; run < 60; run += 1) {
      const dye = DYES[run % DYES.length]!
      const truth = scaled(dye, run % 2 === 0 ? 1.2 : 1 / 1.2)
      const strips = [4, 8, 12, 18, 25].map((drops) => strip(truth, drops, 0.8 + 0.2 * stream(), off))
      const { dye: learned } = learnedDye(dye, strips, SOAKED_FILM)
      for (const drops of [5, 10, 20, 30]) {
        const came = sheetOklab({ [dye.id]: drops }, [truth], SOAKED_FILM)
        errors.before += difference(sheetOklab({ [dye.id]: drops }, [dye], SOAKED_FILM), came)
        errors.after += difference(sheetOklab({ [dye.id]: drops }, [learned], SOAKED_FILM), came)
      }
    }
    expect(errors.after).toBeLessThan(errors.before / 4)
  })

  it('gives a colour a range that lies on both sides of it, and narrows with every strip', () => {
    const widths = [0, 1, 4].map((count) => {
      const learned = learnedDye(
        blue,
        Array.from({ length: count }, () => trial({})),
        SOAKED_FILM,
      )
      const [pale, deep] = shadeRange({ blue: 10 }, [learned], SOAKED_FILM).map((hex) => hexOklab(hex).l)
      const middle = sheetOklab({ blue: 10 }, [learned.dye], SOAKED_FILM).l
      expect(pale!).toBeGreaterThan(middle)
      expect(deep!).toBeLessThan(middle)
      return pale! - deep!
    })
    expect([...widths].sort((one, other) => other - one)).toEqual(widths)
  })

  it('moves the hue too: a dye that came out redder is foreseen redder', () => {
    const truth: Dye = { ...blue, absorptionPerDrop: [0.055, 0.035, 0.012] }
    const strips = [6, 12, 20].map((drops) => strip(truth, drops, 1, () => 0))
    const came = hexOklab(bandsHex(sheetBands({ blue: 15 }, [truth], SOAKED_FILM)))
    const away = (dye: Dye): number => difference(sheetOklab({ blue: 15 }, [dye], SOAKED_FILM), came)
    expect(away(learnedDye(blue, strips, SOAKED_FILM).dye)).toBeLessThan(away(blue) / 3)
  })
})
