/**
 * A crown: elements standing on a tier's top, or on its ledge round the tier above, along an arc, biggest at the arc's
 * heart.
 */
import { z } from 'zod'
import { leastReach, type StandingTier } from '../cake'
import { between, derive, found, seededStream, seedFor, type Working } from '../quantity'
import { chosen, standsAt, type PlacedElement, type SeenSize } from '../technique'
import { defineComposition, keepingFree, largestAtHeart, tierOf, turned, within } from './define'
import { fields } from './fields'

const schema = z.strictObject({
  kind: z.literal('crown'),
  tier: fields.tier,
  count: z.number().int().min(1).max(40).meta({ label: 'How many', kind: 'count' }),
  middleDeg: z.number().min(-180).max(180).meta({ label: 'Heart at', kind: 'angle', help: 'From the front' }),
  spanDeg: z
    .number()
    .min(10)
    .max(360)
    .meta({ label: 'Reaches round', kind: 'angle', help: 'Less than 360° is open to one side' }),
  reach: z.number().min(0).max(1).meta({ label: 'Towards the rim', kind: 'share', help: '0 is as far in as it goes' }),
  overlap: fields.overlap,
  taper: z.number().min(0.3).max(1).meta({ label: 'Smallest', kind: 'share', help: 'Of the biggest, at the ends' }),
  irregularity: fields.irregularity,
  seed: fields.seed,
})

export type Crown = z.infer<typeof schema>

const FROM_RIM_MM = 4
/** Neighbours of a crown overlap by so much at first; what spreads from a gathered foot lies over more of its neighbour. */
const OVERLAPPING = 0.2
const GATHERED_OVERLAPPING = 0.6
const startingOverlap = ({ standsMm }: SeenSize): number => (standsMm ? GATHERED_OVERLAPPING : OVERLAPPING)
const STARTING_COUNT = 3

/**
 * How far from a tier's middle a foot may stand: from the wall of what stands on it, if anything, to the rim. `most`
 * below `least` is no room.
 */
export function topRoom(tier: StandingTier, footMm: number): { readonly least: number; readonly most: number } {
  const most = leastReach(tier) - footMm / 2 - FROM_RIM_MM
  return { least: !tier.carries ? 0 : leastReach(tier) - tier.ledge.leastMm + footMm / 2, most }
}

/** How many find place along an arc at a distance from the middle: neighbours overlap, their feet do not. */
function fitting(asked: number, values: Crown, seen: SeenSize, arcMm: number): number {
  if (asked === 1 || arcMm === 0) return 1
  const meanSize = 0.5 + values.taper / 2
  const apartMm = Math.max(seen.standsMm ?? 0, seen.widthMm * meanSize * (1 - values.overlap))
  return Math.max(1, Math.floor(arcMm / apartMm + 1e-9) + (values.spanDeg >= 360 ? 0 : 1))
}

/**
 * How wide the feet of so many may be where they stand side by side on the arc, none over another, mm. A wider foot stands
 * further in, so that what is left of the arc follows from the foot.
 *
 * By hand: five on the whole arc of 120° at the rim of a top of 200 mm, 4 mm from its edge: ( 96 − foot ÷ 2 ) × 2.094 =
 * 4 × foot, so 39.8 mm.
 */
export function footShare(values: Crown, stack: readonly StandingTier[], many: number): Working | null {
  const tier = tierOf(stack, values.tier)
  const outFor = (footMm: number): number => {
    const { least, most } = topRoom(tier, footMm)
    return least + (most - least) * values.reach
  }
  const gaps = values.spanDeg >= 360 ? many : many - 1
  if (gaps < 1) return null
  const [free, lost] = [outFor(0), outFor(0) - outFor(1)]
  const wideFor = (footMm: number): number => topRoom(tier, footMm).most - topRoom(tier, footMm).least
  const turn = (values.spanDeg * Math.PI) / 180
  return derive(
    'each foot at most',
    'length',
    'feet share the arc',
    'lesser of {arc} ÷ ( {gaps} + {lost} ) and {room}',
    {
      arc: found('arc without feet', Math.max(0, free) * turn, 'length', 'at that distance from the middle'),
      gaps: found('from foot to foot', gaps, 'count', `of ${many}`),
      room: found('room from wall to rim', wideFor(0) / (wideFor(0) - wideFor(1)), 'length', 'widest foot that stands'),
      lost: found('a wider foot stands further in', lost * turn, 'ratio', 'arc lost for each mm of foot'),
    },
    (v) => Math.min(v.room, v.arc / (v.gaps + v.lost)),
  )
}

