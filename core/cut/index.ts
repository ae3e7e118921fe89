export { shareDiscs, type CutAgain } from './sector/shareDiscs'
export {
  CUTTING_WAYS,
  cuttingSchema,
  cuttingToolsSchema,
  keptSheetSchema,
  MOST_LAYERS,
  MOST_PLIES,
  MOST_REMNANTS,
  MOST_SIZES,
  remnantSchema,
  STARTING_CUTTING,
  STARTING_TOOLS,
  WAY_WORDS,
  type Cutting,
  type SettledCutting,
  type CuttingTools,
  type CuttingChoice,
  type CuttingWay,
  type KeptSheet,
  type Remnant,
} from './way'
export {
  boxOf,
  CHORD_MM,
  sheetsIn,
  sizeOf,
  type CutLayout,
  type CutPart,
  type CutPiece,
  type CutSheet,
  type LeftOut,
  type SheetSize,
} from './sheet'
export { drawnPieces, MOST_OWN_PIECES, ownOutlines, ownPieceSchema, type OwnPiece } from './ownPiece'
export { layByHand } from './byHand'
export { discDiameterOf, layPunched } from './punched'
export { jobKey, nestJobOf, sheetsOf } from './nested'
export {
  checkMachineJob,
  MACHINE_ORDERS,
  machineJob,
  machineReportSchema,
  machineSentence,
  type MachineJob,
  type MachineOrder,
  type MachineReport,
} from './machine'
export { cornerSentence, cornersOnPhoto, readCorners, remnantOutline, type CornerProblem } from './remnant'
export { offcutDm2, paperDm2, remainderOf, type Remainder } from './offcuts'
export { inCuttingOrder, knifeLines, travelMm } from './order'
export { cuttingMinutes, strokesOf } from './work'
export { type LayoutFault } from './nest/closeness'
export { faultSentence, faultsOf } from './nest/checkLayout'
export { jobSentence, type NestJob, type NestLayout, type NestPart, type NestSheet } from './nest/job'
export { readNestJob } from './nest/readJob'
export { isLess, leastOf, startNesting, type Nesting, type NestMeasure } from './nest/nest'
