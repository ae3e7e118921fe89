/**
 * Whether a colour suits the paper it goes on, the heat that follows, and the people who eat it; each with a way out.
 */
import type { DyeBase } from '../material'
import type { Heat } from '../technique'
import type { Carrier, Colouring } from '../tint'
import type { Severity } from './caution'

/** What is known of a decoration's colour. */
export type ColourFacts = {
  readonly decoration: string
  readonly name: string
  readonly colouring: Colouring
  /** Thin paper goes to holes where it is wet. */
  readonly isThin: boolean
  readonly isFilm: boolean
  readonly heat: Heat | null
  readonly stands: boolean
  /** What the dyes of its dishes are made with, by name. */
  readonly dyes: readonly { readonly id: string; readonly name: string; readonly base: DyeBase }[]
  /** Finishes that shine. */
  readonly shimmer: readonly string[]
  readonly noAlcohol: boolean
  /** Colours that the client does not want in it. */
  readonly noColours: readonly string[]
}

/** What would mend it: another way of colouring, or dyes that are left out of recipes. */
type ColourRemedy = { readonly words: string } & (
  | { readonly kind: 'colouring'; readonly change: Partial<Colouring> }
  | { readonly kind: 'leaveOut'; readonly dyes: readonly string[] }
  | { readonly kind: 'advice' }
)

/** A colour that does not suit: why, and what to do. */
export type ColourFault = {
  readonly code: string
  readonly decoration: string
  readonly severity: Severity
  readonly say: string
  readonly remedy: ColourRemedy
}

type Rule = {
  readonly code: string
  readonly severity: Severity
  readonly applies: (facts: ColourFacts) => boolean
  readonly say: (facts: ColourFacts) => string
  readonly remedy: (facts: ColourFacts) => ColourRemedy
}

const isDipped = ({ colouring: { way } }: ColourFacts): boolean => way === 'bath' || way === 'stepped'
const isBare = ({ colouring: { way } }: ColourFacts): boolean => way === 'bare'
const isWet = ({ colouring: { way, carrier } }: ColourFacts): boolean =>
  (way === 'brush' || way === 'mist') && carrier === 'water'
const carries = ({ colouring: { way, carrier } }: ColourFacts, wanted: Carrier): boolean =>
  (way === 'brush' || way === 'mist') && carrier === wanted
const made = ({ dyes }: ColourFacts, bases: readonly DyeBase[]): readonly ColourFacts['dyes'][number][] =>
  dyes.filter(({ base }) => bases.includes(base))
const names = (dyes: readonly { readonly name: string }[]): string => dyes.map(({ name }) => name).join(', ')
const leaveOut = (dyes: readonly { readonly id: string; readonly name: string }[]): ColourRemedy => ({
  kind: 'leaveOut',
  dyes: dyes.map(({ id }) => id),
  words: `mix without ${names(dyes)}`,
})

/**
 * Carrier for paper that must not get wet: alcohol, or where there is heat or nobody wants any a thin mist of water.
 */
const dryWay = ({ noAlcohol, heat }: ColourFacts): ColourRemedy =>
  noAlcohol || heat !== null
    ? { kind: 'colouring', change: { way: 'mist', carrier: 'water', coats: 2 }, words: 'mist it thinly, twice' }
    : { kind: 'colouring', change: { carrier: 'spirit' }, words: 'thin it with strong clear alcohol' }

