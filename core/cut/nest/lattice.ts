/**
 * Rows of equal pieces, every other one turned by half a round where it may: how most of a sheet of one shape is best
 * filled.
 */
import { between } from '../../quantity'
import { spanOf, turnedCopy, turnTo, type Turned } from './turned'
import type { Room } from './room'
import type { Shape } from './shape'
import { clearAfter } from './slide'

/**
 * A lattice whose rows run along x (or along y, for the same turned by a quarter). In a row, pieces follow at
 * `pitchMm`; between two of them lies one turned by half a round, `partner` from the first.
 * The next row is `riseMm` higher and `shiftMm` along.
 */
export type Lattice = {
  readonly shape: Shape
  readonly turn: number
  readonly partner: { readonly x: number; readonly y: number } | null
  readonly pitchMm: number
  readonly riseMm: number
  readonly shiftMm: number
  /** How high one row alone is, as cut. */
  readonly rowMm: number
}

const heightOf = (piece: Turned): number => spanOf(piece).high - spanOf(piece).low

export const HALF_ROUND = Math.PI
const isSameTurn = (one: number, other: number): boolean => Math.abs(Math.cos(one - other) - 1) < 1e-9

/** The lattice of a turn, with its partner so much higher and the next row so much along; as dense as those allow. */
function latticeOf(
  shape: Shape,
  turn: number,
  one: Turned,
  partnerUp: number | null,
  shiftShare: number,
  other: Turned,
): Lattice {
  turnTo(one, turn)
  const self = clearAfter(one, one, 0, 0, 1, 0, 0)
  if (partnerUp === null) {
    const pitchMm = pitchOf([[one, one, 0, 0]], shape.radius, self)
    return {
      shape,
      turn,
      partner: null,
      rowMm: heightOf(one),
      pitchMm,
      shiftMm: shiftShare * pitchMm,
      riseMm: riseOf([[one, 0, 0]], shape.radius, pitchMm, shiftShare * pitchMm),
    }
  }
  turnTo(other, turn + HALF_ROUND)
  const partnerX = clearAfter(one, other, 0, partnerUp, 1, 0, 0)
  const pitchMm = pitchOf(
    [
      [one, one, 0, 0],
      [other, one, -partnerX, -partnerUp],
      [one, other, partnerX, partnerUp],
    ],
    shape.radius,
    Math.max(self, partnerX),
  )
  return {
    shape,
    turn,
    partner: { x: partnerX, y: partnerUp },
    rowMm:
      Math.max(spanOf(one).high, partnerUp + spanOf(other).high) -
      Math.min(spanOf(one).low, partnerUp + spanOf(other).low),
    pitchMm,
    shiftMm: shiftShare * pitchMm,
    riseMm: riseOf(
      [
        [one, 0, 0],
        [other, partnerX, partnerUp],
      ],
      shape.radius,
      pitchMm,
      shiftShare * pitchMm,
    ),
  }
}

/** The least pitch from `from` at which pieces of a row clear one another, however many pitches apart they are. */
function pitchOf(pairs: readonly (readonly [Turned, Turned, number, number])[], radius: number, from: number): number {
  let pitch = from
  for (let apart = 1; apart <= MOST_PITCHES_APART && (apart - 1) * pitch < 3 * radius; apart += 1) {
    for (const [one, other, x, y] of pairs) {
      const clear = clearAfter(one, other, x, y, 1, 0, apart * pitch)
      if (clear > apart * pitch + 1e-9) {
        pitch = clear / apart
        apart = 0
        break
      }
    }
  }
  return pitch
}

const MOST_PITCHES_APART = 12

/** How high the next row must be to clear this one, and every row farther up to clear it too. */
function riseOf(
  row: readonly (readonly [Turned, number, number])[],
  radius: number,
  pitchMm: number,
  shiftMm: number,
): number {
  let rise = 0
  for (
    let apartRows = 1;
    apartRows === 1 || (rise > 0 && apartRows * rise < 2 * radius && apartRows <= MOST_ROWS_APART);
    apartRows += 1
  ) {
    for (const [below, belowX, belowY] of row) {
      for (const [above, aboveX, aboveY] of row) {
        const start = aboveX - belowX + apartRows * shiftMm
        for (let step = Math.ceil((-2 * radius - start) / pitchMm); start + step * pitchMm < 2 * radius; step += 1) {
          const clear = clearAfter(below, above, start + step * pitchMm, aboveY - belowY, 0, 1, apartRows * rise)
          rise = Math.max(rise, clear / apartRows)
        }
      }
    }
  }
  return rise
}

