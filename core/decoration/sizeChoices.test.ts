import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { disc, paperOf, PAPERS, rect, shapeDm2 } from '../material'
import { derivePlan } from '../plan'
import { demoWorkshop } from '../demo'
import { aDecoration, onTwoTiers } from '../../tests/any/fourGroups'
import { shapesFor, sizeChoices } from './sizeChoices'

const shelfOf = (...shapes: readonly ReturnType<typeof disc>[]) =>
  shapes.map((shape) => ({ paper: 'riceFilm' as const, shape, inUse: true, thicknessMm: 0.2 }))
const sail: Parameters<typeof shapesFor>[0] = { paper: 'riceFilm', stock: [], technique: 'soakedSail' }
const puff: typeof sail = { ...sail, technique: 'puff' }
const sheet = rect(200, 300)

describe('what a decoration is cut from', () => {
  it('is what it names, whatever lies on the shelf', () =>
    expect(shapesFor({ ...sail, stock: [disc(180)] }, shelfOf(disc(220)))).toEqual([disc(180)]))
  it('is discs in use for portions of discs, sheets in use for the rest', () => {
    const shelf = shelfOf(disc(160), sheet, disc(220))
    expect(shapesFor(sail, shelf)).toEqual([disc(160), disc(220)])
    expect(shapesFor(puff, shelf)).toEqual([sheet])
  })
  it('is what there is where the shape it likes is not in use', () => {
    expect(shapesFor(puff, shelfOf(disc(220)))).toEqual([disc(220)])
    expect(shapesFor(sail, shelfOf(sheet))).toEqual([sheet])
  })
  it('is the usual size where nothing of its paper is in use', () => {
    const idle = shelfOf(disc(220)).map((each) => ({ ...each, inUse: false }))
    expect(shapesFor(sail, idle)).toEqual([paperOf('riceFilm').shapes[0]])
    expect(shapesFor(sail, [])).toHaveLength(1)
  })
})

describe('usual sizes of a paper', () => {
  const made = derivePlan({
    commission: onTwoTiers([aDecoration('moths', 'butterfly')], 0),
    workshop: demoWorkshop(),
    now: 0,
    units: 'metric',
  }).decorations[0]!

  it('stand with the least paper first, each with the sheets it would take', () =>
    fc.assert(
      fc.property(fc.constantFrom(...PAPERS.map(({ id }) => id)), (paper) => {
        const choices = sizeChoices(paper, made.classes)
        const known = choices.map(({ paperDm2 }) => paperDm2 ?? Infinity)
        expect(known).toEqual([...known].sort((one, other) => one - other))
        for (const { shape, sheets, paperDm2 } of choices) {
          if (sheets === null) expect(paperDm2).toBeNull()
          else {
            expect(sheets).toBeGreaterThan(0)
            expect(paperDm2).toBeCloseTo(sheets * shapeDm2(shape), 9)
          }
        }
      }),
    ))
  it('too small for a piece say none', () => {
    const [piece] = made.classes
    const huge = { ...piece!, width: { ...piece!.width, value: 2000 }, height: { ...piece!.height, value: 2000 } }
    for (const { sheets } of sizeChoices(made.paper, [huge])) expect(sheets).toBeNull()
  })
  it('take no fewer sheets for more pieces', () => {
    const many = made.classes.map((piece) => ({
      ...piece,
      needed: { ...piece.needed, value: piece.needed.value * 9 },
    }))
    const sheetsOf = (classes: typeof made.classes) =>
      new Map(sizeChoices(made.paper, classes).map(({ shape, sheets }) => [JSON.stringify(shape), sheets ?? 0]))
    const [few, more] = [sheetsOf(made.classes), sheetsOf(many)]
    for (const [shape, sheets] of few) expect(more.get(shape)!).toBeGreaterThanOrEqual(sheets)
  })
})
