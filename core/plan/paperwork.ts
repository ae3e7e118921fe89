/**
 * What follows from a decoration cut from sheets: its elements on the cake, the pieces they take, sheets, finishes,
 * hours.
 */
import type { z } from 'zod'
import { offWall, type StandingTier } from '../cake'
import {
  bandRoom,
  compositionOf,
  keepingFree,
  spreadOf,
  withByHand,
  type Ground,
  type Patch,
  type SeenSize,
} from '../compose'
import type { Cutting } from '../cut'
import { add, outlineAreaMm2, outlineLengthMm, scale, type Outline, type Point3 } from '../geometry'
import { formatOf, paperOf, type Format, type FormatId, type PaperId } from '../material'
import { derive, found, several, starting, sumOf, type Working } from '../quantity'
import {
  finished,
  finishOf,
  TECHNIQUES,
  type Failure,
  type FinishedExtent,
  type FinishId,
  type Ingredient,
  type Layout,
  type Mesh,
  type PlacedElement,
  type Technique,
  type TechniqueCaution,
  type TechniqueId,
  type TimedStep,
  type Wall,
  type Wiring,
} from '../technique'
import { blend } from '../tint'
import type { Breakage, Learned } from '../learn'
import type { MixtureUse } from '../mixture'
import { asTimed } from '../schedule'
import type { PaperDecoration } from './commission'
import { reachOf, type Reach } from './reach'

/**
 * Pieces of one kind, size and shade: their outline as cut, how many are needed and spare, how many lie on a sheet,
 * which elements they make.
 */
export type PieceClass = {
  readonly name: string
  readonly outline: Outline
  readonly holes: readonly Outline[]
  readonly folds: readonly Outline[]
  readonly flaps: readonly Outline[]
  readonly print: readonly Outline[]
  readonly face: string
  readonly colour: string
  readonly width: Working
  readonly height: Working
  /** The element they make, as seen. */
  readonly seenWidth: Working
  readonly seenHeight: Working
  readonly needed: Working
  readonly spares: Working
  /** None when it is larger than the sheet. */
  readonly onSheet: number
  /** Indexes of the elements that they make. */
  readonly members: readonly number[]
}

/** A finish on all elements of a decoration, and what it takes. */
type FinishWork = { readonly id: FinishId; readonly name: string; readonly colour: string; readonly amount: Working }

/** Sheets that a decoration would take in a format; none where its pieces are larger than the sheet. */
type FormatChoice = {
  readonly format: FormatId
  readonly name: string
  readonly sheets: number | null
  readonly paperDm2: number | null
}

export type Paperwork = {
  readonly id: string
  readonly technique: TechniqueId
  readonly name: string
  /** What its elements are called. */
  readonly called: string
  readonly paper: PaperId
  readonly format: FormatId
  readonly colour: string
  readonly cutting: Cutting
  readonly elements: readonly PlacedElement[]
  readonly seen: SeenSize
  readonly count: Working
  readonly spread: number
  /** Set as the cake is dressed, so that it travels on it. */
  readonly onTheCake: boolean
  readonly reach: Reach
  readonly classes: readonly PieceClass[]
  readonly pieces: Working
  readonly sheets: Working
  /** Every format of its paper, the one that takes the least paper first. */
  readonly formats: readonly FormatChoice[]
  readonly finishes: readonly FinishWork[]
  readonly figures: readonly Working[]
  /** What elements of each size are wired with, and how many of that size. */
  readonly wiring: readonly { readonly wiring: Wiring; readonly count: number }[]
  /** Mixtures it takes, besides colour. */
  readonly liquids: readonly MixtureUse[]
  readonly hands: Working
  /** Hands of each step, in their order. */
  readonly stepHands: readonly Working[]
  readonly place: Working
  readonly steps: readonly TimedStep[]
  readonly consumables: readonly string[]
  readonly cautions: readonly TechniqueCaution[]
  readonly failures: readonly Failure[]
  readonly removals: readonly {
    readonly id: string
    readonly name: string
    readonly count: number
    readonly stays: boolean
  }[]
  readonly contains: readonly Ingredient[]
  /** Why paper or finish must not be used, when they must not. */
  readonly unfit: string | null
}

