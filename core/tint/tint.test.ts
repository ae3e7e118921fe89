import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DYES, type Dye } from '../material'
import { found, seededStream } from '../quantity'
import {
  absorptionFor,
  absorptionFromSwatch,
  addition,
  backBands,
  bandsHex,
  difference,
  evenLadder,
  hexOklab,
  layer,
  nearestStrength,
  over,
  recipeFor,
  sentBack,
  sheetBands,
  sheetHex,
  sheetOklab,
  SOAKED_FILM,
  dippedSteps,
  steppedBath,
  throughBands,
  type ColouredSheet,
  type Dose,
} from '.'

const dose = (red: number, yellow: number, blue: number): Dose => ({ red, yellow, blue })
const WET: ColouredSheet = { ...SOAKED_FILM, state: 'wet' }
const FRIED: ColouredSheet = { ...SOAKED_FILM, state: 'fried', grows: 1.25 }
const WAFER: ColouredSheet = {
  kind: 'wafer',
  thicknessMm: 0.35,
  plies: 1,
  state: 'dry',
  grows: 1,
  colouring: { by: 'brush', gPerDm2: 3, faces: 1 },
}
const share = fc.double({ min: 0.001, max: 4, noNaN: true })

describe('a layer of film', () => {
  it('sends back 0.26795 of the light when thick and as absorbing as scattering', () =>
    expect(layer(50, 50).reflected).toBeCloseTo(0.26795, 5))
  it('is two half layers', () =>
    fc.assert(
      fc.property(share, share, (k, s) => {
        const half = layer(k / 2, s / 2)
        return Math.abs(over(half, half.reflected) - layer(k, s).reflected) < 1e-9
      }),
    ))
  it('neither makes nor hides light', () =>
    fc.assert(
      fc.property(share, share, (k, s) => {
        const { reflected, passed } = layer(k, s)
        return reflected >= 0 && passed >= 0 && reflected + passed <= 1 + 1e-12
      }),
    ))
})

const colourful = fc.record({
  red: fc.double({ min: 0, max: 30, noNaN: true }),
  yellow: fc.double({ min: 0, max: 30, noNaN: true }),
  blue: fc.double({ min: 0, max: 30, noNaN: true }),
})
const anySheet: fc.Arbitrary<ColouredSheet> = fc.record({
  kind: fc.constantFrom('film' as const, 'wafer' as const),
  thicknessMm: fc.double({ min: 0.15, max: 0.6, noNaN: true }),
  plies: fc.integer({ min: 1, max: 3 }),
  grows: fc.constantFrom(1, 0.78, 1.4),
  state: fc.constantFrom('wet' as const, 'dry' as const, 'pan' as const, 'fried' as const),
  colouring: fc.oneof(
    fc.record({ by: fc.constant('bath' as const), gPerDm2: fc.double({ min: 1, max: 5, noNaN: true }) }),
    fc.record({
      by: fc.constant('brush' as const),
      gPerDm2: fc.double({ min: 0.2, max: 1.5, noNaN: true }),
      faces: fc.constantFrom(1 as const, 2 as const),
    }),
  ),
})

