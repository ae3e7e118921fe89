import { roundTier } from '../cake'
import {
  compositionOf,
  startingBouquet,
  untouched,
  type Bouquet,
  type BouquetRole,
  type Composition,
  type Quiet,
} from '../compose'
import { STARTING_CUTTING } from '../cut'
import { freshBench } from '../ledger'
import { paperOf, type PaperId } from '../material'
import { dayOf, MINUTES_PER_DAY, momentText, type Moment } from '../quantity'
import { soakedSail, type CompositionKind, type TechniqueId } from '../technique'
import { STARTING_COLOURING, STARTING_TRAY, type Colouring } from '../tint'
import type { Commission, PaperDecoration, SailSweep } from './commission'
import { techniqueOf } from './paperwork'

/** Colours that a new commission offers until the client's own are named. */
export const STARTING_PALETTE: Commission['palette'] = [
  { name: 'persimmon', colour: '#d9572b', role: 'main' },
  { name: 'brick', colour: '#a8432e', role: 'accent' },
  { name: 'cream', colour: '#f3dfc2', role: 'ground' },
  { name: 'ink blue', colour: '#343a63', role: 'accent' },
  { name: 'lichen', colour: '#93a06b', role: 'foliage' },
]

/** A sweep to begin with on a cake of a given height: from the lower left up to the right. */
export const startingSweep = (topMm: number): SailSweep => ({
  technique: 'soakedSail',
  composition: 'sweep',
  sail: { ...soakedSail.startingParameters },
  sweep: {
    fromAngleDeg: -50,
    fromHeightMm: topMm * 0.1,
    toAngleDeg: 50,
    toHeightMm: topMm * 0.85,
    seenHeightMm: Math.min(110, Math.max(60, topMm * 0.4)),
    overlap: 0.45,
    taper: 0.55,
    heart: 0.5,
    irregularity: 0.6,
    seed: 7,
  },
  quiet: { others: false, seams: false, back: false, places: [] },
  byHand: untouched(),
  colour: { heart: '#d9572b', tail: '#f3dfc2', steps: 4, tray: { ...STARTING_TRAY } },
  drying: { way: 'mat', soakWaterC: 38, ovenC: 80 },
})

/** What a brief begins with besides its name and hour. */
export const STARTING_BRIEF = {
  occasion: '',
  stops: [],
  workroom: { airC: 21, humidity: 0.5 },
  venue: { airC: 21, humidity: 0.5 },
  transport: { airC: 21, humidity: 0.5, coolCar: false },
  keeping: 'roomTemperature',
  limits: { noGelatine: false, noDairy: false, noAlcohol: false, noColours: [] },
  portions: 0,
  notes: '',
  photos: [],
} satisfies Partial<Commission['brief']>

/** An empty commission to fill: one tier, nothing on it. */
export function newCommission(id: string, now: Moment): Commission {
  return {
    id,
    brief: {
      ...STARTING_BRIEF,
      name: 'New commission',
      eventAt: momentText(dayOf(now) + 14 * MINUTES_PER_DAY + 15 * 60),
      driveMin: 30,
      completion: 'beforeDriving',
      venueOpensMin: 12 * 60,
      box: { widthMm: 300, depthMm: 300, heightMm: 300 },
    },
    palette: STARTING_PALETTE,
    options: [
      {
        id: 'a',
        name: 'Option A',
        cake: { board: { outline: 'round', acrossMm: 250, thicknessMm: 12 }, tiers: [roundTier('tier-1', 200, 120)] },
        decorations: [],
        paperwork: [],
        bouquets: [],
        accents: [],
        keptSheets: [],
        ownPieces: [],
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
    seed,
  })
}

/**
 * How a decoration is usually coloured: stirred into slurry, in oil for hot oil, dipped for the pan and where film is
 * soaked anyway, else brushed.
 */
export function startingColouring(
  { heat, liquids = [] }: Pick<ReturnType<typeof techniqueOf>, 'heat' | 'liquids'>,
  paper: PaperId,
): Colouring {
  if (liquids.some(({ mixture }) => mixture === 'slurry'))
    return { ...STARTING_COLOURING, way: 'slurry', carrier: 'water' }
  if (heat === 'oil') return { way: 'brush', carrier: 'oil', faces: 2, coats: 1 }
  return heat === 'pan' || paperOf(paper).kind === 'film'
    ? { ...STARTING_COLOURING, way: 'bath', carrier: 'water' }
    : STARTING_COLOURING
}

/** A decoration to begin with: the technique as it is usually made, on the tier that suits it. */
export function startingPaperwork(
  id: string,
  technique: TechniqueId,
  tiers: readonly { readonly heightMm: number }[],
  kind?: CompositionKind,
): PaperDecoration {
  const definition = techniqueOf(technique)
  const composition = startingComposition(
    kind ?? definition.compositions[0]!,
    technique,
    definition.startingParameters,
    tiers,
  )
  const paper = definition.papers[0]!
  return {
    id,
    technique,
    paper,
    format: paperOf(paper).formats[0]!,
    colour: definition.startingColour,
    run: { tail: definition.startingColour, steps: 1 },
    finishes: [],
    quiet: startingQuiet(composition.kind),
    byHand: untouched(),
    gathered: null,
    cutting: STARTING_CUTTING,
    colouring: startingColouring(definition, paper),
    parameters: { ...definition.startingParameters },
    composition,
  } as unknown as PaperDecoration
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
  tiers: readonly { readonly heightMm: number }[],
  seed = STARTING_SEED,
): { readonly bouquet: Bouquet; readonly paperwork: readonly PaperDecoration[] } {
  return {
    bouquet: startingBouquet(id, tiers.length, seed),
    paperwork: STARTING_RECIPE.map(({ technique, role, parts, parameters }) =>
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
  tiers: readonly { readonly heightMm: number }[],
  parameters: object = {},
): PaperDecoration {
  const base = startingPaperwork(id, technique, tiers)
  return {
    ...base,
    gathered: { bouquet, role, parts },
    parameters: { ...base.parameters, ...parameters },
  } as PaperDecoration
}
