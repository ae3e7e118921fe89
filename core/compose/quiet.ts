/** What a decoration leaves free: other decorations, seams, the back, places the user keeps quiet. */
import { z } from 'zod'
import { alongAt, edgeScale, type StandingTier } from '../cake'
import type { PlacedElement, SeenSize } from '../technique'
import { patchOf, type Patch } from './define'
import { fields } from './fields'

export const quietSchema = z.strictObject({
  others: z.boolean().meta({ label: 'Keeps off what stands there already' }),
  seams: z.boolean().meta({ label: 'Keeps off seams' }),
  back: z.boolean().meta({ label: 'Leaves the back bare' }),
  places: z
    .array(
      z.strictObject({
        middleDeg: fields.middleDeg,
        spanDeg: z.number().min(5).max(300).meta({ label: 'Quiet over', kind: 'angle' }),
      }),
    )
    .max(4),
})

export type Quiet = z.infer<typeof quietSchema>

/** The back third is not seen from where guests stand; a covering's seam runs down its middle. */
const BACK_DEG = 120
const SEAM_MM = 16

/** A strip of every tier's side from foot to top, round an angle. */
const stripsAt = (
  stack: readonly StandingTier[],
  middleDeg: number,
  halfOf: (tier: StandingTier) => number,
): readonly Patch[] =>
  stack.map((tier): Patch => ({
    tier: tier.index,
    on: 'side',
    middle: [alongAt(edgeScale(tier), middleDeg), (tier.footMm + tier.topMm) / 2],
    half: [halfOf(tier), (tier.topMm - tier.footMm) / 2],
  }))

const overAngle = (stack: readonly StandingTier[], middleDeg: number, spanDeg: number): readonly Patch[] =>
  stripsAt(stack, middleDeg, (tier) => {
    const scale = edgeScale(tier)
    return (alongAt(scale, middleDeg + spanDeg / 2) - alongAt(scale, middleDeg - spanDeg / 2)) / 2
  })

/** Seams of panels that lie round a tier: where one ends and the next begins. */
const jointsOf = (panels: readonly PlacedElement[], seen: SeenSize, stack: readonly StandingTier[]): readonly Patch[] =>
  panels
    .filter(({ spanDeg }) => spanDeg > 0)
    .map((panel) => {
      const { tier, on, middle, half } = patchOf(panel, seen, stack)
      return { tier, on, middle: [middle[0] + half[0], middle[1]], half: [SEAM_MM / 2, half[1]] }
    })

/** Elements that stand already, as those that come later see them: a skin is ground for them, its seams aside. */
export type Standing = {
  readonly elements: readonly PlacedElement[]
  readonly seen: SeenSize
  readonly isSkin: boolean
}

/** All that must stay free for a decoration. */
export function freePatches(
  quiet: Quiet,
  earlier: readonly Standing[],
  stack: readonly StandingTier[],
): readonly Patch[] {
  const scales = stack.map(edgeScale)
  return [
    ...(quiet.others
      ? earlier
          .filter(({ isSkin }) => !isSkin)
          .flatMap(({ elements, seen }) => elements.map((element) => patchOf(element, seen, stack, scales)))
      : []),
    ...(quiet.seams
      ? [
          ...stripsAt(stack, 180, () => SEAM_MM / 2),
          ...earlier.filter(({ isSkin }) => isSkin).flatMap(({ elements, seen }) => jointsOf(elements, seen, stack)),
        ]
      : []),
    ...(quiet.back ? overAngle(stack, 180, BACK_DEG) : []),
    ...quiet.places.flatMap(({ middleDeg, spanDeg }) => overAngle(stack, middleDeg, spanDeg)),
  ]
}
