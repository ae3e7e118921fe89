import { describe, expect, it, vi } from 'vitest'
import { roundTier } from '../cake'
import { commissionSchema, newCommission, startingDecoration, type Commission } from '../commission'
import { handoverPack, packingOf, placingsOf } from '../deliver'
import { demoWorkshop } from '../demo'
import { meshesOf } from '../decoration'
import { stepCards } from '../make'
import { STARTING_PIECE_BOXES } from '../supply'
import type * as Techniques from '../technique'
import type { AnyTechnique, PlacedElement } from '../technique'
import { derivePlan } from '.'

/** A technique that nothing else knows of, told whole in one object: quarters of discs, dyed in a bath, cupped on a mat. */
vi.mock('../technique', async (importOriginal) => {
  const all = await importOriginal<typeof Techniques>()
  // The factory runs before this file's own imports.
  const { z } = await import('zod')
  const { sector } = await import('../geometry')
  const { found, starting } = await import('../quantity')
  const parameters = z.strictObject({
    seenMm: z.number().min(20).max(120).meta({ label: 'Seen height', kind: 'length' }),
  })
  const shell = {
    id: 'filmShell',
    name: 'Film shell',
    element: 'shell',
    family: 'sails',
    alsoCalled: ['clam'],
    say: 'Quarters of film cupped over a mat.',
    papers: ['riceFilm'],
    whyPaper: 'Only film cups like glass.',
    unfit: {},
    compositions: ['cluster', 'single'],
    finishes: ['dusting'],
    parameters,
    startingParameters: { seenMm: 50 },
    startingColour: '#c98f6b',
    startingTail: '#f0e2d0',
    startingColouring: 'stepped',
    spareShare: starting('spares', 0.2, 'share', 'usual'),
    fromDiscs: true,
    dries: ['mat', 'oven'],
    seen: ({ seenMm }: { seenMm: number }) => ({ widthMm: seenMm, heightMm: seenMm }),
    fit: (_: unknown, elements: readonly PlacedElement[]) =>
      elements.map((element) => ({
        ...element,
        fitted: { portion: 'quarter' as const, discMm: 160, widthMm: 50, heightMm: 50 * element.size, shortMm: 0 },
      })),
    pieces: () => [
      {
        name: 'shell',
        outline: sector({ x: 0, y: 0 }, 80, 0, 90),
        folds: [],
        face: 'either face',
        width: found('wide', 80, 'length', 'a quarter of 160 mm'),
        height: found('high', 80, 'length', 'a quarter of 160 mm'),
        perElement: 1,
        sector: { portion: 'quarter' as const, discMm: 160 },
        lying: { widthMm: 70, heightMm: 70 },
      },
    ],
    steps: [
      {
        id: 'snip',
        name: 'Snip',
        say: 'Along the lines.',
        minutes: { perPiece: 1 },
      },
      {
        id: 'cup',
        name: 'Dip and cup',
        say: 'Dip, lift, lay over the mat.',
        minutes: { perPiece: 3 },
        soaks: true,
        colours: true,
        rest: { until: 'firm', from: 'soaked', usualMin: 900 },
        hold: { place: 'mat', per: 'footprint', untilStep: 'free' },
      },
      {
        id: 'free',
        name: 'Free',
        say: 'Peel from the rim.',
        minutes: { perPiece: 1 },
        turnsOf: 'cup',
      },
    ],
    supplies: [{ supply: 'kitchenPaper', at: 'cup', per: 'piece', amount: 1 }],
    fixed: () => ({ by: 'foot', joints: 1 }),
    cautions: [{ id: 'sticky', at: 'cup', say: 'Wet film sticks to itself.' }],
    failures: [],
    holdingParts: () => [],
    draw: (_: unknown, element: PlacedElement, wall: Parameters<AnyTechnique['draw']>[2]) =>
      all.soakedSail.draw(all.soakedSail.startingParameters, element, wall),
  }
  return {
    ...all,
    TECHNIQUES: [...all.TECHNIQUES, shell],
    techniqueOf: (id: string) => (id === shell.id ? shell : all.techniqueOf(id as AnyTechnique['id'])),
  }
})

const NOW = 29_400_000
const cake = {
  board: { outline: 'round' as const, acrossMm: 300, thicknessMm: 12 },
  tiers: [roundTier('one', 220, 140)],
}
const shells = startingDecoration('shells', 'filmShell' as AnyTechnique['id'], cake.tiers, 'cluster')
const base = newCommission('it', NOW)
const commission: Commission = {
  ...base,
  brief: { ...base.brief, completion: 'atVenue' },
  options: [{ ...base.options[0]!, cake, decorations: [shells] }],
}
const plan = derivePlan({ commission, workshop: demoWorkshop(NOW), now: NOW, units: 'metric' })
const [made] = plan.decorations

describe('a technique told in one object', () => {
  it('is taken by the commission’s schema, and what it does not allow is refused', () => {
    expect(commissionSchema.safeParse(commission).error).toBeUndefined()
    const wrong = { ...shells, parameters: { seenMm: 500 } }
    const refused = { ...commission, options: [{ ...commission.options[0]!, decorations: [wrong] }] }
    expect(commissionSchema.safeParse(refused).success).toBe(false)
  })
  it('has elements, pieces on discs that are shared, and meshes', () => {
    expect(made!.elements.length).toBeGreaterThan(3)
    const [group] = plan.groups
    expect([plan.groups.length, group!.way]).toEqual([1, 'sectors'])
    expect(group!.sheets.value).toBe(Math.ceil(made!.pieces.value / 4))
    expect(meshesOf(shells, made!.elements, plan.stack)).toHaveLength(made!.elements.length)
  })
  it('has a bath of its shades, rests by the curve of film, loads on mats and an hour to start', () => {
    const [bath] = plan.dishes.baths
    expect([plan.dishes.baths.length, bath!.steps.length]).toEqual([1, 4])
    const [drying] = plan.dryings
    const cup = plan.work.making[0]!.steps.find(({ id }) => id === 'cup')!
    expect(cup.rest.value).toBe(Math.ceil(drying!.estimate.ready.firm.planned!.value))
    expect(cup.turns.flatMap(({ load }) => load!.laid)).toHaveLength(made!.pieces.value)
    expect(plan.timetable.ok).toBe(true)
    expect(plan.cautions.map(({ say }) => say).join()).toMatch(/film/i)
  })
  it('has cards at the bench, and stands in the papers', () => {
    const cards = stepCards({ plan, commission, units: 'metric' })
    expect(cards.filter(({ of }) => of?.decoration === 'shells').map(({ of }) => of!.step)).toEqual(
      expect.arrayContaining(['snip', 'cup', 'free']),
    )
    expect(placingsOf(plan, commission)).toHaveLength(made!.elements.length)
    const packing = packingOf(plan, commission, STARTING_PIECE_BOXES)
    expect(packing.boxes.length).toBeGreaterThan(0)
    const about = { commission, plan, units: 'metric' as const }
    const pack = handoverPack(about, placingsOf(plan, commission), packing, commission.bench)
    expect(JSON.stringify(pack)).toContain('film shell')
    expect(plan.careCard.eat.join()).toMatch(/film/i)
  })
})
