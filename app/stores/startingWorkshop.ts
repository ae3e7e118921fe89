import { currencyOfLocale, type Moment } from '#core/quantity'
import { startingPrices } from '#core/supply'
import { STARTING_WORKSHOP, type Workshop } from '#core/workshop'
import type { StudioName } from './preferences'

/** What one's own studio begins with: nothing but prices, in the money of where the browser is. */
export const ownBeginning = (): Workshop => ({
  ...STARTING_WORKSHOP,
  prices: startingPrices(currencyOfLocale(navigator.language)),
})

/** What a studio begins with: the demo with its things. */
export async function startingWorkshop(studio: StudioName, now: Moment): Promise<Workshop> {
  if (studio === 'own') return ownBeginning()
  const { demoWorkshop } = await import('#core/demo')
  return demoWorkshop(now)
}
