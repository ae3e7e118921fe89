/** From decorations to sheets: parts of one paper, size and way of cutting share sheets. */
import { outlineAreaMm2 } from '../geometry'
import {
  CUTTING_WAYS,
  cuttingMinutes,
  cuttingToolsSchema,
  STARTING_TOOLS,
  discDiameterOf,
  faultsOf,
  jobKey,
  layByHand,
  layPunched,
  nestJobOf,
  offcutDm2,
  paperDm2,
  remainderOf,
  ownOutlines,
  sheetsOf,
  strokesOf,
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
} from '../cut'
import { formatOf, paperOf, type Format, type FormatId, type PaperId } from '../material'
import { derive, found, setting, starting, sumOf, typed, type Working } from '../quantity'
import type { Paperwork, PieceClass } from './paperwork'

/** Layouts that a search has found so far, by the key of their job. */
export type Nested = Readonly<Record<string, NestLayout>>

/**
 * A way of cutting one decoration by itself, to compare: sheets, strokes and minutes; about, until it was laid out so.
 */
export type WayChoice = {
  readonly way: CuttingWay
  readonly sheets: number | null
  readonly strokes: number
  readonly minutes: number
  readonly about: boolean
  readonly advised: boolean
}

/** Sheets that are cut together. */
export type CutGroup = {
  readonly id: string
  readonly paper: PaperId
  readonly format: FormatId
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
  readonly strokes: Working
  readonly minutes: Working
  /** Share of the paper that becomes pieces. */
  readonly used: Working
  /** What neither becomes pieces nor is worth keeping whole. */
  readonly offcuts: Working
  /** Straight pieces worth keeping, and the sheets they are left of. */
  readonly remainders: readonly { readonly sheet: number; readonly plies: number; readonly left: Remainder }[]
}

const sizeOf = (format: FormatId): Format => formatOf(format)

/** Both faces of film are alike; wafer has a smooth one, which some pieces need. Print is on one face only. */
const mayTurnOver = (paper: PaperId, face: string, printed: boolean): boolean =>
  !printed && (paperOf(paper).kind === 'film' || face.startsWith('either'))

type Cuttable = Pick<
  PieceClass,
  'name' | 'outline' | 'holes' | 'colour' | 'needed' | 'spares' | 'face' | 'print' | 'members'
>

/** What is cut of one paper in one way: a decoration, or a piece of the decorator's own. */
export type CutWork = Pick<Paperwork, 'id' | 'paper' | 'format' | 'cutting'> & { readonly classes: readonly Cuttable[] }

/** The parts of a decoration: its classes, with spares. */
const partsOf = ({ id, paper, classes }: Pick<CutWork, 'id' | 'paper' | 'classes'>): readonly CutPart[] =>
  classes.map(({ name, outline, holes, colour, needed, spares, face, print, members }, at) => ({
    id: `${id}/${at}`,
    decoration: id,
    name,
    colour,
    outline,
    holes,
    quantity: needed.value + spares.value,
    mirror: mayTurnOver(paper, face, print.length > 0),
    members,
  }))

