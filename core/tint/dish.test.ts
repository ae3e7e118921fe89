import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  CARRIERS,
  COLOURING_WAYS,
  colouredSheet,
  colourName,
  namesApart,
  cssHex,
  difference,
  dishesFor,
  hexOklab,
  LOOKS,
  seenHex,
  sheetBands,
  sheetHex,
  SOAKED_FILM,
  STARTING_COLOURING,
  STARTING_TRAY,
  WHITE_BEHIND,
  type Colouring,
  type ColourWish,
} from '.'
import { colourVolume } from './colouring'
import { DYES } from '../material'
import { isAnother } from './dish'
import { found, workingsBelow, workingSentence } from '../quantity'

const area = (dm2: number) => found('faces', dm2, 'area', 'measured')
const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map((bands) => `#${bands.map((band) => band.toString(16).padStart(2, '0')).join('')}`)
const colouring: fc.Arbitrary<Colouring> = fc.record({
  way: fc.constantFrom(...COLOURING_WAYS),
  carrier: fc.constantFrom(...CARRIERS),
  faces: fc.constantFrom(1 as const, 2 as const),
  coats: fc.integer({ min: 1, max: 4 }),
})
const brushed: Colouring = STARTING_COLOURING
const wish = (target: string, change: Partial<ColourWish> = {}): ColourWish => ({
  decoration: 'moths',
  name: 'Moths',
  target,
  kind: 'wafer',
  thicknessMm: 0.28,
  state: 'dry',
  grows: 1,
  colouring: brushed,
  pieces: found('pieces', 8, 'count', 'counted'),
  area: area(6),
  base: null,
  ...change,
})
const wishes = fc
  .array(
    fc.record({
      target: hex,
      decoration: fc.constantFrom('moths', 'collar', 'lace'),
      colouring,
      dm2: fc.double({ min: 0.2, max: 40, noNaN: true }),
    }),
    { maxLength: 5 },
  )
  .map((all) =>
    all.map(({ target, decoration, colouring: each, dm2 }) =>
      wish(target, {
        decoration,
        name: decoration,
        colouring: each,
        area: area(dm2),
        base: each.way === 'slurry' ? found('slurry', 60, 'volume', 'made') : null,
      }),
    ),
  )
const dishes = (wanted: readonly ColourWish[]) => dishesFor(wanted, () => DYES, STARTING_TRAY)

describe('another colour', () => {
  it.each([
    ['#a8432e', '#9a7634', true],
    ['#343a63', '#6b7396', false],
    ['#d9572b', '#e88a68', false],
    ['#8a8a8a', '#c96a4a', true],
    ['#d9572b', '#9a9a9a', false],
    ['#7f8f63', '#8c9d70', false],
  ])('%s that comes out as %s: %s', (wanted, got, is) => expect(isAnother(wanted, got)).toBe(is))
})

describe('how much of a colour is mixed', () => {
  it('6 dm² brushed on one face once take 6.75 ml, globes of 10.4 dm² on both faces 16 ml', () => {
    expect(colourVolume(brushed, area(6), STARTING_TRAY, null).value).toBeCloseTo(6.75, 6)
    expect(colourVolume({ ...brushed, faces: 2 }, area(10.4), STARTING_TRAY, null).value).toBeCloseTo(16, 6)
  })
  it('4 dm² dipped in a tray of 24 × 24 cm, 8 mm deep, take 520 ml: the tray decides', () => {
    const bath: Colouring = { ...brushed, way: 'bath', carrier: 'water' }
    expect(colourVolume(bath, area(4), STARTING_TRAY, null).value).toBeCloseTo(1.1 * (12 + 460.8), 6)
    expect(colourVolume(bath, area(8), STARTING_TRAY, null).value).toBeLessThan(
      1.05 * colourVolume(bath, area(4), STARTING_TRAY, null).value,
    )
  })
  it('is never less for more paper, more faces or more coats', () =>
    fc.assert(
      fc.property(
        colouring,
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (how, dm2, more) => {
          const of = (change: Partial<Colouring>, much: number): number =>
            colourVolume(
              { ...how, ...change },
              area(much),
              STARTING_TRAY,
              how.way === 'slurry' ? found('slurry', 50, 'volume', 'made') : null,
            ).value
          expect(of({}, dm2 + more)).toBeGreaterThanOrEqual(of({}, dm2) - 1e-9)
          expect(of({ faces: 2 }, dm2)).toBeGreaterThanOrEqual(of({ faces: 1 }, dm2) - 1e-9)
          expect(of({ coats: 4 }, dm2)).toBeGreaterThanOrEqual(of({ coats: 1 }, dm2) - 1e-9)
        },
      ),
    ))
})

