export { plannedShrink } from './shrink'
