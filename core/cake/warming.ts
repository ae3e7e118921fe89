/**
 * A cake warming through after the refrigerator: when its surface stands above the dew point of the room.
 * Temperatures in °C, times in minutes.
 */
import { derive, found, starting, typed, type Working } from '../quantity'
import { areaMm2 } from './shape'
import { sectionAt, type StandingTier } from './standing'
import { sideAreaMm2, volumeMm3 } from './side'

/** Exchange with a quiet room W/m²K, conduction of cake W/mK, heat to warm a cubic metre J/m³K. */
const EXCHANGE_WM2K = 8
const CONDUCTION_WMK = 0.25
const HEAT_JM3K = 1.5e6
/** Fourier number around which early and late solutions are blended. */
const BLEND = 0.2

/** Volume over exposed surface (side and top; the board keeps the foot), mm. */
export const warmingLengthMm = (tier: StandingTier): number =>
  volumeMm3(tier) / (sideAreaMm2(tier) + areaMm2(sectionAt(tier, tier.topMm)))

/** e^{b²} erfc b: a rational fit for small b, a continued fraction above. @see Abramowitz & Stegun 7.1.26 and 7.1.14 */
export function scaledErfc(b: number): number {
  if (b > 2) return 1 / (Math.sqrt(Math.PI) * (b + 0.5 / (b + 1 / (b + 1.5 / (b + 2 / (b + 2.5 / b))))))
  const t = 1 / (1 + 0.3275911 * b)
  return t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
}

