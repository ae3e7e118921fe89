/** What a job costs, decoration by decoration, and the price that comes of it. */
import { outlineAreaMm2 } from '../geometry'
import { derive, found, setting, sumOf, type Working } from '../quantity'
import {
  priceOf,
  pricingSchema,
  STARTING_PRICING,
  type PriceName,
  type Prices,
  type Pricing,
  type ShoppingLine,
} from '../supply'
import type { Plan } from './plan'

/** One line of a quote: what it is, and paper, colour and hands in it. */
type QuoteLine = {
  readonly id: string
  readonly name: string
  readonly cost: Working
  readonly handsMin: number
}

/** One element more of a decoration. */
type OneMore = { readonly decoration: string; readonly called: string; readonly cost: Working }

export type Quote = {
  readonly lines: readonly QuoteLine[]
  readonly bare: Working
  readonly overhead: Working
  readonly price: Working
  /** What one more element of each decoration would cost. */
  readonly oneMore: readonly OneMore[]
}

const money = (
  label: string,
  rule: string,
  formula: string,
  inputs: Readonly<Record<string, Working>>,
  compute: (values: Readonly<Record<string, number>>) => number,
): Working => derive(label, 'money', rule, formula, inputs, compute)
const sheetArea = ({
  outline,
  holes,
}: {
  readonly outline: Parameters<typeof outlineAreaMm2>[0]
  readonly holes: readonly Parameters<typeof outlineAreaMm2>[0][]
}): number => Math.abs(outlineAreaMm2(outline)) - holes.reduce((sum, hole) => sum + Math.abs(outlineAreaMm2(hole)), 0)

/** Hands of a decoration: making and placing it. */
const handsOf = ({ work }: Plan, id: string): number => {
  const making = work.making.find(({ decoration }) => decoration === id)
  if (!making) return 0
  return making.hands.value + (work.place.value > 0 ? making.place.value : 0)
}

type Shared = { readonly discs: number; readonly sheets: number }

/** What of the paper is cut for a decoration: its share by area of the sheets and discs it is cut from. */
function paperOfOne({ groups }: Plan, id: string): Shared {
  const shared = { discs: 0, sheets: 0 }
  for (const { parts, needs } of groups) {
    const area = (of: (part: (typeof parts)[number]) => boolean): number =>
      parts.filter(of).reduce((all, part) => all + part.quantity * sheetArea(part), 0)
    const all = area(() => true)
    const share = all > 0 ? area((part) => part.decoration === id) / all : 0
    for (const { shape, needed } of needs) shared[shape.kind === 'disc' ? 'discs' : 'sheets'] += needed.value * share
  }
  return shared
}

/** Drops of colour in baths and dishes for a decoration, by its share of their pieces. */
function dropsFor({ dishes: { dishes, baths } }: Plan, id: string): number {
  const share = (uses: readonly { readonly decoration: string; readonly pieces: Working }[]): number => {
    const own = uses.filter(({ decoration }) => decoration === id).reduce((sum, { pieces }) => sum + pieces.value, 0)
    return (
      own /
      Math.max(
        1e-9,
        uses.reduce((sum, { pieces }) => sum + pieces.value, 0),
      )
    )
  }
  const inDishes = dishes.reduce(
    (sum, { uses, doses }) => sum + share(uses) * doses.reduce((all, { whole }) => all + whole, 0),
    0,
  )
  return baths.reduce((sum, { uses, totalDrops }) => sum + share(uses) * totalDrops.value, inDishes)
}

type LineParts = Partial<Shared> & { readonly drops?: number; readonly minutes: number }

/**
 * Costs shared out: paper by the area of pieces on shared sheets and discs, colour by dishes and baths, hands by their
 * steps. The lines add up to what the tally says, and what else is bought and has a price.
 */
