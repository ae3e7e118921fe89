/** How much a crowd of pieces presses, and which of them are in trouble. */
import { depthBetween, noContact } from './depth'
import type { Shape } from './shape'
import { turnTo, type Turned } from './turned'
import { CLEARANCE_MM, TOLERANCE_MM, MOST_PIECES, pairKey, type Crowd } from './crowd'

const contact = noContact()

/** Squared depths between two pieces, summed; stops when it is more than `most`. */
function pressBetween(one: Turned, other: Turned, moveX: number, moveY: number, most: number): number {
  let sum = 0
  for (const convex of one.convexes) {
    for (const against of other.convexes) {
      const depth = depthBetween(convex, against, moveX, moveY, CLEARANCE_MM, contact)
      if (depth > 0) {
        sum += depth * depth
        if (sum > most) return sum
      }
    }
  }
  return sum
}

/**
 * How hard a piece would be pressed at a place, by all others but `except` and by the edges; stops when it is more
 * than `most`.
 */
export function pressAt(
  { room, shapes, turned, x, y, weights }: Crowd,
  shape: Shape,
  piece: Turned,
  atX: number,
  atY: number,
  except: number,
  most: number,
): number {
  let sum = room.press(piece, atX, atY) + room.pressOfObstacles(piece, shape.radius, atX, atY, most)
  for (let other = 0; other < shapes.length && sum <= most; other += 1) {
    if (other === except) continue
    const [moveX, moveY] = [x[other]! - atX, y[other]! - atY]
    const reach = shape.radius + shapes[other]!.radius + CLEARANCE_MM
    if (moveX * moveX + moveY * moveY >= reach * reach) continue
    const weight = except >= 0 ? (weights.get(pairKey(except, other)) ?? 1) : 1
    sum += weight * pressBetween(piece, turned[other]!, moveX, moveY, (most - sum) / weight)
  }
  return sum
}

/** Pairs near enough to meet while none moves farther than half the skin. */
type Near = { pairs: Int32Array; count: number; readonly x: Float64Array; readonly y: Float64Array }
const SKIN_MM = 4

/**
 * The crowd as an energy to walk down: x and y of each piece, and its turn as a length on its rim when it may turn
 * freely.
 * The energy is the weighted sum of squared depths; forces follow from the deepest contact of each pair of convexes.
 */
export function energyOf(crowd: Crowd): {
  readonly at: Float64Array
  readonly energy: (at: Float64Array, gradient: Float64Array) => number
  readonly write: (at: Float64Array) => void
} {
  const { room, shapes, turned, x, y, weights, still } = crowd
  const count = shapes.length
  const free = shapes.map(({ turns }) => turns === null)
  const arm = shapes.map(({ radius }) => radius * 0.6)
  const at = new Float64Array(count * 3)
  for (let piece = 0; piece < count; piece += 1) {
    at[piece * 3] = x[piece]!
    at[piece * 3 + 1] = y[piece]!
    at[piece * 3 + 2] = free[piece] ? turned[piece]!.turn * arm[piece]! : 0
  }
  const start = at.slice()
  const startTurn = turned.map(({ turn }) => turn)
  const moved = new Uint8Array(count)
  const near: Near = {
    pairs: new Int32Array(count * 16),
    count: -1,
    x: new Float64Array(count),
    y: new Float64Array(count),
  }

  const energy = (point: Float64Array, gradient: Float64Array): number => {
    gradient.fill(0)
    refreshNear(near, point, shapes)
    let sum = 0
    for (let piece = 0; piece < count; piece += 1) {
      const stays =
        still[piece]! &&
        point[piece * 3] === start[piece * 3] &&
        point[piece * 3 + 1] === start[piece * 3 + 1] &&
        point[piece * 3 + 2] === start[piece * 3 + 2]
      moved[piece] = stays ? 0 : 1
      if (free[piece])
        turnTo(
          turned[piece]!,
          point[piece * 3 + 2] === start[piece * 3 + 2] ? startTurn[piece]! : point[piece * 3 + 2]! / arm[piece]!,
        )
      if (stays) continue
      sum += room.push(turned[piece]!, point, piece * 3, free[piece]! ? arm[piece]! : 0, gradient)
      if (room.obstacles.length > 0)
        sum += room.pushOfObstacles(
          turned[piece]!,
          shapes[piece]!.radius,
          point,
          piece * 3,
          free[piece]! ? arm[piece]! : 0,
          gradient,
        )
    }
    for (let index = 0; index < near.count; index += 2) {
      const [one, other] = [near.pairs[index]!, near.pairs[index + 1]!]
      if (moved[one] === 0 && moved[other] === 0) continue
      const moveX = point[other * 3]! - point[one * 3]!
      const moveY = point[other * 3 + 1]! - point[one * 3 + 1]!
      const reach = shapes[one]!.radius + shapes[other]!.radius + CLEARANCE_MM
      if (moveX * moveX + moveY * moveY >= reach * reach) continue
      let weight = -1
      for (const convex of turned[one]!.convexes) {
        for (const against of turned[other]!.convexes) {
          const depth = depthBetween(convex, against, moveX, moveY, CLEARANCE_MM, contact)
          if (depth <= 0) continue
          if (weight < 0) weight = weights.get(one * MOST_PIECES + other) ?? 1
          sum += weight * depth * depth
          const force = 2 * weight * depth
          const [forceX, forceY] = [force * contact.axisX, force * contact.axisY]
          gradient[one * 3]! += forceX
          gradient[one * 3 + 1]! += forceY
          gradient[other * 3]! -= forceX
          gradient[other * 3 + 1]! -= forceY
          if (free[one]) gradient[one * 3 + 2]! += (contact.atX * forceY - contact.atY * forceX) / arm[one]!
          if (free[other])
            gradient[other * 3 + 2]! -= ((contact.atX - moveX) * forceY - (contact.atY - moveY) * forceX) / arm[other]!
        }
      }
    }
    return sum
  }

  const write = (point: Float64Array): void => {
    for (let piece = 0; piece < count; piece += 1) {
      const [atX, atY, turn] = [point[piece * 3]!, point[piece * 3 + 1]!, point[piece * 3 + 2]!]
      const hasTurned = free[piece]! && turn !== start[piece * 3 + 2]
      still[piece] = still[piece]! && atX === x[piece] && atY === y[piece] && !hasTurned
      x[piece] = atX
      y[piece] = atY
      if (free[piece]) turnTo(turned[piece]!, hasTurned ? turn / arm[piece]! : startTurn[piece]!)
    }
  }
  return { at, energy, write }
}

