/**
 * What version 9 asks besides version 8: how many elements and rows where as many were placed as fill it, which sizes,
 * how far neighbours of a crown overlap, the punches there are, with what a decoration is fixed.
 */
import { PLAIN_BRANCH, TECHNIQUES } from '../technique'
import { STARTING_TOOLS } from '../cut'
import { filled, isRecord, type Loose } from './looseRecords'

/** What was fixed in version 8: neighbours of a crown overlapped by a fifth, what spreads from a gathered foot by more. */
const OVERLAPPING = 0.2
const GATHERED_OVERLAPPING = 0.6
const GATHERED: readonly string[] = ['soakedSail']

const isFilled = (own: Loose): boolean => own.kind === 'band' || own.kind === 'sweep' || own.kind === 'cluster'
const isDecoration = (own: Loose): boolean => TECHNIQUES.some(({ id }) => id === own.technique) && 'byHand' in own

/** What techniques are asked besides. */
const PARAMETERS: Readonly<Record<string, Loose>> = {
  tornRuffle: { otherHeightMm: null },
  panSail: { mistedShare: 0, misted: '#6e2a1e' },
  foldedGlobe: { wedge: 5 },
  layeredWings: { layering: 'shrinking' },
  castMesh: { thickness: 'thin', laid: 'draped' },
  butterfly: { set: 'glued', wireMm: 50 },
  patchedLeaf: { ...PLAIN_BRANCH, wireCut: 'asLong' },
  laminatedLeaf: { ...PLAIN_BRANCH, wireCut: 'asLong' },
  freeLeafStem: { footMm: PLAIN_BRANCH.footMm },
  openBloom: { wireCut: 'asLong', gauge: 'usual' },
  cuppedBloom: { wireCut: 'asLong', gauge: 'usual' },
  mouldedBloom: { wireCut: 'asLong', gauge: 'usual' },
  bud: { wireCut: 'asLong', gauge: 'usual' },
}
/** Whorls whose petals were one number, and the name of the most there may be. */
const WHORLS: Readonly<Record<string, readonly string[]>> = {
  openBloom: ['small', 'medium', 'large'],
  cuppedBloom: ['petals'],
  mouldedBloom: ['petals'],
}

function parametersOf({ technique, parameters }: Loose): Loose {
  if (!isRecord(parameters)) return {}
  const name = String(technique)
  const most = Object.fromEntries((WHORLS[name] ?? []).map((whorl) => [`${whorl}Most`, parameters[whorl]]))
  return { parameters: { ...PARAMETERS[name], ...most, ...parameters } }
}

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
    (own) => (isDecoration(own) ? { ...parametersOf(own), ...overlapIn(own) } : {}),
  )
