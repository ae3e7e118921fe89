import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  boxPanels,
  butterfly,
  castMesh,
  fabricBow,
  finished,
  FINISHES,
  flatPanel,
  foldedGlobe,
  formedSail,
  formedWrap,
  gatheredFan,
  layeredWings,
  panSail,
  puff,
  silhouette,
  steamedSpire,
  stripScroll,
  TECHNIQUES,
  tornRuffle,
  type BandRoom,
  type PlacedElement,
  type Technique,
  type Wall,
} from '.'
import type { z } from 'zod'
import { outlineAreaMm2 } from '../geometry'
import { PAPERS } from '../material'
import { found, workingsBelow, workingSentence } from '../quantity'

const length = (mm: number) => found('length', mm, 'length', 'given')
const room = (lengthMm: number, heightMm: number): BandRoom => ({
  tier: 0,
  fromDeg: -180,
  spanDeg: 360,
  footMm: 0,
  topMm: heightMm,
  length: length(lengthMm),
  height: length(heightMm),
  faces: [],
  seed: 3,
  irregularity: 0.5,
})
const wall: Wall = (angleDeg, heightMm, outMm) => {
  const angle = (angleDeg * Math.PI) / 180
  return [(130 + outMm) * Math.sin(angle), -(130 + outMm) * Math.cos(angle), heightMm]
}
const element = (seed: number, size = 1): PlacedElement => ({
  index: 0,
  tier: 0,
  on: 'side',
  angleDeg: 20,
  spanDeg: 60,
  heightMm: 40,
  outMm: 0,
  size,
  rollDeg: 10,
  row: 0,
  away: 0,
  mirrored: false,
  seed,
})
const all = TECHNIQUES as unknown as readonly Technique<z.ZodObject>[]

describe.each(all.map((technique) => [technique.name, technique] as const))('%s', (_, technique) => {
  it('declares all that its form, piece list, steps and cautions are made from', () => {
    expect(technique.parameters.parse(technique.startingParameters)).toEqual(technique.startingParameters)
    for (const field of Object.values(technique.parameters.shape))
      expect((field as z.ZodType).meta()).toMatchObject({
        label: expect.stringMatching(/\w/),
        kind: expect.any(String),
      })
    expect(technique.steps.length).toBeGreaterThan(1)
    expect(technique.cautions.length).toBeGreaterThan(0)
    expect(technique.steps.filter(({ cuts }) => cuts)).toHaveLength(technique.cast ? 0 : 1)
    // What is done at the cake is done last; a skin has a step for it.
    expect(technique.steps.slice(0, -1).some(({ onCake }) => onCake)).toBe(false)
    if (technique.skin) expect(technique.steps.at(-1)!.onCake).toBe(true)
    expect(technique.failures.length).toBeGreaterThan(0)
    // What is wetted or used up says at which of its steps.
    const ids = technique.steps.map(({ id }) => id)
    for (const { at } of [...(technique.liquids ?? []), ...(technique.supplies ?? [])]) expect(ids).toContain(at)
    // What stands on wires is not glued; everything else is.
    const fixing = technique.fixed(technique.startingParameters as never)
    const wiring = technique.wiring?.(technique.startingParameters as never, 1) ?? null
    expect(fixing.by === 'wire').toBe(wiring !== null)
    technique.cautions.forEach(({ at }) => expect(technique.steps.map(({ id }) => id)).toContain(at))
    expect(technique.papers.length).toBeGreaterThan(0)
    expect(Object.keys(technique.unfit).some((paper) => technique.papers.includes(paper as never))).toBe(false)
    // Every paper it does not run on is refused with a reason of its own.
    expect(new Set([...Object.keys(technique.unfit), ...technique.papers])).toEqual(new Set(PAPERS.map(({ id }) => id)))
    expect(technique.compositions.length).toBeGreaterThan(0)
    expect(technique.finishes.length).toBeGreaterThan(0)
  })
  it('cuts pieces with an outline, a size and a working all the way down', () => {
    for (const piece of technique.pieces(technique.startingParameters, 0.8)) {
      expect(Math.abs(outlineAreaMm2(piece.outline))).toBeGreaterThan(50)
      expect(piece.perElement).toBeGreaterThan(0)
      for (const working of workingsBelow(piece.width))
        expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
    }
  })
  it('cuts larger pieces for larger elements, and never smaller', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 0.9, noNaN: true }),
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        (size, more) => {
          const [small, large] = [
            technique.pieces(technique.startingParameters, size),
            technique.pieces(technique.startingParameters, size + more),
          ]
          small.forEach(({ width, height }, at) =>
            expect(large[at]!.width.value * large[at]!.height.value).toBeGreaterThanOrEqual(
              width.value * height.value - 1e-9,
            ),
          )
        },
      ),
    ))
  it('is drawn the same for the same seed, otherwise for another, off the wall and about as large as seen', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const mesh = technique.draw(technique.startingParameters, element(seed), wall)
        expect(technique.draw(technique.startingParameters, element(seed), wall)).toEqual(mesh)
        expect(JSON.stringify(technique.draw(technique.startingParameters, element(seed + 1), wall))).not.toBe(
          JSON.stringify(mesh),
        )
        const points = [...mesh.faces, ...mesh.lines].flatMap((part) => part.points)
        const { heightMm } = technique.seen(technique.startingParameters)
        expect(points.length).toBeGreaterThan(8)
        points.forEach((point) => expect(point.every(Number.isFinite)).toBe(true))
        const rise = Math.max(...points.map(([, , z]) => z)) - Math.min(...points.map(([, , z]) => z))
        expect(rise).toBeGreaterThan(heightMm * 0.5)
        expect(rise).toBeLessThan(heightMm * 1.7)
      }),
      { numRuns: 20 },
    ))
})

