import { flipMove } from '#core/geometry'
import { pathData } from '#core/format/svg'
import type { Fade, Shape } from '#core/draw'
import type { Point } from '#core/geometry'

/** A shape as the attributes of an SVG path, in mm with y running down from the origin. */
export type PathPaint = {
  readonly d: string
  readonly fill: string
  readonly fillOpacity: number
  readonly stroke: string
  readonly strokeWidth: number
  readonly strokeOpacity: number
  readonly dash: string | undefined
}

export type FadePaint = {
  readonly id: string
  readonly x1: number
  readonly x2: number
  readonly y1: number
  readonly y2: number
  readonly stops: Fade['stops']
}

/** Corners of an outline as SVG writes them, y running down. */
export const pointsOf = (outline: readonly Point[]): string =>
  outline.map(({ x, y }) => `${x.toFixed(1)},${(-y).toFixed(1)}`).join(' ')

const isFade = (fill: string | Fade | undefined): fill is Fade => typeof fill === 'object'

/**
 * Paths for shapes, and the fades they fill with.
 * @param name begins the ids of the fades, so that two pictures on a page do not mix theirs up
 */
export function paintShapes(
  shapes: readonly Shape[],
  name: string,
): { readonly paths: readonly PathPaint[]; readonly fades: readonly FadePaint[] } {
  const fades: FadePaint[] = []
  const paths = shapes.flatMap((shape): PathPaint[] => {
    if (shape.kind === 'label') return []
    let fill = 'none'
    if (isFade(shape.fill)) {
      const id = `${name}-fade-${fades.length}`
      fades.push({
        id,
        x1: shape.fill.from.x,
        x2: shape.fill.to.x,
        y1: -shape.fill.from.y,
        y2: -shape.fill.to.y,
        stops: shape.fill.stops,
      })
      fill = `url(#${id})`
    } else if (shape.fill) {
      fill = shape.fill
    }
    return [
      {
        d: pathData(flipMove(shape.outline, 0, 0)),
        fill,
        fillOpacity: shape.fillOpacity ?? 1,
        stroke: shape.stroke ?? 'none',
        strokeWidth: shape.strokeMm ?? 0,
        strokeOpacity: shape.strokeOpacity ?? 1,
        dash: shape.dash?.join(' '),
      },
    ]
  })
  return { paths, fades }
}
