export { applied } from './apply'
export { changesBetween, takenBack, type Change } from './changes'
export { areEqual } from './identity'
