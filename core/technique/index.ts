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
import { puff } from './puff'
import { silhouette } from './silhouette'
import { steamedSpire } from './steamedSpire'
import { stripScroll } from './stripScroll'
import { tornRuffle } from './tornRuffle'

export {
  MOULD_WORDS,
  MOULDS,
  type BandRoom,
  type CompositionKind,
  type Failure,
  type Heat,
  type Ingredient,
  type Layout,
  type PlacedElement,
  type Technique,
  type TechniqueCaution,
  type TimedStep,
  type Wall,
} from './define'
export { PORTIONS, type Portion, type SizedElement } from './film'
export { finished, FINISHES, finishIds, finishOf, type FinishedExtent, type FinishId } from './finish'
export { PLANTS, type Plant } from './plants'
export { GAUGES, HOLDER_MM, type Gauge, type Wiring } from './wiring'
export { LEAF_KINDS, leafOutline } from './foliage'
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
export { MIXTURE_IDS, type MixtureId } from './liquid'
export { apportion, soakedSail, type SoakedSail } from './soakedSail'
export { sailNet, type SailNet } from './sailShape'
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
  steamedSpire,
  stripScroll,
  tornRuffle,
}

/** Every technique that is cut from sheets, as decorators sort them. To add one: write its file, list it here. */
export const TECHNIQUES = [
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
