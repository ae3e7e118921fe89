import type { Bands, Dye } from '../material'
import { backBands, bandsHex, hexBands, sheetBands, throughBands, type ColouredSheet, type Dose } from './paperOptics'

/** How a dyed sheet is looked at. */
export const LOOKS = ['white', 'covering', 'behind', 'light'] as const
export type Look = (typeof LOOKS)[number]
export const LOOK_WORDS: Readonly<Record<Look, string>> = {
  white: 'on white',
  covering: 'on its tier',
  behind: 'from behind',
  light: 'against light',
}

/** The predicted colour of a dyed sheet as it is looked at, as hex. @param coveringHex what it lies on, on the cake */
export function seenHex(
  look: Look,
  dose: Dose,
  dyes: readonly Dye[],
  sheet: ColouredSheet,
  coveringHex: string,
): string {
  const seen: Readonly<Record<Look, () => Bands>> = {
    white: () => sheetBands(dose, dyes, sheet),
    covering: () => sheetBands(dose, dyes, sheet, hexBands(coveringHex)),
    behind: () => backBands(dose, dyes, sheet),
    light: () => throughBands(dose, dyes, sheet),
  }
  return bandsHex(seen[look]())
}
