/** Everything that is not food and that some step puts into the cake, or holds it with: counted in, and out again. */
import { stackedTiers, type Cake, type Tier } from '../../cake'
import { found, type Working } from '../../quantity'
import type { PlannedAccent } from './accents'
import type { PlannedDecoration } from '../../decoration'
import type { CakeFacts } from './cake'

/**
 * Things alike: which step puts them in, where they are, whether they stay until the cake is cut, and whether they are
 * bought one by one (wires come off stock wires).
 */
export type Inedible = {
  readonly id: string
  readonly name: string
  readonly count: Working
  readonly step: string
  readonly where: string
  readonly stays: boolean
  readonly bought: 'each' | 'otherwise'
}

type InedibleInputs = {
  readonly cake: Cake
  readonly facts: CakeFacts
  readonly decorations: readonly Pick<PlannedDecoration, 'id' | 'name' | 'elements' | 'removals' | 'count'>[]
  readonly holders: Working | null
  readonly accents: readonly Pick<PlannedAccent, 'id' | 'many' | 'count' | 'edible' | 'elements'>[]
}

/** A card below each tier that stands on another. */
const cardsUnder = (tiers: readonly Tier[]): Working =>
  found('cards under tiers', stackedTiers(tiers), 'count', 'one below each tier that stands on another')

/** The removal list: nothing that is put in is left out of it. */
export function inedibleOf({ cake, facts, decorations, holders, accents }: InedibleInputs): readonly Inedible[] {
  const tier = (at: number): string => `tier ${at + 1} from the bottom`
  const all: readonly Inedible[] = [
    ...decorations
      .filter(({ elements }) => elements.length > 0)
      .flatMap(({ id, name, removals }) =>
        removals.map((part): Inedible => ({
          id: `${id} ${part.id}`,
          name: part.name,
          count: found(part.name, part.count, 'count', `of ${name.toLowerCase()}, by its technique`),
          step: name,
          stays: part.stays,
          bought: /wire$/i.test(part.id) ? 'otherwise' : 'each',
          where: part.stays
            ? `in the ${name.toLowerCase()}; out before the cake is cut`
            : `with the ${name.toLowerCase()}; out before it leaves the bench`,
        })),
      ),
    ...(holders
      ? [
          {
            id: 'holders',
            name: 'food-safe holders',
            count: holders,
            step: 'Place',
            where: 'in the cake, below what stands on wires',
            stays: true,
            bought: 'otherwise',
          } satisfies Inedible,
        ]
      : []),
    ...facts.tiers.flatMap(({ supports }, at) =>
      supports.map(({ count, half }): Inedible => ({
        id: `support ${at} ${half ? 'low' : 'high'}`,
        name: 'dowels or straws',
        count,
        step: 'Stack the tiers',
        where: `upright in ${half ? 'the lower half of ' : ''}${tier(at)}`,
        stays: true,
        bought: 'otherwise',
      })),
    ),
    ...(facts.middleDowel
      ? [
          {
            id: 'middle',
            name: 'middle dowel',
            count: found('middle dowel', 1, 'count', 'for a tall stack'),
            step: 'Stack the tiers',
            where: 'down the middle of the tiers',
            stays: true,
            bought: 'otherwise',
          } satisfies Inedible,
        ]
      : []),
    {
      id: 'cards',
      name: 'cake cards',
      count: cardsUnder(cake.tiers),
      step: 'Stack the tiers',
      where: 'below each tier but the lowest',
      stays: true,
      bought: 'each',
    },
    ...cake.tiers.flatMap(({ spacer, inside, covering }, at): readonly Inedible[] => [
      ...(spacer
        ? [
            {
              id: `spacer ${at}`,
              name: 'separators',
              count: found('separator', 1, 'count', 'typed in Tiers'),
              step: 'Stack the tiers',
              where: `below ${tier(at)}`,
              stays: true,
              bought: 'each',
            } satisfies Inedible,
          ]
        : []),
      ...(inside === 'dummy' || covering === 'dummy'
        ? [
            {
              id: `dummy ${at}`,
              name: 'dummy tiers',
              count: found('dummy', 1, 'count', 'typed in Tiers'),
              step: 'Cover the tiers',
              where: `${tier(at)}, all of it`,
              stays: true,
              bought: 'each',
            } satisfies Inedible,
          ]
        : []),
    ]),
    ...accents
      .filter(({ edible, elements }) => !edible && elements.length > 0)
      .map(({ id, many, count }): Inedible => ({
        id: `accent ${id}`,
        name: many,
        count,
        step: 'Place',
        where: 'for show only; off before the cake is cut',
        stays: true,
        bought: 'otherwise',
      })),
  ]
  return all.filter(({ count }) => count.value > 0)
}
