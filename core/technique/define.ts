import type { z } from 'zod'
import type { FlatSide } from '../cake'
import type { DryingWay } from '../dry'
import type { Outline, Point3 } from '../geometry'
import type { Learned } from '../learn'
import type { GlueId, Ingredient, PaperId, StockShape } from '../material'
import type { Working } from '../quantity'
import type { FinishId } from './finish'
import type { Assembly } from './assembly'
import type { Colouring } from '../tint'
import type { FamilyId } from './family'
import type { Portion } from './film/portion'
import type { Fixing, LiquidUse, SupplyUse } from './liquid'
import type { Glued, Step } from './step'
import type { Mesh } from './mesh'
import type { Wiring } from './wiring'

/** Something that can hurt a person or spoil food at a step. */
export type TechniqueCaution = { readonly id: string; readonly at: string; readonly say: string }

/** What is seen when it went wrong, why, and what to do next time. */
export type Failure = { readonly seen: string; readonly because: string; readonly next: string }

/**
 * A thing used that is not food and must be counted in and out: before the cake leaves the bench, or before it is cut
 * when it stays in until then.
 */
export type HoldingPart = {
  readonly id: string
  readonly name: string
  readonly perElement: number
  readonly stays?: true
}

/**
 * One element in its place on a tier's side or on what is free of its top: degrees round the tier's middle from the
 * front, its size as a share of the biggest.
 * `heightMm` is where its foot is, above the board; `outMm` how far that is from the tier's middle, on a top.
 * `spanDeg` is how far it reaches along the edge, for what runs round;
 * `rollDeg` how far it is rolled out of the upright; `row` counts rows from the top; `away` runs from 0 at the
 * composition's heart to 1 at its tail.
 */
export type PlacedElement = {
  readonly index: number
  readonly tier: number
  readonly on: 'side' | 'top'
  readonly angleDeg: number
  readonly spanDeg: number
  readonly heightMm: number
  readonly outMm: number
  readonly size: number
  readonly rollDeg: number
  readonly row: number
  readonly away: number
  readonly mirrored: boolean
  /** What it covers, for a panel or sheet cut to its place. */
  readonly face?: { readonly widthMm: number; readonly heightMm: number } | undefined
  /**
   * Where it is, along which way it looks or grows, and to which side a spray shows its face, when a bouquet holds it
   * clear of the cake.
   */
  readonly pose?: { readonly at: Point3; readonly axis: Point3; readonly face: Point3 } | undefined
  /** The portion of a disc it was told to be, by hand. */
  readonly cut?: Sector | undefined
  /** What it comes to, for what is sized by the sheets there are. */
  readonly fitted?: Fitted | undefined
  readonly seed: number
}

/** A sector of a disc: how much of it, and how wide the disc is. */
export type Sector = { readonly portion: Portion; readonly discMm: number }

/** An element sized by the sheets there are: the sector it takes, what is seen of it, and how much lower it stays than wished. */
export type Fitted = Sector & SeenSize & { readonly shortMm: number }

/**
 * How large an element of size 1 is seen, mm. `footWidthMm` is the part of its width that is the same for every size;
 * `standsMm` how wide its foot is on a top or a ledge, where it is gathered to less than what is seen.
 */
export type SeenSize = {
  readonly widthMm: number
  readonly heightMm: number
  readonly footWidthMm?: number
  readonly standsMm?: number
}

/** How wide the foot of an element of a size is on a top or a ledge, mm. */
export const standsAt = ({ widthMm, standsMm }: SeenSize, size: number): number => standsMm ?? widthMm * size

/** How wide an element of a size is seen, mm. */
export const seenWidthAt = ({ widthMm, footWidthMm = 0 }: SeenSize, size: number): number =>
  footWidthMm + (widthMm - footWidthMm) * size

/** What an element is seen as, where it is placed. */
export const seenAs = (
  { fitted, face, size }: Pick<PlacedElement, 'fitted' | 'face' | 'size'>,
  seen: SeenSize,
): SeenSize => fitted ?? face ?? { widthMm: seenWidthAt(seen, size), heightMm: seen.heightMm * size }

/** What pieces are cut from and how they dry: what sizing needs to know besides parameters. */
export type Means = {
  readonly shrink: Learned['shrink']
  readonly drying: DryingWay
  readonly shapes: readonly StockShape[]
}

/**
 * Room that a composition leaves a technique on one tier: how long round, how high, and where; and the tier's flat
 * faces, none on a round one.
 */
