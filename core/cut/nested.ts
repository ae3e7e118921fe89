/** Parts as a nesting job, and a job's layout as sheets to cut. */
import { convexHull, cornersAlong, polyline, type Point } from '../geometry'
import { fitsOn } from './nest/fitsOn'
import type { NestJob, NestLayout, NestPart, NestSheet } from './nest/job'
import { inCuttingOrder } from './order'
import { shapeKey, type StockShape } from '../material'
import { boxOf, CHORD_MM, type CutLayout, type CutPart, type CutSheet, type LeftOut } from './sheet'
import type { Remnant } from './way'

const ringOf = (outline: CutPart['outline']): NestPart['outline'] =>
  cornersAlong(outline, CHORD_MM).map(({ x, y }): [number, number] => [round(x), round(y)])
const round = (value: number): number => Math.round(value * 1e4) / 1e4

/** A remnant's outline from the lower left of its box. */
function fromCorner(outline: Remnant['outline']): Remnant['outline'] {
  const { x, y } = boxOf(outline.map(([cornerX, cornerY]) => ({ x: cornerX, y: cornerY })))
  return outline.map(([cornerX, cornerY]) => [cornerX - x, cornerY - y])
}

const asNestSheet = (shape: StockShape): NestSheet =>
  shape.kind === 'disc'
    ? { id: shapeKey(shape), shape: 'disc', diameter: shape.diameterMm, count: null }
    : { id: shapeKey(shape), shape: 'rect', width: shape.widthMm, height: shape.heightMm, count: null }

/** The job of some parts on sheets, remnants first; parts that fit on no sheet are left out, and say so. */
export function nestJobOf(
  name: string,
  parts: readonly CutPart[],
  shapes: readonly StockShape[],
  marginMm: number,
  gapMm: number,
  remnants: readonly Remnant[] = [],
): { readonly job: NestJob | null; readonly leftOut: readonly LeftOut[] } {
  const sheets = shapes.map(asNestSheet)
  const leftOut: LeftOut[] = []
  const fitting = parts.filter((part) => {
    const corners = cornersAlong(part.outline, CHORD_MM)
    const hull = convexHull(corners)
    const fits = sheets.some((sheet) => fitsOn(hull, { rotations: 'free' }, sheet, marginMm))
    if (!fits) {
      const box = boxOf(corners)
      leftOut.push({
        part,
        wantsLarger: true,
        why:
          `${part.name} (${box.widthMm.toFixed(0)} × ${box.heightMm.toFixed(0)} mm) is ` +
          `larger than the sheet within its margin, however it is turned.`,
      })
    }
    return fits
  })
  if (fitting.length === 0) return { job: null, leftOut }
  return {
    leftOut,
    job: {
      name,
      unit: 'mm',
      gap: gapMm,
      margin: marginMm,
      sheets: [
        ...remnants.map(({ id, outline }): NestSheet => ({
          id,
          shape: 'remnant',
          outline: fromCorner(outline),
          count: 1,
        })),
        ...sheets,
      ],
      parts: fitting.map(({ id, outline, holes, quantity, mirror }) => ({
        id,
        outline: ringOf(outline),
        ...(holes.length > 0 && { holes: holes.map(ringOf) }),
        quantity,
        rotations: 'free',
        mirror,
      })),
    },
  }
}

/**
 * Sheets of a layout, pieces numbered sheet by sheet in the order of cutting. Placements of parts that are not there
 * are left away.
 */
export function sheetsOf(
  { placements }: NestLayout,
  parts: readonly CutPart[],
  shapes: readonly StockShape[],
  remnants: readonly Remnant[] = [],
): CutLayout['sheets'] {
  const byId = new Map(parts.map((part) => [part.id, part]))
  const indexes = [...new Set(placements.map(({ sheetIndex }) => sheetIndex))].sort((one, other) => one - other)
  let number = 0
  return indexes.map((index): CutSheet => ({
    plies: 1,
    cuts: [],
    ...stockOf(placements.find(({ sheetIndex }) => sheetIndex === index)!.sheetId, shapes, remnants),
    pieces: inCuttingOrder(
      placements
        .filter(({ sheetIndex, part }) => sheetIndex === index && byId.has(part))
        .map(({ part, x, y, rotationDeg, mirrored }) => ({ part: byId.get(part)!, x, y, rotationDeg, mirrored })),
    ).map((piece) => ({ ...piece, number: (number += 1) })),
  }))
}

/** What a sheet of a layout is: a remnant, or a whole sheet of one of the shapes. */
function stockOf(
  sheetId: string,
  shapes: readonly StockShape[],
  remnants: readonly Remnant[],
): Pick<CutSheet, 'shape' | 'remnant'> {
  const shape = shapes.find((each) => shapeKey(each) === sheetId) ?? shapes[0]!
  const found = remnants.find(({ id }) => id === sheetId)
  if (!found) return { shape }
  const corners = fromCorner(found.outline).map(([x, y]) => ({ x, y })) as [Point, ...Point[]]
  return { shape, remnant: { id: found.id, name: found.name, outline: polyline(corners, true) } }
}

/** A short name for a job's content, by which its layout is found again. @see Fowler, Noll and Vo (FNV-1a) */
export function jobKey(job: NestJob): string {
  const text = JSON.stringify(job)
  let hash = 0x811c9dc5
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193)
  return `${(hash >>> 0).toString(36)}-${text.length.toString(36)}`
}