/** A piece of the decorator's own as work to cut; it has no spares but those that were asked for. */
export const ownWork = (own: OwnPiece): CutWork => ({
  id: own.id,
  paper: own.paper,
  format: own.format,
  cutting: own.cutting,
  classes: [
    {
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
}

/** Parts that share sheets, before they are laid out. */
type Sharing = Pick<CutGroup, 'id' | 'paper' | 'format' | 'colour'> & {
  readonly cutting: Cutting
  readonly parts: CutPart[]
  readonly counts: Working[]
}

/** What share sheets: of one paper, size and way, so many at once; of one colour where sheets are coloured whole. */
function sharing(work: readonly CutWork[]): readonly Sharing[] {
  const groups = new Map<string, Sharing>()
  for (const each of work) {
    const { paper, format, cutting, classes } = each
    const { way, plies, layers, colouredWhole } = cutting
    partsOf(each).forEach((part, at) => {
      const { needed, spares } = classes[at]!
      const colour = colouredWhole ? part.colour.toLowerCase() : null
      const id = [
        paper,
        format,
        way,
        ...(way === 'machine' ? [] : [plies]),
        ...(way === 'boxes' && layers > 1 ? [`folded${layers}`] : []),
        ...(colour ? [colour.slice(1)] : []),
      ].join('-')
      const group = groups.get(id)
      if (group) {
        group.parts.push(part)
        group.counts.push(needed, spares)
      } else groups.set(id, { id, paper, format, colour, cutting, parts: [part], counts: [needed, spares] })
    })
  }
  return [...groups.values()]
}

/** Groups of decorations that share sheets, each laid out. */
export function cuttingStage({ work, tools, kept, remnants, nested }: CuttingInputs): readonly CutGroup[] {
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
    return groupOf(group, tools, kept, own, nested)
  })
}

const isLaidByHand = (way: CuttingWay): boolean => way === 'boxes' || way === 'punch'
const gapOf = (way: CuttingWay, plies: number, { machineGapMm, knifeGapMm, slipMm }: CuttingTools): number =>
  way === 'machine' ? machineGapMm : knifeGapMm + (way === 'template' ? slipMm * (plies - 1) : 0)
/** How many sheets are cut at once; a machine cuts one. */
const pliesOf = ({ way, plies }: Cutting): number => (way === 'machine' ? 1 : plies)

function groupOf(
  { id, paper, format, colour, cutting, parts, counts }: Sharing,
  tools: CuttingTools,
  kept: readonly KeptSheet[],
  remnants: readonly Remnant[],
  nested: Nested,
): CutGroup {
  const size = sizeOf(format)
  const { way } = cutting
  const plies = pliesOf(cutting)
  const own = kept.filter(
    (sheet) =>
      sheet.paper === paper &&
      sheet.format === format &&
      sheet.way === way &&
      sheet.plies === plies &&
      (sheet.colour?.toLowerCase() ?? null) === colour,
  )
  const laid = isLaidByHand(way)
    ? {
        ...(way === 'boxes' ? layByHand(parts, size, cutting, tools) : layPunched(parts, size, plies, tools)),
        kept: [],
        released: 0,
        search: null,
        isNested: false,
      }
    : layClosely(parts, size, way, plies, tools, own, remnants, nested)
  const { sheets, leftOut, ...state } = laid
  const pieces = sumOf('pieces', 'count', 'pieces and spares', counts)
  return {
    id,
    paper,
    format,
    colour,
    way,
    plies,
    layers: way === 'boxes' ? cutting.layers : 1,
    parts,
    layout: { sheets, leftOut: leftOut.map((each) => withRemedy(each, paper, format, tools)) },
    ...state,
    ...figuresOf(sheets, size, paper, way, plies, pieces, tools, state.isNested),
  }
}

/** Locked sheets first, then what a search has found for the rest; strips and boxes until it has. */
function layClosely(
  wanted: readonly CutPart[],
  size: Format,
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
    const { job } = nestJobOf('locked', parts, size, tools.marginMm, gapMm)
    const counts = new Map<string, number>()
    for (const { part } of sheet.placements) counts.set(part, (counts.get(part) ?? 0) + 1)
    const holds =
      job !== null &&
      [...counts].every(([part, count]) => (left.get(part) ?? 0) >= count) &&
      faultsOf(job, {
        placements: sheet.placements.map((each) => ({ ...each, sheetIndex: 0, sheetId: 'sheet' })),
      }).every(({ code }) => code === 'quantity')
    if (holds) for (const [part, count] of counts) left.set(part, left.get(part)! - count)
    return holds
  })
  const lockedSheets = holding.flatMap((sheet) =>
    sheetsOf({ placements: sheet.placements.map((each) => ({ ...each, sheetIndex: 0, sheetId: 'sheet' })) }, parts),
  )
  const rest = parts.flatMap((part) => {
    const quantity = left.get(part.id)!
    return quantity > 0 ? [{ ...part, quantity }] : []
  })
  const { job, leftOut } = nestJobOf('sheets', rest, size, tools.marginMm, gapMm, remnants)
  const key = job && jobKey(job)
  const layout = key === null ? undefined : nested[key]
  const strips =
    layout || rest.length === 0 ? null : layByHand(rest, size, { plies: 1, layers: 1 }, { ...tools, knifeGapMm: gapMm })
  const found = layout ? sheetsOf(layout, rest, remnants) : (strips?.sheets ?? [])
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

