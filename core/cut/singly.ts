/** The last stack of a job, cut singly or fewer at once where that opens fewer sheets: a pair then wastes nothing. */
import { sheetsIn, type CutLayout, type CutPart, type CutSheet } from './sheet'

/** What is still wanted of each part besides what lies on some stacks. */
function stillWanted(parts: readonly CutPart[], stacks: readonly CutSheet[]): readonly CutPart[] {
  const laid = new Map<string, number>()
  for (const { plies, pieces } of stacks)
    for (const { part } of pieces) laid.set(part.id, (laid.get(part.id) ?? 0) + plies)
  return parts
    .map((part) => ({ ...part, quantity: part.quantity - (laid.get(part.id) ?? 0) }))
    .filter(({ quantity }) => quantity > 0)
}

/** Pieces and bundles of a sheet numbered on from those before. */
const numberedFrom = (sheet: CutSheet, number: number, bundle: number): CutSheet => ({
  ...sheet,
  pieces: sheet.pieces.map((piece) => ({
    ...piece,
    number: piece.number + number,
    ...(piece.bundle !== undefined && { bundle: piece.bundle + bundle }),
  })),
})

/**
 * Parts laid so many sheets at once by a rule; what the emptiest stack is for is laid again with fewer at once, and
 * stays so where it takes fewer sheets.
 *
 * By hand: 53 discs, eight to a sheet, two sheets at once: three pairs are 48; the five left are one sheet, where
 * another pair would be two.
 */
export function finishedSingly(
  parts: readonly CutPart[],
  plies: number,
  lay: (parts: readonly CutPart[], plies: number) => CutLayout,
): CutLayout {
  const stacked = lay(parts, plies)
  if (plies === 1 || stacked.sheets.length === 0) return stacked
  const emptiest = stacked.sheets.reduce((least, each) => (each.pieces.length <= least.pieces.length ? each : least))
  const others = stacked.sheets.filter((sheet) => sheet !== emptiest)
  const placed = parts.filter((part) => !stacked.leftOut.some((out) => out.part.id === part.id))
  const rest = stillWanted(placed, others)
  const [best] = Array.from({ length: plies - 1 }, (_, at) => lay(rest, plies - 1 - at))
    .filter(({ leftOut, sheets }) => leftOut.length === 0 && sheetsIn(sheets) < emptiest.plies)
    .sort((one, other) => sheetsIn(one.sheets) - sheetsIn(other.sheets))
  if (!best) return stacked
  const kept = others.flatMap(({ pieces }) => pieces)
  const last = Math.max(0, ...kept.map(({ number }) => number))
  const lastBundle = Math.max(0, ...kept.map(({ bundle = -1 }) => bundle + 1))
  return { ...stacked, sheets: [...others, ...best.sheets.map((sheet) => numberedFrom(sheet, last, lastBundle))] }
}
