/** What a card says of work at the cake, at the box and on the road. */
import { chosenOption } from '../../commission'
import type { Slot } from '../../schedule'
import { coveringOf, glueOf } from '../../material'
import { printWorkingValue } from '../../quantity'
import { PLACE } from '../../schedule'
import { tierToDress } from '../../plan'
import { NOTHING, ledgerOf, type Wanted, type Told } from './card'

/** What the ledger calls a sitting at some of the tiers: its share of all that are filled or covered. */
function sittingLedger(
  { plan, commission }: Wanted,
  key: 'fillMin' | 'coverMin',
  sitting: readonly number[],
): Told['ledger'] {
  const tiers = chosenOption(commission).cake.tiers.map(tierToDress)
  const all = tiers.filter(({ isFilled, covering }) => (key === 'fillMin' ? isFilled : covering)).length
  const { step, standardMin } = ledgerOf(key, key === 'fillMin' ? plan.work.fill : plan.work.cover, plan)
  return { step, standardMin: (standardMin * sitting.length) / Math.max(1, all) }
}

export function fillCard(wanted: Wanted, { tiers }: Pick<Slot, 'tiers'>): Told {
  const { plan, units } = wanted
  return {
    ...NOTHING,
    say: [
      'Level, fill inside a dam of firm cream, a thin crumb coat all over, sides upright; then into the cold until it is ' +
        'firm to the touch.',
    ],
    amounts: tiers.flatMap((at) => {
      const crumbCoat = plan.cake.tiers[at]?.covering?.crumbCoat
      return crumbCoat ? [{ label: `crumb coat, tier ${at + 1}`, text: printWorkingValue(crumbCoat, units) }] : []
    }),
    ledger: sittingLedger(wanted, 'fillMin', tiers),
    picture: { kind: 'cake' },
  }
}

export function coverCard(wanted: Wanted, { tiers }: Pick<Slot, 'tiers'>): Told {
  const { plan, commission, units } = wanted
  const { cake } = chosenOption(commission)
  return {
    ...NOTHING,
    say: tiers.map((at) => {
      const { name, readyWhen } = coveringOf(cake.tiers[at]!.covering)
      return `Tier ${at + 1}: ${name.toLowerCase()}; paper may go on when ${readyWhen}.`
    }),
    amounts: tiers.flatMap((at) => {
      const coat = plan.cake.tiers[at]?.covering?.coat
      return coat ? [{ label: `${coat.label}, tier ${at + 1}`, text: printWorkingValue(coat, units) }] : []
    }),
    ledger: sittingLedger(wanted, 'coverMin', tiers),
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
  const placed = plan.decorations.filter(({ elements, skin }) => elements.length > 0 && !skin)
  return {
    ...NOTHING,
    say: [
      'As the placing guide in Deliver numbers them: focal first, then the large ones, then fill.',
      ...placed.map(({ name, setting }) => `${name}: ${setting.say}`),
    ],
    amounts: [
      ...placed.map(({ called, count }) => ({ label: called, text: printWorkingValue(count, units) })),
      ...placed.flatMap(({ name, gluings }) =>
        gluings
          .filter(({ grams }) => grams.value > 0)
          .map(({ glue, grams }) => ({
            label: `${glueOf(glue).name}, ${name.toLowerCase()}`,
            text: printWorkingValue(grams, units),
          })),
      ),
    ],
    ledger: ledgerOf(PLACE, plan.work.place, plan),
    picture: { kind: 'cake' },
  }
}

export function picksCard({ plan }: Wanted): Told {
  const picks = plan.decorations.flatMap(({ removals }) => removals.filter(({ stays, count }) => !stays && count > 0))
  return {
    ...NOTHING,
    say: ['When the glue holds, one by one, a hand under the piece. Count them: as many out as went in.'],
    amounts: picks.map(({ name, count }) => ({ label: name, text: String(count) })),
    ledger: ledgerOf('picksOut', plan.work.picksOut, plan),
    picture: { kind: 'cake' },
  }
}
