/** How a beginning is put together. */
import { startingAccent, type FollowingAccent } from '../accent'
import { type Cake } from '../cake'
import type { CompositionKind, TechniqueId } from '../technique'
import { startingBouquet, type Bouquet, type BouquetRole } from '../compose'
import { gatheredIn, startingDecoration } from './beginnings'
import type { Decoration, Option } from './commission'

/** What a beginning puts on a cake; everything else of the option stays. */
type Beginning = Pick<Option, 'decorations' | 'bouquets' | 'accents'>

export type StartingPoint = {
  readonly id: string
  readonly name: string
  readonly say: string
  readonly on: (cake: Cake) => Beginning
}

type Changes = {
  readonly kind?: CompositionKind
  readonly parameters?: object
  readonly composition?: object
  readonly colour?: Decoration['colour']
  readonly finishes?: Decoration['finishes']
}

/** A decoration as it usually begins on a cake, with changes. */
export function made(
  cake: Cake,
  id: string,
  technique: TechniqueId,
  { kind, parameters = {}, composition = {}, ...rest }: Changes = {},
): Decoration {
  const base = startingDecoration(id, technique, cake.tiers, kind)
  return {
    ...base,
    ...rest,
    parameters: { ...base.parameters, ...parameters },
    composition: { ...base.composition, ...composition },
  } as Decoration
}

export const topOf = ({ tiers }: Cake): number => tiers.length - 1
export const heightOf = ({ tiers }: Cake, tier: number): number => tiers[Math.min(tier, tiers.length - 1)]!.heightMm
/** Deep at the heart, cream at the tail. */
export const fading = (steps: number): Decoration['colour'] => ({ heart: '#d9572b', tail: '#f3dfc2', steps })
export const gilded = (share: number): Decoration['finishes'] => [{ finish: 'edgeGilding', colour: '#c9a24b', share }]
export const pearls = (follows: string): FollowingAccent => ({
  ...startingAccent('pearls', 'pearl', follows),
  sizeMm: 5,
  perElement: 1.5,
})

type Ingredient = readonly [
  technique: TechniqueId,
  role: BouquetRole,
  parts: number,
  parameters: object,
  colour?: string,
]

/** A cake with one bouquet and nothing else. */
export function withBouquet(cake: Cake, change: Partial<Bouquet>, recipe: readonly Ingredient[]): Beginning {
  const bouquet = { ...startingBouquet('bouquet', cake.tiers.length, 21), ...change }
  return {
    accents: [],
    bouquets: [bouquet],
    decorations: recipe.map(
      ([technique, role, parts, parameters, colour], at) =>
        ({
          ...gatheredIn(bouquet.id, `bouquet-${at}`, technique, role, parts, cake.tiers, parameters),
          ...(colour && { colour: { heart: colour, tail: colour, steps: 1 } }),
        }) as Decoration,
    ),
  }
}
