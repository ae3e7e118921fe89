/**
 * The air over a drying sheet: vapour pressure, heat and vapour exchange.
 * Temperatures in °C unless a name says kelvin; pressures in Pa; humidity as a share 0 to 1.
 */
import { z } from 'zod'

/** Air as a hygrometer reads it. */
export const climateSchema = z.strictObject({
  airC: z.number().min(0).max(45).meta({ label: 'Air temperature', kind: 'temperature' }),
  humidity: z.number().min(0.1).max(0.98).meta({ label: 'Humidity', kind: 'share' }),
})

export type Climate = z.infer<typeof climateSchema>

/** The room that usual rests are told for. */
export const USUAL_ROOM: Climate = { airC: 22, humidity: 0.475 }

/**
 * How air moves round a piece: exchange coefficient of its open faces, and of the covered face through what it lies
 * on, W/m²K.
 */
export type Surroundings = {
  readonly airC: number
  readonly vapourPa: number
  readonly convectionWm2K: number
  readonly backWm2K: number
  readonly openFaces: 1 | 2
}

export const kelvin = (celsius: number): number => celsius + 273.15

/** @see Alduchov & Eskridge 1996, eq. 21 (Magnus form) */
export const saturationPa = (celsius: number): number => 610.94 * Math.exp((17.625 * celsius) / (243.04 + celsius))

/** Heat to evaporate a kilogram of water, J/kg. Linear fit of steam tables, 0 to 100 °C. */
export const latentHeatJkg = (celsius: number): number => 2.501e6 - 2370 * celsius

const VAPOUR_GAS_CONSTANT = 461.5
const AIR_DENSITY_KGM3 = 1.2
const AIR_HEAT_JKGK = 1006
const LEWIS_TWO_THIRDS = 0.9
const EMISSIVITY = 0.9
const STEFAN_BOLTZMANN = 5.670374e-8

/** Vapour conductance of the air beside a face, kg/(m² s Pa). @see Lewis relation (Chilton & Colburn 1934) */
export const vapourConductance = (convectionWm2K: number, celsius: number): number =>
  convectionWm2K / (AIR_DENSITY_KGM3 * AIR_HEAT_JKGK * LEWIS_TWO_THIRDS * VAPOUR_GAS_CONSTANT * kelvin(celsius))

/** Radiation to the surroundings as an exchange coefficient, W/m²K. */
export const radiationWm2K = (celsius: number): number => 4 * EMISSIVITY * STEFAN_BOLTZMANN * kelvin(celsius) ** 3

/** Convection of a quiet room and of an oven without a fan, W/m²K (usual practice; fitted to reported times). */
const STILL_ROOM_WM2K = 2.6
const OVEN_WM2K = 8
/** Heat through a silicone mat on a table, and through parchment on a metal tray, W/m²K. */
const MAT_BACK_WM2K = 4
const TRAY_BACK_WM2K = 10
/** How the air over a piece moves: left alone, a draught from a door, a fan one to two metres a second. */
export const AIR_MOTIONS = ['still', 'draught', 'fan'] as const
export type AirMotion = (typeof AIR_MOTIONS)[number]
const MOVED_WM2K: Readonly<Record<AirMotion, number>> = { still: STILL_ROOM_WM2K, draught: 5.2, fan: 11.5 }

/** The same place with its air moved. */
export const moved = (surroundings: Surroundings, motion: AirMotion): Surroundings => ({
  ...surroundings,
  convectionWm2K: MOVED_WM2K[motion],
})

/** Vapour pressure in a household oven: room air plus what the load gives off. */
const OVEN_VAPOUR_PA = 2500

/** A piece lying on a mat in the room: one face open. */
export const onMat = ({ airC, humidity }: Climate): Surroundings => ({
  airC,
  vapourPa: humidity * saturationPa(airC),
  convectionWm2K: STILL_ROOM_WM2K,
  backWm2K: MAT_BACK_WM2K,
  openFaces: 1,
})

/** A piece standing free in the room: both faces open. */
export const standingFree = ({ airC, humidity }: Climate): Surroundings => ({
  airC,
  vapourPa: humidity * saturationPa(airC),
  convectionWm2K: STILL_ROOM_WM2K,
  backWm2K: 0,
  openFaces: 2,
})

/** A piece on crumpled parchment on a tray in a cool oven. */
export const inOven = (ovenC: number): Surroundings => ({
  airC: ovenC,
  vapourPa: OVEN_VAPOUR_PA,
  convectionWm2K: OVEN_WM2K,
  backWm2K: TRAY_BACK_WM2K,
  openFaces: 1,
})

/** Temperature at which air begins to lose water on a surface, °C. @see Magnus form, inverse */
export function dewPointC({ airC, humidity }: Climate): number {
  const exponent = Math.log(humidity) + (17.625 * airC) / (243.04 + airC)
  return (243.04 * exponent) / (17.625 - exponent)
}
