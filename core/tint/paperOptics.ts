/** The colour of dyed paper, in three bands of linear sRGB, by light scattered and absorbed in thin layers. */
import { convertLrgbToOklab, convertLrgbToRgb, convertRgbToLrgb, formatHex, parseHex } from 'culori/fn'
import type { Bands, Dye } from '../material'

/** Drops of each dye in 100 ml of what colours, by the dye's id. */
export type Dose = Readonly<Record<string, number>>

/** A colour in OKLab. @see Ottosson 2020 */
export type Oklab = { readonly l: number; readonly a: number; readonly b: number }

/** As it is looked at: wet from the bath, dried in air, dried in a pan, fried. */
export type SheetState = 'wet' | 'dry' | 'pan' | 'fried'

/**
 * How colour comes to a sheet, g of liquid to a dm² of it: through and through from a bath, or brushed on one face or
 * both.
 */
type DyeLay =
  | { readonly by: 'bath'; readonly gPerDm2: number }
  | { readonly by: 'brush'; readonly gPerDm2: number; readonly faces: 1 | 2 }

/** A sheet that is coloured: what of, how thick one ply is, how many lie on one another. */
export type ColouredSheet = {
  readonly kind: 'film' | 'wafer'
  readonly thicknessMm: number
  readonly plies: number
  readonly state: SheetState
  readonly colouring: DyeLay
  /**
   * How long a piece is against its length when it was dyed: a pan draws it in, hot fat blows it up, so that the same dye
   * lies on less or more of it.
   */
  readonly grows: number
}

/** Film soaked in a bath and dried flat. */
export const SOAKED_FILM: ColouredSheet = {
  kind: 'film',
  thicknessMm: 0.2,
  plies: 1,
  state: 'dry',
  colouring: { by: 'bath', gPerDm2: 3 },
  grows: 1,
}

/** A strip as it is dipped to try a dye: film soaked, wafer in and out again. */
export const STRIPS: Readonly<Record<ColouredSheet['kind'], ColouredSheet>> = {
  film: SOAKED_FILM,
  wafer: { kind: 'wafer', thicknessMm: 0.35, plies: 1, state: 'dry', colouring: { by: 'bath', gPerDm2: 3 }, grows: 1 },
}

/**
 * Scattering power of a ply of usual thickness (usual practice to a guess). Wafer would dissolve if it stayed in a
 * bath; wet wafer is dipped and out again.
 */
const SCATTERING: Readonly<Record<ColouredSheet['kind'], Readonly<Record<SheetState, number>>>> = {
  film: { wet: 0.08, dry: 0.35, pan: 0.35, fried: 3 },
  wafer: { wet: 0.6, dry: 1.6, pan: 1.1, fried: 3 },
}
const USUAL_MM: Readonly<Record<ColouredSheet['kind'], number>> = { film: 0.2, wafer: 0.35 }
/** Absorption of a bare ply, fitted so that film looks faintly warm on white and wafer like thick paper. */
const BARE_ABSORPTION: Readonly<Record<ColouredSheet['kind'], Bands>> = {
  film: [0.0027, 0.0035, 0.0075],
  wafer: [0.01, 0.012, 0.02],
}
/** Uptake that the strengths of dyes are stated for, g/dm². */
const STATED_G_PER_DM2 = 3
/** A brush wets so much of a sheet's depth from its face. A guess. */
const BRUSHED_SHARE = 0.3

/** A white cake behind. */
export const WHITE_BEHIND: Bands = [0.85, 0.85, 0.85]

type Layer = { readonly reflected: number; readonly passed: number }

/**
 * Light sent back by a layer with nothing behind it, and light that passes.
 * @param k absorption power of the layer, 0 or more
 * @param s scattering power of the layer, above 0
 * @see Kubelka & Munk 1931
 */
export function layer(k: number, s: number): Layer {
  const a = 1 + k / s
  const b = Math.sqrt(Math.max(a * a - 1, 1e-18))
  const below = a * Math.sinh(b * s) + b * Math.cosh(b * s)
  return { reflected: Math.sinh(b * s) / below, passed: b / below }
}

/** Light sent back by a layer lying on something that sends back a share of what reaches it. */
export const over = (top: Layer, behind: number): number =>
  top.reflected + (top.passed ** 2 * behind) / (1 - top.reflected * behind)

/**
 * Layers of one band from the front, as absorption and scattering powers. `dye` is the dye's absorption where it was
 * stated for.
 */
function layersOf(
  { kind, thicknessMm, plies, state, colouring, grows }: ColouredSheet,
  band: number,
  dye: number,
): readonly (readonly [number, number])[] {
  const thick = thicknessMm / USUAL_MM[kind]
  const [s, bare] = [SCATTERING[kind][state] * thick, BARE_ABSORPTION[kind][band]! * thick]
  const load = (dye * colouring.gPerDm2) / STATED_G_PER_DM2 / grows ** 2
  if (colouring.by === 'bath') return Array.from({ length: plies }, () => [bare + load, s] as const)
  const [dyed, plain] = [[bare * BRUSHED_SHARE + load, s * BRUSHED_SHARE] as const, 1 - BRUSHED_SHARE]
  const whole = Array.from({ length: plies - 1 }, () => [bare, s] as const)
  if (colouring.faces === 1) return [dyed, [bare * plain, s * plain], ...whole]
  const between =
    plies === 1
      ? [[bare * (1 - 2 * BRUSHED_SHARE), s * (1 - 2 * BRUSHED_SHARE)] as const]
      : [[bare * plain, s * plain] as const, ...whole.slice(1), [bare * plain, s * plain] as const]
  return [dyed, ...between, dyed]
}

