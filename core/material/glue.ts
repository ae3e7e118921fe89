import type { Ingredient } from './ingredient'

/**
 * What fixes dry paper on a covering. Grams: for a dm² of a back that is glued all over, for a foot set in a line, for a
 * dot; how long it is held by hand, and until it holds by itself. Usual practice; grams are guesses until they are
 * weighed.
 */
export type Glue = {
  readonly id: string
  readonly name: string
  readonly gramsPerDm2: number
  readonly gramsPerFoot: number
  readonly gramsPerDot: number
  readonly holdMin: number
  readonly setMin: number
  readonly contains: readonly Ingredient[]
  /** The covering itself and water are not bought for it. */
  readonly isBought: boolean
  readonly say: string
}

const GLUES = [
  {
    id: 'pipingGel',
    name: 'piping gel',
    gramsPerDm2: 4,
    gramsPerFoot: 0.8,
    gramsPerDot: 0.2,
    holdMin: 0.5,
    setMin: 20,
    contains: [],
    isBought: true,
    say: 'thin and even, edges above all; picks hold what is heavy',
  },
  {
    id: 'edibleGlue',
    name: 'edible glue',
    gramsPerDm2: 1.5,
    gramsPerFoot: 0.4,
    gramsPerDot: 0.1,
    holdMin: 0.25,
    setMin: 20,
    contains: [],
    isBought: false,
    say: 'tacky, not wet',
  },
  {
    id: 'water',
    name: 'a barely damp brush',
    gramsPerDm2: 0.4,
    gramsPerFoot: 0.1,
    gramsPerDot: 0.03,
    holdMin: 0.25,
    setMin: 30,
    contains: [],
    isBought: false,
    say: 'boiled, cooled water, until the covering just tacks',
  },
  {
    id: 'whiteChocolate',
    name: 'white chocolate',
    gramsPerDm2: 8,
    gramsPerFoot: 1.5,
    gramsPerDot: 0.4,
    holdMin: 1,
    setMin: 10,
    contains: ['dairy'],
    isBought: true,
    say: 'melted gently, piped into a pressed line',
  },
  {
    id: 'meltedChocolate',
    name: 'melted dark chocolate',
    gramsPerDm2: 8,
    gramsPerFoot: 1.5,
    gramsPerDot: 0.4,
    holdMin: 1,
    setMin: 15,
    contains: [],
    isBought: true,
    say: 'melted gently, piped into a pressed line',
  },
  {
    id: 'buttercream',
    name: 'fresh buttercream',
    gramsPerDm2: 10,
    gramsPerFoot: 2,
    gramsPerDot: 0.5,
    holdMin: 0.25,
    setMin: 20,
    contains: ['dairy'],
    isBought: true,
    say: 'a dab, pressed in',
  },
  {
    id: 'itself',
    name: 'the covering itself',
    gramsPerDm2: 0,
    gramsPerFoot: 0,
    gramsPerDot: 0,
    holdMin: 0.25,
    setMin: 5,
    contains: [],
    isBought: false,
    say: 'pressed in, last of all',
  },
] as const satisfies readonly Glue[]

export type GlueId = (typeof GLUES)[number]['id']
export const glueIds = GLUES.map(({ id }) => id) as [GlueId, ...GlueId[]]

/** @throws for an id that no glue has: files are checked before they come this far */
export function glueOf(id: GlueId): Glue {
  const glue = GLUES.find((each) => each.id === id)
  if (!glue) throw new Error(`Expected a glue of ${glueIds.join(', ')}, got ${id}.`)
  return glue
}
