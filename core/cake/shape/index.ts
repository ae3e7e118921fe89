import { z } from 'zod'
import { derive, type Working } from '../../quantity'
import { RADIANS, type ShapeDefinition } from './define'
import { oval } from './oval'
import { polygon } from './polygon'
import { rectangle, square } from './rectangle'
import { round } from './round'
import { scalloped } from './scalloped'

export { chordMm, lobeOf, lobesMeet, overLobes, overLobesMm, type Scalloped } from './scalloped'

/** Every kind of shape. To add one: write its file, list it here. */
export const SHAPES = [round, square, rectangle, polygon, oval, scalloped] as const

export const shapeSchema = z.discriminatedUnion('kind', [
  round.schema,
  square.schema,
  rectangle.schema,
  polygon.schema,
  oval.schema,
  scalloped.schema,
])

export type Shape = z.infer<typeof shapeSchema>
export type ShapeKind = Shape['kind']

type AnyDefinition = ShapeDefinition<(typeof SHAPES)[number]['schema'], Shape>

/** The definition of a kind. @throws for a kind that is not listed: files are checked before they come this far */
export function definitionOf(kind: ShapeKind): AnyDefinition {
  const found = SHAPES.find((each) => each.kind === kind)
  if (!found) throw new Error(`Expected a shape of ${SHAPES.map((each) => each.kind).join(', ')}, got ${kind}.`)
  return found as unknown as AnyDefinition
}

/** A round of so much across. */
export const roundShape = (acrossMm: number): Shape => round.starting(acrossMm)

/** The same shape, wider by a margin all round, mm. */
export const widened = (shape: Shape, marginMm: number): Shape => insetShape(shape, -marginMm)

export const insetShape = (shape: Shape, insetMm: number): Shape =>
  insetMm === 0 ? shape : definitionOf(shape.kind).inset(shape, insetMm)
export const perimeterMm = (shape: Shape): number => definitionOf(shape.kind).perimeterMm(shape)
export const areaMm2 = (shape: Shape): number => definitionOf(shape.kind).areaMm2(shape)
export const reachMm = (shape: Shape, angleDeg: number): number => definitionOf(shape.kind).reachMm(shape, angleDeg)

/** The perimeter with its working. */
export function perimeterOf(shape: Shape): Working {
  const { rule, formula, inputs } = definitionOf(shape.kind).perimeterWords
  return derive('perimeter', 'length', rule, formula, inputs(shape), () => perimeterMm(shape))
}

const evenOf = new Map<number, readonly number[]>()
/** Angles all round in so many steps; asked for the same few numbers of steps again and again. */
function evenAngles(steps: number): readonly number[] {
  const known = evenOf.get(steps)
  if (known) return known
  const angles = Array.from({ length: steps }, (_, step) => (step * 360) / steps)
  evenOf.set(steps, angles)
  return angles
}

/** Angles that draw a shape truly: evenly spread, and every corner. Degrees from 0, rising, below 360. */
export function outlineAngles(shape: Shape, steps: number): readonly number[] {
  const even = evenAngles(steps)
  const corners = definitionOf(shape.kind)
    .cornersDeg(shape)
    .map((angle) => ((angle % 360) + 360) % 360)
    .sort((one, other) => one - other)
  if (corners.length === 0) return even
  // Both rise; looking for where each corner belongs is much quicker than sorting all anew, and this is asked often.
  const rising: number[] = []
  let next = 0
  for (const angle of [...even, Infinity]) {
    for (; next < corners.length && corners[next]! <= angle; next += 1)
      if (corners[next] !== angle && corners[next] !== rising.at(-1)) rising.push(corners[next]!)
    if (angle < Infinity) rising.push(angle)
  }
  return rising
}

/** Which way the edge faces at an angle, degrees; at a corner the direction between its faces. */
export function facingDeg(shape: Shape, angleDeg: number): number {
  const nudge = 0.02
  const growth = (reachMm(shape, angleDeg + nudge) - reachMm(shape, angleDeg - nudge)) / (2 * nudge * RADIANS)
  return angleDeg - Math.atan2(growth, reachMm(shape, angleDeg)) / RADIANS
}

/** Half the size of the shape sideways and front to back, mm, when turned by an angle. */
export function extentMm(shape: Shape, turnDeg = 0): { readonly sideways: number; readonly frontBack: number } {
  let [sideways, frontBack] = [0, 0]
  for (const angle of outlineAngles(shape, 360)) {
    const reach = reachMm(shape, angle)
    sideways = Math.max(sideways, Math.abs(reach * Math.sin((angle + turnDeg) * RADIANS)))
    frontBack = Math.max(frontBack, Math.abs(reach * Math.cos((angle + turnDeg) * RADIANS)))
  }
  return { sideways, frontBack }
}

/** The smallest distance from middle to edge, mm. */
export const leastReachMm = (shape: Shape): number =>
  outlineAngles(shape, 360).reduce((least, angle) => Math.min(least, reachMm(shape, angle)), Infinity)
