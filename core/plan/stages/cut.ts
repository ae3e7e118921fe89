/** From decorations to sheets: parts of one paper, size and way of cutting share sheets. */
import {
  cuttingMinutes,
  cuttingToolsSchema,
  faultsOf,
  jobKey,
  layByHand,
  layPunched,
  nestJobOf,
  offcutDm2,
  ownOutlines,
  paperDm2,
  remainderOf,
  shareDiscs,
  sheetsOf,
  STARTING_CUTTING,
  STARTING_TOOLS,
  strokesOf,
  type CutAgain,
  type CutLayout,
  type CutPart,
  type CutSheet,
  type Cutting,
  type CuttingTools,
  type CuttingWay,
  type KeptSheet,
  type LayoutFault,
  type LeftOut,
  type NestJob,
  type NestLayout,
  type OwnPiece,
  type Remainder,
  type Remnant,
} from '../../cut'
import type { PieceClass, PlannedDecoration } from '../../decoration'
import { outlineAreaMm2 } from '../../geometry'
import { isSameShape, paperOf, shapeKey, shapeName, type PaperId, type StockShape } from '../../material'
import { derive, found, setting, starting, sumOf, typed, type Working } from '../../quantity'
import { paperItem, paperName, type SheetNeed } from '../../supply'

/** Layouts that a search has found so far, by the key of their job. */
export type Nested = Readonly<Record<string, NestLayout>>

/** Sheets that are cut together. */
export type CutGroup = {
  readonly id: string
  readonly paper: PaperId
  /** What it may be cut from. */
  readonly shapes: readonly StockShape[]
  readonly way: CuttingWay
  readonly plies: number
  /** To how many layers its strips are folded before pieces are cut out; 1 is not at all. */
  readonly layers: number
  /** The colour its sheets have all over, when they are coloured before they are cut. */
  readonly colour: string | null
  readonly parts: readonly CutPart[]
  readonly layout: CutLayout
  /** Locked sheets that hold, in the order of the first sheets of the layout. */
  readonly kept: readonly KeptSheet[]
  /** Locked sheets that no longer hold what they held, and are laid out anew. */
  readonly released: number
  /** What a search can lay closer; none when all is done by hand or locked. */
  readonly search: { readonly key: string; readonly job: NestJob } | null
  /** Whether a search has laid it; else pieces lie in strips for now. */
  readonly isNested: boolean
  readonly sheets: Working
  /** The same by size. */
  readonly needs: readonly SheetNeed[]
  readonly strokes: Working
  readonly minutes: Working
  /** Share of the paper that becomes pieces. */
  readonly used: Working
  /** What neither becomes pieces nor is worth keeping whole. */
  readonly offcuts: Working
  /** Straight pieces worth keeping, and the sheets they are left of. */
  readonly remainders: readonly { readonly sheet: number; readonly plies: number; readonly left: Remainder }[]
}

/** Both faces of film are alike; wafer has a smooth one, which some pieces need. Print is on one face only. */
const mayTurnOver = (paper: PaperId, face: string, printed: boolean): boolean =>
  !printed && (paperOf(paper).kind === 'film' || face.startsWith('either'))

type Cuttable = Pick<
  PieceClass,
  'id' | 'name' | 'outline' | 'holes' | 'colour' | 'needed' | 'spares' | 'face' | 'print' | 'members' | 'sector'
>

/** What is cut of one paper in one way: a decoration, or a piece of the decorator's own. */
export type CutWork = Pick<PlannedDecoration, 'id' | 'paper' | 'shapes' | 'cutting'> & {
  readonly classes: readonly Cuttable[]
}

/** The parts of a decoration: its classes, with spares. */
export const partsOf = ({ id, paper, classes }: Pick<CutWork, 'id' | 'paper' | 'classes'>): readonly CutPart[] =>
  classes.map(({ id: part, name, outline, holes, colour, needed, spares, face, print, members, sector }) => ({
    id: part,
    decoration: id,
    name,
    colour,
    outline,
    holes,
    quantity: needed.value + spares.value,
    mirror: mayTurnOver(paper, face, print.length > 0),
    members,
    ...(sector && { sector }),
  }))

