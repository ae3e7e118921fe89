import { SHADOW, type Fade, type Shape, type StandLayer } from '#core/draw'
import type { Outline, Point } from '#core/geometry'

/**
 * Paints the stand on a canvas whose unit is the millimetre, y down; many thin faces are more than a browser's drawing
 * tree carries while the stand turns.
 */
export function paintLayers(context: CanvasRenderingContext2D, layers: readonly StandLayer[]): void {
  const tiers = layers.filter(({ kind }) => kind === 'tier')
  const shadows = layers.flatMap(({ shadow }) => shadow ?? [])
  const lastTier = layers.findLastIndex(({ kind }) => kind === 'tier')
  layers.forEach(({ shapes }, at) => {
    for (const shape of shapes) paintShape(context, shape)
    // All shadows at once, on the tiers and below whatever stands before them: as one they are no darker where they
    // overlap.
    if (at === lastTier && shadows.length > 0) paintShadows(context, tiers, shadows)
  })
}

function paintShadows(
  context: CanvasRenderingContext2D,
  tiers: readonly StandLayer[],
  shadows: readonly Outline[],
): void {
  context.save()
  context.beginPath()
  tiers.forEach(({ outline }) => tracePoints(context, outline))
  context.clip()
  context.beginPath()
  shadows.forEach((outline) => traceOutline(context, outline))
  context.globalAlpha = SHADOW.fillOpacity
  context.fillStyle = SHADOW.fill
  context.fill()
  context.restore()
}

function tracePoints(context: CanvasRenderingContext2D, points: readonly Point[]): void {
  points.forEach(({ x, y }, at) => (at === 0 ? context.moveTo(x, -y) : context.lineTo(x, -y)))
  context.closePath()
}

function traceOutline(context: CanvasRenderingContext2D, { start, segments }: Outline): void {
  context.moveTo(start.x, -start.y)
  for (const { to } of segments) context.lineTo(to.x, -to.y)
}

function paintShape(context: CanvasRenderingContext2D, shape: Shape): void {
  if (shape.kind === 'label') return
  context.beginPath()
  traceOutline(context, shape.outline)
  if (shape.fill) {
    context.globalAlpha = shape.fillOpacity ?? 1
    context.fillStyle = typeof shape.fill === 'string' ? shape.fill : gradientOf(context, shape.fill)
    context.fill()
  }
  if (shape.stroke) {
    context.globalAlpha = shape.strokeOpacity ?? 1
    context.strokeStyle = shape.stroke
    context.lineWidth = shape.strokeMm ?? 1
    context.stroke()
  }
  context.globalAlpha = 1
}

function gradientOf(context: CanvasRenderingContext2D, { from, to, stops }: Fade): CanvasGradient {
  const gradient = context.createLinearGradient(from.x, -from.y, to.x, -to.y)
  stops.forEach(({ at, colour }) => gradient.addColorStop(at, colour))
  return gradient
}
