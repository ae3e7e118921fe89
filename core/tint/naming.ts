import { difference, hexOklab, type Oklab } from './paperOptics'

/** A colour with the name its user gave it. */
type Named = { readonly name: string; readonly colour: string }

const SAME = 0.03
/** Colours of about the same hue are told apart by how light they are; greys have none to speak of. */
const ALIKE = 0.3
const SAME_HUE = 0.4
/** Lightness that is called paler or deeper. */
const LIGHTER = 0.03

/** How a colour stands to the nearest of the user's own that is like it. */
type Likeness = { readonly name: string; readonly how: 'same' | 'near' | 'paler' | 'deeper' }

function likenessOf(colour: Oklab, palette: readonly Named[]): Likeness | null {
  const isAlike = (own: Oklab): boolean =>
    difference(own, colour) <= SAME || (difference(own, colour) <= ALIKE && hueApart(own, colour) <= SAME_HUE)
  const nearest = palette
    .map(({ name, colour: own }) => ({ name, own: hexOklab(own), away: difference(hexOklab(own), colour) }))
    .filter(({ own }) => isAlike(own))
    .sort((one, other) => one.away - other.away)[0]
  if (!nearest) return null
  const { name, own, away } = nearest
  if (away <= SAME) return { name, how: 'same' }
  const lighter = colour.l - own.l
  return { name, how: Math.abs(lighter) < LIGHTER ? 'near' : lighter > 0 ? 'paler' : 'deeper' }
}

/**
 * A colour in the user's own words, so that it is told by more than its hue: its own name, or how it stands to the
 * nearest that has one.
 */
export function colourWords(hex: string, palette: readonly Named[]): string {
  const colour = hexOklab(hex)
  const likeness = likenessOf(colour, palette)
  if (!likeness) return plainWords(colour)
  const { name, how } = likeness
  return how === 'same' ? name : how === 'near' ? `near ${name}` : `${how} than ${name}`
}

/** A colour for somebody who is shown none to compare it with: “persimmon”, “a paler persimmon”. */
export function clientColourWords(hex: string, palette: readonly Named[]): string {
  const colour = hexOklab(hex)
  const likeness = likenessOf(colour, palette)
  if (!likeness) return plainWords(colour)
  const { name, how } = likeness
  return how === 'same' || how === 'near' ? name.toLowerCase() : `a ${how} ${name.toLowerCase()}`
}

const chroma = ({ a, b }: Oklab): number => Math.hypot(a, b)

/** Angle between two hues, radians; none for greys. */
function hueApart(one: Oklab, other: Oklab): number {
  if (chroma(one) < GREY && chroma(other) < GREY) return 0
  const apart = Math.abs(Math.atan2(one.b, one.a) - Math.atan2(other.b, other.a))
  return Math.min(apart, 2 * Math.PI - apart)
}

const HUES = ['pink', 'red', 'orange', 'yellow', 'green', 'turquoise', 'blue', 'violet'] as const
/** Where each hue of the list ends on the circle of OKLab, degrees. */
const HUE_ENDS = [10, 42, 72, 112, 160, 220, 285, 335] as const
const GREY = 0.025

/** Words for a colour that nothing named is like. */
function plainWords(colour: Oklab): string {
  const { l, a, b } = colour
  const depth = l > 0.85 ? 'very pale' : l > 0.7 ? 'pale' : l > 0.5 ? 'mid' : 'deep'
  if (chroma(colour) < GREY) return `${depth} grey`
  const degrees = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360
  return `${depth} ${HUES[HUE_ENDS.findIndex((end) => degrees < end)] ?? HUES[0]}`
}
