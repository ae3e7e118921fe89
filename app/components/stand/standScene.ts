import { elementColour, meshesOf } from '#core/decoration'
import { chosenOption, type Commission, type Option, type Decoration } from '#core/commission'
import type { StandScene } from '#core/draw'
import { extentMm, type StandingTier } from '#core/cake'
import type { FollowingAccent } from '#core/accent'
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
    return elements.map((element, at) => ({
      pile: stack[element.tier]!.pile,
      mesh: meshes[at]!,
      on: element.on,
      facingDeg: element.angleDeg,
      colour: elementColour(decoration.colour, element, foretold),
      ...(element.spanDeg > 0 && { axis: stack[element.tier]!.middle }),
    }))
  }),
  accents: planned.flatMap(({ id, elements }) => {
    const accent = accents.find((each) => each.id === id)
    if (!accent) return []
    const meshes = knownAccents({ accent, elements, stack })
    return elements.map(({ on, angleDeg, tier }, at) => ({
      pile: stack[tier]!.pile,
      mesh: meshes[at]!,
      on,
      facingDeg: angleDeg,
      colour: accent.colour,
    }))
  }),
})

/** A piece of the stand, mm, y down. */
export type StandWindow = {
  readonly left: number
  readonly top: number
  readonly width: number
  readonly height: number
}

/** The window on the stand: wide enough for box and cake, high enough for both, with room for captions. */
export function standWindow(commission: Commission, plan: Plan): StandWindow {
  const { brief } = commission
  const { board } = chosenOption(commission).cake
  const widest = plan.stack.reduce((most, tier) => {
    const { sideways, frontBack } = extentMm(tier.shape)
    return Math.max(most, Math.hypot(sideways, frontBack) * 0.8 + Math.hypot(tier.middle.x, tier.middle.y))
  }, board.acrossMm / 2)
  const half = Math.max(brief.box.widthMm / 2, widest) + 16
  const rise = Math.max(brief.box.heightMm, plan.finished.high.value) - board.thicknessMm
  const below = board.thicknessMm + (board.acrossMm / 2) * 0.2 + 14
  return { left: -half, top: -rise - 30, width: 2 * half, height: rise + 30 + below }
}
