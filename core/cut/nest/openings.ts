/**
 * Whole layouts to begin from, each made in another way: rows and skylines of rectangles, bands of lattices. Which is
 * best is seen when they are made.
 */
import { layBands, roomForRows, type Lattices, type RowsRun } from './bands'
import { areBoxes, layBoxes, layRows } from './boxes'
import { coarse, fine, sheetAfterSheet, stampsOf, type Fineness, type LaidSheet, type Remaining } from './firstLayout'
import { findLattices, type Lattice } from './lattice'
import type { Shape } from './shape'
import type { Stock } from './stock'

/** Makes a layout, or says that there is none of its kind, or that it is to be asked again. */
export type Opening = () => readonly LaidSheet[] | null | 'trying'

/** Shapes with fewer pieces are not worth a lattice. */
const FEWEST_IN_ROWS = 6
const MOST_SHAPES_IN_BANDS = 10
const MOST_LAID_FINELY = 150
/** Lattices looked at in one go: fewer of shapes of many convexes, which take longer. */
const triesFor = ({ faces }: Shape): number => Math.max(50, Math.floor(900 / faces[0]!.convexes.length ** 2))
const LATTICE_ROUNDS = 2
const BOX_TRIES = 60
/** Ways of weighing the shapes against one another in bands: fewer where layouts take longer to make. */
const MOST_MIXES = 24
const FEWEST_MIXES = 6
/** Of each way of running rows so many mixes are tried; the others only where one of them opened little more than this. */
const FIRST_MIXES = 2
const WORTH_IT = 1.05

/** Paper of all whole sheets that a layout opens, mm². */
export const openedBy = (sheets: readonly LaidSheet[]): number =>
  sheets.reduce((sum, { stock }) => sum + (stock.isRemnant ? 0 : stock.paperMm2), 0)

/** @param first the layout there is already */
export function openingsFor(
  all: Remaining,
  stocks: readonly Stock[],
  gapMm: number,
  stream: () => number,
  first: readonly LaidSheet[],
): Opening[] {
  const mostMm2 = WORTH_IT * openedBy(first)
  return [
    ...(areBoxes(all, stocks) ? stocks.flatMap((stock) => boxOpenings(all, stock, gapMm, stream)) : []),
    ...(all.length > MOST_SHAPES_IN_BANDS && piecesOf(all) <= MOST_LAID_FINELY
      ? [inPauses(sheetAfterSheet(all, stocks, finely(all), gapMm))]
      : []),
    ...oneKindOpenings(all, stocks, gapMm),
    ...stocks
      .filter((stock) => mayHold(all, stock))
      .flatMap((stock) => bandOpenings(all, stock, gapMm, stream, mixesFor(all, stocks), mostMm2)),
  ]
}

const boxOpenings = (all: Remaining, stock: Stock, gapMm: number, stream: () => number): readonly Opening[] => [
  () => layRows(all, stock, gapMm, 'x', stream),
  () => layRows(all, stock, gapMm, 'y', stream),
  ...Array.from({ length: 6 }, (): Opening => () => layBoxes(all, stock, gapMm, stream, BOX_TRIES)),
]

/** With smaller cells and more turns than the first layout, unless pieces are so many that it would take long. */
const finely = (all: Remaining): Fineness =>
  (piecesOf(all) > MOST_LAID_FINELY ? coarse : fine)(all.map(({ shape }) => shape))

const piecesOf = (all: Remaining): number => all.reduce((sum, { count }) => sum + count, 0)

/** Whether there is as much paper of one kind as all pieces take. */
const mayHold = (all: Remaining, { count, paperMm2 }: Stock): boolean =>
  all.reduce((sum, { shape, count: many }) => sum + many * shape.areaMm2, 0) <= count * paperMm2

/**
 * Where there are sheets of several kinds, those of one kind as long as there are any, and the last of whichever takes
 * the rest: together they may be less paper than what is filled best each time.
 */
function oneKindOpenings(all: Remaining, stocks: readonly Stock[], gapMm: number): readonly Opening[] {
  const whole = stocks.filter(({ isRemnant }) => !isRemnant)
  return whole.length < 2 ? [] : whole.map((kind) => inPauses(sheetAfterSheet(all, stocks, finely(all), gapMm, kind)))
}

/** A layout that is made a little at a time. */
function inPauses(work: ReturnType<typeof sheetAfterSheet>): Opening {
  return () => {
    const next = work.next()
    if (!next.done) return 'trying'
    return next.value.left.length === 0 ? next.value.sheets : null
  }
}

function mixesFor(all: Remaining, stocks: readonly Stock[]): number {
  const convexes = all.reduce((sum, { shape }) => sum + shape.faces[0]!.convexes.length, 0) / all.length
  return Math.max(FEWEST_MIXES, Math.floor(MOST_MIXES / stocks.length / convexes))
}

function bandOpenings(
  all: Remaining,
  stock: Stock,
  gapMm: number,
  stream: () => number,
  mixCount: number,
  mostMm2: number,
): readonly Opening[] {
  const inRows = all.filter(({ count }) => count >= FEWEST_IN_ROWS)
  if (inRows.length === 0 || inRows.length > MOST_SHAPES_IN_BANDS) return []
  const found = new Map<Shape, Record<RowsRun, readonly Lattice[]>>()
  const runs: readonly RowsRun[] =
    stock.room.kind === 'rect' && stock.room.obstacles.length === 0 ? ['across', 'up'] : ['across']
  const searches = inRows.flatMap(({ shape }) => {
    const kept: Record<RowsRun, readonly Lattice[]> = { across: [], up: [] }
    found.set(shape, kept)
    return runs.flatMap((run) =>
      run === 'up' && !mayTurnByQuarter(shape)
        ? []
        : Array.from({ length: LATTICE_ROUNDS }, (): Opening => () => {
            kept[run] = [
              ...findLattices(shape, roomForRows(stock.room, run), stream, triesFor(shape)).slice(0, 4),
              ...kept[run],
            ]
            return null
          }),
    )
  })
  const fineness = coarse(all.map(({ shape }) => shape))
  const settings = {
    stamps: stampsOf(
      all.map(({ shape }) => shape),
      fineness,
    ),
    fineness,
    gapMm,
  }
  const mixes = Array.from(
    { length: mixCount },
    (_, at) => () =>
      new Map(inRows.map(({ shape }) => [shape, at === 0 ? 1 : Math.exp((at % 2 === 0 ? 3 : 0.4) * stream())])),
  )
  let isWorthIt = false
  const laidWith = (mix: (typeof mixes)[number], at: number, run: RowsRun): readonly LaidSheet[] | null => {
    const weights = mix()
    if (at >= FIRST_MIXES && !isWorthIt) return null
    const laid = layBands(all, weights, run, stock, found as Lattices, settings)
    isWorthIt ||= laid !== null && openedBy(laid) <= mostMm2
    return laid
  }
  return [
    ...searches,
    ...mixes.flatMap((mix, at) =>
      runs.map(
        (run): Opening =>
          () =>
            laidWith(mix, at, run),
      ),
    ),
  ]
}

const mayTurnByQuarter = ({ turns, isRound }: Shape): boolean => isRound || turns === null