export function quoteOf(plan: Plan, shopping: readonly ShoppingLine[], prices: Prices, pricing: Pricing): Quote {
  const price = (name: PriceName): Working => priceOf(prices, name)
  const isMade = plan.decorations.filter(({ elements }) => elements.length > 0)
  const dyeMl = plan.dyeUses.reduce((sum, { ml }) => sum + ml.value, 0)
  const allDrops = isMade.reduce((sum, { id }) => sum + dropsFor(plan, id), 0)
  const colourFor = (drops: number): number => (allDrops > 0 ? (dyeMl * drops) / allDrops : 0)
  const line = (id: string, name: string, { discs, sheets, drops, minutes }: LineParts): QuoteLine => {
    const inputs = {
      ...(discs && {
        discs: found('discs', discs, 'ratio', 'its share by area of those it is cut from'),
        discEach: price('discEach'),
      }),
      ...(sheets && {
        sheets: found('sheets', sheets, 'ratio', 'its share by area of those it is cut from'),
        sheetEach: price('sheetEach'),
      }),
      ...(drops && {
        colour: found('colour', colourFor(drops), 'volume', 'its share of the drops of baths and dishes'),
        colourMl: price('colourMl'),
      }),
      hands: found('hands', minutes, 'duration', 'steps added up'),
      hour: price('hour'),
    }
    const formula = [
      ...(discs ? ['{discs} × {discEach}'] : []),
      ...(sheets ? ['{sheets} × {sheetEach}'] : []),
      ...(drops ? ['{colour} × {colourMl}'] : []),
      '{hands} in hours × {hour}',
    ].join(' + ')
    const cost = (discs ?? 0) * prices.discEach + (sheets ?? 0) * prices.sheetEach
    const total = cost + (drops ? colourFor(drops) * prices.colourMl : 0) + (minutes / 60) * prices.hour
    return {
      id,
      name,
      handsMin: minutes,
      cost: money(name.toLowerCase(), 'paper, colour and hands', formula, inputs, () => total),
    }
  }
  const own = isMade.map(({ id, name }) =>
    line(id, name, { ...paperOfOne(plan, id), drops: dropsFor(plan, id), minutes: handsOf(plan, id) }),
  )
  const taken = isMade.map(({ id }) => paperOfOne(plan, id))
  const left = (kind: 'disc' | 'rect', own: number): number =>
    plan.sheets.filter(({ shape }) => shape.kind === kind).reduce((sum, { needed }) => sum + needed.value, 0) - own
  const restDiscs = left(
    'disc',
    taken.reduce((sum, { discs }) => sum + discs, 0),
  )
  const restSheets = left(
    'rect',
    taken.reduce((sum, { sheets }) => sum + sheets, 0),
  )
  const madeMin = own.reduce((sum, { handsMin }) => sum + handsMin, 0)
  const rest = line('cake', 'Cake, packing, drive and hand-over by hand', {
    minutes: Math.max(0, plan.work.total.value - madeMin),
    ...(restDiscs > 1e-6 && { discs: restDiscs }),
    ...(restSheets > 1e-6 && { sheets: restSheets }),
  })
  const materials = materialsOf(shopping.filter(({ need }) => need.pricedBy === 'pack'))
  const lines = [...own, rest, { id: 'materials', name: 'Wire, coverings and the like', cost: materials, handsMin: 0 }]
  const bare = sumOf(
    'bare cost',
    'money',
    'lines added up',
    lines.map(({ cost }) => cost),
  )
  const overhead = derive(
    'overhead',
    'money',
    'a share of the bare cost',
    '{bare} × {share}',
    { bare, share: pricingWorking(pricing, 'overhead') },
    (v) => v.bare * v.share,
  )
  return {
    lines,
    bare,
    overhead,
    price: derive(
      'price',
      'money',
      'so that the margin is left',
      '( {bare} + {overhead} ) ÷ ( 1 − {margin} )',
      { bare, overhead, margin: pricingWorking(pricing, 'margin') },
      (v) => (v.bare + v.overhead) / (1 - v.margin),
    ),
    oneMore: isMade.map((each): OneMore => ({
      decoration: each.id,
      called: each.called,
      cost: oneMoreOf(
        own.find(({ id }) => id === each.id)!,
        each.count,
      ),
    })),
  }
}

const pricingWorking = (pricing: Pricing, key: keyof Pricing): Working =>
  setting(
    pricingSchema.shape[key].meta()!.label as string,
    pricing[key],
    STARTING_PRICING[key],
    'share',
    'guess',
    'Supply',
  )

/** What is used of what is bought in packs: the job pays for its part of a pack. */
const materialsOf = (bought: readonly ShoppingLine[]): Working =>
  sumOf(
    'other materials',
    'money',
    'used, by the price of a pack',
    bought.map(({ need, pack, packPrice }) =>
      derive(
        need.name,
        'money',
        'its part of a pack',
        '{amount} ÷ {pack} × {price}',
        { amount: need.amount, pack: found('in a pack', pack, need.kind, 'as Supply has it'), price: packPrice },
        (v) => (v.amount / v.pack) * v.price,
      ),
    ),
  )

/** One element more as the others are, spares too: its share of paper, colour and hands. */
const oneMoreOf = ({ cost }: QuoteLine, count: Working): Working =>
  derive(
    'one more',
    'money',
    'as the others are, spares too',
    '{cost} ÷ {count}',
    { cost, count },
    (v) => v.cost / v.count,
  )
