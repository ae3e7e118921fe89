import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '../../demo'
import {
  CUTTING_WAYS,
  drawnPieces,
  faultsOf,
  startNesting,
  STARTING_CUTTING,
  type CuttingWay,
  type NestLayout,
} from '../../cut'
import { chosenOption } from '../../commission'
import { derivePlan, type Plan, type PlanInputs } from '..'
import { type CutGroup, type Nested } from './cutting/group'
import { keptSheetOf, sheetFaults } from './cutting/kept'
import { wayChoices, whyAdvised } from './ways'

const base: PlanInputs = { commission: demoCommission(0), workshop: demoWorkshop(), now: 0, units: 'metric' }
for (const option of base.commission.options)
  option.decorations = option.decorations.filter(({ technique }) => technique !== 'soakedSail')
const { decorations } = derivePlan(base)
/** Ways for what is no portion of a disc. */
const WAYS = CUTTING_WAYS.filter((way) => way !== 'sectors')

/** The demo without its film, with each decoration cut in a way, and other changes. */
function planned(
  ways: readonly CuttingWay[],
  plies: number,
  change: (inputs: PlanInputs) => void = () => undefined,
): Plan {
  const inputs = structuredClone(base)
  chosenOption(inputs.commission).decorations.forEach((each, at) => {
    each.cutting = { ...STARTING_CUTTING, way: ways[at % ways.length]!, plies }
  })
  change(inputs)
  return derivePlan(inputs)
}

const onSheets = ({ layout }: CutGroup, part: string): number =>
  layout.sheets.reduce(
    (sum, { plies, pieces }) => sum + plies * pieces.filter((piece) => piece.part.id === part).length,
    0,
  )
const layoutOf = ({ search }: CutGroup, steps = 0): NestLayout => {
  const started = startNesting(search!.job, 1)
  if (!started.ok) throw new Error('no layout')
  for (let step = 0; step < steps; step += 1) started.value.step()
  return started.value.layout()
}
const nestedOf = (plan: Plan): Nested =>
  Object.fromEntries(plan.groups.flatMap((group) => (group.search ? [[group.search.key, layoutOf(group)]] : [])))

describe('sheets of the demo', () => {
  it('hold every piece of every decoration, whatever each is cut by, or say why not', () => {
    const way = fc.constantFrom(...WAYS)
    fc.assert(
      fc.property(fc.array(way, { minLength: 1, maxLength: 7 }), fc.integer({ min: 1, max: 4 }), (ways, plies) => {
        const { groups } = planned(ways, plies)
        for (const group of groups) {
          const out = new Set(group.layout.leftOut.map(({ part: { id } }) => id))
          for (const { id, quantity } of group.parts) {
            if (out.has(id)) expect(onSheets(group, id)).toBe(0)
            else expect(onSheets(group, id)).toBeGreaterThanOrEqual(quantity)
          }
        }
        const parts = groups.flatMap((group) => group.parts.map(({ id }) => id))
        expect(new Set(parts).size).toBe(parts.length)
        expect(parts).toHaveLength(decorations.reduce((sum, { classes }) => sum + classes.length, 0))
      }),
      { numRuns: 25 },
    )
  })

  it('are shared by decorations of one paper, format and way', () => {
    const { groups } = planned(['boxes'], 2)
    expect(groups).toHaveLength(1)
    expect(new Set(groups[0]!.parts.map(({ decoration }) => decoration)).size).toBe(decorations.length)
  })

  it('become fewer when a search has laid them closer, and the tally says so', () => {
    const before = planned(['template'], 1)
    const after = planned(['template'], 1, (inputs) => Object.assign(inputs, { nested: nestedOf(before) }))
    // What is torn is torn in strips, whatever the rest is cut by.
    const torn = after.groups.filter(({ parts }) => parts.some(({ edge }) => edge === 'torn'))
    expect(torn.map(({ way }) => way)).toEqual(['boxes'])
    expect(after.groups.filter((group) => !torn.includes(group)).every(({ isNested }) => isNested)).toBe(true)
    const sheets = (plan: Plan): number => plan.tally.find(({ id }) => id === 'paper')!.working!.value
    expect(sheets(after)).toBeLessThan(sheets(before))
    expect(sheets(after)).toBe(after.groups.reduce((sum, each) => sum + each.sheets.value, 0))
    expect(after.cost.value).toBeLessThan(before.cost.value)
  })
})