const MOST_ROWS_APART = 8

/** How many pieces rows in a box take, about; between whole counts, the denser lattice is worth more. */
function worthIn(
  { shape, pitchMm, riseMm, rowMm, partner }: Lattice,
  one: Turned,
  widthMm: number,
  heightMm: number,
): number {
  const { left, right } = spanOf(one)
  if (right - left > widthMm || rowMm > heightMm || riseMm <= 0) return 0
  const rows = Math.floor((heightMm - rowMm) / riseMm) + 1
  const alone = Math.floor((widthMm - (right - left)) / pitchMm) + 1
  const withPartner = partner ? Math.floor((widthMm - (right - left) - partner.x) / pitchMm) + 1 : 0
  const dense = ((partner ? 2 : 1) * shape.areaMm2) / (pitchMm * riseMm)
  return rows * (alone + Math.max(0, withPartner)) * (1 + 0.2 * dense)
}

/**
 * Good lattices of a shape for a room, the best first: turns, heights of the partner and shifts are tried at random,
 * and the best are varied a little.
 * @param tries lattices to look at
 */
export function findLattices(shape: Shape, room: Room, stream: () => number, tries: number): readonly Lattice[] {
  const one = turnedCopy(shape.faces[0]!, 0)
  const other = turnedCopy(shape.faces[0]!, HALF_ROUND)
  const { turns, isRound, radius } = shape
  const canPair =
    !isRound && (turns === null || turns.some((turn) => turns.some((each) => isSameTurn(each, turn + HALF_ROUND))))
  const [widthMm, heightMm] = [room.right - room.left, room.high - room.low]
  const found: { readonly lattice: Lattice; readonly worth: number }[] = []
  const anyTurn = (): number =>
    isRound ? 0 : turns ? turns[Math.floor(stream() * turns.length)]! : stream() * 2 * Math.PI
  for (let attempt = 0; attempt < tries; attempt += 1) {
    const near =
      attempt > tries * 0.4 && found.length > 0
        ? found[Math.floor(stream() ** 2 * Math.min(6, found.length))]!.lattice
        : null
    const wide = 0.3 * (1 - attempt / tries) ** 2 + 0.002
    const turn = near ? (turns ? near.turn : near.turn + between(stream, -wide, wide)) : anyTurn()
    const hasPartner = canPair && (turns === null || turns.some((each) => isSameTurn(each, turn + HALF_ROUND)))
    const partnerUp = !hasPartner
      ? null
      : near?.partner
        ? near.partner.y + between(stream, -wide, wide) * radius
        : stream() < 0.25
          ? 0
          : between(stream, -1, 1) * radius
    const shift = near ? near.shiftMm / near.pitchMm + between(stream, -wide, wide) : isRound ? 0.5 : stream()
    const lattice = latticeOf(shape, turn, one, partnerUp, shift - Math.floor(shift), other)
    const worth = worthIn(lattice, one, widthMm, heightMm)
    if (worth <= 0) continue
    const alike = found.findIndex((each) => isAlike(each.lattice, lattice))
    if (alike >= 0) {
      if (found[alike]!.worth >= worth) continue
      found.splice(alike, 1)
    }
    const at = found.findIndex((each) => each.worth < worth)
    found.splice(at < 0 ? found.length : at, 0, { lattice, worth })
    if (found.length > MOST_LATTICES) found.pop()
  }
  return found.map(({ lattice }) => lattice)
}

/** Rows about as high and as far apart are the same rows, better or worse. */
const isAlike = (one: Lattice, other: Lattice): boolean =>
  Math.abs(one.rowMm - other.rowMm) < ALIKE_MM && Math.abs(one.riseMm - other.riseMm) < ALIKE_MM

const ALIKE_MM = 1.5

const MOST_LATTICES = 8
