/** How long set paper stays stiff on the cake: in the air before it, on the covering behind it. */
import type { Covering } from '../material'
import { standingFree, type Climate } from './air'
import { softAgainMin, type Sheet } from './dryingCurve'

/** Water that the air behind a panel passes on, g/dm² an hour for a whole step of activity. */
const AIR_PASSES_GDM2H = 1.7
const HORIZON_H = 48

const middleOf = ([low, high]: readonly [number, number]): number => (low + high) / 2

/**
 * The damp that a flat panel comes to between a covering and the air, as an activity: each counts by how much water it
 * passes.
 */
export function activityBetween(
  { activity, passesGdm2h }: Pick<Covering, 'activity' | 'passesGdm2h'>,
  humidity: number,
): number {
  const passes = middleOf(passesGdm2h)
  return (passes * middleOf(activity) + AIR_PASSES_GDM2H * humidity) / (passes + AIR_PASSES_GDM2H)
}

/**
 * Minutes that set paper stays stiff standing in air, and lying flat on a covering in it; null for two days and more.
 * A rough guess, since recipes differ.
 */
export function stiffOnCake(
  sheet: Sheet,
  covering: Pick<Covering, 'activity' | 'passesGdm2h'>,
  air: Climate,
): { readonly standingMin: number | null; readonly lyingMin: number | null } {
  const standingMin = softAgainMin(sheet, standingFree(air), air.airC, HORIZON_H)
  const behind = activityBetween(covering, air.humidity)
  const lyingMin =
    behind <= air.humidity
      ? standingMin
      : softAgainMin(sheet, standingFree({ ...air, humidity: Math.min(behind, 0.98) }), air.airC, HORIZON_H)
  return {
    standingMin,
    lyingMin: lyingMin === null ? standingMin : standingMin === null ? lyingMin : Math.min(lyingMin, standingMin),
  }
}
