import { fromFront } from '../geometry'
import type { z } from 'zod'
import { alongAt, edgeScale, type EdgeScale, type StandingTier } from '../cake'
import { derive, found, typed, type Working } from '../quantity'
import { seenAs, type CompositionKind, type Layout, type PlacedElement, type SeenSize } from '../technique'

/**
 * Part of a tier's side (along the foot from the front, and above the board) or of its top (to the right and to the
 * back of its middle): its middle, and half its extent.
 */
export type Patch = {
  readonly tier: number
  readonly on: 'side' | 'top'
  readonly middle: readonly [number, number]
  readonly half: readonly [number, number]
}

/**
 * What a composition works on: the cake, the size of its elements, what must stay free, how high anything may reach
 * above the board, and how many are wanted where their sizes were told one by one.
 */
export type Ground = {
  readonly stack: readonly StandingTier[]
  readonly seen: SeenSize
  readonly free: readonly Patch[]
  readonly mostTopMm: number | null
  readonly asked: number | null
}

/** How many were asked for: by their sizes, or by the composition; null where as many are placed as fill it. */
export const askedOf = (values: { readonly count: number | null }, { asked }: Pick<Ground, 'asked'>): number | null =>
  asked ?? values.count

/** How many are placed where some number fills the room: all of these, or those that were asked for and find place. */
export const placedOf = (filling: Working, asked: number | null): Working =>
  asked === null
    ? filling
    : derive(
        'elements',
        'count',
        'as many as were asked for',
        'of {asked}, at most {filling}',
        {
          asked: typed('how many', asked, 'count', 'Arrange'),
          filling: { ...filling, label: 'as many as fill it' },
        },
        (v) => Math.min(v.asked, v.filling),
      )

/** Elements with their sizes dealt out anew, so that none farther from the heart is larger than one nearer to it. */
export function largestAtHeart(elements: readonly PlacedElement[]): readonly PlacedElement[] {
  const sizes = elements.map(({ size }) => size).sort((one, other) => other - one)
  const outward = [...elements.keys()].sort((one, other) => elements[one]!.away - elements[other]!.away || one - other)
  const rank = new Map(outward.map((at, place) => [at, place]))
  return elements.map((element, at) => ({ ...element, size: sizes[rank.get(at)!]! }))
}

/**
 * A place on the cake that is pulled: on a side by angle and height above the board, on a top by angle and distance
 * from the tier's middle.
 */
export type Spot = {
  readonly tier: number
  readonly on: 'side' | 'top'
  readonly angleDeg: number
  readonly heightMm: number
  readonly outMm: number
}

/** A handle of a composition, where it is seen on the cake. */
export type Handle = Spot & { readonly id: string; readonly name: string }

/** Where a composition begins on a cake, for elements of a size. */
type Beginning = {
  readonly tiers: readonly { readonly heightMm: number }[]
  readonly seen: SeenSize
  readonly fillsRows: boolean
  /** From foot to top of its tier. */
  readonly wholeTier?: boolean | undefined
  readonly seed: number
}

/**
 * A way of arranging elements on the cake. To add one, write its file and list it in `index.ts`; its form, handles
 * and counts follow.
 */
export type Composition<Schema extends z.ZodObject, Kind extends CompositionKind = CompositionKind> = {
  readonly kind: Kind
  readonly name: string
  readonly say: string
  /** As many as are asked for, no guess. */
  readonly isCounted?: true
  readonly schema: Schema
  readonly starting: (beginning: Beginning) => z.infer<Schema>
  readonly layOut: (values: z.infer<Schema>, ground: Ground) => Layout
  /** The few handles that matter. */
  readonly handles: (values: z.infer<Schema>, stack: readonly StandingTier[]) => readonly Handle[]
  /** The same composition with a handle pulled to another place. */
  readonly pull: (values: z.infer<Schema>, handle: string, to: Spot, stack: readonly StandingTier[]) => z.infer<Schema>
}

export const defineComposition = <Schema extends z.ZodObject, const Kind extends CompositionKind>(
  composition: Composition<Schema, Kind>,
): Composition<Schema, Kind> => composition

/** The tier a composition names, or the topmost when the cake has fewer. */
export const tierOf = (stack: readonly StandingTier[], index: number): StandingTier =>
  stack[Math.min(index, stack.length - 1)]!

/** An angle between half a turn left and half a turn right, to a tenth of a degree. */
export const turned = (degrees: number): number => Math.round(fromFront(degrees) * 10) / 10

export const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value))

const RADIANS = Math.PI / 180

/** The part of the cake that an element covers. What runs round covers its span; the rest as much as is seen of it. */
export function patchOf(
  element: PlacedElement,
  seen: SeenSize,
  stack: readonly StandingTier[],
  scales: readonly EdgeScale[] = stack.map(edgeScale),
): Patch {
  const { tier: index, on, angleDeg, spanDeg, heightMm, outMm } = element
  const { widthMm: width, heightMm: height } = seenAs(element, seen)
  if (on === 'top')
    return {
      tier: index,
      on,
      middle: [outMm * Math.sin(angleDeg * RADIANS), -outMm * Math.cos(angleDeg * RADIANS)],
      half: [width / 2, width / 2],
    }
  const scale = scales[index]!
  const along = alongAt(scale, angleDeg)
  const half =
    spanDeg > 0 ? (alongAt(scale, angleDeg + spanDeg / 2) - alongAt(scale, angleDeg - spanDeg / 2)) / 2 : width / 2
  return { tier: index, on, middle: [along, heightMm + height / 2], half: [half, height / 2] }
}

/** Whether two parts of the cake overlap, going round it. */
export function overlap(one: Patch, other: Patch, stack: readonly StandingTier[]): boolean {
  if (one.tier !== other.tier || one.on !== other.on) return false
  const turn = stack[one.tier]!.perimeterMm
  const straight = one.middle[0] - other.middle[0]
  const round = one.on === 'top' ? Math.abs(straight) : Math.abs(straight - turn * Math.round(straight / turn))
  const touching = 1e-6
  return (
    round < one.half[0] + other.half[0] - touching &&
    Math.abs(one.middle[1] - other.middle[1]) < one.half[1] + other.half[1] - touching
  )
}

/**
 * Keeps what stands clear of places that stay free and no higher than the box allows; the count says how many found no
 * place.
 */
export function keepingFree({ elements, count }: Layout, { stack, seen, free, mostTopMm }: Ground): Layout {
  const scales = stack.map(edgeScale)
  const tooHigh = ({ heightMm, size }: PlacedElement): boolean =>
    mostTopMm !== null && heightMm + seen.heightMm * size > mostTopMm
  const crossing = (element: PlacedElement): boolean => {
    const patch = patchOf(element, seen, stack, scales)
    return free.some((other) => overlap(patch, other, stack))
  }
  const high = elements.filter(tooHigh).length
  const standing = elements.filter((element) => !tooHigh(element) && !crossing(element))
  const crossed = elements.length - high - standing.length
  if (standing.length === elements.length) return { elements, count }
  return {
    elements: standing,
    count: derive(
      'elements',
      'count',
      'places kept free',
      '{placed} − {crossed} − {high}',
      {
        placed: { ...count, label: 'by the composition' },
        crossed: found('crossing what stays free', crossed, 'count', 'counted on the cake'),
        high: found('higher than the box allows', high, 'count', 'counted on the cake'),
      },
      () => standing.length,
    ),
  }
}

/** Elements more or fewer: free work never repeats exactly. */
export const spreadOf = (count: Working): number => (count.value === 0 ? 0 : Math.max(1, Math.round(count.value * 0.1)))
