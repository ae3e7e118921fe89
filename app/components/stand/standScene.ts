import { elementColour, meshesOf } from '#core/decoration'
import { chosenOption, type Commission, type Option, type Decoration } from '#core/commission'
import type { Room, StandScene } from '#core/draw'
import { extentMm, type StandingTier } from '#core/cake'
import type { FollowingAccent } from '#core/accent'
import { paperOf } from '#core/material'
import { accentMeshesOf, remember, type Plan } from '#core/plan'
import type { PlacedElement } from '#core/technique'

/** Meshes follow from decoration, elements and cake; most edits leave them as they are. */
export const knownMeshes = remember(
  ({
    decoration,
    elements,
    stack,
    foretold,
  }: {
    decoration: Decoration
    elements: readonly PlacedElement[]
    stack: readonly StandingTier[]
    foretold?: readonly string[]
  }) => meshesOf(decoration, elements, stack, foretold),
)
const knownAccents = remember(
  ({
    accent,
    elements,
    stack,
  }: {
    accent: FollowingAccent
    elements: readonly PlacedElement[]
    stack: readonly StandingTier[]
  }) => accentMeshesOf(accent, elements, stack),
)

/** What the stand shows of a plan: the cake, and all decorations in the colours they will come out. */
export const sceneOf = (
  { cake, decorations, accents }: Option,
  { stack, decorations: made, dishes, accents: planned }: Pick<Plan, 'stack' | 'decorations' | 'dishes' | 'accents'>,
): StandScene => ({
  board: cake.board,
  stack,
  elements: made.flatMap(({ id, elements }) => {
    const decoration = decorations.find((each) => each.id === id)
    if (!decoration) return []
    const foretold = dishes.foretold[id] ?? []
    const meshes = knownMeshes({ decoration, elements, stack, foretold })
    const isFilm = paperOf(decoration.paper).kind === 'film'
    return elements.map((element, at) => ({
      mesh: meshes[at]!,
      colour: elementColour(decoration.colour, element, foretold),
      isFilm,
    }))
  }),
  accents: planned.flatMap(({ id, elements }) => {
    const accent = accents.find((each) => each.id === id)
    if (!accent) return []
    const meshes = knownAccents({ accent, elements, stack })
    return meshes.map((mesh) => ({ mesh, colour: accent.colour, isFilm: false }))
  }),
})

/** How much room cake and decorations take, so that a picture holds them. */
export function cakeRoom(commission: Commission, plan: Plan): Room {
  const { board } = chosenOption(commission).cake
  const widest = plan.stack.reduce((most, { shape, middle }) => {
    const { sideways, frontBack } = extentMm(shape)
    return Math.max(most, Math.hypot(sideways, frontBack) * 0.8 + Math.hypot(middle.x, middle.y))
  }, board.acrossMm / 2)
  return { outMm: widest, upMm: plan.finished.high.value - board.thicknessMm, belowMm: board.thicknessMm }
}
