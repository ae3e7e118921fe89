import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aDecoration, fourGroups, onTwoTiers } from '../../../tests/any/fourGroups'
import { stackTiers } from '../../cake'
import { chosenOption, type Decoration } from '../../commission'
import { plannedDecoration, type DecorationInputs } from '../../decoration'
import { demoWorkshop } from '../../demo'
import { learnedFrom } from '../../learn'
import { TECHNIQUES } from '../../technique'
import { accentStage } from './accents'
import { bouquetStage } from './bouquets'
import { namesOf, placeStage } from './place'

const workshop = demoWorkshop()
const stepMinutes = { 'soakedSail soak': 7, 'butterfly cut': 3 }

/** Places decorations and keeps what each was worked out from. */
function placed(decorations: readonly Decoration[]) {
  const option = chosenOption(onTwoTiers(decorations, 0))
  const asked: DecorationInputs[] = []
  const inputs = {
    option,
    stack: stackTiers({ tiers: option.cake.tiers }),
    mostTopMm: null,
    shelf: workshop.papers,
    punchesMm: [],
    unwanted: [],
    stepMinutes,
    learned: learnedFrom({ ...workshop, shrinkTrials: [], dryingTrials: [], runs: [] }, {}),
  }
  const decoration = (each: DecorationInputs) => {
    asked.push(each)
    return plannedDecoration(each)
  }
  return { ...placeStage(inputs, { decoration, bouquet: bouquetStage, accent: accentStage }), asked }
}

describe('names of decorations', () => {
  it('are what was typed, else the technique; those of one name are numbered', () => {
    const named = (name: string, technique: Decoration['technique'] = 'soakedSail') => ({ name, technique })
    expect(namesOf([named(''), named(''), named('Veil'), named('', 'butterfly'), named('')])).toEqual([
      'Soaked sail',
      'Soaked sail 2',
      'Veil',
      'Butterfly',
      'Soaked sail 3',
    ])
  })
  it('always differ', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            name: fc.constantFrom('', 'Veil', 'Veil 2', 'Butterfly', 'Butterfly 2'),
            technique: fc.constantFrom(...TECHNIQUES.map(({ id }) => id)),
          }),
          { maxLength: 12 },
        ),
        (wanted) => {
          const names = namesOf(wanted)
          expect(new Set(names).size).toBe(wanted.length)
          names.forEach((name, at) => expect(name.startsWith(wanted[at]!.name)).toBe(true))
        },
      ),
    ))
})

describe('where everything stands', () => {
  const four = placed(fourGroups())
  it('is worked out for each decoration by itself, in their order, with its own typed minutes alone', () => {
    expect(four.asked.map(({ decoration: { id } }) => id)).toEqual(['sweep', 'crown', 'pair', 'single'])
    for (const { stepMinutes: own } of four.asked) expect(own).toEqual({ 'soakedSail soak': 7 })
    const moths = placed([aDecoration('moths', 'butterfly')])
    expect(moths.asked[0]!.stepMinutes).toEqual({ 'butterfly cut': 3 })
  })

  it('changes for one decoration where nothing keeps off another', () => {
    const [sweep, ...others] = fourGroups() as [Decoration, ...Decoration[]]
    const fewer = { ...sweep, composition: { ...sweep.composition, overlap: 0.1 } } as Decoration
    const changed = placed([fewer, ...others])
    expect(changed.asked[0]).not.toEqual(four.asked[0])
    expect(changed.asked.slice(1)).toEqual(four.asked.slice(1))
    expect(changed.decorations.slice(1)).toEqual(four.decorations.slice(1))
  })

  it('finds room for three gathered halves on a top, and for as many as are asked where their feet fit', () => {
    const crown = four.decorations.find(({ id }) => id === 'crown')!
    expect(crown.count.value).toBe(3)
    expect(crown.elements.map(({ on }) => on)).toEqual(['top', 'top', 'top'])
    expect(crown.seen.standsMm).toBeLessThan(crown.seen.widthMm / 3)
  })
})
