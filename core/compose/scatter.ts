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
 * How far a place is from the nearest of those that stand, squared, mm²; Infinity where none stands. As soon as one is
 * found as near as `enough`, that is all: a place is only wanted that is farther from all.
 * @param turnMm once round the tier, where a scatter goes all the way round
 */
function nearestSquared(place: Spot, spots: readonly Spot[], turnMm: number | null, enough: number): number {
  let nearest = Infinity
  for (const other of spots) {
    const straight = Math.abs(place.along - other.along)
    const round = turnMm === null ? straight : Math.min(straight, turnMm - straight)
    const rise = place.height - other.height
    nearest = Math.min(nearest, round * round + rise * rise)
    if (nearest <= enough) break
  }
  return nearest
}

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
  const quiet = free.filter((other) => other.tier === tier.index && other.on === 'side')
  const blocked = ({ along, height }: Spot): boolean =>
    quiet.some((other) =>
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
  const apart = values.gapMm + seen.widthMm
  const attempt = (turn: number): readonly Spot[] => {
    const stream = seededStream(seedFor(values.seed, 5 + turn))
    const spots: Spot[] = []
    for (let each = 0; each < wanted; each += 1) {
      let best: Spot | null = null
      let farthest = -1
      for (let tried = 0; tried < CANDIDATES; tried += 1) {
        const place = { along: between(stream, 0, length), height: tier.footMm + between(stream, 0, rise) }
        if (blocked(place)) continue
        const nearest = nearestSquared(place, spots, wholeTurn ? length : null, farthest)
        if (nearest <= farthest) continue
        best = place
        farthest = nearest
      }
      if (best && farthest >= apart * apart) spots.push(best)
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
