import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cuttingMinutes, STARTING_CUTTING, STARTING_TOOLS, type CutPart, type SettledCutting } from '../../../cut'
import { rectangle } from '../../../geometry'
import { paperOf } from '../../../material'
import { layByRule } from './laying'
import type { Sharing } from './sharing'
import { cutTogether } from './together'

const shapes = [paperOf('thinWafer').shapes[0]!]
const prices = { sheetEach: 1, hour: 20 }

/** Boxes of one size, so many sheets at once. */
function boxes(
  id: string,
  quantity: number,
  plies: number,
  change: Partial<SettledCutting> = {},
  kin = 'wafer',
): Sharing {
  const part = {
    id,
    decoration: id,
    name: id,
    colour: '#ffffff',
    outline: rectangle(0, 0, 60, 80),
    holes: [],
    quantity,
  }
  const cutting = { ...STARTING_CUTTING, way: 'boxes' as const, plies, ...change }
  const parts = [{ ...part, mirror: true, members: [] } as unknown as CutPart]
  return { id, paper: 'thinWafer', shapes, colour: null, kin, cutting, parts, counts: [] }
}

const taken = ({ parts, cutting }: Pick<Sharing, 'parts' | 'cutting'>) => {
  const { sheets } = layByRule({ parts, shapes, cutting, tools: STARTING_TOOLS })
  const minutes = cuttingMinutes(sheets, 'boxes', STARTING_TOOLS).value
  return { sheets: sheets.reduce((sum, { plies }) => sum + plies, 0), cost: (minutes / 60) * prices.hour }
}
const sheetsOf = (groups: readonly Sharing[]): number => groups.reduce((sum, each) => sum + taken(each).sheets, 0)
const together = (groups: readonly Sharing[]) => cutTogether(groups, STARTING_TOOLS, prices, layByRule)

describe('strips of several decorations', () => {
  it('come from one sheet where two would be opened', () => {
    const [few, pair] = [boxes('few', 3, 1), boxes('pair', 4, 2)]
    expect(sheetsOf([few, pair])).toBe(2)
    const [joined, ...others] = together([few, pair])
    expect(others).toEqual([])
    expect(joined).toMatchObject({ sheetsApart: 2, group: { cutting: { plies: 1 } } })
    expect(joined!.group.parts.map(({ id }) => id)).toEqual(['few', 'pair'])
    expect(sheetsOf([joined!.group])).toBe(1)
  })
  it('stay apart where that saves nothing, where strips are folded, and where sheets differ', () => {
    const few = boxes('few', 3, 1)
    for (const other of [
      boxes('full', 18, 2),
      boxes('folded', 4, 2, { layers: 2 }),
      boxes('punched', 4, 2, { way: 'punch' }),
      boxes('dyed', 4, 2, {}, 'wafer-d9572b'),
    ])
      expect(together([few, other]).map(({ group }) => group)).toEqual([few, other])
  })
  it('never take more sheets than apart, lose no piece, and cost no more', () => {
    const work = fc.record({ quantity: fc.integer({ min: 1, max: 40 }), plies: fc.integer({ min: 1, max: 4 }) })
    fc.assert(
      fc.property(fc.array(work, { minLength: 1, maxLength: 4 }), (drawn) => {
        const groups = drawn.map(({ quantity, plies }, at) => boxes(`work${at}`, quantity, plies))
        const joined = together(groups)
        const after = joined.map(({ group }) => group)
        expect(sheetsOf(after)).toBeLessThanOrEqual(sheetsOf(groups))
        const apart = joined.map(({ group, sheetsApart }) => sheetsApart ?? sheetsOf([group]))
        expect(apart.reduce((sum, sheets) => sum + sheets, 0)).toBe(sheetsOf(groups))
        for (const { group, sheetsApart } of joined)
          if (sheetsApart !== null) expect(sheetsApart).toBeGreaterThan(sheetsOf([group]))
        expect(after.flatMap(({ parts }) => parts.map(({ id }) => id)).sort()).toEqual(
          groups.map(({ id }) => id).sort(),
        )
        const cost = (all: readonly Sharing[]): number =>
          all.reduce((sum, each) => sum + taken(each).sheets * prices.sheetEach + taken(each).cost, 0)
        expect(cost(after)).toBeLessThanOrEqual(cost(groups) + 1e-9)
      }),
      { numRuns: 60 },
    )
  })
})
