import { z } from 'zod'
import { derive, typed } from '../../quantity'
import { defineShape, fromNearest, throughCircle } from './define'

const schema = z.strictObject({
  kind: z.literal('scalloped'),
  lobes: z.number().int().min(5).max(24).meta({ label: 'Lobes', kind: 'count' }),
  marksMm: z
    .number()
    .min(50)
    .max(600)
    .meta({ label: 'Across marks', kind: 'length', help: 'Circle through the valleys' }),
  cutterMm: z.number().min(8).max(600).meta({ label: 'Cutter', kind: 'length', help: 'Round, draws each lobe' }),
})

export type Scalloped = z.infer<typeof schema>

/** From one mark to the next, straight, mm: the narrowest cutter whose lobes meet. */
export const chordMm = ({ lobes, marksMm }: Pick<Scalloped, 'lobes' | 'marksMm'>): number =>
  marksMm * Math.sin(Math.PI / lobes)

/** Whether lobes drawn with the cutter reach from mark to mark. */
export const lobesMeet = (shape: Scalloped): boolean => shape.cutterMm >= chordMm(shape) - 0.05

/**
 * A lobe: radius, how far its middle lies from the tier's, and half the angle its arc turns through, radians. A cutter
 * too narrow is taken as wide as the chord, one wider than the circle as the circle.
 */
export function lobeOf(shape: Scalloped): {
  readonly radiusMm: number
  readonly middleMm: number
  readonly halfTurn: number
} {
  const half = chordMm(shape) / 2
  const radiusMm = Math.min(shape.marksMm / 2, Math.max(half, shape.cutterMm / 2))
  const middleMm =
    (shape.marksMm / 2) * Math.cos(Math.PI / shape.lobes) - Math.sqrt(Math.max(0, radiusMm ** 2 - half ** 2))
  return { radiusMm, middleMm, halfTurn: Math.asin(Math.min(1, half / radiusMm)) }
}

/**
 * Lobes all round, one to the front, each an arc from one mark on the circle to the next. Sections of a leaning side
 * are the same shape, smaller.
 */
export const scalloped = defineShape<typeof schema>({
  kind: 'scalloped',
  name: 'Scalloped',
  schema,
  starting: (acrossMm) => ({
    kind: 'scalloped',
    lobes: 12,
    marksMm: acrossMm,
    cutterMm: Math.round(chordMm({ lobes: 12, marksMm: acrossMm }) * 10) / 10 + 0.1,
  }),
  inset: (shape, insetMm) => {
    const scale = 1 - (2 * insetMm) / shape.marksMm
    return { ...shape, marksMm: shape.marksMm * scale, cutterMm: shape.cutterMm * scale }
  },
  perimeterMm: (shape) => {
    const { radiusMm, halfTurn } = lobeOf(shape)
    return shape.lobes * 2 * halfTurn * radiusMm
  },
  areaMm2: (shape) => {
    const { radiusMm, halfTurn } = lobeOf(shape)
    return (
      shape.lobes *
      ((shape.marksMm ** 2 * Math.sin((2 * Math.PI) / shape.lobes)) / 8 +
        (radiusMm ** 2 * (2 * halfTurn - Math.sin(2 * halfTurn))) / 2)
    )
  },
  reachMm: (shape, angleDeg) => {
    const { radiusMm, middleMm } = lobeOf(shape)
    return throughCircle(middleMm, fromNearest(angleDeg, shape.lobes), radiusMm)
  },
  cornersDeg: ({ lobes }) => Array.from({ length: lobes }, (_, valley) => ((valley + 0.5) * 360) / lobes),
  perimeterWords: {
    rule: 'round the lobes',
    formula: '{lobes} × {cutter} × arc from mark to mark over {chord}',
    inputs: (shape) => {
      const lobes = typed('lobes', shape.lobes, 'count', 'Tiers')
      return {
        lobes,
        cutter: typed('cutter', 2 * lobeOf(shape).radiusMm, 'length', 'Tiers'),
        chord: derive(
          'chord',
          'length',
          'from mark to mark',
          '{marks} × sin( 180° ÷ {lobes} )',
          { marks: typed('across marks', shape.marksMm, 'length', 'Tiers'), lobes },
          () => chordMm(shape),
        ),
      }
    },
  },
})
