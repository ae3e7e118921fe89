/** The free part of a sheet: where pieces may lie, and how hard its edges push back what sticks out. */
import type { Convex } from './convex'
import { hullOf, spanOf, type Turned } from './turned'
import { between } from '../../quantity'
import { depthBetween, noContact } from './depth'

/** Edges push harder than pieces: a sheet does not give way. */
export const EDGE_WEIGHT = 2
const OBSTACLE_CLEARANCE_MM = 0.002

export type Room = {
  readonly kind: 'rect' | 'disc'
  /** Lower left and upper right of the free part, mm on its sheet. */
  readonly left: number
  readonly low: number
  readonly right: number
  readonly high: number
  /** Squared distances by which a piece sticks out. */
  readonly press: (piece: Turned, x: number, y: number) => number
  /**
   * The same, with forces written into the gradient of x, y and turn from `index` on. `arm` 0 means that it may not
   * turn.
   */
  readonly push: (piece: Turned, at: Float64Array, index: number, arm: number, gradient: Float64Array) => number
  /** A random place at which a turned piece lies within the extent of the room. */
  readonly anyPlace: (piece: Turned, stream: () => number) => { readonly x: number; readonly y: number }
  /** What must be kept free inside, in the sheet's coordinates. */
  readonly obstacles: readonly Convex[]
  readonly pressOfObstacles: (piece: Turned, radius: number, x: number, y: number, most: number) => number
  readonly pushOfObstacles: (
    piece: Turned,
    radius: number,
    at: Float64Array,
    index: number,
    arm: number,
    gradient: Float64Array,
  ) => number
}

/** A rectangle; what must be kept free inside it is given as convexes in its coordinates. */
export function rectangleRoom(
  left: number,
  low: number,
  right: number,
  high: number,
  obstacles: readonly Convex[] = [],
): Room {
  const isClear = ({ hullRadius }: Turned, x: number, y: number): boolean =>
    x - hullRadius >= left && x + hullRadius <= right && y - hullRadius >= low && y + hullRadius <= high
  const press = (piece: Turned, x: number, y: number): number => {
    if (isClear(piece, x, y)) return 0
    const { hullX, hullY } = hullOf(piece)
    let [least, most, lowest, highest] = [Infinity, -Infinity, Infinity, -Infinity]
    for (let at = 0; at < hullX.length; at += 1) {
      const [cornerX, cornerY] = [hullX[at]!, hullY[at]!]
      if (cornerX < least) least = cornerX
      if (cornerX > most) most = cornerX
      if (cornerY < lowest) lowest = cornerY
      if (cornerY > highest) highest = cornerY
    }
    return (
      EDGE_WEIGHT *
      (Math.max(0, left - x - least) ** 2 +
        Math.max(0, x + most - right) ** 2 +
        Math.max(0, low - y - lowest) ** 2 +
        Math.max(0, y + highest - high) ** 2)
    )
  }
  const push: Room['push'] = (piece, at, index, arm, gradient) => {
    const [x, y] = [at[index]!, at[index + 1]!]
    if (isClear(piece, x, y)) return 0
    const { hullX, hullY } = hullOf(piece)
    let [least, most, lowest, highest] = [0, 0, 0, 0]
    for (let corner = 1; corner < hullX.length; corner += 1) {
      if (hullX[corner]! < hullX[least]!) least = corner
      if (hullX[corner]! > hullX[most]!) most = corner
      if (hullY[corner]! < hullY[lowest]!) lowest = corner
      if (hullY[corner]! > hullY[highest]!) highest = corner
    }
    let sum = 0
    const overX = Math.max(0, x + hullX[most]! - right)
    const underX = Math.max(0, left - x - hullX[least]!)
    const overY = Math.max(0, y + hullY[highest]! - high)
    const underY = Math.max(0, low - y - hullY[lowest]!)
    if (overX > 0 || underX > 0) {
      sum += EDGE_WEIGHT * (overX ** 2 + underX ** 2)
      gradient[index]! += 2 * EDGE_WEIGHT * (overX - underX)
      if (arm > 0) gradient[index + 2]! += (2 * EDGE_WEIGHT * (-overX * hullY[most]! + underX * hullY[least]!)) / arm
    }
    if (overY > 0 || underY > 0) {
      sum += EDGE_WEIGHT * (overY ** 2 + underY ** 2)
      gradient[index + 1]! += 2 * EDGE_WEIGHT * (overY - underY)
      if (arm > 0) gradient[index + 2]! += (2 * EDGE_WEIGHT * (overY * hullX[highest]! - underY * hullX[lowest]!)) / arm
    }
    return sum
  }
  return {
    kind: 'rect',
    left,
    low,
    right,
    high,
    press,
    push,
    anyPlace: placeIn(left, low, right, high),
    ...obstaclesIn(obstacles),
  }
}

