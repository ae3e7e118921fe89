import { z } from 'zod'
import { typed } from '../../quantity'
import { defineShape, RADIANS } from './define'

const schema = z.strictObject({
  kind: z.literal('oval'),
  widthMm: z.number().min(50).max(600).meta({ label: 'Wide', kind: 'length' }),
  depthMm: z.number().min(50).max(600).meta({ label: 'Deep', kind: 'length' }),
})

/**
 * Perimeter of an ellipse by the arithmetic-geometric mean, exact to rounding. @see Gauss's formula for the complete
 * elliptic integral of the second kind
 */
function ellipsePerimeterMm(halfWidth: number, halfDepth: number): number {
  let [longer, shorter] = [Math.max(halfWidth, halfDepth), Math.min(halfWidth, halfDepth)]
  let squares = longer ** 2 - (longer ** 2 - shorter ** 2) / 2
  for (let power = 1; longer - shorter > longer * 1e-14 && power < 2 ** 12; power *= 2) {
    const half = (longer - shorter) / 2
    squares -= power * half ** 2
    ;[longer, shorter] = [(longer + shorter) / 2, Math.sqrt(longer * shorter)]
  }
  return (2 * Math.PI * squares) / longer
}

export const oval = defineShape<typeof schema>({
  kind: 'oval',
  name: 'Oval',
  schema,
  starting: (acrossMm) => ({ kind: 'oval', widthMm: acrossMm, depthMm: Math.round(acrossMm * 0.75) }),
  inset: (shape, insetMm) => ({ ...shape, widthMm: shape.widthMm - 2 * insetMm, depthMm: shape.depthMm - 2 * insetMm }),
  perimeterMm: ({ widthMm, depthMm }) => ellipsePerimeterMm(widthMm / 2, depthMm / 2),
  areaMm2: ({ widthMm, depthMm }) => (Math.PI * widthMm * depthMm) / 4,
  reachMm: ({ widthMm, depthMm }, angleDeg) =>
    1 / Math.hypot((2 * Math.sin(angleDeg * RADIANS)) / widthMm, (2 * Math.cos(angleDeg * RADIANS)) / depthMm),
  cornersDeg: () => [],
  perimeterWords: {
    rule: 'round an ellipse, by the arithmetic-geometric mean',
    formula: 'perimeter of an ellipse {wide} by {deep}',
    inputs: ({ widthMm, depthMm }) => ({
      wide: typed('wide', widthMm, 'length', 'Tiers'),
      deep: typed('deep', depthMm, 'length', 'Tiers'),
    }),
  },
})
