/** The shapes that paper is sold in, and what rests of a known size come to: rectangles and discs of any size. */
import { z } from 'zod'

const sideMm = z.number().min(40).max(1200)

export const stockShapeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('rect'),
    widthMm: sideMm.meta({ label: 'Wide', kind: 'length' }),
    heightMm: sideMm.meta({ label: 'High', kind: 'length' }),
  }),
  z.strictObject({ kind: z.literal('disc'), diameterMm: sideMm.meta({ label: 'Across', kind: 'length' }) }),
])

/** A sheet as it is bought, mm. */
export type StockShape = z.infer<typeof stockShapeSchema>

export const rect = (widthMm: number, heightMm: number): StockShape => ({ kind: 'rect', widthMm, heightMm })
export const disc = (diameterMm: number): StockShape => ({ kind: 'disc', diameterMm })

/** What usual sizes are called; others are called by their size. */
const NAMES: readonly { readonly name: string; readonly shape: StockShape }[] = [
  { name: 'A5', shape: rect(148, 210) },
  { name: 'A4', shape: rect(210, 297) },
  { name: '305 mm square', shape: rect(305, 305) },
  { name: 'A3', shape: rect(297, 420) },
  { name: '220 mm square', shape: rect(220, 220) },
]

/** The same text for the same shape: what sheets are told apart by. */
export const shapeKey = (shape: StockShape): string =>
  shape.kind === 'disc' ? `disc${shape.diameterMm}` : `${shape.widthMm}x${shape.heightMm}`

export const isSameShape = (one: StockShape, other: StockShape): boolean => shapeKey(one) === shapeKey(other)

/** What a shape is called. */
export function shapeName(shape: StockShape): string {
  const usual = NAMES.find((each) => isSameShape(each.shape, shape))
  if (usual) return usual.name
  return shape.kind === 'disc' ? `${shape.diameterMm} mm disc` : `${shape.widthMm} × ${shape.heightMm} mm`
}

/** So many of a size: “1 disc of 220 mm”, “13 A4”. */
export const sheetCount = (shape: StockShape, many: number): string =>
  shape.kind === 'disc'
    ? `${many} ${many === 1 ? 'disc' : 'discs'} of ${shape.diameterMm} mm`
    : `${many} ${shapeName(shape)}`

/** What several are cut from, without their number: “sheets of A4”, “discs of 160 mm or 220 mm”. */
export function sheetsOfWords(shapes: readonly StockShape[], many: number): string {
  const discs = shapes.flatMap((shape) => (shape.kind === 'disc' ? [`${shape.diameterMm} mm`] : []))
  const isAll = discs.length === shapes.length && discs.length > 0
  const one = isAll ? 'disc' : 'sheet'
  return `${one}${many === 1 ? '' : 's'} of ${isAll ? discs.join(' or ') : shapes.map(shapeName).join(' or ')}`
}

/** The box round a sheet, mm. */
export const shapeBox = (shape: StockShape): { readonly widthMm: number; readonly heightMm: number } =>
  shape.kind === 'disc' ? { widthMm: shape.diameterMm, heightMm: shape.diameterMm } : shape

/** Paper of a whole sheet, dm². */
export const shapeDm2 = (shape: StockShape): number =>
  (shape.kind === 'disc' ? (Math.PI * shape.diameterMm ** 2) / 4 : shape.widthMm * shape.heightMm) / 10_000
