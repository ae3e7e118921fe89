/** Edible papers to cut from. Film is soaked to be worked and dries like glass; wafer would dissolve. */

/** Sizes that sheets are sold in. */
const FORMATS = [
  { id: 'a5', name: 'A5', widthMm: 148, heightMm: 210 },
  { id: 'a4', name: 'A4', widthMm: 210, heightMm: 297 },
  { id: 'letter', name: '203 × 279 mm', widthMm: 203, heightMm: 279 },
  { id: 'square305', name: '305 mm square', widthMm: 305, heightMm: 305 },
  { id: 'a3', name: 'A3', widthMm: 297, heightMm: 420 },
  { id: 'film220', name: '220 mm square', widthMm: 220, heightMm: 220 },
] as const

export type FormatId = (typeof FORMATS)[number]['id']
export type Format = {
  readonly id: FormatId
  readonly name: string
  readonly widthMm: number
  readonly heightMm: number
}

export const formatIds = FORMATS.map(({ id }) => id) as [FormatId, ...FormatId[]]

export type Paper = {
  readonly id: string
  readonly name: string
  readonly say: string
  readonly kind: 'wafer' | 'film'
  readonly formats: readonly FormatId[]
  readonly thicknessMm: number
  readonly gramsPerDm2: number
}

const WAFER_FORMATS = ['a4', 'a5', 'letter', 'square305', 'a3'] as const

export const PAPERS = [
  {
    id: 'thinWafer',
    name: 'thin wafer',
    kind: 'wafer',
    say: 'Soft and matt, one face smoother; takes dust and a little damp, curls and tears cleanly.',
    formats: WAFER_FORMATS,
    thicknessMm: 0.28,
    gramsPerDm2: 1.6,
  },
  {
    id: 'standardWafer',
    name: 'standard wafer',
    kind: 'wafer',
    say: 'Firm enough to print on and to fold once; keeps flat when dry.',
    formats: WAFER_FORMATS,
    thicknessMm: 0.4,
    gramsPerDm2: 2.3,
  },
  {
    id: 'thickWafer',
    name: 'thick wafer',
    kind: 'wafer',
    say: 'Stiff and flat; stands by itself, cracks when bent dry.',
    formats: WAFER_FORMATS,
    thicknessMm: 0.6,
    gramsPerDm2: 3.5,
  },
  {
    id: 'riceFilm',
    name: 'rice film',
    kind: 'film',
    say: 'Clear and hard; must be soaked or sponged to be worked, dries like glass.',
    formats: ['film220'],
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

/** @throws for an id that no format has: files are checked before they come this far */
export function formatOf(id: FormatId): Format {
  const format = FORMATS.find((each) => each.id === id)
  if (!format) throw new Error(`Expected a format of ${formatIds.join(', ')}, got ${id}.`)
  return format
}
