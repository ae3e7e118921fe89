import { convertLrgbToOklab, convertOklabToRgb, convertRgbToLrgb, formatHex, parseHex } from 'culori/fn'

/** Moves a colour's lightness in OKLab towards white (share above 0) or black (below), keeping its hue. */
function shift(hex: string, share: number): string {
  const rgb = parseHex(hex)
  if (!rgb) throw new Error(`Expected a colour such as #d9572b, got ${hex}.`)
  const { l, a, b } = convertLrgbToOklab(convertRgbToLrgb(rgb))
  const fade = 1 - Math.abs(share)
  return formatHex(
    convertOklabToRgb({ l: share > 0 ? l + (1 - l) * share : l * (1 + share), a: (a ?? 0) * fade, b: (b ?? 0) * fade }),
  )
}

const HUNDREDTHS = 100
const MOST_COLOURS = 300
/** For each colour its shades, from black at 0 over itself at 100 to white at 200. */
const known = new Map<string, (string | undefined)[]>()

/** Shading asks for few colours many times over: rounds the share to a hundredth and keeps what was worked out. */
function shiftOnce(hex: string, share: number): string {
  const place = Math.round(share * HUNDREDTHS) + HUNDREDTHS
  let shades = known.get(hex)
  if (!shades) {
    if (known.size > MOST_COLOURS) known.clear()
    known.set(hex, (shades = []))
  }
  return (shades[place] ??= shift(hex, (place - HUNDREDTHS) / HUNDREDTHS))
}

/** @param share 0 leaves it, 1 makes it white */
export const lighten = (hex: string, share: number): string => shiftOnce(hex, Math.min(1, Math.max(0, share)))
/** @param share 0 leaves it, 1 makes it black */
export const darken = (hex: string, share: number): string => shiftOnce(hex, -Math.min(1, Math.max(0, share)))

const parsed = new Map<string, readonly [number, number, number]>()

/** Red, green and blue of a colour, 0 to 255 each. */
export function parsedColour(hex: string): readonly [number, number, number] {
  const before = parsed.get(hex)
  if (before) return before
  const rgb = parseHex(hex)
  if (!rgb) throw new Error(`Expected a colour such as #d9572b, got ${hex}.`)
  if (parsed.size > MOST_COLOURS) parsed.clear()
  const bytes = [rgb.r, rgb.g, rgb.b].map((each) => Math.round(each * 255)) as unknown as readonly [
    number,
    number,
    number,
  ]
  parsed.set(hex, bytes)
  return bytes
}

/** A byte of a screen colour as light, 0 to 1. IEC 61966-2-1. */
export function lightOf(byte: number): number {
  const share = byte / 255
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
}
