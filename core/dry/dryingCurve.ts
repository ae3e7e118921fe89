/**
 * Drying of one thin starch sheet: free water leaves at the air's pace, bound water ever more slowly, and water that
 * crept in while the sheet was wet creeps out for hours.
 * Two-stage (diffusion and relaxation) sorption of a glassy polymer, one sheet lumped.
 */
import { kelvin, latentHeatJkg, radiationWm2K, saturationPa, vapourConductance, type Surroundings } from './air'
import { crossing } from './crossing'
import { moistureOf, READINESS, type Readiness } from './readiness'
import { activityAt, glycerinWater, moistureAt, REWETTING_SHARE } from './sorption'

/**
 * A sheet of paper as the drying sees it. `porosity` multiplies how easily vapour passes: 1 for clear film, 30 for
 * porous wafer.
 */
export type Sheet = { readonly thicknessMm: number; readonly densityKgM3: number; readonly porosity: number }

/** A point of the curve: minutes since it began, water in g per g dry starch. */
export type CurvePoint = { readonly minute: number; readonly moisture: number }

export type DryingCurve = {
  readonly points: readonly CurvePoint[]
  /** Minutes until each state, median; null where this air never brings it there. */
  readonly reachedMin: Readonly<Record<Readiness, number | null>>
}

export type DryingCase = {
  readonly sheet: Sheet
  readonly startMoisture: number
  /** The air over it; by the minute, where it changes while the sheet dries. */
  readonly surroundings: Surroundings | ((minute: number) => Surroundings)
  /** Room in which stiffness is judged, °C (a tray is judged when it has cooled). */
  readonly roomC: number
  /** Stop looking after this many hours, or as soon as it is so dry. */
  readonly horizonH: number
  readonly until?: Readiness
  /** Glycerin in the sheet, g per g dry starch; none unless it was conditioned. */
  readonly glycerinGG?: number
}

const PERMEABILITY = 2.5e-13
const MOISTURE_SLOPE = 15
const SLOW_SHARE = 0.45
const SLOW_HOURS = 13
const PERMEABILITY_KELVIN = 4800
const SLOW_KELVIN = 8000
const ROOM_KELVIN = 295
/** Water in the paper as it comes from the packet: in balance with half-humid air. */
export const PACKET_MOISTURE = 0.12

/** Water held by the sheet: all of it, and the slow part by itself. */
export type SheetWater = { readonly moisture: number; readonly slow: number }

export const dryMassKgM2 = ({ thicknessMm, densityKgM3 }: Sheet): number => (densityKgM3 * thicknessMm) / 1000

type Face = { readonly activity: number; readonly wet: boolean; readonly bound: number }

/** How the sheet's water is spread at a temperature: activity at its face, and whether water stands free on it. */
function faceOf(water: SheetWater, celsius: number, heldShare: number, glycerinGG: number): Face {
  if (glycerinGG > 0) return conditionedFace(water, celsius, heldShare, glycerinGG)
  const { moisture, slow } = water
  const quick = (moisture - SLOW_SHARE * slow) / (1 - SLOW_SHARE)
  const full = heldShare * moistureAt(1, celsius)
  const wet = quick >= full
  const held = wet ? full : Math.max(quick, 0)
  return {
    activity: wet ? 1 : activityAt(held / heldShare, celsius),
    wet,
    bound: (1 - SLOW_SHARE) * held + SLOW_SHARE * slow,
  }
}

/** With glycerin there is no water that stands quite free: the more, the nearer to it. */
const NEARLY_FREE = 0.985
const ACTIVITY_TOLERANCE = 1e-11
/** Water's ease of moving grows with glycerin as with so much water. */
const GLYCERIN_EASES = 0.36

/**
 * The same for a sheet with glycerin, which holds water of its own: by trying, since starch and glycerin share one
 * activity.
 */
function conditionedFace({ moisture, slow }: SheetWater, celsius: number, heldShare: number, glycerinGG: number): Face {
  const heldAt = (activity: number): number =>
    (1 - SLOW_SHARE) * heldShare * moistureAt(activity, celsius) +
    SLOW_SHARE * slow +
    glycerinWater(activity, glycerinGG)
  const wet = heldAt(NEARLY_FREE) <= moisture
  const activity = wet ? 1 : crossing((share) => heldAt(share) - moisture, 0, NEARLY_FREE, ACTIVITY_TOLERANCE)
  const bound =
    (1 - SLOW_SHARE) * heldShare * moistureAt(Math.min(activity, NEARLY_FREE), celsius) +
    SLOW_SHARE * slow +
    glycerinGG * GLYCERIN_EASES +
    glycerinWater(Math.min(activity, NEARLY_FREE), glycerinGG)
  return { activity, wet, bound }
}

/** How much faster water moves in moist, warm starch than at 0.13 g/g and 22 °C. */
const quickening = (bound: number, celsius: number, activationKelvin: number): number =>
  Math.exp(MOISTURE_SLOPE * (bound - 0.13) + activationKelvin * (1 / ROOM_KELVIN - 1 / kelvin(celsius)))

/** Resistance of the sheet itself to vapour, per open face, m² s Pa/kg. */
const sheetResistance = (sheet: Sheet, openFaces: number, bound: number, celsius: number): number =>
  sheet.thicknessMm /
  1000 /
  (3 * openFaces) /
  (PERMEABILITY * sheet.porosity * quickening(bound, celsius, PERMEABILITY_KELVIN))

const SURFACE_TOLERANCE_C = 1e-9

