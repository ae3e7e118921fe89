import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { A4, counted, faultsIn, FLAT, part } from '../../tests/any/cutParts'
import { circle, cornersAlong, laidOut, polyline, rectangle } from '../geometry'
import { CHORD_MM, layByHand, layPunched, sheetsIn, STARTING_TOOLS, strokesOf, type CutLayout, type CutPart } from '.'

const [WIDE, HIGH] = [A4.widthMm, A4.heightMm]
const EDGES = [
  { from: { x: 0, y: 0 }, to: { x: WIDE, y: 0 } },
  { from: { x: 0, y: 0 }, to: { x: 0, y: HIGH } },
  { from: { x: WIDE, y: 0 }, to: { x: WIDE, y: HIGH } },
]

/** Nothing slips. */
const STILL = { ...STARTING_TOOLS, slipMm: 0 }

describe('triangles to and fro', () => {
  const triangle = (base: number, high: number, reach: number, quantity: number, turnDeg = 0): CutPart =>
    part(
      'triangle',
      laidOut(
        polyline(
          [
            { x: 0, y: 0 },
            { x: base, y: 0 },
            { x: reach, y: high },
          ],
          true,
        ),
        { x: 7, y: -4, rotationDeg: turnDeg, mirrored: false },
      ),
      quantity,
    )
  const any = fc.record({
    base: fc.integer({ min: 20, max: 140 }),
    high: fc.integer({ min: 20, max: 140 }),
    reach: fc.double({ min: -0.5, max: 1.5, noNaN: true }),
    quantity: fc.integer({ min: 1, max: 60 }),
    turnDeg: fc.integer({ min: 0, max: 359 }),
  })
  const made = ({ base, high, reach, quantity, turnDeg }: typeof any extends fc.Arbitrary<infer Made> ? Made : never) =>
    triangle(base, high, reach * base, quantity, turnDeg)

  it('nine come from an A4 in three strips, 105 mm wide and 99 mm high, worked by hand', () => {
    const layout = layByHand([triangle(105, 99, 52.5, 9)], A4, FLAT, STARTING_TOOLS)
    expect(layout.sheets).toHaveLength(1)
    expect(faultsIn(layout, [triangle(105, 99, 52.5, 9)], 0)).toEqual([])
    // In each strip one along it, one before the first and one after each of three; no outline is left to cut.
    expect(strokesOf(layout.sheets, 'boxes').value).toBe(3 * (1 + 1 + 3))
    expect(layByHand([triangle(105, 99, 52.5, 10)], A4, FLAT, STARTING_TOOLS).sheets).toHaveLength(2)
  })

  it('lie in strips up the sheet where that takes fewer: 154 mm wide and 77 mm high, four to an A4 instead of three', () => {
    // Across 210 mm there is room for one; up 297 mm for one up and one down, 77 + 154 = 231 mm, in 210 ÷ 77 = 2 strips.
    const wanted = triangle(154, 77, 77, 8)
    const layout = layByHand([wanted], A4, FLAT, STARTING_TOOLS)
    expect(layout.sheets.map(({ pieces }) => pieces.length)).toEqual([4, 4])
    expect(faultsIn(layout, [wanted], 0)).toEqual([])
  })

  it('lie on the sheet and not over each other, and straight cuts free every edge of theirs', () => {
    fc.assert(
      fc.property(any, (drawn) => {
        const wanted = made(drawn)
        const layout = layByHand([wanted], A4, FLAT, STARTING_TOOLS)
        expect(layout.leftOut).toEqual([])
        expect(faultsIn(layout, [wanted], 0)).toEqual([])
        // A sheet that is locked keeps its turns, which its schema bounds.
        for (const { rotationDeg } of layout.sheets.flatMap(({ pieces }) => pieces))
          expect(Math.abs(rotationDeg)).toBeLessThanOrEqual(360)
        expect(counted(layout, 'triangle')).toBe(drawn.quantity)
        for (const { pieces, cuts } of layout.sheets) {
          // At the edges of the sheet itself nothing is cut.
          const edges = [...cuts, ...EDGES]
          for (const { freed, ...piece } of pieces.filter((each) => each.freed)) {
            const corners = cornersAlong(laidOut(wanted.outline, piece), CHORD_MM)
            corners.forEach((one, at) => {
              const other = corners[(at + 1) % 3]!
              const isCut = edges.some(({ from, to }) =>
                [one, other].every(
                  ({ x, y }) =>
                    Math.abs((to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x)) <
                    1e-6 * Math.hypot(to.x - from.x, to.y - from.y),
                ),
              )
              expect(isCut, `edge ${at}, freed ${freed}`).toBe(true)
            })
          }
        }
      }),
      { numRuns: 100 },
    )
  })

  it('never take more sheets than their boxes would', () => {
    fc.assert(
      fc.property(any, (drawn) => {
        const { base, high, reach } = drawn
        const wide = Math.max(base, reach * base) - Math.min(0, reach * base)
        fc.pre(wide <= 200 && high <= 280)
        const boxes = layByHand([part('box', rectangle(0, 0, wide, high), drawn.quantity)], A4, FLAT, STARTING_TOOLS)
        const layout = layByHand([made({ ...drawn, turnDeg: 0 })], A4, FLAT, STARTING_TOOLS)
        expect(layout.sheets.length).toBeLessThanOrEqual(boxes.sheets.length)
      }),
      { numRuns: 100 },
    )
  })
})

describe('an odd number of plies', () => {
  const A5 = { kind: 'rect', widthMm: 148, heightMm: 210 } as const
  const circles = (quantity: number): CutPart => part('disc', circle({ x: 0, y: 0 }, 25), quantity)
  const punched = (quantity: number, plies: number): CutLayout =>
    layPunched([circles(quantity)], A5, plies, { ...STARTING_TOOLS, throatMm: 200 })

  it('53 circles of 50 mm come from seven A5 by a punch, three pairs and one singly; worked by hand', () => {
    const layout = punched(53, 2)
    expect(layout.sheets.map(({ plies, pieces }) => [plies, pieces.length])).toEqual([
      [2, 8],
      [2, 8],
      [2, 8],
      [1, 5],
    ])
    expect(sheetsIn(layout.sheets)).toBe(7)
  })

  it('never opens a sheet more than cutting singly, holds every piece, and numbers each once', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 120 }), fc.integer({ min: 2, max: 4 }), (quantity, plies) => {
        for (const [stacked, singly] of [
          [punched(quantity, plies), punched(quantity, 1)],
          [
            layByHand([part('box', rectangle(0, 0, 60, 40), quantity)], A4, { plies, layers: 1 }, STILL),
            layByHand([part('box', rectangle(0, 0, 60, 40), quantity)], A4, FLAT, STILL),
          ],
        ] as const) {
          expect(sheetsIn(stacked.sheets)).toBe(sheetsIn(singly.sheets))
          expect(counted(stacked, stacked.sheets[0]!.pieces[0]!.part.id)).toBeGreaterThanOrEqual(quantity)
          const numbers = stacked.sheets.flatMap(({ pieces }) => pieces.map(({ number }) => number))
          expect(numbers).toEqual(numbers.map((_, at) => at + 1))
        }
      }),
      { numRuns: 60 },
    )
  })
})
