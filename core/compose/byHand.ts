/**
 * What was changed by hand on single elements: put elsewhere and kept there, added, taken out. It outlives every edit
 * of the composition.
 */
import { z } from 'zod'
import { leastReach, type StandingTier } from '../cake'
import { derive, found } from '../quantity'
import { PORTIONS, type Layout, type PlacedElement } from '../technique'
import { tierOf, within } from './define'

/** Elements put on by hand are numbered from here on; below it are the composition's own. */
export const FIRST_ADDED = 1000
const MOST = 300

const putSchema = z.strictObject({
  index: z
    .number()
    .int()
    .min(0)
    .max(FIRST_ADDED + 9999),
  tier: z.number().int().min(0).max(7),
  on: z.enum(['side', 'top']),
  angleDeg: z.number().min(-720).max(720),
  /** Above the tier's foot, so that it keeps its place when tiers below change. */
  upMm: z.number().min(0).max(400),
  outMm: z.number().min(0).max(400),
  spanDeg: z.number().min(0).max(360),
  size: z.number().min(0.2).max(2),
  rollDeg: z.number().min(-180).max(180),
  row: z.number().int().min(0).max(100),
  away: z.number().min(0).max(1),
  mirrored: z.boolean(),
  seed: z.number().int(),
  /** The portion of a disc it is told to be; none where its technique decides. */
  cut: z.strictObject({ portion: z.enum(PORTIONS), discMm: z.number().min(40).max(1200) }).nullable(),
})

export const byHandSchema = z.strictObject({
  put: z.array(putSchema).max(MOST),
  out: z.array(z.number().int().min(0)).max(MOST),
})

export type ByHand = z.infer<typeof byHandSchema>
type Put = ByHand['put'][number]

/** Nothing changed by hand. A fresh one each time: drafts are changed in place. */
export const untouched = (): ByHand => ({ put: [], out: [] })

/** An element where it was put, as far as the cake still reaches there. */
export function standing({ upMm, ...put }: Put, stack: readonly StandingTier[]): PlacedElement {
  const tier = tierOf(stack, put.tier)
  const heightMm = put.on === 'top' ? tier.topMm : tier.footMm + within(upMm, 0, tier.topMm - tier.footMm - 1)
  return {
    ...put,
    cut: put.cut ?? undefined,
    tier: tier.index,
    heightMm,
    outMm: put.on === 'top' ? Math.min(put.outMm, leastReach(tier)) : 0,
  }
}

/**
 * A layout with the changes made by hand: pinned elements stand where they were put even when the composition would
 * have fewer.
 */
export function withByHand(layout: Layout, { put, out }: ByHand, stack: readonly StandingTier[]): Layout {
  if (put.length === 0 && out.length === 0) return layout
  const held = new Map(put.map((each) => [each.index, each]))
  const gone = new Set(out)
  const own = layout.elements.filter(({ index }) => !gone.has(index) && !held.has(index))
  const pinned = put.filter(({ index }) => index < FIRST_ADDED)
  const added = put.length - pinned.length
  const kept = pinned.filter(({ index }) => !layout.elements.some((element) => element.index === index)).length
  const removed = layout.elements.filter(({ index }) => gone.has(index) && !held.has(index)).length
  const elements = [...own, ...put.map((each) => standing(each, stack))].sort((one, other) => one.index - other.index)
  const count = derive(
    'elements',
    'count',
    'changed by hand',
    '{composed} − {out} + {added} + {kept}',
    {
      composed: { ...layout.count, label: 'by the composition' },
      out: found('taken out', removed, 'count', 'by hand'),
      added: found('put on', added, 'count', 'by hand'),
      kept: found('pinned beyond the composition', kept, 'count', 'by hand'),
    },
    () => elements.length,
  )
  return { elements, count }
}

const round = (value: number, digits = 1): number => Math.round(value * 10 ** digits) / 10 ** digits

/** An element as it is put where it stands now, or elsewhere on the cake. */
export function pinned(
  element: PlacedElement,
  stack: readonly StandingTier[],
  change: Partial<
    Pick<
      PlacedElement,
      'tier' | 'on' | 'angleDeg' | 'heightMm' | 'outMm' | 'size' | 'rollDeg' | 'index' | 'seed' | 'cut'
    >
  > = {},
): Put {
  const { heightMm, fitted: _, face: __, pose: ___, cut, ...rest } = { ...element, ...change }
  const tier = tierOf(stack, rest.tier)
  return {
    ...rest,
    tier: tier.index,
    angleDeg: round(within(rest.angleDeg, -720, 720)),
    outMm: round(rest.outMm),
    size: round(within(rest.size, 0.2, 2), 2),
    rollDeg: round(within(rest.rollDeg, -180, 180)),
    away: round(rest.away, 3),
    spanDeg: round(rest.spanDeg, 3),
    cut: cut ?? null,
    upMm: round(within(heightMm - tier.footMm, 0, 400)),
  }
}

/** The changes with an element put, in place of what was put of it before. */
export const putting = ({ put, out }: ByHand, next: Put): ByHand => ({
  put: [...put.filter(({ index }) => index !== next.index), next],
  out: out.filter((index) => index !== next.index),
})

/**
 * The changes with an element taken out: one that was added is gone, one of the composition's leaves its place free.
 */
export const takingOut = ({ put, out }: ByHand, index: number): ByHand => ({
  put: put.filter((each) => each.index !== index),
  out: index >= FIRST_ADDED ? out : [...out.filter((each) => each !== index), index],
})

/** The changes with an element given back to the composition. */
export const unpinning = ({ put, out }: ByHand, index: number): ByHand => ({
  put: put.filter((each) => each.index !== index),
  out: out.filter((each) => each !== index),
})

/** The number for the next element that is added. */
export const nextAdded = ({ put }: ByHand): number =>
  put.reduce((most, { index }) => Math.max(most, index + 1), FIRST_ADDED)
