/** What a layout comes to: sheets, strokes, minutes, what is left. */
import {
  cuttingMinutes,
  cuttingToolsSchema,
  offcutDm2,
  paperDm2,
  remainderOf,
  sheetsIn,
  STARTING_TOOLS,
  strokesOf,
  type CutPart,
  type CutSheet,
  type CuttingTools,
  type CuttingWay,
} from '../../../cut'
import { outlineAreaMm2 } from '../../../geometry'
import { isSameShape, paperOf, shapeKey, shapeName, type PaperId, type StockShape } from '../../../material'
import { derive, found, setting, starting, type Working } from '../../../quantity'
import { paperName, type SheetNeed } from '../../../supply'
import type { CutGroup } from './group'
import { gapOf } from './laying'

/** Area of a piece, mm². */
export const holeless = ({ outline, holes }: CutPart): number =>
  Math.abs(outlineAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(outlineAreaMm2(hole)), 0)
const MM2_PER_DM2 = 10000

/** What sheets come to: how many, strokes, minutes, paper used and left. */
export function figuresOf(
  sheets: readonly CutSheet[],
  shapes: readonly StockShape[],
  paper: PaperId,
  way: CuttingWay,
  plies: number,
  wanted: Working,
  tools: CuttingTools,
  isNested: boolean,
): Pick<CutGroup, 'sheets' | 'needs' | 'strokes' | 'minutes' | 'used' | 'offcuts' | 'remainders'> {
  const whole = sheets.filter(({ remnant }) => !remnant)
  const gapMm = gapOf(way, plies, tools)
  const set = (key: 'marginMm' | 'knifeGapMm' | 'machineGapMm'): Working =>
    setting(
      cuttingToolsSchema.shape[key].meta()!.label as string,
      tools[key],
      STARTING_TOOLS[key],
      'length',
      'usual',
      'Cut',
    )
  const count = sheetCount(whole, shapes, way, isNested, {
    pieces: wanted,
    edge: set('marginMm'),
    gap: set(way === 'machine' ? 'machineGapMm' : 'knifeGapMm'),
  })
  const pieces = found(
    'pieces',
    sheets.reduce(
      (sum, { pieces: on, plies }) => sum + plies * on.reduce((all, { part }) => all + holeless(part), 0),
      0,
    ) / MM2_PER_DM2,
    'area',
    'outlines added up',
  )
  const taken = found(
    'paper',
    sheets.reduce((sum, sheet) => sum + sheet.plies * paperDm2(sheet), 0),
    'area',
    'whole sheets, and remnants as they are',
  )
  const offcuts = derive(
    'offcuts',
    'mass',
    'what is left',
    '{left} × {weight}',
    {
      left: found(
        'left over',
        sheets.reduce((sum, sheet) => sum + sheet.plies * offcutDm2(sheet, gapMm), 0),
        'area',
        'paper less pieces, and less what is worth keeping',
      ),
      weight: starting('weight of a dm²', paperOf(paper).gramsPerDm2, 'mass', 'usual'),
    },
    (v) => v.left * v.weight,
  )
  const remainders = sheets.flatMap((sheet, at) => {
    const left = remainderOf(sheet, gapMm)
    return left ? [{ sheet: at, plies: sheet.plies, left }] : []
  })
  return {
    offcuts,
    remainders,
    sheets: count,
    needs: needsOf(whole, paper, count),
    strokes: strokesOf(sheets, way),
    minutes: cuttingMinutes(sheets, way, tools),
    used: derive('paper used', 'share', 'pieces of the paper', '{pieces} ÷ {taken}', { pieces, taken }, (v) =>
      v.taken === 0 ? 0 : v.pieces / v.taken,
    ),
  }
}

const LAID: Readonly<Record<'nested' | 'sectors' | 'punch' | 'boxes', readonly [rule: string, how: string]>> = {
  nested: ['laid closely', 'as few as a search has found so far for'],
  sectors: ['portions share discs', 'a whole takes a disc, two halves or four quarters share one, for'],
  punch: ['punched rows', 'rows of holes for'],
  boxes: ['strips and boxes', 'strips of boxes for'],
}

/** Sheets opened, with how they come about. */
function sheetCount(
  sheets: readonly CutSheet[],
  shapes: readonly StockShape[],
  way: CuttingWay,
  isNested: boolean,
  inputs: Readonly<Record<'pieces' | 'edge' | 'gap', Working>>,
): Working {
  const [rule, how] = LAID[isNested ? 'nested' : way === 'sectors' || way === 'punch' ? way : 'boxes']
  const on = shapes.map(shapeName).join(' or ')
  const total = (): number => sheetsIn(sheets)
  return way === 'sectors'
    ? derive('discs', 'count', rule, `${how} {pieces}`, { pieces: inputs.pieces }, total)
    : derive('sheets', 'count', rule, `${how} {pieces} on ${on}, {edge} and {gap}`, inputs, total)
}

/** Sheets of each size. */
function needsOf(sheets: readonly CutSheet[], paper: PaperId, all: Working): readonly SheetNeed[] {
  const shapes = [...new Map(sheets.map(({ shape }) => [shapeKey(shape), shape])).values()]
  if (shapes.length === 1)
    return [{ paper, shape: shapes[0]!, needed: { ...all, label: paperName(paper, shapes[0]!) } }]
  return shapes.map((shape) => ({
    paper,
    shape,
    needed: derive(paperName(paper, shape), 'count', 'of this size', 'of {all}, those of this size', { all }, () =>
      sheets.filter((sheet) => isSameShape(sheet.shape, shape)).reduce((sum, { plies }) => sum + plies, 0),
    ),
  }))
}
