import type { Working } from '../quantity'
import type { LeafShape } from './foliage/leaf'

/**
 * One move of putting an element together on its wire, in the order in which it is done: what is joined, how many at
 * once, and, on a branch,
 * how far above the foot of its stem, to which side. `share` is its size as a share of the largest, for the picture.
 */
export type AssemblyMove = {
  readonly what: string
  readonly count: number
  readonly atMm: number | null
  readonly side: -1 | 0 | 1
  readonly share: number
}

/** How an element is put together: a bloom whorl by whorl round its wire, a branch leaf by leaf from its tip down. */
export type Assembly =
  | { readonly kind: 'bloom'; readonly moves: readonly AssemblyMove[] }
  | {
      readonly kind: 'branch'
      readonly shape: LeafShape
      readonly lengthMm: Working
      readonly moves: readonly AssemblyMove[]
    }