type AnyTechnique = Technique<z.ZodObject, TechniqueId>

/** The technique of a decoration, its parameters loosened to what its own schema has checked. */
export const techniqueOf = (id: TechniqueId): AnyTechnique =>
  TECHNIQUES.find((each) => each.id === id) as unknown as AnyTechnique

/** Sizes are cut in steps, so that pieces of an element are alike. */
const SIZE_STEPS = 10
/** Kept free at a sheet's edge and between pieces, mm. */
const EDGE_MM = 5
const GAP_MM = 2
const PLACE_MIN = 2
const MM2_PER_DM2 = 10000

/** How large an element of size 1 of a decoration is seen. */
export const seenOf = ({ technique, parameters }: PaperDecoration): SeenSize => techniqueOf(technique).seen(parameters)

function layoutOf(decoration: PaperDecoration, ground: Ground): Layout {
  const technique = techniqueOf(decoration.technique)
  const { composition } = decoration
  if (technique.layOut && composition.kind === 'band')
    return keepingFree(technique.layOut(decoration.parameters, bandRoom(ground.stack, composition)), ground)
  return compositionOf(composition.kind).layOut(composition, ground)
}

/** How many boxes of a size lie on a sheet in rows, upright or turned. */
function boxesOnSheet(widthMm: number, heightMm: number, sheet: Format): number {
  const rows = (width: number, height: number): number =>
    Math.max(0, Math.floor((sheet.widthMm - 2 * EDGE_MM + GAP_MM) / (width + GAP_MM))) *
    Math.max(0, Math.floor((sheet.heightMm - 2 * EDGE_MM + GAP_MM) / (height + GAP_MM)))
  return Math.max(rows(widthMm, heightMm), rows(heightMm, widthMm))
}

const wallOf = (tier: StandingTier, on: PlacedElement['on']): Wall =>
  on === 'side'
    ? (angleDeg, heightMm, outMm) => offWall(tier, angleDeg, heightMm, outMm)
    : (angleDeg, heightMm, outMm) => [
        tier.middle.x + outMm * Math.sin((angleDeg * Math.PI) / 180),
        tier.middle.y - outMm * Math.cos((angleDeg * Math.PI) / 180),
        heightMm,
      ]

/** The wall that an element stands on. */
export const wallFor = (element: PlacedElement, stack: readonly StandingTier[]): Wall =>
  wallOf(stack[element.tier]!, element.on)

/** Which shade of a colour run an element has: 0 at the heart. */
const shadeOf = ({ away }: PlacedElement, { steps }: PaperDecoration['run']): number => Math.round(away * (steps - 1))

/** The colour of an element in its decoration's run, from the heart's to the tail's. */
export const colourOf = ({ colour, run }: Pick<PaperDecoration, 'colour' | 'run'>, element: PlacedElement): string =>
  run.steps === 1 ? colour : blend(colour, run.tail, shadeOf(element, run) / (run.steps - 1))

/** The sheet that is taken: the one asked for if the paper comes in it. */
function formatFor({ paper, format }: Pick<PaperDecoration, 'paper' | 'format'>): FormatId {
  const { formats } = paperOf(paper)
  return formats.includes(format) ? format : formats[0]!
}

/**
 * Elements that are cut alike, the biggest first: of one size, one shade and, where panels are cut to faces, one face.
 */
