/** The pieces of a decoration: by kind, size and shade, with how many are needed and spare. */
import type { Outline } from '../geometry'
import type { Decoration } from '../commission'
import type { Breakage } from '../learn'
import { derive, found, several, type Working } from '../quantity'
import {
  piecesIn,
  seenAs,
  SWEEP_DEG,
  techniqueOf,
  type Means,
  type PieceKind,
  type PlacedElement,
  type Sector,
  type SeenSize,
} from '../technique'
import { blend } from '../tint'
import { withSpares } from './spares'

/** Pieces of one kind, size and shade: their outline as cut, how many are needed and spare, which elements they make. */
export type PieceClass = {
  /** What they are, in words that stay when other elements come and go: decoration, kind, size and shade. */
  readonly id: string
  /** The same without the shade: spares of a size serve all its shades. */
  readonly size: string
  readonly name: string
  readonly outline: Outline
  readonly holes: readonly Outline[]
  readonly folds: readonly Outline[]
  readonly flaps: readonly Outline[]
  readonly print: readonly Outline[]
  readonly face: string
  readonly colour: string
  /** Which shade of the run of colour: 0 at the heart. */
  readonly shade: number
  readonly sector: Sector | null
  /** How its edges come about; by scissors, knife or punch where nothing is said. */
  readonly edge: PieceKind['edge'] | null
  readonly isPetal: boolean
  /** Sheets laid on one another for one. */
  readonly plies: number
  /** Room one takes on what it dries on, mm. */
  readonly lying: { readonly widthMm: number; readonly heightMm: number }
  readonly width: Working
  readonly height: Working
  /** The element they make, as seen. */
  readonly seenWidth: Working
  readonly seenHeight: Working
  readonly needed: Working
  readonly spares: Working
  /** The same as they are handled: what is laid of several plies is one. */
  readonly wholes: { readonly needed: Working; readonly spares: Working }
  /** Indexes of the elements that they make. */
  readonly members: readonly number[]
}

/** Which shade of a colour run an element has: 0 at the heart. */
export const shadeOf = ({ away }: PlacedElement, { steps }: Decoration['colour']): number =>
  Math.round(away * (steps - 1))

/** What the ends of a run of shades are called: it goes up each piece, or from the heart outwards. */
export const runEnds = (technique: Decoration['technique']): { readonly heart: string; readonly tail: string } =>
  techniqueOf(technique).fadesUp
    ? { heart: 'At the foot', tail: 'At the top' }
    : { heart: 'At the heart', tail: 'At the tail' }

/** The colour of a shade in its decoration's run, from the heart's to the tail's. */
export const shadeColour = ({ heart, tail, steps }: Decoration['colour'], shade: number): string =>
  steps === 1 ? heart : blend(heart, tail, shade / (steps - 1))

/** The colours of some elements, and how many have each. */
export function coloursOf(
  elements: readonly PlacedElement[],
  run: Decoration['colour'],
): readonly { readonly colour: string; readonly count: number }[] {
  const counts = new Map<number, number>()
  for (const element of elements) counts.set(shadeOf(element, run), (counts.get(shadeOf(element, run)) ?? 0) + 1)
  return [...counts].map(([shade, count]) => ({ colour: shadeColour(run, shade), count }))
}

/** What elements are cut alike: by the sector of a disc, or by size and, where panels are cut to faces, the face. */
function cutKey({ size, face, on, fitted }: PlacedElement): string {
  if (fitted) return `${fitted.portion} ${fitted.discMm}`
  return [size, ...(face ? [on, Math.round(face.widthMm), Math.round(face.heightMm)] : [])].join(' ')
}

/** The biggest first: sectors by their disc and how much of it they are, others by their size. */
function bySize(one: PlacedElement, other: PlacedElement): number {
  if (!one.fitted || !other.fitted) return other.size - one.size
  return other.fitted.discMm - one.fitted.discMm || SWEEP_DEG[other.fitted.portion] - SWEEP_DEG[one.fitted.portion]
}

type Group = readonly [PlacedElement, ...PlacedElement[]]

/** Elements in groups by a key, the biggest first. */
function grouped(elements: readonly PlacedElement[], keyOf: (element: PlacedElement) => string): readonly Group[] {
  const groups = new Map<string, PlacedElement[]>()
  for (const element of elements) {
    const group = groups.get(keyOf(element))
    if (group) group.push(element)
    else groups.set(keyOf(element), [element])
  }
  const all = [...groups.values()] as unknown as Group[]
  return all.sort(([one], [other]) => bySize(one, other) || one.away - other.away)
}

/** Of what is cut from one sector, the element that asks the most of it. */
const tallest = (group: Group): PlacedElement =>
  group.reduce((most, each) => ((each.fitted?.heightMm ?? 0) > (most.fitted?.heightMm ?? 0) ? each : most))

