import { isDeepStrictEqual } from 'node:util'
import { describe, expect, it } from 'vitest'
import {
  chosenOption,
  commissionSchema,
  newCommission,
  STARTING_POINTS,
  startingComposition,
  startingDecoration,
  type Commission,
  type Decoration,
} from '.'
import { derivePlan } from '../plan'
import { roundTier, type Cake } from '../cake'
import { demoCommission, demoWorkshop } from '../demo'
import { workingsBelow } from '../quantity'
import { techniqueOf, TECHNIQUES } from '../technique'

const NOW = 29_400_000
const cakes: readonly (readonly [string, Cake])[] = [
  ['one low tier', { board: { outline: 'round', acrossMm: 250, thicknessMm: 12 }, tiers: [roundTier('one', 180, 80)] }],
  ['the demo', chosenOption(demoCommission(NOW)).cake],
  ['the taller option', demoCommission(NOW).options[1]!.cake],
]
const planOf = (commission: Commission) =>
  derivePlan({ commission, workshop: demoWorkshop(), now: NOW, units: 'metric' })
const withOption = (change: Partial<Commission['options'][number]>): Commission => {
  const base = newCommission('test', NOW)
  return { ...base, brief: { ...base.brief, completion: 'atVenue' }, options: [{ ...base.options[0]!, ...change }] }
}

describe.each(STARTING_POINTS.map((point) => [point.name, point] as const))('beginning: %s', (_, point) => {
  it.each(cakes)('on %s is a sound option on which everything finds a place', (__, cake) => {
    const commission = withOption({ cake, ...point.on(cake) })
    expect(commissionSchema.safeParse(commission).error).toBeUndefined()
    const plan = planOf(commission)
    expect(plan.decorations.length).toBeGreaterThan(0)
    plan.decorations.forEach(({ elements, unfit }) => {
      expect(elements.length).toBeGreaterThan(0)
      expect(unfit).toBeNull()
    })
    plan.accents.forEach(({ elements }) => expect(elements.length).toBeGreaterThan(0))
    expect(plan.cautions.filter(({ severity, leaf }) => severity === 'stop' && leaf === 'arrange')).toEqual([])
  })
})

describe('every technique in every way it is arranged', () => {
  const square: Cake = {
    board: { outline: 'round', acrossMm: 300, thicknessMm: 12 },
    tiers: [
      { ...roundTier('low', 220, 130), shape: { kind: 'square', sideMm: 220, cornerMm: 2 } },
      roundTier('high', 130, 120),
    ],
  }
  const all = TECHNIQUES.flatMap(({ id, compositions }) => compositions.map((kind) => [id, kind] as const))
  it.each(all)('%s as a %s is counted, cut, laid on sheets and timed', (id, kind) => {
    const decoration = startingDecoration('it', id, square.tiers, kind)
    const commission = withOption({ cake: square, decorations: [decoration] })
    expect(commissionSchema.safeParse(commission).error).toBeUndefined()
    const { decorations, groups, sheets, work } = planOf(commission)
    const [made] = decorations
    expect(made!.count.value).toBe(made!.elements.length)
    expect(made!.elements.length).toBeGreaterThan(0)
    const { cast } = made!
    // Lace is poured, and sheets are torn for it; everything else is cut.
    if (cast) expect(cast.pours.value).toBeGreaterThan(0)
    else expect(made!.pieces.value).toBeGreaterThan(made!.elements.length)
    expect(sheets.reduce((sum, { needed }) => sum + needed.value, 0)).toBeGreaterThan(0)
    for (const { why } of groups.flatMap(({ layout }) => layout.leftOut)) expect(why).toMatch(/\d/)
    expect(work.making[0]!.hands.value).toBeGreaterThan(0)
    expect(made!.sizes.length).toBeGreaterThan(0)
    // What nobody has changed is a starting value, not something typed.
    const figures = [
      made!.count,
      ...made!.classes.flatMap(({ width, height, needed }) => [width, height, needed]),
      ...made!.figures,
    ]
    const typedHere = figures
      .flatMap(workingsBelow)
      .filter(({ source }) => source.from === 'typed' && source.leaf === 'Arrange')
    const { startingParameters: usual } = techniqueOf(id)
    const begun = startingComposition(kind, id, usual, square.tiers)
    const isFitted = !isDeepStrictEqual([decoration.parameters, decoration.composition], [usual, begun])
    if (!isFitted) expect(typedHere.map(({ label }) => label)).toEqual([])
    const members = new Set(made!.classes.flatMap((piece) => piece.members))
    if (!cast) expect(members).toEqual(new Set(made!.elements.map(({ index }) => index)))
  })
})

