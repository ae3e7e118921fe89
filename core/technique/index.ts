import type { DryingWay } from '../dry'
import type { z } from 'zod'
import type { Technique } from './define'
import { boxPanels } from './boxPanels'
import { bud } from './bud'
import { butterfly } from './butterfly'
import { castMesh } from './castMesh'
import { cuppedBloom } from './cuppedBloom'
import { fabricBow } from './fabricBow'
import { fillerSprig } from './fillerSprig'
import { flatPanel } from './flatPanel'
import { floretDome } from './floretDome'
import { foldedGlobe } from './foldedGlobe'
import { formedSail } from './formedSail'
import { formedWrap } from './formedWrap'
import { freeLeafStem } from './freeLeafStem'
import { gatheredFan } from './gatheredFan'
import { laminatedLeaf } from './laminatedLeaf'
import { layeredWings } from './layeredWings'
import { mouldedBloom } from './mouldedBloom'
import { openBloom } from './openBloom'
import { panSail } from './panSail'
import { patchedLeaf } from './patchedLeaf'
import { puff } from './film/puff'
import { soakedSail } from './film/soakedSail'
import { silhouette } from './silhouette'
import { steamedSpire } from './steamedSpire'
import { stripScroll } from './stripScroll'
import { tornRuffle } from './tornRuffle'

export {
  seenAs,
  seenWidthAt,
  type BandRoom,
  type CompositionKind,
  type Failure,
  type Heat,
  type Layout,
  type Means,
  type PieceKind,
  type PlacedElement,
  type SecondColour,
  type Cast,
  type Sector,
  standsAt,
  type SeenSize,
  type Technique,
  type TechniqueCaution,
  type Wall,
} from './define'
export {
  AT_PLACE,
  fixed,
  GLUED,
  untilHandled,
  PLACES,
  PLACE_WORDS,
  type Glued,
  type PlaceId,
  type Rest,
  type Step,
} from './step'
export { PORTION_WORDS, PORTIONS, SWEEP_DEG } from './film/portion'
export { finished, FINISHES, finishIds, finishOf, type FinishedExtent, type FinishId } from './finish'
export { FAMILIES, type FamilyId } from './family'
export { lookedFor, needsOfTechnique } from './lookedFor'
export { PLANTS, type Plant } from './plants'
export { GAUGES, HOLDER_MM, STOCK_WIRE_MM, type Gauge, type Wiring } from './wiring'
export { LEAF_KINDS, leafOutline, PLAIN_BRANCH } from './foliage'
export {
  fitPetal,
  halfWidthAt,
  isPetalShape,
  PETAL_FIELDS,
  PETAL_SHAPES,
  petalOutline,
  petalSchema,
  type PetalShape,
} from './petal'
export type { Mesh, MeshFace, MeshLine } from './mesh'
export { frameOf, type Frame } from './frame'
export { chosen } from './chosen'
export { piecesIn } from './pieceCount'
export { MIXTURE_IDS, type Fixing, type LiquidUse, type MixtureId, type SupplyUse } from './liquid'
export type { Ingredient } from '../material'
export {
  boxPanels,
  bud,
  butterfly,
  castMesh,
  cuppedBloom,
  fabricBow,
  fillerSprig,
  flatPanel,
  floretDome,
  foldedGlobe,
  formedSail,
  formedWrap,
  freeLeafStem,
  gatheredFan,
  laminatedLeaf,
  layeredWings,
  mouldedBloom,
  openBloom,
  panSail,
  patchedLeaf,
  puff,
  silhouette,
  soakedSail,
  steamedSpire,
  stripScroll,
  tornRuffle,
}

/** Every technique, as decorators sort them. To add one: write its file, list it here. */
export const TECHNIQUES = [
  soakedSail,
  formedSail,
  panSail,
  gatheredFan,
  steamedSpire,
  tornRuffle,
  formedWrap,
  flatPanel,
  boxPanels,
  openBloom,
  cuppedBloom,
  mouldedBloom,
  bud,
  floretDome,
  fillerSprig,
  patchedLeaf,
  laminatedLeaf,
  freeLeafStem,
  stripScroll,
  castMesh,
  layeredWings,
  butterfly,
  silhouette,
  foldedGlobe,
  fabricBow,
  puff,
] as const

export type TechniqueId = (typeof TECHNIQUES)[number]['id']

/** A technique, its parameters loosened to what its own schema has checked. */
export type AnyTechnique = Technique<z.ZodObject, TechniqueId>

const DAMPED_DRIES = ['room', 'fan', 'dryRoom'] as const
/** Ways in which elements of a technique may dry, the usual one first. */
export const waysToDry = ({ dries }: { readonly dries?: readonly DryingWay[] }): readonly DryingWay[] =>
  dries ?? DAMPED_DRIES

/** @throws for an id that no technique has: files are checked before they come this far */
export function techniqueOf(id: TechniqueId): AnyTechnique {
  const found = TECHNIQUES.find((each) => each.id === id)
  if (!found) throw new Error(`Expected a technique of ${TECHNIQUES.map((each) => each.id).join(', ')}, got ${id}.`)
  return found as unknown as AnyTechnique
}
