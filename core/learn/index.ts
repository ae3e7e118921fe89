export { plannedShrink } from './shrink'
export { dyeTrialSchema, learnedDye, shadeRange, type DyeTrial, type LearnedDye } from './dyeStrength'
