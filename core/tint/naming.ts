/** Colours in words, so that they are told by more than their hue and nobody has to read a code. */
import { difference, hexOklab, type Oklab } from './paperOptics'

/** A colour with the name its user gave it. */
type Named = { readonly name: string; readonly colour: string }

/** Colours so near are the same to the eye. */
const SAME = 0.03
/** Lightness that is called paler or deeper. */
const LIGHTER = 0.05

/** Words that people use for colours of food and flowers, each with one that it fits well. */
const WORDS: readonly (readonly [word: string, hex: string])[] = [
  ['white', '#ffffff'],
  ['off-white', '#efeeeb'],
  ['ivory', '#fbf5e4'],
  ['cream', '#f3e5c6'],
  ['sand', '#dcc8a2'],
  ['butter', '#f6e299'],
  ['lemon', '#f2e04c'],
  ['straw', '#dfc96f'],
  ['honey', '#dca23f'],
  ['mustard', '#c99a1e'],
  ['ochre', '#b97a2b'],
  ['apricot', '#f0b27c'],
  ['peach', '#f5cbac'],
  ['orange', '#ea7a26'],
  ['coral', '#ec7658'],
  ['salmon', '#ef9d87'],
  ['terracotta', '#c2623d'],
  ['rust', '#a0461f'],
  ['brick', '#96382b'],
  ['red', '#c71f2a'],
  ['cherry', '#9f1229'],
  ['wine', '#6c1a2e'],
  ['blush', '#f2d5cf'],
  ['pink', '#ea9bb1'],
  ['rose', '#d5688a'],
  ['raspberry', '#b6295a'],
  ['mauve', '#b48aa8'],
  ['plum', '#6d2f5a'],
  ['aubergine', '#3e2444'],
  ['lilac', '#c8b2dc'],
  ['lavender', '#a59ad2'],
  ['violet', '#6c4aa0'],
  ['ice blue', '#dce9f1'],
  ['sky blue', '#9bc6e7'],
  ['blue', '#2f5fb2'],
  ['slate blue', '#5d7391'],
  ['navy', '#262f5b'],
  ['teal', '#1f7d85'],
  ['turquoise', '#45b2af'],
  ['mint', '#bee2ce'],
  ['sage', '#a6b793'],
  ['leaf green', '#5f9a46'],
  ['grass green', '#3c8f45'],
  ['lime', '#b6cf4a'],
  ['olive', '#7b792e'],
  ['moss', '#6b7b3e'],
  ['forest green', '#1f4c33'],
  ['caramel', '#b67a43'],
  ['brown', '#7b5133'],
  ['chocolate', '#4b2d20'],
  ['taupe', '#9a8a7c'],
  ['pearl grey', '#d6d5d1'],
  ['grey', '#9a9a99'],
  ['charcoal', '#45454a'],
  ['black', '#18171a'],
]
const GREY = 0.015
const chroma = ({ a, b }: Oklab): number => Math.hypot(a, b)
/** What hue it is counts for more than how light: “pale” and “deep” say that. A guess. */
const LIGHTNESS_COUNTS = 0.4
const apart = (one: Oklab, other: Oklab): number =>
  Math.hypot(LIGHTNESS_COUNTS * (one.l - other.l), one.a - other.a, one.b - other.b)
const VOCABULARY = WORDS.map(([word, hex]) => ({ word, own: hexOklab(hex) }))

/** Greys are called grey, whatever of a hue lies nearer. */
function nearestWord(colour: Oklab): { readonly word: string; readonly own: Oklab } {
  const isGrey = chroma(colour) < GREY
  return VOCABULARY.filter(({ own }) => chroma(own) < GREY || !isGrey).reduce((one, other) =>
    apart(other.own, colour) < apart(one.own, colour) ? other : one,
  )
}

/** The user's own name for a colour, if it is one of theirs. */
function ownName(colour: Oklab, palette: readonly Named[]): string | null {
  const [nearest] = palette
    .map(({ name, colour: own }) => ({ name, away: difference(hexOklab(own), colour) }))
    .sort((one, other) => one.away - other.away)
  return nearest && nearest.away <= SAME ? nearest.name : null
}

/** A colour in words: the name its user gave it, else the word that fits best, pale or deep: “deep coral”. */
export function colourName(hex: string, palette: readonly Named[]): string {
  const colour = hexOklab(hex)
  const own = ownName(colour, palette)
  if (own) return own
  const nearest = nearestWord(colour)
  const lighter = colour.l - nearest.own.l
  return lighter > LIGHTER ? `pale ${nearest.word}` : lighter < -LIGHTER ? `deep ${nearest.word}` : nearest.word
}

const PLACES = ['palest', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'] as const

/**
 * Names for colours that stand side by side, by their ids, no two alike: those of one name are told apart by how deep
 * they are, “palest apricot”, “deepest apricot”, and by their place where there are more.
 */
export function namesApart(
  colours: readonly { readonly id: string; readonly hex: string }[],
  palette: readonly Named[],
): ReadonlyMap<string, string> {
  const named = colours.map(({ id, hex }) => ({ id, depth: -hexOklab(hex).l, name: colourName(hex, palette) }))
  const names = new Map<string, string>()
  const taken = new Set(named.map(({ name }) => name))
  for (const name of taken) {
    const same = named.filter((each) => each.name === name).sort((one, other) => one.depth - other.depth)
    same.forEach(({ id }, at) => {
      const place = at === 0 || at < same.length - 1 ? (PLACES[at] ?? `${at + 1}th`) : 'deepest'
      names.set(id, same.length === 1 ? name : `${place} ${name}`)
    })
  }
  return names
}
