export { careCard, type CareCard } from './careCard'
export { LEAVES, type Caution, type Leaf, type Severity } from './caution'
export { HOLDER_ROOM_MM, judge, type Facts } from './judge'
