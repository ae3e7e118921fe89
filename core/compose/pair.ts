/** A mirrored pair: two elements to the left and right of a line down the cake, one the other's mirror image. */
import { z } from 'zod'
import { found, seedFor } from '../quantity'
import type { PlacedElement } from '../technique'
import { defineComposition, keepingFree, tierOf, turned, within } from './define'
import { fields } from './fields'
import { footAt, placeFields, pulledFoot } from './single'

const schema = z.strictObject({
  kind: z.literal('pair'),
  tier: fields.tier,
  ...placeFields,
  middleDeg: fields.middleDeg,
  apartDeg: z.number().min(0).max(180).meta({ label: 'Apart', kind: 'angle', help: 'From foot to foot' }),
  rollDeg: z.number().min(-90).max(90).meta({ label: 'Lean', kind: 'angle', help: 'Away from each other' }),
  seed: fields.seed,
})

export type Pair = z.infer<typeof schema>

export const pair = defineComposition({
  kind: 'pair',
  name: 'Mirrored pair',
  say: 'Two, each the other’s mirror image.',
  isCounted: true,
  schema,
  starting: ({ tiers, seed }): Pair => ({
    kind: 'pair',
    tier: tiers.length - 1,
    on: 'side',
    upMm: Math.round(tiers.at(-1)!.heightMm * 0.3),
    reach: 0.6,
    middleDeg: 0,
    apartDeg: 24,
    rollDeg: 0,
    seed,
  }),

  layOut: (values, ground) => {
    const tier = tierOf(ground.stack, values.tier)
    const { heightMm, outMm, fits } = footAt(ground.stack, values, ground.seen)
    // Both are drawn from one seed: a mirror image strays as its fellow does.
    const seed = seedFor(values.seed, 0)
    return keepingFree(
      {
        count: found('elements', fits ? 2 : 0, 'count', fits ? 'a pair' : 'no foot so wide stands there'),
        elements: !fits
          ? []
          : ([-1, 1] as const).map((side, index): PlacedElement => ({
              index,
              tier: tier.index,
              on: values.on,
              angleDeg: values.middleDeg + (side * values.apartDeg) / 2,
              spanDeg: 0,
              heightMm,
              outMm,
              size: 1,
              rollDeg: side * values.rollDeg,
              row: 0,
              away: 0,
              mirrored: side < 0,
              seed,
            })),
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const { heightMm, outMm } = footAt(stack, values, { widthMm: 0, heightMm: 0 })
    const handle = (id: string, name: string, angleDeg: number) => ({
      id,
      name,
      tier: tierOf(stack, values.tier).index,
      on: values.on,
      angleDeg,
      heightMm,
      outMm,
    })
    return [
      handle('middle', 'Middle', values.middleDeg),
      handle('right', 'Right one', values.middleDeg + values.apartDeg / 2),
    ]
  },

  pull: (values, handle, to, stack): Pair =>
    handle === 'middle'
      ? { ...values, ...pulledFoot(stack, to), middleDeg: turned(to.angleDeg) }
      : { ...values, apartDeg: within(2 * Math.abs(turned(to.angleDeg - values.middleDeg)), 0, 180) },
})
