/**
 * A cluster: a spray round a focal point on a side, over a shoulder, on a ledge or a top; the biggest at its heart,
 * moving to one side.
 *
 * By hand: a spray 160 mm wide and 90 mm high of elements seen 40 × 40 mm, the smallest half the biggest, overlapping
 * by 0.4:
 * mean size ( 1 + 0.5 ) ÷ 2 = 0.75; 160 × 90 ÷ ( 40 × 40 × 0.75² × 0.6 ) = 26.7, so 27 elements.
 */
import { z } from 'zod'
import { alongAt, angleAt, edgeScale, leastReach, type EdgeScale, type StandingTier } from '../cake'
import { between, derive, found, seededStream, seedFor } from '../quantity'
import { chosen, standsAt, type PlacedElement, type SeenSize } from '../technique'
import { topRoom } from './crown'
import {
  askedOf,
  defineComposition,
  keepingFree,
  largestAtHeart,
  placedOf,
  tierOf,
  turned,
  within,
  type Ground,
  type Spot,
} from './define'
import { fields } from './fields'

const schema = z.strictObject({
  kind: z.literal('cluster'),
  tier: fields.tier,
  count: fields.count,
  on: z
    .enum(['side', 'shoulder', 'top'])
    .meta({ label: 'On', options: { side: 'the side', shoulder: 'the shoulder', top: 'the top or ledge' } }),
  middleDeg: z.number().min(-180).max(180).meta({ label: 'Heart at', kind: 'angle', help: 'From the front' }),
  upMm: fields.upMm,
  reach: z
    .number()
    .min(0)
    .max(1)
    .meta({ label: 'Towards the rim', kind: 'share', help: 'On a top; 0 is as far in as it goes' }),
  wideMm: z.number().min(20).max(600).meta({ label: 'Wide', kind: 'length' }),
  highMm: z.number().min(20).max(400).meta({ label: 'High', kind: 'length', help: 'On a top: deep' }),
  overlap: fields.overlap,
  taper: z.number().min(0.3).max(1).meta({ label: 'Smallest', kind: 'share', help: 'Of the biggest, at the edge' }),
  lean: z
    .number()
    .min(-1)
    .max(1)
    .meta({ label: 'Movement', kind: 'ratio', help: 'Below 0 to the left, above to the right' }),
  irregularity: fields.irregularity,
  seed: fields.seed,
})

export type Cluster = z.infer<typeof schema>

const STARTING = { overlap: 0.4, taper: 0.5 } as const
/** How wide and high a spray begins: a few of its elements each way. */
const startingSize = (seen: SeenSize): Pick<Cluster, 'wideMm' | 'highMm'> => ({
  wideMm: Math.round(within(seen.widthMm * 3.4, 60, 240)),
  highMm: Math.round(within(seen.heightMm * 2, 50, 140)),
})

/** The angle by which seeds of a flower head follow each other: no two lie in one line from the heart. */
const GOLDEN_DEG = 137.508
const RADIANS = Math.PI / 180
const MOST = 300

type Offset = { readonly along: number; readonly up: number; readonly away: number }

/** Where the n-th of a count lies from the heart, mm along and up; the first at the heart, the last at the edge. */
function offsetOf(
  index: number,
  count: number,
  { wideMm, highMm, lean, irregularity }: Cluster,
  stream: () => number,
): Offset {
  const even = Math.sqrt(index / Math.max(1, count - 1))
  const away = within(even + irregularity * between(stream, -0.12, 0.12) * (index > 0 ? 1 : 0), 0, 1)
  const angle = (index * GOLDEN_DEG + irregularity * between(stream, -30, 30)) * RADIANS
  return {
    along: (wideMm / 2) * (away * Math.cos(angle) * (1 - 0.35 * Math.abs(lean)) + 0.5 * lean * away ** 2),
    up: (highMm / 2) * away * Math.sin(angle),
    away,
  }
}

/** An offset from the heart laid on the cake: on the side, over the shoulder, or round the top. */
function laid(
  values: Cluster,
  { along, up }: Offset,
  tier: StandingTier,
  { seen }: Ground,
  scale: EdgeScale,
  size: number,
): Pick<PlacedElement, 'on' | 'angleDeg' | 'heightMm' | 'outMm'> {
  const height = seen.heightMm * size
  const onSide = (heightMm: number): Pick<PlacedElement, 'on' | 'angleDeg' | 'heightMm' | 'outMm'> => ({
    on: 'side',
    outMm: 0,
    angleDeg: angleAt(scale, alongAt(scale, values.middleDeg) + along),
    heightMm: within(heightMm - height / 2, tier.footMm, Math.max(tier.footMm, tier.topMm - Math.min(height, 8))),
  })
  if (values.on === 'side') return onSide(tier.footMm + values.upMm + up)
  const room = topRoom(tier, standsAt(seen, size))
  if (values.on === 'shoulder') {
    if (up < 0 || room.most < room.least) return onSide(Math.min(tier.topMm + up, tier.topMm - height / 2))
    const out = within(leastReach(tier) - up, room.least, room.most)
    return {
      on: 'top',
      heightMm: tier.topMm,
      outMm: out,
      angleDeg: values.middleDeg + along / Math.max(out, 20) / RADIANS,
    }
  }
  const heart = room.least + Math.max(0, room.most - room.least) * values.reach
  const [right, back] = [along, -heart + up]
  return {
    on: 'top',
    heightMm: tier.topMm,
    angleDeg: values.middleDeg + Math.atan2(right, -back) / RADIANS,
    outMm: within(Math.hypot(right, back), room.least, Math.max(room.least, room.most)),
  }
}

