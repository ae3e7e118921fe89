export type { Foretold } from './progress'
export { breakageOf, handsFactor, handsForetold, runSchema, type Breakage, type Run } from './hands'
export {
  DRY_STATES,
  driedPaper,
  dryingFactor,
  dryingForetold,
  dryingTrialSchema,
  limitOf,
  limitShift,
  type DryingTrial,
  type DryState,
} from './drying'
export { dyeTrialSchema, learnedDye, shadeRange, strengthWorking, type DyeTrial, type LearnedDye } from './dyeStrength'
export { learnedFrom, type Learned, type UsedFactor } from './learned'
export { factorOf } from './factor'
export {
  plannedShrink,
  shrinkBelief,
  SHRINK_WAYS,
  SHRINK_WORDS,
  shrinkTrialSchema,
  type ShrinkBelief,
  type ShrinkTrial,
  type ShrinkWay,
} from './shrink'
export { sparesFor } from './spares'
export { asTimed, TIMED_RULE } from './timed'
