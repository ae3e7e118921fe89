/** Things that dry at the bench, as the drying curve has them: how wet, on what, and when they count as ready. */
import { onMat, standingFree, type Climate } from './air'
import { dryingCurve, PACKET_MOISTURE } from './dryingCurve'
import { moistureAfter, paperSheet } from './paperSheet'
import type { Readiness } from './readiness'
import { uptakeGG } from './soak'
import { airOf, type DryingWay } from './ways'

type DryingCase = {
  readonly words: string
  readonly kind: 'wafer' | 'film'
  readonly until: Readiness
  readonly on: 'mat' | 'oven' | 'free'
  readonly waterGPerDm2: number
}

const OVEN_C = 80
const HORIZON_H = 96

/**
 * Film soaked till limp; a petal brushed barely damp, standing free; a piece washed on one face, lying. @see fitted to
 * reported times
 */
export const DRYING_CASES = {
  filmMat: { words: 'Soaked film on a mat, set hard', kind: 'film', until: 'set', on: 'mat', waterGPerDm2: 0 },
  filmOven: { words: 'Soaked film in the oven, set hard', kind: 'film', until: 'set', on: 'oven', waterGPerDm2: 0 },
  filmHandle: { words: 'Coloured film, dry enough to fry', kind: 'film', until: 'handle', on: 'free', waterGPerDm2: 2 },
  waferHandle: { words: 'Damped wafer, can be handled', kind: 'wafer', until: 'handle', on: 'free', waterGPerDm2: 0.4 },
  waferFirm: { words: 'Washed wafer, stands firm', kind: 'wafer', until: 'firm', on: 'mat', waterGPerDm2: 1 },
} as const satisfies Readonly<Record<string, DryingCase>>

export type DryingCaseId = keyof typeof DRYING_CASES

/**
 * Minutes until a case is ready in a room, as the curve has it; null where it never is.
 * @param way in which it dries, where that is not as the case has it
 */
export function dryingCaseMin(
  id: DryingCaseId,
  thicknessMm: number,
  room: Climate,
  way: DryingWay = 'room',
  ovenC = OVEN_C,
): number | null {
  const { kind, until, on, waterGPerDm2 } = DRYING_CASES[id]
  const sheet = paperSheet(kind, thicknessMm)
  const ground = on === 'free' ? standingFree : onMat
  const surroundings = airOf(on === 'oven' ? 'oven' : way, ground, room, ovenC)
  // Film that is not dipped but soaked through takes up all it can.
  const startMoisture = waterGPerDm2 === 0 ? PACKET_MOISTURE + uptakeGG(1) : moistureAfter(sheet, waterGPerDm2)
  return dryingCurve({ sheet, startMoisture, surroundings, roomC: room.airC, horizonH: HORIZON_H, until }).reachedMin[
    until
  ]
}