describe('a dyed sheet', () => {
  it.each([
    [dose(10, 0, 0), WET, '#e58ea7'],
    [dose(10, 0, 0), SOAKED_FILM, '#e698ae'],
    [dose(10, 0, 0), FRIED, '#efced7'],
    [dose(0, 8, 4), SOAKED_FILM, '#c5d7a3'],
    [dose(10, 0, 0), WAFER, '#e89db0'],
  ] as const)('comes out as reckoned', (bath, sheet, hex) =>
    expect(difference(hexOklab(sheetHex(bath, DYES, sheet)), hexOklab(hex))).toBeLessThan(0.01),
  )
  it('painted on one face shows through palely on the other, as reckoned', () =>
    expect(difference(hexOklab(bandsHex(backBands(dose(10, 0, 0), DYES, WAFER))), hexOklab('#eacdd1'))).toBeLessThan(
      0.01,
    ))
  it('darkens with every drop', () =>
    fc.assert(
      fc.property(
        anySheet,
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: 0.1, max: 10, noNaN: true }),
        (sheet, drops, more) =>
          sheetOklab(dose(drops + more, 0, 0), DYES, sheet).l < sheetOklab(dose(drops, 0, 0), DYES, sheet).l,
      ),
    ))
  it('is the same from half the drops of a dye twice as strong', () => {
    const strong = DYES.map((dye) =>
      dye.id === 'blue'
        ? {
            ...dye,
            absorptionPerDrop: dye.absorptionPerDrop.map((each) => each * 2) as unknown as typeof dye.absorptionPerDrop,
          }
        : dye,
    )
    expect(sheetHex(dose(3, 0, 2), strong, SOAKED_FILM)).toBe(sheetHex(dose(3, 0, 4), DYES, SOAKED_FILM))
  })
  it('of two plies is one of twice the thickness, when a bath went through both', () =>
    fc.assert(
      fc.property(colourful, (bath) => {
        const thick = sheetBands({ red: bath.red * 2, yellow: bath.yellow * 2, blue: bath.blue * 2 }, DYES, {
          ...SOAKED_FILM,
          thicknessMm: 0.4,
        })
        sheetBands(bath, DYES, { ...SOAKED_FILM, plies: 2 }).forEach((light, band) =>
          expect(light).toBeCloseTo(thick[band]!, 10),
        )
      }),
    ))
  it('brushed on both faces looks alike from both', () =>
    fc.assert(
      fc.property(anySheet, colourful, (sheet, bath) => {
        const both: ColouredSheet = { ...sheet, colouring: { by: 'brush', gPerDm2: 0.5, faces: 2 } }
        backBands(bath, DYES, both).forEach((light, band) =>
          expect(light).toBeCloseTo(sheetBands(bath, DYES, both)[band]!, 10),
        )
      }),
    ))
  it('neither makes light: what comes back with nothing behind and what passes are no more than all', () =>
    fc.assert(
      fc.property(anySheet, colourful, (sheet, bath) => {
        const back = sheetBands(bath, DYES, sheet, [0, 0, 0])
        throughBands(bath, DYES, sheet).forEach((light, band) => {
          expect(light).toBeGreaterThan(0)
          expect(light + back[band]!).toBeLessThanOrEqual(1 + 1e-12)
        })
      }),
    ))
  it('tells by its light how much dye is in it', () =>
    fc.assert(
      fc.property(
        anySheet,
        fc.integer({ min: 0, max: 2 }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (sheet, band, dye) => {
          expect(absorptionFor(sheet, band, sentBack(sheet, band, dye, 0.85))).toBeCloseTo(dye, 6)
        },
      ),
    ))
  it('a drop absorbs what makes a sheet out of so many drops look as its swatch', () => {
    const drop = absorptionFromSwatch('#c98fb4', 10, SOAKED_FILM)
    const dye = { ...SHELF[0]!, id: 'told', absorptionPerDrop: drop }
    expect(sheetHex({ told: 10 }, [dye], SOAKED_FILM)).toBe('#c98fb4')
    expect(absorptionFromSwatch('#ffffff', 10, SOAKED_FILM)).toEqual([0, 0, 0])
    expect(Math.max(...absorptionFromSwatch('#000000', 1, SOAKED_FILM))).toBe(2)
  })
  it('red lies where OKLab says', () =>
    expect(hexOklab('#ff0000')).toMatchObject({
      l: expect.closeTo(0.62796, 4),
      a: expect.closeTo(0.22486, 4),
      b: expect.closeTo(0.12585, 4),
    }))
  it('does not take a name for a colour', () => expect(() => hexOklab('reddish')).toThrow('reddish'))
})

/** A shelf of nine: the three of the catalogue, and others. */
const SHELF: readonly Dye[] = [
  ...DYES,
  { id: 'orange', name: 'orange', base: 'water', absorptionPerDrop: [0.003, 0.03, 0.08] },
  { id: 'green', name: 'green', base: 'water', absorptionPerDrop: [0.04, 0.008, 0.03] },
  { id: 'violet', name: 'violet', base: 'water', absorptionPerDrop: [0.03, 0.06, 0.012] },
  { id: 'brown', name: 'brown', base: 'water', absorptionPerDrop: [0.02, 0.04, 0.07] },
  { id: 'pink', name: 'pink', base: 'water', absorptionPerDrop: [0.002, 0.04, 0.015] },
  { id: 'black', name: 'black', base: 'water', absorptionPerDrop: [0.06, 0.06, 0.06] },
]

