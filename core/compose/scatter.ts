/**
 * A scatter: loose elements on the side of one tier, as many as wished, apart from each other, none in the quiet zone.
 */
import { z } from 'zod'
import { alongAt, angleAt, edgeScale } from '../cake'
import { between, derive, found, seededStream, seedFor } from '../quantity'
import { chosen, type PlacedElement } from '../technique'
import { defineComposition, keepingFree, overlap, tierOf, turned, within, type Ground } from './define'
import { fields } from './fields'

const schema = z.strictObject({
  kind: z.literal('scatter'),
  tier: fields.tier,
  count: z.number().int().min(1).max(80).meta({ label: 'How many', kind: 'count' }),
  gapMm: z.number().min(0).max(200).meta({ label: 'Least gap', kind: 'length', help: 'From one to the next' }),
  middleDeg: fields.middleDeg,
  spanDeg: z
    .number()
    .min(10)
    .max(360)
    .meta({ label: 'Reaches round', kind: 'angle', help: 'Beyond it the side stays quiet' }),
  taper: fields.taper,
  irregularity: fields.irregularity,
  seed: fields.seed,
})

export type Scatter = z.infer<typeof schema>

const STARTING = { count: 7, gapMm: 8 } as const
const CANDIDATES = 32
/** Layouts tried until all find their place, so that a shuffle keeps the count while there is room. */
const ATTEMPTS = 16

type Spot = { readonly along: number; readonly height: number }

/**
 * Places for a scatter. Each next element takes, of some tries, the place farthest from those that stand: loose, and
 * balanced.
 * Where not all find their gap, fewer are placed, and the count says so. @see Mitchell 1991, best-candidate sampling
 */
function spotsFor(
  values: Scatter,
  { stack, seen, free, asked }: Ground,
): { readonly start: number; readonly length: number; readonly spots: readonly Spot[] } {
  const tier = tierOf(stack, values.tier)
  const wanted = asked ?? values.count
  const scale = edgeScale(tier)
  const start = alongAt(scale, values.middleDeg - values.spanDeg / 2)
  const length = alongAt(scale, values.middleDeg + values.spanDeg / 2) - start
  const rise = tier.topMm - tier.footMm - seen.heightMm
  const wholeTurn = values.spanDeg >= 360
  const apart = (one: Spot, other: Spot): number => {
    const round = Math.abs(one.along - other.along)
    return Math.hypot(wholeTurn ? Math.min(round, length - round) : round, one.height - other.height)
  }
  const blocked = ({ along, height }: Spot): boolean =>
    free.some((other) =>
      overlap(
        {
          tier: tier.index,
          on: 'side',
          middle: [start + along, height + seen.heightMm / 2],
          half: [seen.widthMm / 2, seen.heightMm / 2],
        },
        other,
        stack,
      ),
    )
  const attempt = (turn: number): readonly Spot[] => {
    const stream = seededStream(seedFor(values.seed, 5 + turn))
    const spots: Spot[] = []
    for (let each = 0; each < wanted; each += 1) {
      const tries = Array.from({ length: CANDIDATES }, (): Spot => ({
        along: between(stream, 0, length),
        height: tier.footMm + between(stream, 0, rise),
      })).filter((spot) => !blocked(spot))
      const nearest = (place: Spot): number =>
        spots.reduce((least, other) => Math.min(least, apart(place, other)), Infinity)
      const best = tries.length > 0 ? tries.reduce((far, place) => (nearest(place) > nearest(far) ? place : far)) : null
      if (best && nearest(best) >= values.gapMm + seen.widthMm) spots.push(best)
    }
    return spots
  }
  let standing: readonly Spot[] = []
  for (let turn = 0; rise >= 0 && turn < ATTEMPTS && standing.length < wanted; turn += 1) {
    const spots = attempt(turn)
    if (spots.length > standing.length) standing = spots
  }
  return { start, length, spots: standing }
}

export const scatter = defineComposition({
  kind: 'scatter',
  name: 'Scatter',
  say: 'Loose, apart from each other, the rest of the side quiet.',
  schema,
  starting: ({ tiers, seed }): Scatter => ({
    kind: 'scatter',
    tier: Math.min(1, tiers.length - 1),
    count: STARTING.count,
    gapMm: STARTING.gapMm,
    middleDeg: 0,
    spanDeg: 200,
    taper: 0.7,
    irregularity: 0.6,
    seed,
  }),

  layOut: (values, ground) => {
    const tier = tierOf(ground.stack, values.tier)
    const scale = edgeScale(tier)
    const { start, length, spots } = spotsFor(values, ground)
    const count = derive(
      'elements',
      'count',
      'a scatter',
      'of {wished}, those that find {gap} to the next within {room}',
      {
        wished: chosen('how many', ground.asked ?? values.count, STARTING.count, 'count'),
        gap: chosen('least gap', values.gapMm, STARTING.gapMm, 'length'),
        room: found('room along the tier', length, 'length', 'within its arc'),
      },
      () => spots.length,
    )
    return keepingFree(
      {
        count,
        elements: spots.map(({ along, height }, index): PlacedElement => {
          const seed = seedFor(values.seed, index)
          const own = seededStream(seed)
          return {
            index,
            tier: tier.index,
            on: 'side',
            row: 0,
            spanDeg: 0,
            outMm: 0,
            seed,
            angleDeg: angleAt(scale, start + along),
            heightMm: height,
            size: between(own, values.taper, 1),
            rollDeg: 70 * values.irregularity * between(own, -1, 1),
            away: length > 0 ? Math.abs(along / length - 0.5) * 2 : 0,
            mirrored: between(own, 0, 1) < 0.5,
          }
        }),
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const tier = tierOf(stack, values.tier)
    const handle = (id: string, name: string, angleDeg: number) => ({
      id,
      name,
      tier: tier.index,
      on: 'side' as const,
      angleDeg,
      heightMm: (tier.footMm + tier.topMm) / 2,
      outMm: 0,
    })
    return [
      handle('middle', 'Middle', values.middleDeg),
      ...(values.spanDeg >= 360 ? [] : [handle('right', 'End', values.middleDeg + values.spanDeg / 2)]),
    ]
  },

  pull: (values, handle, to, stack): Scatter =>
    handle === 'middle'
      ? { ...values, tier: tierOf(stack, to.tier).index, middleDeg: turned(to.angleDeg) }
      : { ...values, spanDeg: within(2 * Math.abs(turned(to.angleDeg - values.middleDeg)), 10, 360) },
})