/** A piece of the decorator's own as work to cut; it has no spares but those that were asked for. */
export const ownWork = (own: OwnPiece): CutWork => ({
  id: own.id,
  paper: own.paper,
  shapes: own.stock.length > 0 ? own.stock : paperOf(own.paper).shapes.slice(0, 1),
  cutting: own.cutting,
  classes: [
    {
      id: `${own.id}/piece`,
      sector: null,
      name: own.name,
      ...ownOutlines(own),
      colour: own.colour,
      needed: typed(`“${own.name}”`, own.quantity, 'count', 'Cut, pieces from a drawing'),
      spares: found('spares', 0, 'count', 'ask for more'),
      face: 'either face out',
      print: [],
      members: [],
    },
  ],
})

type CuttingInputs = {
  readonly work: readonly CutWork[]
  readonly tools: CuttingTools
  readonly kept: readonly KeptSheet[]
  readonly remnants: readonly Remnant[]
  readonly nested: Nested
  /** Pieces asked for again at the bench. */
  readonly again: readonly CutAgain[]
}

/** Parts that share sheets, before they are laid out. */
type Sharing = Pick<CutGroup, 'id' | 'paper' | 'shapes' | 'colour'> & {
  readonly cutting: Cutting
  readonly parts: CutPart[]
  readonly counts: Working[]
}

/** What share sheets: of one paper, size and way, so many at once; of one colour where sheets are coloured whole. */
function sharing(work: readonly CutWork[]): readonly Sharing[] {
  const groups = new Map<string, Sharing>()
  for (const each of work) {
    const { paper, shapes, cutting, classes } = each
    const { way, plies, layers, colouredWhole } = cutting
    partsOf(each).forEach((part, at) => {
      const { needed, spares } = classes[at]!
      const colour = colouredWhole ? part.colour.toLowerCase() : null
      const id = [
        paper,
        // Portions name the disc they come from: all of a paper share discs.
        ...(way === 'sectors' ? [] : shapes.map(shapeKey)),
        way,
        ...(way === 'machine' || way === 'sectors' ? [] : [plies]),
        ...(way === 'boxes' && layers > 1 ? [`folded${layers}`] : []),
        ...(colour ? [colour.slice(1)] : []),
      ].join('-')
      const group = groups.get(id)
      if (group) {
        group.parts.push(part)
        group.counts.push(needed, spares)
      } else groups.set(id, { id, paper, shapes, colour, cutting, parts: [part], counts: [needed, spares] })
    })
  }
  return [...groups.values()]
}

/** Groups of decorations that share sheets, each laid out. */
export function cutStage({ work, tools, kept, remnants, nested, again }: CuttingInputs): readonly CutGroup[] {
  // A remnant can be used once: the first group of its paper and colour that is laid closely, a sheet at a time, may
  // have it.
  const offered = new Set<string>()
  return sharing(work).map((group) => {
    const {
      paper,
      colour,
      cutting: { way, plies },
    } = group
    const stock = `${paper} ${colour ?? ''}`
    const own =
      isLaidByHand(way) || (way === 'template' && plies > 1) || offered.has(stock)
        ? []
        : remnants.filter((remnant) => remnant.paper === paper && (remnant.colour?.toLowerCase() ?? null) === colour)
    if (own.length > 0) offered.add(stock)
    return groupOf(group, tools, kept, own, nested, again)
  })
}

/** Whether a way lays pieces by a rule of its own, with no search. */
export const isLaidByHand = (way: CuttingWay): boolean => way === 'sectors' || way === 'boxes' || way === 'punch'
const gapOf = (way: CuttingWay, plies: number, { machineGapMm, knifeGapMm, slipMm }: CuttingTools): number =>
  way === 'machine' ? machineGapMm : knifeGapMm + (way === 'template' ? slipMm * (plies - 1) : 0)
/** How many sheets are cut at once; a machine cuts one, discs are cut singly. */
export const pliesOf = ({ way, plies }: Cutting): number => (way === 'machine' || way === 'sectors' ? 1 : plies)

/** Pieces laid by the rule of their way, on the size that takes the least paper of those they fit on. */
export function layByRule(
  parts: readonly CutPart[],
  shapes: readonly StockShape[],
  cutting: Cutting,
  tools: CuttingTools,
  again: readonly CutAgain[] = [],
): CutLayout {
  if (cutting.way === 'sectors') return shareDiscs(parts, again)
  const laid = shapes.map((shape) =>
    cutting.way === 'boxes'
      ? layByHand(parts, shape, cutting, tools)
      : layPunched(parts, shape, pliesOf(cutting), tools),
  )
  const paper = ({ sheets }: CutLayout): number => sheets.reduce((sum, each) => sum + each.plies * paperDm2(each), 0)
  return laid.reduce((best, each) => {
    const fewerLeft = each.leftOut.length - best.leftOut.length
    return fewerLeft < 0 || (fewerLeft === 0 && paper(each) < paper(best) - 1e-9) ? each : best
  })
}