/** Light that a sheet with so much dye sends back over something, in one band. */
export const sentBack = (sheet: ColouredSheet, band: number, dye: number, behind: number): number =>
  layersOf(sheet, band, dye).reduceRight((light, [k, s]) => over(layer(k, s), light), behind)

/** Absorption of the dyes of a dose, by band. */
export const dyeAbsorption = (dose: Dose, dyes: readonly Dye[]): Bands =>
  [0, 1, 2].map((band) =>
    dyes.reduce((sum, { id, absorptionPerDrop }) => sum + (dose[id] ?? 0) * absorptionPerDrop[band]!, 0),
  ) as unknown as Bands

const eachBand = (value: (band: number) => number): Bands => [value(0), value(1), value(2)]

/** Linear sRGB of a dyed sheet over something: white, a covering, black. */
export function sheetBands(
  dose: Dose,
  dyes: readonly Dye[],
  sheet: ColouredSheet,
  behind: Bands = WHITE_BEHIND,
): Bands {
  const dye = dyeAbsorption(dose, dyes)
  return eachBand((band) => sentBack(sheet, band, dye[band]!, behind[band]!))
}

/** Linear sRGB of the face that was not brushed, seen over white. */
export function backBands(dose: Dose, dyes: readonly Dye[], sheet: ColouredSheet): Bands {
  const dye = dyeAbsorption(dose, dyes)
  return eachBand((band) =>
    layersOf(sheet, band, dye[band]!).reduce((light, [k, s]) => over(layer(k, s), light), WHITE_BEHIND[band]!),
  )
}

/** Linear sRGB of a dyed sheet held against white light. @see Kubelka 1954, layers that are unlike */
export function throughBands(dose: Dose, dyes: readonly Dye[], sheet: ColouredSheet): Bands {
  const dye = dyeAbsorption(dose, dyes)
  return eachBand(
    (band) =>
      layersOf(sheet, band, dye[band]!)
        .map(([k, s]) => layer(k, s))
        .reduce(
          (top, next) => {
            const between = 1 - top.back * next.reflected
            return {
              back: next.reflected + (next.passed ** 2 * top.back) / between,
              passed: (top.passed * next.passed) / between,
            }
          },
          { back: 0, passed: 1 },
        ).passed,
  )
}

const colourOf = ([r, g, b]: Bands) => ({ mode: 'lrgb' as const, r, g, b })

export const bandsHex = (bands: Bands): string => formatHex(convertLrgbToRgb(colourOf(bands)))
export const bandsOklab = (bands: Bands): Oklab => toOklab(convertLrgbToOklab(colourOf(bands)))

/** Predicted colour of a dyed sheet, as hex. */
export const sheetHex = (
  dose: Dose,
  dyes: readonly Dye[],
  sheet: ColouredSheet,
  behind: Bands = WHITE_BEHIND,
): string => bandsHex(sheetBands(dose, dyes, sheet, behind))
export const sheetOklab = (
  dose: Dose,
  dyes: readonly Dye[],
  sheet: ColouredSheet,
  behind: Bands = WHITE_BEHIND,
): Oklab => bandsOklab(sheetBands(dose, dyes, sheet, behind))

/** Linear sRGB of a colour. @throws for a text that is not a hex colour: schemas check it before */
export function hexBands(hex: string): Bands {
  const rgb = parseHex(hex)
  if (!rgb) throw new Error(`Expected a colour such as #d9572b, got ${hex}.`)
  const { r, g, b } = convertRgbToLrgb(rgb)
  return [r, g, b]
}

/** @throws for a text that is not a hex colour: schemas check it before */
export const hexOklab = (hex: string): Oklab => bandsOklab(hexBands(hex))

const toOklab = ({ l, a, b }: { l: number; a?: number; b?: number }): Oklab => ({ l, a: a ?? 0, b: b ?? 0 })

/** How different two colours look; 0.02 is about just visible. */
export const difference = (one: Oklab, other: Oklab): number =>
  Math.hypot(one.l - other.l, one.a - other.a, one.b - other.b)

/**
 * The dye's absorption in one band at which a sheet sends back so much light over white; 0 for more than bare paper
 * does. By halving: the more dye, the less light.
 */
export function absorptionFor(sheet: ColouredSheet, band: number, light: number): number {
  if (light >= sentBack(sheet, band, 0, WHITE_BEHIND[band]!)) return 0
  let [low, high] = [0, MOST_ABSORPTION]
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const middle = (low + high) / 2
    if (sentBack(sheet, band, middle, WHITE_BEHIND[band]!) > light) low = middle
    else high = middle
  }
  return (low + high) / 2
}

const MOST_ABSORPTION = 40
const HALVINGS = 60
/** No paper sends back less than this of a band. */
const DARKEST = 0.001
/** Stronger dye than this a drop is not sold. */
const MOST_A_DROP = 2

/** What a drop of a dye to 100 ml absorbs, when a sheet out of so many drops looks so. */
export function absorptionFromSwatch(hex: string, drops: number, sheet: ColouredSheet): Bands {
  const light = hexBands(hex)
  return eachBand((band) => Math.min(MOST_A_DROP, absorptionFor(sheet, band, Math.max(light[band]!, DARKEST)) / drops))
}
