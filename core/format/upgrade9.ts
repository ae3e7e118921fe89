/**
 * What version 9 asks besides version 8: how many elements and rows where as many were placed as fill it, which sizes,
 * how far neighbours of a crown overlap, the punches there are, with what a decoration is fixed.
 */
import { TECHNIQUES } from '../technique'
import { STARTING_TOOLS } from '../cut'
import { filled, isRecord, type Loose } from './looseRecords'

/** What was fixed in version 8: neighbours of a crown overlapped by a fifth, what spreads from a gathered foot by more. */
const OVERLAPPING = 0.2
const GATHERED_OVERLAPPING = 0.6
const GATHERED: readonly string[] = ['soakedSail']

const isFilled = (own: Loose): boolean => own.kind === 'band' || own.kind === 'sweep' || own.kind === 'cluster'
const isDecoration = (own: Loose): boolean => TECHNIQUES.some(({ id }) => id === own.technique) && 'byHand' in own

/** A crown by itself does not know what stands in it: its decoration does. */
const overlapIn = ({ technique, composition }: Loose): Loose =>
  isRecord(composition) && composition.kind === 'crown' && GATHERED.includes(String(technique))
    ? { composition: { ...composition, overlap: GATHERED_OVERLAPPING } }
    : {}

/** Anything of version 8, or of what an edit of it changed. */
export const from8 = (value: unknown): unknown =>
  filled(
    value,
    (own) => ({
      ...(isFilled(own) && 'overlap' in own && { count: null }),
      // Bands had one row, however high.
      ...(own.kind === 'band' && 'fromMm' in own && { rows: 1 }),
      ...(own.kind === 'crown' && 'reach' in own && { overlap: OVERLAPPING }),
      ...(isDecoration(own) && { sizes: [], glue: null }),
      ...('throatMm' in own && 'slipMm' in own && { punchesMm: STARTING_TOOLS.punchesMm }),
    }),
    (own) => (isDecoration(own) ? overlapIn(own) : {}),
  )
