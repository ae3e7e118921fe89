/** Sheets as rooms beside each other, as a search walks them. */

import { convexOf, type Convex } from './convex'
import { hullOf, type Turned } from './turned'
import { EDGE_WEIGHT, placeIn, type Room } from './room'

/** A room of which only the part below (or left of) a limit is used. */
export function cappedRoom(room: Room, along: 'x' | 'y', limit: number): Room {
  const over = (piece: Turned, x: number, y: number): readonly [number, number] => {
    if ((along === 'x' ? x : y) + piece.hullRadius <= limit) return [0, 0]
    const corners = along === 'x' ? hullOf(piece).hullX : hullOf(piece).hullY
    let most = 0
    for (let at = 1; at < corners.length; at += 1) if (corners[at]! > corners[most]!) most = at
    return [Math.max(0, (along === 'x' ? x : y) + corners[most]! - limit), most]
  }
  const [right, high] =
    along === 'x' ? [Math.min(room.right, limit), room.high] : [room.right, Math.min(room.high, limit)]
  return {
    ...room,
    right,
    high,
    anyPlace: placeIn(room.left, room.low, right, high),
    press: (piece, x, y) => room.press(piece, x, y) + EDGE_WEIGHT * over(piece, x, y)[0] ** 2,
    push: (piece, at, index, arm, gradient) => {
      const sum = room.push(piece, at, index, arm, gradient)
      const [out, corner] = over(piece, at[index]!, at[index + 1]!)
      if (out === 0) return sum
      const force = 2 * EDGE_WEIGHT * out
      gradient[index + (along === 'x' ? 0 : 1)]! += force
      if (arm > 0)
        gradient[index + 2]! += (force * (along === 'x' ? -piece.hullY[corner]! : piece.hullX[corner]!)) / arm
      return sum + EDGE_WEIGHT * out * out
    },
  }
}

/** Where a room stands when several stand side by side: too far apart for a piece to reach from one into the next. */
export type Standing = { readonly room: Room; readonly moveX: number; readonly moveY: number }

const moved = ({ x, y }: Convex, moveX: number, moveY: number): Convex =>
  convexOf(Array.from(x, (each, at) => [each + moveX, y[at]! + moveY] as const))

/** Rooms in a row, `apartMm` between them, as one room; a piece belongs to the one that its middle is nearest to. */
export function roomsInRow(
  rooms: readonly Room[],
  apartMm: number,
): { readonly room: Room; readonly standing: readonly Standing[] } {
  const standing: Standing[] = []
  const until: number[] = []
  let at = 0
  for (const room of rooms) {
    standing.push({ room, moveX: at - room.left, moveY: -room.low })
    at += room.right - room.left + apartMm
    until.push(at - apartMm / 2)
  }
  const nearest = (x: number): Standing =>
    standing[
      Math.min(
        until.length - 1,
        until.findIndex((end) => x < end) < 0 ? until.length - 1 : until.findIndex((end) => x < end),
      )
    ]!
  const own = new Float64Array(3)
  const withOwn = <Outcome>(
    point: Float64Array,
    index: number,
    { moveX, moveY }: Standing,
    then: () => Outcome,
  ): Outcome => {
    own[0] = point[index]! - moveX
    own[1] = point[index + 1]! - moveY
    own[2] = point[index + 2]!
    return then()
  }
  const slope = new Float64Array(3)
  const pushOwn = (
    push: (own: Float64Array, slope: Float64Array) => number,
    gradient: Float64Array,
    index: number,
  ): number => {
    slope.fill(0)
    const sum = push(own, slope)
    for (let each = 0; each < 3; each += 1) gradient[index + each]! += slope[each]!
    return sum
  }
  const high = Math.max(...rooms.map((room) => room.high - room.low))
  const areas = rooms.map((room) => (room.right - room.left) * (room.high - room.low))
  const total = areas.reduce((sum, area) => sum + area, 0)
  return {
    standing,
    room: {
      kind: 'rect',
      left: 0,
      low: 0,
      right: at - apartMm,
      high,
      obstacles: standing.flatMap(({ room, moveX, moveY }) => room.obstacles.map((each) => moved(each, moveX, moveY))),
      anyPlace: (piece, stream) => {
        let share = stream() * total
        const chosen = areas.findIndex((area) => (share -= area) < 0)
        const { room, moveX, moveY } = standing[chosen < 0 ? 0 : chosen]!
        const { x, y } = room.anyPlace(piece, stream)
        return { x: x + moveX, y: y + moveY }
      },
      press: (piece, x, y) => {
        const { room, moveX, moveY } = nearest(x)
        return room.press(piece, x - moveX, y - moveY)
      },
      push: (piece, point, index, arm, gradient) => {
        const stands = nearest(point[index]!)
        return withOwn(point, index, stands, () =>
          pushOwn((mine, forces) => stands.room.push(piece, mine, 0, arm, forces), gradient, index),
        )
      },
      pressOfObstacles: (piece, radius, x, y, most) => {
        const { room, moveX, moveY } = nearest(x)
        return room.pressOfObstacles(piece, radius, x - moveX, y - moveY, most)
      },
      pushOfObstacles: (piece, radius, point, index, arm, gradient) => {
        const stands = nearest(point[index]!)
        return withOwn(point, index, stands, () =>
          pushOwn((mine, forces) => stands.room.pushOfObstacles(piece, radius, mine, 0, arm, forces), gradient, index),
        )
      },
    },
  }
}
