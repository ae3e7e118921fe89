import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cutListFor, drapedFootprint, pieceAreaDm2 } from '.'
import { shareDiscs, sameCuts, strokesOn } from '../cut'
import { found, starting, workingsBelow } from '../quantity'
import { PORTIONS, type SizedElement } from '../technique'

const spareShare = starting('spares', 0.2, 'share', 'usual')
const element = (index: number, portion: SizedElement['portion'], discMm: number): SizedElement => ({
  index,
  portion,
  discMm,
  seenHeightMm: 80,
  seenWidthMm: 80,
  flatReach: starting('reach', 95, 'length', 'guess'),
  spareReachMm: 0,
})
const listOf = (elements: readonly SizedElement[], shadeOf: (element: number) => number = () => 0) =>
  cutListFor(elements, found('sails', elements.length, 'count', 'counted'), spareShare, shadeOf)
const anyElements = fc
  .array(fc.tuple(fc.constantFrom(...PORTIONS), fc.constantFrom(160, 220, 280)), { maxLength: 60 })
  .map((kinds) => kinds.map(([portion, discMm], index) => element(index, portion, discMm)))

describe('the cut list', () => {
  it('adds a fifth to each size, at least one', () => {
    const list = listOf([
      ...Array.from({ length: 6 }, (_, index) => element(index, 'half', 220)),
      element(6, 'quarter', 160),
    ])
    expect(list.sizeClasses.map(({ needed, spares }) => [needed.value, spares.value])).toEqual([
      [6, 2],
      [1, 1],
    ])
    expect(list.total.value).toBe(10)
  })
  it('has a piece for every element and numbers them from one', () =>
    fc.assert(
      fc.property(anyElements, (elements) => {
        const { pieces } = listOf(elements)
        return (
          elements.every(
            ({ index, portion, discMm }) =>
              pieces.filter((piece) => piece.element === index && piece.portion === portion && piece.discMm === discMm)
                .length === 1,
          ) && pieces.every(({ number }, at) => number === at + 1)
        )
      }),
    ))
  it('dyes a spare in the shade most of its size have', () => {
    const list = listOf(
      [element(0, 'half', 220), element(1, 'half', 220), element(2, 'half', 220)],
      (index) => [2, 1, 1][index]!,
    )
    expect(list.pieces.filter((piece) => piece.element === null).map(({ shade }) => shade)).toEqual([1])
  })
  it('its total answers down to the elements', () =>
    expect(workingsBelow(listOf([element(0, 'half', 220)]).total).map(({ label }) => label)).toContain('sails'))
  it('a quarter of a 200 mm disc is 0.785 dm²; a half takes its gathered width on the mat', () => {
    expect(pieceAreaDm2({ portion: 'quarter', discMm: 200 })).toBeCloseTo(0.785, 3)
    expect(drapedFootprint({ portion: 'half', discMm: 160 }, 1.6)).toEqual({ widthMm: 100, heightMm: 80 })
  })
})

describe('sharing discs', () => {
  const discsFor = (elements: readonly SizedElement[]) => shareDiscs(listOf(elements).pieces)
  it('two halves share one disc, four quarters one, a whole takes one', () => {
    const pieces = listOf([element(0, 'whole', 220), element(1, 'half', 220), element(2, 'quarter', 220)]).pieces
    expect(pieces).toHaveLength(6)
    expect(shareDiscs(pieces)).toHaveLength(4)
  })
  it('lays small quarters on what a large disc leaves', () => {
    const pieces = listOf([element(0, 'half', 280), element(1, 'half', 280), element(2, 'quarter', 160)]).pieces
    const discs = shareDiscs(pieces)
    expect(discs.map(({ diameterMm }) => diameterMm)).toEqual([280, 280])
    expect(discs[1]!.sectors.map(({ radiusMm }) => radiusMm)).toEqual([140, 80, 80])
  })
  it('lays every piece once, on a disc it fits, without overlap', () =>
    fc.assert(
      fc.property(anyElements, (elements) => {
        const pieces = listOf(elements).pieces
        const discs = shareDiscs(pieces)
        const laid = discs
          .flatMap(({ sectors }) => sectors.map(({ piece }) => piece.number))
          .sort((one, other) => one - other)
        return (
          laid.length === pieces.length &&
          laid.every((number, at) => number === at + 1) &&
          discs.every(({ sectors, diameterMm, freeDeg }) => {
            let reached = 0
            return (
              sectors.every(({ fromDeg, sweepDeg, radiusMm, piece }) => {
                const fits = fromDeg >= reached && radiusMm * 2 === piece.discMm && radiusMm * 2 <= diameterMm
                reached = fromDeg + sweepDeg
                return fits
              }) && reached + freeDeg === 360
            )
          })
        )
      }),
    ))
  it('wastes less than a disc where all are of one size', () =>
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...PORTIONS), { minLength: 1, maxLength: 60 }), (portions) => {
        const pieces = listOf(portions.map((portion, index) => element(index, portion, 220))).pieces
        const quarters = pieces.reduce((sum, { portion }) => sum + { whole: 4, half: 2, quarter: 1 }[portion], 0)
        return shareDiscs(pieces).length === Math.ceil(quarters / 4)
      }),
    ))
  it('never takes fewer discs for more sails', () =>
    fc.assert(
      fc.property(
        anyElements,
        fc.constantFrom(...PORTIONS),
        fc.constantFrom(160, 220, 280),
        (elements, portion, discMm) =>
          discsFor([...elements, element(elements.length, portion, discMm)]).length >= discsFor(elements).length,
      ),
    ))
  it('counts cuts: none for a whole, one for two halves, four for quarters, one more for a trim', () => {
    const strokes = (...portions: SizedElement['portion'][]) =>
      strokesOn(
        shareDiscs(
          portions.map((portion, at) => ({ number: at + 1, portion, discMm: 220, element: at, shade: 0 })),
        )[0]!,
      )
    expect([strokes('whole'), strokes('half', 'half'), strokes('quarter', 'quarter', 'quarter', 'quarter')]).toEqual([
      0, 1, 4,
    ])
    const trimmed = shareDiscs([
      { number: 1, portion: 'half', discMm: 280, element: 0, shade: 0 },
      { number: 2, portion: 'half', discMm: 160, element: 1, shade: 0 },
    ])
    expect(strokesOn(trimmed[0]!)).toBe(2)
  })
  it('draws the same cuts once', () => {
    const discs = discsFor(Array.from({ length: 8 }, (_, index) => element(index, 'half', 220)))
    const groups = sameCuts(discs)
    expect(groups.reduce((sum, group) => sum + group.discs.length, 0)).toBe(discs.length)
    expect(groups).toHaveLength(1)
  })
})
