export { mixturesFor, offcutsFor, unwantedOf, type MadeMixture, type MixtureUse } from './amounts'
export { MIXTURES, type Mixture, type Swap } from './mixtures'
