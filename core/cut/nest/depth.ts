/** How deep two convex shapes lie in each other, and which way is out. */
import { isDisc, type Convex } from './convex'

/**
 * How two convexes overlap: how deep, along which direction the second must move out, and where they touch, from the
 * first's middle.
 */
export type Contact = { depth: number; axisX: number; axisY: number; atX: number; atY: number }

export const noContact = (): Contact => ({ depth: 0, axisX: 0, axisY: 0, atX: 0, atY: 0 })

/**
 * Depth by which two convexes overlap, or come closer than a clearance; 0 when they are apart. The shortest way out
 * among the normals of both (separating axes).
 *
 * @param moveX where the second part's middle is, from the first's, mm
 * @param contact filled when the depth is above 0
 */
export function depthBetween(
  one: Convex,
  other: Convex,
  moveX: number,
  moveY: number,
  clearance: number,
  contact: Contact,
): number {
  const betweenX = moveX + other.middleX - one.middleX
  const betweenY = moveY + other.middleY - one.middleY
  const reach = one.radius + other.radius + clearance
  if (betweenX * betweenX + betweenY * betweenY >= reach * reach) return 0
  if (isDisc(one))
    return isDisc(other)
      ? discDepth(one, betweenX, betweenY, reach, contact)
      : discInPolygon(one, other, moveX, moveY, clearance, contact)
  if (isDisc(other)) return polygonOnDisc(one, other, moveX, moveY, clearance, contact)
  return polygonDepth(one, other, moveX, moveY, clearance, contact)
}

function discDepth(one: Convex, betweenX: number, betweenY: number, reach: number, contact: Contact): number {
  const apart = Math.hypot(betweenX, betweenY)
  const depth = reach - apart
  if (depth <= 0) return 0
  contact.depth = depth
  contact.axisX = apart > 1e-12 ? betweenX / apart : 1
  contact.axisY = apart > 1e-12 ? betweenY / apart : 0
  contact.atX = one.middleX + contact.axisX * one.radius
  contact.atY = one.middleY + contact.axisY * one.radius
  return depth
}

function polygonOnDisc(
  one: Convex,
  disc: Convex,
  moveX: number,
  moveY: number,
  clearance: number,
  contact: Contact,
): number {
  const { x, y, normalX, normalY, offset } = one
  const count = x.length
  const [centreX, centreY] = [moveX + disc.middleX, moveY + disc.middleY]
  let [most, edge] = [-Infinity, 0]
  for (let at = 0; at < count; at += 1) {
    const out = normalX[at]! * centreX + normalY[at]! * centreY - offset[at]!
    if (out > most) {
      most = out
      edge = at
    }
  }
  let [axisX, axisY, out] = [normalX[edge]!, normalY[edge]!, most]
  if (most > 0) {
    const next = edge + 1 === count ? 0 : edge + 1
    const along = -axisY * (centreX - x[edge]!) + axisX * (centreY - y[edge]!)
    const length = -axisY * (x[next]! - x[edge]!) + axisX * (y[next]! - y[edge]!)
    const corner = along < 0 ? edge : along > length ? next : -1
    if (corner >= 0) {
      const [awayX, awayY] = [centreX - x[corner]!, centreY - y[corner]!]
      out = Math.hypot(awayX, awayY)
      axisX = awayX / out
      axisY = awayY / out
    }
  }
  const depth = disc.radius + clearance - out
  if (depth <= 0) return 0
  contact.depth = depth
  contact.axisX = axisX
  contact.axisY = axisY
  contact.atX = centreX - axisX * disc.radius
  contact.atY = centreY - axisY * disc.radius
  return depth
}

function discInPolygon(
  disc: Convex,
  other: Convex,
  moveX: number,
  moveY: number,
  clearance: number,
  contact: Contact,
): number {
  const depth = polygonOnDisc(other, disc, -moveX, -moveY, clearance, contact)
  if (depth <= 0) return 0
  contact.axisX = -contact.axisX
  contact.axisY = -contact.axisY
  contact.atX += moveX
  contact.atY += moveY
  return depth
}

