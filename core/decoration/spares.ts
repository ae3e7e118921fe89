/** Spare pieces: for each kind as many as break, shared by its sizes. */
import { sparesFor, type Breakage } from '../learn'
import { derive, found, several, sumOf, type Working } from '../quantity'
import type { PieceKind, PlacedElement } from '../technique'

/**
 * Spares of a kind, whatever its sizes: so many that enough are left on average of what the technique breaks, or in nine
 * jobs of ten of what these hands break.
 */
function sparesOf(name: string, needed: Working, began: Working, breakage: Breakage | null): Working {
  const label = `spare ${several(name)}`
  if (!breakage)
    return derive(
      label,
      'count',
      'spares',
      'round up( {needed} × {share} ÷ ( 1 − {share} ) ), at least 1',
      { needed, share: began },
      (v) => Math.max(1, Math.ceil((v.needed * v.share) / (1 - v.share) - 1e-9)),
    )
  const { share, pieces, runs } = breakage
  return derive(
    label,
    'count',
    'spares at nine in ten',
    'the fewest with which {needed} are good in nine jobs of ten, when {share} break, at least 1',
    { needed, share: found('what breaks', share, 'share', `learned from ${pieces} pieces in ${runs} of your runs`) },
    (v) => Math.max(1, sparesFor(v.needed, breakage)),
  )
}

/** Pieces of a kind in a size, with the spares that fall to it. */
export type Sized = {
  readonly alike: readonly PlacedElement[]
  readonly kind: PieceKind
  readonly needed: Working
  readonly spares: Working
}

/** Spares of a kind, shared by how many of each size are needed: the largest remainder first, of equals the bigger size. */
export function withSpares(
  sized: readonly Omit<Sized, 'spares'>[],
  began: Working,
  breakage: Breakage | null,
): readonly Sized[] {
  const [{ kind }] = sized as readonly [Omit<Sized, 'spares'>, ...Omit<Sized, 'spares'>[]]
  const all =
    sized.length === 1
      ? sized[0]!.needed
      : sumOf(
          several(kind.name),
          'count',
          'sizes added up',
          sized.map(({ needed }) => needed),
        )
  const spares = sparesOf(kind.name, all, began, breakage)
  if (sized.length === 1) return sized.map((each) => ({ ...each, spares }))
  const exact = sized.map(({ needed }) => (spares.value * needed.value) / all.value)
  const byRemainder = exact
    .map((share, at) => ({ at, left: share - Math.floor(share) }))
    .sort((one, other) => other.left - one.left || one.at - other.at)
  const over = spares.value - exact.reduce((sum, share) => sum + Math.floor(share), 0)
  const more = new Set(byRemainder.slice(0, over).map(({ at }) => at))
  return sized.map((each, at) => {
    const many = Math.floor(exact[at]!) + (more.has(at) ? 1 : 0)
    const inputs = { spares, needed: each.needed }
    return {
      ...each,
      spares: derive(
        `spare ${several(kind.name)}`,
        'count',
        'spares shared by size',
        'of {spares}, for {needed} of this size',
        inputs,
        () => many,
      ),
    }
  })
}
