import { z } from 'zod'
import { derive, sumOf, typed, type Working } from '../quantity'
import type { DiscSupply } from './shopping'

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

/** Film, paper, colour and hands of a job. @param colour dye that goes into bath and dishes */
export function costOf(
  supplies: readonly DiscSupply[],
  sheets: Working,
  colour: Working,
  handsOn: Working,
  prices: Prices,
): Working {
  const price = (key: keyof Prices): Working =>
    typed(pricesSchema.shape[key].meta()!.label as string, prices[key], 'money', 'Timetable')
  const discs = sumOf(
    'discs',
    'count',
    'discs of all sizes',
    supplies.map(({ needed }) => needed),
  )
  return derive(
    'cost',
    'money',
    'film, paper, colour and hands',
    '{discs} × {discEach} + {sheets} × {sheetEach} + {colour} × {colourMl} + {hands} in hours × {hour}',
    {
      discs,
      discEach: price('discEach'),
      sheets,
      sheetEach: price('sheetEach'),
      colour,
      colourMl: price('colourMl'),
      hands: handsOn,
      hour: price('hour'),
    },
    (v) => v.discs * v.discEach + v.sheets * v.sheetEach + v.colour * v.colourMl + (v.hands / 60) * v.hour,
  )
}
