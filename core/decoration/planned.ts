/** What follows from a decoration: its elements on the cake, the pieces they take, finishes, mixtures, hours. */
import type { StandingTier } from '../cake'
import { askedFor, laidOut, type Decoration, type LyingOn } from '../commission'
import { compositionOf, footShare, spreadOf, withByHand, type Patch, type Standing } from '../compose'
import type { Breakage, Learned } from '../learn'
import type { Ingredient, StockShape } from '../material'
import { several, sumOf, type Working } from '../quantity'
import {
  finishOf,
  techniqueOf,
  type Cast,
  type Failure,
  type FinishId,
  type Glued,
  type Layout,
  type Means,
  type PlacedElement,
  type SecondColour,
  type SeenSize,
  type Step,
  type TechniqueCaution,
  type TechniqueId,
  type Wiring,
} from '../technique'
import { fewerOf, sized, type Fewer } from './sized'
import { handsAt, PLACING, stepKey, type TypedMinutes } from './labour'
import { extentOf, wholesOf } from './extent'
import { coloursOf, piecesOf, type PieceClass } from './pieces'
import { reachOfDrawn, reachOfPosed, type Reach } from './reach'
import { sizeChoices, type ShapeChoice } from './sizeChoices'
import { gluingsOf, setMinOf, type Gluing } from './gluing'
import {
  benchSteps,
  finishesAt,
  removalsOf,
  settingStep,
  treatedAs,
  unfitOf,
  usedBy,
  wiringOf,
  type Removal,
  type Used,
} from './takes'

/** A finish on all elements of a decoration, the step at which it is put on, and what it takes. */
type FinishWork = {
  readonly id: FinishId
  readonly step: string
  readonly name: string
  readonly colour: string
  readonly amount: Working
}

/** A decoration worked out. */
export type PlannedDecoration = Pick<
  Decoration,
  'id' | 'technique' | 'paper' | 'colour' | 'cutting' | 'colouring' | 'drying'
> & {
  readonly name: string
  /** What one of its elements is called, and several of them. */
  readonly one: string
  readonly called: string
  /** What it may be cut from, at least one, and how thick that is. */
  readonly shapes: readonly StockShape[]
  readonly thicknessMm: number
  readonly elements: readonly PlacedElement[]
  readonly seen: SeenSize
  readonly count: Working
  /** How many were asked for and how many found a place, where fewer did, and what would let all of them. */
  readonly fewer: Fewer | null
  readonly spread: number
  /** When it is glued on, for a skin, which travels on the cake; none for what is placed. */
  readonly skin: Glued | null
  readonly reach: Reach
  readonly classes: readonly PieceClass[]
  readonly pieces: Working
  /** Pieces as they are handled: those of several plies are one. */
  readonly wholes: Working
  /** Usual sizes of its paper, the one that takes the least paper first. */
  readonly sizes: readonly ShapeChoice[]
  /** Elements that stay lower than wished because no sheet is large enough, and by how much at most, mm. */
  readonly short: { readonly count: number; readonly byMm: number }
  readonly finishes: readonly FinishWork[]
  readonly figures: readonly Working[]
  /** What is done to whole sheets before anything is cut from them; such sheets are no other's. Empty where nothing is. */
  readonly treated: string
  /** What elements of each size are wired with, and how many of that size. */
  readonly wiring: readonly { readonly wiring: Wiring; readonly count: number }[]
  /** What is cast from slurry, and how many of each colour; none for what is cut. */
  readonly cast: (Cast & { readonly colours: readonly { readonly colour: string; readonly count: number }[] }) | null
  /** How long a piece is against its length when it was coloured. */
  readonly grows: number
  /** A second colour that is put on at one of its steps. */
  readonly second: SecondColour | null
  /** With what it is fixed on each covering. */
  readonly gluings: readonly Gluing[]
  /** What is used up for it, besides paper, colour, mixtures and glue. */
  readonly used: readonly Used[]
  /** What is needed for it and kept. */
  readonly tools: readonly string[]
  /** Steps at the bench in their order, then the one that sets it on the cake. */
  readonly steps: readonly Step[]
  readonly setting: Step
  /** Hands for setting it on the cake. */
  readonly place: Working
  readonly cautions: readonly TechniqueCaution[]
  readonly failures: readonly Failure[]
  readonly removals: readonly Removal[]
  readonly contains: readonly Ingredient[]
  /** Why paper or finish must not be used, when they must not. */
  readonly unfit: string | null
}