function refreshNear(near: Near, point: Float64Array, shapes: readonly Shape[]): void {
  const count = shapes.length
  if (near.count >= 0) {
    let moved = false
    for (let piece = 0; piece < count && !moved; piece += 1)
      moved =
        Math.abs(point[piece * 3]! - near.x[piece]!) > SKIN_MM / 3 ||
        Math.abs(point[piece * 3 + 1]! - near.y[piece]!) > SKIN_MM / 3
    if (!moved) return
  }
  near.count = 0
  for (let one = 0; one < count; one += 1) {
    near.x[one] = point[one * 3]!
    near.y[one] = point[one * 3 + 1]!
    for (let other = one + 1; other < count; other += 1) {
      const [moveX, moveY] = [point[other * 3]! - point[one * 3]!, point[other * 3 + 1]! - point[one * 3 + 1]!]
      const reach = shapes[one]!.radius + shapes[other]!.radius + SKIN_MM
      if (moveX * moveX + moveY * moveY >= reach * reach) continue
      if (near.count + 2 > near.pairs.length) {
        const larger = new Int32Array(near.pairs.length * 2)
        larger.set(near.pairs)
        near.pairs = larger
      }
      near.pairs[near.count] = one
      near.pairs[near.count + 1] = other
      near.count += 2
    }
  }
}

/** What is still wrong: pairs that overlap with how deep, and how hard each piece is pressed. */
export type Trouble = {
  readonly deepest: number
  readonly pairs: readonly { readonly one: number; readonly other: number; readonly depth: number }[]
  readonly pressed: Float64Array
}

/** The overlaps of a crowd as it lies, without clearance: deepest 0 means that the sheet can be cut. */
export function troubleOf(crowd: Crowd): Trouble {
  const { room, shapes, turned, x, y, still } = crowd
  const pressed = new Float64Array(shapes.length)
  const pairs: { one: number; other: number; depth: number }[] = []
  let deepest = 0
  for (let one = 0; one < shapes.length; one += 1) {
    const outside = still[one]
      ? 0
      : Math.sqrt(
          Math.max(
            room.press(turned[one]!, x[one]!, y[one]!),
            room.pressOfObstacles(turned[one]!, shapes[one]!.radius, x[one]!, y[one]!, Infinity),
          ),
        )
    if (outside > TOLERANCE_MM + (room.obstacles.length > 0 ? CLEARANCE_MM : 0)) {
      deepest = Math.max(deepest, outside)
      pressed[one]! += outside * outside
    }
    for (let other = one + 1; other < shapes.length; other += 1) {
      if (still[one] && still[other]) continue
      const [moveX, moveY] = [x[other]! - x[one]!, y[other]! - y[one]!]
      const reach = shapes[one]!.radius + shapes[other]!.radius
      if (moveX * moveX + moveY * moveY >= reach * reach) continue
      let depth = 0
      for (const convex of turned[one]!.convexes)
        for (const against of turned[other]!.convexes)
          depth = Math.max(depth, depthBetween(convex, against, moveX, moveY, 0, contact))
      if (depth <= TOLERANCE_MM) continue
      deepest = Math.max(deepest, depth)
      pressed[one]! += depth * depth
      pressed[other]! += depth * depth
      pairs.push({ one, other, depth })
    }
  }
  return { deepest, pairs, pressed }
}

/** Pairs that still overlap weigh more from now on, the deepest most; the others lose a little. */
export function raiseWeights({ weights }: Crowd, { pairs }: Trouble): void {
  const deepest = pairs.reduce((most, { depth }) => Math.max(most, depth), 0)
  for (const [key, weight] of weights) {
    if (weight < 1.05) weights.delete(key)
    else weights.set(key, weight * 0.97)
  }
  for (const { one, other, depth } of pairs) {
    const key = pairKey(one, other)
    weights.set(key, Math.min(1e4, (weights.get(key) ?? 1) * (1.2 + (0.8 * depth) / deepest)))
  }
}
