/**
 * Commissions by chance: tiers of several shapes and coverings, techniques, accents, who completes it, what was cut
 * again.
 */
import { STARTING_WORKSHOP, type Workshop } from '../../core/workshop'
import { newCommission, startingGathering, startingDecoration, type Commission } from '../../core/commission'
import fc from 'fast-check'
import { startingAccent } from '../../core/accent'
import { roundTier } from '../../core/cake'
import { ACCENTS } from '../../core/accent'
import { coveringIds } from '../../core/material'
import { createPlanner, type Plan } from '../../core/plan'
import { TECHNIQUES } from '../../core/technique'

const planner = createPlanner()

export type Planned = { readonly commission: Commission; readonly workshop: Workshop; readonly plan: Plan }

/** Brought up from numbers, so that what fails is told in few words. */
export const aCommission: fc.Arbitrary<Commission> = fc
  .record({
    tiers: fc.array(
      fc.record({
        acrossMm: fc.integer({ min: 100, max: 280 }),
        heightMm: fc.integer({ min: 70, max: 150 }),
        covering: fc.constantFrom(...coveringIds),
        dummy: fc.boolean(),
        spacer: fc.integer({ min: 0, max: 3 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    techniques: fc.uniqueArray(fc.nat({ max: TECHNIQUES.length - 1 }), { maxLength: 3 }),
    bouquet: fc.boolean(),
    accents: fc.uniqueArray(fc.nat({ max: ACCENTS.length - 1 }), { maxLength: 2 }),
    edible: fc.boolean(),
    completion: fc.constantFrom('beforeDriving', 'atVenue', 'handedOver'),
    again: fc.integer({ min: 0, max: 6 }),
  })
  .map(({ tiers, techniques, bouquet, accents, edible, completion, again }): Commission => {
    const sorted = [...tiers].sort((one, other) => other.acrossMm - one.acrossMm)
    const cake = {
      board: { outline: 'round' as const, acrossMm: 340, thicknessMm: 12 },
      tiers: sorted.map(({ acrossMm, heightMm, covering, dummy, spacer }, at) => ({
        ...roundTier(`tier-${at}`, acrossMm, heightMm),
        covering,
        ...(dummy && at > 0 && { inside: 'dummy' as const }),
        ...(spacer === 0 && at > 0 && { spacer: { acrossMm: 60, heightMm: 30 } }),
      })),
    }
    const gathering = bouquet ? startingGathering('bouquet', cake.tiers) : null
    const decorations = [
      ...techniques.map((at, number) => startingDecoration(`made-${number}`, TECHNIQUES[at]!.id, cake.tiers)),
      ...(gathering?.decorations ?? []),
    ]
    const base = newCommission('any', 0)
    return {
      ...base,
      brief: { ...base.brief, completion, box: { widthMm: 700, depthMm: 700, heightMm: 900 } },
      options: [
        {
          ...base.options[0]!,
          cake,
          decorations,
          bouquets: gathering ? [gathering.bouquet] : [],
          accents: accents.map((at, number) => ({
            ...startingAccent(`accent-${number}`, ACCENTS[at]!.id, decorations[0]?.id ?? 'nothing'),
            edible,
          })),
        },
      ],
      bench: {
        ...base.bench,
        recuts:
          again === 0
            ? []
            : [
                {
                  id: 'again-1',
                  part: decorations[0] ? `${decorations[0].id}/piece` : 'nothing/piece',
                  many: again,
                  at: 0,
                  from: '',
                },
              ],
      },
    }
  })

/** Properties draw the same commissions, as they have the same seed: each is planned once, as far as they are kept. */
const planned = new Map<string, Plan>()
const KEPT = 60

/** A commission with its plan, in a workshop as one begins with. */
export function planOf(commission: Commission): Planned {
  const workshop = STARTING_WORKSHOP
  const key = JSON.stringify(commission)
  const plan = planned.get(key) ?? planner({ commission, workshop, now: 0, units: 'metric' })
  if (planned.size < KEPT) planned.set(key, plan)
  return { commission, workshop, plan }
}
