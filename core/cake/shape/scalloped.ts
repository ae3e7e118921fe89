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
    .meta({ label: 'Across marks', kind: 'length', help: 'Circle of the core, as wide as its tin' }),
  cutterMm: z.number().min(8).max(600).meta({ label: 'Cutter', kind: 'length', help: 'Round, draws each lobe' }),
})

export type Scalloped = z.infer<typeof schema>

/** From one mark to the next, straight, mm: the narrowest cutter whose lobes meet. */
export const chordMm = ({ lobes, marksMm }: Pick<Scalloped, 'lobes' | 'marksMm'>): number =>
  marksMm * Math.sin(Math.PI / lobes)

/** Whether lobes drawn with the cutter reach from mark to mark. */
export const lobesMeet = (shape: Scalloped): boolean => shape.cutterMm >= chordMm(shape) - 0.05

/** A lobe, and how far the valley beside it lies from the tier's middle, mm; half the angle its arc turns, radians. */
type Lobe = {
  readonly radiusMm: number
  readonly middleMm: number
  readonly valleyMm: number
  readonly halfTurn: number
}

/**
 * A lobe as it is drawn: the cutter is set half way between two marks, so that one a little wider than the chord meets
 * its neighbour a little further out, and the way round hardly changes. A cutter too narrow is taken as wide as the
 * chord, one wider than the circle as the circle.
 *
 * By hand: 12 lobes on a circle of 240 mm: from mark to mark 240 × sin 15° = 62.1 mm; with that cutter each lobe is half a
 * circle, 12 × π × 31.06 = 1171 mm round; with one 0.2 mm wider 1166 mm, less by 0.5 %.
 */
export function lobeOf(shape: Scalloped): Lobe {
  const spread = Math.PI / shape.lobes
  const radiusMm = Math.min(shape.marksMm / 2, Math.max(chordMm(shape) / 2, shape.cutterMm / 2))
  const middleMm = (shape.marksMm / 2) * Math.cos(spread)
  const valleyMm = throughCircle(middleMm, spread, radiusMm)
  // Never more than half a circle: where the cutter just meets it is one.
  const halfTurn = Math.atan2(valleyMm * Math.sin(spread), Math.max(0, valleyMm * Math.cos(spread) - middleMm))
  return { radiusMm, middleMm, valleyMm, halfTurn }
}

/** Over the lobes, from tip to tip across the middle, mm. */
export const overLobesMm = (shape: Scalloped): number => 2 * (lobeOf(shape).middleMm + lobeOf(shape).radiusMm)

/** The same lobes on a circle of marks such that they are so wide over all, with a cutter that just meets. */
export function overLobes(shape: Scalloped, acrossMm: number): Scalloped {
  const spread = Math.PI / shape.lobes
  const marksMm = acrossMm / (Math.cos(spread) + Math.sin(spread))
  const cutterMm = Math.ceil(10 * chordMm({ lobes: shape.lobes, marksMm })) / 10
  return { ...shape, marksMm: Math.round(marksMm * 10) / 10, cutterMm }
}

/**
 * Lobes all round, one to the front, each an arc from valley to valley. Sections of a leaning side
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
    const { radiusMm, valleyMm, halfTurn } = lobeOf(shape)
    return (
      shape.lobes *
      ((valleyMm ** 2 * Math.sin((2 * Math.PI) / shape.lobes)) / 2 +
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
