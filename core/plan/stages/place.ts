/** Where everything stands: bouquets packed, decorations one after the other, each worked out; accents round them. */
import type { FollowingAccent } from '../../accent'
import type { StandingTier } from '../../cake'
import type { Decoration, Option } from '../../commission'
import { freePatches, type Bouquet, type Standing } from '../../compose'
import {
  learnedOf,
  shapesFor,
  thicknessOf,
  type DecorationInputs,
  type PlannedDecoration,
  type TypedMinutes,
} from '../../decoration'
import type { Learned } from '../../learn'
import { techniqueOf, type Ingredient, type Layout } from '../../technique'
import type { Workshop } from '../../workshop'
import type { accentStage } from './accents'
import { anchorsOf, type PlannedAccent } from './accents'
import type { bouquetStage } from './bouquets'
import { membersOf, plannedBouquet, type PlannedBouquet } from './bouquets'

export type PlaceInputs = {
  readonly option: Pick<Option, 'decorations' | 'bouquets' | 'accents'>
  readonly stack: readonly StandingTier[]
  /** How high anything may reach above the board; none when it does not travel on the cake. */
  readonly mostTopMm: number | null
  readonly shelf: Workshop['papers']
  readonly punchesMm: Workshop['tools']['punchesMm']
  readonly stepMinutes: TypedMinutes
  readonly learned: Learned
  /** What a client wants left out. */
  readonly unwanted: readonly Ingredient[]
}

export type Placed = {
  readonly decorations: readonly PlannedDecoration[]
  readonly bouquets: readonly PlannedBouquet[]
  readonly accents: readonly PlannedAccent[]
}

/** The slow parts, each remembered by its own inputs: one decoration changed leaves the others as they are. */
export type PlaceMemory = {
  readonly bouquet: typeof bouquetStage
  readonly decoration: (inputs: DecorationInputs) => PlannedDecoration
  readonly accent: typeof accentStage
}

/** Names that tell decorations apart: what was typed, or the technique; one that is taken is numbered from 2. */
export function namesOf(wanted: readonly Pick<Decoration, 'name' | 'technique'>[]): readonly string[] {
  const taken = new Set<string>()
  return wanted.map(({ name, technique }) => {
    const own = name || techniqueOf(technique).name
    let called = own
    for (let number = 2; taken.has(called); number += 1) called = `${own} ${number}`
    taken.add(called)
    return called
  })
}

/** Decorations in their order, each keeping off what it is told to of those before it. */
function decorationsOf(
  wanted: readonly Decoration[],
  laid: ReadonlyMap<string, Layout>,
  { stack, mostTopMm, shelf, punchesMm, stepMinutes, learned, unwanted }: PlaceInputs,
  memory: PlaceMemory,
): readonly PlannedDecoration[] {
  const standing: Standing[] = []
  const names = namesOf(wanted)
  return wanted.map((decoration, at) => {
    const own = Object.entries(stepMinutes).filter(([key]) => key.startsWith(`${decoration.technique} `))
    const shapes = shapesFor(decoration, shelf)
    const made = memory.decoration({
      decoration,
      name: names[at]!,
      stack,
      free: freePatches(decoration.quiet, standing, stack),
      mostTopMm,
      unwanted,
      laid: laid.get(decoration.id) ?? null,
      shapes,
      thicknessMm: thicknessOf(decoration.paper, shapes, shelf),
      punchesMm: decoration.cutting.way === 'punch' ? punchesMm : [],
      stepMinutes: Object.fromEntries(own),
      learned: learnedOf(learned, decoration.technique),
    })
    standing.push({ elements: made.elements, seen: made.seen, isSkin: made.skin !== null })
    return made
  })
}

/** Everything that stands on the cake. */
export function placeStage(inputs: PlaceInputs, memory: PlaceMemory): Placed {
  const { option, stack, mostTopMm } = inputs
  const packed = option.bouquets.map((bouquet: Bouquet) => {
    const members = membersOf(bouquet, option.decorations)
    return { bouquet, members, packing: memory.bouquet({ bouquet, members, stack, mostTopMm }) }
  })
  const laid = new Map(packed.flatMap(({ packing }) => [...packing.layouts]))
  const decorations = decorationsOf(option.decorations, laid, inputs, memory)
  return {
    decorations,
    bouquets: packed.map(({ bouquet, members, packing }) => plannedBouquet(bouquet, members, packing)),
    accents: option.accents.map((accent: FollowingAccent) =>
      memory.accent({ accent, anchors: anchorsOf(accent.follows, decorations), stack }),
    ),
  }
}
