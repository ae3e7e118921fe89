import { convertLrgbToOklab, convertOklabToRgb, convertRgbToLrgb, formatHex, parseHex, type Rgb } from 'culori/fn'

const known = new Map<string, string>()
const KEPT = 4000

const oklabOf = (hex: string) => {
  const rgb = parseHex(hex)
  if (!rgb) throw new Error(`Expected a colour such as #d9572b, got ${hex}.`)
  return convertLrgbToOklab(convertRgbToLrgb(rgb as Rgb))
}

/**
 * A colour between two that looks a share of the way from one to the other (OKLab); the share is rounded to a
 * hundredth.
 */
export function blend(one: string, other: string, share: number): string {
  const hundredths = Math.round(Math.min(1, Math.max(0, share)) * 100)
  if (hundredths === 0) return one
  const key = `${one} ${other} ${hundredths}`
  const kept = known.get(key)
  if (kept !== undefined) return kept
  const [from, to, part] = [oklabOf(one), oklabOf(other), hundredths / 100]
  const between = (low: number | undefined, high: number | undefined): number =>
    (low ?? 0) + ((high ?? 0) - (low ?? 0)) * part
  const blended = formatHex(
    convertOklabToRgb({ l: between(from.l, to.l), a: between(from.a, to.a), b: between(from.b, to.b) }),
  )
  if (known.size > KEPT) known.clear()
  known.set(key, blended)
  return blended
}
