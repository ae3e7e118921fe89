import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { A4, counted, faultsIn, FLAT, part } from '../../tests/any/cutParts'
import {
  circle,
  cornersAlong,
  laidOut,
  outlineAreaMm2,
  polyline,
  rectangle,
  sector,
  type Outline,
  type Point,
} from '../geometry'
import {
  CHORD_MM,
  discDiameterOf,
  jobKey,
  layByHand,
  layPunched,
  nestJobOf,
  shareDiscs,
  sheetsOf,
  startNesting,
  STARTING_TOOLS,
  strokesOf,
  type CutLayout,
  type CutPart,
} from '.'

const sizes = fc.array(
  fc.record({
    wide: fc.integer({ min: 8, max: 120 }),
    high: fc.integer({ min: 8, max: 180 }),
    quantity: fc.integer({ min: 1, max: 40 }),
  }),
  { minLength: 1, maxLength: 5 },
)

describe('strips and boxes', () => {
  it('hold every piece, apart and within the sheet, however many sheets lie on one another and strips are folded', () => {
    fc.assert(
      fc.property(sizes, fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 4 }), (each, plies, layers) => {
        const parts = each.map(({ wide, high, quantity }, at) =>
          part(
            `p${at}`,
            polyline(
              [
                { x: -wide / 3, y: 2 },
                { x: wide - wide / 3, y: 2 },
                { x: wide / 4, y: 2 + high * 0.9 },
                { x: 0, y: high + 2 },
              ],
              true,
            ),
            quantity,
          ),
        )
        const layout = layByHand(parts, A4, { plies, layers }, STARTING_TOOLS)
        expect(layout.leftOut).toEqual([])
        expect(faultsIn(layout, parts, STARTING_TOOLS.knifeGapMm)).toEqual([])
        for (const { id, quantity } of parts) {
          expect(counted(layout, id)).toBeGreaterThanOrEqual(quantity)
          expect(counted(layout, id)).toBeLessThan(quantity + plies)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('take four boxes of 100 × 140 on an A4 sheet, by hand: two strips of two', () => {
    const layout = layByHand([part('box', rectangle(0, 0, 99, 140), 4)], A4, FLAT, STARTING_TOOLS)
    expect(layout.sheets).toHaveLength(1)
    expect(layout.sheets[0]!.cuts).toHaveLength(2 + 4)
    expect(strokesOf(layout.sheets, 'boxes').value).toBe(6)
  })

  it('more at once never takes more strokes', () => {
    const parts = [part('leaf', sector({ x: 0, y: 0 }, 40, 0, 90), 37)]
    const strokes = [1, 2, 3, 4].map(
      (plies) => strokesOf(layByHand(parts, A4, { plies, layers: 1 }, STARTING_TOOLS).sheets, 'boxes').value,
    )
    expect([...strokes].sort((one, other) => other - one)).toEqual(strokes)
  })

  it('folded in two, seven pieces of a strip are cut out with four strokes', () => {
    const parts = [part('drop', sector({ x: 0, y: 0 }, 20, 0, 90), 7)]
    const [flat, folded] = [1, 2].map(
      (layers) => strokesOf(layByHand(parts, A4, { plies: 1, layers }, STARTING_TOOLS).sheets, 'boxes').value,
    )
    // One cut along the strip and one beside every piece, or every second; an outline for every piece, or for every
    // two.
    expect([flat, folded]).toEqual([1 + 7 + 7, 1 + 4 + 4])
  })

  it('leave out what is larger than the sheet, and say so', () => {
    const { leftOut, sheets } = layByHand(
      [part('giant', rectangle(0, 0, 205, 295), 1), part('small', rectangle(0, 0, 20, 20), 1)],
      A4,
      FLAT,
      STARTING_TOOLS,
    )
    expect(leftOut.map(({ part: { id } }) => id)).toEqual(['giant'])
    expect(leftOut[0]!.why).toMatch(/205 × 295 mm/)
    expect(sheets).toHaveLength(1)
  })
})

describe('punching', () => {
  const discs = (diameter: number, quantity: number): CutPart =>
    part('disc', circle({ x: 5, y: -3 }, diameter / 2), quantity)

  it('keeps discs apart, in bands of which every hole is within reach', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 60 }),
        fc.integer({ min: 1, max: 80 }),
        fc.integer({ min: 20, max: 120 }),
        (diameter, quantity, throatMm) => {
          fc.pre(throatMm >= diameter / 2)
          const layout = layPunched([discs(diameter, quantity)], A4, 1, { ...STARTING_TOOLS, throatMm })
          expect(counted(layout, 'disc')).toBe(quantity)
          expect(faultsIn(layout, [discs(diameter, quantity)], STARTING_TOOLS.knifeGapMm)).toEqual([])
          for (const { pieces, cuts } of layout.sheets) {
            const edges = [0, ...cuts.map(({ from }) => from.y), A4.heightMm]
            for (const { y } of pieces.map((piece) => ({ y: piece.y - 3 }))) {
              const [low, high] = [
                Math.max(...edges.filter((edge) => edge <= y)),
                Math.min(...edges.filter((edge) => edge > y)),
              ]
              expect(Math.min(y - low, high - y)).toBeLessThanOrEqual(throatMm + STARTING_TOOLS.marginMm + 1e-6)
              for (const edge of edges.slice(1, -1))
                expect(Math.abs(edge - y)).toBeGreaterThanOrEqual(diameter / 2 - 1e-6)
            }
          }
        },
      ),
      { numRuns: 80 },
    )
  })

  it('a longer reach never takes more sheets', () => {
    const sheets = [20, 40, 60, 100, 200].map(
      (throatMm) => layPunched([discs(38, 60)], A4, 1, { ...STARTING_TOOLS, throatMm }).sheets.length,
    )
    expect([...sheets].sort((one, other) => other - one)).toEqual(sheets)
  })

  it('takes discs only', () => {
    expect(discDiameterOf(discs(30, 1))).toBeCloseTo(30, 1)
    expect(discDiameterOf(part('box', rectangle(0, 0, 30, 30), 1))).toBeNull()
    expect(layPunched([part('box', rectangle(0, 0, 30, 30), 1)], A4, 1, STARTING_TOOLS).leftOut[0]!.why).toMatch(
      /not round/,
    )
    expect(layPunched([discs(90, 1)], A4, 1, { ...STARTING_TOOLS, throatMm: 30 }).leftOut[0]!.why).toMatch(
      /does not reach/,
    )
  })
})

