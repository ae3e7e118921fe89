/** One more cake loose on the board, beside what stands there. */
import { edgePoints } from './ledge'
import { extentMm } from './shape'
import { stackTiers } from './stack'
import { boardSchema, tierSchema, type Cake, type Tier } from './tier'

/** Loose cakes stand so far apart at first, and from the board's edge, mm. */
const APART_MM = 40
const FROM_EDGE_MM = 20
const ROUNDED_MM = 10
/** So many places to each side are tried. */
const PLACES = 6
const WIDEST_BOARD_MM = boardSchema.shape.acrossMm.maxValue ?? Infinity

/** The place of a tier seen from above, as a rectangle. */
type Ground = { readonly x: number; readonly y: number; readonly halfX: number; readonly halfY: number }

const groundOf = ({ shape, turnDeg, middle }: ReturnType<typeof stackTiers>[number]): Ground => {
  const { sideways, frontBack } = extentMm(shape, turnDeg)
  return { ...middle, halfX: sideways, halfY: frontBack }
}

const isClear = (one: Ground, other: Ground): boolean =>
  Math.abs(one.x - other.x) >= one.halfX + other.halfX + APART_MM - 0.5 ||
  Math.abs(one.y - other.y) >= one.halfY + other.halfY + APART_MM - 0.5

/**
 * A cake like the first tier on the free place nearest the middle of the board, and how wide the board must be for it;
 * null where no place is free.
 */
export function oneBeside(
  { board, tiers }: Cake,
  id: string,
): { readonly tier: Tier; readonly boardAcrossMm: number } | null {
  const first = tiers[0]!
  const grounds = stackTiers({ tiers }).map(groundOf)
  const own = grounds[0]!
  const steps = Array.from({ length: 2 * PLACES + 1 }, (_, at) => at - PLACES)
  const places = steps.flatMap((column) =>
    steps.map((row) => ({
      x: Math.round(first.offset.rightMm + column * (2 * own.halfX + APART_MM)),
      y: Math.round(first.offset.backMm + row * (2 * own.halfY + APART_MM)),
    })),
  )
  // Beside one another rather than behind, to the right rather than to the left.
  const distance = ({ x, y }: { readonly x: number; readonly y: number }): number =>
    Math.hypot(x, 1.05 * y) + (x < 0 ? 0.3 : 0) + (y < 0 ? 0.6 : 0)
  const found = places
    .filter((place) => grounds.every((other) => isClear({ ...own, ...place }, other)))
    .filter(({ x, y }) => tierSchema.shape.offset.safeParse({ rightMm: x, backMm: y }).success)
    .sort((one, other) => distance(one) - distance(other))[0]
  if (!found) return null
  const tier: Tier = { ...first, id, stands: 'loose', spacer: null, offset: { rightMm: found.x, backMm: found.y } }
  const corners = stackTiers({ tiers: [...tiers, tier] }).flatMap(({ shape, turnDeg, middle }) =>
    edgePoints(shape, turnDeg, middle).map(({ x, y }) =>
      board.outline === 'round' ? Math.hypot(x, y) : Math.max(Math.abs(x), Math.abs(y)),
    ),
  )
  const wanted = Math.ceil((2 * (Math.max(...corners) + FROM_EDGE_MM)) / ROUNDED_MM) * ROUNDED_MM
  return { tier, boardAcrossMm: Math.min(WIDEST_BOARD_MM, Math.max(board.acrossMm, wanted)) }
}
