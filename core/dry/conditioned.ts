/** Paper brushed with a conditioner of glycerin: dry to the touch, and supple for good. */
import { moved, onMat, type Climate } from './air'
import { dryingCurve, dryMassKgM2, type Sheet } from './dryingCurve'
import { moistureAfter } from './paperSheet'

/** Glycerin weighs so much, g/ml; water 1. */
const GLYCERIN_G_PER_ML = 1.26
const G_PER_DM2_KG_PER_M2 = 10
/** What is still tacky after so long stays so. */
const HORIZON_H = 12

/** Paper brushed with so much conditioner, and the share of its volume that is glycerin. */
export type ConditionedPaper = {
  readonly sheet: Sheet
  readonly mlPerDm2: number
  readonly glycerinShare: number
  readonly room: Climate
}

/** Minutes until conditioned paper on a mat, a fan on it, is dry to the touch; null where it never is. */
export function conditionedTouchMin({ sheet, mlPerDm2, glycerinShare, room }: ConditionedPaper): number | null {
  const dryGPerDm2 = dryMassKgM2(sheet) * G_PER_DM2_KG_PER_M2
  return dryingCurve({
    sheet,
    startMoisture: moistureAfter(sheet, mlPerDm2 * (1 - glycerinShare)),
    surroundings: moved(onMat(room), 'fan'),
    roomC: room.airC,
    horizonH: HORIZON_H,
    glycerinGG: (mlPerDm2 * glycerinShare * GLYCERIN_G_PER_ML) / dryGPerDm2,
  }).reachedMin.touch
}
