/** The colour of dyed rice film, in three bands of linear sRGB, by light scattered and absorbed in a thin layer. */
import { convertLrgbToOklab, convertLrgbToRgb, convertRgbToLrgb, formatHex, parseHex } from 'culori/fn'
import type { Bands, Dye, DyeId } from '../material'

/** Drops of each dye in 100 ml of bath. */
export type Dose = Readonly<Record<DyeId, number>>

/** A colour in OKLab. @see Ottosson 2020 */
export type Oklab = { readonly l: number, readonly a: number, readonly b: number }

export type FilmState = 'wet' | 'dry'

/** Scattering power of the whole layer by state (usual practice to a guess). */
const SCATTERING: Readonly<Record<FilmState, number>> = { wet: 0.08, dry: 0.35 }
/** Absorption of bare film, fitted so that it looks faintly warm on white. */
const BARE_ABSORPTION: Bands = [0.0027, 0.0035, 0.0075]
/** A white cake behind the film. */
const WHITE_BEHIND = 0.85

/**
 * Light sent back by a layer over a backing, and by itself.
 * @param k absorption power of the layer, 0 or more
 * @param s scattering power of the layer, above 0
 * @see Kubelka & Munk 1931
 */
export function layer(k: number, s: number): { readonly reflected: number, readonly passed: number } {
  const a = 1 + k / s
  const b = Math.sqrt(Math.max(a * a - 1, 1e-18))
  const below = a * Math.sinh(b * s) + b * Math.cosh(b * s)
  return { reflected: Math.sinh(b * s) / below, passed: b / below }
}

/** Light sent back by a layer lying on something that sends back a share of what reaches it. */
export const over = (top: { readonly reflected: number, readonly passed: number }, behind: number): number =>
  top.reflected + top.passed ** 2 * behind / (1 - top.reflected * behind)

/** Absorption power of film soaked at a dose, per band. */
const filmAbsorption = (dose: Dose, dyes: readonly Dye[]): Bands =>
  [0, 1, 2].map((band) => BARE_ABSORPTION[band]! + dyes.reduce((sum, dye) => sum + dose[dye.id] * dye.absorptionPerDrop[band]!, 0)) as unknown as Bands

/** Linear sRGB of film soaked at a dose, over white. */
function filmBands(dose: Dose, dyes: readonly Dye[], state: FilmState): Bands {
  const s = SCATTERING[state]
  return filmAbsorption(dose, dyes).map((k) => over(layer(k, s), WHITE_BEHIND)) as unknown as Bands
}

const bandsColour = ([r, g, b]: Bands) => ({ mode: 'lrgb' as const, r, g, b })

/** Predicted colour of film soaked at a dose, as hex. */
export const filmHex = (dose: Dose, dyes: readonly Dye[], state: FilmState): string => formatHex(convertLrgbToRgb(bandsColour(filmBands(dose, dyes, state))))

export const filmOklab = (dose: Dose, dyes: readonly Dye[], state: FilmState): Oklab => toOklab(convertLrgbToOklab(bandsColour(filmBands(dose, dyes, state))))

/** @throws for a text that is not a hex colour: schemas check it before */
export function hexOklab(hex: string): Oklab {
  const rgb = parseHex(hex)
  if (!rgb) throw new Error(`Expected a colour such as #d9572b, got ${hex}.`)
  return toOklab(convertLrgbToOklab(convertRgbToLrgb(rgb)))
}

const toOklab = ({ l, a, b }: { l: number, a?: number, b?: number }): Oklab => ({ l, a: a ?? 0, b: b ?? 0 })

/** How different two colours look; 0.02 is about just visible. */
export const difference = (one: Oklab, other: Oklab): number => Math.hypot(one.l - other.l, one.a - other.a, one.b - other.b)
