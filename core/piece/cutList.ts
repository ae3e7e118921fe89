import { derive, found, type Working } from '../quantity'
import { PORTIONS, type Portion, type SizedElement } from '../technique'

/** A piece to cut: a portion of a disc, for an element or as a spare. */
export type Piece = {
  readonly number: number
  readonly portion: Portion
  readonly discMm: number
  /** Index of the element it becomes; null for a spare. */
  readonly element: number | null
  /** Step of the colour ladder, 0 the palest. */
  readonly shade: number
}

/** Pieces of one size: same portion of the same disc, with their spares. */
type SizeClass = {
  readonly portion: Portion
  readonly discMm: number
  readonly needed: Working
  readonly spares: Working
}

export type CutList = {
  readonly pieces: readonly Piece[]
  readonly sizeClasses: readonly SizeClass[]
  readonly total: Working
}

/** Area of a flat piece, dm². */
export const pieceAreaDm2 = ({ portion, discMm }: Pick<Piece, 'portion' | 'discMm'>): number =>
  Math.PI * (discMm / 200) ** 2 * { whole: 1, half: 0.5, quarter: 0.25 }[portion]

/** Room a draped piece takes on what it dries over: seen from above, width gathered, height from foot to rim, mm. */
export const drapedFootprint = (
  { portion, discMm }: Pick<Piece, 'portion' | 'discMm'>,
  gather: number,
): { readonly widthMm: number; readonly heightMm: number } => ({
  widthMm: (discMm * { whole: 1, half: 1, quarter: Math.SQRT1_2 }[portion]) / gather,
  heightMm: discMm * { whole: 1, half: 0.5, quarter: 0.5 }[portion],
})

/**
 * The pieces to cut: one for each element, and spares of each size, at least one.
 * Pieces are numbered big discs first, whole before half before quarter. A spare takes the shade that most of its
 * size have.
 *
 * @param count how many elements there are, with its working
 * @param shadeOf the shade of an element, by its index
 */
export function cutListFor(
  elements: readonly SizedElement[],
  count: Working,
  spareShare: Working,
  shadeOf: (element: number) => number,
): CutList {
  const sizes = groupBySize(elements)
  const sizeClasses: SizeClass[] = []
  const pieces: Piece[] = []
  for (const { portion, discMm, members } of sizes) {
    const words = `${portion} of ${discMm} mm`
    const needed = derive(
      words,
      'count',
      'elements of one size',
      'of {count}, those whose reach takes this disc',
      { count },
      () => members.length,
    )
    const spares = derive(
      `spare ${words}`,
      'count',
      'spares',
      'round up( {needed} × {spareShare} ), at least 1',
      { needed, spareShare },
      (v) => Math.max(1, Math.ceil(v.needed * v.spareShare - 1e-9)),
    )
    sizeClasses.push({ portion, discMm, needed, spares })
    const shades = members.map(({ index }) => shadeOf(index))
    const add = (element: number | null, shade: number): void => {
      pieces.push({ number: pieces.length + 1, portion, discMm, element, shade })
    }
    members.forEach(({ index }, at) => add(index, shades[at]!))
    for (let spare = 0; spare < spares.value; spare += 1) add(null, mostCommon(shades))
  }
  const total = derive(
    'pieces to cut',
    'count',
    'pieces and spares',
    sizeClasses.map((_, at) => `{needed${at}} + {spares${at}}`).join(' + ') || '0',
    Object.fromEntries(
      sizeClasses.flatMap(({ needed, spares }, at) => [
        [`needed${at}`, needed],
        [`spares${at}`, spares],
      ]),
    ),
    () => pieces.length,
  )
  return { pieces, sizeClasses, total }
}

/** What a size of portion is called among the parts that are cut. */
export const sailPart = ({ portion, discMm }: Pick<Piece, 'portion' | 'discMm'>): string => `sails/${portion} ${discMm}`

/**
 * A cut list with pieces cut again, as spares of their size and with numbers of their own; `again` has those of each
 * cut.
 */
export function withRecuts(
  cutList: CutList,
  recuts: readonly { readonly part: string; readonly many: number }[],
): { readonly cutList: CutList; readonly again: readonly (readonly Piece[])[] } {
  const pieces = [...cutList.pieces]
  const again = recuts.flatMap(({ part, many }) => {
    const like = pieces.find((piece) => piece.element === null && sailPart(piece) === part)
    if (!like) return []
    const cut = Array.from({ length: many }, (_, at): Piece => ({ ...like, number: pieces.length + 1 + at }))
    pieces.push(...cut)
    return [cut]
  })
  const more = pieces.length - cutList.pieces.length
  if (more === 0) return { cutList, again }
  const total = derive(
    'pieces to cut',
    'count',
    'cut again',
    '{planned} + {again}',
    { planned: cutList.total, again: found('cut again', more, 'count', 'asked for at the bench') },
    (v) => v.planned + v.again,
  )
  return { cutList: { ...cutList, pieces, total }, again }
}

function groupBySize(
  elements: readonly SizedElement[],
): readonly { portion: Portion; discMm: number; members: readonly SizedElement[] }[] {
  const groups = new Map<string, SizedElement[]>()
  for (const element of elements) {
    const key = `${element.discMm} ${element.portion}`
    groups.set(key, [...(groups.get(key) ?? []), element])
  }
  return [...groups.values()]
    .map((members) => ({ portion: members[0]!.portion, discMm: members[0]!.discMm, members }))
    .sort((one, other) => other.discMm - one.discMm || PORTIONS.indexOf(one.portion) - PORTIONS.indexOf(other.portion))
}

/** The value that stands most often in a list; of equals, the smallest. */
function mostCommon(values: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1)
  return [...counts].sort(([one, ones], [other, others]) => others - ones || one - other)[0]![0]
}
