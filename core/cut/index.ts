export { sameCuts, shareDiscs, strokesOn, type CutDisc, type LaidSector } from './sector/shareDiscs'
export { faultSentence, faultsOf, type LayoutFault } from './nest/checkLayout'
export { jobSentence, readNestJob, type JobProblem, type NestJob, type NestLayout, type NestPart, type NestPlacement, type NestSheet } from './nest/job'
export { startNesting, type Nesting, type NestMeasure } from './nest/nest'