describe('finding a recipe', () => {
  it('finds the green of the reference', () => {
    const { dose: found, difference: away } = recipeFor('#a9c48f', DYES)
    expect(found.yellow).toBeCloseTo(10.6, 0)
    expect(found.blue).toBeCloseTo(7.67, 0)
    expect(found.red).toBeCloseTo(0.68, 0)
    expect(away).toBeLessThan(0.001)
  })

  it('of 500 colours that can be reached, none is out by more than just visible from the best, and few dyes are taken', () => {
    const stream = seededStream(7)
    let dyesTaken = 0
    for (let target = 0; target < 500; target += 1) {
      const some = Array.from(
        { length: 1 + Math.floor(stream() * 3) },
        () => SHELF[Math.floor(stream() * SHELF.length)]!,
      )
      const hex = sheetHex(Object.fromEntries(some.map(({ id }) => [id, 25 * stream()])), SHELF, SOAKED_FILM)
      const recipe = recipeFor(hex, SHELF)
      expect(recipe.outOfReach).toBeNull()
      // What was dosed is the best there is: it makes the very colour.
      expect(recipe.difference).toBeLessThan(0.01)
      expect(difference(sheetOklab(recipe.dose, SHELF, SOAKED_FILM), hexOklab(hex))).toBeCloseTo(recipe.difference, 9)
      expect(Object.keys(recipe.dose).length).toBeLessThanOrEqual(new Set(some).size)
      dyesTaken += Object.keys(recipe.dose).length
    }
    expect(dyesTaken).toBeLessThan(3 * 500)
  })

  it('out of reach, comes as near as trying all over finds, and says why', () => {
    const stream = seededStream(3)
    const outOfReach = [
      '#ffffff',
      '#f8f8f8',
      '#000000',
      '#ff0000',
      '#0000ff',
      '#00ff00',
      '#ff00ff',
      '#00ffff',
      '#101030',
    ]
    for (const hex of outOfReach) {
      const recipe = recipeFor(hex, SHELF)
      expect(recipe.outOfReach).not.toBeNull()
      let [best, dosed] = [Infinity, {} as Record<string, number>]
      // Of three dyes at most, as recipes are: every one more would make black a little deeper.
      const three = (): readonly string[] =>
        Array.from({ length: 3 }, () => SHELF[Math.floor(stream() * SHELF.length)]!.id)
      for (let attempt = 0; attempt < 4000; attempt += 1) {
        const tried =
          attempt % 2 === 0
            ? Object.fromEntries(three().map((id) => [id, 120 * stream() ** 2]))
            : Object.fromEntries(
                Object.entries(dosed).map(([id, drops]) => [
                  id,
                  Math.min(120, Math.max(0, drops * (0.6 + 0.8 * stream()))),
                ]),
              )
        const away = difference(sheetOklab(tried, SHELF, SOAKED_FILM), hexOklab(hex))
        if (away < best) [best, dosed] = [away, tried]
      }
      expect(recipe.difference).toBeLessThan(best + 0.01)
    }
    expect(recipeFor('#ffffff', SHELF).outOfReach).toBe('paler')
    expect(recipeFor('#00ff00', SHELF).outOfReach).toBe('purer')
    expect(recipeFor('#000000', SHELF).outOfReach).toBe('deeper')
    expect(
      recipeFor(
        '#d9572b',
        SHELF.filter(({ id }) => id === 'blue' || id === 'pink'),
      ).outOfReach,
    ).toBe('purer')
    expect(recipeFor('#d9572b', [])).toMatchObject({ dose: {}, outOfReach: 'purer' })
  })

  it('needs no dye for bare film', () =>
    expect(recipeFor(sheetHex({}, DYES, SOAKED_FILM), DYES)).toEqual({
      dose: {},
      difference: expect.closeTo(0, 2),
      outOfReach: null,
    }))

  it('is another on another paper', () => {
    const [onFilm, onWafer] = [SOAKED_FILM, WAFER].map((sheet) => recipeFor('#e0a5b0', DYES, sheet).dose.red!)
    expect(onWafer).not.toBeCloseTo(onFilm!, 0)
  })
})

