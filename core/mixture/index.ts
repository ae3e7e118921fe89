export { mixturesFor, offcutsFor, unwantedOf, type MadeMixture, type MixtureUse } from './amounts'
export { glycerinShare, MIXTURES, mixtureOf, withoutAny, type Mixture } from './mixtures'
