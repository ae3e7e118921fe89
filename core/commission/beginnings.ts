import { leastReach, stackTiers, startingCake, type Cake, type Tier } from '../cake'
import {
  compositionOf,
  freePatches,
  startingBouquet,
  untouched,
  type Bouquet,
  type BouquetRole,
  type Composition,
  type Quiet,
  type Standing,
} from '../compose'
import { STARTING_CUTTING } from '../cut'
import { freshBench } from '../ledger'
import { paperOf, type PaperId } from '../material'
import { dayOf, MINUTES_PER_DAY, momentText, type Moment } from '../quantity'
import { techniqueOf, waysToDry, type AnyTechnique, type CompositionKind, type TechniqueId } from '../technique'
import { STARTING_COLOURING, type Colouring } from '../tint'
import type { Commission, Decoration } from './commission'
import { askedFor, laidOut } from './laidOut'
import { waysToFit } from './waysToFit'

/** Colours that a new commission offers until the client's own are named. */
export const STARTING_PALETTE: Commission['palette'] = [
  { name: 'persimmon', colour: '#d9572b', role: 'main' },
  { name: 'brick', colour: '#a8432e', role: 'accent' },
  { name: 'cream', colour: '#f3dfc2', role: 'ground' },
  { name: 'ink blue', colour: '#343a63', role: 'accent' },
  { name: 'lichen', colour: '#93a06b', role: 'foliage' },
]

/** The tray that is dipped in, before another is typed. */
export const STARTING_TRAY = { lengthMm: 240, widthMm: 240, depthMm: 8 } as const

/** What a brief begins with besides its name and hour. */
export const STARTING_BRIEF = {
  occasion: '',
  stops: [],
  workroom: { airC: 21, humidity: 0.5 },
  venue: { airC: 21, humidity: 0.5 },
  transport: { airC: 21, humidity: 0.5, coolCar: false },
  keeping: 'roomTemperature',
  limits: { noGelatine: false, noDairy: false, noAlcohol: false, noColours: [] },
  venueUnits: null,
  portions: 0,
  notes: '',
  photos: [],
} satisfies Partial<Commission['brief']>

/** Room in the box beside the board and over the cake, for what will stand out from it, mm. */
const BOX_WIDER_MM = 50
const BOX_HIGHER_MM = 168

/** A commission to fill: a cake, nothing on it, a box that it will fit into. One round tier where nothing is said. */
export function newCommission(id: string, now: Moment, cake: Cake = startingCake(1, 'round')): Commission {
  const { board, tiers } = cake
  const acrossMm = board.acrossMm + BOX_WIDER_MM
  const highMm = tiers.reduce((sum, { heightMm }) => sum + heightMm, board.thicknessMm) + BOX_HIGHER_MM
  return {
    id,
    brief: {
      ...STARTING_BRIEF,
      name: 'New commission',
      eventAt: momentText(dayOf(now) + 14 * MINUTES_PER_DAY + 15 * 60),
      driveMin: 30,
      completion: 'beforeDriving',
      venueOpensMin: 12 * 60,
      box: { widthMm: acrossMm, depthMm: acrossMm, heightMm: highMm },
    },
    palette: STARTING_PALETTE,
    options: [
      {
        id: 'a',
        name: 'Option A',
        cake,
        decorations: [],
        bouquets: [],
        accents: [],
        keptSheets: [],
        ownPieces: [],
        tray: { ...STARTING_TRAY },
        pins: {},
        tiersApart: 0,
      },
    ],
    chosen: 'a',
    bench: freshBench(),
  }
}

const STARTING_SEED = 11

/** Nothing is kept free until the user asks for it, but loose elements keep off what lies there. */
const startingQuiet = (kind: CompositionKind): Quiet => ({
  others: kind === 'scatter' || kind === 'cluster',
  seams: false,
  back: false,
  places: [],
})

/** A composition to begin with, for a technique on these tiers. */
export function startingComposition(
  kind: CompositionKind,
  technique: TechniqueId,
  parameters: Readonly<Record<string, unknown>>,
  tiers: readonly { readonly heightMm: number }[],
  seed = STARTING_SEED,
): Composition {
  const definition = techniqueOf(technique)
  return compositionOf(kind).starting({
    tiers,
    seen: definition.seen(parameters),
    fillsRows: definition.layOut !== undefined,
    wholeTier: definition.wholeTier,
    seed,
  })
}

/**
 * How a decoration is usually coloured: stirred into slurry, in oil for hot oil, dipped for the pan and where film is
 * soaked anyway, else brushed.
 */
export function startingColouring(
  {
    heat,
    startingFaces,
    startingCarrier,
    startingColouring: way,
  }: Pick<AnyTechnique, 'heat' | 'startingColouring' | 'startingFaces' | 'startingCarrier'>,
  paper: PaperId,
): Colouring {
  if (way) return { ...STARTING_COLOURING, way, carrier: 'water' }
  if (heat === 'oil') return { way: 'brush', carrier: 'oil', faces: 2, coats: 1 }
  if (heat === 'steam') return { way: 'mist', carrier: 'water', faces: 1, coats: 1 }
  return heat === 'pan' || paperOf(paper).kind === 'film'
    ? { ...STARTING_COLOURING, way: 'bath', carrier: 'water' }
    : {
        ...STARTING_COLOURING,
        ...(startingFaces && { faces: startingFaces }),
        ...(startingCarrier && { carrier: startingCarrier }),
      }
}

