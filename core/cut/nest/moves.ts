/** What the search tries next on a layout. */
import { fullest } from './boxes'
import type { Lying } from './crowd'
import { areaOf, without, type LaidSheet, type Remaining } from './firstLayout'
import { exchange, hand } from './exchange'
import { compress, usedShare, type Try } from './improve'
import type { Shape } from './shape'

const usedAlong = ({ stock: { room } }: LaidSheet): 'x' | 'y' =>
  room.high - room.low >= room.right - room.left ? 'y' : 'x'

/** The sheet with least on it; a remnant only when there is nothing else: it is there anyway. */
const emptiestOf = (sheets: readonly LaidSheet[]): LaidSheet =>
  wholeFirst(sheets).reduce((best, sheet) => (filledOf(sheet) < filledOf(best) ? sheet : best))

/** Share of a sheet that lies under pieces. */
const filledOf = ({ pieces, stock }: LaidSheet): number => areaOf(pieces) / stock.paperMm2

const wholeFirst = (sheets: readonly LaidSheet[]): readonly LaidSheet[] =>
  sheets.some(({ stock }) => !stock.isRemnant) ? sheets.filter(({ stock }) => !stock.isRemnant) : sheets

/** Sheets after a try came out; those without pieces are gone. */
export const replaced = (
  sheets: readonly LaidSheet[],
  changes: ReadonlyMap<LaidSheet, readonly Lying[]>,
): readonly LaidSheet[] =>
  sheets
    .map((sheet) => {
      const pieces = changes.get(sheet)
      return pieces ? { ...sheet, pieces } : sheet
    })
    .filter(({ pieces }) => pieces.length > 0)

/** How often each is tried; measured on the jobs of the bench, where other shares did no better. */
const SHARES = { press: 0.2, tighten: 0.05, hand: 0.3, among: 0.45, layAnew: 0.75 }

const anyOf = <Each>(list: readonly Each[], stream: () => number): Each => list[Math.floor(stream() * list.length)]!

/** Pieces that are pushed about together in one try. */
const MOST_TOGETHER = 120

/**
 * The tries of one search: a piece of the emptiest sheet goes to another; a few pieces change places so that the
 * fuller sheet gets fuller, which leaves room together instead of a little everywhere; the emptiest sheet is pressed
 * together, alone or with others to take what is too much.
 * @param boxGapMm the gap when all are rectangles, which then are also laid anew on two or three sheets at once; else
 * null
 */
export function movesFor(
  boxGapMm: number | null,
  stream: () => number,
): { readonly next: (sheets: readonly LaidSheet[]) => Try; readonly learn: (helped: boolean) => void } {
  const mm = { press: 8, tighten: 3 }
  let pressing: keyof typeof mm | null = null

  const press = (sheets: readonly LaidSheet[], emptiest: LaidSheet): Try => {
    pressing = 'press'
    const others = sheets
      .filter((sheet) => sheet !== emptiest)
      .map((sheet) => ({ sheet, rank: stream() }))
      .sort((one, other) => one.rank - other.rank)
      .map(({ sheet }) => sheet)
    const most = stream() < 0.5 ? 0 : Math.floor(stream() * (others.length + 1))
    let together = emptiest.pieces.length
    const helping = others.filter(({ pieces }, at) => at < most && (together += pieces.length) <= MOST_TOGETHER)
    return compress(emptiest, helping, mm.press, usedAlong(emptiest), stream)
  }

  const next = (sheets: readonly LaidSheet[]): Try => {
    pressing = null
    const emptiest = emptiestOf(sheets)
    if (boxGapMm !== null && stream() < SHARES.layAnew) return layAnew(sheets, emptiest, boxGapMm, stream)
    const kind = stream()
    if (sheets.length === 1 || kind < SHARES.press) return press(sheets, emptiest)
    const target = anyOf(
      sheets.filter((sheet) => sheet !== emptiest),
      stream,
    )
    if (kind < SHARES.press + SHARES.tighten) {
      pressing = 'tighten'
      return compress(target, [], mm.tighten, usedAlong(target), stream)
    }
    const others = sheets.filter((sheet) => sheet !== emptiest)
    if (kind < SHARES.press + SHARES.tighten + SHARES.hand) return hand(emptiest, others, stream)
    const fuller = others.filter((sheet) => sheet !== target && filledOf(sheet) >= filledOf(target))
    return fuller.length > 0 && stream() < SHARES.among
      ? exchange(target, anyOf(fuller, stream), stream)
      : exchange(emptiest, target, stream)
  }

  const learn = (helped: boolean): void => {
    if (pressing) mm[pressing] = helped ? Math.min(40, mm[pressing] * 1.4) : Math.max(0.4, mm[pressing] * 0.85)
  }
  return { next, learn }
}

const REFILL_TRIES = 12

/** Takes all rectangles off two or three sheets and lays them there anew, the emptiest sheet last. */
function layAnew(sheets: readonly LaidSheet[], emptiest: LaidSheet, gapMm: number, stream: () => number): Try {
  const others = sheets.filter((sheet) => sheet !== emptiest && sheet.stock === emptiest.stock)
  const chosen = [
    ...new Set([
      ...(others.length > 0 ? [anyOf(others, stream)] : []),
      ...(others.length > 1 && stream() < 0.5 ? [anyOf(others, stream)] : []),
      emptiest,
    ]),
  ]
  return () => {
    const fresh = refilled(chosen, gapMm, stream)
    if (!fresh) return 'nothing'
    const [last, before] = [fresh.at(-1)!, areaOf(emptiest.pieces)]
    const isBetter =
      areaOf(last) < before - 1 ||
      (areaOf(last) < before + 1 && usedShare({ ...emptiest, pieces: last }) <= usedShare(emptiest))
    return isBetter ? new Map(chosen.map((sheet, at) => [sheet, fresh[at]!])) : 'nothing'
  }
}

function refilled(
  sheets: readonly LaidSheet[],
  gapMm: number,
  stream: () => number,
): readonly (readonly Lying[])[] | null {
  const counts = new Map<Shape, number>()
  for (const { pieces } of sheets) for (const { shape } of pieces) counts.set(shape, (counts.get(shape) ?? 0) + 1)
  let left: Remaining = [...counts].map(([shape, count]) => ({ shape, count }))
  const fresh = sheets.map(({ stock }) => {
    const pieces = left.length === 0 ? [] : fullest(left, stock, gapMm, stream, REFILL_TRIES)
    left = without(left, pieces)
    return pieces
  })
  return left.length === 0 ? fresh : null
}
