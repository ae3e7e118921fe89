/** The handles of a petal's outline, on a petal that is drawn 100 long, foot at the origin, y up. */
import type { Picture } from '#core/draw'
import { pathData } from '#core/format/svg'
import { flipMove, type Point } from '#core/geometry'
import { halfWidthAt, petalOutline, type PetalShape } from '#core/technique'

export type PetalHandleId = 'shoulder' | 'point' | 'notch'

export type PetalHandle = Point & { readonly id: PetalHandleId; readonly name: string }

const LONG = 100
const MARGIN_MM = 3
const LINE_MM = 0.2

/** Kept to hundredths, which is finer than a hand pulls. */
const within = (value: number, least: number, most: number): number =>
  Math.round(Math.min(most, Math.max(least, value)) * 100) / 100

/** Two thirds of the way from the shoulder to the tip, where pointed and round differ most. */
const between = ({ shoulder }: PetalShape): number => shoulder + (1 - shoulder) * 0.7

/** The outline as a path of an SVG, y down. */
export const drawnPetal = (shape: PetalShape): string => pathData(flipMove(petalOutline(LONG, shape), 0, 0))

/** Where each handle lies. */
export const petalHandles = (shape: PetalShape): readonly PetalHandle[] => [
  {
    id: 'shoulder',
    name: 'Shoulder: how wide, and how far up',
    x: (shape.wide / 2) * LONG,
    y: shape.shoulder * LONG,
  },
  { id: 'point', name: 'How pointed', x: halfWidthAt(between(shape), shape) * LONG, y: between(shape) * LONG },
  { id: 'notch', name: 'Notch in the tip', x: 0, y: (1 - shape.notch) * LONG },
]

/** What of a shape changes when a handle is pulled to a place. */
export function pulledPetal(shape: PetalShape, id: PetalHandleId, { x, y }: Point): Partial<PetalShape> {
  if (id === 'shoulder')
    return { wide: within((2 * Math.abs(x)) / LONG, 0.2, 1.6), shoulder: within(y / LONG, 0.25, 0.85) }
  if (id === 'notch') return { notch: within(1 - y / LONG, 0, 0.4) }
  const [round, straight] = [0, 1].map((point) => halfWidthAt(between(shape), { ...shape, point })) as [number, number]
  return { point: within((round - Math.abs(x) / LONG) / (round - straight), 0, 1) }
}

/** A page with the petal at true size, a little paper round it. */
export function petalPage(shape: PetalShape, lengthMm: number): Picture {
  const widthMm = lengthMm * shape.wide
  const { start, segments } = petalOutline(lengthMm, shape)
  const moved = ({ x, y }: Point): Point => ({ x: x + widthMm / 2 + MARGIN_MM, y: y + MARGIN_MM })
  const outline = { start: moved(start), segments: segments.map((segment) => ({ ...segment, to: moved(segment.to) })) }
  return {
    widthMm: widthMm + 2 * MARGIN_MM,
    heightMm: lengthMm + 2 * MARGIN_MM,
    shapes: [{ kind: 'outline', outline, stroke: '#000000', strokeMm: LINE_MM }],
  }
}
