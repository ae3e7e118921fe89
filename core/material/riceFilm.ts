/**
 * Hard translucent film of rice or tapioca starch, sold as discs: soaked to be worked, dries like glass. Not wafer
 * paper.
 */
export const RICE_FILM = { name: 'rice film', thicknessMm: 0.2, densityKgM3: 1350, porosity: 1 } as const

/** Disc diameters sold, mm, smallest first. */
export const DISC_DIAMETERS_MM = [160, 220, 280] as const

export type DiscDiameterMm = (typeof DISC_DIAMETERS_MM)[number]
