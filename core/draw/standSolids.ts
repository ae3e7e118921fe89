import type { Board, StandingTier } from '../cake'
import type { Mesh } from '../technique'
import { FILM, meshParts, WAFER } from './meshSolid'
import type { Solid } from './solid'
import { boardSolid, tierSolid } from './tierSolid'

/** Something on the cake, as its technique draws it. */
export type Drawn = { readonly mesh: Mesh; readonly colour: string; readonly isFilm: boolean }

/** What stands on the stand. */
export type StandScene = {
  /** None where something is shown by itself. */
  readonly board: Board | null
  readonly stack: readonly StandingTier[]
  /** Elements of the decorations. */
  readonly elements: readonly Drawn[]
  /** Pearls and the like. */
  readonly accents: readonly Drawn[]
}

const RIM_MM = 3

/** How wide a shade may lie round a tier's foot: on the ledge below it, or on the board. */
function freeRound({ index, pile }: StandingTier, { stack }: Pick<StandScene, 'stack'>): number {
  const below = stack.findLast((tier) => tier.pile === pile && tier.index < index)
  return below ? below.ledge.leastMm - RIM_MM : Infinity
}

const drawnSolid = ({ mesh, colour, isFilm }: Drawn, kind: 'element' | 'accent', index: number): Solid => ({
  id: `${kind}-${index}`,
  kind,
  index,
  parts: meshParts(mesh, colour, isFilm ? FILM : WAFER),
})

/** All that stands on the stand, the board first; each thing on its own. */
export const standSolids = (scene: StandScene): readonly Solid[] => [
  ...(scene.board ? [boardSolid(scene.board)] : []),
  ...scene.stack.map((tier) => tierSolid(tier, freeRound(tier, scene))),
  ...scene.elements.map((element, index) => drawnSolid(element, 'element', index)),
  ...scene.accents.map((accent, index) => drawnSolid(accent, 'accent', index)),
]
