import type { Dye } from '../material'
import { difference, hexOklab, sheetHex, sheetOklab, SOAKED_FILM, type ColouredSheet, type Dose } from './paperOptics'

/** A step of the ladder: its strength as a share of the deepest, the dose, and how the dry sheet will look. */
export type LadderStep = { readonly strength: number; readonly dose: Dose; readonly hex: string }

const SAMPLES = 400

/** A dose at a share of its strength. */
const weaken = (dose: Dose, strength: number): Dose =>
  Object.fromEntries(Object.entries(dose).map(([id, drops]) => [id, drops * strength]))

/**
 * Strengths that look evenly stepped from pale to deep: the way the colour travels is walked, added up, and cut in
 * equal lengths.
 *
 * @param deepest the dose of the last step, drops in 100 ml
 * @param palest strength of the first step, 0 to 1
 * @param steps 2 or more; 1 gives the deepest alone
 */
export function evenLadder(
  deepest: Dose,
  palest: number,
  steps: number,
  dyes: readonly Dye[],
  sheet: ColouredSheet = SOAKED_FILM,
): readonly LadderStep[] {
  const at = (strength: number): LadderStep => ({
    strength,
    dose: weaken(deepest, strength),
    hex: sheetHex(weaken(deepest, strength), dyes, sheet),
  })
  if (steps <= 1) return [at(1)]
  const strengths = Array.from({ length: SAMPLES + 1 }, (_, sample) => palest + ((1 - palest) * sample) / SAMPLES)
  const colours = strengths.map((strength) => sheetOklab(weaken(deepest, strength), dyes, sheet))
  const travelled = [0]
  for (let sample = 1; sample <= SAMPLES; sample += 1)
    travelled.push(travelled[sample - 1]! + difference(colours[sample]!, colours[sample - 1]!))
  const whole = travelled[SAMPLES]!
  return Array.from({ length: steps }, (_, step) => {
    const wanted = (whole * step) / (steps - 1)
    const after = Math.max(
      1,
      travelled.findIndex((length) => length >= wanted - 1e-12),
    )
    const [low, high] = [travelled[after - 1]!, travelled[after]!]
    const share = high > low ? (wanted - low) / (high - low) : 0
    return at(strengths[after - 1]! + (strengths[after]! - strengths[after - 1]!) * share)
  })
}

/** The strength of a dye mix that comes nearest to a paler colour, from one fiftieth to nine tenths of the deepest. */
export function nearestStrength(
  deepest: Dose,
  paleHex: string,
  dyes: readonly Dye[],
  sheet: ColouredSheet = SOAKED_FILM,
): number {
  const target = hexOklab(paleHex)
  const strengths = Array.from({ length: 89 }, (_, step) => 0.02 + step * 0.01)
  return strengths
    .map((strength) => ({ strength, away: difference(sheetOklab(weaken(deepest, strength), dyes, sheet), target) }))
    .sort((one, other) => one.away - other.away)[0]!.strength
}
