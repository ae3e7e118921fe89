import type { ScallopGuide } from '../cake'
import { circle, rectangle, type Outline, type Point } from '../geometry'
import { rulerShapes } from './ruler'
import type { Picture, Shape } from './shape'

const LINE = '#2a1c2c'
const SOFT = '#9c8c7c'
const EDGE_MM = 10
const FOOT_MM = 30

const moved = ({ start, segments }: Outline, { x, y }: Point): Outline => {
  const put = (point: Point): Point => ({ x: point.x + x, y: point.y + y })
  return { start: put(start), segments: segments.map((segment) => ({ ...segment, to: put(segment.to) })) }
}

/**
 * A card guide at true size: its edge, the circle with its marks, folds, the notch that both cards share, and a ruler.
 */
export function guideSheet(guide: ScallopGuide, title: string): Picture {
  const size = 2 * guide.reachMm + 2 * EDGE_MM
  const widthMm = Math.max(size, 130)
  const heightMm = size + FOOT_MM
  const middle = { x: widthMm / 2, y: FOOT_MM + size / 2 }
  const at = (outline: Outline): Outline => moved(outline, middle)
  const shapes: readonly Shape[] = [
    { kind: 'outline', outline: rectangle(0, 0, widthMm, heightMm), fill: '#ffffff' },
    ...guide.folds.map((fold): Shape => ({
      kind: 'outline',
      outline: at(fold),
      stroke: SOFT,
      strokeMm: 0.25,
      dash: [4, 2.5],
    })),
    { kind: 'outline', outline: at(guide.markCircle), stroke: SOFT, strokeMm: 0.25, dash: [1, 1.5] },
    { kind: 'outline', outline: at(guide.edge), stroke: LINE, strokeMm: 0.45 },
    ...guide.marks.map((mark): Shape => ({
      kind: 'outline',
      outline: circle({ x: mark.x + middle.x, y: mark.y + middle.y }, 1),
      fill: LINE,
    })),
    { kind: 'outline', outline: at(guide.registration), fill: LINE },
    {
      kind: 'label',
      at: { x: middle.x, y: middle.y - 8 },
      text: title,
      sizeMm: 5,
      colour: LINE,
      anchor: 'middle',
      bold: true,
    },
    {
      kind: 'label',
      at: { x: middle.x, y: middle.y - 16 },
      text: `fold ${guide.foldBy.join(' × ')}; the dark notch lies to the front on both cards`,
      sizeMm: 3.6,
      colour: LINE,
      anchor: 'middle',
    },
    ...rulerShapes({ x: EDGE_MM + 4, y: 18 }, 100),
    {
      kind: 'label',
      at: { x: EDGE_MM + 4, y: 4 },
      text: 'Check: the ruler reads 100 mm. Print without scaling.',
      sizeMm: 3.6,
      colour: LINE,
      anchor: 'start',
    },
  ]
  return { widthMm, heightMm, shapes }
}
