import { z } from 'zod'
import { derive, sumOf, typed, type Working } from '../quantity'
import type { StockShape } from '../material'
import type { SheetNeed } from './shopping'

/** What things cost this studio, in its own money. */
export const pricesSchema = z.strictObject({
  discEach: z.number().min(0).max(1000).meta({ label: 'A disc of film', kind: 'money' }),
  sheetEach: z.number().min(0).max(1000).meta({ label: 'A sheet of paper', kind: 'money' }),
  colourMl: z.number().min(0).max(1000).meta({ label: 'Colour, each ml', kind: 'money' }),
  hour: z.number().min(0).max(1000).meta({ label: 'An hour of your work', kind: 'money' }),
})

export type Prices = z.infer<typeof pricesSchema>

/** Guesses to replace. */
export const STARTING_PRICES: Prices = { discEach: 0.6, sheetEach: 0.5, colourMl: 0.5, hour: 25 }

/** Paper, colour and hands of a job. @param colour dye that goes into baths and dishes */
export function costOf(sheets: readonly SheetNeed[], colour: Working, handsOn: Working, prices: Prices): Working {
  const price = (key: keyof Prices): Working =>
    typed(pricesSchema.shape[key].meta()!.label as string, prices[key], 'money', 'Timetable')
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
      ...(hasDiscs && { discs, discEach: price('discEach') }),
      sheets: rects,
      sheetEach: price('sheetEach'),
      colour,
      colourMl: price('colourMl'),
      hands: handsOn,
      hour: price('hour'),
    },
    () =>
      discs.value * prices.discEach +
      rects.value * prices.sheetEach +
      colour.value * prices.colourMl +
      (handsOn.value / 60) * prices.hour,
  )
}
