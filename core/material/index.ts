export { COVERINGS, coveringIds, coveringOf, type Covering, type CoveringId } from './covering'
export { DROP_ML, DYES, type Bands, type Dye } from './dye'
export { DISC_DIAMETERS_MM, RICE_FILM, type DiscDiameterMm } from './riceFilm'
export {
  formatIds,
  formatOf,
  PAPER_KINDS,
  paperIds,
  paperOf,
  PAPERS,
  type Format,
  type FormatId,
  type PaperId,
} from './paper'
