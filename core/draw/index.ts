export { cutSheetPicture, insideOf, numberHeightMm, pieceOutlines, sheetOutline } from './cutSheetPicture'
export { dishLabels, type DishLabel } from './dishLabels'
export { rulerShapes } from './ruler'
export { darken, lighten, lightOf } from './shading'
export { standSolids, type Drawn, type StandScene } from './standSolids'
export type { Matter, Solid, SolidPart } from './solid'
export { SHADE } from './tierSolid'
export { metBy } from './touch'
export { outlineSeen } from './outlineSeen'
export {
  flatAt,
  flatStand,
  paperStand,
  partsFromAbove,
  wholePart,
  type Flat,
  type OnPaper,
  type Side,
} from './flatStand'
export {
  AWAY_MM,
  fitted,
  FRONT_DOWN_DEG,
  nearer,
  projectionMatrix,
  sightLine,
  viewAt,
  viewMatrix,
  windowAround,
  windowOf,
  type Viewpoint,
  type Room,
  type Window,
} from './viewpoint'
export type { Fade, Picture, Shape } from './shape'
export { boxEdges, type BoxEdge } from './boxEdges'
export { dimensionsOf } from './dimensions'
export { facesViewer, pointOfSpot, spotAt, straightMm, touchedAt, type Touched } from './tape'
export { guideSheet } from './guidePicture'