function alike(decoration: PaperDecoration, elements: readonly PlacedElement[]): readonly (readonly PlacedElement[])[] {
  const groups = new Map<string, PlacedElement[]>()
  for (const element of elements) {
    const { size, face, on } = element
    const key = [
      size,
      shadeOf(element, decoration.run),
      face ? `${on} ${Math.round(face.widthMm)} ${Math.round(face.heightMm)}` : '',
    ].join(' ')
    const group = groups.get(key)
    if (group) group.push(element)
    else groups.set(key, [element])
  }
  return [...groups.values()].sort(([one], [other]) => other!.size - one!.size || one!.away - other!.away)
}

/** Pieces by kind, size and shade, each with its spares. */
function classesOf(
  decoration: PaperDecoration,
  elements: readonly PlacedElement[],
  count: Working,
  { breakage, shrink }: LearnedOfTechnique,
): readonly PieceClass[] {
  const technique = techniqueOf(decoration.technique)
  const sheet = formatOf(formatFor(decoration))
  const seen = seenOf(decoration)
  const groups = alike(decoration, elements)
  return groups.flatMap((group) => {
    const [one] = group
    const { size, face } = one!
    return technique.pieces(decoration.parameters, size, one!, shrink).map((kind): PieceClass => {
      const ofSize =
        groups.length === 1
          ? count
          : derive(
              'elements of this size',
              'count',
              'size classes',
              'of {count}, those of this size and shade',
              { count },
              () => group.length,
            )
      const needed =
        kind.perElement === 1
          ? ofSize
          : derive(
              several(kind.name),
              'count',
              'pieces in an element',
              '{elements} × {each}',
              { elements: ofSize, each: found('in one', kind.perElement, 'count', 'by its technique') },
              (v) => v.elements * v.each,
            )
      const spares = derive(
        `spare ${several(kind.name)}`,
        'count',
        'spares',
        'round up( {needed} × {share} ), at least 1',
        { needed, share: sparesOf(technique.spareShare, breakage) },
        (v) => Math.max(1, Math.ceil(v.needed * v.share - 1e-9)),
      )
      return {
        holes: [],
        flaps: [],
        print: [],
        ...kind,
        needed,
        spares,
        colour: colourOf(decoration, one!),
        members: group.map(({ index }) => index),
        onSheet: boxesOnSheet(kind.width.value, kind.height.value, sheet),
        seenWidth: found('seen width', face?.widthMm ?? seen.widthMm * size, 'length', 'of the finished element'),
        seenHeight: found('seen height', face?.heightMm ?? seen.heightMm * size, 'length', 'of the finished element'),
      }
    })
  })
}

/** What a technique takes of each mixture, for all its pieces, spares too. */
function liquidsOf(
  { name, liquids = [] }: AnyTechnique,
  classes: readonly PieceClass[],
  pieces: Working,
): readonly MixtureUse[] {
  if (classes.length === 0) return []
  return liquids.map(({ mixture, per, ml }): MixtureUse => {
    const each = starting(per === 'dm2' ? 'for a dm²' : 'for a piece', ml, 'volume', 'guess')
    const label = `for ${name.toLowerCase()}`
    return {
      mixture,
      ml:
        per === 'dm2'
          ? derive(
              label,
              'volume',
              'a face wetted',
              '{area} × {each}',
              { area: extentOf(classes).area, each },
              (v) => v.area * v.each,
            )
          : derive(label, 'volume', 'a dot for each', '{pieces} × {each}', { pieces, each }, (v) => v.pieces * v.each),
    }
  })
}

/** How many elements of each size, the biggest first. */
function sizesOf(elements: readonly PlacedElement[]): readonly { readonly size: number; readonly count: number }[] {
  const counts = new Map<number, number>()
  elements.forEach(({ size }) => counts.set(size, (counts.get(size) ?? 0) + 1))
  return [...counts].map(([size, count]) => ({ size, count })).sort((one, other) => other.size - one.size)
}

