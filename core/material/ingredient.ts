/** Ingredients that clients ask to leave out. */
export type Ingredient = 'gelatine' | 'dairy' | 'alcohol'
