import { z } from 'zod'
import { RICE_FILM } from '../material'
import { derive, found, starting, typed, type Working } from '../quantity'
import { defineFilmTechnique, PORTIONS, type Portion, type SizedElement, type WantedElement } from './film'

const STARTING = { gather: 1.6, insertionMm: 15, whole: 0.3, half: 0.4, quarter: 0.3, skewered: false } as const

const mixShare = (label: string) => z.number().min(0).max(1).meta({ label, kind: 'share', group: 'mix' })

const parameters = z
  .strictObject({
    whole: mixShare('Whole discs'),
    half: mixShare('Half discs'),
    quarter: mixShare('Quarter discs'),
    gather: z.number().min(1.3).max(2).meta({ label: 'Gather', kind: 'ratio', help: 'Flat width for each width seen' }),
    insertionMm: z
      .number()
      .min(5)
      .max(40)
      .meta({ label: 'Foot', kind: 'length', help: 'What goes behind or into the cake' }),
    skewered: z.boolean().meta({ label: 'Skewer rolled into the foot' }),
  })
  .refine(({ whole, half, quarter }) => whole + half + quarter > 0, {
    message: 'Choose at least one of whole, half and quarter.',
  })

export type SoakedSail = z.infer<typeof parameters>

/**
 * Flat width of a portion for each mm of its reach from foot to rim: a disc is as wide as tall, a half twice, a
 * quarter the chord of its corner.
 */
const WIDTH_PER_REACH: Readonly<Record<Portion, number>> = { whole: 1, half: 2, quarter: Math.SQRT2 }

/** Reach of a portion from foot to rim for each mm of its disc's diameter. */
const REACH_PER_DIAMETER: Readonly<Record<Portion, number>> = { whole: 1, half: 0.5, quarter: 0.5 }

/** Seen height plus foot, before shrink. */
const flatReachOf = (seenHeight: Working, insertion: Working, shrink: Working): Working =>
  derive(
    'flat reach',
    'length',
    'from seen to cut',
    '( {seenHeight} + {insertion} ) ÷ ( 1 − {shrink} )',
    { seenHeight, insertion, shrink },
    (v) => (v.seenHeight + v.insertion) / (1 - v.shrink),
  )

/** The foot that goes behind or into the cake. */
const footOf = (sail: SoakedSail): Working =>
  sail.insertionMm === STARTING.insertionMm
    ? starting('foot', sail.insertionMm, 'length', 'usual')
    : typed('foot', sail.insertionMm, 'length', 'Arrange')

/**
 * How many of a count fall to each portion by the mix: whole numbers that add up to the count, and none falls when
 * the count grows.
 * @see Webster's method (Sainte-Laguë 1910): each in turn to the portion with the greatest share ÷ (2 × given + 1)
 */
export function apportion(count: number, mix: Readonly<Record<Portion, number>>): Readonly<Record<Portion, number>> {
  const given: Record<Portion, number> = { whole: 0, half: 0, quarter: 0 }
  for (let each = 0; each < count; each += 1) {
    const claims = PORTIONS.map((portion) => ({ portion, claim: mix[portion] / (2 * given[portion] + 1) }))
    given[claims.reduce((most, next) => (next.claim > most.claim ? next : most)).portion] += 1
  }
  return given
}

/**
 * The smallest disc whose portion reaches; where none does as this portion, a whole disc; where even that is short,
 * the largest.
 */
function chooseDisc(
  portion: Portion,
  flatReachMm: number,
  discsMm: readonly number[],
): { portion: Portion; discMm: number } {
  const smallestFirst = [...discsMm].sort((one, other) => one - other)
  const reaching = (as: Portion): number | undefined =>
    smallestFirst.find((discMm) => discMm * REACH_PER_DIAMETER[as] >= flatReachMm)
  const asWanted = reaching(portion)
  if (asWanted !== undefined) return { portion, discMm: asWanted }
  return { portion: 'whole', discMm: reaching('whole') ?? smallestFirst.at(-1)! }
}

/** Biggest elements take whole discs, the next halves, the small ones quarters to fill. */
function portionsByRank(wanted: readonly WantedElement[], sail: SoakedSail): ReadonlyMap<number, Portion> {
  const counts = apportion(wanted.length, sail)
  const inOrder = PORTIONS.flatMap((portion) => Array.from({ length: counts[portion] }, () => portion))
  const biggestFirst = [...wanted].sort(
    (one, other) => other.seenHeightMm - one.seenHeightMm || one.index - other.index,
  )
  return new Map(biggestFirst.map(({ index }, rank) => [index, inOrder[rank]!]))
}

