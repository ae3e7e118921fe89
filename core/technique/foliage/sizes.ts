import { derive, found, starting, type Working } from '../../quantity'
import type { AssemblyMove } from '../assembly'
import type { LeafPlace } from './branch'

/** Leaves are cut in three sizes: large at the foot, small at the tip. */
export const LEAF_SIZES = [
  { name: 'large', share: 1 },
  { name: 'medium', share: 0.8 },
  { name: 'small', share: 0.62 },
] as const

const BARE_SHARE = 0.16

/** How many pairs a stem carries, so far apart, and one leaf at its tip. */
export const pairsOn = (length: Working, apart: Working): Working =>
  derive(
    'pairs of leaves',
    'count',
    'leaves along a stem',
    'round( {length} × ( 1 − {bare} ) ÷ {apart} ), at least 1',
    {
      length,
      bare: starting('bare at the foot', BARE_SHARE, 'share', 'guess'),
      apart,
    },
    (v) => Math.max(1, Math.round((v.length * (1 - v.bare)) / v.apart)),
  )

/**
 * Where so many leaves sit: in pairs from the bare foot up, a little apart, an odd one alone at the tip; each of its size.
 */
export function leavesOn(leaves: number): readonly LeafPlace[] {
  const pairs = Math.floor(leaves / 2)
  const sizeAt = (up: number): number =>
    LEAF_SIZES[Math.min(2, Math.floor(((3 * (up - BARE_SHARE)) / (1 - BARE_SHARE)) * 0.999))]!.share
  const sides = Array.from({ length: pairs }, (_, pair) => {
    const up = BARE_SHARE + ((1 - BARE_SHARE) * (pair + 0.15)) / (pairs + 0.4)
    return [
      { up, side: -1 as const, share: sizeAt(up) },
      { up: Math.min(0.97, up + 0.03), side: 1 as const, share: sizeAt(up) },
    ]
  }).flat()
  return leaves % 2 === 0 ? sides : [...sides, { up: 1, side: 0, share: LEAF_SIZES[2].share }]
}

/** How many leaves of each size, the largest first. */
export const countBySize = (
  places: readonly LeafPlace[],
): readonly { readonly name: string; readonly share: number; readonly count: number }[] =>
  LEAF_SIZES.map(({ name, share }) => ({
    name,
    share,
    count: places.filter((place) => place.share === share).length,
  })).filter(({ count }) => count > 0)

/** Length of a leaf of a size, on an element of a size. */
export const leafLong = (largest: Working, name: string, share: number, size: number): Working =>
  derive(
    `${name} leaf long`,
    'length',
    'sizes of leaves',
    '{largest} × {share} × {size}',
    {
      largest,
      share: starting(`${name}, of the largest`, share, 'share', 'usual'),
      size: found('size here', size, 'share', 'from its place'),
    },
    (v) => v.largest * v.share * v.size,
  )

/**
 * Leaves in the order in which they are joined: from the tip down, the size of each and how far above the foot of the
 * stem.
 */
export const joinedFromTheTip = (places: readonly LeafPlace[], lengthMm: number): readonly AssemblyMove[] =>
  [...places]
    .sort((one, other) => other.up - one.up)
    .map(({ up, side, share }): AssemblyMove => ({
      what: `${LEAF_SIZES.find((size) => size.share === share)!.name} leaf`,
      count: 1,
      atMm: up * lengthMm,
      side,
      share,
    }))
