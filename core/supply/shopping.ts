import { z } from 'zod'
import { DISC_DIAMETERS_MM, type DiscDiameterMm } from '../material'
import { derive, typed, type Working } from '../quantity'

/** Discs of one diameter on the shelf: how many, and whether this studio works with them at all. */
export const discStockSchema = z.strictObject({
  diameterMm: z.union([z.literal(160), z.literal(220), z.literal(280)]),
  onHand: z.number().int().min(0).max(5000).meta({ label: 'On the shelf', kind: 'count' }),
  packSize: z.number().int().min(1).max(500).meta({ label: 'In a pack', kind: 'count' }),
  inUse: z.boolean(),
})

export type DiscStock = z.infer<typeof discStockSchema>

/** What a job takes of one diameter against the shelf. */
export type DiscSupply = {
  readonly diameterMm: DiscDiameterMm
  readonly needed: Working
  readonly onHand: Working
  readonly packsToBuy: Working
}

/** Discs needed, on hand, and to buy in whole packs, for every diameter the job uses. */
export function discSupplies(
  used: readonly { readonly diameterMm: number }[],
  stock: readonly DiscStock[],
): readonly DiscSupply[] {
  return DISC_DIAMETERS_MM.flatMap((diameterMm) => {
    const count = used.filter((disc) => disc.diameterMm === diameterMm).length
    const shelf = stock.find((each) => each.diameterMm === diameterMm)
    if (count === 0 || !shelf) return []
    const onHand = typed(`discs of ${diameterMm} mm on the shelf`, shelf.onHand, 'count', 'Cut')
    const needed = derive(
      `discs of ${diameterMm} mm`,
      'count',
      'discs laid out',
      'discs of {diameter} that the layout opens',
      { diameter: typed('diameter', diameterMm, 'length', 'Cut') },
      () => count,
    )
    const packsToBuy = derive(
      'packs to buy',
      'count',
      'whole packs',
      'round up( ( {needed} − {onHand} ) ÷ {packSize} ), at least 0',
      { needed, onHand, packSize: typed('in a pack', shelf.packSize, 'count', 'Cut') },
      (v) => Math.max(0, Math.ceil((v.needed - v.onHand) / v.packSize)),
    )
    return [{ diameterMm, needed, onHand, packsToBuy }]
  })
}
