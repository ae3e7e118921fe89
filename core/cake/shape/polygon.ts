import { z } from 'zod'
import { typed } from '../../quantity'
import { defineShape, fromNearest, RADIANS, throughCircle } from './define'

const schema = z.strictObject({
  kind: z.literal('polygon'),
  sides: z.number().int().min(3).max(12).meta({ label: 'Sides', kind: 'count' }),
  acrossFlatsMm: z
    .number()
    .min(50)
    .max(600)
    .meta({ label: 'Across flats', kind: 'length', help: 'Twice from the middle to a face' }),
  cornerMm: z.number().min(0).max(100).meta({ label: 'Corner', kind: 'length', help: 'Radius; 0 is sharp' }),
})

type Polygon = z.infer<typeof schema>

const cornerOf = ({ acrossFlatsMm, cornerMm }: Polygon): number => Math.max(0, Math.min(cornerMm, acrossFlatsMm / 2))
/** Half the straight part of a face. */
const halfFace = (shape: Polygon): number =>
  (shape.acrossFlatsMm / 2 - cornerOf(shape)) * Math.tan(Math.PI / shape.sides)

/** A regular polygon with a face to the front. */
export const polygon = defineShape<typeof schema>({
  kind: 'polygon',
  name: 'Polygon',
  schema,
  starting: (acrossMm) => ({ kind: 'polygon', sides: 6, acrossFlatsMm: acrossMm, cornerMm: 4 }),
  inset: (shape, insetMm) => ({
    ...shape,
    acrossFlatsMm: shape.acrossFlatsMm - 2 * insetMm,
    cornerMm: Math.max(0, cornerOf(shape) - insetMm),
  }),
  perimeterMm: (shape) => 2 * shape.sides * halfFace(shape) + 2 * Math.PI * cornerOf(shape),
  areaMm2: (shape) => {
    const corner = cornerOf(shape)
    const inner = shape.acrossFlatsMm / 2 - corner
    return shape.sides * halfFace(shape) * (inner + 2 * corner) + Math.PI * corner ** 2
  },
  reachMm: (shape, angleDeg) => {
    const away = fromNearest(angleDeg, shape.sides)
    const inradius = shape.acrossFlatsMm / 2
    if (inradius * Math.tan(away) <= halfFace(shape)) return inradius / Math.cos(away)
    const half = Math.PI / shape.sides
    return throughCircle((inradius - cornerOf(shape)) / Math.cos(half), half - away, cornerOf(shape))
  },
  cornersDeg: (shape) => {
    const end = Math.atan2(halfFace(shape), shape.acrossFlatsMm / 2) / RADIANS
    return Array.from({ length: shape.sides }, (_, face) => (face * 360) / shape.sides).flatMap((facing) => [
      facing - end,
      facing + end,
    ])
  },
  perimeterWords: {
    rule: 'round a regular polygon with rounded corners',
    formula: '{sides} × ( {acrossFlats} − 2 × {corner} ) × tan( 180° ÷ {sides} ) + 2π × {corner}',
    inputs: (shape) => ({
      sides: typed('sides', shape.sides, 'count', 'Tiers'),
      acrossFlats: typed('across flats', shape.acrossFlatsMm, 'length', 'Tiers'),
      corner: typed('corner radius', cornerOf(shape), 'length', 'Tiers'),
    }),
  },
})
