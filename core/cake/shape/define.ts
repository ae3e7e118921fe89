import type { z } from 'zod'
import type { Working } from '../../quantity'

type ShapeSchema = z.ZodType<{ readonly kind: string }>

/**
 * A kind of tier seen from above. Angles are degrees round its own middle, 0 at the front, positive to the viewer's
 * right.
 * Every kind is star-shaped: a ray from the middle crosses the edge once.
 */
export type ShapeDefinition<Schema extends ShapeSchema, Shape = z.infer<Schema>> = {
  readonly kind: z.infer<Schema>['kind']
  readonly name: string
  readonly schema: Schema
  /** A shape of this kind that is about so wide. */
  readonly starting: (acrossMm: number) => Shape
  /** The section that lies a distance inside this one, mm; outside when negative. */
  readonly inset: (shape: Shape, insetMm: number) => Shape
  readonly perimeterMm: (shape: Shape) => number
  readonly areaMm2: (shape: Shape) => number
  /** From the middle to the edge at an angle, mm. */
  readonly reachMm: (shape: Shape, angleDeg: number) => number
  /** Angles at which the edge changes its course, so that a line drawn through points misses no corner. */
  readonly cornersDeg: (shape: Shape) => readonly number[]
  /** How the perimeter comes about, for its working. */
  readonly perimeterWords: {
    readonly rule: string
    readonly formula: string
    readonly inputs: (shape: Shape) => Readonly<Record<string, Working>>
  }
}

/** Declares a kind of shape. */
export const defineShape = <Schema extends ShapeSchema>(definition: ShapeDefinition<Schema>): ShapeDefinition<Schema> =>
  definition

export const RADIANS = Math.PI / 180

/** Angle from the nearest of evenly spread directions, the first at the front, radians from 0 to half their spacing. */
export function fromNearest(angleDeg: number, directions: number): number {
  const spacing = 360 / directions
  const turned = ((angleDeg % spacing) + spacing) % spacing
  return Math.min(turned, spacing - turned) * RADIANS
}

/**
 * How far a ray runs until it leaves a circle whose middle lies a distance away at an angle (radians) from the ray;
 * the farther crossing.
 */
export const throughCircle = (distanceMm: number, angle: number, radiusMm: number): number =>
  distanceMm * Math.cos(angle) + Math.sqrt(Math.max(0, radiusMm ** 2 - (distanceMm * Math.sin(angle)) ** 2))
