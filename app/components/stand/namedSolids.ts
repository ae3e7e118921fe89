import type { Option } from '#core/commission'
import type { Solid } from '#core/draw'
import type { Plan } from '#core/plan'

export type NamedSolid = { readonly name: string; readonly solid: Solid }

/** What stands there by the names that the plan has for it; elements of a decoration are numbered. */
export function namedSolids(
  solids: readonly Solid[],
  { cake }: Option,
  { decorations, accents }: Pick<Plan, 'decorations' | 'accents'>,
): readonly NamedSolid[] {
  const numbered = (made: readonly { readonly name: string; readonly elements: readonly unknown[] }[]) =>
    made.flatMap(({ name, elements }) => elements.map((_, at) => `${name} ${at + 1}`))
  const names = {
    board: ['Board'],
    tier: cake.tiers.map((_, at) => `Tier ${at + 1}`),
    element: numbered(decorations),
    accent: numbered(accents),
  }
  return solids.map((solid) => ({ name: names[solid.kind][solid.index] ?? solid.id, solid }))
}