describe('portions shared out among discs', () => {
  const SHARES = { whole: 1, half: 0.5, quarter: 0.25 } as const
  const portions = fc.array(
    fc.record({
      portion: fc.constantFrom('whole' as const, 'half' as const, 'quarter' as const),
      discMm: fc.constantFrom(160, 220, 280),
      quantity: fc.integer({ min: 1, max: 9 }),
    }),
    { minLength: 1, maxLength: 8 },
  )
  const sectorPart = (
    { portion, discMm, quantity }: { portion: keyof typeof SHARES; discMm: number; quantity: number },
    at: number,
  ): CutPart => ({
    ...part(`p${at}`, sector({ x: 0, y: 0 }, discMm / 2, 0, 360 * SHARES[portion]), quantity),
    sector: { portion, discMm },
  })

  it('hold every piece, no disc fuller than whole, and take no more discs than each size by itself', () =>
    fc.assert(
      fc.property(portions, (wanted) => {
        const parts = wanted.map(sectorPart)
        const { sheets, leftOut } = shareDiscs(parts)
        expect(leftOut).toEqual([])
        for (const { id, quantity } of parts) expect(counted({ sheets, leftOut }, id)).toBe(quantity)
        for (const { shape, pieces } of sheets) {
          const acrossMm = shape.kind === 'disc' ? shape.diameterMm : 0
          expect(Math.max(...pieces.map((each) => each.part.sector!.discMm))).toBe(acrossMm)
          expect(pieces.reduce((sum, each) => sum + SHARES[each.part.sector!.portion], 0)).toBeLessThanOrEqual(1)
        }
        const shareOf = (ofSize: typeof wanted): number =>
          ofSize.reduce((sum, { portion, quantity }) => sum + quantity * SHARES[portion], 0)
        const apart = [160, 220, 280].map((discMm) =>
          Math.ceil(shareOf(wanted.filter((each) => each.discMm === discMm))),
        )
        expect(sheets.length).toBeLessThanOrEqual(apart.reduce((sum, each) => sum + each, 0))
        expect(sheets.length).toBeGreaterThanOrEqual(Math.ceil(shareOf(wanted)))
      }),
    ))
  it('keep the discs that were begun when pieces are cut again', () => {
    const parts = [sectorPart({ portion: 'half', discMm: 220, quantity: 3 }, 0)]
    const before = shareDiscs(parts).sheets
    const after = shareDiscs(parts, [{ part: 'p0', many: 2 }]).sheets
    expect(after.slice(0, before.length).map(({ pieces }) => pieces[0])).toEqual(before.map(({ pieces }) => pieces[0]))
    expect(counted({ sheets: after, leftOut: [] }, 'p0')).toBe(5)
  })
  it('leave out what is no portion of a disc, and say so', () =>
    expect(shareDiscs([part('leaf', rectangle(0, 0, 20, 30), 2)]).leftOut[0]!.why).toMatch(/no portion of a disc/))
})

