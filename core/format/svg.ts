import { flipMove, withShortArcs, type Outline } from '../geometry'
import type { Picture, Shape } from '../draw'

const number = (value: number): string => String(Math.round(value * 1000) / 1000)

/** Ends are rounded; of a half circle that would move its middle by a tenth of a millimetre. */
const LONGEST_ARC_DEG = 150

/** SVG path data of an outline in the picture's own mm, y already running down. Arcs stay arcs. */
export function pathData(outline: Outline): string {
  const { start, segments } = withShortArcs(outline, LONGEST_ARC_DEG)
  const parts = [`M${number(start.x)} ${number(start.y)}`]
  for (const segment of segments) {
    const to = `${number(segment.to.x)} ${number(segment.to.y)}`
    parts.push(
      segment.kind === 'line'
        ? `L${to}`
        : `A${number(segment.radius)} ${number(segment.radius)} 0 ` +
            `${Math.abs(segment.turnDeg) > 180 ? 1 : 0} ${segment.turnDeg > 0 ? 1 : 0} ${to}`,
    )
  }
  return parts.join('')
}

const escapeText = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign]!)

function shapeElement(shape: Shape, heightMm: number): string {
  if (shape.kind === 'label') {
    return (
      `<text x="${number(shape.at.x)}" y="${number(heightMm - shape.at.y)}" font-size="${number(shape.sizeMm)}" ` +
      `fill="${shape.colour}" text-anchor="${shape.anchor}" dominant-baseline="middle" ` +
      `font-family="sans-serif"${shape.bold ? ' font-weight="700"' : ''}>${escapeText(shape.text)}</text>`
    )
  }
  const fill = typeof shape.fill === 'string' ? shape.fill : 'none'
  const line = shape.stroke
    ? ` stroke="${shape.stroke}" ` +
      `stroke-width="${number(shape.strokeMm ?? 0.3)}"${shape.dash ? ` stroke-dasharray="${shape.dash.map(number).join(' ')}"` : ''}`
    : ''
  return (
    `<path d="${pathData(flipMove(shape.outline, 0, heightMm))}" ` +
    `fill="${fill}"${shape.fillOpacity === undefined ? '' : ` fill-opacity="${shape.fillOpacity}"`}${line}/>`
  )
}

/** Pictures one below the other as an SVG whose size is in millimetres, so that it prints and opens at true size. */
export function writeSvg(pictures: readonly Picture[], title: string): string {
  const widthMm = Math.max(10, ...pictures.map((picture) => picture.widthMm))
  let top = 0
  const groups = pictures.map((picture) => {
    const group =
      `<g transform="translate(0 ` +
      `${number(top)})">${picture.shapes.map((shape) => shapeElement(shape, picture.heightMm)).join('')}</g>`
    top += picture.heightMm
    return group
  })
  return (
    `<?xml version="1.0" encoding="UTF-8"?>\n<svg xmlns="http://www.w3.org/2000/svg" width="${number(widthMm)}mm" ` +
    `height="${number(top)}mm" viewBox="0 0 ${number(widthMm)} ` +
    `${number(top)}"><title>${escapeText(title)}</title>${groups.join('')}</svg>\n`
  )
}
