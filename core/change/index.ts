export { applied, type Applied, type Manner } from './apply'
export { changesBetween, takenBack, type Change } from './changes'