const holeless = ({ outline, holes }: CutPart): number =>
  Math.abs(outlineAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(outlineAreaMm2(hole)), 0)
const MM2_PER_DM2 = 10000

function figuresOf(
  sheets: readonly CutSheet[],
  size: Format,
  paper: PaperId,
  way: CuttingWay,
  plies: number,
  wanted: Working,
  tools: CuttingTools,
  isNested: boolean,
): Pick<CutGroup, 'sheets' | 'strokes' | 'minutes' | 'used' | 'offcuts' | 'remainders'> {
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
  const how = isNested
    ? 'as few as a search has found so far for'
    : way === 'punch'
      ? 'rows of holes for'
      : 'strips of boxes for'
  const count = derive(
    'sheets',
    'count',
    isNested ? 'laid closely' : way === 'punch' ? 'punched rows' : 'strips and boxes',
    `${how} {pieces} on ${size.name}, {edge} and {gap}`,
    { pieces: wanted, edge: set('marginMm'), gap: set(way === 'machine' ? 'machineGapMm' : 'knifeGapMm') },
    () => whole.reduce((sum, { plies }) => sum + plies, 0),
  )
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
    sheets.reduce((sum, sheet) => sum + sheet.plies * paperDm2(sheet, size), 0),
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
        sheets.reduce((sum, sheet) => sum + sheet.plies * offcutDm2(sheet, size, gapMm), 0),
        'area',
        'paper less pieces, and less what is worth keeping',
      ),
      weight: starting('weight of a dm²', paperOf(paper).gramsPerDm2, 'mass', 'usual'),
    },
    (v) => v.left * v.weight,
  )
  const remainders = sheets.flatMap((sheet, at) => {
    const left = remainderOf(sheet, size, gapMm)
    return left ? [{ sheet: at, plies: sheet.plies, left }] : []
  })
  return {
    offcuts,
    remainders,
    sheets: count,
    strokes: strokesOf(sheets, way),
    minutes: cuttingMinutes(sheets, way, tools),
    used: derive('paper used', 'share', 'pieces of the paper', '{pieces} ÷ {taken}', { pieces, taken }, (v) =>
      v.taken === 0 ? 0 : v.pieces / v.taken,
    ),
  }
}

/** What would take a part that fits on no sheet: a larger format of its paper, or making it of two. */
function withRemedy({ part, why }: LeftOut, paper: PaperId, format: FormatId, tools: CuttingTools): LeftOut {
  if (!why.includes('larger')) return { part, why }
  const larger = paperOf(paper).formats.filter(
    (id) => id !== format && nestJobOf('', [part], formatOf(id), tools.marginMm, 0).job !== null,
  )
  const remedy =
    larger.length > 0
      ? `It fits on ${larger.map((id) => formatOf(id).name).join(' or ')}.`
      : 'No size of this paper takes it: make it of two pieces that overlap.'
  return { part, why: `${why} ${remedy}` }
}

/** How much of a sheet becomes pieces when outlines are laid closely, before that is tried. */
const USUAL_FILL = starting('usual share of the paper', 0.7, 'share', 'guess')
const PUNCH_FROM = 12

/**
 * Every way for one decoration alone, and which is advised: the one that costs least in paper and time, a machine only
 * when it is chosen already.
 */
