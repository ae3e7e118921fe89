import { derive, sumOf, type Working } from '../quantity'
import type { StockShape } from '../material'
import { priceOf, type Prices } from './prices'
import type { SheetNeed } from './shopping'

/** Paper, colour and hands of a job. @param colour dye that goes into baths and dishes */
export function costOf(sheets: readonly SheetNeed[], colour: Working, handsOn: Working, prices: Prices): Working {
  const of = (kind: StockShape['kind'], label: string): Working =>
    sumOf(
      label,
      'count',
      'all sizes added up',
      sheets.filter(({ shape }) => shape.kind === kind).map(({ needed }) => needed),
    )
  const [discs, rects] = [of('disc', 'discs'), of('rect', 'sheets')]
  const hasDiscs = discs.value > 0
  return derive(
    'cost',
    'money',
    'paper, colour and hands',
    `${hasDiscs ? '{discs} × {discEach} + ' : ''}{sheets} × {sheetEach} + {colour} × {colourMl} + {hands} in hours × {hour}`,
    {
      ...(hasDiscs && { discs, discEach: priceOf(prices, 'discEach') }),
      sheets: rects,
      sheetEach: priceOf(prices, 'sheetEach'),
      colour,
      colourMl: priceOf(prices, 'colourMl'),
      hands: handsOn,
      hour: priceOf(prices, 'hour'),
    },
    () =>
      discs.value * prices.discEach +
      rects.value * prices.sheetEach +
      colour.value * prices.colourMl +
      (handsOn.value / 60) * prices.hour,
  )
}