const RULES: readonly Rule[] = [
  {
    code: 'sugar-in-pan',
    severity: 'stop',
    applies: (facts) => facts.heat === 'pan' && made(facts, ['sugarGel']).length > 0,
    say: (facts) => `${names(made(facts, ['sugarGel']))} has sugar in it: in the pan it sticks and browns.`,
    remedy: (facts) => leaveOut(made(facts, ['sugarGel'])),
  },
  {
    code: 'water-in-oil',
    severity: 'stop',
    applies: (facts) => facts.heat === 'oil' && !isBare(facts) && facts.colouring.carrier !== 'oil',
    say: () => 'Colour thinned with water or alcohol spits in hot oil and can burn somebody.',
    remedy: () => ({ kind: 'colouring', change: { way: 'brush', carrier: 'oil' }, words: 'thin it with oil' }),
  },
  {
    code: 'wet-dye-in-oil',
    severity: 'stop',
    applies: (facts) => facts.heat === 'oil' && made(facts, ['water', 'sugarGel', 'spirit']).length > 0,
    say: (facts) =>
      `${names(made(facts, ['water', 'sugarGel', 'spirit']))} is not made with oil: it spits in hot oil, and does not mix with it.`,
    remedy: () => ({ kind: 'advice', words: 'put a dye made with oil, or a powder, on the shelf' }),
  },
  {
    code: 'wet-thin-paper',
    severity: 'look',
    applies: (facts) =>
      facts.isThin &&
      !facts.isFilm &&
      ((facts.colouring.way === 'brush' && isWet(facts)) || (isDipped(facts) && facts.heat !== 'pan')),
    say: ({ colouring }) =>
      colouring.way === 'bath' || colouring.way === 'stepped'
        ? 'Thin wafer goes to pulp in a bath.'
        : 'Water on thin wafer makes holes before it dries.',
    remedy: (facts) => {
      const way = dryWay(facts)
      return way.kind === 'colouring' ? { ...way, change: { way: 'brush', ...way.change } } : way
    },
  },
  {
    code: 'wet-twice',
    severity: 'look',
    applies: (facts) => !facts.isFilm && carries(facts, 'water') && facts.colouring.coats > 2,
    say: () => 'More than two wet coats soften wafer through.',
    remedy: dryWay,
  },
  {
    code: 'alcohol-near-heat',
    severity: 'stop',
    applies: (facts) => facts.heat !== null && facts.heat !== 'oil' && carries(facts, 'spirit'),
    say: ({ heat }) => `Alcohol burns: it must not come near a ${heat === 'pan' ? 'hot pan' : 'steamer on its flame'}.`,
    remedy: ({ heat }) =>
      heat === 'pan'
        ? { kind: 'colouring', change: { way: 'bath', carrier: 'water' }, words: 'dip it in coloured water instead' }
        : {
            kind: 'colouring',
            change: { carrier: 'water', way: 'mist' },
            words: 'mist it with coloured water, and let it dry first',
          },
  },
  {
    code: 'steam-on-shimmer',
    severity: 'look',
    applies: ({ heat, shimmer }) => heat === 'steam' && shimmer.length > 0,
    say: ({ shimmer }) => `Steam dulls and smears ${shimmer.join(' and ')}.`,
    remedy: () => ({ kind: 'advice', words: 'steam the plain face only, and lay the shine on last' }),
  },
  {
    code: 'supple-but-stands',
    severity: 'look',
    applies: (facts) => facts.stands && carries(facts, 'conditioner'),
    say: () => 'Glycerin keeps paper supple; this has to stand by its own stiffness and would sink.',
    remedy: dryWay,
  },
  {
    code: 'oil-without-heat',
    severity: 'look',
    applies: (facts) => facts.heat !== 'oil' && carries(facts, 'oil'),
    say: () => 'Oil never dries: paper stays see-through where it is, and glue does not hold.',
    remedy: dryWay,
  },
  {
    code: 'no-alcohol',
    severity: 'stop',
    applies: (facts) => facts.noAlcohol && carries(facts, 'spirit'),
    say: () => 'No alcohol was asked for, and the colour is thinned with it.',
    remedy: ({ isThin }) => ({
      kind: 'colouring',
      change: { carrier: 'water', way: isThin ? 'mist' : 'brush', coats: 1 },
      words: isThin ? 'mist it with coloured water' : 'thin it with water, sparingly',
    }),
  },
  {
    code: 'spirit-dye',
    severity: 'look',
    applies: (facts) => facts.noAlcohol && made(facts, ['spirit']).length > 0,
    say: (facts) => `No alcohol was asked for, and ${names(made(facts, ['spirit']))} is made with it.`,
    remedy: (facts) => leaveOut(made(facts, ['spirit'])),
  },
  {
    code: 'unwanted-dye',
    severity: 'look',
    applies: (facts) => unwanted(facts).length > 0,
    say: (facts) => `The client wants no ${names(unwanted(facts))} in it.`,
    remedy: (facts) => leaveOut(unwanted(facts)),
  },
]

const unwanted = ({ dyes, noColours }: ColourFacts): ColourFacts['dyes'] =>
  dyes.filter(({ name }) => noColours.some((each) => each.trim().toLowerCase() === name.toLowerCase()))

/** Everything that does not suit, what stops the work first. */
export function colourFaults(decorations: readonly ColourFacts[]): readonly ColourFault[] {
  const order = { stop: 0, look: 1, note: 2 } as const
  return decorations
    .flatMap((facts) =>
      isBare(facts)
        ? []
        : RULES.filter(({ applies }) => applies(facts)).map(({ code, severity, say, remedy }): ColourFault => ({
            code,
            decoration: facts.decoration,
            severity,
            say: say(facts),
            remedy: remedy(facts),
          })),
    )
    .sort((one, other) => order[one.severity] - order[other.severity])
}
