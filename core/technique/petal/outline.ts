import { z } from 'zod'
import { polyline, type Outline, type Point } from '../../geometry'

/** How a petal is cut: all shares, so that one shape serves every size. */
export const petalFields = {
  wide: z.number().min(0.2).max(1.6).meta({ label: 'Petal wide', kind: 'share', help: 'Of its length' }),
  shoulder: z.number().min(0.25).max(0.85).meta({ label: 'Widest at', kind: 'share', help: 'Up from the foot' }),
  point: z.number().min(0).max(1).meta({ label: 'Pointed', kind: 'share', help: '0 is round' }),
  notch: z.number().min(0).max(0.4).meta({ label: 'Notch', kind: 'share', help: 'Cut into the tip' }),
  wave: z.number().min(0).max(1).meta({ label: 'Waved edge', kind: 'share' }),
}

export const petalSchema = z.strictObject(petalFields)

export type PetalShape = z.infer<typeof petalSchema>

export const PETAL_FIELDS = Object.keys(petalFields) as readonly (keyof PetalShape)[]

/** Whether parameters of a technique shape a petal. */
export const isPetalShape = (parameters: object): parameters is PetalShape =>
  PETAL_FIELDS.every((field) => field in parameters)

/** Shapes to begin with, by the words botanists have for them. */
export const PETAL_SHAPES = [
  {
    id: 'obovate',
    name: 'Obovate',
    say: 'broadest above the middle',
    shape: { wide: 0.82, shoulder: 0.62, point: 0.15, notch: 0, wave: 0.25 },
  },
  {
    id: 'orbicular',
    name: 'Orbicular',
    say: 'nearly round',
    shape: { wide: 1.02, shoulder: 0.55, point: 0, notch: 0, wave: 0.15 },
  },
  {
    id: 'spatulate',
    name: 'Spatulate',
    say: 'a spoon on a long foot',
    shape: { wide: 0.5, shoulder: 0.76, point: 0.1, notch: 0, wave: 0.1 },
  },
  {
    id: 'obcordate',
    name: 'Obcordate',
    say: 'a heart upside down',
    shape: { wide: 0.95, shoulder: 0.7, point: 0, notch: 0.16, wave: 0.1 },
  },
  {
    id: 'elliptic',
    name: 'Elliptic',
    say: 'broadest in the middle',
    shape: { wide: 0.55, shoulder: 0.5, point: 0.45, notch: 0, wave: 0.1 },
  },
  {
    id: 'lanceolate',
    name: 'Lanceolate',
    say: 'narrow, broadest low, drawn to a point',
    shape: { wide: 0.34, shoulder: 0.38, point: 0.9, notch: 0, wave: 0.05 },
  },
  {
    id: 'undulate',
    name: 'Undulate',
    say: 'broad with a waved edge',
    shape: { wide: 1.12, shoulder: 0.64, point: 0, notch: 0.05, wave: 0.9 },
  },
] as const satisfies readonly {
  readonly id: string
  readonly name: string
  readonly say: string
  readonly shape: PetalShape
}[]

/** The foot is pinched or glued: so wide, as a share of the widest. */
const FOOT_SHARE = 0.16
const HALF_STEPS = 14
const WAVES = 3.5
const WAVE_DEPTH = 0.05

/**
 * Half the width of a petal at a share of its length from foot to tip, as a share of its length.
 * From the foot to the shoulder a quarter sine; beyond, from a quarter ellipse when round to a straight run when
 * pointed.
 */
export function halfWidthAt(
  up: number,
  { wide, shoulder, point }: Pick<PetalShape, 'wide' | 'shoulder' | 'point'>,
): number {
  const half = wide / 2
  if (up <= shoulder) return half * (FOOT_SHARE + (1 - FOOT_SHARE) * Math.sin(((up / shoulder) * Math.PI) / 2))
  const left = Math.min(1, (up - shoulder) / (1 - shoulder))
  return half * ((1 - point) * Math.sqrt(1 - left * left) + point * (1 - left))
}

/**
 * How far the tip is drawn in at a share of the half width from the middle, as a share of the length: deepest in the
 * middle.
 */
export const notchAt = (side: number, notch: number): number => notch * Math.max(0, 1 - Math.abs(side) / 0.6) ** 1.3

/** How far the edge is let in by its wave at a share of the length. */
export const waveAt = (up: number, wave: number): number =>
  1 - wave * WAVE_DEPTH * (1 - Math.cos(2 * Math.PI * WAVES * up))

/** A petal as cut, its foot at (0, 0) and its tip up, mm. */
export function petalOutline(lengthMm: number, shape: PetalShape): Outline {
  const right = Array.from({ length: HALF_STEPS + 1 }, (_, step): Point => {
    // More steps near the tip, where it turns most.
    const up = Math.sin(((step / HALF_STEPS) * Math.PI) / 2)
    const x = halfWidthAt(up, shape) * waveAt(up, shape.wave)
    return { x: x * lengthMm, y: up * lengthMm }
  })
  const cut = right.map(({ x, y }): Point => ({
    x,
    y:
      y -
      notchAt(shape.wide > 0 ? (2 * x) / lengthMm / shape.wide : 0, shape.notch) *
        lengthMm *
        Math.max(0, (y / lengthMm - shape.shoulder) / (1 - shape.shoulder)),
  }))
  const left = [...cut]
    .reverse()
    .slice(1)
    .map(({ x, y }): Point => ({ x: -x, y }))
  return polyline([cut[0]!, ...cut.slice(1), ...left], true)
}