describe('an even ladder', () => {
  it('of blue from 1 to 20 drops in five has the steps of the reference', () => {
    const drops = evenLadder(dose(0, 0, 20), 0.05, 5, DYES).map((step) => step.dose.blue)
    ;[1, 4.35, 8.48, 13.61, 20].forEach((expected, at) => expect(drops[at]).toBeCloseTo(expected, 1))
  })
  it('steps evenly to the eye within a twentieth', () => {
    const colours = evenLadder(dose(20, 40, 0), 0.04, 6, DYES).map((step) => sheetOklab(step.dose, DYES, SOAKED_FILM))
    const path = (from: number): number => difference(colours[from]!, colours[from + 1]!)
    const steps = [0, 1, 2, 3, 4].map(path)
    expect(Math.max(...steps) / Math.min(...steps)).toBeLessThan(1.05)
  })
  it('of one step is the deepest', () =>
    expect(evenLadder(dose(5, 0, 0), 0.1, 1, DYES)).toMatchObject([{ strength: 1 }]))
  it('finds the strength of a paler colour', () =>
    expect(nearestStrength(dose(20, 0, 0), sheetHex(dose(6, 0, 0), DYES, SOAKED_FILM), DYES)).toBeCloseTo(0.3, 1))
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
      held -= (held * taken) / volume
      volume -= taken
      return drops
    })
    ;[4, 12.53, 14.61, 17.48, 21.1].forEach((expected, at) => expect(added[at]).toBeCloseTo(expected, 1))
  })

  const areas = fc.array(fc.double({ min: 0, max: 20, noNaN: true }), { minLength: 1, maxLength: 6 })
  const bathFor = (batches: readonly number[]) =>
    steppedBath(
      evenLadder(dose(20, 40, 3), 0.05, batches.length, DYES),
      batches.map((areaDm2) => ({ pieceCount: 1, areaDm2 })),
      found('pieces', batches.length, 'count', 'counted'),
      { lengthMm: 240, widthMm: 240, depthMm: 8 },
      DYES,
      SOAKED_FILM,
    )

  it('goes straight on over a shade of which there is no piece, and needs no more dye for it', () => {
    const ladder = evenLadder(dose(20, 40, 3), 0.05, 3, DYES)
    const tray = { lengthMm: 240, widthMm: 240, depthMm: 8 }
    const pieces = found('pieces', 2, 'count', 'counted')
    const some = { pieceCount: 1, areaDm2: 2 }
    const none = { pieceCount: 0, areaDm2: 0 }
    const over = steppedBath(ladder, [none, some, none], pieces, tray, DYES, SOAKED_FILM)
    const alone = steppedBath([ladder[1]!], [some], pieces, tray, DYES, SOAKED_FILM)
    expect(dippedSteps(over).map(({ shade }) => shade)).toEqual([1])
    expect(over.totalDrops.value).toBeCloseTo(alone.totalDrops.value, 9)
    expect(over.steps[1]!.wholeDrops).toEqual(alone.steps[0]!.wholeDrops)
    expect(over.steps[1]!.exactDrops.label).toBe('first dose')
  })
  it('puts in just the dye that is carried away and left over', () =>
    fc.assert(
      fc.property(areas, (batches) => {
        const bath = bathFor(batches)
        const carried = bath.steps.reduce((sum, step) => sum + step.carriedDrops, 0)
        return Math.abs(bath.totalDrops.value - carried - bath.leftDrops) < 1e-9 * (1 + bath.totalDrops.value)
      }),
    ))
  it('keeps enough to cover a sheet to the end', () =>
    fc.assert(fc.property(areas, (batches) => bathFor(batches).leftMl.value > (240 * 240 * 8) / 1000)))
  it('comes near the planned shades with whole drops', () =>
    bathFor([4, 6, 5, 2]).steps.forEach((step) =>
      expect(difference(hexOklab(step.predictedHex), hexOklab(step.plannedHex))).toBeLessThan(0.02),
    ))
  it('never takes dye out', () =>
    fc.assert(
      fc.property(areas, (batches) =>
        bathFor(batches).steps.every(
          ({ exactDrops, wholeDrops }) =>
            exactDrops.value >= 0 && Object.values(wholeDrops).every((drops) => drops >= 0 && Number.isInteger(drops)),
        ),
      ),
    ))
})