/** The root of ζ tan ζ = Bi between 0 and π/2. */
function firstRoot(biot: number): number {
  let [low, high] = [0, Math.PI / 2 - 1e-9]
  for (let step = 0; step < 60; step += 1) {
    const middle = (low + high) / 2
    if (middle * Math.tan(middle) < biot) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * Share of the way from refrigerator to room that the surface still lacks after some minutes: 1 when taken out,
 * towards 0.
 * @see half-space with convection early, one-term slab solution late, blended by Fourier number
 */
export function surfaceLag(lengthMm: number, minutes: number): number {
  if (minutes <= 0) return 1
  const seconds = minutes * 60
  const length = lengthMm / 1000
  const biot = (EXCHANGE_WM2K * length) / CONDUCTION_WMK
  const fourier = (CONDUCTION_WMK * seconds) / (HEAT_JM3K * length ** 2)
  const early = scaledErfc(EXCHANGE_WM2K * Math.sqrt(seconds / (CONDUCTION_WMK * HEAT_JM3K)))
  const root = firstRoot(biot)
  const late =
    ((4 * Math.sin(root) * Math.cos(root)) / (2 * root + Math.sin(2 * root))) * Math.exp(-fourier * root ** 2)
  const weight = 1 / (1 + (fourier / BLEND) ** 4)
  return weight * early + (1 - weight) * late
}

/** The cautious answer: the whole tier warms as one. */
export const lumpedLag = (lengthMm: number, minutes: number): number =>
  Math.exp((-EXCHANGE_WM2K * minutes * 60) / ((HEAT_JM3K * lengthMm) / 1000))

const LONGEST_MIN = 24 * 60

/** Minutes until a lag has fallen to a share; null when not within a day. */
function minutesUntil(lag: (minutes: number) => number, share: number): number | null {
  if (share >= 1) return 0
  if (share <= 0 || lag(LONGEST_MIN) > share) return null
  let [low, high] = [0, LONGEST_MIN]
  while (high - low > 0.25) {
    const middle = (low + high) / 2
    if (lag(middle) > share) low = middle
    else high = middle
  }
  return high
}

export type WarmingRoom = { readonly airC: number; readonly dewC: number; readonly humidity: number }

export type Warming = {
  readonly tier: number
  readonly dewPoint: Working
  readonly length: Working
  /**
   * Minutes until the surface is above the dew point: as usual, and by the cautious answer that plans are made on.
   * Null when the room is so damp that it never is within a day.
   */
  readonly usual: Working | null
  readonly cautious: Working | null
  /** Surface temperature over time, for the chart: usual and cautious. */
  readonly curve: readonly { readonly minute: number; readonly usualC: number; readonly cautiousC: number }[]
  /** Water that settles on the surface until then, g/dm², least and most. */
  readonly dew: readonly [number, number]
}

const CURVE_POINTS = 49
const LATENT_JG = 2450
/**
 * Vapour exchange that goes with the heat exchange of a quiet surface: W/m²K of convection alone, and the
 * psychrometric slope.
 */
const CONVECTION_WM2K = 2.6
const PSYCHROMETRIC_PAK = 66

/** Water that a surface below the dew point gathers, g/dm². @see Lewis relation in its psychrometric form */
function dewGramsPerDm2(
  lag: (minutes: number) => number,
  room: WarmingRoom,
  fridgeC: number,
  untilMin: number,
  vapourPa: (celsius: number) => number,
): number {
  const steps = 60
  let grams = 0
  for (let step = 0; step < steps; step += 1) {
    const surfaceC = room.airC - (room.airC - fridgeC) * lag((untilMin * (step + 0.5)) / steps)
    const excessPa = Math.max(0, room.humidity * vapourPa(room.airC) - vapourPa(surfaceC))
    grams += (((CONVECTION_WM2K * excessPa) / (PSYCHROMETRIC_PAK * LATENT_JG)) * untilMin * 60) / steps / 100
  }
  return grams
}

/**
 * How a tier warms through in a room.
 * @param vapourPa saturation pressure at a temperature, handed in by whoever knows the air
 */
export function warmThrough(
  tier: StandingTier,
  room: WarmingRoom,
  fridgeC: number,
  vapourPa: (celsius: number) => number,
): Warming {
  const lengthMm = warmingLengthMm(tier)
  const dewPoint = derive(
    'dew point',
    'temperature',
    'Magnus form',
    'temperature at which air of {air} and {humidity} is full',
    {
      air: typed('air', room.airC, 'temperature', 'Brief'),
      humidity: typed('humidity', room.humidity, 'share', 'Brief'),
    },
    () => room.dewC,
  )
  const length = found('volume ÷ exposed surface', lengthMm, 'length', 'drawn from the tier’s shape')
  const share = fridgeC >= room.airC ? 1 : Math.min(1, (room.airC - room.dewC) / (room.airC - fridgeC))
  const lags = {
    usual: (minutes: number): number => surfaceLag(lengthMm, minutes),
    cautious: (minutes: number): number => lumpedLag(lengthMm, minutes),
  }
  const until = (label: string, lag: (minutes: number) => number, rule: string): Working | null => {
    const minutes = minutesUntil(lag, share)
    return minutes === null
      ? null
      : derive(
          label,
          'duration',
          rule,
          'until the surface, from {fridge} in {air}, is above {dewPoint}; size {length}, {exchange}',
          {
            fridge: typed('refrigerator', fridgeC, 'temperature', 'Tiers'),
            air: typed('air', room.airC, 'temperature', 'Brief'),
            dewPoint,
            length,
            exchange: starting('heat exchange in W/m²K', EXCHANGE_WM2K, 'ratio', 'usual'),
          },
          () => minutes,
        )
  }
  const usual = until('warmed through, usually', lags.usual, 'half-space early, slab late')
  const cautious = until('warmed through, cautiously', lags.cautious, 'the whole tier as one')
  const shownMin = Math.min(LONGEST_MIN, Math.max(60, (cautious?.value ?? 600) * 1.3))
  const at = (lag: number): number => room.airC - (room.airC - fridgeC) * lag
  return {
    tier: tier.index,
    dewPoint,
    length,
    usual,
    cautious,
    curve: Array.from({ length: CURVE_POINTS }, (_, step) => shownMin * (step / (CURVE_POINTS - 1)) ** 2).map(
      (minute) => ({ minute, usualC: at(lags.usual(minute)), cautiousC: at(lags.cautious(minute)) }),
    ),
    dew: [
      dewGramsPerDm2(lags.usual, room, fridgeC, usual?.value ?? shownMin, vapourPa),
      dewGramsPerDm2(lags.cautious, room, fridgeC, cautious?.value ?? shownMin, vapourPa),
    ],
  }
}