/** Sheets for classes of pieces, with how they come about. */
function sheetsFor(classes: readonly PieceClass[]): Working {
  const shares = classes
    .filter(({ onSheet }) => onSheet > 0)
    .map(({ name, needed, spares, onSheet }) =>
      derive(
        `sheets of ${several(name)}`,
        'ratio',
        'boxes in rows',
        '( {needed} + {spares} ) ÷ {onSheet}',
        {
          needed,
          spares,
          onSheet: found('on a sheet', onSheet, 'count', 'counted in rows of boxes, with gaps and edges'),
        },
        (v) => (v.needed + v.spares) / v.onSheet,
      ),
    )
  const inputs = Object.fromEntries(shares.map((share, at) => [`class${at}`, share]))
  return derive(
    'sheets',
    'count',
    'boxes in rows',
    `round up( ${
      Object.keys(inputs)
        .map((name) => `{${name}}`)
        .join(' + ') || '0'
    } )`,
    inputs,
    (v) => Math.ceil(Object.values(v).reduce((sum, share) => sum + share, 0) - 1e-9),
  )
}

/** What every format of the paper would take, the least paper first. */
function formatChoices(paper: PaperId, classes: readonly PieceClass[]): readonly FormatChoice[] {
  return paperOf(paper)
    .formats.map((id): FormatChoice => {
      const sheet = formatOf(id)
      const shares = classes.map(({ width, height, needed, spares }) => ({
        pieces: needed.value + spares.value,
        onSheet: boxesOnSheet(width.value, height.value, sheet),
      }))
      const sheets =
        classes.length === 0 || shares.some(({ onSheet }) => onSheet === 0)
          ? null
          : Math.ceil(shares.reduce((sum, { pieces, onSheet }) => sum + pieces / onSheet, 0) - 1e-9)
      return {
        format: id,
        name: sheet.name,
        sheets,
        paperDm2: sheets === null ? null : (sheets * sheet.widthMm * sheet.heightMm) / MM2_PER_DM2,
      }
    })
    .sort((one, other) => (one.paperDm2 ?? Infinity) - (other.paperDm2 ?? Infinity))
}

/** One face of a piece, dm². */
export const faceDm2 = ({ outline, holes }: Pick<PieceClass, 'outline' | 'holes'>): number =>
  (Math.abs(outlineAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(outlineAreaMm2(hole)), 0)) /
  MM2_PER_DM2

/** Edge and face of all pieces, spares too, that a finish is counted by. */
function extentOf(classes: readonly PieceClass[]): FinishedExtent {
  const over = (label: string, kind: 'length' | 'area', each: string, of: (piece: PieceClass) => number): Working =>
    sumOf(
      label,
      kind,
      'pieces added up',
      classes.map((piece) =>
        derive(
          `${label} of ${several(piece.name)}`,
          kind,
          'pieces and spares',
          '( {needed} + {spares} ) × {each}',
          { needed: piece.needed, spares: piece.spares, each: found(each, of(piece), kind, 'of its outline') },
          (v) => (v.needed + v.spares) * v.each,
        ),
      ),
    )
  return {
    edge: over('cut edges', 'length', 'edge of one', ({ outline, holes }) =>
      [outline, ...holes].reduce((sum, each) => sum + outlineLengthMm(each), 0),
    ),
    area: over('faces', 'area', 'face of one', faceDm2),
  }
}

function unfitOf(technique: AnyTechnique, { paper, finishes }: PaperDecoration): string | null {
  if (!technique.papers.includes(paper))
    return technique.unfit[paper] ?? `${technique.name} is not made of ${paperOf(paper).name}.`
  const refused = finishes.find(({ finish }) => !technique.finishes.includes(finish))
  return refused ? `${technique.name} does not take “${finishOf(refused.finish).name.toLowerCase()}”.` : null
}

type PaperworkInputs = {
  readonly decoration: PaperDecoration
  readonly stack: readonly StandingTier[]
  readonly free: readonly Patch[]
  readonly mostTopMm: number | null
  readonly laid: Layout | null
  readonly learned: LearnedOfTechnique
}

