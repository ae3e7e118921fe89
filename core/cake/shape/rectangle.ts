import { z } from 'zod'
import { typed } from '../../quantity'
import { defineShape, RADIANS, throughCircle } from './define'

const cornerMm = z.number().min(0).max(200).meta({ label: 'Corner', kind: 'length', help: 'Radius; 0 is sharp' })

const rectangleSchema = z.strictObject({
  kind: z.literal('rectangle'),
  widthMm: z.number().min(50).max(800).meta({ label: 'Wide', kind: 'length' }),
  depthMm: z.number().min(50).max(800).meta({ label: 'Deep', kind: 'length' }),
  cornerMm,
})

const squareSchema = z.strictObject({
  kind: z.literal('square'),
  sideMm: z.number().min(50).max(600).meta({ label: 'Side', kind: 'length' }),
  cornerMm,
})

type Sides = { readonly widthMm: number; readonly depthMm: number; readonly cornerMm: number }

/** A corner cannot be rounder than half the shorter side. */
const cornerOf = ({ widthMm, depthMm, cornerMm: asked }: Sides): number =>
  Math.max(0, Math.min(asked, widthMm / 2, depthMm / 2))

const perimeterMm = (sides: Sides): number => 2 * (sides.widthMm + sides.depthMm) - (8 - 2 * Math.PI) * cornerOf(sides)
const areaMm2 = (sides: Sides): number => sides.widthMm * sides.depthMm - (4 - Math.PI) * cornerOf(sides) ** 2

function reachMm(sides: Sides, angleDeg: number): number {
  const corner = cornerOf(sides)
  const [halfWidth, halfDepth] = [sides.widthMm / 2, sides.depthMm / 2]
  const [sideways, forward] = [Math.abs(Math.sin(angleDeg * RADIANS)), Math.abs(Math.cos(angleDeg * RADIANS))]
  const straight = Math.min(
    sideways > 0 ? halfWidth / sideways : Infinity,
    forward > 0 ? halfDepth / forward : Infinity,
  )
  const [middleX, middleY] = [halfWidth - corner, halfDepth - corner]
  if (straight * sideways <= middleX || straight * forward <= middleY) return straight
  return throughCircle(
    Math.hypot(middleX, middleY),
    Math.atan2(sideways, forward) - Math.atan2(middleX, middleY),
    corner,
  )
}

/** Both ends of each rounding, and its middle. */
function cornersDeg(sides: Sides): readonly number[] {
  const corner = cornerOf(sides)
  const [halfWidth, halfDepth] = [sides.widthMm / 2, sides.depthMm / 2]
  const quarter = [
    [halfWidth - corner, halfDepth],
    [halfWidth, halfDepth - corner],
  ].map(([x, y]) => Math.atan2(x!, y!) / RADIANS)
  return quarter.flatMap((angle) => [angle, 180 - angle, 180 + angle, 360 - angle])
}

const corner = (shape: Sides) => typed('corner radius', cornerOf(shape), 'length', 'Tiers')

/** Corners begin a little rounded: less on a little cake. */
const startingCorner = (acrossMm: number): number => Math.min(8, Math.round(acrossMm * 0.04))

export const rectangle = defineShape<typeof rectangleSchema>({
  kind: 'rectangle',
  name: 'Rectangle',
  schema: rectangleSchema,
  starting: (acrossMm) => ({
    kind: 'rectangle',
    widthMm: acrossMm,
    depthMm: Math.round(acrossMm * 0.7),
    cornerMm: startingCorner(acrossMm),
  }),
  inset: (shape, insetMm) => ({
    ...shape,
    widthMm: shape.widthMm - 2 * insetMm,
    depthMm: shape.depthMm - 2 * insetMm,
    cornerMm: Math.max(0, cornerOf(shape) - insetMm),
  }),
  perimeterMm,
  areaMm2,
  reachMm,
  cornersDeg,
  perimeterWords: {
    rule: 'round a rectangle with rounded corners',
    formula: '2 × ( {wide} + {deep} ) − ( 8 − 2π ) × {corner}',
    inputs: (shape) => ({
      wide: typed('wide', shape.widthMm, 'length', 'Tiers'),
      deep: typed('deep', shape.depthMm, 'length', 'Tiers'),
      corner: corner(shape),
    }),
  },
})

type Square = z.infer<typeof squareSchema>
const sidesOf = (square: Square): Sides => ({
  widthMm: square.sideMm,
  depthMm: square.sideMm,
  cornerMm: square.cornerMm,
})

export const square = defineShape<typeof squareSchema>({
  kind: 'square',
  name: 'Square',
  schema: squareSchema,
  starting: (acrossMm) => ({ kind: 'square', sideMm: acrossMm, cornerMm: startingCorner(acrossMm) }),
  inset: (shape, insetMm) => ({
    ...shape,
    sideMm: shape.sideMm - 2 * insetMm,
    cornerMm: Math.max(0, cornerOf(sidesOf(shape)) - insetMm),
  }),
  perimeterMm: (shape) => perimeterMm(sidesOf(shape)),
  areaMm2: (shape) => areaMm2(sidesOf(shape)),
  reachMm: (shape, angleDeg) => reachMm(sidesOf(shape), angleDeg),
  cornersDeg: (shape) => cornersDeg(sidesOf(shape)),
  perimeterWords: {
    rule: 'round a square with rounded corners',
    formula: '4 × {side} − ( 8 − 2π ) × {corner}',
    inputs: (shape) => ({ side: typed('side', shape.sideMm, 'length', 'Tiers'), corner: corner(sidesOf(shape)) }),
  },
})