describe('dishes', () => {
  it('hold every colour that is wanted once, and each decoration in one dish for it', () =>
    fc.assert(
      fc.property(wishes, (wanted) => {
        const { dishes: laid, bare } = dishes(wanted)
        expect(new Set(laid.map(({ id }) => id)).size).toBe(laid.length)
        for (const { name, target, colouring: how } of wanted) {
          const holding = laid.filter(
            (dish) =>
              dish.target === target &&
              JSON.stringify(dish.colouring) === JSON.stringify(how) &&
              dish.uses.some((use) => use.name === name),
          )
          expect(holding.length === 1 || bare.includes(name)).toBe(true)
        }
      }),
      { numRuns: 30 },
    ))

  it('go from pale to deep within a way of colouring', () =>
    fc.assert(
      fc.property(wishes, (wanted) => {
        const laid = dishes(wanted).dishes
        laid.forEach((dish, at) => {
          const next = laid[at + 1]
          if (next && next.colouring.way === dish.colouring.way && next.colouring.carrier === dish.colouring.carrier)
            expect(hexOklab(next.predictedHex).l).toBeLessThanOrEqual(hexOklab(dish.predictedHex).l)
        })
      }),
      { numRuns: 30 },
    ))

  it('come out in whole drops near the colour that was asked for, wherever it can be reached', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 0, max: 400 }),
        fc.integer({ min: 0, max: 300 }),
        fc.double({ min: 0.5, max: 30, noNaN: true }),
        (red, yellow, blue, dm2) => {
          const sheet = colouredSheet('wafer', 0.28, 'dry', brushed)
          const [dish] = dishes([wish(sheetHex({ red, yellow, blue }, DYES, sheet), { area: area(dm2) })]).dishes
          if (!dish) return
          expect(dish.outOfReach).toBeNull()
          expect(difference(hexOklab(dish.predictedHex), hexOklab(dish.target))).toBeLessThan(0.035)
          expect(dish.doses.every(({ whole }) => Number.isInteger(whole))).toBe(true)
          for (const working of [dish.ml, ...dish.doses.map(({ drops }) => drops)].flatMap(workingsBelow))
            expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
        },
      ),
      { numRuns: 60 },
    ))

  it('that are nearly equal say so, and others do not', () => {
    const [first, second, third] = dishes([
      wish('#d9868d'),
      wish('#d7858f', { decoration: 'b', name: 'B' }),
      wish('#343a63', { decoration: 'c', name: 'C' }),
    ]).dishes
    expect(first!.near).toBeNull()
    expect(second!.near).toEqual({
      dish: first!.id,
      difference: difference(hexOklab(first!.target), hexOklab(second!.target)),
    })
    expect(third!.near).toBeNull()
  })
  it('are not mixed for what is left bare or is the colour of bare paper', () => {
    const bareHex = sheetHex({}, DYES, colouredSheet('wafer', 0.28, 'dry', brushed))
    expect(dishes([wish(bareHex), wish('#a8432e', { name: 'Bare', colouring: { ...brushed, way: 'bare' } })])).toEqual({
      dishes: [],
      bare: expect.arrayContaining(['Moths', 'Bare']),
    })
  })
  it('for hot oil are mixed deeper than the same colour brushed and dried', () => {
    const strength = (state: ColourWish['state']): number =>
      dishes([
        wish('#e9b9a2', {
          kind: 'film',
          thicknessMm: 0.2,
          state,
          grows: state === 'fried' ? 1.4 : 1,
          colouring: { way: 'brush', carrier: 'oil', faces: 2, coats: 1 },
        }),
      ]).dishes[0]!.doses.reduce((sum, { drops }) => sum + drops.value, 0)
    expect(strength('fried')).toBeGreaterThan(2 * strength('dry'))
  })
})

