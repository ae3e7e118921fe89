/** A portion of a disc gathered at its foot: what it must reach, what is seen of it. */
import { plannedShrink } from '../../learn'
import type { StockShape } from '../../material'
import { derive, found, type Working } from '../../quantity'
import { chosen } from '../chosen'
import type { Means, PieceKind, Sector } from '../define'
import { PORTION_WORDS, portionOutline, REACH_PER_DIAMETER, WIDTH_PER_REACH } from './portion'

/** How a portion is gathered: flat width for each width seen, and what of it goes into the cake, mm. */
type Gathered = { readonly gather: number; readonly insertionMm: number }

export const STARTING_FOOT_MM = 15
/** The disc that pictures are made of where no shelf is told. */
const USUAL_DISC_MM = 220

/** Seen height plus foot, before shrink. */
export const flatReachOf = (seenMm: number, { insertionMm }: Gathered, shrink: number): number =>
  (seenMm + insertionMm) / (1 - shrink)

/** How much film draws in where it dries, a share. */
export const shrinkOf = ({ drying, shrink }: Means): Working => {
  const way = drying === 'oven' ? 'oven' : 'mat'
  return plannedShrink(way, shrink[way] ?? null)
}

/** Diameters of the discs there are, mm; the usual one where there is none. */
export const discsOf = (shapes: readonly StockShape[]): readonly number[] => {
  const discs = shapes.flatMap((shape) => (shape.kind === 'disc' ? [shape.diameterMm] : []))
  return discs.length > 0 ? discs : [USUAL_DISC_MM]
}

/** What is seen of a sector that is taken as it comes. */
export const seenOfSector = ({ portion, discMm }: Sector, gathered: Gathered, shrink: number) => {
  const reach = discMm * REACH_PER_DIAMETER[portion]
  return {
    heightMm: Math.max(1, reach * (1 - shrink) - gathered.insertionMm),
    widthMm: (reach * WIDTH_PER_REACH[portion] * (1 - shrink)) / gathered.gather,
  }
}

/** The piece that a portion is, with the reach it is cut for. */
export function sectorKind(
  { portion, discMm }: Sector,
  gathered: Gathered,
  seenMm: number,
  shrink: Working,
): PieceKind {
  const across = found('disc', discMm, 'length', 'the smallest in use that reaches, or the one it was told')
  const reach = derive(
    'reach of the piece',
    'length',
    'from foot to rim',
    portion === 'whole' ? '{across}, for {needed}' : '{across} ÷ 2, for {needed}',
    { across, needed: reachWorking(seenMm, gathered, shrink) },
    (v) => v.across! * REACH_PER_DIAMETER[portion],
  )
  const width = derive(
    'flat width',
    'length',
    'of a sector',
    `{reach} × ${WIDTH_PER_REACH[portion].toFixed(2)}`,
    { reach },
    (v) => v.reach * WIDTH_PER_REACH[portion],
  )
  return {
    name: PORTION_WORDS[portion].one,
    outline: portionOutline(portion, discMm),
    folds: [],
    face: 'either face',
    width,
    height: reach,
    perElement: 1,
    sector: { portion, discMm },
    lying: {
      widthMm: (portion === 'quarter' ? discMm * Math.SQRT1_2 : discMm) / gathered.gather,
      heightMm: reach.value,
    },
  }
}

/** The reach that a piece is cut for, with its working. */
function reachWorking(seenMm: number, gathered: Gathered, shrink: Working): Working {
  const { insertionMm } = gathered
  return derive(
    'flat reach',
    'length',
    'from seen to cut',
    '( {seenHeight} + {insertion} ) ÷ ( 1 − {shrink} )',
    {
      seenHeight: found('seen height here', seenMm, 'length', 'from its place'),
      insertion: chosen('foot', insertionMm, STARTING_FOOT_MM, 'length'),
      shrink,
    },
    (v) => (v.seenHeight + v.insertion) / (1 - v.shrink),
  )
}