/** What trials say of a technique: how long its steps take, how many of its pieces break, how paper shrinks. */
export type LearnedOfTechnique = {
  readonly hands: Learned['hands']
  readonly breakage: Breakage | null
  readonly shrink: Learned['shrink']
}

/**
 * What a studio has learned of one technique, and nothing else, so that what it has learned of others changes nothing
 * here.
 */
export function learnedOf({ hands, breakage, shrink }: Learned, technique: TechniqueId): LearnedOfTechnique {
  const steps = techniqueOf(technique).steps.map(({ id }) => stepKey(technique, id))
  return {
    hands: Object.fromEntries(Object.entries(hands).filter(([step]) => steps.includes(step))),
    breakage: breakage[technique] ?? null,
    shrink: { ...(shrink.damp && { damp: shrink.damp }), ...(shrink.pan && { pan: shrink.pan }) },
  }
}

/** What a step of a technique is called in the ledger. */
export const stepKey = (technique: string, step: string): string => `${technique} ${step}`

/** The share of spares: what breaks by the ledger, or what the technique begins with. */
export const sparesOf = (began: Working, breakage: Breakage | null): Working =>
  breakage
    ? found(
        'what breaks',
        breakage.share,
        'share',
        `learned from ${breakage.pieces} pieces in ${breakage.runs} of your runs`,
      )
    : began

/** Everything that follows from a decoration on a cake. @param laid where a bouquet holds its elements, if one does */
export function paperworkStage({ decoration, stack, free, mostTopMm, laid, learned }: PaperworkInputs): Paperwork {
  const technique = techniqueOf(decoration.technique)
  const seen = seenOf(decoration)
  const layout = laid ?? withByHand(layoutOf(decoration, { stack, seen, free, mostTopMm }), decoration.byHand, stack)
  const elements = layout.elements.map((element) => ({
    ...element,
    size: Math.max(1, Math.round(element.size * SIZE_STEPS)) / SIZE_STEPS,
  }))
  const count = { ...layout.count, label: technique.elements }
  const classes = elements.length > 0 ? classesOf(decoration, elements, count, learned) : []
  const pieces = sumOf(
    'pieces to cut',
    'count',
    'pieces and spares',
    classes.flatMap(({ needed, spares }) => [needed, spares]),
  )
  const finishing = decoration.finishes.map((each) => ({ ...each, definition: finishOf(each.finish) }))
  const extent = finishing.length > 0 && classes.length > 0 ? extentOf(classes) : null
  const steps: readonly TimedStep[] = [
    ...technique.steps,
    ...finishing.map(({ definition: { id, step, perElementMin } }) => ({
      id,
      ...step,
      perPieceMin: 0,
      perElementMin,
      fixedMin: 3,
      waitMin: 0,
    })),
  ]
  const minutes = steps.map((step) => {
    const usual = derive(
      step.name.toLowerCase(),
      'duration',
      'hands-on time',
      '{pieces} × {perPiece} + {elements} × {perElement} + {fixed}',
      {
        pieces,
        perPiece: starting('for a piece', step.perPieceMin, 'duration', 'guess'),
        elements: count,
        perElement: starting('for an element', step.perElementMin, 'duration', 'guess'),
        fixed: starting('to begin', step.fixedMin, 'duration', 'guess'),
      },
      (v) => (elements.length === 0 ? 0 : v.pieces * v.perPiece + v.elements * v.perElement + v.fixed),
    )
    const own = learned.hands[stepKey(technique.id, step.id)]
    return own ? asTimed(usual, own) : usual
  })
  const onTheCake = technique.layOut !== undefined
  return {
    id: decoration.id,
    technique: technique.id,
    name: technique.name,
    called: technique.elements,
    paper: decoration.paper,
    format: formatFor(decoration),
    colour: decoration.colour,
    cutting: decoration.cutting,
    elements,
    seen,
    count,
    spread: spreadOf(count),
    onTheCake,
    reach: laid
      ? reachOfPosed(elements, seen, technique.gathers?.kind === 'bloom')
      : reachOf(
          meshesOf(decoration, elements, stack).flatMap(({ faces, lines }) =>
            [...faces, ...lines].map(({ points }) => points),
          ),
        ),
    classes,
    pieces,
    sheets: sheetsFor(classes),
    formats: formatChoices(decoration.paper, classes),
    finishes: extent
      ? finishing.map(({ finish, colour, share, definition }) => ({
          id: finish,
          name: definition.name,
          colour,
          amount: definition.amount({ colour, share }, extent),
        }))
      : [],
    figures: elements.length > 0 ? (technique.figures?.(decoration.parameters, count) ?? []) : [],
    liquids: liquidsOf(technique, classes, pieces),
    wiring: technique.wiring
      ? sizesOf(elements).map(({ size, count: many }) => ({
          wiring: technique.wiring!(decoration.parameters, size),
          count: many,
        }))
      : [],
    hands: sumOf(`make: ${technique.name.toLowerCase()}`, 'duration', 'steps added up', minutes),
    stepHands: minutes,
    place: onTheCake
      ? found('placing', 0, 'duration', 'part of its steps')
      : derive(
          'placing',
          'duration',
          'hands-on time',
          '{elements} × {each}',
          { elements: count, each: starting('to place one', PLACE_MIN, 'duration', 'guess') },
          (v) => v.elements * v.each,
        ),
    steps,
    failures: technique.failures,
    contains: technique.contains ?? [],
    consumables: [...technique.consumables, ...finishing.flatMap(({ definition }) => definition.consumables)],
    cautions: [
      ...technique.cautions,
      ...finishing.map(({ definition: { id, caution } }): TechniqueCaution => ({ id, at: id, say: caution })),
    ],
    removals: removalsOf(technique, decoration.parameters, elements),
    unfit: unfitOf(technique, decoration),
  }
}

