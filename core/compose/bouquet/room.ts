import { add, scale, unit, type Point3 } from '../../geometry'
import { found, type Working } from '../../quantity'
import type { Bouquet, BouquetPlace } from './define'
import type { Line, LinePoint } from './line'

/** How far round the line a bouquet reaches, degrees from straight out, up above 0. */
const TURNS: Readonly<Record<BouquetPlace, readonly [fromDeg: number, toDeg: number]>> = {
  ledge: [-8, 96],
  crescent: [4, 176],
  shoulder: [-55, 92],
  side: [-78, 78],
  garland: [-70, 80],
  top: [4, 90],
}

const RADIANS = Math.PI / 180
/** At the ends of the line a bouquet is so much smaller than at its heart. */
const END_SHARE = 0.3

/** A direction from the line: where along it, how far round it, and how far it leans on along it. */
export type Aim = { readonly along: number; readonly roundDeg: number; readonly lean: number }

/**
 * Where along the line, from 0 to 1, the heart of a bouquet lies: what moves to the right has its heart at the left.
 */
export const heartAlong = ({ movement }: Pick<Bouquet, 'movement'>): number => 0.5 - 0.32 * movement

/**
 * How far from the heart a place on the line is: 0 at the heart, 1 at the ends. Round a wreath it grows to the place
 * opposite.
 */
export function awayFromHeart(along: number, heart: number, closed: boolean): number {
  if (closed) {
    const apart = Math.abs(along - heart) % 1
    return 2 * Math.min(apart, 1 - apart)
  }
  return along < heart ? (heart - along) / Math.max(heart, 1e-6) : (along - heart) / Math.max(1 - heart, 1e-6)
}

/** How large a bouquet is at a distance from its heart, as a share. A wreath is alike all round. */
const swell = (away: number, closed: boolean): number =>
  closed ? 1 : END_SHARE + (1 - END_SHARE) * Math.sqrt(Math.max(0, 1 - away * away))

/** How far a bouquet reaches in a direction, mm: an ellipse, deep forwards and high upwards. */
function reachIn({ outMm, highMm }: Pick<Bouquet, 'outMm' | 'highMm'>, roundDeg: number): number {
  return 1 / Math.hypot(Math.cos(roundDeg * RADIANS) / outMm, Math.sin(roundDeg * RADIANS) / highMm)
}

export type Direction = {
  readonly from: Point3
  readonly towards: Point3
  readonly reachMm: number
  readonly away: number
  readonly tier: number
  readonly face: Point3
}

/** Sprays show their faces to whoever stands before the cake, and a little up. */
const FACE_UP = 0.55

/** The point of the line at a share of it. */
const pointOn = ({ points }: Line, along: number): LinePoint =>
  points[Math.min(points.length - 1, Math.round(along * (points.length - 1)))]!

/** A direction of a bouquet in space. A dome has all of them round its one point. */
export function directionOf(bouquet: Bouquet, line: Line, { along, roundDeg, lean }: Aim): Direction {
  const { at, out, along: on, tier } = pointOn(line, along)
  const dome = bouquet.place === 'top'
  const turn = dome ? along * 2 * Math.PI : 0
  const level = dome ? unit(add(scale(out, Math.cos(turn)), scale(on, Math.sin(turn)))) : out
  const away = dome ? 1 - roundDeg / 90 : awayFromHeart(along, heartAlong(bouquet), line.closed)
  const towards = unit(
    add(
      add(scale(level, Math.cos(roundDeg * RADIANS)), [0, 0, Math.sin(roundDeg * RADIANS)]),
      scale(on, dome ? 0 : lean),
    ),
  )
  return {
    from: at,
    towards,
    reachMm: reachIn(bouquet, roundDeg) * (dome ? 1 : swell(away, line.closed)),
    away: Math.min(1, Math.max(0, away)),
    tier,
    face: unit(add(level, [0, 0, FACE_UP])),
  }
}

/** The angles between which a bouquet reaches round its line. */
export const turnsOf = ({ place }: Pick<Bouquet, 'place'>): readonly [number, number] => TURNS[place]

const AREA_STEPS = 24
const MM2_PER_DM2 = 10000

/**
 * The face of a bouquet that is to be covered, dm²: arcs round the line added up along it; half an ellipsoid for a
 * dome.
 */
export function faceOf(bouquet: Bouquet, line: Line): Working {
  const [from, to] = TURNS[bouquet.place]
  const how = 'the room it fills, added up along its line'
  if (bouquet.place === 'top') {
    const power = 1.6075
    const [deep, high] = [bouquet.outMm ** power, bouquet.highMm ** power]
    return found(
      'face of the bouquet',
      (2 * Math.PI * ((deep * deep + 2 * deep * high) / 3) ** (1 / power)) / MM2_PER_DM2,
      'area',
      how,
    )
  }
  const rounds = Array.from({ length: AREA_STEPS }, (_, step) => from + ((step + 0.5) / AREA_STEPS) * (to - from))
  const arc =
    (rounds.reduce((sum, roundDeg) => sum + reachIn(bouquet, roundDeg), 0) / AREA_STEPS) * (to - from) * RADIANS
  const swollen =
    line.points.reduce(
      (sum, _, at) =>
        sum + swell(awayFromHeart(at / (line.points.length - 1), heartAlong(bouquet), line.closed), line.closed),
      0,
    ) / line.points.length
  return found('face of the bouquet', (arc * swollen * line.lengthMm) / MM2_PER_DM2, 'area', how)
}