describe('sheets coloured whole', () => {
  it('hold pieces of one colour each, and all pieces still', () => {
    const { groups } = planned(['template', 'boxes'], 2, ({ commission }) => {
      for (const each of chosenOption(commission).decorations) each.cutting.colouredWhole = true
    })
    for (const { colour, parts } of groups)
      expect(new Set(parts.map((part) => part.colour.toLowerCase()))).toEqual(new Set([colour]))
    expect(groups.flatMap(({ parts }) => parts)).toHaveLength(
      decorations.reduce((sum, { classes }) => sum + classes.length, 0),
    )
    expect(new Set(groups.map(({ id }) => id)).size).toBe(groups.length)
  })
})

describe('stacks by template', () => {
  it('are laid out once, and cut with fewer strokes than sheets one by one', () => {
    const [one] = planned(['template'], 1).groups
    const before = planned(['template'], 3)
    const [stack] = planned(['template'], 3, (inputs) => Object.assign(inputs, { nested: nestedOf(before) })).groups
    expect(stack!.search!.job.parts.map(({ quantity }) => quantity)).toEqual(
      one!.parts.map(({ quantity }) => Math.ceil(quantity / 3)),
    )
    expect(stack!.layout.sheets.every(({ plies }) => plies === 3)).toBe(true)
    expect(stack!.sheets.value).toBe(3 * stack!.layout.sheets.length)
    expect(stack!.strokes.value).toBeLessThan(one!.strokes.value / 2)
    const sheet = keptSheetOf(stack!, stack!.layout.sheets[0]!)
    const [locked] = planned(['template'], 3, ({ commission }) => {
      chosenOption(commission).keptSheets = [structuredClone(sheet)]
    }).groups
    expect(locked!.kept).toEqual([sheet])
    for (const { id, quantity } of locked!.parts) expect(onSheets(locked!, id)).toBe(3 * Math.ceil(quantity / 3))
  })
})

describe('pieces of the decorator’s own', () => {
  const ring = (x: number, y: number, side: number): [number, number][] => [
    [x, y],
    [x + side, y],
    [x + side, y + side],
    [x, y + side],
  ]

  it('are as many as there are rings in no other, with what is cut out of them', () => {
    const drawn = drawnPieces([ring(0, 0, 1), ring(0.2, 0.2, 0.5), ring(0.3, 0.3, 0.1), ring(2, 0, 0.5)])
    expect(drawn.map(({ holes, high }) => [holes.length, high])).toEqual([
      [1, 1],
      [0, expect.closeTo(0.1, 9)],
      [0, 0.5],
    ])
    for (const { outline } of drawn) {
      expect(Math.min(...outline.map(([, y]) => y))).toBeCloseTo(0, 9)
      expect(Math.max(...outline.map(([, y]) => y))).toBeCloseTo(1, 9)
      expect(Math.min(...outline.map(([x]) => x)) + Math.max(...outline.map(([x]) => x))).toBeCloseTo(0, 9)
    }
  })

  it('are cut beside the decorations’, on the sheets of their paper and way, and counted', () => {
    const [frame] = drawnPieces([ring(0, 0, 1), ring(0.25, 0.25, 0.5)])
    const own = {
      id: 'own',
      name: 'frame',
      paper: 'thinWafer' as const,
      stock: [{ kind: 'rect' as const, widthMm: 210, heightMm: 297 }],
      colour: '#d9572b',
      heightMm: 40,
      quantity: 5,
      outline: frame!.outline,
      holes: frame!.holes,
      cutting: { ...STARTING_CUTTING, way: 'template' as const, plies: 1 },
    }
    const { groups } = planned(['template'], 1, ({ commission }) => {
      chosenOption(commission).ownPieces = [own]
    })
    const group = groups.find(({ parts }) => parts.some(({ decoration }) => decoration === 'own'))!
    expect(group.parts.length).toBeGreaterThan(1)
    expect(onSheets(group, 'own/piece')).toBe(5)
    const part = group.search!.job.parts.find(({ id }) => id === 'own/piece')!
    expect([part.outline.length, part.holes?.length, Math.max(...part.outline.map(([, y]) => y))]).toEqual([4, 1, 40])
  })
})

