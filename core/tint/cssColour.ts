import { formatHex, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch, modeRgb, parse, useMode } from 'culori/fn'

for (const mode of [modeRgb, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch]) useMode(mode)

/**
 * A colour as style sheets write it (a name, hex, rgb(), hsl(), lab(), oklch()), as six-digit hex; null for what is
 * none.
 */
export const cssHex = (text: string): string | null => formatHex(parse(text.trim().toLowerCase())) ?? null
