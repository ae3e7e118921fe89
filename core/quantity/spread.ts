/** How far from the mean one in ten goes beyond, in standard deviations of a normal. */
export const NINETY_PERCENT = 1.2815515655446004

/**
 * Share of a standard normal below x, with error under 7.5e-8.
 * @see Abramowitz & Stegun 1964, 26.2.17
 */
export function normalShareBelow(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x))
  const density = Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)
  const beyond =
    density * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return x >= 0 ? 1 - beyond : beyond
}

/** Density of the standard normal distribution. */
export const normalDensity = (x: number): number => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)
