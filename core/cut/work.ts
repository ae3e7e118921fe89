import { outlineLengthMm } from '../geometry'
import { derive, found, starting, type Working } from '../quantity'
import type { CutPiece, CutSheet } from './sheet'
import type { CuttingTools, CuttingWay } from './way'

/** How long hands take, minutes. Guesses to calibrate first. */
const STRAIGHT_MIN = 0.2
const OUTLINE_MIN = 0.9
const TRACE_MIN = 0.4
const PUNCH_MIN = 0.1
const LOAD_MIN = 2

/** Outlines still to be cut, those of a folded strip's bundle once. */
function outlinesOn(sheets: readonly CutSheet[], way: CuttingWay): number {
  return sheets.reduce((sum, { pieces, shape }) => {
    const cut = pieces.filter((piece) => isCutOut(piece, way, shape))
    return (
      sum +
      cut.filter(({ bundle }) => bundle === undefined).length +
      new Set(cut.flatMap(({ bundle }) => (bundle === undefined ? [] : [bundle]))).size
    )
  }, 0)
}

/** Whether an outline is still to be cut: not what straight cuts have freed, and of a portion only what must be trimmed. */
const isCutOut = ({ part, freed }: CutPiece, way: CuttingWay, shape: CutSheet['shape']): boolean =>
  way === 'sectors'
    ? shape.kind === 'disc' && (part.sector?.discMm ?? 0) < shape.diameterMm
    : way !== 'boxes' || freed !== true

/** Cuts of the hand on a stack: straight ones and outlines; a machine's are not counted. */
export function strokesOf(sheets: readonly CutSheet[], way: CuttingWay): Working {
  const straight = found(
    'straight cuts',
    sheets.reduce((sum, { cuts }) => sum + cuts.length, 0),
    'count',
    'counted on the sheets, a stack once',
  )
  const outlines = found(
    way === 'punch' ? 'punches' : 'outlines',
    way === 'machine' ? 0 : outlinesOn(sheets, way),
    'count',
    'counted on the sheets, a stack once',
  )
  return derive(
    'strokes',
    'count',
    'cuts by hand',
    '{straight} + {outlines}',
    { straight, outlines },
    (v) => v.straight + v.outlines,
  )
}

/** Minutes at the bench for cutting. For a machine: laying sheets in, and its own run. */
export function cuttingMinutes(sheets: readonly CutSheet[], way: CuttingWay, tools: CuttingTools): Working {
  const minutes = (label: string, value: number): Working => starting(label, value, 'duration', 'guess')
  if (way === 'machine') {
    const lengthMm = sheets.reduce(
      (sum, { pieces }) =>
        sum +
        pieces.reduce(
          (all, { part }) =>
            all + [part.outline, ...part.holes].reduce((each, outline) => each + outlineLengthMm(outline), 0),
          0,
        ),
      0,
    )
    return derive(
      'cutting',
      'duration',
      'a machine’s run',
      '{sheets} × {load} + {path} ÷ {speed}',
      {
        sheets: found('sheets', sheets.length, 'count', 'counted'),
        load: minutes('lay one in and take it out', LOAD_MIN),
        path: found('outlines', lengthMm, 'length', 'added up'),
        speed: found('speed a minute', tools.machineMmPerMin, 'length', 'of the workshop’s machine'),
      },
      (v) => v.sheets * v.load + v.path / v.speed,
    )
  }
  const straight = found(
    'straight cuts',
    sheets.reduce((sum, { cuts }) => sum + cuts.length, 0),
    'count',
    'counted on the sheets, a stack once',
  )
  const pieces = found('outlines', outlinesOn(sheets, way), 'count', 'counted on the sheets, a stack once')
  const each = way === 'punch' ? PUNCH_MIN : way === 'template' ? OUTLINE_MIN + TRACE_MIN : OUTLINE_MIN
  return derive(
    'cutting',
    'duration',
    'strokes by their time',
    '{straight} × {straightMin} + {pieces} × {each}',
    {
      straight,
      straightMin: minutes('a straight cut', STRAIGHT_MIN),
      pieces,
      each: minutes(way === 'template' ? 'trace and cut one' : way === 'punch' ? 'a punch' : 'cut one out', each),
    },
    (v) => v.straight * v.straightMin + v.pieces * v.each,
  )
}
