/** What a job costs, decoration by decoration, and the price that comes of it. */
import { outlineAreaMm2 } from '../geometry'
import { pieceAreaDm2 } from '../piece'
import { derive, found, starting, sumOf, typed, type Working } from '../quantity'
import { pricesSchema, pricingSchema, STARTING_PRICING, type Prices, type Pricing, type ShoppingLine } from '../supply'
import type { Plan } from './plan'

/** One line of a quote: what it is, and paper, colour and hands in it. */
type QuoteLine = {
  readonly id: string
  readonly name: string
  readonly cost: Working
  readonly handsMin: number
}

export type Quote = {
  readonly lines: readonly QuoteLine[]
  /** Things that have no price yet, so that the quote is too low. */
  readonly unpriced: readonly string[]
  readonly bare: Working
  readonly overhead: Working
  readonly price: Working
  /** What one more sail would cost; none where there are none. */
  readonly oneMoreSail: Working | null
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
const handsOf = (plan: Plan, id: string): number => {
  const making = plan.work.making.find((each) => each.id === id)
  return making ? making.hands.value + (plan.work.place.value > 0 ? making.place.value : 0) : 0
}

/**
 * Costs shared out: paper by the area of its pieces on shared sheets, colour by the dishes and the bath, hands by
 * their steps. The lines add up to what the tally says, and what else is bought and has a price.
 */
export function quoteOf(plan: Plan, shopping: readonly ShoppingLine[], prices: Prices, pricing: Pricing): Quote {
  const price = (key: keyof Prices): Working =>
    typed(pricesSchema.shape[key].meta()!.label as string, prices[key], 'money', 'Timetable')
  const hour = price('hour')
  const hands = (label: string, minutes: number): Working => found(label, minutes, 'duration', 'steps added up')
  const dyeMl = plan.dyeUses.reduce((sum, { ml }) => sum + ml.value, 0)
  const dropsIn = (id: string): number =>
    plan.dishes.dishes.reduce((sum, { uses, doses }) => {
      const own = uses.find(({ decoration }) => decoration === id)
      return own
        ? sum +
            (doses.reduce((all, { whole }) => all + whole, 0) * own.pieces.value) /
              uses.reduce((all, { pieces }) => all + pieces.value, 0)
        : sum
    }, 0)
  const dishDrops = plan.paperwork.reduce((sum, { id }) => sum + dropsIn(id), 0)
  const bathDrops = plan.bath?.totalDrops.value ?? 0
  const colourOf = (drops: number): Working =>
    found(
      'colour',
      dishDrops + bathDrops > 0 ? (dyeMl * drops) / (dishDrops + bathDrops) : 0,
      'volume',
      'its share of the drops of bath and dishes',
    )
  const sheetsOf = (id: string): number =>
    plan.groups.reduce((sum, { parts, sheets }) => {
      const area = (of: (part: (typeof parts)[number]) => boolean): number =>
        parts.filter(of).reduce((all, part) => all + part.quantity * sheetArea(part), 0)
      const all = area(() => true)
      return all > 0 ? sum + (sheets.value * area((part) => part.decoration === id)) / all : sum
    }, 0)
  const isMade = plan.paperwork.filter(({ elements }) => elements.length > 0)
  const sailMin =
    plan.cutList.pieces.length === 0
      ? 0
      : plan.work.cut.value +
        plan.work.choose.value +
        plan.work.loads.reduce((sum, { drape, lift }) => sum + drape.value + lift.value, 0) +
        (plan.work.place.value > 0
          ? plan.work.place.value - plan.work.making.reduce((sum, { place }) => sum + place.value, 0)
          : 0)
  const line = (
    id: string,
    name: string,
    parts: { readonly discs?: number; readonly sheets?: number; readonly drops?: number; readonly minutes: number },
  ): QuoteLine => ({
    id,
    name,
    handsMin: parts.minutes,
    cost: money(
      name.toLowerCase(),
      'paper, colour and hands',
      [
        ...(parts.discs ? ['{discs} × {discEach}'] : []),
        ...(parts.sheets ? ['{sheets} × {sheetEach}'] : []),
        ...(parts.drops ? ['{colour} × {colourMl}'] : []),
        '{hands} in hours × {hour}',
      ].join(' + '),
      {
        ...(parts.discs && {
          discs: found('discs', parts.discs, 'count', 'laid out for it'),
          discEach: price('discEach'),
        }),
        ...(parts.sheets && {
          sheets: found('sheets', parts.sheets, 'ratio', 'its share by area of those it is cut from'),
          sheetEach: price('sheetEach'),
        }),
        ...(parts.drops && { colour: colourOf(parts.drops), colourMl: price('colourMl') }),
        hands: hands('hands', parts.minutes),
        hour,
      },
      (v) =>
        (v.discs ?? 0) * (v.discEach ?? 0) +
        (v.sheets ?? 0) * (v.sheetEach ?? 0) +
        (v.colour ?? 0) * (v.colourMl ?? 0) +
        (v.hands! / 60) * v.hour!,
    ),
  })
  const own = [
    ...(plan.cutList.pieces.length > 0
      ? [line('sails', 'Soaked sails', { discs: plan.discs.length, drops: bathDrops, minutes: sailMin })]
      : []),
    ...isMade.map(({ id, name }) =>
      line(id, name, { sheets: sheetsOf(id), drops: dropsIn(id), minutes: handsOf(plan, id) }),
    ),
  ]
  const madeMin = own.reduce((sum, { handsMin }) => sum + handsMin, 0)
  const ownSheets =
    plan.groups.reduce((sum, { sheets }) => sum + sheets.value, 0) -
    isMade.reduce((sum, { id }) => sum + sheetsOf(id), 0)
  const rest = line('cake', 'Cake, packing, drive and hand-over by hand', {
    minutes: Math.max(0, plan.work.total.value - madeMin),
    ...(ownSheets > 1e-6 && { sheets: ownSheets }),
  })
  const bought = shopping.filter(({ need }) => need.eachPrice === null)
  const priced = bought.filter(({ price: pack }) => pack !== null)
  const materials = money(
    'other materials',
    'used, by the price of a pack',
    priced.map((_, at) => `{use${at}}`).join(' + ') || '0',
    Object.fromEntries(
      priced.map(({ need, price: pack }, at) => [
        `use${at}`,
        found(need.name, (need.amount.value / packOf(need, shopping)) * pack!, 'money', 'its share of a pack'),
      ]),
    ),
    (v) => Object.values(v).reduce((sum, each) => sum + each, 0),
  )
  const lines = [...own, rest, { id: 'materials', name: 'Wire, coverings and the like', cost: materials, handsMin: 0 }]
  const bare = sumOf(
    'bare cost',
    'money',
    'lines added up',
    lines.map(({ cost }) => cost),
  )
  const setting = (key: keyof Pricing): Working =>
    pricing[key] === STARTING_PRICING[key]
      ? starting(pricingSchema.shape[key].meta()!.label as string, pricing[key], 'share', 'guess')
      : typed(pricingSchema.shape[key].meta()!.label as string, pricing[key], 'share', 'Supply')
  const overhead = derive(
    'overhead',
    'money',
    'a share of the bare cost',
    '{bare} × {share}',
    { bare, share: setting('overhead') },
    (v) => v.bare * v.share,
  )
  return {
    lines,
    bare,
    overhead,
    unpriced: bought.filter(({ price: pack }) => pack === null).map(({ need }) => need.name),
    price: derive(
      'price',
      'money',
      'so that the margin is left',
      '( {bare} + {overhead} ) ÷ ( 1 − {margin} )',
      { bare, overhead, margin: setting('margin') },
      (v) => (v.bare + v.overhead) / (1 - v.margin),
    ),
    oneMoreSail: oneMoreSail(
      plan,
      own[0]?.id === 'sails' ? own[0] : null,
      dyeMl,
      bathDrops / Math.max(1e-9, dishDrops + bathDrops),
      { discEach: price('discEach'), colourMl: price('colourMl'), hour },
    ),
  }
}

const packOf = ({ item, usualPack }: ShoppingLine['need'], shopping: readonly ShoppingLine[]): number => {
  const { packs } = shopping.find(({ need }) => need.item === item)!
  return packs.source.from === 'derived' ? packs.source.inputs.pack!.value : usualPack
}

/**
 * One sail more as the others are: its film with spares, its share of the bath, hands for it from cutting to placing.
 */
function oneMoreSail(
  { arrangement, discs, cutList }: Plan,
  sails: QuoteLine | null,
  dyeMl: number,
  bathShare: number,
  { discEach, colourMl, hour }: Readonly<Record<'discEach' | 'colourMl' | 'hour', Working>>,
): Working | null {
  const count = arrangement.count.value
  if (!sails || count === 0) return null
  const area = cutList.pieces.reduce((sum, piece) => sum + pieceAreaDm2(piece), 0)
  return derive(
    'one more sail',
    'money',
    'as the others are, spares too',
    '{discs} × {discEach} + {colour} × {colourMl} + {hands} in hours × {hour}',
    {
      discs: found('film for each, in discs', discs.length / count, 'ratio', 'all discs by all sails'),
      discEach,
      colour: found('colour for each', area > 0 ? (dyeMl * bathShare) / count : 0, 'volume', 'the bath by all sails'),
      colourMl,
      hands: found('hands for each', sails.handsMin / count, 'duration', 'hands at the sails by all sails'),
      hour,
    },
    (v) => v.discs * v.discEach + v.colour * v.colourMl + (v.hands / 60) * v.hour,
  )
}
