import type { Piece } from '../../piece'
import type { Portion } from '../../technique'

/**
 * A piece lying on a disc: a sector from one angle through another, degrees counter-clockwise from the right; radius
 * as cut.
 */
type LaidSector = {
  readonly piece: Piece
  readonly fromDeg: number
  readonly sweepDeg: number
  readonly radiusMm: number
}

/** One disc with what is cut from it. The free sector, if any, is one piece of film to keep. */
export type CutDisc = {
  readonly number: number
  readonly diameterMm: number
  readonly sectors: readonly LaidSector[]
  readonly freeDeg: number
}

const SWEEP_DEG: Readonly<Record<Portion, number>> = { whole: 360, half: 180, quarter: 90 }

type OpenDisc = { diameterMm: number; sectors: LaidSector[]; usedDeg: number }

/**
 * Lays portions on discs so that few discs are used: large discs first, halves before quarters, and a small portion
 * goes on what is left of a larger disc before a new one is opened.
 *
 * Portions divide one another, so filling the fullest disc that still has room wastes none within a diameter.
 * More pieces never take fewer discs.
 *
 * @param begun discs that were laid before: what they have left is used first, and they keep what is on them
 */
export function shareDiscs(pieces: readonly Piece[], begun: readonly CutDisc[] = []): readonly CutDisc[] {
  const open: OpenDisc[] = begun.map(({ diameterMm, sectors, freeDeg }) => ({
    diameterMm,
    sectors: [...sectors],
    usedDeg: 360 - freeDeg,
  }))
  const inOrder = [...pieces].sort(
    (one, other) =>
      other.discMm - one.discMm || SWEEP_DEG[other.portion] - SWEEP_DEG[one.portion] || one.number - other.number,
  )
  for (const piece of inOrder) {
    const sweepDeg = SWEEP_DEG[piece.portion]
    const disc = fullestWithRoom(open, piece.discMm, sweepDeg) ?? openDisc(open, piece.discMm)
    disc.sectors.push({ piece, fromDeg: disc.usedDeg, sweepDeg, radiusMm: piece.discMm / 2 })
    disc.usedDeg += sweepDeg
  }
  return open.map(({ diameterMm, sectors, usedDeg }, index) => ({
    number: index + 1,
    diameterMm,
    sectors,
    freeDeg: 360 - usedDeg,
  }))
}

/** The disc with the least room that still takes the sector. A whole piece always takes a disc of its own size. */
function fullestWithRoom(open: readonly OpenDisc[], discMm: number, sweepDeg: number): OpenDisc | undefined {
  if (sweepDeg === 360) return undefined
  return open
    .filter((disc) => disc.diameterMm >= discMm && 360 - disc.usedDeg >= sweepDeg)
    .sort((one, other) => other.usedDeg - one.usedDeg)[0]
}

function openDisc(open: OpenDisc[], diameterMm: number): OpenDisc {
  const disc: OpenDisc = { diameterMm, sectors: [], usedDeg: 0 }
  open.push(disc)
  return disc
}

/** Discs whose cuts are the same, drawn once: the same diameter and the same sectors in the same order. */
export function sameCuts(
  discs: readonly CutDisc[],
): readonly { readonly pattern: CutDisc; readonly discs: readonly CutDisc[] }[] {
  const groups = new Map<string, CutDisc[]>()
  for (const disc of discs) {
    const key = [disc.diameterMm, ...disc.sectors.map(({ sweepDeg, radiusMm }) => `${sweepDeg}x${radiusMm}`)].join(' ')
    groups.set(key, [...(groups.get(key) ?? []), disc])
  }
  return [...groups.values()].map((same) => ({ pattern: same[0]!, discs: same }))
}

/**
 * Straight cuts and trims to make on a disc: a whole is not cut; a portion cut from a larger disc is trimmed along its
 * rim.
 */
export function strokesOn({ sectors, freeDeg, diameterMm }: CutDisc): number {
  const trims = sectors.filter(({ radiusMm }) => radiusMm < diameterMm / 2).length
  const parts = sectors.length + (freeDeg > 0 ? 1 : 0)
  return trims + (parts <= 1 ? 0 : parts === 2 && sectors[0]!.sweepDeg === 180 ? 1 : parts)
}
