/** Everything that is bought for a job, from the plan of it. */
import { coveringOf } from '../material'
import { found } from '../quantity'
import { chosenOption, type Commission } from '../commission'
import { benchNeeds, keyOf, whole } from './benchNeeds'
import {
  colourNeeds,
  DISCS_IN_A_PACK,
  DYE_BOTTLE_ML,
  inUsualPacks,
  merged,
  paperItem,
  paperName,
  pricedEach,
  SHEETS_IN_A_PACK,
  type Need,
  type PackName,
  type Prices,
} from '../supply'
import type { Plan } from './plan'

/**
 * What a job takes, item by item, each once.
 * @param boxes how many boxes pieces travel in; each takes a bag of desiccant
 */
export function needsOf(plan: Plan, commission: Commission, prices: Prices, boxes: number): readonly Need[] {
  const { cake } = chosenOption(commission)
  const inPacks = (pack: PackName) => inUsualPacks(pack, prices.currency)
  const sheets = plan.sheets.map(({ paper, shape, needed }): Need => ({
    item: paperItem(paper, shape),
    name: paperName(paper, shape),
    shelf: 'paper',
    kind: 'count',
    amount: needed,
    ...(shape.kind === 'disc'
      ? pricedEach(prices, 'discEach', DISCS_IN_A_PACK, 'count')
      : pricedEach(prices, 'sheetEach', SHEETS_IN_A_PACK, 'count')),
  }))
  const dyes = plan.dyeUses.map(({ dye, ml }): Need => ({
    item: `dye ${dye}`,
    name: `${ml.label} dye`,
    shelf: 'colour',
    kind: 'volume',
    amount: ml,
    ...pricedEach(prices, 'colourMl', DYE_BOTTLE_ML, 'volume'),
  }))
  const liquids = [
    ...colourNeeds(
      plan.dishes.dishes,
      plan.decorations.filter(({ elements }) => elements.length > 0),
    ).map(({ name, amount }) => ({ name, amount })),
    ...plan.mixtures.flatMap(({ parts }) => parts.filter(({ isBought }) => isBought)),
  ]
    .filter(({ amount }) => amount.value > 0)
    .map(({ name, amount }): Need => ({
      item: `liquid ${keyOf(name)}`,
      name,
      kind: amount.kind === 'mass' ? 'mass' : 'volume',
      amount,
      shelf: amount.kind === 'mass' || name.includes('paint') || name.includes('dust') ? 'colour' : 'liquid',
      ...inPacks(amount.kind === 'mass' ? 'dust' : name.includes('paint') ? 'paint' : 'carrier'),
    }))
  const wires = plan.wires.gauges.map(({ gauge, stock }): Need => ({
    item: `wire ${gauge}`,
    name: `wire, gauge ${gauge}`,
    shelf: 'wire',
    kind: 'count',
    amount: stock,
    ...inPacks('wire'),
  }))
  const tape = plan.wires.tape.map((length): Need => ({
    item: `tape ${keyOf(length.label)}`,
    name: length.label,
    shelf: 'wire',
    kind: 'length',
    amount: length,
    ...inPacks('tape'),
  }))
  const holders = plan.wires.holders
    ? [
        {
          item: 'holder',
          name: 'food-safe holders',
          shelf: 'wire',
          kind: 'count',
          amount: plan.wires.holders,
          ...inPacks('holder'),
        } satisfies Need,
      ]
    : []
  // Wires are counted under their gauge, in whole stock wires.
  const parts = plan.inedible
    .filter(({ bought }) => bought === 'each')
    .map(({ name, count }): Need => ({
      item: `part ${keyOf(name)}`,
      name,
      shelf: 'wire',
      kind: 'count',
      amount: count,
      ...inPacks(/cards/.test(name) ? 'card' : /dummy|separator/.test(name) ? 'dummy' : 'pick'),
    }))
  const crumbCoats = cake.tiers.flatMap(({ covering }, at) => {
    const coat = plan.cake.tiers[at]?.covering?.crumbCoat
    const bowl = coveringOf(coveringOf(covering).crumbCoatOf ?? covering)
    return coat ? [{ name: bowl.name, total: { ...coat, label: `crumb coat, tier ${at + 1}` } }] : []
  })
  // A crumb coat is spread from the same bowl as a coat of what it is made of.
  const coverings = [...plan.cake.coverings.map(({ name, total }) => ({ name, total })), ...crumbCoats].map(
    ({ name, total }): Need => ({
      item: `covering ${keyOf(name)}`,
      name: name.toLowerCase(),
      shelf: 'covering',
      kind: 'mass',
      amount: total,
      ...inPacks('covering'),
    }),
  )
  const supports = plan.cake.tiers.flatMap(({ supports: own }, at) =>
    own.map(({ count }): Need => ({
      item: 'support',
      name: 'dowels or straws',
      shelf: 'equipment',
      kind: 'count',
      amount: { ...count, label: `in tier ${at + 1}` },
      ...inPacks('support'),
    })),
  )
  const middle = plan.cake.middleDowel
    ? [
        {
          item: 'middle dowel',
          name: `middle dowel, ${Math.round(plan.cake.middleDowel.value)} mm`,
          shelf: 'equipment',
          kind: 'count',
          amount: found('middle dowel', 1, 'count', 'for a tall stack'),
          ...inPacks('middleDowel'),
        } satisfies Need,
      ]
    : []
  const accents = plan.accents
    .filter(({ elements }) => elements.length > 0)
    .map(({ accent, many, count }): Need => ({
      item: `accent ${accent}`,
      name: many,
      shelf: 'accent',
      kind: 'count',
      amount: whole(count),
      ...inPacks(accent === 'topper' ? 'topper' : accent === 'leafFlake' ? 'leaf' : 'accent'),
    }))
  const equipment: readonly Need[] = [
    {
      item: `board ${cake.board.outline} ${Math.round(cake.board.acrossMm)}`,
      name: `cake board, ${Math.round(cake.board.acrossMm)} mm`,
      shelf: 'equipment',
      kind: 'count',
      amount: found('board', 1, 'count', 'the cake stands on it'),
      ...inPacks('board'),
    },
    ...(boxes > 0
      ? [
          {
            item: 'desiccant',
            name: 'bags of desiccant, food-safe',
            shelf: 'equipment',
            kind: 'count',
            amount: found('boxes', boxes, 'count', 'a bag in each box that Deliver packs'),
            ...inPacks('desiccant'),
          } satisfies Need,
        ]
      : []),
  ]
  return merged([
    ...sheets,
    ...dyes,
    ...liquids,
    ...benchNeeds(plan.decorations, prices.currency),
    ...wires,
    ...tape,
    ...holders,
    ...parts,
    ...coverings,
    ...supports,
    ...middle,
    ...accents,
    ...equipment,
  ]).filter(({ amount }) => amount.value > 0)
}