export function wayChoices(work: CutWork, tools: CuttingTools, sheetEach: number, hour: number): readonly WayChoice[] {
  const parts = partsOf(work)
  const size = sizeOf(work.format)
  if (parts.length === 0) return []
  const choices = CUTTING_WAYS.map((way): Omit<WayChoice, 'advised'> => {
    const plies = pliesOf({ ...work.cutting, way })
    if (isLaidByHand(way)) {
      const { sheets, leftOut } =
        way === 'boxes' ? layByHand(parts, size, work.cutting, tools) : layPunched(parts, size, plies, tools)
      return {
        way,
        about: false,
        sheets: leftOut.length > 0 ? null : sheets.reduce((sum, each) => sum + each.plies, 0),
        strokes: strokesOf(sheets, way).value,
        minutes: cuttingMinutes(sheets, way, tools).value,
      }
    }
    const area = parts.reduce((sum, part) => sum + part.quantity * holeless(part), 0)
    const { leftOut } = nestJobOf('', parts, size, tools.marginMm, 0)
    const flat: CutSheet = {
      plies,
      cuts: [],
      pieces: parts.flatMap((part) =>
        Array.from({ length: Math.ceil(part.quantity / plies) }, (_, number) => ({
          part,
          number,
          x: 0,
          y: 0,
          rotationDeg: 0,
          mirrored: false,
        })),
      ),
    }
    const stacks = Math.ceil(area / plies / (USUAL_FILL.value * size.widthMm * size.heightMm))
    const about = stacks * plies
    const sheets = Array.from({ length: stacks }, (_, at): CutSheet => (at === 0 ? flat : { ...flat, pieces: [] }))
    return {
      way,
      about: true,
      sheets: leftOut.length > 0 ? null : about,
      strokes: strokesOf(sheets, way).value,
      minutes: cuttingMinutes(sheets, way, tools).value,
    }
  })
  const costOf = ({ sheets, minutes }: Omit<WayChoice, 'advised'>): number =>
    sheets === null ? Infinity : sheets * sheetEach + (minutes / 60) * hour
  const isRound =
    parts.every((part) => discDiameterOf(part) !== null) &&
    parts.reduce((sum, { quantity }) => sum + quantity, 0) >= PUNCH_FROM
  const candidates = choices.filter(
    ({ way }) =>
      way === 'boxes' ||
      way === 'template' ||
      (way === 'punch' && isRound) ||
      (way === 'machine' && work.cutting.way === 'machine'),
  )
  const best = candidates.reduce((one, other) => (costOf(other) < costOf(one) ? other : one))
  return choices.map((each) => ({ ...each, advised: each === best && costOf(each) < Infinity }))
}

/**
 * What is wrong with where the pieces of one sheet of a group lie, if they were laid so: too close, over the edge.
 * Indexes are those of the placements.
 */
export function sheetFaults(
  { parts, format, way, plies }: Pick<CutGroup, 'parts' | 'format' | 'way' | 'plies'>,
  placements: KeptSheet['placements'],
  tools: CuttingTools,
): readonly LayoutFault[] {
  const { job } = nestJobOf('sheet', parts, sizeOf(format), tools.marginMm, gapOf(way, plies, tools))
  return job
    ? faultsOf(job, { placements: placements.map((each) => ({ ...each, sheetIndex: 0, sheetId: 'sheet' })) }).filter(
        ({ code }) => code !== 'quantity',
      )
    : []
}

/** A sheet as it is kept when it is locked. */
export const keptSheetOf = (
  { paper, format, way, plies, colour }: Pick<CutGroup, 'paper' | 'format' | 'way' | 'plies' | 'colour'>,
  { pieces }: CutSheet,
): KeptSheet => ({
  paper,
  format,
  way,
  plies,
  colour,
  placements: pieces.map(({ part, x, y, rotationDeg, mirrored }) => ({ part: part.id, x, y, rotationDeg, mirrored })),
})

/** Sheets of all groups. */
export const allSheets = (groups: readonly CutGroup[]): Working =>
  sumOf(
    'sheets',
    'count',
    'sheets cut together added up',
    groups.map(({ sheets, paper, format }) => ({
      ...sheets,
      label: `${formatOf(format).name} of ${paperOf(paper).name}`,
    })),
  )
