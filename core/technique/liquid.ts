/** Liquids that techniques use, made up by recipes elsewhere. */
export const MIXTURE_IDS = ['edibleGlue', 'damping', 'conditioner', 'gelatineFilm', 'slurry'] as const
export type MixtureId = (typeof MIXTURE_IDS)[number]

/** How much of a mixture a technique takes: for each dm² of its pieces as cut, or a dot for each piece; ml. */
export type LiquidUse = { readonly mixture: MixtureId; readonly per: 'dm2' | 'piece'; readonly ml: number }