export const crown = defineComposition({
  kind: 'crown',
  name: 'Crown',
  say: 'Standing on a top or a ledge along an arc, open to one side or closed.',
  isCounted: true,
  schema,

  starting: ({ tiers, seen, seed }): Crown => ({
    kind: 'crown',
    tier: tiers.length - 1,
    count: STARTING_COUNT,
    middleDeg: 0,
    spanDeg: 120,
    reach: 0.5,
    overlap: startingOverlap(seen),
    taper: 0.6,
    irregularity: 0.5,
    seed,
  }),

  layOut: (values, ground) => {
    const { stack, seen } = ground
    const tier = tierOf(stack, values.tier)
    const { least, most } = topRoom(tier, standsAt(seen, 1))
    const hasRoom = most >= least
    const out = least + Math.max(0, most - least) * values.reach
    const arc = (out * values.spanDeg * Math.PI) / 180
    const asked = ground.asked ?? values.count
    const count = derive(
      'elements',
      'count',
      'a crown',
      'of {wished}, those that find place on {room}, overlapping by {overlap}',
      {
        wished: chosen('how many', asked, STARTING_COUNT, 'count'),
        overlap: chosen('lushness', values.overlap, startingOverlap(seen), 'share'),
        room: found(
          'arc on the top',
          hasRoom ? arc : 0,
          'length',
          hasRoom ? 'at that distance from the middle' : 'no foot so wide stands there',
        ),
      },
      (v) => (hasRoom ? Math.min(v.wished, fitting(asked, values, seen, arc)) : 0),
    )
    return keepingFree(
      {
        count,
        elements: largestAtHeart(
          Array.from({ length: count.value }, (_, index): PlacedElement => {
            const seed = seedFor(values.seed, index)
            const stream = seededStream(seed)
            const share =
              count.value === 1 ? 0.5 : values.spanDeg >= 360 ? (index + 0.5) / count.value : index / (count.value - 1)
            const away = Math.abs(share - 0.5) * 2
            return {
              index,
              tier: tier.index,
              on: 'top',
              row: 0,
              spanDeg: 0,
              seed,
              heightMm: tier.topMm,
              away,
              mirrored: share > 0.5,
              angleDeg:
                values.middleDeg +
                (share - 0.5) * values.spanDeg +
                (values.irregularity * between(stream, -0.12, 0.12) * values.spanDeg) / count.value,
              outMm: out,
              size:
                (values.taper + (1 - values.taper) * (1 - away)) *
                (1 - 0.1 * values.irregularity * between(stream, 0, 1)),
              rollDeg: 12 * values.irregularity * between(stream, -1, 1),
            }
          }),
        ),
      },
      ground,
    )
  },

  handles: (values, stack) => {
    const tier = tierOf(stack, values.tier)
    const { least, most } = topRoom(tier, 0)
    const outMm = least + Math.max(0, most - least) * values.reach
    const handle = (id: string, name: string, angleDeg: number) => ({
      id,
      name,
      tier: tier.index,
      on: 'top' as const,
      angleDeg,
      heightMm: tier.topMm,
      outMm,
    })
    return [
      handle('heart', 'Heart', values.middleDeg),
      ...(values.spanDeg >= 360 ? [] : [handle('right', 'End', values.middleDeg + values.spanDeg / 2)]),
    ]
  },

  pull: (values, handle, { angleDeg, outMm }, stack): Crown => {
    const { least, most } = topRoom(tierOf(stack, values.tier), 0)
    if (handle === 'heart')
      return {
        ...values,
        middleDeg: turned(angleDeg),
        reach: most > least ? Math.round(within((outMm - least) / (most - least), 0, 1) * 100) / 100 : 0,
      }
    return { ...values, spanDeg: within(2 * Math.abs(turned(angleDeg - values.middleDeg)), 10, 360) }
  },
})