const SHADES_IN_A_RUN = 4

/**
 * A decoration changed as little as lets as many find a place as it begins with; as it is where nothing does.
 * @param standing what stands on the cake already, for what keeps off it
 */
export function fitting(
  decoration: Decoration,
  tiers: readonly Tier[],
  standing: readonly Standing[] = [],
): Decoration {
  const stack = stackTiers({ tiers })
  const ground = { stack, free: freePatches(decoration.quiet, standing, stack), mostTopMm: null }
  const asked = askedFor(decoration) ?? 1
  const fit = laidOut(decoration, ground).elements.length
  if (fit >= asked) return decoration
  const ways = waysToFit(decoration, ground, undefined, asked, fit)
  // Fewer of the usual size rather than smaller ones.
  const way = ways.find(({ id }) => id !== 'smaller' && id !== 'tier') ?? ways[0]
  return way ? ({ ...decoration, ...way.change } as Decoration) : decoration
}

/** Sizes that follow the tier that a technique begins on. */
function sizedFor(definition: AnyTechnique, tiers: readonly Tier[], kind?: CompositionKind): object {
  const begun = startingComposition(
    kind ?? definition.compositions[0]!,
    definition.id,
    definition.startingParameters,
    tiers,
  )
  const stack = stackTiers({ tiers })
  const tier = 'tier' in begun ? stack[Math.min(begun.tier, stack.length - 1)]! : stack.at(-1)!
  return definition.sizeFor?.(2 * leastReach(tier), tier.topMm - tier.footMm) ?? {}
}

/**
 * A decoration to begin with: the technique as it is usually made, on the tier that suits it, with a place for all.
 * @param standing what stands on the cake already
 */
export function startingDecoration(
  id: string,
  technique: TechniqueId,
  tiers: readonly Tier[],
  kind?: CompositionKind,
  standing: readonly Standing[] = [],
): Decoration {
  const definition = techniqueOf(technique)
  const begins = { ...definition.startingParameters, ...sizedFor(definition, tiers, kind) }
  const composition = startingComposition(kind ?? definition.compositions[0]!, technique, begins, tiers)
  const paper = definition.papers[0]!
  const begun = {
    id,
    technique,
    paper,
    name: '',
    sizes: [],
    stock: definition.fromDiscs
      ? []
      : paperOf(paper)
          .shapes.filter(({ kind: shape }) => shape === 'rect')
          .slice(0, 1),
    colour: {
      heart: definition.startingColour,
      tail: definition.startingTail ?? definition.startingColour,
      steps: definition.startingTail ? SHADES_IN_A_RUN : 1,
    },
    finishes: definition.startingFinish ? [{ ...definition.startingFinish }] : [],
    quiet: startingQuiet(composition.kind),
    byHand: untouched(),
    gathered: null,
    cutting: definition.fromDiscs
      ? { ...STARTING_CUTTING, way: 'sectors', plies: 1 }
      : { ...STARTING_CUTTING, plies: definition.startingPlies ?? STARTING_CUTTING.plies },
    colouring: startingColouring(definition, paper),
    drying: { way: waysToDry(definition)[0]!, soakWaterC: 38, ovenC: 80 },
    glue: null,
    glued: definition.skin ?? 'afterStacking',
    parameters: begins,
    composition,
  } as unknown as Decoration
  return fitting(begun, tiers, standing)
}

/** What a recipe begins with: who is focal, how many parts each. */
const STARTING_RECIPE: readonly {
  readonly technique: TechniqueId
  readonly role: BouquetRole
  readonly parts: number
  readonly parameters?: object
}[] = [
  { technique: 'openBloom', role: 'focal', parts: 3 },
  { technique: 'laminatedLeaf', role: 'leaf', parts: 3, parameters: { lengthMm: 90, leafMm: 28 } },
  { technique: 'bud', role: 'bud', parts: 5 },
  { technique: 'fillerSprig', role: 'filler', parts: 3, parameters: { lengthMm: 48, tips: 7 } },
]

/** A bouquet to begin with, and the decorations gathered in it. @param id begins their ids */
export function startingGathering(
  id: string,
  tiers: readonly Tier[],
  seed = STARTING_SEED,
): { readonly bouquet: Bouquet; readonly decorations: readonly Decoration[] } {
  return {
    bouquet: startingBouquet(id, tiers.length, seed),
    decorations: STARTING_RECIPE.map(({ technique, role, parts, parameters }) =>
      gatheredIn(id, `${id}-${technique}`, technique, role, parts, tiers, parameters),
    ),
  }
}

/** A decoration as it begins when it is gathered in a bouquet. */
export function gatheredIn(
  bouquet: string,
  id: string,
  technique: TechniqueId,
  role: BouquetRole,
  parts: number,
  tiers: readonly Tier[],
  parameters: object = {},
): Decoration {
  const base = startingDecoration(id, technique, tiers)
  return {
    ...base,
    gathered: { bouquet, role, parts },
    parameters: { ...base.parameters, ...parameters },
  } as Decoration
}