function groupOf(
  { id, paper, shapes, colour, cutting, parts, counts }: Sharing,
  tools: CuttingTools,
  kept: readonly KeptSheet[],
  remnants: readonly Remnant[],
  nested: Nested,
  again: readonly CutAgain[],
): CutGroup {
  const { way } = cutting
  const plies = pliesOf(cutting)
  const own = kept.filter(
    (sheet) =>
      sheet.paper === paper &&
      shapes.some((shape) => isSameShape(shape, sheet.shape)) &&
      sheet.way === way &&
      sheet.plies === plies &&
      (sheet.colour?.toLowerCase() ?? null) === colour,
  )
  const laid = isLaidByHand(way)
    ? { ...layByRule(parts, shapes, cutting, tools, again), kept: [], released: 0, search: null, isNested: false }
    : layClosely(parts, shapes, way, plies, tools, own, remnants, nested)
  const { leftOut, ...state } = laid
  const sheets = numberedOn([...laid.sheets, ...cutAgain(parts, shapes, way, tools, again)])
  const pieces = sumOf('pieces', 'count', 'pieces and spares', counts)
  return {
    id,
    paper,
    shapes,
    colour,
    way,
    plies,
    layers: way === 'boxes' ? cutting.layers : 1,
    parts,
    layout: { sheets, leftOut: leftOut.map((each) => withRemedy(each, paper, shapes, tools)) },
    ...state,
    ...figuresOf(sheets, shapes, paper, way, plies, pieces, tools, state.isNested),
  }
}

/** Sheets for pieces cut again; portions come on what is left of their discs, where they are laid. */
function cutAgain(
  parts: readonly CutPart[],
  shapes: readonly StockShape[],
  way: CuttingWay,
  tools: CuttingTools,
  again: readonly CutAgain[],
): readonly CutSheet[] {
  if (way === 'sectors') return []
  const wanted = again.flatMap(({ part, many }) =>
    parts.filter(({ id }) => id === part).map((like) => ({ ...like, quantity: many })),
  )
  const cutting: Cutting = { ...STARTING_CUTTING, way: way === 'punch' ? 'punch' : 'boxes', plies: 1 }
  return wanted.length === 0 ? [] : layByRule(wanted, shapes, cutting, tools).sheets
}

/** Placements of one sheet by itself. */
const onOneSheet = (placements: KeptSheet['placements'], shape: StockShape): NestLayout['placements'] =>
  placements.map((each) => ({ ...each, sheetIndex: 0, sheetId: shapeKey(shape) }))

/** Locked sheets first, then what a search has found for the rest; strips and boxes until it has. */
function layClosely(
  wanted: readonly CutPart[],
  shapes: readonly StockShape[],
  way: CuttingWay,
  plies: number,
  tools: CuttingTools,
  kept: readonly KeptSheet[],
  remnants: readonly Remnant[],
  nested: Nested,
): CutLayout & Pick<CutGroup, 'kept' | 'released' | 'search' | 'isNested'> {
  const gapMm = gapOf(way, plies, tools)
  // A stack is laid out once: its top sheet holds what every sheet of it does.
  const parts = wanted.map((part) => ({ ...part, quantity: Math.ceil(part.quantity / plies) }))
  const left = new Map(parts.map(({ id, quantity }) => [id, quantity]))
  const holding = kept.filter((sheet) => {
    const { job } = nestJobOf('locked', parts, [sheet.shape], tools.marginMm, gapMm)
    const counts = new Map<string, number>()
    for (const { part } of sheet.placements) counts.set(part, (counts.get(part) ?? 0) + 1)
    const holds =
      job !== null &&
      [...counts].every(([part, count]) => (left.get(part) ?? 0) >= count) &&
      faultsOf(job, {
        placements: onOneSheet(sheet.placements, sheet.shape),
      }).every(({ code }) => code === 'quantity')
    if (holds) for (const [part, count] of counts) left.set(part, left.get(part)! - count)
    return holds
  })
  const lockedSheets = holding.flatMap((sheet) =>
    sheetsOf({ placements: onOneSheet(sheet.placements, sheet.shape) }, parts, [sheet.shape]),
  )
  const rest = parts.flatMap((part) => {
    const quantity = left.get(part.id)!
    return quantity > 0 ? [{ ...part, quantity }] : []
  })
  const { job, leftOut } = nestJobOf('sheets', rest, shapes, tools.marginMm, gapMm, remnants)
  const key = job && jobKey(job)
  const layout = key === null ? undefined : nested[key]
  const strips =
    layout || rest.length === 0
      ? null
      : layByRule(rest, shapes, { ...STARTING_CUTTING, way: 'boxes', plies: 1 }, { ...tools, knifeGapMm: gapMm })
  const found = layout ? sheetsOf(layout, rest, shapes, remnants) : (strips?.sheets ?? [])
  const numbered = numberedOn([...lockedSheets, ...found]).map((sheet) => ({ ...sheet, plies }))
  return {
    sheets: numbered,
    leftOut,
    kept: holding,
    released: kept.length - holding.length,
    search: job && key !== null ? { key, job } : null,
    isNested: layout !== undefined,
  }
}

