/** What a plan looks like: the cake with all that stands on it, in the colours they will come out. */
import type { FollowingAccent } from '../accent'
import { extentMm, type Board, type StandingTier } from '../cake'
import { chosenOption, type Commission, type Decoration, type Option } from '../commission'
import { elementColour, meshesOf } from '../decoration'
import type { Drawn, Room, StandScene } from '../draw'
import { paperOf } from '../material'
import type { PlacedElement } from '../technique'
import type { Plan } from './plan'
import { contents, remember } from './remember'
import { accentMeshesOf } from './stages/accents'

/** As much of a plan as its look follows from. */
export type Looks = {
  readonly stack: Plan['stack']
  readonly decorations: readonly Pick<Plan['decorations'][number], 'id' | 'elements'>[]
  readonly accents: readonly Pick<Plan['accents'][number], 'id' | 'elements'>[]
  readonly dishes: Pick<Plan['dishes'], 'foretold'>
}

/** An element as it is drawn, and whose it is. */
export type DrawnElement = Drawn & { readonly decoration: string; readonly element: PlacedElement }

/** A scene whose elements are those of decorations. */
export type PlannedScene = Omit<StandScene, 'elements'> & {
  readonly board: Board
  readonly elements: readonly DrawnElement[]
}

/** A page draws one cake at a time, and keeps little of those before. */
const told = contents(2000)
/** Meshes follow from decoration, elements and cake; most edits leave them as they are. */
const knownMeshes = remember(
  (of: {
    readonly decoration: Decoration
    readonly elements: readonly PlacedElement[]
    readonly stack: readonly StandingTier[]
    readonly foretold: readonly string[]
  }) => meshesOf(of.decoration, of.elements, of.stack, of.foretold),
  told,
)
const knownAccents = remember(
  (of: {
    readonly accent: FollowingAccent
    readonly elements: readonly PlacedElement[]
    readonly stack: readonly StandingTier[]
  }) => accentMeshesOf(of.accent, of.elements, of.stack),
  told,
)

/** The elements of a decoration as they are drawn, in the order of the plan. */
export function drawnElements(
  decoration: Decoration,
  { stack, decorations, dishes }: Omit<Looks, 'accents'>,
): readonly DrawnElement[] {
  const elements = decorations.find(({ id }) => id === decoration.id)?.elements ?? []
  const foretold = dishes.foretold[decoration.id] ?? []
  const meshes = knownMeshes({ decoration, elements, stack, foretold })
  const isFilm = paperOf(decoration.paper).kind === 'film'
  return elements.map((element, at) => ({
    decoration: decoration.id,
    element,
    mesh: meshes[at]!,
    colour: elementColour(decoration.colour, element, foretold),
    isFilm,
  }))
}

/** What the stand shows of a plan, decoration after decoration as they are planned. */
export const sceneOf = (
  { cake, decorations, accents }: Pick<Option, 'cake' | 'decorations' | 'accents'>,
  plan: Looks,
): PlannedScene => ({
  board: cake.board,
  stack: plan.stack,
  elements: plan.decorations.flatMap(({ id }) => {
    const decoration = decorations.find((each) => each.id === id)
    return decoration ? drawnElements(decoration, plan) : []
  }),
  accents: plan.accents.flatMap(({ id, elements }) => {
    const accent = accents.find((each) => each.id === id)
    if (!accent) return []
    const meshes = knownAccents({ accent, elements, stack: plan.stack })
    return meshes.map((mesh) => ({ mesh, colour: accent.colour, isFilm: false }))
  }),
})

/** How much room cake and decorations take, so that a picture holds them. */
export function cakeRoom(commission: Commission, { stack, finished }: Pick<Plan, 'stack' | 'finished'>): Room {
  const { board } = chosenOption(commission).cake
  const widest = stack.reduce((most, { shape, middle }) => {
    const { sideways, frontBack } = extentMm(shape)
    return Math.max(most, Math.hypot(sideways, frontBack) * 0.8 + Math.hypot(middle.x, middle.y))
  }, board.acrossMm / 2)
  return { outMm: widest, upMm: finished.high.value - board.thicknessMm, belowMm: board.thicknessMm }
}