describe.each(FINISHES.map((finish) => [finish.name, finish] as const))('%s', (_, finish) => {
  const extent = { edge: found('edge', 4000, 'length', 'given'), area: found('area', 5, 'area', 'given') }
  it('takes more for more edge, more face and a larger share, and says how it is reckoned', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.9, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (share, more) => {
          const amount = (of: number, times: number) =>
            finish.amount(
              { colour: '#c9a24b', share: of },
              { edge: { ...extent.edge, value: 4000 * times }, area: { ...extent.area, value: 5 * times } },
            )
          expect(amount(share, more).value).toBeGreaterThanOrEqual(amount(share, 1).value)
          expect(amount(share + 0.05, 1).value).toBeGreaterThan(amount(share, 1).value)
          for (const working of workingsBelow(amount(share, more)))
            expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
        },
      ),
      { numRuns: 20 },
    ))
  it('is seen on every technique that takes it, and leaves its shape', () => {
    for (const technique of all.filter(({ finishes }) => finishes.includes(finish.id))) {
      const bare = technique.draw(technique.startingParameters, element(3), wall)
      const done = finished(bare, [{ finish: finish.id, colour: '#123456', share: 0.8 }], '#e8dccb', 3)
      expect(done).not.toEqual(bare)
      expect(done.faces.slice(0, bare.faces.length).map(({ points }) => points)).toEqual(
        bare.faces.map(({ points }) => points),
      )
    }
  })
})

describe('finishes worked by hand', () => {
  const amount = (id: (typeof FINISHES)[number]['id'], share: number, edgeMm: number, dm2: number) =>
    FINISHES.find((each) => each.id === id)!.amount(
      { colour: '#c9a24b', share },
      { edge: found('edge', edgeMm, 'length', 'given'), area: found('area', dm2, 'area', 'given') },
    ).value
  it.each([
    ['edgeGilding', 1, 1800, 0, 0.45],
    ['dusting', 0.5, 0, 6, 0.45],
    ['twoTone', 0.6, 0, 4, 1.44],
    ['speckle', 0.5, 0, 5, 0.5],
    ['stencilShine', 0.5, 0, 3, 0.3],
  ] as const)('%s', (id, share, edgeMm, dm2, wanted) => expect(amount(id, share, edgeMm, dm2)).toBeCloseTo(wanted, 6))
})

