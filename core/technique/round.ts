/** Pieces laid end to end round a tier: what ruffles, wraps and panels share. */
import { derive, seedFor, type Working } from '../quantity'
import type { BandRoom, Layout, PlacedElement } from './define'

/** One piece of a row round a tier. */
export const roundTheTier = (
  room: BandRoom,
  index: number,
  place: Pick<PlacedElement, 'angleDeg' | 'spanDeg' | 'heightMm' | 'row'>,
): PlacedElement => ({
  index,
  tier: room.tier,
  on: 'side',
  size: 1,
  rollDeg: 0,
  outMm: 0,
  away: 0,
  mirrored: false,
  seed: seedFor(room.seed, index),
  ...place,
})

/**
 * One row of sheets round a tier, each over the last by an overlap, since paper shrinks away from a butt joint. @param
 * called what they are called, several of them
 */
export function oneRowRound(
  room: BandRoom,
  called: string,
  sheet: Working,
  overlap: Working,
  length: Working = room.length,
): Layout {
  const count = derive(
    called,
    'count',
    'sheets round a tier',
    'round up( {length} ÷ ( {sheet} − {overlap} ) )',
    {
      length,
      sheet,
      overlap,
    },
    (v) => Math.max(1, Math.ceil(v.length / (v.sheet - v.overlap) - 1e-9)),
  )
  const spanDeg = room.spanDeg / count.value
  return {
    count,
    elements: Array.from({ length: count.value }, (_, index) => ({
      ...roundTheTier(room, index, {
        row: 0,
        spanDeg,
        angleDeg: room.fromDeg + (index + 0.5) * spanDeg,
        heightMm: room.footMm,
      }),
      // A run of shades goes from the middle of the row to its ends.
      away: Math.abs((index + 0.5) / count.value - 0.5) * 2,
      face: { widthMm: sheet.value - overlap.value, heightMm: room.topMm - room.footMm },
    })),
  }
}
