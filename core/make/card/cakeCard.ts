/** What a card says of work at the cake, at the box and on the road. */
import { chosenOption } from '../../commission'
import { coveringOf } from '../../material'
import { printWorkingValue } from '../../quantity'
import { PLACE } from '../../schedule'
import { NOTHING, ledgerOf, type Wanted, type Told } from './card'

export function coverCard({ plan, commission, units }: Wanted): Told {
  const { cake } = chosenOption(commission)
  return {
    ...NOTHING,
    say: cake.tiers.map(
      ({ covering }, at) =>
        `Tier ${at + 1}: ${coveringOf(covering).name.toLowerCase()}; wait until ${coveringOf(covering).readyWhen}.`,
    ),
    amounts: plan.cake.coverings.map(({ name, total }) => ({ label: name, text: printWorkingValue(total, units) })),
    ledger: ledgerOf('coverMin', plan.work.cover, plan),
    picture: { kind: 'cake' },
  }
}

export function stackCard({ plan, units }: Wanted): Told {
  return {
    ...NOTHING,
    say: ['Supports to one height, level, then the next tier. Count each one in: they come out when it is cut.'],
    amounts: plan.cake.tiers.flatMap(({ supports }, at) =>
      supports.map(({ count, length }) => ({
        label: `supports in tier ${at + 1}`,
        text: `${count.value} of ${printWorkingValue(length, units)}`,
      })),
    ),
    ledger: ledgerOf('stackMin', plan.work.stack, plan),
    picture: { kind: 'cake' },
  }
}

export function placeCard({ plan, units }: Wanted): Told {
  const placed = plan.decorations.filter(({ elements, onTheCake }) => elements.length > 0 && !onTheCake)
  return {
    ...NOTHING,
    say: ['As the placing guide in Deliver numbers them: focal first, then the large ones, then fill.'],
    amounts: placed.map(({ called, count }) => ({ label: called, text: printWorkingValue(count, units) })),
    ledger: ledgerOf(PLACE, plan.work.place, plan),
    picture: { kind: 'cake' },
  }
}