describe('a locked sheet', () => {
  const before = planned(['template'], 1)
  const nested = nestedOf(before)
  const [laid] = planned(['template'], 1, (inputs) => Object.assign(inputs, { nested })).groups
  const kept = keptSheetOf(laid!, laid!.layout.sheets[0]!)
  const locked = (change: (inputs: PlanInputs) => void = () => undefined): CutGroup =>
    planned(['template'], 1, (inputs) => {
      chosenOption(inputs.commission).keptSheets = [structuredClone(kept)]
      change(inputs)
    }).groups[0]!

  it('stays as it is, and the rest is laid without it', () => {
    const group = locked()
    expect(group.kept).toEqual([kept])
    expect(keptSheetOf(group, group.layout.sheets[0]!).placements).toEqual(kept.placements)
    for (const { id, quantity } of group.parts) expect(onSheets(group, id)).toBe(quantity)
    const searched = group.search!.job.parts.reduce((sum, { quantity }) => sum + quantity, 0)
    expect(searched + kept.placements.length).toBe(group.parts.reduce((sum, { quantity }) => sum + quantity, 0))
  })

  it('is let go when it no longer holds what is asked, and that is said', () => {
    const group = locked(({ workshop }) => {
      workshop.tools.knifeGapMm = 8
    })
    expect(group.kept).toEqual([])
    expect(group.released).toBe(1)
    for (const { id, quantity } of group.parts) expect(onSheets(group, id)).toBe(quantity)
  })

  it('says what is in the way when a piece is moved onto another, or over the edge', () => {
    const { tools } = base.workshop
    const A4 = { kind: 'rect', widthMm: 210, heightMm: 297 } as const
    expect(sheetFaults(laid!, A4, kept.placements, tools)).toEqual([])
    const onto = kept.placements.map((each, at) =>
      at === 0 ? { ...each, x: kept.placements[1]!.x, y: kept.placements[1]!.y } : each,
    )
    expect(sheetFaults(laid!, A4, onto, tools).map(({ code }) => code)).toContain('overlap')
    const over = kept.placements.map((each, at) => (at === 0 ? { ...each, x: -30 } : each))
    expect(sheetFaults(laid!, A4, over, tools).map(({ code }) => code)).toContain('outside')
  })
})

describe('remnants', () => {
  const remnant = {
    id: 'rest',
    name: 'rest',
    paper: 'thinWafer' as const,
    colour: null as string | null,
    outline: [
      [10, 10],
      [190, 10],
      [190, 110],
      [60, 150],
      [10, 90],
    ] as [number, number][],
    from: 'another',
  }
  const withRemnant = (ways: readonly CuttingWay[], nested: Nested = {}): readonly CutGroup[] =>
    planned(ways, 1, (inputs) => {
      inputs.workshop.remnants = [structuredClone(remnant)]
      Object.assign(inputs, { nested })
    }).groups

  it('are used before a whole sheet, cost none, and hold their pieces inside their outline', () => {
    const [group] = withRemnant(['template'])
    const layout = layoutOf(group!, 20)
    expect(faultsOf(group!.search!.job, layout)).toEqual([])
    const [laid] = withRemnant(['template'], { [group!.search!.key]: layout })
    const used = laid!.layout.sheets.filter((sheet) => sheet.remnant)
    expect(used).toHaveLength(1)
    expect(used[0]!.pieces.length).toBeGreaterThan(0)
    expect(laid!.sheets.value).toBe(laid!.layout.sheets.length - 1)
  })

  it('of a colour are kept for pieces of that colour', () => {
    const offeredIn = (colour: string | null, colouredWhole: boolean): readonly string[] =>
      planned(['template'], 1, ({ commission, workshop }) => {
        workshop.remnants = [{ ...structuredClone(remnant), colour }]
        for (const each of chosenOption(commission).decorations) each.cutting.colouredWhole = colouredWhole
      }).groups.flatMap((group) =>
        group.search?.job.sheets.some(({ id }) => id === 'rest') ? [group.colour ?? 'none'] : [],
      )
    const [own] = decorations.flatMap(({ paper, classes }) =>
      paper === 'thinWafer' ? classes.map(({ colour }) => colour.toLowerCase()) : [],
    )
    expect(offeredIn(own!, true)).toEqual([own])
    expect(offeredIn(own!, false)).toEqual([])
    expect(offeredIn(null, true)).toEqual([])
  })

  it('are not offered to the commission that they are left of', () => {
    const own = planned(['template'], 1, ({ workshop, commission }) => {
      workshop.remnants = [{ ...structuredClone(remnant), from: commission.id }]
    }).groups
    expect(own.flatMap(({ search }) => search?.job.sheets.map(({ id }) => id) ?? [])).not.toContain('rest')
  })

  it('are offered to one group only', () => {
    const offered = withRemnant(['template', 'machine']).filter(({ search }) =>
      search?.job.sheets.some(({ id }) => id === 'rest'),
    )
    expect(offered).toHaveLength(1)
  })
})

