import { colourOf, meshesOf } from '#core/decoration'
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
  }: {
    decoration: Decoration
    elements: readonly PlacedElement[]
    stack: readonly StandingTier[]
  }) => meshesOf(decoration, elements, stack),
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

/** What the stand shows of a plan: the cake, and the sails in the colours they will come out. */
export const sceneOf = ({ cake, decorations, accents }: Option, plan: Plan): StandScene => ({
  board: cake.board,
  stack: plan.arrangement.stack,
  elements: plan.decorations.flatMap(({ id, elements }) => {
    const decoration = decorations.find((each) => each.id === id)
    if (!decoration) return []
    const meshes = knownMeshes({ decoration, elements, stack: plan.arrangement.stack })
    return elements.map((element, at) => ({
      mesh: meshes[at]!,
      on: element.on,
      facingDeg: element.angleDeg,
      colour: colourOf(decoration, element),
      ...(element.spanDeg > 0 && { axis: plan.arrangement.stack[element.tier]!.middle }),
    }))
  }),
  accents: plan.accents.flatMap(({ id, elements }) => {
    const accent = accents.find((each) => each.id === id)
    if (!accent) return []
    const meshes = knownAccents({ accent, elements, stack: plan.arrangement.stack })
    return elements.map(({ on, angleDeg }, at) => ({
      mesh: meshes[at]!,
      on,
      facingDeg: angleDeg,
      colour: accent.colour,
    }))
  }),
  sails: plan.arrangement.sails.map(({ net, place, shade }) => ({
    net,
    facingDeg: place.facingDeg,
    colour: plan.bath?.steps[shade]?.predictedHex ?? plan.ladder[shade]?.hex ?? '#efece2',
  })),
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
  const widest = plan.arrangement.stack.reduce((most, tier) => {
    const { sideways, frontBack } = extentMm(tier.shape)
    return Math.max(most, Math.hypot(sideways, frontBack) * 0.8 + Math.hypot(tier.middle.x, tier.middle.y))
  }, board.acrossMm / 2)
  const half = Math.max(brief.box.widthMm / 2, widest) + 16
  const rise = Math.max(brief.box.heightMm, plan.finished.high.value) - board.thicknessMm
  const below = board.thicknessMm + (board.acrossMm / 2) * 0.2 + 14
  return { left: -half, top: -rise - 30, width: 2 * half, height: rise + 30 + below }
}
