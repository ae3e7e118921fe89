/** How close two laid outlines come, and where: the checker's own geometry, independent of the search's. */

/** Lengths are right to this, mm. */
export const TOLERANCE_MM = 0.001

export type Corner = readonly [number, number]
export type Ring = readonly Corner[]

type Piece = { readonly sheetIndex: number; readonly at: number; readonly laid: Laid }

/** Pieces of one sheet that overlap, or lie closer than the gap, mm. */
export function closeFaults(pieces: readonly Piece[], gapMm: number): readonly LayoutFault[] {
  const faults: LayoutFault[] = []
  const sheets = new Map<number, Piece[]>()
  for (const piece of pieces) sheets.set(piece.sheetIndex, [...(sheets.get(piece.sheetIndex) ?? []), piece])
  for (const onSheet of sheets.values()) {
    const ordered = [...onSheet].sort((one, other) => one.laid.left - other.laid.left)
    ordered.forEach((one, index) => {
      for (
        let next = index + 1;
        next < ordered.length && ordered[next]!.laid.left < one.laid.right + gapMm;
        next += 1
      ) {
        const other = ordered[next]!
        if (other.laid.low >= one.laid.high + gapMm || other.laid.high + gapMm <= one.laid.low) continue
        if (overlaps(one.laid, other.laid)) faults.push({ code: 'overlap', placement: one.at, other: other.at })
        else {
          const apart = edgesApartMm(edgesNear(one.laid, other.laid, gapMm), edgesNear(other.laid, one.laid, gapMm))
          if (apart < gapMm - TOLERANCE_MM)
            faults.push({ code: 'too-close', placement: one.at, other: other.at, apartMm: apart })
        }
      }
    })
  }
  return faults
}

type Edge = readonly [Corner, Corner]

export const edgesOf = (rings: readonly Ring[]): readonly Edge[] =>
  rings.flatMap((ring) => ring.map((from, at): Edge => [from, ring[(at + 1) % ring.length]!]))

/** Edges of a piece that reach into the box round another, grown by the gap: no others can matter. */
const edgesNear = (piece: Laid, { left, right, low, high }: Laid, gapMm: number): readonly Edge[] =>
  edgesOf(piece.rings).filter(
    ([[fromX, fromY], [toX, toY]]) =>
      Math.max(fromX, toX) >= left - gapMm &&
      Math.min(fromX, toX) <= right + gapMm &&
      Math.max(fromY, toY) >= low - gapMm &&
      Math.min(fromY, toY) <= high + gapMm,
  )

/**
 * Whether some place is inside both, deeper than the tolerance: corners, middles of edges between crossings, and a
 * place well inside each are looked at.
 */
const overlaps = (one: Laid, other: Laid): boolean => reachesInto(one, other) || reachesInto(other, one)

function reachesInto(piece: Laid, into: Laid): boolean {
  const isDeep = (point: Corner): boolean => isWithin(point, into.rings) && distanceTo(point, into.rings) > TOLERANCE_MM
  if (isDeep(placeInside(piece.rings))) return true
  const against = edgesNear(into, piece, 0)
  return edgesNear(piece, into, 0).some(([from, to]) => {
    const cuts = [0, ...against.flatMap((edge) => crossingAlong(from, to, edge)), 1].sort(
      (first, second) => first - second,
    )
    return cuts.some(
      (share, index) =>
        isDeep(along(from, to, share)) || (index > 0 && isDeep(along(from, to, (share + cuts[index - 1]!) / 2))),
    )
  })
}

const along = ([fromX, fromY]: Corner, [toX, toY]: Corner, share: number): Corner => [
  fromX + share * (toX - fromX),
  fromY + share * (toY - fromY),
]

/** Where along an edge it crosses another, as a share of the way; nothing when it does not. */
function crossingAlong(from: Corner, to: Corner, [one, two]: Edge): readonly number[] {
  const [alongX, alongY] = [to[0] - from[0], to[1] - from[1]]
  const [edgeX, edgeY] = [two[0] - one[0], two[1] - one[1]]
  const cross = alongX * edgeY - alongY * edgeX
  if (cross === 0) return []
  const share = ((one[0] - from[0]) * edgeY - (one[1] - from[1]) * edgeX) / cross
  const onEdge = ((one[0] - from[0]) * alongY - (one[1] - from[1]) * alongX) / cross
  return share > 0 && share < 1 && onEdge >= 0 && onEdge <= 1 ? [share] : []
}