/** What spares serve: pieces of a name, whatever their size; each portion of a disc by itself. */
const kindKey = ({ alike, kind }: { readonly alike: Group; readonly kind: PieceKind }): string =>
  kind.sector ? `${kind.name} ${cutKey(alike[0])}` : kind.name

/** The group with the most elements; of equals the one nearest to the heart. */
const largest = (groups: readonly Group[]): Group =>
  groups.reduce((most, group) => (group.length > most.length ? group : most))

const NO_SPARES = found('spares', 0, 'count', 'spares of this size have another shade')

function sizeCount(count: Working, many: number, shade: boolean): Working {
  const rule = shade ? 'of {count}, those of this size and shade' : 'of {count}, those of this size'
  return derive('elements of this size', 'count', 'size classes', rule, { count }, () => many)
}

/** How many of a kind some elements take: as many each, or as many as each of them was given. */
function piecesNeeded(kind: PieceKind, elements: Working, group: Group): Working {
  const { name, perElement, mostPerElement } = kind
  if (mostPerElement) {
    const counts = group.map(({ seed }) => piecesIn(kind, seed))
    const [least, most] = [Math.min(...counts), Math.max(...counts)]
    return derive(
      several(name),
      'count',
      'no two alike',
      least === most ? '{elements} × {least}' : 'from {least} to {most} in each of {elements}, added up',
      {
        elements,
        least: found('in one', least, 'count', 'within its range'),
        most: found('in one', most, 'count', 'within its range'),
      },
      () => counts.reduce((sum, count) => sum + count, 0),
    )
  }
  if (perElement === 1) return elements
  const each = found('in one', perElement, 'count', 'by its technique')
  return derive(
    several(name),
    'count',
    'pieces in an element',
    '{elements} × {each}',
    { elements, each },
    (v) => v.elements * v.each,
  )
}

/** Pieces as they are cut: each of so many plies. */
const inPlies = (pieces: Working, plies: number): Working =>
  plies === 1
    ? pieces
    : derive(
        pieces.label,
        'count',
        'plies',
        '{pieces} × {plies}',
        { pieces, plies: found('plies', plies, 'count', 'laid on one another') },
        (v) => v.pieces * v.plies,
      )

/**
 * Pieces by kind, size and shade, the biggest first. Spares are counted for a kind, at least one, shared by its sizes, and
 * take the shade that most of a size have. Portions of discs are kinds of their own: no quarter is cut from a half.
 */
export function piecesOf(
  decoration: Pick<Decoration, 'id' | 'technique' | 'parameters' | 'colour'>,
  elements: readonly PlacedElement[],
  count: Working,
  seen: SeenSize,
  means: Means,
  breakage: Breakage | null,
): readonly PieceClass[] {
  const technique = techniqueOf(decoration.technique)
  const sizes = grouped(elements, cutKey)
  const sized = sizes.flatMap((alike) =>
    technique.pieces(decoration.parameters, alike[0].size, tallest(alike), means).map((kind) => ({
      alike,
      kind,
      needed: piecesNeeded(kind, sizes.length === 1 ? count : sizeCount(count, alike.length, false), alike),
    })),
  )
  const kinds = [...new Set(sized.map(kindKey))]
  const spared = kinds.flatMap((key) =>
    withSpares(
      sized.filter((each) => kindKey(each) === key),
      technique.spareShare,
      breakage,
    ),
  )
  return sizes.flatMap((alike) => {
    const shadeIn = (element: PlacedElement): number => (technique.fadesUp ? 0 : shadeOf(element, decoration.colour))
    const shades = grouped(alike, (element) => String(shadeIn(element)))
    const isOne = sizes.length === 1 && shades.length === 1
    const most = largest(shades)
    return spared
      .filter((each) => each.alike === alike)
      .flatMap(({ kind, needed: inAll, spares }) => {
        const size = `${decoration.id}/${kind.name} ${cutKey(alike[0])}`
        return shades.map((group): PieceClass => {
          const shade = shadeIn(group[0])
          const asSeen = group[0].face ?? seenAs(group[0], seen)
          const needed = isOne ? inAll : piecesNeeded(kind, sizeCount(count, group.length, true), group)
          const plies = kind.plies ?? 1
          return {
            holes: [],
            flaps: [],
            print: [],
            sector: null,
            edge: null,
            isPetal: false,
            lying: { widthMm: kind.width.value, heightMm: kind.height.value },
            ...kind,
            plies,
            id: `${size} shade ${shade}`,
            size,
            wholes: { needed, spares: group === most ? spares : NO_SPARES },
            needed: inPlies(needed, plies),
            spares: group === most ? inPlies(spares, plies) : NO_SPARES,
            shade,
            colour: shadeColour(decoration.colour, shade),
            members: group.map(({ index }) => index),
            seenWidth: found('seen width', asSeen.widthMm, 'length', 'of the finished element'),
            seenHeight: found('seen height', asSeen.heightMm, 'length', 'of the finished element'),
          }
        })
      })
  })
}