describe('what is left of sheets', () => {
  it('is all that becomes no piece: pieces, remainders and offcuts are the paper', () => {
    for (const group of planned(WAYS, 2).groups) {
      const { left } = (group.offcuts.source as { inputs: Record<string, { value: number }> }).inputs as {
        left: { value: number }
      }
      const { pieces, taken } = (group.used.source as { inputs: Record<string, { value: number }> }).inputs as {
        pieces: { value: number }
        taken: { value: number }
      }
      const whole = group.remainders.reduce(
        (sum, { plies, left: { widthMm, heightMm } }) => sum + (plies * widthMm * heightMm) / 10_000,
        0,
      )
      expect(left.value + pieces.value + whole).toBeCloseTo(taken.value, 3)
      for (const {
        sheet,
        left: { x, y, widthMm, heightMm },
      } of group.remainders) {
        expect(group.layout.sheets[sheet]!.pieces.length).toBeGreaterThan(0)
        expect(Math.min(widthMm, heightMm)).toBeGreaterThanOrEqual(40)
        expect([x === 0 || y === 0, x + widthMm, y + heightMm]).toEqual([true, 210, 297])
      }
    }
  })
})

describe('ways compared', () => {
  it('advise one way for each decoration, and never one that is not possible', () => {
    for (const work of decorations) {
      const choices = wayChoices(work, base.workshop.tools, 0.5, 25)
      // What is torn is torn in strips, and in no other way.
      const isTorn = work.technique === 'tornRuffle'
      expect(choices.map(({ way }) => way)).toEqual(isTorn ? ['boxes'] : WAYS)
      const advised = choices.filter((each) => each.advised)
      expect(advised).toHaveLength(1)
      expect(advised[0]!.sheets).not.toBeNull()
      expect(whyAdvised(choices)).toMatch(
        isTorn ? /^$/ : /^\d+ sheets? and \d.*, where [a-z ,]+ takes \d+ sheets? and \d/,
      )
    }
  })

  it('advise less paper when paper is dear, and less time when hours are', () => {
    const advised = (technique: string, sheetEach: number, hour: number, times = 1): CuttingWay => {
      const made = decorations.find((each) => each.technique === technique)!
      const classes = made.classes.map((each) => ({
        ...each,
        needed: { ...each.needed, value: each.needed.value * times },
      }))
      const work = { ...made, classes }
      return wayChoices({ ...work, cutting: { ...work.cutting, plies: 1 } }, base.workshop.tools, sheetEach, hour).find(
        (each) => each.advised,
      )!.way
    }
    expect(advised('foldedGlobe', 0.1, 60)).toBe('punch')
    expect(advised('stripScroll', 0.1, 60)).toBe('boxes')
    // Strips lose nothing along a ruler; round petals do.
    expect(advised('stripScroll', 500, 1)).toBe('boxes')
    // Many petals lie closer by template.
    expect(advised('openBloom', 500, 1, 8)).toBe('template')
  })
})