/**
 * The least depth among the normals of both. A normal cannot be the least when the other's middle alone lies deeper
 * along it than the best so far;
 * the most promising normal of each comes first, so that most others, and most pairs that are apart, cost one
 * multiplication a corner.
 */
function polygonDepth(
  one: Convex,
  other: Convex,
  moveX: number,
  moveY: number,
  clearance: number,
  contact: Contact,
): number {
  const [toX, toY] = [moveX + other.middleX, moveY + other.middleY]
  const [backX, backY] = [one.middleX - moveX, one.middleY - moveY]
  const first = facing(one, toX, toY)
  let corner = lowest(other, one.normalX[first]!, one.normalY[first]!)
  let best =
    one.offset[first]! +
    clearance -
    one.normalX[first]! * (other.x[corner]! + moveX) -
    one.normalY[first]! * (other.y[corner]! + moveY)
  if (best <= 0) return 0
  let [edge, ofOther, touching] = [first, false, corner]

  const second = facing(other, backX, backY)
  corner = lowest(one, other.normalX[second]!, other.normalY[second]!)
  const depth =
    other.offset[second]! +
    clearance -
    other.normalX[second]! * (one.x[corner]! - moveX) -
    other.normalY[second]! * (one.y[corner]! - moveY)
  if (depth <= 0) return 0
  if (depth < best) {
    best = depth
    edge = second
    ofOther = true
    touching = corner
  }

  for (let at = 0; at < one.x.length; at += 1) {
    const [normalX, normalY] = [one.normalX[at]!, one.normalY[at]!]
    if (at === first || one.offset[at]! + clearance - normalX * toX - normalY * toY + other.inner >= best) continue
    corner = lowest(other, normalX, normalY)
    const along =
      one.offset[at]! + clearance - normalX * (other.x[corner]! + moveX) - normalY * (other.y[corner]! + moveY)
    if (along <= 0) return 0
    if (along < best) {
      best = along
      edge = at
      ofOther = false
      touching = corner
    }
  }
  for (let at = 0; at < other.x.length; at += 1) {
    const [normalX, normalY] = [other.normalX[at]!, other.normalY[at]!]
    if (at === second || other.offset[at]! + clearance - normalX * backX - normalY * backY + one.inner >= best) continue
    corner = lowest(one, normalX, normalY)
    const along =
      other.offset[at]! + clearance - normalX * (one.x[corner]! - moveX) - normalY * (one.y[corner]! - moveY)
    if (along <= 0) return 0
    if (along < best) {
      best = along
      edge = at
      ofOther = true
      touching = corner
    }
  }

  contact.depth = best
  contact.axisX = ofOther ? -other.normalX[edge]! : one.normalX[edge]!
  contact.axisY = ofOther ? -other.normalY[edge]! : one.normalY[edge]!
  contact.atX = ofOther ? one.x[touching]! : other.x[touching]! + moveX
  contact.atY = ofOther ? one.y[touching]! : other.y[touching]! + moveY
  return best
}

/** The edge that a point is farthest out of. */
function facing({ normalX, normalY, offset }: Convex, x: number, y: number): number {
  let [most, at] = [-Infinity, 0]
  for (let each = 0; each < offset.length; each += 1) {
    const out = normalX[each]! * x + normalY[each]! * y - offset[each]!
    if (out > most) {
      most = out
      at = each
    }
  }
  return at
}

/** The corner that reaches least far along a normal. */
export function lowest({ x, y }: Convex, normalX: number, normalY: number): number {
  let [low, at] = [Infinity, 0]
  for (let each = 0; each < x.length; each += 1) {
    const out = normalX * x[each]! + normalY * y[each]!
    if (out < low) {
      low = out
      at = each
    }
  }
  return at
}
