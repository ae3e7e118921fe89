/** Everything that is bought for a job, from the plan of it. */
import { found } from '../quantity'
import { chosenOption, type Commission } from '../commission'
import { benchNeeds, keyOf, whole } from './benchNeeds'
import { colourNeeds, merged, paperItem, paperName, type Need, type Prices } from '../supply'
import type { Plan } from './plan'

/** Usual packs: guesses to replace under Supply. */
const PACKS = {
  disc: 10,
  sheet: 25,
  dye: 20,
  carrier: 250,
  dust: 5,
  paint: 15,
  mixture: 250,
  wire: 50,
  tape: 27_000,
  holder: 12,
  covering: 1000,
  support: 12,
  accent: 100,
  leaf: 25,
  single: 1,
  pick: 50,
  card: 10,
  desiccant: 20,
} as const

/**
 * What a job takes, item by item, each once.
 * @param boxes how many boxes pieces travel in; each takes a bag of desiccant
 */
export function needsOf(plan: Plan, commission: Commission, prices: Prices, boxes: number): readonly Need[] {
  const { cake } = chosenOption(commission)
  const sheets = plan.sheets.map(({ paper, shape, needed }): Need => ({
    item: paperItem(paper, shape),
    name: paperName(paper, shape),
    shelf: 'paper',
    kind: 'count',
    amount: needed,
    usualPack: shape.kind === 'disc' ? PACKS.disc : PACKS.sheet,
    eachPrice: shape.kind === 'disc' ? prices.discEach : prices.sheetEach,
  }))
  const dyes = plan.dyeUses.map(({ dye, ml }): Need => ({
    item: `dye ${dye}`,
    name: `${ml.label} dye`,
    shelf: 'colour',
    kind: 'volume',
    amount: ml,
    usualPack: PACKS.dye,
    eachPrice: prices.colourMl,
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
      eachPrice: null,
      shelf: amount.kind === 'mass' || name.includes('paint') || name.includes('dust') ? 'colour' : 'liquid',
      usualPack: amount.kind === 'mass' ? PACKS.dust : name.includes('paint') ? PACKS.paint : PACKS.carrier,
    }))
  const wires = plan.wires.gauges.map(({ gauge, stock }): Need => ({
    item: `wire ${gauge}`,
    name: `wire, gauge ${gauge}`,
    shelf: 'wire',
    kind: 'count',
    amount: stock,
    usualPack: PACKS.wire,
    eachPrice: null,
  }))
  const tape = plan.wires.tape.map((length): Need => ({
    item: `tape ${keyOf(length.label)}`,
    name: length.label,
    shelf: 'wire',
    kind: 'length',
    amount: length,
    usualPack: PACKS.tape,
    eachPrice: null,
  }))
  const holders = plan.wires.holders
    ? [
        {
          item: 'holder',
          name: 'food-safe holders',
          shelf: 'wire',
          kind: 'count',
          amount: plan.wires.holders,
          usualPack: PACKS.holder,
          eachPrice: null,
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
      usualPack: /cards/.test(name) ? PACKS.card : /dummy|separator/.test(name) ? PACKS.single : PACKS.pick,
      eachPrice: null,
    }))
  const coverings = [
    ...plan.cake.coverings.map(({ name, total }) => ({ name, total })),
    ...plan.cake.tiers.flatMap(({ covering }) =>
      covering?.crumbCoat ? [{ name: 'Crumb coat', total: covering.crumbCoat }] : [],
    ),
  ].map(({ name, total }): Need => ({
    item: `covering ${keyOf(name)}`,
    name: name.toLowerCase(),
    shelf: 'covering',
    kind: 'mass',
    amount: total,
    usualPack: PACKS.covering,
    eachPrice: null,
  }))
  const supports = plan.cake.tiers.flatMap(({ supports: own }, at) =>
    own.map(({ count }): Need => ({
      item: 'support',
      name: 'dowels or straws',
      shelf: 'equipment',
      kind: 'count',
      amount: { ...count, label: `in tier ${at + 1}` },
      usualPack: PACKS.support,
      eachPrice: null,
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
          usualPack: PACKS.single,
          eachPrice: null,
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
      usualPack: accent === 'topper' ? PACKS.single : accent === 'leafFlake' ? PACKS.leaf : PACKS.accent,
      eachPrice: null,
    }))
  const equipment: readonly Need[] = [
    {
      item: `board ${cake.board.outline} ${Math.round(cake.board.acrossMm)}`,
      name: `cake board, ${Math.round(cake.board.acrossMm)} mm`,
      shelf: 'equipment',
      kind: 'count',
      amount: found('board', 1, 'count', 'the cake stands on it'),
      usualPack: PACKS.single,
      eachPrice: null,
    },
    ...(boxes > 0
      ? [
          {
            item: 'desiccant',
            name: 'bags of desiccant, food-safe',
            shelf: 'equipment',
            kind: 'count',
            amount: found('boxes', boxes, 'count', 'a bag in each box that Deliver packs'),
            usualPack: PACKS.desiccant,
            eachPrice: null,
          } satisfies Need,
        ]
      : []),
  ]
  return merged([
    ...sheets,
    ...dyes,
    ...liquids,
    ...benchNeeds(plan.decorations),
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