describe('cases worked by hand', () => {
  const rounded = (...workings: readonly { readonly value: number }[]) =>
    workings.map(({ value }) => Math.round(value * 10) / 10)
  it('a formed sail seen 70 × 80 mm with a 12 mm foot is cut 83.7 × 98 mm', () => {
    const [piece] = formedSail.pieces({ ...formedSail.startingParameters, seenMm: 70, widthMm: 80, insertionMm: 12 }, 1)
    expect(rounded(piece!.height, piece!.width)).toEqual([83.7, 98])
  })
  it('a pan sail seen 70 × 60 mm is torn 110 × 101 mm, planned for four in five; its colour draws together by the same shrink', () => {
    const sail = { ...panSail.startingParameters, seenMm: 70, widthMm: 60, insertionMm: 12 }
    const [piece] = panSail.pieces(sail, 1)
    expect([piece!.height.value, piece!.width.value].map(Math.round)).toEqual([110, 101])
    expect(panSail.grows!(sail)).toBeCloseTo(0.78, 9)
    expect(panSail.secondColour!(sail)).toBeNull()
    expect(panSail.secondColour!({ ...sail, mistedShare: 0.4 })).toMatchObject({ share: 0.4, at: 'pan' })
  })
  it('a wrap round 817 mm takes 3 sheets of 420 mm, 129 mm high for 110 seen; upright where it is tall', () => {
    const wrap = { ...formedWrap.startingParameters, sheetLengthMm: 420, heightMm: 110, overlapMm: 15 }
    const a4 = { shrink: {}, drying: 'fan' as const, shapes: [{ kind: 'rect' as const, widthMm: 210, heightMm: 297 }] }
    const tall = (heightMm: number) =>
      formedWrap.pieces({ ...formedWrap.startingParameters, heightMm }, 1, undefined, a4)[0]!.width.value
    expect([tall(110), tall(180)]).toEqual([287, 200])
    // Of a band 90 mm high: 90 × 1.15 ÷ 0.98 = 105.6 mm.
    const { elements } = formedWrap.layOut!(formedWrap.startingParameters, room(817, 90), a4)
    expect(formedWrap.pieces(formedWrap.startingParameters, 1, elements[0], a4)[0]!.height.value).toBeCloseTo(105.6, 1)
    expect(formedWrap.layOut!(wrap, room(817, 110)).count.value).toBe(3)
    expect(Math.round(formedWrap.pieces(wrap, 1)[0]!.height.value)).toBe(129)
  })
  it('nine pieces of draped lace 60 × 45 mm are 4.02 dm² with spares, 32 ml of slurry, 2 pours of a 220 mm pan', () => {
    const lace = { ...castMesh.startingParameters, seenMm: 60, highMm: 45 }
    const cast = (change: object, count = 9) =>
      castMesh.cast!({ ...lace, ...change }, found('pieces', count, 'count', 'given'))
    const { area, slurry, pours } = cast({})
    expect([area.value, slurry.value].map((value) => Math.round(value * 100) / 100)).toEqual([4.02, 32.19])
    expect(pours.value).toBe(2)
    expect(cast({ thickness: 'thick' }).slurry.value).toBeCloseTo((32.19 * 14) / 8, 1)
    expect(cast({ laid: 'gathered' }).area.value).toBeCloseTo((area.value * 1.8) / 1.15, 9)
    expect([9, 12, 24].map((count) => cast({}, count).pours.value)).toEqual([2, 2, 3])
    expect(castMesh.pieces(lace, 1)).toEqual([])
  })
  it('wings in four layers shrink by 0.86 each: the second of 110 mm is 94.6', () => {
    const wing = { ...layeredWings.startingParameters, seenMm: 110 }
    const layers = layeredWings.pieces(wing, 1)
    expect(layers).toHaveLength(4)
    expect(rounded(layers[1]!.height)).toEqual([94.6])
    const [alike, ...none] = layeredWings.pieces({ ...wing, layering: 'equal' }, 1)
    expect([alike!.height.value, alike!.perElement, none.length]).toEqual([110, 4, 0])
    expect(layeredWings.sizeFor!(200, 110)).toEqual({ seenMm: 120 })
  })
  it('a quill 90 mm high on a 20 mm foot is cut 110 mm, its slot a hole', () => {
    const [quill] = silhouette.pieces({ ...silhouette.startingParameters, seenMm: 90, footMm: 20 }, 1)
    expect(quill!.height.value).toBe(110)
    expect(quill!.holes).toHaveLength(1)
  })
  it('parts of a silhouette beside each other are cut apart, a ring within a hole is a part again', () => {
    const square = (x: number, y: number, half: number): [number, number][] => [
      [x - half, y - half],
      [x + half, y - half],
      [x + half, y + half],
      [x - half, y + half],
    ]
    const pieces = silhouette.pieces(
      {
        seenMm: 100,
        footMm: 0,
        rings: [square(0, 0.5, 0.5), square(0, 0.5, 0.3), square(0, 0.5, 0.1), square(2, 0.5, 0.2)],
      },
      1,
    )
    expect(pieces.map(({ holes }) => holes!.length)).toEqual([1, 0, 0])
  })
  it('a bow seen 120 mm across of 34 mm ribbon takes two loops of 142 mm, two tails and a knot', () => {
    const pieces = fabricBow.pieces({ seenMm: 120, ribbonMm: 34, tailMm: 70 }, 1)
    expect(pieces.map(({ perElement }) => perElement)).toEqual([2, 2, 1])
    expect(rounded(pieces[0]!.width)).toEqual([142])
    expect(fabricBow.contains).toContain('gelatine')
  })
  it('a puff seen 30 mm across of half depth is cut 21.4 mm, never below 20, and its colour spreads by the same law', () => {
    const cut = (deep: number, seenMm = 30) => puff.pieces({ seenMm, deep }, 1)[0]!.width.value
    expect(cut(0.5)).toBeCloseTo(30 / 1.4, 6)
    expect(cut(0, 40)).toBeCloseTo(40 / 1.6, 6)
    expect(cut(1, 40)).toBeGreaterThan(cut(0, 40))
    expect(cut(0.5, 15)).toBe(20)
    expect(puff.grows!({ seenMm: 30, deep: 0.5 })).toBeCloseTo(1.4, 9)
  })
  it('a square tier of 180 × 110 mm takes a panel a face, one for the top, three accents a top corner; a round one none', () => {
    const faces = [0, 90, 180, 270].map((middleDeg) => ({ middleDeg, spanDeg: 90, widthMm: 180 }))
    const { elements, count } = boxPanels.layOut!(boxPanels.startingParameters, { ...room(720, 110), faces })
    expect(count.value).toBe(5)
    const kinds = elements.map((each) => boxPanels.pieces(boxPanels.startingParameters, 1, each))
    expect(kinds[0]![0]).toMatchObject({ width: { value: 180 }, height: { value: 114 } })
    expect(kinds[4]![0]).toMatchObject({ width: { value: 180 }, height: { value: 180 } })
    expect(
      kinds
        .flat()
        .filter(({ name }) => name === 'corner accent')
        .reduce((sum, { perElement }) => sum + perElement, 0),
    ).toBe(12)
    expect(boxPanels.layOut!(boxPanels.startingParameters, room(720, 110)).count.value).toBe(0)
  })
  it('panels reach half way round a rounded corner, the top to its edges: 56 mm between corners of 2 mm', () => {
    const faces = [0, 90, 180, 270].map((middleDeg) => ({ middleDeg, spanDeg: 86, widthMm: 56 }))
    const whole = { ...room(4 * 56 + 2 * Math.PI * 2, 60), faces }
    const { elements } = boxPanels.layOut!(boxPanels.startingParameters, whole)
    expect(elements[0]!.face!.widthMm).toBeCloseTo(56 + Math.PI, 6)
    expect(elements[0]!.spanDeg).toBeCloseTo(90, 6)
    expect(elements[4]!.face).toEqual({ widthMm: expect.closeTo(60, 6), heightMm: expect.closeTo(60, 6) })
  })
  it('a box takes four, five or six panels; 12, 20 or 24 accents', () => {
    const faces = [0, 90, 180, 270].map((middleDeg) => ({ middleDeg, spanDeg: 90, widthMm: 60 }))
    const of = (change: Partial<typeof boxPanels.startingParameters>) => {
      const parameters = { ...boxPanels.startingParameters, ...change }
      const { elements } = boxPanels.layOut!(parameters, { ...room(240, 60), faces })
      const pieces = elements.flatMap((each) => boxPanels.pieces(parameters, 1, each))
      const accents = pieces.filter(({ name }) => name === 'corner accent')
      return [elements.length, accents.reduce((sum, { perElement }) => sum + perElement, 0)]
    }
    expect(of({ faces: 'sides', corners: 'none' })).toEqual([4, 0])
    expect(of({ faces: 'five' })).toEqual([5, 12])
    expect(of({ faces: 'five', perCorner: 5 })).toEqual([5, 20])
    expect(of({ faces: 'six', corners: 'all' })).toEqual([6, 24])
    const { elements } = boxPanels.layOut!(
      { ...boxPanels.startingParameters, faces: 'six' },
      { ...room(240, 60), faces },
    )
    const bottom = elements.at(-1)!
    expect(boxPanels.pieces(boxPanels.startingParameters, 1, bottom)[0]).toMatchObject({
      name: 'bottom panel',
      width: { value: 60 },
      height: { value: 60 },
    })
  })
  it('half a ball takes six of twelve circles, a wedge four to six', () => {
    for (const wedge of [4, 5, 6])
      expect(foldedGlobe.pieces({ ...foldedGlobe.startingParameters, part: 'quarter', wedge }, 1)[0]!.perElement).toBe(
        wedge,
      )
    const circles = (part: 'half' | 'quarter') =>
      foldedGlobe.pieces({ ...foldedGlobe.startingParameters, part }, 1)[0]!.perElement
    expect([circles('half'), circles('quarter')]).toEqual([6, 5])
  })
  it('a torn ruffle of 84 mm on 817 mm takes 4 rows of 6 strips', () => {
    const { count, elements } = tornRuffle.layOut!(
      { stripLengthMm: 293, stripHeightMm: 40, otherHeightMm: null, fullness: 1.8, overlap: 0.5 },
      room(817, 84),
    )
    const two = tornRuffle.layOut!(
      { stripLengthMm: 293, stripHeightMm: 40, otherHeightMm: 30, fullness: 1.8, overlap: 0.5 },
      room(817, 84),
    )
    expect(new Set(two.elements.map(({ row }) => row)).size).toBe(4)
    expect(new Set(two.elements.map(({ row, size }) => `${row % 2} ${size}`))).toEqual(new Set(['0 1', '1 0.75']))
    expect(count.value).toBe(24)
    expect(new Set(elements.map(({ row }) => row)).size).toBe(4)
    expect(Math.max(...elements.map(({ heightMm }) => heightMm))).toBe(44)
    expect(Math.min(...elements.map(({ heightMm }) => heightMm))).toBe(0)
  })
  it('a fuller ruffle, a longer row or a higher band never takes fewer strips', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 1.3, max: 2.4, noNaN: true }),
        fc.integer({ min: 200, max: 1200 }),
        fc.integer({ min: 30, max: 160 }),
        (fullness, round, high) => {
          const strips = (full: number, along: number, up: number) =>
            tornRuffle.layOut!({ ...tornRuffle.startingParameters, fullness: full }, room(along, up)).count.value
          const base = strips(fullness, round, high)
          return (
            strips(fullness + 0.1, round, high) >= base &&
            strips(fullness, round + 50, high) >= base &&
            strips(fullness, round, high + 20) >= base
          )
        },
      ),
    ))
  it('817 mm in panels of 210 overlapping by 12 takes 5, 83 mm high', () => {
    const panel = { panelLengthMm: 210, panelHeightMm: 80, overlapMm: 12, hemMm: 3, print: 'plain' as const }
    expect(flatPanel.layOut!(panel, room(817, 110)).count.value).toBe(5)
    expect(flatPanel.pieces(panel, 1)[0]!.height.value).toBe(83)
    // Where no height is typed it follows its band: 110 + 3 mm.
    const { elements } = flatPanel.layOut!({ ...panel, panelHeightMm: null }, room(817, 110))
    expect(flatPanel.pieces({ ...panel, panelHeightMm: null }, 1, elements[0])[0]!.height.value).toBe(113)
    expect(flatPanel.parameters.safeParse({ ...panel, overlapMm: 4 }).success).toBe(false)
  })
  it('a fan seen 70 mm high over 80° is cut 86.7 mm long and 180 mm wide', () => {
    const [triangle] = gatheredFan.pieces({ seenMm: 70, spreadDeg: 80, insertionMm: 15 }, 1)
    expect([triangle!.height.value, triangle!.width.value].map((mm) => Math.round(mm * 10) / 10)).toEqual([86.7, 180])
  })
  it('a spire seen 140 mm high with a 20 mm foot is cut 160 mm long, and stands on a foot of 8.4 mm', () => {
    expect(steamedSpire.seen({ seenMm: 140, widthMm: 30, insertionMm: 20 }).standsMm).toBeCloseTo(8.4, 9)
    expect(steamedSpire.pieces({ seenMm: 140, widthMm: 30, insertionMm: 20 }, 1)[0]!.height.value).toBe(160)
  })
  it('a butterfly on a loop takes a wire of 50 + 12 + 50 mm and a patch; a glued one none', () => {
    const on = (set: 'glued' | 'loop') => butterfly.wiring!({ ...butterfly.startingParameters, set }, 1)
    expect(on('loop')).toMatchObject({ wires: [{ gauge: 26, length: { value: 112 } }], patches: 1, holders: 1 })
    expect(on('glued')).toBeNull()
  })
  it('a butterfly seen 38 mm across with wings at 40° is cut 49.6 mm across', () =>
    expect(
      butterfly.pieces({ ...butterfly.startingParameters, seenMm: 38, liftDeg: 40 }, 1)[0]!.width.value,
    ).toBeCloseTo(49.6, 1))
  it('a ball takes its twelve circles, a scroll its ten strips', () => {
    expect(foldedGlobe.pieces({ ...foldedGlobe.startingParameters, seenMm: 40, circles: 12 }, 1)[0]).toMatchObject({
      perElement: 12,
      width: { value: 40 },
    })
    expect(stripScroll.pieces({ seenMm: 40, strips: 10, stripWidthMm: 6 }, 1)[0]).toMatchObject({
      perElement: 10,
      height: { value: 6 },
    })
  })
  it.each([
    [tornRuffle, { stripHeightMm: 5 }],
    [stripScroll, { strips: 40 }],
    [butterfly, { liftDeg: 90 }],
    [foldedGlobe, { circles: 3 }],
    [formedSail, { cut: 'circle' }],
    [panSail, { seenMm: 5 }],
    [formedWrap, { overlapMm: 2 }],
    [castMesh, { panMm: 40 }],
    [layeredWings, { layers: 2 }],
    [silhouette, { rings: [] }],
    [fabricBow, { ribbonMm: 200 }],
    [puff, { deep: 2 }],
    [boxPanels, { perCorner: 0 }],
    [gatheredFan, { spreadDeg: 5 }],
    [steamedSpire, { widthMm: 1 }],
    [flatPanel, { overlapMm: 4 }],
  ] as const)('numbers that cannot be made are refused', (technique, change) =>
    expect(technique.parameters.safeParse({ ...technique.startingParameters, ...change }).success).toBe(false),
  )
})
