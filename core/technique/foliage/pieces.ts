import { derive, found, type Working } from '../../quantity'
import type { PieceKind } from '../define'
import { leafOutline, widestOf, type LeafShape } from './leaf'
import { leafLong } from './sizes'

type Counted = { readonly name: string; readonly share: number; readonly count: number }

/**
 * Leaves of a branch as they are cut, size by size.
 * @param plies sheets of paper in one leaf; they are cut together
 */
export function leafPieces(
  shape: LeafShape,
  largest: Working,
  counts: readonly Counted[],
  size: number,
  plies: 1 | 2,
  face: string,
): readonly PieceKind[] {
  return counts.map(({ name, share, count }): PieceKind => {
    const height: Working = leafLong(largest, name, share, size)
    const width = derive(
      `${name} leaf wide`,
      'length',
      'sizes of leaves',
      '{long} × {wide}',
      { long: height, wide: found('wide, of its length', widestOf(shape), 'share', 'of its outline') },
      (v) => v.long * v.wide,
    )
    const { outline, fold } = leafOutline(shape, height.value)
    return {
      name: `${name} leaf`,
      ...(plies > 1 && { plies }),
      outline,
      folds: [fold],
      face,
      width,
      height,
      perElement: count,
    }
  })
}
