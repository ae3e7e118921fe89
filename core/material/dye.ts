/** Per-band values in linear sRGB: red, green, blue. */
export type Bands = readonly [number, number, number]

/** What a dye is made with, which decides where it may be used and how it is measured. */
export const DYE_BASES = ['water', 'sugarGel', 'oil', 'spirit', 'powder'] as const
export type DyeBase = (typeof DYE_BASES)[number]

/**
 * A dye as it comes in drops: how strongly one drop in 100 ml darkens each band of film soaked in it (a guess until
 * calibrated by a dipped strip).
 */
export type Dye = {
  readonly id: string
  readonly name: string
  readonly base: DyeBase
  readonly absorptionPerDrop: Bands
}

/** @see Kubelka & Munk 1931 for what absorption means here; values are placeholders to a factor of three */
export const DYES: readonly Dye[] = [
  { id: 'red', name: 'red', base: 'water', absorptionPerDrop: [0.004, 0.06, 0.04] },
  { id: 'yellow', name: 'yellow', base: 'water', absorptionPerDrop: [0.002, 0.008, 0.06] },
  { id: 'blue', name: 'blue', base: 'water', absorptionPerDrop: [0.055, 0.015, 0.004] },
]

/** Volume of one drop from a bottle, ml. */
export const DROP_ML = 0.045

/** A powder that colours as much as one drop weighs about this, g; a millilitre of it, loose, so much (guesses). */
export const POWDER_G_PER_DROP = 0.01
export const POWDER_G_PER_ML = 0.6
