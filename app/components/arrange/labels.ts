/** A label beside a point, in the units of its drawing; y down. */
export type Labelled = { readonly id: string; readonly x: number; readonly y: number; readonly words: string }

/** A place for a label: the middle of its base line. */
type LabelPlace = { readonly x: number; readonly y: number }

type Box = { readonly left: number; readonly right: number; readonly top: number; readonly bottom: number }

/** Letters are about so wide, labels so high, points so far round, in pixels. */
const LETTER = 6.4
const HIGH = 13
const POINT = 11
const AWAY = 24

const meets = (one: Box, other: Box): boolean =>
  one.left < other.right && other.left < one.right && one.top < other.bottom && other.top < one.bottom

/**
 * Where labels of points stand so that none lies over another, over a point, or over what is written already: below
 * the point, above, right or left of it, or as far below as it takes.
 * @param taken labels that stay where they are @param within left and right end of the drawing
 */
export function labelPlaces(
  labelled: readonly Labelled[],
  perPixel: number,
  taken: readonly Labelled[],
  within: { readonly left: number; readonly right: number },
): ReadonlyMap<string, LabelPlace> {
  const boxOf = ({ words }: Labelled, { x, y }: LabelPlace): Box => {
    const half = (words.length * LETTER * perPixel) / 2
    return { left: x - half, right: x + half, top: y - HIGH * perPixel, bottom: y + 3 * perPixel }
  }
  const point = ({ x, y }: Labelled): Box => {
    const round = POINT * perPixel
    return { left: x - round, right: x + round, top: y - round, bottom: y + round }
  }
  const boxes: Box[] = [...taken.map((each) => boxOf(each, each)), ...labelled.map(point)]
  const places = new Map<string, LabelPlace>()
  for (const each of labelled) {
    const half = (each.words.length * LETTER * perPixel) / 2
    const beside = half + (POINT + 4) * perPixel
    const spots: readonly LabelPlace[] = [
      { x: each.x, y: each.y + AWAY * perPixel },
      { x: each.x, y: each.y - (AWAY - 8) * perPixel },
      { x: each.x + beside, y: each.y + 4 * perPixel },
      { x: each.x - beside, y: each.y + 4 * perPixel },
      ...[2, 3, 4, 5, 6].map((row) => ({ x: each.x, y: each.y + row * (HIGH + 4) * perPixel + 8 * perPixel })),
    ]
    const isFree = (spot: LabelPlace): boolean => {
      const box = boxOf(each, spot)
      return box.left >= within.left && box.right <= within.right && !boxes.some((other) => meets(box, other))
    }
    const place = spots.find(isFree) ?? spots[0]!
    boxes.push(boxOf(each, place))
    places.set(each.id, place)
  }
  return places
}
