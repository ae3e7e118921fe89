import { describe, expect, it } from 'vitest'
import { COVERINGS, coveringOf, formatOf, paperOf, PAPERS } from '.'

describe('coverings', () => {
  it.each(COVERINGS.map((covering) => [covering.name, covering] as const))(
    '%s says what fixes paper, when it is ready, and how it looks',
    (_, covering) => {
      expect(covering.glue).toMatch(/\w{3}/)
      expect(covering.readyWhen).toMatch(/\w{3}/)
      expect(covering.colour).toMatch(/^#[0-9a-f]{6}$/)
      expect(covering.readyMin).toBeGreaterThanOrEqual(0)
      expect(covering.gloss).toBeLessThan(1)
    },
  )

  it.each(COVERINGS.map((covering) => [covering.name, covering] as const))(
    '%s has a water activity from its driest to its moistest recipe',
    (_, { activity: [driest, moistest] }) => {
      expect(driest).toBeLessThanOrEqual(moistest)
      expect(moistest).toBeLessThan(1)
      expect(driest).toBeGreaterThanOrEqual(0)
    },
  )

  it('grow moister from dry to wet', () => {
    const moistest = (wetness: string): number[] =>
      COVERINGS.filter((covering) => covering.wetness === wetness).map(({ activity }) => activity[1])
    expect(Math.max(...moistest('dry'))).toBeLessThanOrEqual(Math.min(...moistest('moist')))
    expect(Math.max(...moistest('moist'))).toBeLessThanOrEqual(Math.min(...moistest('wet')))
  })

  it('have amounts wherever there is a coat', () => {
    for (const covering of COVERINGS) {
      if (covering.thicknessMm === 0) {
        expect(covering.id).toBe('dummy')
        continue
      }
      expect(covering.gramsPerMl).toBeGreaterThan(0.3)
      expect(covering.gramsPerMl).toBeLessThan(2)
      expect(covering.wasteShare).toBeGreaterThan(0)
    }
  })

  it('are found by their id, and an unknown one is named', () => {
    expect(coveringOf('ganache').name).toBe('Ganache')
    expect(() => coveringOf('concrete' as never)).toThrow('got concrete')
  })
})

describe('papers', () => {
  it('have ids of their own', () => {
    expect(new Set(PAPERS.map(({ id }) => id)).size).toBe(PAPERS.length)
  })

  it('come in formats that are real sheets, film in its own', () => {
    for (const { formats, kind } of PAPERS) {
      expect(formats.length).toBeGreaterThan(0)
      formats.map(formatOf).forEach(({ widthMm, heightMm }) => expect(heightMm).toBeGreaterThanOrEqual(widthMm))
      expect(formats.every((id) => (id === 'film220') === (kind === 'film'))).toBe(true)
    }
    expect(() => formatOf('a9' as never)).toThrow('a9')
  })

  it('are found by their id, and an unknown one is named', () => {
    expect(paperOf('thinWafer').thicknessMm).toBeLessThan(paperOf('thickWafer').thicknessMm)
    expect(() => paperOf('cardboard' as never)).toThrow('got cardboard')
  })
})