export type BandRoom = {
  readonly tier: number
  readonly fromDeg: number
  readonly spanDeg: number
  readonly footMm: number
  readonly topMm: number
  readonly length: Working
  readonly height: Working
  readonly faces: readonly FlatSide[]
  readonly seed: number
  readonly irregularity: number
}

/** Lace cast in a pan: its area with spares, the slurry for it, how often the pan is filled. */
export type Cast = { readonly area: Working; readonly slurry: Working; readonly pours: Working }

/** A second colour: which, over how much of one face, at which step. */
export type SecondColour = { readonly colour: string; readonly share: number; readonly at: string }

/** Ways of arranging that techniques can be placed by. */
export type CompositionKind = 'band' | 'sweep' | 'cluster' | 'crown' | 'scatter' | 'pair' | 'single'

/** Elements as they were laid out, with how many and why. */
export type Layout = { readonly elements: readonly PlacedElement[]; readonly count: Working }

/**
 * Flat pieces that an element takes: their outline as cut, at true size, what is cut out of it, where it is folded and
 * glued, which face shows.
 */
export type PieceKind = {
  readonly name: string
  readonly outline: Outline
  readonly holes?: readonly Outline[]
  readonly folds: readonly Outline[]
  /** Parts that are glued under a neighbour. */
  readonly flaps?: readonly Outline[]
  /** Strokes printed or painted on it before it is cut. */
  readonly print?: readonly Outline[]
  readonly face: string
  readonly width: Working
  readonly height: Working
  /** How many of them an element takes; at least, where no two are alike and `mostPerElement` says how many at most. */
  readonly perElement: number
  readonly mostPerElement?: number
  /** The sector of a disc it is, for what is cut in portions. */
  readonly sector?: Sector
  /** Sheets laid on one another for one such piece; its spares are whole pieces. */
  readonly plies?: number
  /** Cut straight along a ruler, or torn along one: such pieces lie edge to edge; torn ones begin at the very edge. */
  readonly edge?: 'ruler' | 'torn'
  /** A petal, whose shape the petal editor draws. */
  readonly isPetal?: true
  /** Room it takes on what it dries on, when that is not its outline's, mm. */
  readonly lying?: { readonly widthMm: number; readonly heightMm: number }
}

/** A point of the tier's side, so far off its wall. */
export type Wall = (angleDeg: number, heightMm: number, outMm: number) => Point3

/** Heat that paper is worked with. */
export type Heat = 'pan' | 'oil' | 'steam'

/** Why a paper must not be used. */
type Unfit = Readonly<Partial<Record<PaperId, string>>>

/**
 * A technique: one way of making elements out of edible paper. To add one, write its file and list it in `index.ts`;
 * its form, drawing, piece list, steps, hours and cautions follow from what is declared here.
 */
