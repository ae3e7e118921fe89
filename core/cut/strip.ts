/**
 * Strips of one part across a sheet: boxes side by side, or triangles to and fro, each sharing its slanting cut with the
 * next.
 */
import { cornersAlong, outlineAreaMm2, type Point } from '../geometry'
import { boxOf, CHORD_MM, type CutPart, type CutPiece, type StraightCut } from './sheet'

/** A strip of so many pieces of a part, from its own lower left corner. */
export type Strip = {
  readonly part: CutPart
  readonly heightMm: number
  readonly count: number
  /** Kept between this strip and the next; none along a ruler. */
  readonly gapMm: number
  readonly pieceAt: (at: number) => Pick<CutPiece, 'x' | 'y' | 'rotationDeg'>
  /** Whether its straight cuts alone free a piece. */
  readonly frees: boolean
  /** The cut that ends a piece, from the lower edge of the strip to the upper. */
  readonly cutAfter: (at: number) => StraightCut
  /** The cut before the first piece, where that does not begin with the sheet's edge. */
  readonly cutBefore: StraightCut | null
}

/** What fills its box but for so much of it is a box. */
const BOX_SHARE = 1e-6

/** Room kept between pieces, and for the slip of a stack, mm. */
export type Spacing = { readonly gapMm: number; readonly slipMm: number }

/** So many strips as a quantity takes, `inStrip` pieces to each. */
const strips = (inStrip: number, quantity: number, strip: Omit<Strip, 'count'>): readonly Strip[] =>
  Array.from({ length: Math.ceil(quantity / inStrip) }, (_, at) => ({
    ...strip,
    count: Math.min(inStrip, quantity - at * inStrip),
  }))

/** Boxes of a part, upright or on their side. @returns none when a box is wider than the room */
export function boxStrips(
  part: CutPart,
  quantity: number,
  roomMm: number,
  isTurned: boolean,
  { gapMm, slipMm }: Spacing,
): readonly Strip[] {
  const box = boxOf(cornersAlong(part.outline, CHORD_MM))
  const [widthMm, heightMm] = [
    (isTurned ? box.heightMm : box.widthMm) + slipMm,
    (isTurned ? box.widthMm : box.heightMm) + slipMm,
  ]
  const inStrip = Math.floor((roomMm + gapMm) / (widthMm + gapMm) + 1e-9)
  if (inStrip < 1) return []
  const middle = { x: box.x + box.widthMm / 2, y: box.y + box.heightMm / 2 }
  const across = (at: number): number => at * (widthMm + gapMm)
  return strips(inStrip, quantity, {
    part,
    heightMm,
    gapMm,
    frees:
      Math.abs(outlineAreaMm2(part.outline)) > (1 - BOX_SHARE) * box.widthMm * box.heightMm && part.holes.length === 0,
    cutBefore: null,
    pieceAt: (at) =>
      isTurned
        ? { x: across(at) + widthMm / 2 + middle.y, y: heightMm / 2 - middle.x, rotationDeg: 90 }
        : { x: across(at) + widthMm / 2 - middle.x, y: heightMm / 2 - middle.y, rotationDeg: 0 },
    cutAfter: (at) => {
      const x = across(at) + widthMm + gapMm / 2
      return { from: { x, y: -gapMm / 2 }, to: { x, y: heightMm + gapMm / 2 } }
    },
  })
}

/** The corners of a part that is a triangle without holes; else null. */
export function triangleOf({ outline, holes }: CutPart): readonly [Point, Point, Point] | null {
  if (holes.length > 0 || outline.segments.length !== 3 || outline.segments.some(({ kind }) => kind !== 'line'))
    return null
  const [one, two, three] = cornersAlong(outline, CHORD_MM)
  const twice = (two!.x - one!.x) * (three!.y - one!.y) - (two!.y - one!.y) * (three!.x - one!.x)
  return twice > 0 ? [one!, two!, three!] : [one!, three!, two!]
}

/**
 * Triangles to and fro along a ruler, which holds a stack, on each of their sides that has the tip above it. Up stands
 * on its base b with its tip a in from the left; down is the same turned round, so that a cut between two of them is an
 * edge of both: a pair takes b along the strip, one that is down ends a after the one before.
 * @returns strips for every side, none where it does not fit
 */
export function zigzagStrips(part: CutPart, quantity: number, roomMm: number): readonly (readonly Strip[])[] {
  const corners = triangleOf(part)
  if (!corners) return []
  return [0, 1, 2].flatMap((side) => {
    const [from, to, tip] = [corners[side]!, corners[(side + 1) % 3]!, corners[(side + 2) % 3]!]
    const base = Math.hypot(to.x - from.x, to.y - from.y)
    const [cos, sin] = [(to.x - from.x) / base, (to.y - from.y) / base]
    const reach = (tip.x - from.x) * cos + (tip.y - from.y) * sin
    const high = (tip.y - from.y) * cos - (tip.x - from.x) * sin
    if (reach < -1e-9 || reach > base + 1e-9) return []
    /** The left corner of each: at the foot of one that is up, at the head of one that is down. */
    const left = (at: number): number => Math.floor(at / 2) * base + (at % 2 === 0 ? 0 : reach)
    const ends = (at: number): number => left(at) + base
    let inStrip = 0
    while (ends(inStrip) <= roomMm + 1e-9) inStrip += 1
    if (inStrip === 0) return []
    const foot = { x: from.x * cos + from.y * sin, y: from.y * cos - from.x * sin }
    const rotationDeg = (-Math.atan2(sin, cos) * 180) / Math.PI
    const slant = (x: number, isRising: boolean): StraightCut =>
      isRising
        ? { from: { x, y: 0 }, to: { x: x + reach, y: high } }
        : { from: { x: x + base - reach, y: 0 }, to: { x, y: high } }
    return [
      strips(inStrip, quantity, {
        part,
        heightMm: high,
        gapMm: 0,
        frees: true,
        pieceAt: (at) =>
          at % 2 === 0
            ? { x: left(at) - foot.x, y: -foot.y, rotationDeg }
            : { x: left(at) + base + foot.x, y: high + foot.y, rotationDeg: rotationDeg + 180 },
        cutBefore: reach < 1e-9 ? null : slant(0, true),
        cutAfter: (at) => (at % 2 === 0 ? slant(left(at) + reach, false) : slant(left(at) + base - reach, true)),
      }),
    ]
  })
}
