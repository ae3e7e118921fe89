import { boxPanels } from './boxPanels'
import { butterfly } from './butterfly'
import { castMesh } from './castMesh'
import { fabricBow } from './fabricBow'
import { flatPanel } from './flatPanel'
import { foldedGlobe } from './foldedGlobe'
import { formedSail } from './formedSail'
import { formedWrap } from './formedWrap'
import { gatheredFan } from './gatheredFan'
import { layeredWings } from './layeredWings'
import { panSail } from './panSail'
import { puff } from './puff'
import { silhouette } from './silhouette'
import { steamedSpire } from './steamedSpire'
import { stripScroll } from './stripScroll'
import { tornRuffle } from './tornRuffle'

export { COMPOSITION_KINDS, type BandRoom, type CompositionKind, type Failure, type Ingredient, type Layout, type PieceKind, type PlacedElement, type Step, type Technique, type TechniqueCaution, type TimedStep, type Wall } from './define'
export { PORTIONS, type Portion, type SizedElement } from './film'
export { finished, FINISHES, finishIds, finishOf, type Finish, type FinishedExtent, type FinishId, type Finishing } from './finish'
export type { Mesh, MeshBead, MeshFace, MeshLine } from './mesh'
export { frameOf, type Frame } from './frame'
export { apportion, soakedSail, type SoakedSail } from './soakedSail'
export { sailNet, type SailNet } from './sailShape'
export { boxPanels, butterfly, castMesh, fabricBow, flatPanel, foldedGlobe, formedSail, formedWrap, gatheredFan, layeredWings, panSail, puff, silhouette, steamedSpire, stripScroll, tornRuffle }

/** Every technique that is cut from sheets, as decorators sort them. To add one: write its file, list it here. */
export const TECHNIQUES = [formedSail, panSail, gatheredFan, steamedSpire, tornRuffle, formedWrap, flatPanel, boxPanels, stripScroll, castMesh, layeredWings, butterfly, silhouette, foldedGlobe, fabricBow, puff] as const

export type TechniqueId = (typeof TECHNIQUES)[number]['id']
