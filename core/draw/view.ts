import { unit, type Point, type Point3 } from '../geometry'

/** How steeply the stand is looked down upon, radians. */
const TILT = 0.17
/** Where the light comes from, seen by the viewer: left, towards the viewer, above. */
const LIGHT: Point3 = unit([-0.62, -0.62, 0.55])

/** A point as the viewer sees it: x to the right, y up, mm; `near` grows towards the viewer. */
export type Seen = Point & { readonly near: number }

export type View = (point: Point3) => Seen

const turned = ([x, y, z]: Point3, turnDeg: number): Point3 => {
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)]
  return [x * c - y * s, x * s + y * c, z]
}

/** Parallel view of the stand turned by an angle; 0 shows the front. */
export function viewAt(turnDeg: number): View {
  // Asked for thousands of points at each turn: what is the same for all is worked out once.
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)]
  const [level, steep] = [Math.cos(TILT), Math.sin(TILT)]
  return ([x, y, z]) => {
    const away = x * s + y * c
    return { x: x * c - y * s, y: z * level + away * steep, near: z * steep - away * level }
  }
}

/** The light in the space of the cake when the stand is turned: it stays with the viewer. */
export const lightAt = (turnDeg: number): Point3 => turned(LIGHT, -turnDeg)

/**
 * The line of sight through a seen place: the point of it nearest the viewer within a distance, and the direction away
 * from the viewer, in the space of the cake.
 */
export function sightLine(
  { x, y }: Point,
  turnDeg: number,
  distanceMm: number,
): { readonly from: Point3; readonly along: Point3 } {
  const along: Point3 = [0, Math.cos(TILT), -Math.sin(TILT)]
  const up: Point3 = [0, Math.sin(TILT), Math.cos(TILT)]
  const from: Point3 = [x, up[1] * y - along[1] * distanceMm, up[2] * y - along[2] * distanceMm]
  return { from: turned(from, -turnDeg), along: turned(along, -turnDeg) }
}
