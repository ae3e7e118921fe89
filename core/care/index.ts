export { careCard, type CareCard } from './careCard'
export { colourFaults, type ColourFacts, type ColourFault, type ColourRemedy } from './colourFit'
export { LEAVES, type Caution, type Leaf, type Severity } from './caution'
export { HOLDER_ROOM_MM, judge, type Facts } from './judge'
