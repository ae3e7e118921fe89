/** Edible papers to cut from. Film is soaked to be worked and dries like glass; wafer would dissolve. */
import { disc, isSameShape, rect, type StockShape } from './stockShape'

export type Paper = {
  readonly id: string
  readonly name: string
  readonly say: string
  readonly kind: 'wafer' | 'film'
  /** Shapes it is usually sold in, the usual one first. */
  readonly shapes: readonly StockShape[]
  readonly thicknessMm: number
  readonly gramsPerDm2: number
}

const WAFER_SHAPES = [rect(210, 297), rect(148, 210), rect(203, 279), rect(305, 305), rect(297, 420)]

export const PAPERS = [
  {
    id: 'thinWafer',
    name: 'thin wafer',
    kind: 'wafer',
    say: 'Soft and matt, one face smoother; takes dust and a little damp, curls and tears cleanly.',
    shapes: WAFER_SHAPES,
    thicknessMm: 0.28,
    gramsPerDm2: 1.6,
  },
  {
    id: 'standardWafer',
    name: 'standard wafer',
    kind: 'wafer',
    say: 'Firm enough to print on and to fold once; keeps flat when dry.',
    shapes: WAFER_SHAPES,
    thicknessMm: 0.4,
    gramsPerDm2: 2.3,
  },
  {
    id: 'thickWafer',
    name: 'thick wafer',
    kind: 'wafer',
    say: 'Stiff and flat; stands by itself, cracks when bent dry.',
    shapes: WAFER_SHAPES,
    thicknessMm: 0.6,
    gramsPerDm2: 3.5,
  },
  {
    id: 'riceFilm',
    name: 'rice film',
    kind: 'film',
    say: 'Clear and hard; must be soaked or sponged to be worked, dries like glass.',
    shapes: [disc(160), disc(220), disc(280), rect(220, 220)],
    thicknessMm: 0.2,
    gramsPerDm2: 2.8,
  },
] as const satisfies readonly Paper[]

/** What tells the two kinds apart, wherever one is chosen: mixing them up ruins a job. */
export const PAPER_KINDS: Readonly<Record<Paper['kind'], { readonly name: string; readonly tells: string }>> = {
  wafer: { name: 'Wafer paper', tells: 'White and matt. Dampened, misted or steamed, never soaked: it dissolves.' },
  film: {
    name: 'Rice film',
    tells: 'Clear and brittle, sold for cooking. Soaked till limp, sticky while wet, hard as glass when dry.',
  },
}

export type PaperId = (typeof PAPERS)[number]['id']

export const paperIds = PAPERS.map(({ id }) => id) as [PaperId, ...PaperId[]]

/** @throws for an id that no paper has: files are checked before they come this far */
export function paperOf(id: PaperId): Paper {
  const paper = PAPERS.find((each) => each.id === id)
  if (!paper) throw new Error(`Expected a paper of ${paperIds.join(', ')}, got ${id}.`)
  return paper
}

/** Whether a paper is usually had in a size: wafer in its first, film in any disc. */
export const isUsualSize = (paper: PaperId, shape: StockShape): boolean =>
  paperOf(paper).kind === 'film' || isSameShape(shape, paperOf(paper).shapes[0]!)
