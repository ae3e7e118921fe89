/** Pieces from a drawing of the decorator's own, cut beside what the decorations need. */
import { z } from 'zod'
import { isInside, polyline, type Outline, type Point } from '../geometry'
import { paperIds, stockShapeSchema } from '../material'
import { cuttingSchema } from './way'

export const MOST_OWN_PIECES = 24

/** Of the height; nothing is drawn wider than this. */
const coordinate = z.number().min(-60).max(60)
const ringSchema = z
  .array(z.tuple([coordinate, coordinate]))
  .min(3)
  .max(600)

/** Its outline and what is cut out of it are drawn 1 high, from its foot, so that it can be made in any size. */
export const ownPieceSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60).meta({ label: 'Piece' }),
  paper: z.enum(paperIds).meta({ label: 'Paper' }),
  stock: z.array(stockShapeSchema).max(8).meta({ label: 'Sheets' }),
  colour: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i, 'A colour such as #d9572b is expected.')
    .meta({ label: 'Colour' }),
  heightMm: z.number().min(3).max(600).meta({ label: 'High', kind: 'length' }),
  quantity: z.number().int().min(1).max(500).meta({ label: 'How many', kind: 'count' }),
  outline: ringSchema,
  holes: z.array(ringSchema).max(40),
  cutting: cuttingSchema,
})

export type OwnPiece = z.infer<typeof ownPieceSchema>

type Ring = readonly (readonly [number, number])[]
type Drawn = {
  readonly outline: [number, number][]
  readonly holes: [number, number][][]
  /** Share of the drawing's height. */ readonly high: number
}

const toPoints = (ring: Ring): readonly Point[] => ring.map(([x, y]) => ({ x, y }))

/**
 * The pieces of a drawing: every ring that lies in no other is an outline, a ring in it is cut out, one in that is a
 * piece again.
 * @returns each 1 high from its foot, with its share of the drawing's height
 */
export function drawnPieces(rings: readonly Ring[]): readonly Drawn[] {
  const around = rings.map((ring) =>
    rings.flatMap((other, at) => (other !== ring && isInside(toPoints(ring)[0]!, toPoints(other)) ? [at] : [])),
  )
  return rings.flatMap((ring, at): readonly Drawn[] => {
    if (around[at]!.length % 2 === 1) return []
    const holes = rings.filter(
      (_, hole) => around[hole]!.length === around[at]!.length + 1 && around[hole]!.includes(at),
    )
    const [xs, ys] = [ring.map(([x]) => x), ring.map(([, y]) => y)]
    const [middle, foot, high] = [
      (Math.min(...xs) + Math.max(...xs)) / 2,
      Math.min(...ys),
      Math.max(...ys) - Math.min(...ys),
    ]
    const moved = (each: Ring): [number, number][] => each.map(([x, y]) => [(x - middle) / high, (y - foot) / high])
    return high > 0 ? [{ outline: moved(ring), holes: holes.map(moved), high }] : []
  })
}

/** The outline and holes of an own piece in its size, mm. */
export function ownOutlines({ outline, holes, heightMm }: OwnPiece): {
  readonly outline: Outline
  readonly holes: readonly Outline[]
} {
  const inSize = (ring: Ring): Outline =>
    polyline(ring.map(([x, y]) => ({ x: x * heightMm, y: y * heightMm })) as [Point, ...Point[]], true)
  return { outline: inSize(outline), holes: holes.map(inSize) }
}
