import { z } from 'zod'
import { DYE_BASES, DYES, type Dye, type DyeBase } from '../material'

export const DYE_BASE_WORDS: Readonly<Record<DyeBase, string>> = {
  water: 'liquid',
  sugarGel: 'sugar gel',
  oil: 'in oil',
  spirit: 'in spirit',
  powder: 'powder',
}

/** A dye on the studio's shelf, with what a drop of it in 100 ml takes from each band of the light. */
export const dyeStockSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60).meta({ label: 'Dye' }),
  base: z.enum(DYE_BASES).meta({ label: 'Made with' }),
  absorptionPerDrop: z.tuple([z.number().min(0).max(2), z.number().min(0).max(2), z.number().min(0).max(2)]),
  onHandMl: z.number().min(0).max(5000).meta({ label: 'On hand', kind: 'volume' }),
  inUse: z.boolean(),
})

export type DyeStock = z.infer<typeof dyeStockSchema>
export const MOST_DYES_ON_SHELF = 16

const onShelf = (dye: Omit<Dye, 'base'>, inUse: boolean): DyeStock => ({
  id: dye.id,
  name: dye.name,
  base: 'water',
  absorptionPerDrop: [...dye.absorptionPerDrop],
  onHandMl: 0,
  inUse,
})

/** Three that mix most colours, and three that save mixing; strengths are guesses until a strip is dipped. */
export const STARTING_DYES: readonly DyeStock[] = [
  ...DYES.map((dye) => onShelf(dye, true)),
  onShelf({ id: 'pink', name: 'pink', absorptionPerDrop: [0.002, 0.045, 0.015] }, false),
  onShelf({ id: 'brown', name: 'brown', absorptionPerDrop: [0.02, 0.04, 0.07] }, false),
  onShelf({ id: 'black', name: 'black', absorptionPerDrop: [0.06, 0.06, 0.06] }, false),
]