/** Vapour leaving each open face, kg/(m² s), at the surface temperature where the heat that comes in pays for it. */
export function faceFlux(
  sheet: Sheet,
  water: SheetWater,
  air: Surroundings,
  heldShare = 1,
  glycerinGG = 0,
): { fluxKgM2s: number; surfaceC: number } {
  const conductance = vapourConductance(air.convectionWm2K, air.airC)
  const heatWm2K = air.openFaces * (air.convectionWm2K + radiationWm2K(air.airC)) + air.backWm2K
  const fluxAt = (surfaceC: number): number => {
    const { activity, wet, bound } = faceOf(water, surfaceC, heldShare, glycerinGG)
    const resistance = wet ? 0 : sheetResistance(sheet, air.openFaces, bound, surfaceC)
    return (activity * saturationPa(surfaceC) - air.vapourPa) / (1 / conductance + resistance)
  }
  const excessHeat = (surfaceC: number): number =>
    heatWm2K * (air.airC - surfaceC) - air.openFaces * latentHeatJkg(surfaceC) * fluxAt(surfaceC)
  const surfaceC = crossing(excessHeat, air.airC - 60, air.airC + 15, SURFACE_TOLERANCE_C)
  return { fluxKgM2s: fluxAt(surfaceC), surfaceC }
}

/** The slow water after so many seconds: it creeps towards balance with the face, and never beyond it. */
function slowAfter(water: SheetWater, celsius: number, heldShare: number, glycerinGG: number, seconds: number): number {
  const { activity, bound } = faceOf(water, celsius, heldShare, glycerinGG)
  const balance = heldShare * moistureAt(activity, celsius)
  return (
    balance +
    (water.slow - balance) * Math.exp((-seconds * quickening(bound, celsius, SLOW_KELVIN)) / (SLOW_HOURS * 3600))
  )
}

const LARGEST_STEP_S = 600
const SMALLEST_STEP_S = 0.5
const MOISTURE_PER_STEP = 0.004

/** One step of the sheet's water, linearised so that it cannot overshoot its balance with the air. */
function stepWater(
  sheet: Sheet,
  air: Surroundings,
  water: SheetWater,
  heldShare: number,
  glycerinGG = 0,
): { next: SheetWater; seconds: number } {
  const perMoisture = air.openFaces / dryMassKgM2(sheet)
  const { fluxKgM2s, surfaceC } = faceFlux(sheet, water, air, heldShare, glycerinGG)
  const rate = -fluxKgM2s * perMoisture
  const nudge = Math.max(1e-5, water.moisture * 1e-4)
  const nudged =
    -faceFlux(sheet, { ...water, moisture: water.moisture + nudge }, air, heldShare, glycerinGG).fluxKgM2s * perMoisture
  const slope = Math.min(0, (nudged - rate) / nudge)
  const allowed = water.moisture > 0.5 ? MOISTURE_PER_STEP * 5 : MOISTURE_PER_STEP
  const seconds = Math.min(LARGEST_STEP_S, Math.max(SMALLEST_STEP_S, allowed / Math.max(Math.abs(rate), 1e-12)))
  const slow = slowAfter(water, surfaceC, heldShare, glycerinGG, seconds)
  return {
    seconds,
    next: { moisture: water.moisture + (seconds * rate) / (1 - seconds * slope), slow: Math.max(0, slow) },
  }
}

/** Where between two values a mark was passed, as a share of the way. */
const shareOfWay = (from: number, to: number, mark: number): number =>
  from === to ? 1 : Math.min(1, Math.max(0, (from - mark) / (from - to)))

/**
 * Walks a sheet from wet to as dry as the air lets it.
 * @returns the curve, and the median minutes to each state; null for a state not reached within the horizon
 */
export function dryingCurve({
  sheet,
  startMoisture,
  surroundings,
  roomC,
  horizonH,
  until,
  glycerinGG = 0,
}: DryingCase): DryingCurve {
  const marks = READINESS.map((state) => ({ state, moisture: moistureOf(state, roomC, glycerinGG) }))
  const reachedMin: Record<Readiness, number | null> = { touch: null, handle: null, firm: null, set: null }
  const points: CurvePoint[] = [{ minute: 0, moisture: startMoisture }]
  let water: SheetWater = { moisture: startMoisture, slow: PACKET_MOISTURE }
  let minute = 0
  const isThere = (): boolean =>
    until ? reachedMin[until] !== null : reachedMin.set !== null && minute > reachedMin.set * 1.15
  while (minute < horizonH * 60 && !isThere()) {
    const step = stepWater(
      sheet,
      typeof surroundings === 'function' ? surroundings(minute) : surroundings,
      water,
      1,
      glycerinGG,
    )
    for (const { state, moisture } of marks) {
      if (reachedMin[state] === null && step.next.moisture <= moisture) {
        reachedMin[state] = minute + (step.seconds / 60) * shareOfWay(water.moisture, step.next.moisture, moisture)
      }
    }
    water = step.next
    minute += step.seconds / 60
    points.push({ minute, moisture: water.moisture })
  }
  return { points, reachedMin }
}

/** Moisture of a piece that has set in a half-humid room. */
const SET_MOISTURE = 0.126

/**
 * How long a set piece keeps its stiffness in other air.
 * @returns minutes until soft again, median; null when it does not soften within the horizon
 */
export function softAgainMin(sheet: Sheet, surroundings: Surroundings, roomC: number, horizonH: number): number | null {
  const soft = moistureOf('softAgain', roomC)
  let water: SheetWater = { moisture: SET_MOISTURE, slow: SET_MOISTURE }
  let minute = 0
  while (minute < horizonH * 60) {
    const step = stepWater(sheet, surroundings, water, REWETTING_SHARE)
    if (step.next.moisture >= soft)
      return minute + (step.seconds / 60) * shareOfWay(water.moisture, step.next.moisture, soft)
    water = step.next
    minute += step.seconds / 60
  }
  return null
}