/** What holds all elements, added up by thing: smaller ones may take fewer. */
function removalsOf(
  technique: AnyTechnique,
  parameters: PaperDecoration['parameters'],
  elements: readonly PlacedElement[],
): Paperwork['removals'] {
  const countOf = (id: string): number =>
    elements.reduce(
      (sum, { size }) =>
        sum +
        technique
          .holdingParts(parameters, size)
          .filter((part) => part.id === id)
          .reduce((all, { perElement }) => all + perElement, 0),
      0,
    )
  return technique
    .holdingParts(parameters)
    .map(({ id, name, stays = false }) => ({ id, name, count: countOf(id), stays }))
}

/**
 * How far what a bouquet holds reaches: a ball round each bloom, a rod along each spray. Quicker than drawing them,
 * and never less.
 */
function reachOfPosed(elements: readonly PlacedElement[], { widthMm, heightMm }: SeenSize, isBloom: boolean): Reach {
  return reachOf(
    elements.flatMap(({ pose, size }) => {
      if (!pose) return []
      const [girth, long] = [(widthMm * size) / 2, isBloom ? (widthMm * size) / 2 : heightMm * size]
      const tip = add(pose.at, scale(pose.axis, long))
      return [pose.at, tip].map((end): readonly Point3[] => [
        add(end, [-girth, -girth, -girth]),
        add(end, [girth, girth, isBloom ? girth : girth / 2]),
      ])
    }),
  )
}

/**
 * The elements of a decoration as they are drawn, their finishes on. Worked out where it is shown: it is much to hand
 * over, and follows from decoration and elements alone.
 */
export const meshesOf = (
  decoration: PaperDecoration,
  elements: readonly PlacedElement[],
  stack: readonly StandingTier[],
): readonly Mesh[] =>
  elements.map((element) =>
    finished(
      techniqueOf(decoration.technique).draw(decoration.parameters, element, wallFor(element, stack)),
      decoration.finishes,
      colourOf(decoration, element),
      element.seed,
    ),
  )