describe('a decoration', () => {
  const { cake } = chosenOption(demoCommission(NOW))
  const made = (change: Partial<Decoration>) =>
    planOf(
      withOption({
        cake,
        decorations: [{ ...startingDecoration('it', 'formedSail', cake.tiers), ...change } as Decoration],
      }),
    ).decorations[0]!
  it('in a run of shades cuts each shade apart, from the heart’s colour to the tail’s', () => {
    const run = made({ colour: { heart: '#d9572b', tail: '#f3dfc2', steps: 4 } })
    const colours = new Set(run.classes.map(({ colour }) => colour))
    expect(colours.size).toBe(4)
    expect(colours).toContain('#d9572b')
    expect(colours).toContain('#f3dfc2')
    expect(made({}).classes.every(({ colour }) => colour === '#d9572b')).toBe(true)
  })
  it('with finishes has their amounts, steps, hours and cautions, and refuses one it does not take', () => {
    const [bare, gilded] = [made({}), made({ finishes: [{ finish: 'edgeGilding', colour: '#c9a24b', share: 1 }] })]
    expect(gilded.finishes[0]!.amount.value).toBeGreaterThan(0)
    const minutes = ({ steps }: typeof bare) => steps.reduce((sum, step) => sum + (step.minutes.perElement ?? 0), 0)
    expect(minutes(gilded)).toBeGreaterThan(minutes(bare))
    expect(gilded.steps.length).toBe(bare.steps.length + 1)
    expect(gilded.cautions.some(({ at }) => at === 'edgeGilding')).toBe(true)
    expect(
      planOf(
        withOption({
          cake,
          decorations: [
            {
              ...startingDecoration('it', 'puff', cake.tiers),
              finishes: [{ finish: 'speckle', colour: '#c9a24b', share: 0.5 }],
            },
          ],
        }),
      ).decorations[0]!.unfit,
    ).toMatch(/does not take/)
  })
  it('proposes the sheets that take the least paper', () => {
    const { sizes } = made({})
    const taken = sizes.map(({ paperDm2 }) => paperDm2 ?? Infinity)
    expect(taken).toEqual([...taken].sort((one, other) => one - other))
    const a3 = { kind: 'rect', widthMm: 297, heightMm: 420 } as const
    expect(made({ stock: [a3] }).shapes).toEqual([a3])
    expect(made({ stock: [] }).shapes.length).toBeGreaterThan(0)
  })
  it('made with gelatine is said where none was asked', () => {
    const base = withOption({ cake, decorations: [startingDecoration('bow', 'fabricBow', cake.tiers)] })
    const asked = { ...base, brief: { ...base.brief, limits: { ...base.brief.limits, noGelatine: true } } }
    expect(planOf(asked).cautions.find(({ code }) => code === 'unwanted-ingredient')!.say).toContain('gelatine')
    expect(planOf(base).cautions.some(({ code }) => code === 'unwanted-ingredient')).toBe(false)
  })
  it('is kept under the box’s lid when it travels on the cake, not when it is completed at the venue', () => {
    const tall = withOption({
      cake,
      decorations: [
        {
          ...startingDecoration('it', 'steamedSpire', cake.tiers),
          parameters: { seenMm: 200, widthMm: 30, insertionMm: 20 },
        } as Decoration,
      ],
    })
    const boxed = (completion: Commission['brief']['completion']) =>
      planOf({ ...tall, brief: { ...tall.brief, completion, box: { widthMm: 420, depthMm: 420, heightMm: 460 } } })
        .decorations[0]!.elements.length
    expect(boxed('beforeDriving')).toBeLessThan(3)
    expect(boxed('atVenue')).toBe(3)
  })
  it('may be arranged only as its technique is', () => {
    const wrong = {
      ...startingDecoration('it', 'tornRuffle', cake.tiers),
      composition: startingDecoration('it', 'puff', cake.tiers).composition,
    }
    expect(commissionSchema.safeParse(withOption({ cake, decorations: [wrong as Decoration] })).success).toBe(false)
  })
})

describe('a sweep changed by hand', () => {
  const demo = demoCommission(NOW)
  const changed = (byHand: object) =>
    planOf({
      ...demo,
      options: demo.options.map((option) => ({
        ...option,
        decorations: option.decorations
          .filter(({ technique }) => technique === 'soakedSail')
          .map((each) => ({ ...each, byHand: { ...each.byHand, ...byHand } })),
      })),
    })
  it('is fewer by one that is taken out, in count, pieces and hours', () => {
    const [all, fewer] = [changed({}), changed({ out: [4] })]
    const [before, after] = [all.decorations[0]!, fewer.decorations[0]!]
    expect(after.count.value).toBe(before.count.value - 1)
    expect(after.elements.map(({ index }) => index)).not.toContain(4)
    expect(after.pieces.value).toBeLessThan(before.pieces.value)
    expect(fewer.work.total.value).toBeLessThan(all.work.total.value)
  })
})
