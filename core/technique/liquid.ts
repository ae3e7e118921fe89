import type { BenchSupplyId } from '../material'

/** Liquids that techniques use, made up by recipes elsewhere. */
export const MIXTURE_IDS = ['edibleGlue', 'damping', 'conditioner', 'gelatineFilm', 'slurry'] as const
export type MixtureId = (typeof MIXTURE_IDS)[number]

/**
 * A mixture that a step takes: so many ml for each piece, for each dm² of a piece and face, or for each dm² and face of
 * the whole sheets it is cut from. What is dipped asks for so much in its bowl, however few there are.
 */
export type LiquidUse = {
  readonly mixture: MixtureId
  readonly at: string
  readonly per: 'piece' | 'dm2' | 'sheetDm2'
  readonly ml: number
  /** How many faces are wetted; one where it is not said. */
  readonly faces?: number
  /** Pieces that are wetted once for so many, such as two plies laid on each other. */
  readonly plies?: number
  readonly bowlMl?: number
}

/** Something used up at a step: so much for each piece, each element, or for the job. */
export type SupplyUse = {
  readonly supply: BenchSupplyId
  readonly at: string
  readonly per: 'piece' | 'element' | 'job'
  readonly amount: number
}

/**
 * How elements are fixed on the cake: a share of their back glued, a foot set in a line, dots; what stands on wires goes
 * into holders.
 */
export type Fixing =
  | { readonly by: 'back'; readonly share: number }
  | { readonly by: 'foot' | 'dot'; readonly joints: number }
  | { readonly by: 'wire' }
