import { dryMassKgM2, PACKET_MOISTURE, type Sheet } from './dryingCurve'

/** Wafer is light and open; film is dense and clear. @see usual practice; fitted to reported times */
const KINDS: Readonly<Record<'wafer' | 'film', Omit<Sheet, 'thicknessMm'>>> = {
  wafer: { densityKgM3: 350, porosity: 30 },
  film: { densityKgM3: 1350, porosity: 1 },
}

/** Paper as its drying sees it: plies that are glued together dry as one sheet that is thicker. */
export const paperSheet = (kind: 'wafer' | 'film', thicknessMm: number, plies = 1): Sheet => ({
  ...KINDS[kind],
  thicknessMm: thicknessMm * plies,
})

/** A kilogram on a square metre is so many grams on a square decimetre. */
const G_PER_DM2 = 10

/** Dry starch in a sheet, g/dm². */
export const dryGDm2 = (sheet: Sheet): number => dryMassKgM2(sheet) * G_PER_DM2

/** Water in a sheet, g/g, after so much water was brushed or misted on it, g/dm² in all. */
export const moistureAfter = (sheet: Sheet, waterGPerDm2: number): number =>
  PACKET_MOISTURE + waterGPerDm2 / dryGDm2(sheet)