describe('discs as sheets', () => {
  const round = { kind: 'disc', diameterMm: 220 } as const
  const isIn = ({ sheets }: CutLayout): boolean =>
    sheets.every(({ pieces }) =>
      pieces.every((piece) =>
        cornersAlong(laidOut(piece.part.outline, piece), 0.1).every(({ x, y }) => Math.hypot(x - 110, y - 110) <= 110),
      ),
    )
  it('hold boxes and punched circles within their rim', () => {
    const boxes = layByHand([part('box', rectangle(0, 0, 40, 30), 9)], round, FLAT, STARTING_TOOLS)
    const circles = layPunched([part('disc', circle({ x: 0, y: 0 }, 20), 9)], round, 1, STARTING_TOOLS)
    expect([counted(boxes, 'box'), counted(circles, 'disc')]).toEqual([9, 9])
    expect([isIn(boxes), isIn(circles)]).toEqual([true, true])
  })
  it('are nested in within their rim, and told apart from squares by their job', () => {
    const parts = [part('leaf', sector({ x: 0, y: 0 }, 50, 0, 60), 8)]
    const { job } = nestJobOf('job', parts, [round], 5, 1)
    const started = startNesting(job!, 1)
    if (!started.ok) throw new Error('no layout')
    const sheets = sheetsOf(started.value.layout(), parts, [round])
    expect(counted({ sheets, leftOut: [] }, 'leaf')).toBe(8)
    expect(isIn({ sheets, leftOut: [] })).toBe(true)
    expect(jobKey(job!)).not.toBe(jobKey(nestJobOf('job', parts, [A4], 5, 1).job!))
  })
})

