import { describe, expect, it } from 'vitest'
import { COVERINGS, coveringOf, disc, paperOf, PAPERS, rect, shapeBox, shapeDm2, shapeKey, shapeName } from '.'

describe('coverings', () => {
  it.each(COVERINGS.map((covering) => [covering.name, covering] as const))(
    '%s says what fixes paper, when it is ready, and how it looks',
    (_, covering) => {
      expect(covering.glues.length).toBeGreaterThan(0)
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

  it('come in sizes that are real sheets, told apart; discs are film', () => {
    for (const { shapes, kind } of PAPERS) {
      expect(shapes.length).toBeGreaterThan(0)
      expect(new Set(shapes.map(shapeKey)).size).toBe(shapes.length)
      shapes.forEach((shape) => {
        const { widthMm, heightMm } = shapeBox(shape)
        expect(heightMm).toBeGreaterThanOrEqual(widthMm)
        expect(shapeName(shape)).toMatch(/\w/)
        if (shape.kind === 'disc') expect(kind).toBe('film')
      })
    }
  })

  it('have areas, worked by hand: an A4 sheet is 6.237 dm², a disc of 220 mm 3.80', () => {
    expect(shapeDm2(rect(210, 297))).toBeCloseTo(6.237, 9)
    expect(shapeDm2(disc(220))).toBeCloseTo(3.801, 3)
    expect([shapeName(rect(210, 297)), shapeName(disc(220)), shapeName(rect(200, 300))]).toEqual([
      'A4',
      '220 mm disc',
      '200 × 300 mm',
    ])
  })

  it('are found by their id, and an unknown one is named', () => {
    expect(paperOf('thinWafer').thicknessMm).toBeLessThan(paperOf('thickWafer').thicknessMm)
    expect(() => paperOf('cardboard' as never)).toThrow('got cardboard')
  })
})
