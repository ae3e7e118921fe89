import { describe, expect, it } from 'vitest'
import { aDecoration, fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import type { Decoration } from '../../commission'
import { demoWorkshop } from '../../demo'
import { sumOf } from '../../quantity'
import type { DyeStock } from '../../supply'
import { bathStep } from '../../tint'
import { derivePlan } from '..'

const planOf = (decorations: readonly Decoration[]) =>
  derivePlan({ commission: onTwoTiers(decorations, 0), workshop: demoWorkshop(), now: 0, units: 'metric' })

describe('baths', () => {
  const plan = planOf(fourGroups())
  const { baths, dishes, foretold } = plan.dishes
  const madeOf = (id: string) => plan.decorations.find((each) => each.id === id)!

  it('are shared by what has the same run of shades, and nothing dipped has a dish beside it', () => {
    expect(baths.map(({ uses }) => uses.map(({ decoration }) => decoration))).toEqual([
      ['sweep', 'pair'],
      ['crown', 'single'],
    ])
    expect(dishes).toEqual([])
  })

  it('dip at each step the pieces and spares of that shade, of all who share it', () => {
    for (const { uses, steps } of baths)
      steps.forEach(({ batch }, step) => {
        const own = uses
          .flatMap(({ decoration }) => madeOf(decoration).classes)
          .filter(({ shade }) => bathStep(shade, steps.length) === step)
        expect(batch.pieceCount).toBe(own.reduce((sum, { needed, spares }) => sum + needed.value + spares.value, 0))
      })
  })

  it('go from pale to deep, and foretell the same shades for all who share them', () => {
    for (const { uses, ladder } of baths) {
      const strengths = ladder.map(({ strength }) => strength)
      expect(strengths).toEqual([...strengths].sort((one, other) => one - other))
      const [first, ...others] = uses.map(({ decoration }) => foretold[decoration])
      for (const each of others) expect(each).toEqual(first)
    }
  })

  it('are parted where one of those who share has a shade more or another colour', () => {
    const changed = fourGroups().map((each) =>
      each.id === 'pair' ? { ...each, colour: { ...each.colour, steps: each.colour.steps + 1 } } : each,
    )
    expect(planOf(changed).dishes.baths.map(({ uses }) => uses.map(({ decoration }) => decoration))).toEqual([
      ['sweep'],
      ['crown', 'single'],
      ['pair'],
    ])
  })
})

describe('dyes that do not suit', () => {
  const withDyes = (change: (dye: DyeStock) => DyeStock, wanted: readonly Decoration[]) => {
    const workshop = demoWorkshop()
    return derivePlan({
      commission: onTwoTiers(wanted, 0),
      workshop: { ...workshop, dyes: workshop.dyes.map(change) },
      now: 0,
      units: 'metric',
    })
  }
  const pan = aDecoration('pan', 'panSail')
  it('a gel with sugar is left out for the pan by name, and only there', () => {
    const sugar = (dye: DyeStock): DyeStock => (dye.id === 'red' ? { ...dye, name: 'rose gel', base: 'sugarGel' } : dye)
    const { dishes } = withDyes(sugar, [pan, aDecoration('ruffle', 'tornRuffle')])
    expect(dishes.leftOut).toEqual([
      { decoration: 'pan', name: expect.any(String), dyes: ['rose gel'], because: expect.stringContaining('sugar') },
    ])
    const inPan = dishes.dishes.find(({ uses }) => uses.some(({ decoration }) => decoration === 'pan'))!
    expect(inPan.doses.map(({ dye }) => dye)).not.toContain('red')
    // What is left is yellow and blue: brick is out of their reach, and that is said, not turned into another colour.
    expect(inPan).toMatchObject({ outOfReach: 'another', doses: [], ml: { value: 0 } })
    expect(withDyes(sugar, [pan]).cautions.map(({ code }) => code)).toContain('colour-not-mixed')
  })
  it('nothing is left out where all suit, and where none does the rest is shown with a fault', () => {
    expect(withDyes((dye) => dye, [pan]).dishes.leftOut).toEqual([])
    const all = withDyes((dye) => ({ ...dye, base: 'sugarGel' }), [pan]).dishes
    expect(all.leftOut).toEqual([])
    expect(all.faults.map(({ code }) => code)).toContain('sugar-in-pan')
  })
  it('powder is weighed: as strong as its drops, a hundredth of a gram each, 0.6 g a millilitre', () => {
    const { dyeUses, dishes } = withDyes((dye) => ({ ...dye, base: 'powder' }), [pan])
    for (const { dye, ml } of dyeUses) {
      const drops = dishes.dishes
        .flatMap(({ doses }) => doses)
        .reduce((sum, each) => sum + (each.dye === dye ? each.whole : 0), 0)
      expect(ml.value).toBeCloseTo((drops * 0.01) / 0.6, 9)
    }
    expect(dyeUses.length).toBeGreaterThan(0)
  })
})

describe('a wrap that fades', () => {
  it('has a dish for every shade, each for its share of every sheet, pale first', () => {
    const begun = aDecoration('wrap', 'formedWrap')
    const { dishes, decorations } = planOf([
      { ...begun, colour: { heart: '#d9572b', tail: '#f3dfc2', steps: 3 } } as Decoration,
    ])
    const own = dishes.dishes.filter(({ uses }) => uses.some(({ decoration }) => decoration === 'wrap'))
    expect(own).toHaveLength(3)
    expect([own[0]!.target, own[2]!.target]).toEqual(['#f3dfc2', '#d9572b'])
    // Every sheet takes every shade.
    const { pieces } = decorations[0]!
    for (const { uses } of own) expect(uses[0]!.pieces.value).toBe(pieces.value)
    const whole = planOf([{ ...begun, colour: { heart: '#d9572b', tail: '#d9572b', steps: 1 } } as Decoration])
    const volume = (all: readonly { readonly ml: { readonly value: number } }[]) =>
      all.reduce((sum, { ml }) => sum + ml.value, 0)
    expect(volume(own)).toBeGreaterThan(volume(whole.dishes.dishes) - 1e-6)
  })
})

describe('dishes', () => {
  const ruffle = aDecoration('ruffle', 'tornRuffle')
  it('hold what is coloured whole for its whole sheets, and faces of pieces for what is coloured after', () => {
    const whole = { ...ruffle, cutting: { ...ruffle.cutting, colouredWhole: true } }
    const [before, after] = [planOf([whole]), planOf([ruffle])]
    const sheets = sumOf(
      'sheets',
      'count',
      '',
      before.sheets.map(({ needed }) => needed),
    ).value
    const usedBy = ({ dishes }: typeof before) => dishes.dishes.flatMap(({ uses }) => uses)
    expect(usedBy(before).reduce((sum, { pieces }) => sum + pieces.value, 0)).toBe(sheets)
    expect(usedBy(after).reduce((sum, { pieces }) => sum + pieces.value, 0)).toBe(after.decorations[0]!.pieces.value)
  })
  it('are none for what stays bare', () =>
    expect(planOf([{ ...ruffle, colouring: { ...ruffle.colouring, way: 'bare' } }]).dishes.dishes).toEqual([]))
})
