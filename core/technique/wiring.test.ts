import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { z } from 'zod'
import {
  bud,
  cuppedBloom,
  fillerSprig,
  floretDome,
  freeLeafStem,
  HOLDER_MM,
  laminatedLeaf,
  mouldedBloom,
  openBloom,
  patchedLeaf,
  TECHNIQUES,
  piecesIn,
  type Technique,
  type Wiring,
} from '.'
import { workingsBelow, workingSentence } from '../quantity'

/** Wires of a technique that stands on them. */
const wiresOf = (wiring: Wiring | null): Wiring => {
  if (!wiring) throw new Error('It stands on no wire.')
  return wiring
}
const wired = (TECHNIQUES as unknown as readonly Technique<z.ZodObject>[]).filter((each) =>
  each.wiring?.(each.startingParameters, 1),
)
const rounded = (...workings: readonly { readonly value: number }[]) =>
  workings.map(({ value }) => Math.round(value * 10) / 10)

describe('flowers and foliage worked by hand', () => {
  it('an open bloom 50 mm across: longest petal 29.8 mm; 3 to 5, 4 to 7 and 3 to 7 petals, each bloom its own', () => {
    const pieces = openBloom.pieces({ ...openBloom.startingParameters, acrossMm: 50, lapDeg: 20 }, 1)
    const counts = (at: number) => Array.from({ length: 60 }, (_, seed) => piecesIn(pieces[at]!, seed * 7919))
    expect([0, 1, 2].map((at) => [Math.min(...counts(at)), Math.max(...counts(at))])).toEqual([
      [3, 5],
      [4, 7],
      [3, 7],
    ])
    expect(rounded(pieces[2]!.height)).toEqual([29.8])
  })
  it('a petal is never smaller than a hand cuts', () => {
    const pieces = openBloom.pieces({ ...openBloom.startingParameters, acrossMm: 20 }, 1)
    expect(pieces.map(({ height }) => height.value)).toEqual([15, 15, 15])
  })
  it('a bloom stands on a third of a wire of 360 mm, or on as much as it asks; its gauge by choice', () => {
    const wire = (change: object) =>
      wiresOf(openBloom.wiring!({ ...openBloom.startingParameters, ...change }, 1)).wires[0]!
    expect([wire({}).length.value, wire({ wireCut: 'half' }).length.value]).toEqual([120, 180])
    expect(wire({ wireCut: 'asLong' }).length.value).toBe(55 + 12 + 50)
    // A quarter would be 90 mm, shorter than the 117 that are asked.
    expect(wire({ wireCut: 'quarter' }).length.value).toBe(117)
    expect([wire({}).gauge, wire({ gauge: '22' }).gauge]).toEqual([24, 22])
  })
  it('without large petals the medium ones are the longest', () => {
    const [, medium] = openBloom.pieces({ ...openBloom.startingParameters, large: 0, largeMost: 0 }, 1)
    expect(medium!.height.value).toBeGreaterThan(openBloom.pieces(openBloom.startingParameters, 1)[1]!.height.value)
  })
  it('a cupped bloom 60 mm across, lapped by 40°: longest petal 36.6 mm, 20 petals and a fringe', () => {
    const pieces = cuppedBloom.pieces(
      { ...cuppedBloom.startingParameters, acrossMm: 60, lapDeg: 40, sizes: 4, petals: 5, petalsMost: 5 },
      1,
    )
    expect(rounded(pieces[3]!.height)).toEqual([36.6])
    expect(pieces.map(({ perElement }) => perElement)).toEqual([5, 5, 5, 5, 1])
  })
  it('a moulded bloom 60 mm across is dried on 70 mm, its petals cut 36.8 mm, its bowl 17 mm deep', () => {
    const values = { ...mouldedBloom.startingParameters, acrossMm: 60 }
    expect(rounded(mouldedBloom.pieces(values, 1)[0]!.height)).toEqual([36.8])
    expect(rounded(...mouldedBloom.figures!(values, { ...mouldedBloom.spareShare }))).toEqual([70, 59, 17])
  })
  it('a dome 80 mm across takes 44 florets of 18 mm', () =>
    expect(floretDome.pieces({ acrossMm: 80, floretMm: 18, petals: 4 }, 1)[0]!.perElement).toBe(44))
  it('a bud 16 mm across is cut 24.5 mm long', () =>
    expect(rounded(bud.pieces(bud.startingParameters, 1)[0]!.height)).toEqual([24.5]))
  it('a laminated branch of 150 mm takes 11 leaves in 22 plies, and a stem wire of 200 mm', () => {
    const values = { ...laminatedLeaf.startingParameters, lengthMm: 150 }
    const leaves = (branch: typeof values) =>
      laminatedLeaf.pieces(branch, 1).reduce((sum, { perElement }) => sum + perElement, 0)
    expect(leaves(values)).toBe(11)
    expect(laminatedLeaf.pieces(values, 1).every(({ plies }) => plies === 2)).toBe(true)
    // Two side branches carry 2 × ⌊11 ÷ 4⌋ + 1 = 5 leaves each.
    expect(leaves({ ...values, sideBranches: 2 })).toBe(21)
    expect(leaves({ ...values, leaves: 6 })).toBe(6)
    expect(leaves({ ...values, pairMm: 50 })).toBe(7)
    expect(wiresOf(laminatedLeaf.wiring!(values, 1)).wires).toMatchObject([
      { perElement: 11, length: { value: 90 } },
      { gauge: 20, length: { value: 200 } },
    ])
  })
  it('a patched stem of 110 mm takes 9 leaves, 9 patches and wires of 56 mm; side branches and an extension theirs', () => {
    const asked = { ...patchedLeaf.startingParameters, lengthMm: 110, leafMm: 22, wireCut: 'asLong' as const }
    const { wires, patches } = wiresOf(patchedLeaf.wiring!(asked, 1))
    const more = wiresOf(patchedLeaf.wiring!({ ...asked, sideBranches: 2, extensionMm: 80, footMm: 60 }, 1)).wires
    expect(more.map(({ name, length, perElement }) => [name, length.value, perElement])).toEqual([
      ['leaf', 56, 9 + 2 * 5],
      ['stem', 170, 1],
      ['side branch', 100, 2],
      ['extension', 125, 1],
    ])
    expect([wires[0]!.perElement, patches, wires[0]!.length.value]).toEqual([9, 9, 56])
  })
  it('three free leaves of 90 mm are one of each size', () =>
    expect(
      rounded(
        ...freeLeafStem
          .pieces({ ...freeLeafStem.startingParameters, leafMm: 90, leaves: 3 }, 1)
          .map(({ height }) => height),
      ),
    ).toEqual([90, 72, 55.8]))
  it('a sprig 60 mm high takes nine tips on wires of 40 mm and a stem of 110 mm', () =>
    expect(
      wiresOf(fillerSprig.wiring!(fillerSprig.startingParameters, 1)).wires.map(({ length, perElement }) => [
        length.value,
        perElement,
      ]),
    ).toEqual([
      [40, 9],
      [110, 1],
    ]))
  it.each([
    [openBloom, { small: 1 }],
    [cuppedBloom, { lapDeg: 200 }],
    [mouldedBloom, { petals: 9 }],
    [floretDome, { petals: 2 }],
    [bud, { calyx: 'green' }],
    [fillerSprig, { tips: 0 }],
    [laminatedLeaf, { leaf: 'oak' }],
    [patchedLeaf, { leafMm: 2 }],
    [freeLeafStem, { leaves: 6 }],
  ] as const)('numbers that cannot be made are refused', (technique, change) =>
    expect(technique.parameters.safeParse({ ...technique.startingParameters, ...change }).success).toBe(false),
  )
})

describe.each(wired.map((technique) => [technique.name, technique] as const))('wires of %s', (_, technique) => {
  it('are longer for a larger one, the foot in its holder, and can show their working', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.4, max: 0.9, noNaN: true }), (size) => {
        const [small, large] = [
          wiresOf(technique.wiring!(technique.startingParameters, size)),
          wiresOf(technique.wiring!(technique.startingParameters, size + 0.1)),
        ]
        small.wires.forEach(({ length, perElement }, at) => {
          expect(perElement).toBeGreaterThan(0)
          if (large.wires.length === small.wires.length)
            expect(large.wires[at]!.length.value).toBeGreaterThanOrEqual(length.value)
          for (const working of workingsBelow(length))
            expect(workingSentence(working, 'metric')).not.toMatch(/NaN|undefined|[{}]/)
        })
        expect(Math.max(...small.wires.map(({ length }) => length.value))).toBeGreaterThan(HOLDER_MM)
        for (const { length } of small.tape) expect(length.value).toBeGreaterThan(0)
        expect(small.holders).toBe(1)
      }),
      { numRuns: 30 },
    ))
})
