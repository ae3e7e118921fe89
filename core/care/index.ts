export { careCard, type CareCard } from './careCard'
export { LEAVES, type Caution, type Leaf, type Severity } from './caution'
export { judge, type Facts } from './judge'
