/** Kinds of things that go on a cake, in the order people think of them. */
export const FAMILIES = [
  { id: 'sails', name: 'Sails and drapes' },
  { id: 'ruffles', name: 'Ruffles and wraps' },
  { id: 'flowers', name: 'Flowers' },
  { id: 'foliage', name: 'Foliage' },
  { id: 'lace', name: 'Lace' },
  { id: 'figures', name: 'Figures and folds' },
] as const

export type FamilyId = (typeof FAMILIES)[number]['id']
