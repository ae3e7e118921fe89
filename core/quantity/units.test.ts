import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { measureSentence, parseQuantity, printDuration, printQuantity, valueOf } from '.'

const length = (text: string, system: 'metric' | 'imperial' = 'metric') =>
  valueOf(parseQuantity(text, 'length', system))

describe('typing a length', () => {
  it.each([
    ['205', 205],
    ['205 mm', 205],
    ['20.5 cm', 205],
    ['20,5cm', 205],
    ['8 in', 203.2],
    ['8"', 203.2],
    ['8”', 203.2],
    ['1/4"', 6.35],
    ['8 1/4 in', 209.55],
    ['8½ in', 215.9],
    ['½"', 12.7],
    ['1 ft', 304.8],
    ['-3 mm', -3],
    [' 12 ', 12],
  ])('reads %s', (text, mm) => expect(length(text)).toBeCloseTo(mm, 9))

  it('means inches in imperial when no unit is typed', () => expect(length('8', 'imperial')).toBeCloseTo(203.2))

  it('reads back what it prints, to what is shown', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 900, noNaN: true }),
        (mm) => Math.abs(length(printQuantity(mm, 'length', 'metric')) - mm) <= 0.5,
      ),
    )
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 900, noNaN: true }),
        (mm) => Math.abs(length(printQuantity(mm, 'length', 'imperial'), 'imperial') - mm) <= 25.4 / 16 + 1e-9,
      ),
    )
  })

  it.each([
    ['', 'empty'],
    ['big', 'not-a-number'],
    ['1/0 in', 'not-a-number'],
    ['12 stone', 'unknown-unit'],
    ['1.2.3', 'not-a-number'],
    ['12 ml', 'unknown-unit'],
  ])('refuses %s as %s', (text, code) => {
    const result = parseQuantity(text, 'length', 'metric')
    expect(result).toMatchObject({ ok: false, error: { code } })
    if (!result.ok) expect(measureSentence(result.error, '205 mm')).toContain('205 mm')
  })
})

describe('a thickness', () => {
  it('is told in millimetres in either system, and read back', () => {
    for (const system of ['metric', 'imperial'] as const) {
      expect(printQuantity(0.28, 'length', system)).toBe('0.28 mm')
      expect(valueOf(parseQuantity('0.28 mm', 'length', system))).toBeCloseTo(0.28, 9)
    }
    expect(printQuantity(0, 'length', 'imperial')).toBe('0 in')
  })
})

describe('other kinds', () => {
  it.each([
    ['70 F', 'temperature', 21.11],
    ['21', 'temperature', 21],
    ['−4 °C', 'temperature', -4],
    ['21°', 'temperature', 21],
    ['58', 'share', 0.58],
    ['58 %', 'share', 0.58],
    ['2 tbsp', 'volume', 30],
    ['1 cup', 'volume', 240],
    ['0.5 l', 'volume', 500],
    ['40', 'duration', 40],
    ['1 h 30', 'duration', 90],
    ['1:05', 'duration', 65],
    ['2 h', 'duration', 120],
    ['1.5 h', 'duration', 90],
    ['45°', 'angle', 45],
  ] as const)('reads %s as %s', (text, kind, value) =>
    expect(valueOf(parseQuantity(text, kind, 'metric'))).toBeCloseTo(value, 2),
  )

  it.each([
    [8 * 25.4, '8 in'],
    [209.55, '8 1/4 in'],
    [9.525, '3/8 in'],
    [0, '0 in'],
  ])('prints %d mm as %s', (mm, text) => expect(printQuantity(mm, 'length', 'imperial')).toBe(text))
  it.each([
    [27_000, 'metric', '27 m'],
    [9_999, 'metric', '9999 mm'],
    [30_480, 'imperial', '100 ft'],
  ] as const)('prints %d mm as %s length %s', (mm, system, text) =>
    expect(printQuantity(mm, 'length', system)).toBe(text),
  )
  it.each([
    [0.12, 'mass', 'metric', '0.12 g'],
    [0.12, 'mass', 'imperial', '0.12 g'],
    [3.26, 'mass', 'metric', '3.3 g'],
    [28.35, 'mass', 'imperial', '1 oz'],
    [0.46, 'volume', 'metric', '0.46 ml'],
    [2.5, 'volume', 'imperial', '0.5 tsp'],
    [59.1, 'volume', 'imperial', '2 fl oz'],
  ] as const)('leaves something of a small amount: %d as %s in %s is %s', (base, kind, system, text) => {
    expect(printQuantity(base, kind, system)).toBe(text)
    expect(Math.abs(valueOf(parseQuantity(text, kind, system)) - base)).toBeLessThan(0.06)
  })
  it.each([
    ['1.5 kg', 'metric', 1500],
    ['250', 'metric', 250],
    ['2 lb', 'imperial', 907.18],
    ['9', 'imperial', 255.15],
  ] as const)('reads a mass of %s, %s', (text, system, grams) =>
    expect(valueOf(parseQuantity(text, 'mass', system))).toBeCloseTo(grams, 1),
  )
  it('reads back a mass as it prints it', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 5000, noNaN: true }),
        (grams) =>
          Math.abs(valueOf(parseQuantity(printQuantity(grams, 'mass', 'metric'), 'mass', 'metric')) - grams) <= 0.5,
      ),
    ))
  it.each([
    [21, '70 °F'],
    [0, '32 °F'],
  ])('prints %d °C as %s', (celsius, text) => expect(printQuantity(celsius, 'temperature', 'imperial')).toBe(text))
  it.each([
    [0, '0 min'],
    [59.6, '1 h'],
    [90, '1 h 30'],
    [605, '10 h 05'],
    [72 * 60, '3 days'],
    [-75, '−1 h 15'],
  ])('says %d minutes as %s', (minutes, text) => expect(printDuration(minutes)).toBe(text))
})