/** What trials say of a technique: how long its steps take, how many of its pieces break, how paper shrinks. */
type LearnedOfTechnique = {
  readonly hands: Learned['hands']
  readonly breakage: Breakage | null
  readonly shrink: Learned['shrink']
}

/** What a studio has learned of one technique, so that what it has learned of others changes nothing here. */
export function learnedOf({ hands, breakage, shrink }: Learned, technique: TechniqueId): LearnedOfTechnique {
  const { steps } = techniqueOf(technique)
  const keys = [...steps.map(({ id }) => id), PLACING].map((step) => stepKey(technique, step))
  const ways = steps.some(({ soaks }) => soaks) ? (['mat', 'oven'] as const) : (['damp', 'pan'] as const)
  return {
    hands: Object.fromEntries(Object.entries(hands).filter(([step]) => keys.includes(step))),
    breakage: breakage[technique] ?? null,
    shrink: Object.fromEntries(ways.flatMap((way) => (shrink[way] ? [[way, shrink[way]]] : []))),
  }
}

/** What stands before a decoration, as it sees it; everything when none is named. */
export function standingBefore(
  decorations: readonly Pick<PlannedDecoration, 'id' | 'elements' | 'seen' | 'skin'>[],
  id?: string,
): readonly Standing[] {
  const at = decorations.findIndex((each) => each.id === id)
  return decorations
    .slice(0, at === -1 ? undefined : at)
    .map(({ elements, seen, skin }) => ({ elements, seen, isSkin: skin !== null }))
}

/** How large an element of size 1 of a decoration is seen. */
export const seenOf = (
  { technique, parameters }: Pick<Decoration, 'technique' | 'parameters'>,
  means?: Means,
): SeenSize => techniqueOf(technique).seen(parameters, means)

/** What else a decoration is reckoned by: its technique's own figures, how wide feet may be that share a rim. */
function figuresFor(
  decoration: Decoration,
  /** None where a bouquet holds it. */
  stack: readonly StandingTier[] | null,
  seen: SeenSize,
  count: Working,
): readonly Working[] {
  const { composition } = decoration
  const many = askedFor(decoration) ?? 1
  const share = stack && composition.kind === 'crown' && seen.standsMm ? footShare(composition, stack, many) : null
  const own = techniqueOf(decoration.technique).figures?.(decoration.parameters, count) ?? []
  return share ? [...own, share] : own
}

export type DecorationInputs = {
  readonly decoration: Decoration
  /** What it is called beside the others. */
  readonly name: string
  readonly stack: readonly StandingTier[]
  readonly free: readonly Patch[]
  /** How high it may reach above the board; none when it does not travel on the cake. */
  readonly mostTopMm: number | null
  /** What a client wants left out. */
  readonly unwanted: readonly Ingredient[]
  /** Where a bouquet holds its elements, if one does. */
  readonly laid: Layout | null
  readonly shapes: readonly StockShape[]
  readonly thicknessMm: number
  /** The punches there are, mm across, where it is punched. */
  readonly punchesMm: readonly number[]
  readonly stepMinutes: TypedMinutes
  readonly learned: LearnedOfTechnique
}