describe('nesting of parts', () => {
  const parts = [
    part(
      'wing',
      polyline(
        [
          { x: 0, y: 0 },
          { x: 50, y: 5 },
          { x: 30, y: 25 },
          { x: 40, y: 60 },
          { x: 5, y: 30 },
        ],
        true,
      ),
      9,
    ),
    part('disc', circle({ x: 0, y: 0 }, 12), 14),
  ]

  it('gives sheets with every piece, numbered once each', () => {
    const { job, leftOut } = nestJobOf('job', parts, [A4], 5, 1)
    expect(leftOut).toEqual([])
    const started = startNesting(job!, 1)
    if (!started.ok) throw new Error('no layout')
    const sheets = sheetsOf(started.value.layout(), parts, [A4])
    expect(
      sheets.flatMap(({ pieces }) => pieces.map(({ number }) => number)).sort((one, other) => one - other),
    ).toEqual(Array.from({ length: 23 }, (_, at) => at + 1))
    expect(faultsIn({ sheets, leftOut }, parts, 1)).toEqual([])
  })

  it('is known by what is in it', () => {
    const keyOf = (quantity: number): string =>
      jobKey(nestJobOf('job', [part('a', rectangle(0, 0, 20, 30), quantity)], [A4], 5, 1).job!)
    expect(keyOf(3)).toBe(keyOf(3))
    expect(keyOf(3)).not.toBe(keyOf(4))
  })

  it('leaves out what fits on no sheet', () => {
    const { job, leftOut } = nestJobOf('job', [part('giant', circle({ x: 0, y: 0 }, 120), 1)], [A4], 5, 1)
    expect(job).toBeNull()
    expect(leftOut[0]!.why).toMatch(/240 × 240/)
  })
})

describe('corners along an outline', () => {
  it('stay within the tolerance of arcs, whichever way these turn', () => {
    const shapes: readonly Outline[] = [
      circle({ x: 3, y: 4 }, 20),
      sector({ x: 0, y: 0 }, 35, 20, 250),
      laidOut(sector({ x: 0, y: 0 }, 35, 20, 250), { x: 5, y: 1, rotationDeg: 33, mirrored: true }),
    ]
    for (const outline of shapes) {
      const corners = cornersAlong(outline, CHORD_MM)
      const area = outlineAreaMm2(polyline(corners as unknown as readonly [Point, ...Point[]], true))
      expect(Math.abs(area - outlineAreaMm2(outline))).toBeLessThan(0.004 * Math.abs(outlineAreaMm2(outline)))
    }
    for (const { x, y } of cornersAlong(shapes[0]!, CHORD_MM)) expect(Math.hypot(x - 3, y - 4)).toBeCloseTo(20, 9)
  })
})

describe('cut or torn along a ruler', () => {
  const strip = (quantity: number, edge?: 'ruler' | 'torn', across = 7, long = 105): CutPart => ({
    ...part('strip', rectangle(0, 0, long, across), quantity),
    ...(edge && { edge }),
  })
  const onOne = (each: CutPart, plies = 1): number =>
    layByHand([each], A4, { plies, layers: 1 }, STARTING_TOOLS).sheets[0]!.pieces.length
  it('an A4 gives 28 × 2 strips of 7 × 105 mm edge to edge, fewer where scissors want a gap; worked by hand', () => {
    expect(onOne(strip(400, 'ruler'))).toBe(56)
    expect(onOne(strip(400))).toBeLessThan(56)
  })
  it('two sheets at once give as many: a ruler holds the stack, nothing slips', () =>
    expect(
      Math.max(
        ...layByHand([strip(400, 'ruler')], A4, { plies: 2, layers: 1 }, STARTING_TOOLS).sheets.map(
          ({ pieces }) => pieces.length,
        ),
      ),
    ).toBe(56))
  it('six strips of 34 mm are torn from an A4, the first along its very edge', () => {
    expect(onOne(strip(60, 'torn', 34, 297))).toBe(6)
    expect(onOne(strip(60, undefined, 34, 287))).toBe(5)
  })
  it('never lie over each other or the edge, whatever shares the sheet', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            across: fc.integer({ min: 6, max: 60 }),
            long: fc.integer({ min: 40, max: 200 }),
            many: fc.integer({ min: 1, max: 20 }),
            edge: fc.constantFrom('ruler' as const, 'torn' as const, undefined),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        (all) => {
          const parts = all.map(({ across, long, many, edge }, at) => ({
            ...strip(many, edge, across, long),
            id: `p${at}`,
          }))
          const layout = layByHand(parts, A4, FLAT, STARTING_TOOLS)
          expect(faultsIn(layout, parts, 0)).toEqual([])
          for (const { id, quantity } of parts) expect(counted(layout, id)).toBe(quantity)
        },
      ),
    ))
})
