import { demoWorkshop } from '#core/demo'
import { currencyOfLocale, type Moment } from '#core/quantity'
import { startingPrices } from '#core/supply'
import { STARTING_WORKSHOP, type Workshop } from '#core/workshop'
import type { StudioName } from './preferences'

/** What a studio begins with: the demo's things, or one's own with prices in the money of where the browser is. */
export const startingWorkshop = (studio: StudioName, now: Moment): Workshop =>
  studio === 'demo'
    ? demoWorkshop(now)
    : { ...STARTING_WORKSHOP, prices: startingPrices(currencyOfLocale(navigator.language)) }
