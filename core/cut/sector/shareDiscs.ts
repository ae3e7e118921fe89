/** Portions of discs: wholes, halves and quarters share discs, so that few are opened. */
import { pointAt } from '../../geometry'
import { disc } from '../../material'
import { SWEEP_DEG } from '../../technique'
import type { CutLayout, CutPart, CutPiece, CutSheet, LeftOut, StraightCut } from '../sheet'

type OpenDisc = { readonly diameterMm: number; readonly pieces: CutPiece[]; usedDeg: number }

/** Pieces cut again later: they come on what is left of discs that were begun, then on fresh ones. */
export type CutAgain = { readonly part: string; readonly many: number }

/**
 * Lays portions on discs so that few discs are used: large discs first, halves before quarters, and a small portion
 * goes on what is left of a larger disc before a new one is opened.
 *
 * Portions divide one another, so filling the fullest disc that still has room wastes none within a diameter. More
 * pieces never take fewer discs. Discs keep what is on them when pieces are cut again.
 */
export function shareDiscs(parts: readonly CutPart[], again: readonly CutAgain[] = []): CutLayout {
  const open: OpenDisc[] = []
  const leftOut: LeftOut[] = parts
    .filter(({ sector }) => !sector)
    .map((part) => ({
      part,
      wantsLarger: false,
      why: `${part.name} is no portion of a disc. Choose strips and boxes, or a template.`,
    }))
  const portions = parts.filter(({ sector }) => sector)
  let number = 0
  const lay = (wanted: readonly (readonly [CutPart, number])[]): void => {
    const inOrder = [...wanted].sort(
      ([one], [other]) =>
        other.sector!.discMm - one.sector!.discMm || SWEEP_DEG[other.sector!.portion] - SWEEP_DEG[one.sector!.portion],
    )
    for (const [part, many] of inOrder) {
      const { portion, discMm } = part.sector!
      const sweepDeg = SWEEP_DEG[portion]
      for (let piece = 0; piece < many; piece += 1) {
        const on = fullestWithRoom(open, discMm, sweepDeg) ?? openDisc(open, discMm)
        const middle = on.diameterMm / 2
        const lying = { x: middle, y: middle, rotationDeg: on.usedDeg % 360, mirrored: false }
        on.pieces.push({ part, number: (number += 1), ...lying })
        on.usedDeg += sweepDeg
      }
    }
  }
  lay(portions.map((part) => [part, part.quantity]))
  for (const { part, many } of again) {
    const like = portions.find(({ id }) => id === part)
    if (like) lay([[like, many]])
  }
  return { sheets: open.map(asSheet), leftOut }
}

/** The disc with the least room that still takes the sector. A whole piece always takes a disc of its own size. */
function fullestWithRoom(open: readonly OpenDisc[], discMm: number, sweepDeg: number): OpenDisc | undefined {
  if (sweepDeg === 360) return undefined
  return open
    .filter((each) => each.diameterMm >= discMm && 360 - each.usedDeg >= sweepDeg)
    .sort((one, other) => other.usedDeg - one.usedDeg)[0]
}

function openDisc(open: OpenDisc[], diameterMm: number): OpenDisc {
  const opened: OpenDisc = { diameterMm, pieces: [], usedDeg: 0 }
  open.push(opened)
  return opened
}

const asSheet = ({ diameterMm, pieces, usedDeg }: OpenDisc): CutSheet => ({
  shape: disc(diameterMm),
  plies: 1,
  pieces,
  cuts: radialCuts(diameterMm, pieces, usedDeg),
})

/** Straight cuts from rim to middle; a half takes one through both. A whole is not cut. */
function radialCuts(diameterMm: number, pieces: readonly CutPiece[], usedDeg: number): readonly StraightCut[] {
  const middle = { x: diameterMm / 2, y: diameterMm / 2 }
  const parts = pieces.length + (usedDeg < 360 ? 1 : 0)
  if (parts <= 1) return []
  const from = (angleDeg: number) => pointAt(middle, angleDeg, diameterMm / 2)
  if (parts === 2 && usedDeg % 180 === 0) return [{ from: from(0), to: from(180) }]
  return [...pieces.map(({ rotationDeg }) => rotationDeg), ...(usedDeg < 360 ? [usedDeg] : [])].map((angleDeg) => ({
    from: from(angleDeg),
    to: middle,
  }))
}
