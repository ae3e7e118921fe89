/** Accents that follow a composition: counted by its elements, denser at its heart, thinning outwards. */
import { z } from 'zod'
import { firstPile, type StandingTier } from '../cake'
import { between, derive, found, seededStream, seedFor, typed } from '../quantity'
import { frameOf, type Layout, type Mesh, type PlacedElement, type Wall, type SeenSize } from '../technique'
import { ACCENTS } from './kinds'
import type { Accent } from './define'

export type AccentId = (typeof ACCENTS)[number]['id']

const accentIds = ACCENTS.map(({ id }) => id) as [AccentId, ...AccentId[]]

/** @throws for an id that no accent has: files are checked before they come this far */
export function accentOf(id: AccentId): Accent<AccentId> {
  const kind = ACCENTS.find((each) => each.id === id)
  if (!kind) throw new Error(`Expected an accent of ${accentIds.join(', ')}, got ${id}.`)
  return kind
}

export const accentSchema = z.strictObject({
  id: z.string().min(1).max(60),
  accent: z.enum(accentIds).meta({ label: 'Accent' }),
  follows: z.string().min(1).max(60).meta({ label: 'Goes with' }),
  sizeMm: z.number().min(1).max(160).meta({ label: 'Size', kind: 'length' }),
  perElement: z.number().min(0.1).max(12).meta({ label: 'For each element', kind: 'ratio' }),
  thinning: z.number().min(0).max(1).meta({ label: 'Thins outwards', kind: 'share', help: '0 is evenly' }),
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i, 'A colour such as #c9a24b is expected.')
    .meta({ label: 'Colour' }),
  edible: z.boolean().meta({ label: 'Eaten' }),
  seed: z.number().int().min(0).max(999999),
})

export type FollowingAccent = z.infer<typeof accentSchema>

/** An accent to begin with. A topper stands alone. */
export function startingAccent(id: string, accent: AccentId, follows: string): FollowingAccent {
  const { startingSizeMm, startingColour, usuallyEaten } = accentOf(accent)
  return {
    id,
    accent,
    follows,
    sizeMm: startingSizeMm,
    perElement: accent === 'shard' ? 0.5 : 2,
    thinning: 0.7,
    colour: startingColour,
    edible: usuallyEaten,
    seed: 5,
  }
}

/** What accents gather round: an element and how large it is seen. */
export type Anchor = { readonly element: PlacedElement; readonly seen: SeenSize }

/** A topper stands once, in the middle of the uppermost top. */
function topperPlace(stack: readonly StandingTier[], seed: number): Layout {
  return {
    count: found('toppers', 1, 'count', 'it stands alone'),
    elements: [
      {
        index: 0,
        tier: firstPile(stack).length - 1,
        on: 'top',
        angleDeg: 0,
        spanDeg: 0,
        heightMm: firstPile(stack).at(-1)!.topMm,
        outMm: 0,
        size: 1,
        rollDeg: 0,
        row: 0,
        away: 0,
        mirrored: false,
        seed,
      },
    ],
  }
}

/** Where accents lie: each beside an element, the nearer the heart the likelier; none off the side that carries it. */
export function followed(accent: FollowingAccent, anchors: readonly Anchor[], stack: readonly StandingTier[]): Layout {
  if (accent.accent === 'topper') return topperPlace(stack, accent.seed)
  const count = derive(
    accentOf(accent.accent).many,
    'count',
    'accents for each element',
    'round( {elements} × {each} )',
    {
      elements: found('elements followed', anchors.length, 'count', 'of its composition'),
      each: typed('for each element', accent.perElement, 'ratio', 'Arrange'),
    },
    (v) => Math.round(v.elements * v.each),
  )
  const weights = anchors.map(({ element }) => Math.max(0.02, 1 - accent.thinning * element.away))
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const elements = Array.from({ length: count.value }, (_, index): PlacedElement => {
    const seed = seedFor(accent.seed, index)
    const stream = seededStream(seed)
    let left = between(stream, 0, total)
    const at = weights.findIndex((weight) => (left -= weight) <= 0)
    const { element, seen } = anchors[at === -1 ? anchors.length - 1 : at]!
    const tier = stack[element.tier]!
    const [across, up] = [
      seen.widthMm * element.size * between(stream, -0.6, 0.6),
      seen.heightMm * element.size * between(stream, -0.15, 0.3),
    ]
    const angleDeg =
      element.angleDeg +
      ((across / Math.max(20, element.on === 'top' ? element.outMm : tier.perimeterMm / 2 / Math.PI)) * 180) / Math.PI
    return {
      ...element,
      index,
      spanDeg: 0,
      row: 0,
      rollDeg: 0,
      size: 1,
      mirrored: false,
      seed,
      angleDeg,
      heightMm:
        element.on === 'top'
          ? element.heightMm
          : Math.min(tier.topMm - accent.sizeMm, Math.max(tier.footMm, element.heightMm + up)),
      outMm:
        element.on === 'top'
          ? Math.max(0, element.outMm + between(stream, -0.4, 0.4) * seen.widthMm * element.size)
          : 0,
    }
  })
  return { elements, count }
}

/** An accent as the stand draws it. */
export const accentMesh = ({ accent, sizeMm, colour }: FollowingAccent, element: PlacedElement, wall: Wall): Mesh =>
  accentOf(accent).draw(sizeMm, colour, frameOf(element, wall), seededStream(element.seed))
