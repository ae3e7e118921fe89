/** A single element, on a side or on a top. */
import { z } from 'zod'
import { found, seedFor } from '../quantity'
import { standsAt, type SeenSize } from '../technique'
import type { StandingTier } from '../cake'
import { topRoom } from './crown'
import { defineComposition, keepingFree, tierOf, turned, within } from './define'
import { fields } from './fields'

const SURFACES = ['side', 'top'] as const

export const placeFields = {
  on: z.enum(SURFACES).meta({ label: 'On', options: { side: 'the side', top: 'the top or ledge' } }),
  upMm: fields.upMm,
  reach: z
    .number()
    .min(0)
    .max(1)
    .meta({ label: 'Towards the rim', kind: 'share', help: 'On a top; 0 is as far in as it goes' }),
} as const

const schema = z.strictObject({
  kind: z.literal('single'),
  tier: fields.tier,
  ...placeFields,
  middleDeg: fields.middleDeg,
  rollDeg: z.number().min(-90).max(90).meta({ label: 'Leans', kind: 'angle', help: 'To the right' }),
  seed: fields.seed,
})

export type Single = z.infer<typeof schema>

/** Where a foot stands by the fields that say so, and whether it has room there. */
export function footAt(
  stack: readonly StandingTier[],
  values: Pick<z.infer<typeof schema>, 'tier' | 'on' | 'upMm' | 'reach'>,
  seen: SeenSize,
): { readonly heightMm: number; readonly outMm: number; readonly fits: boolean } {
  const tier = tierOf(stack, values.tier)
  if (values.on === 'side')
    return { heightMm: tier.footMm + within(values.upMm, 0, tier.topMm - tier.footMm - 1), outMm: 0, fits: true }
  const { least, most } = topRoom(tier, standsAt(seen, 1))
  return { heightMm: tier.topMm, outMm: least + Math.max(0, most - least) * values.reach, fits: most >= least }
}

export const single = defineComposition({
  kind: 'single',
  name: 'Single',
  say: 'One, where it tells.',
  isCounted: true,
  schema,
  starting: ({ tiers, seen, seed }): Single => ({
    kind: 'single',
    tier: Math.min(1, tiers.length - 1),
    on: 'side',
    upMm: Math.max(0, Math.round((tiers[Math.min(1, tiers.length - 1)]!.heightMm - seen.heightMm) / 2)),
    reach: 0,
    middleDeg: 0,
    rollDeg: 0,
    seed,
  }),

  layOut: (values, ground) => {
    const tier = tierOf(ground.stack, values.tier)
    const { heightMm, outMm, fits } = footAt(ground.stack, values, ground.seen)
    return keepingFree(
      {
        count: found('elements', fits ? 1 : 0, 'count', fits ? 'a single one' : 'no foot so wide stands there'),
        elements: fits
          ? [
              {
                index: 0,
                tier: tier.index,
                on: values.on,
                angleDeg: values.middleDeg,
                spanDeg: 0,
                heightMm,
                outMm,
                size: 1,
                rollDeg: values.rollDeg,
                row: 0,
                away: 0,
                mirrored: false,
                seed: seedFor(values.seed, 0),
              },
            ]
          : [],
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const { heightMm, outMm } = footAt(stack, values, { widthMm: 0, heightMm: 0 })
    return [
      {
        id: 'foot',
        name: 'Foot',
        tier: tierOf(stack, values.tier).index,
        on: values.on,
        angleDeg: values.middleDeg,
        heightMm,
        outMm,
      },
    ]
  },

  pull: (values, _, to, stack): Single => ({ ...values, ...pulledFoot(stack, to), middleDeg: turned(to.angleDeg) }),
})

/** Fields of a foot that was pulled to a place on the cake. */
export function pulledFoot(
  stack: readonly StandingTier[],
  {
    tier: index,
    on,
    heightMm,
    outMm,
  }: { readonly tier: number; readonly on: 'side' | 'top'; readonly heightMm: number; readonly outMm: number },
): { readonly tier: number; readonly on: 'side' | 'top'; readonly upMm?: number; readonly reach?: number } {
  const tier = tierOf(stack, index)
  if (on === 'side') return { tier: tier.index, on, upMm: Math.round(within(heightMm - tier.footMm, 0, 400)) }
  const { least, most } = topRoom(tier, 0)
  return {
    tier: tier.index,
    on,
    reach: most > least ? Math.round(within((outMm - least) / (most - least), 0, 1) * 100) / 100 : 0,
  }
}