export const soakedSail = defineFilmTechnique({
  id: 'soakedSail',
  name: 'Soaked sail',
  paper: RICE_FILM.name,
  parameters,
  startingParameters: { ...STARTING },
  spareShare: starting('spares of soaked film', 0.2, 'share', 'usual'),

  meanSeenWidth: (sail, meanSeenHeight, shrink) => {
    const total = PORTIONS.reduce((sum, portion) => sum + sail[portion], 0)
    const widthPerReach = derive(
      'flat width for each reach',
      'ratio',
      'mix of portions',
      '1 × {whole} + 2 × {half} + 1.41 × {quarter}, shared out',
      {
        whole: typed('whole', sail.whole, 'share', 'Arrange'),
        half: typed('half', sail.half, 'share', 'Arrange'),
        quarter: typed('quarter', sail.quarter, 'share', 'Arrange'),
      },
      (mix) => PORTIONS.reduce((sum, portion) => sum + mix[portion] * WIDTH_PER_REACH[portion], 0) / total,
    )
    const gather =
      sail.gather === STARTING.gather
        ? starting('gather', sail.gather, 'ratio', 'usual')
        : typed('gather', sail.gather, 'ratio', 'Arrange')
    return derive(
      'mean seen width',
      'length',
      'draped width',
      '{flatReach} × {widthPerReach} ÷ {gather}',
      { flatReach: flatReachOf(meanSeenHeight, footOf(sail), shrink), widthPerReach, gather },
      (v) => (v.flatReach * v.widthPerReach) / v.gather,
    )
  },

  size: (sail, wanted, shrink, discsMm) => {
    const portions = portionsByRank(wanted, sail)
    return wanted.map(({ index, seenHeightMm }): SizedElement => {
      const flatReach = flatReachOf(
        found('seen height here', seenHeightMm, 'length', 'from its place between heart and end of the sweep'),
        footOf(sail),
        shrink,
      )
      const { portion, discMm } = chooseDisc(portions.get(index)!, flatReach.value, discsMm)
      return {
        index,
        portion,
        seenHeightMm,
        seenWidthMm: (flatReach.value * WIDTH_PER_REACH[portion]) / sail.gather,
        flatReach,
        discMm,
        spareReachMm: discMm * REACH_PER_DIAMETER[portion] - flatReach.value,
      }
    })
  },

  steps: [
    {
      id: 'cut',
      name: 'Cut the discs',
      say: 'Cut dry, with scissors, along the marked lines. Number each piece in food-safe pencil at its foot.',
    },
    {
      id: 'soak',
      name: 'Soak and drape',
      say: 'Soak till limp as cloth, lift with both hands, let it drip, dab, and drape while slightly tacky. Wet fingers help.',
    },
    {
      id: 'lift',
      name: 'Lift off',
      say: 'Peel from the rim towards the foot, gently: it snaps. Stand it on a rack to go on drying.',
    },
    { id: 'choose', name: 'Choose and trim', say: 'Hold each against the cake, keep the best, trim feet flat.' },
    { id: 'pack', name: 'Pack airtight', say: 'Into a tight box with a desiccant bag, cool and dark.' },
    {
      id: 'place',
      name: 'Place',
      say: 'Heart first, then the large ones, then fill towards both ends. Hold each till it stands.',
    },
  ],
  cautions: [
    { id: 'sticky', at: 'soak', say: 'Wet film is very sticky and tears: one piece in the water at a time.' },
    { id: 'blade', at: 'cut', say: 'Scissors and blades: cut away from the hand.' },
    { id: 'brittle', at: 'lift', say: 'Dry film breaks into sharp flakes: sweep them up, keep them off the cake.' },
  ],
  failures: [
    {
      seen: 'It tears or sticks to itself',
      because: 'too long in the water',
      next: 'lift it with a little spring left',
    },
    { seen: 'The rim is dry before it is draped', because: 'it dripped too long', next: 'a wet finger along the rim' },
    { seen: 'The foot is still bendy', because: 'folded double on the mat', next: 'turn it, open the foot' },
  ],
  holdingParts: ({ skewered }) => (skewered ? [{ id: 'skewer', name: 'wooden skewers', perElement: 1 }] : []),
})