describe('ways of looking at a dyed sheet', () => {
  const dose = { red: 12, yellow: 20 }
  it('are four, each another colour; on a white tier it is as on white', () => {
    expect(new Set(LOOKS.map((look) => seenHex(look, dose, DYES, SOAKED_FILM, '#343a63'))).size).toBe(3)
    expect(seenHex('behind', dose, DYES, SOAKED_FILM, '#343a63')).toBe(
      seenHex('white', dose, DYES, SOAKED_FILM, '#343a63'),
    )
    expect(seenHex('behind', dose, DYES, colouredSheet('wafer', 0.4, 'dry', brushed), '#ffffff')).not.toBe(
      seenHex('white', dose, DYES, colouredSheet('wafer', 0.4, 'dry', brushed), '#ffffff'),
    )
  })
  it('are darker on a darker tier', () =>
    fc.assert(
      fc.property(hex, (covering) => {
        const on = sheetBands(dose, DYES, SOAKED_FILM, [0, 0, 0])
        const white = sheetBands(dose, DYES, SOAKED_FILM, WHITE_BEHIND)
        on.forEach((light, band) => expect(light).toBeLessThanOrEqual(white[band]!))
        expect(seenHex('covering', dose, DYES, SOAKED_FILM, covering)).toMatch(/^#[0-9a-f]{6}$/)
      }),
      { numRuns: 20 },
    ))
})

describe('colours in words', () => {
  const palette = [
    { name: 'persimmon', colour: '#d9572b' },
    { name: 'cream of ours', colour: '#f3dfc2' },
  ]
  it.each([
    ['#d9572b', 'persimmon'],
    ['#f2dec1', 'cream of ours'],
    ['#d95b50', 'deep coral'],
    ['#262f5b', 'navy'],
    ['#eeeeee', 'off-white'],
    ['#e58ea7', 'pink'],
    ['#f3b3c4', 'pale pink'],
    ['#a9b07a', 'sage'],
  ])('%s is %s', (each, words) => expect(colourName(each, palette)).toBe(words))
  it('are words for every colour, never a code and never a comparison', () =>
    fc.assert(
      fc.property(hex, (each) => {
        expect(colourName(each, [])).toMatch(/^[a-z -]{3,}$/)
        expect(colourName(each, palette)).not.toMatch(/#|than/)
      }),
    ))
  it('tell colours that stand side by side apart, the paler before the deeper', () =>
    fc.assert(
      fc.property(fc.array(hex, { minLength: 1, maxLength: 12 }), (hexes) => {
        const names = namesApart(
          hexes.map((each, at) => ({ id: `${at}`, hex: each })),
          palette,
        )
        expect(new Set(names.values()).size).toBe(hexes.length)
        hexes.forEach((each, at) => expect(names.get(`${at}`)).toContain(colourName(each, palette)))
      }),
    ))
  it('call three apricots palest, second and deepest', () => {
    const three = ['#efb07a', '#f0b27c', '#f1b47e'].map((each, at) => ({ id: `${at}`, hex: each }))
    expect([...namesApart(three, []).entries()].sort().map(([, name]) => name)).toEqual([
      'deepest apricot',
      'second apricot',
      'palest apricot',
    ])
  })
})

describe('colours as style sheets write them', () => {
  it.each([
    ['tomato', '#ff6347'],
    ['#ABC', '#aabbcc'],
    ['hsl(20 50% 50%)', '#bf6a40'],
    [' rgb(10, 20, 30) ', '#0a141e'],
  ])('%s is %s', (text, own) => expect(cssHex(text)).toBe(own))
  it.each(['', 'persimmon', '#12', 'rgb(a)'])('“%s” is none', (text) => expect(cssHex(text)).toBeNull())
})
