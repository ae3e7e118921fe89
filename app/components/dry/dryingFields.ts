import { decorationFields } from '#core/commission'

/** Warmth of the soaking water and of the oven. */
export const dryingFields = decorationFields.drying.shape