export type Technique<Parameters extends z.ZodObject, Id extends string = string> = {
  readonly id: Id
  readonly name: string
  /** What one of its elements is called. */
  readonly element: string
  /** Among what it is looked for, and by which other words. */
  readonly family: FamilyId
  readonly alsoCalled: readonly string[]
  /** What it is, in a sentence, for choosing it. */
  readonly say: string
  /** Papers it runs on, the best first, why that one, and why not the others. */
  readonly papers: readonly PaperId[]
  readonly whyPaper: string
  readonly unfit: Unfit
  /** Ways it is arranged, the usual one first. */
  readonly compositions: readonly CompositionKind[]
  /**
   * How it stands in a bouquet, for what can be gathered into one: showing its round face, or running out along its
   * stem, so thick as a share of its width.
   */
  readonly gathers?: { readonly kind: 'bloom' } | { readonly kind: 'spray'; readonly girth: number }
  /** What may be done to it before it is cut or when it is dry. */
  readonly finishes: readonly FinishId[]
  readonly parameters: Parameters
  readonly startingParameters: z.infer<Parameters>
  /** Parameters it begins with on a tier so wide, where its size follows the tier. */
  readonly sizeFor?: (acrossMm: number, heightMm: number) => Partial<z.infer<Parameters>>
  /** The parameters that say how large its biggest element is, the one that tells its size first. */
  readonly sizedBy?: readonly (keyof z.infer<Parameters> & string)[]
  /** It begins on a whole tier, from foot to top. */
  readonly wholeTier?: true
  /** As many as its rule says, no more and no fewer, for what fills a band by one. */
  readonly isCounted?: true
  /** How wide the circle of an element of size 1 is cut, mm, for what is punched. */
  readonly punchMm?: (parameters: z.infer<Parameters>) => number
  readonly startingColour: string
  /** Its run of shades goes up each piece, the heart's at the foot, instead of from piece to piece. */
  readonly fadesUp?: true
  /** The colour at the tail of the run of shades it begins with; of one colour when it is not said. */
  readonly startingTail?: string
  readonly spareShare: Working
  /** How large an element of size 1 is seen, mm. */
  readonly seen: (parameters: z.infer<Parameters>, means?: Means) => SeenSize
  /** Elements sized by the sheets there are, for what takes portions of discs. */
  readonly fit?: (
    parameters: z.infer<Parameters>,
    elements: readonly PlacedElement[],
    means: Means,
  ) => readonly PlacedElement[]
  /** For what fills a band by its own rule, such as rows of strips; otherwise elements are spread along it. */
  readonly layOut?: (parameters: z.infer<Parameters>, room: BandRoom, means?: Means) => Layout
  /** What is cast from slurry instead of cut: how much for so many, spares in. */
  readonly cast?: (parameters: z.infer<Parameters>, count: Working) => Cast
  /** Pieces of an element of a size; `element` is one of those that are alike, for what is cut to its place. */
  readonly pieces: (
    parameters: z.infer<Parameters>,
    size: number,
    element?: PlacedElement,
    means?: Means,
  ) => readonly PieceKind[]
  /** What else the technique is reckoned by, such as pours of a pan. */
  readonly figures?: (parameters: z.infer<Parameters>, count: Working) => readonly Working[]
  /** What an element of a size is wired with, for what stands on wires. */
  readonly wiring?: (parameters: z.infer<Parameters>, size: number) => Wiring | null
  /** In which order an element of the biggest size is put together, for what is put together. */
  readonly assembly?: (parameters: z.infer<Parameters>) => Assembly
  /** Ways it may dry, the usual one first; what is damped in the room, before a fan or in a dry room where none is said. */
  readonly dries?: readonly DryingWay[]
  /** So many sheets at once are cut or torn at first, where that is not the usual two. */
  readonly startingPlies?: number
  /** How long a piece is against its length when it was coloured, where pan or oil change that. */
  readonly grows?: (parameters: z.infer<Parameters>, means?: Means) => number
  /** A second colour put on at one of its steps, and over how much of a face. */
  readonly secondColour?: (parameters: z.infer<Parameters>) => SecondColour | null
  /** What it is usually finished with. */
  readonly startingFinish?: { readonly finish: FinishId; readonly colour: string; readonly share: number }
  /** Cut in portions of discs unless it is told otherwise. */
  readonly fromDiscs?: true
  /** What its colour is usually thinned with, where it is made with that anyway. */
  readonly startingCarrier?: Colouring['carrier']
  /** On how many faces it is usually coloured, where both are seen. */
  readonly startingFaces?: 2
  /** How it is usually coloured, when that does not follow from paper and heat. */
  readonly startingColouring?: Colouring['way']
  /** When it is usually glued on, for a skin. */
  readonly skin?: Glued
  /** Minutes to place one, unless as most. */
  readonly placeMin?: number
  /** What heat it is worked with: hot pan, hot oil, steam. */
  readonly heat?: Heat
  /** Stands by its own stiffness, so that paper made supple would sink. */
  readonly stands?: true
  /** What a client may not want in it. */
  readonly contains?: readonly Ingredient[]
  readonly steps: readonly Step[]
  /** Mixtures it is worked with, besides colour. */
  readonly liquids?: readonly LiquidUse[]
  /** What else is used up. */
  readonly supplies?: readonly SupplyUse[]
  /** What is needed and kept: moulds, foam, a former. */
  readonly tools?: readonly string[]
  /** How elements are fixed on the cake, and what they are best fixed with where the covering allows it. */
  readonly fixed: (parameters: z.infer<Parameters>) => Fixing
  readonly gluedWith?: readonly GlueId[]
  readonly cautions: readonly TechniqueCaution[]
  readonly failures: readonly Failure[]
  /** What holds an element of a size. */
  readonly holdingParts: (parameters: z.infer<Parameters>, size?: number) => readonly HoldingPart[]
  readonly draw: (parameters: z.infer<Parameters>, element: PlacedElement, wall: Wall) => Mesh
}

/** Declares a technique; the types of its parameters flow from its schema into every rule. */
export const defineTechnique = <Parameters extends z.ZodObject, const Id extends string>(
  technique: Technique<Parameters, Id>,
): Technique<Parameters, Id> => technique
