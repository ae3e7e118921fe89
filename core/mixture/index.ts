export { mixturesFor, offcutsFor, unwantedOf, type MadeMixture, type MixtureUse } from './amounts'
export { MIXTURES, type Mixture } from './mixtures'
