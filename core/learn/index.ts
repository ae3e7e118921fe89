export { plannedShrink } from './shrink'
export { dyeTrialSchema, learnedDye, shadeRange, strengthWorking, type DyeTrial, type LearnedDye } from './dyeStrength'