/** A place inside rings: the middle of the widest stretch on a level between two corners. */
function placeInside(rings: readonly Ring[]): Corner {
  const levels = rings
    .flat()
    .map(([, y]) => y)
    .sort((one, other) => one - other)
  let [widest, place]: [number, Corner] = [-1, rings[0]![0]!]
  for (const share of [0.5, 0.35, 0.65]) {
    const at = Math.floor(share * (levels.length - 1))
    const next = levels.findIndex((level) => level > levels[at]! + 1e-9)
    const level = next < 0 ? levels[at]! : (levels[at]! + levels[next]!) / 2
    const crossings = rings
      .flatMap((ring) =>
        ring.flatMap((one, index) => {
          const two = ring[(index + 1) % ring.length]!
          return one[1] > level === two[1] > level
            ? []
            : [one[0] + ((level - one[1]) / (two[1] - one[1])) * (two[0] - one[0])]
        }),
      )
      .sort((one, other) => one - other)
    for (let index = 0; index + 1 < crossings.length; index += 2) {
      const wide = crossings[index + 1]! - crossings[index]!
      if (wide > widest) [widest, place] = [wide, [(crossings[index]! + crossings[index + 1]!) / 2, level]]
    }
  }
  return place
}

/** Inside an odd number of rings. */
export function isWithin([x, y]: Corner, rings: readonly Ring[]): boolean {
  let inside = false
  for (const ring of rings) {
    ring.forEach(([oneX, oneY], at) => {
      const [twoX, twoY] = ring[(at + 1) % ring.length]!
      if (oneY > y !== twoY > y && x < oneX + ((y - oneY) / (twoY - oneY)) * (twoX - oneX)) inside = !inside
    })
  }
  return inside
}

export const distanceTo = (point: Corner, rings: readonly Ring[]): number =>
  Math.min(
    ...rings.map((ring) =>
      ring.reduce((least, one, at) => Math.min(least, toEdgeMm(point, one, ring[(at + 1) % ring.length]!)), Infinity),
    ),
  )

function toEdgeMm([x, y]: Corner, [oneX, oneY]: Corner, [twoX, twoY]: Corner): number {
  const [alongX, alongY] = [twoX - oneX, twoY - oneY]
  const length2 = alongX ** 2 + alongY ** 2
  const share = length2 === 0 ? 0 : Math.max(0, Math.min(1, ((x - oneX) * alongX + (y - oneY) * alongY) / length2))
  return Math.hypot(x - oneX - share * alongX, y - oneY - share * alongY)
}

/** Least distance between edges; 0 where they cross, without end when there are none. */
export function edgesApartMm(one: readonly Edge[], other: readonly Edge[]): number {
  let least = Infinity
  for (const [from, to] of one) {
    for (const edge of other) {
      const [start, end] = edge
      if (
        Math.max(
          Math.min(from[0], to[0]) - Math.max(start[0], end[0]),
          Math.min(start[0], end[0]) - Math.max(from[0], to[0]),
          Math.min(from[1], to[1]) - Math.max(start[1], end[1]),
          Math.min(start[1], end[1]) - Math.max(from[1], to[1]),
        ) >= least
      )
        continue
      least = Math.min(
        least,
        crossingAlong(from, to, edge).length > 0
          ? 0
          : Math.min(
              toEdgeMm(from, start, end),
              toEdgeMm(to, start, end),
              toEdgeMm(start, from, to),
              toEdgeMm(end, from, to),
            ),
      )
    }
  }
  return least
}

export type LayoutFault =
  | { readonly code: 'unknown-part'; readonly placement: number }
  | { readonly code: 'unknown-sheet'; readonly placement: number }
  | { readonly code: 'quantity'; readonly part: string; readonly wanted: number; readonly placed: number }
  | { readonly code: 'turn'; readonly placement: number; readonly rotationDeg: number }
  | { readonly code: 'mirror'; readonly placement: number }
  | { readonly code: 'outside'; readonly placement: number; readonly byMm: number }
  | { readonly code: 'too-close'; readonly placement: number; readonly other: number; readonly apartMm: number }
  | { readonly code: 'overlap'; readonly placement: number; readonly other: number }
  | { readonly code: 'stock'; readonly sheet: string; readonly used: number; readonly have: number }
/** A piece where it lies: its rings, and the box round them. */
export type Laid = {
  readonly rings: readonly Ring[]
  readonly left: number
  readonly right: number
  readonly low: number
  readonly high: number
}