/** Everything that follows from a decoration on a cake. */
export function plannedDecoration(inputs: DecorationInputs): PlannedDecoration {
  const { decoration, name, stack, free, mostTopMm, laid, shapes, thicknessMm, stepMinutes, learned } = inputs
  const on: LyingOn = { stack, free, mostTopMm }
  const { id, paper, colour, cutting, colouring, drying } = decoration
  const technique = techniqueOf(decoration.technique)
  const means: Means = { shrink: learned.shrink, drying: decoration.drying.way, shapes }
  const seen = seenOf(decoration, means)
  const own = laid ?? laidOut(decoration, on, means)
  const layout = laid ?? withByHand(own, decoration.byHand, stack)
  const elements = sized(technique, layout, decoration, means, inputs.punchesMm)
  const count = { ...layout.count, label: several(technique.element) }
  const classes = elements.length > 0 ? piecesOf(decoration, elements, count, seen, means, learned.breakage) : []
  const pieces = sumOf(
    'pieces to cut',
    'count',
    'pieces and spares',
    classes.flatMap(({ needed, spares }) => [needed, spares]),
  )
  const wholes = wholesOf(classes, pieces)
  const cast =
    technique.cast && elements.length > 0
      ? { ...technique.cast(decoration.parameters, count), colours: coloursOf(elements, colour) }
      : null
  const put = finishesAt(decoration.finishes)
  const finishing = decoration.finishes.map((each, at) => ({
    ...each,
    step: put[at]!.step,
    definition: finishOf(each.finish),
  }))
  const extent = finishing.length > 0 && classes.length > 0 ? extentOf(classes) : null
  const gluings = gluingsOf(technique, decoration, elements, classes, stack, inputs.unwanted)
  const setting = settingStep(technique, setMinOf(gluings))
  const { isCounted: byKind } = compositionOf(decoration.composition.kind)
  const isCounted = !laid && (technique.isCounted ?? byKind ?? askedFor(decoration) !== null)
  const short = elements.flatMap(({ fitted }) => (fitted && fitted.shortMm > 0.5 ? [fitted.shortMm] : []))
  return {
    ...{ id, paper, colour, cutting, colouring, drying, technique: technique.id },
    name,
    one: technique.element,
    called: several(technique.element),
    shapes,
    thicknessMm,
    elements,
    seen,
    count,
    fewer: laid ? null : fewerOf(decoration, own, on, means),
    spread: isCounted ? 0 : spreadOf(count),
    skin: technique.skin ? decoration.glued : null,
    reach: laid
      ? reachOfPosed(elements, seen, technique.gathers?.kind === 'bloom')
      : reachOfDrawn(decoration, elements, stack),
    classes,
    pieces,
    wholes,
    sizes: sizeChoices(paper, classes),
    short: { count: short.length, byMm: Math.max(0, ...short) },
    finishes: extent
      ? finishing.map(({ finish, step, colour: own, share, definition }) => ({
          id: finish,
          step,
          name: definition.name,
          colour: own,
          amount: definition.amount({ colour: own, share }, extent),
        }))
      : [],
    figures: elements.length === 0 ? [] : figuresFor(decoration, laid ? null : stack, seen, count),
    treated: treatedAs(technique, decoration),
    cast,
    grows: technique.grows?.(decoration.parameters, means) ?? 1,
    second: technique.secondColour?.(decoration.parameters) ?? null,
    gluings,
    used: usedBy(technique, put, count, wholes, extent),
    tools: technique.tools ?? [],
    wiring: wiringOf(technique, decoration.parameters, elements, stack),
    steps: benchSteps(technique, decoration),
    setting,
    place: handsAt(setting, technique.id, wholes, count, stepMinutes, learned.hands, null),
    failures: technique.failures,
    contains: technique.contains ?? [],
    cautions: [
      ...technique.cautions,
      ...finishing.map(({ definition, step }): TechniqueCaution => ({
        id: step,
        at: step,
        say: definition.caution,
      })),
    ],
    removals: removalsOf(technique, decoration.parameters, elements),
    unfit: unfitOf(technique, decoration),
  }
}