function numberedOn(sheets: readonly CutSheet[]): readonly CutSheet[] {
  let number = 0
  return sheets.map((sheet) => ({
    ...sheet,
    pieces: sheet.pieces.map((piece) => ({ ...piece, number: (number += 1) })),
  }))
}

/** Area of a piece, mm². */
export const holeless = ({ outline, holes }: CutPart): number =>
  Math.abs(outlineAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(outlineAreaMm2(hole)), 0)
const MM2_PER_DM2 = 10000

function figuresOf(
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
  const total = (): number => sheets.reduce((sum, { plies }) => sum + plies, 0)
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

/** What would take a part that fits on no sheet: a larger size of its paper, or making it of two. */
function withRemedy(
  { part, why }: LeftOut,
  paper: PaperId,
  shapes: readonly StockShape[],
  tools: CuttingTools,
): LeftOut {
  if (!why.includes('larger')) return { part, why }
  const larger = paperOf(paper).shapes.filter(
    (shape) =>
      !shapes.some((own) => isSameShape(own, shape)) && nestJobOf('', [part], [shape], tools.marginMm, 0).job !== null,
  )
  const remedy =
    larger.length > 0
      ? `It fits on ${larger.map(shapeName).join(' or ')}.`
      : 'No size of this paper takes it: make it of two pieces that overlap.'
  return { part, why: `${why} ${remedy}` }
}

/**
 * What is wrong with where the pieces of one sheet of a group lie, if they were laid so: too close, over the edge.
 * Indexes are those of the placements.
 */
export function sheetFaults(
  { parts, way, plies }: Pick<CutGroup, 'parts' | 'way' | 'plies'>,
  shape: StockShape,
  placements: KeptSheet['placements'],
  tools: CuttingTools,
): readonly LayoutFault[] {
  const { job } = nestJobOf('sheet', parts, [shape], tools.marginMm, gapOf(way, plies, tools))
  return job
    ? faultsOf(job, { placements: onOneSheet(placements, shape) }).filter(({ code }) => code !== 'quantity')
    : []
}

/** A sheet as it is kept when it is locked. */
export const keptSheetOf = (
  { paper, way, plies, colour }: Pick<CutGroup, 'paper' | 'way' | 'plies' | 'colour'>,
  { pieces, shape }: CutSheet,
): KeptSheet => ({
  paper,
  shape,
  way,
  plies,
  colour,
  placements: pieces.map(({ part, x, y, rotationDeg, mirrored }) => ({ part: part.id, x, y, rotationDeg, mirrored })),
})

/** Sheets and discs of all groups, each size of a paper once. */
export function sheetNeeds(groups: readonly Pick<CutGroup, 'needs'>[]): readonly SheetNeed[] {
  const bySize = new Map<string, SheetNeed[]>()
  for (const need of groups.flatMap(({ needs }) => needs)) {
    const item = paperItem(need.paper, need.shape)
    bySize.set(item, [...(bySize.get(item) ?? []), need])
  }
  return [...bySize.values()].map((needs) => {
    const [{ paper, shape, needed }] = needs as [SheetNeed, ...SheetNeed[]]
    if (needs.length === 1) return { paper, shape, needed }
    const parts = needs.map((need, at) => ({ ...need.needed, label: `cut together, ${at + 1}` }))
    return { paper, shape, needed: sumOf(needed.label, 'count', 'sheets cut together added up', parts) }
  })
}

/** All sheets and discs. */
export const allSheets = (needs: readonly SheetNeed[]): Working =>
  sumOf(
    'sheets',
    'count',
    'all sizes added up',
    needs.map(({ needed }) => needed),
  )
