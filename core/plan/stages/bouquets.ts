/** Bouquets of a plan: what is gathered in each, how many of each kind, and where they stand. */
import type { StandingTier } from '../../cake'
import { packBouquet, type Bouquet, type Member, type Packed } from '../../compose'
import { several, type Working } from '../../quantity'
import type { Decoration } from '../../commission'
import { seenOf } from '../../decoration'
import { techniqueOf } from '../../technique'

/** A bouquet as planned: the face it covers, how many of each decoration, and how many more found no place. */
export type PlannedBouquet = {
  readonly id: string
  readonly face: Working
  readonly members: readonly {
    readonly decoration: string
    readonly called: string
    readonly count: Working
    readonly withoutPlace: number
  }[]
}

type BouquetInputs = {
  readonly bouquet: Bouquet
  readonly members: readonly Member[]
  readonly stack: readonly StandingTier[]
  readonly mostTopMm: number | null
}

/** A bouquet packed. */
export const bouquetStage = ({ bouquet, members, stack, mostTopMm }: BouquetInputs): Packed =>
  packBouquet(bouquet, members, stack, mostTopMm)

/** The decorations gathered in a bouquet, as its packing needs them. */
export const membersOf = ({ id }: Bouquet, wanted: readonly Decoration[]): readonly Member[] =>
  wanted.flatMap((decoration): Member[] => {
    const { gathers, element } = techniqueOf(decoration.technique)
    const { gathered } = decoration
    if (gathered?.bouquet !== id || !gathers) return []
    return [
      {
        id: decoration.id,
        name: several(element),
        role: gathered.role,
        parts: gathered.parts,
        seen: seenOf(decoration),
        form: gathers,
      },
    ]
  })

/** A bouquet for the screen. */
export const plannedBouquet = (
  { id }: Bouquet,
  members: readonly Member[],
  { face, layouts, wanted }: Packed,
): PlannedBouquet => ({
  id,
  face,
  members: [...layouts].map(([decoration, { count }]) => ({
    decoration,
    called: members.find((each) => each.id === decoration)!.name,
    count,
    withoutPlace: wanted.get(decoration)! - count.value,
  })),
})