export const placeIn =
  (left: number, low: number, right: number, high: number): Room['anyPlace'] =>
  (piece, stream) => {
    const span = spanOf(piece)
    return {
      x: between(stream, left - span.left, Math.max(left - span.left, right - span.right)),
      y: between(stream, low - span.low, Math.max(low - span.low, high - span.high)),
    }
  }

/** A disc, tested by radius. */
export function discRoom(middleX: number, middleY: number, radius: number): Room {
  const isClear = ({ hullRadius }: Turned, fromX: number, fromY: number): boolean =>
    Math.hypot(fromX, fromY) + hullRadius <= radius
  const press = (piece: Turned, x: number, y: number): number => {
    let sum = 0
    const [fromX, fromY] = [x - middleX, y - middleY]
    if (isClear(piece, fromX, fromY)) return 0
    const { hullX, hullY } = hullOf(piece)
    for (let at = 0; at < hullX.length; at += 1) {
      const away = (fromX + hullX[at]!) ** 2 + (fromY + hullY[at]!) ** 2
      if (away > radius * radius) sum += (Math.sqrt(away) - radius) ** 2
    }
    return EDGE_WEIGHT * sum
  }
  const push: Room['push'] = (piece, at, index, arm, gradient) => {
    const [fromX, fromY] = [at[index]! - middleX, at[index + 1]! - middleY]
    if (isClear(piece, fromX, fromY)) return 0
    const { hullX, hullY } = hullOf(piece)
    let sum = 0
    for (let corner = 0; corner < hullX.length; corner += 1) {
      const [cornerX, cornerY] = [fromX + hullX[corner]!, fromY + hullY[corner]!]
      const away2 = cornerX * cornerX + cornerY * cornerY
      if (away2 <= radius * radius) continue
      const away = Math.sqrt(away2)
      const out = away - radius
      sum += EDGE_WEIGHT * out * out
      const [forceX, forceY] = [(2 * EDGE_WEIGHT * out * cornerX) / away, (2 * EDGE_WEIGHT * out * cornerY) / away]
      gradient[index]! += forceX
      gradient[index + 1]! += forceY
      if (arm > 0) gradient[index + 2]! += (hullX[corner]! * forceY - hullY[corner]! * forceX) / arm
    }
    return sum
  }
  return {
    kind: 'disc',
    left: middleX - radius,
    low: middleY - radius,
    right: middleX + radius,
    high: middleY + radius,
    press,
    push,
    anyPlace: placeIn(middleX - radius, middleY - radius, middleX + radius, middleY + radius),
    ...obstaclesIn([]),
  }
}

function obstaclesIn(obstacles: readonly Convex[]): Pick<Room, 'obstacles' | 'pressOfObstacles' | 'pushOfObstacles'> {
  const contact = noContact()
  const isFar = (obstacle: Convex, radius: number, x: number, y: number): boolean => {
    const reach = obstacle.radius + radius + OBSTACLE_CLEARANCE_MM
    return (obstacle.middleX - x) ** 2 + (obstacle.middleY - y) ** 2 >= reach * reach
  }
  return {
    obstacles,
    pressOfObstacles: ({ convexes }, radius, x, y, most) => {
      let sum = 0
      for (const obstacle of obstacles) {
        if (isFar(obstacle, radius, x, y)) continue
        for (const convex of convexes) {
          sum += EDGE_WEIGHT * depthBetween(convex, obstacle, -x, -y, OBSTACLE_CLEARANCE_MM, contact) ** 2
          if (sum > most) return sum
        }
      }
      return sum
    },
    pushOfObstacles: ({ convexes }, radius, at, index, arm, gradient) => {
      const [x, y] = [at[index]!, at[index + 1]!]
      let sum = 0
      for (const obstacle of obstacles) {
        if (isFar(obstacle, radius, x, y)) continue
        for (const convex of convexes) {
          const depth = depthBetween(convex, obstacle, -x, -y, OBSTACLE_CLEARANCE_MM, contact)
          if (depth <= 0) continue
          sum += EDGE_WEIGHT * depth * depth
          const [forceX, forceY] = [2 * EDGE_WEIGHT * depth * contact.axisX, 2 * EDGE_WEIGHT * depth * contact.axisY]
          gradient[index]! += forceX
          gradient[index + 1]! += forceY
          if (arm > 0) gradient[index + 2]! += (contact.atX * forceY - contact.atY * forceX) / arm
        }
      }
      return sum
    },
  }
}
