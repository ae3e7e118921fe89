export { sameCuts, shareDiscs, strokesOn, type CutDisc, type LaidSector } from './sector/shareDiscs'