export const cluster = defineComposition({
  kind: 'cluster',
  name: 'Cluster',
  say: 'A spray round a focal point, on a side, a shoulder or a ledge.',
  schema,
  starting: ({ tiers, seen, seed }): Cluster => ({
    kind: 'cluster',
    tier: 0,
    count: null,
    on: tiers.length > 1 ? 'shoulder' : 'side',
    middleDeg: -25,
    upMm: Math.round(tiers[0]!.heightMm * 0.5),
    reach: 0.6,
    ...startingSize(seen),
    overlap: STARTING.overlap,
    taper: STARTING.taper,
    lean: 0.35,
    irregularity: 0.6,
    seed,
  }),

  layOut: (values, ground) => {
    const { stack, seen } = ground
    const tier = tierOf(stack, values.tier)
    const room = topRoom(tier, standsAt(seen, values.taper))
    const scale = edgeScale(tier)
    const hasRoom = values.on !== 'top' || room.most >= room.least
    const meanSize = derive(
      'mean size',
      'share',
      'sizes of a spray',
      '( 1 + {taper} ) ÷ 2',
      { taper: chosen('smallest', values.taper, STARTING.taper, 'share') },
      (v) => (1 + v.taper) / 2,
    )
    const filling = derive(
      'elements',
      'count',
      'a spray filled',
      'round( {wide} × {high} ÷ ( {seenWidth} × {seenHeight} × {meanSize}² × (1 − {overlap}) ) ), at least 1',
      {
        wide: chosen('wide', values.wideMm, startingSize(seen).wideMm, 'length'),
        high: chosen('high', values.highMm, startingSize(seen).highMm, 'length'),
        seenWidth: found('seen width', seen.widthMm, 'length', 'of the biggest'),
        seenHeight: found('seen height', seen.heightMm, 'length', 'of the biggest'),
        meanSize,
        overlap: chosen('lushness', values.overlap, STARTING.overlap, 'share'),
      },
      (v) =>
        hasRoom
          ? within(
              Math.round((v.wide * v.high) / (v.seenWidth * v.seenHeight * v.meanSize ** 2 * (1 - v.overlap))),
              1,
              MOST,
            )
          : 0,
    )
    const count = placedOf(filling, askedOf(values, ground))
    return keepingFree(
      {
        count,
        elements: largestAtHeart(
          Array.from({ length: count.value }, (_, index): PlacedElement => {
            const seed = seedFor(values.seed, index)
            const stream = seededStream(seed)
            const offset = offsetOf(index, count.value, values, stream)
            const size =
              (values.taper + (1 - values.taper) * (0.5 + 0.5 * Math.cos(Math.PI * offset.away))) *
              (1 - 0.08 * values.irregularity * between(stream, 0, 1))
            return {
              index,
              tier: tier.index,
              spanDeg: 0,
              row: 0,
              seed,
              away: offset.away,
              mirrored: offset.along < 0,
              size,
              ...laid(values, offset, tier, ground, scale, size),
              rollDeg:
                within((Math.atan2(offset.along, Math.abs(offset.up) + 14) / RADIANS) * 0.7, -60, 60) +
                values.irregularity * between(stream, -14, 14),
            }
          }),
        ),
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const tier = tierOf(stack, values.tier)
    const room = topRoom(tier, 0)
    const spot: Pick<Spot, 'on' | 'heightMm' | 'outMm'> =
      values.on === 'side'
        ? { on: 'side', heightMm: tier.footMm + within(values.upMm, 0, tier.topMm - tier.footMm), outMm: 0 }
        : {
            on: 'top',
            heightMm: tier.topMm,
            outMm:
              values.on === 'shoulder'
                ? leastReach(tier)
                : room.least + Math.max(0, room.most - room.least) * values.reach,
          }
    const scale = edgeScale(tier)
    return [
      { id: 'heart', name: 'Heart', tier: tier.index, ...spot, angleDeg: values.middleDeg },
      {
        id: 'width',
        name: 'Width',
        tier: tier.index,
        ...spot,
        angleDeg: angleAt(scale, alongAt(scale, values.middleDeg) + values.wideMm / 2),
      },
    ]
  },

  pull: (values, handle, to, stack): Cluster => {
    const tier = tierOf(stack, to.tier)
    if (handle === 'width') {
      const scale = edgeScale(tierOf(stack, values.tier))
      return {
        ...values,
        wideMm: Math.round(within(2 * Math.abs(alongAt(scale, turned(to.angleDeg - values.middleDeg))), 20, 600)),
      }
    }
    const moved = { ...values, tier: tier.index, middleDeg: turned(to.angleDeg) }
    if (values.on === 'shoulder') return moved
    if (to.on === 'side') return { ...moved, on: 'side', upMm: Math.round(within(to.heightMm - tier.footMm, 0, 400)) }
    const { least, most } = topRoom(tier, 0)
    return {
      ...moved,
      on: 'top',
      reach: most > least ? Math.round(within((to.outMm - least) / (most - least), 0, 1) * 100) / 100 : 0,
    }
  },
})
