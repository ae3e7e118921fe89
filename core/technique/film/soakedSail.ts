/**
 * Soaked sail: a whole, half or quarter disc of rice film, soaked till limp as cloth and draped over a mat or parchment.
 *
 * By hand: 85 mm seen with a foot of 15 mm is 100 mm flat, 101.5 mm with 1.5 % of shrink; as a half that is a disc of
 * 203 mm, so 220, seen 2 × 110 × 0.985 ÷ 1.6 = 135 mm wide. As it comes, a half of a 220 mm disc that shrinks by 2.6 % is
 * seen 110 × 0.974 − 15 = 92 mm high.
 * Four sails and three spares in two shades are soaked and draped in 7 × 5 + 2 × 8 = 51 min, the doses mixed
 * meanwhile; four feet take 4 × 0.8 = 3.2 g of piping gel.
 */
import { z } from 'zod'
import { defineTechnique, type Fitted, type Means, type PlacedElement, type Sector } from '../define'
import { STANDARD_SPARES } from '../flat'
import { drapedMesh } from './drape'
import { PORTIONS, portionsByRank, REACH_PER_DIAMETER, smallestReaching, WIDTH_PER_REACH } from './portion'
import { STARTING_FOOT_MM, flatReachOf, shrinkOf, discsOf, seenOfSector, sectorKind } from './gathered'

const SIZINGS = ['toFit', 'asItComes'] as const
const STARTING_GATHER = 1.6

const mixShare = (label: string) => z.number().min(0).max(1).meta({ label, kind: 'share', group: 'mix' })

const parameters = z
  .strictObject({
    sizing: z.enum(SIZINGS).meta({
      label: 'Sized',
      kind: 'choice',
      options: { toFit: 'to fit: the smallest portion that reaches', asItComes: 'as it comes: from the largest disc' },
    }),
    seenMm: z.number().min(30).max(250).meta({ label: 'Seen height', kind: 'length', help: 'Of the biggest, to fit' }),
    whole: mixShare('Whole discs'),
    half: mixShare('Half discs'),
    quarter: mixShare('Quarter discs'),
    gather: z.number().min(1.3).max(2).meta({ label: 'Gather', kind: 'ratio', help: 'Flat width for each width seen' }),
    insertionMm: z
      .number()
      .min(5)
      .max(40)
      .meta({ label: 'Foot', kind: 'length', help: 'What goes behind or into the cake' }),
    skewered: z.boolean().meta({ label: 'Skewer rolled into the foot', kind: 'choice' }),
  })
  .refine(({ whole, half, quarter }) => whole + half + quarter > 0, {
    message: 'Choose at least one of whole, half and quarter.',
  })

type SoakedSail = z.infer<typeof parameters>

const NO_MEANS: Means = { shrink: {}, drying: 'mat', shapes: [] }

/** A mean over the mix of portions. */
function meanOver(sail: SoakedSail, of: (portion: (typeof PORTIONS)[number]) => number): number {
  const total = PORTIONS.reduce((sum, portion) => sum + sail[portion], 0)
  return PORTIONS.reduce((sum, portion) => sum + sail[portion] * of(portion), 0) / total
}

/** One sail by its place: the sector it was told to be, or the smallest that reaches, or what the largest disc gives. */
function fittedTo(
  { size, cut }: PlacedElement,
  portion: Sector['portion'],
  sail: SoakedSail,
  shrink: number,
  discs: readonly number[],
): Fitted {
  const asItComes = sail.sizing === 'asItComes'
  const told = cut ?? (asItComes ? { portion, discMm: Math.max(...discs) } : null)
  if (told && asItComes) return { ...told, ...seenOfSector(told, sail, shrink), shortMm: 0 }
  const seenMm = sail.seenMm * size
  const flatReach = flatReachOf(seenMm, sail, shrink)
  const sector = told ?? smallestReaching(portion, flatReach, discs)
  return {
    ...sector,
    heightMm: seenMm,
    widthMm: seenOfSector(sector, sail, shrink).widthMm,
    shortMm: Math.max(0, flatReach - sector.discMm * REACH_PER_DIAMETER[sector.portion]),
  }
}

export const soakedSail = defineTechnique({
  id: 'soakedSail',
  name: 'Soaked sail',
  element: 'sail',
  family: 'sails',
  alsoCalled: ['wave', 'drape', 'translucent', 'glass'],
  say: 'Discs of rice film soaked limp, draped in folds, dried like glass.',
  papers: ['riceFilm'],
  whyPaper: 'Only rice film can be soaked till it falls like cloth, and dries clear.',
  unfit: {
    thinWafer: 'Wafer dissolves when it is soaked.',
    standardWafer: 'Wafer dissolves when it is soaked.',
    thickWafer: 'Wafer dissolves when it is soaked.',
  },
  compositions: ['sweep', 'cluster', 'crown', 'band', 'scatter', 'pair', 'single'],
  finishes: ['edgeGilding', 'dusting', 'twoTone'],
  fromDiscs: true,
  dries: ['mat', 'fan', 'rack', 'dryRoom', 'oven'],
  startingColouring: 'stepped',
  stands: true,
  placeMin: 3,
  parameters,
  startingParameters: {
    sizing: 'toFit',
    seenMm: 90,
    whole: 0.3,
    half: 0.4,
    quarter: 0.3,
    gather: STARTING_GATHER,
    insertionMm: STARTING_FOOT_MM,
    skewered: false,
  },
  sizedBy: ['seenMm'],
  startingColour: '#d9572b',
  startingTail: '#f3dfc2',
  spareShare: STANDARD_SPARES.soaked,

  seen: (sail, means = NO_MEANS) => {
    const shrink = shrinkOf(means).value
    const widthPerReach = meanOver(sail, (portion) => WIDTH_PER_REACH[portion]) / sail.gather
    // A gathered foot is as wide as the part of the portion that goes into the cake.
    const standsMm = flatReachOf(0, sail, shrink) * widthPerReach
    if (sail.sizing === 'asItComes') {
      const discMm = Math.max(...discsOf(means.shapes))
      const biggest = PORTIONS.find((portion) => sail[portion] > 0)!
      const widthMm = meanOver(sail, (portion) => seenOfSector({ portion, discMm }, sail, shrink).widthMm)
      return { ...seenOfSector({ portion: biggest, discMm }, sail, shrink), widthMm, footWidthMm: widthMm, standsMm }
    }
    const discs = discsOf(means.shapes)
    const flatReach = flatReachOf(sail.seenMm, sail, shrink)
    const asCut = (portion: (typeof PORTIONS)[number]): number =>
      seenOfSector(smallestReaching(portion, flatReach, discs), sail, shrink).widthMm
    return {
      heightMm: sail.seenMm,
      widthMm: meanOver(sail, asCut),
      footWidthMm: standsMm,
      standsMm,
    }
  },

  fit: (sail, elements, means) => {
    const shrink = shrinkOf(means).value
    const discs = discsOf(means.shapes)
    const portions = portionsByRank(
      elements.map(({ size }) => size),
      sail,
    )
    return elements.map((element, at) => ({
      ...element,
      fitted: fittedTo(element, portions[at]!, sail, shrink, discs),
    }))
  },

  pieces: (sail, size, element, means = NO_MEANS) => {
    const shrink = shrinkOf(means)
    const sector =
      element?.fitted ?? smallestReaching('half', flatReachOf(sail.seenMm * size, sail, shrink.value), discsOf([]))
    return [sectorKind(sector, sail, element?.fitted?.heightMm ?? sail.seenMm * size, shrink)]
  },

  steps: [
    {
      id: 'cut',
      name: 'Cut the discs',
      say: 'Cut dry, with scissors, along the marked lines. Mark each piece in food-safe pencil at its foot.',
      minutes: { perPiece: 0.3 },
      cuts: true,
      putDown: true,
    },
    {
      id: 'soak',
      name: 'Soak and drape',
      say: 'Soak till limp as cloth, lift with both hands, let it drip, dab, and drape while slightly tacky. Wet fingers help.',
      minutes: { perPiece: 5 },
      soaks: true,
      colours: true,
      rest: { until: 'firm', from: 'soaked', usualMin: 1440 },
      hold: { place: 'mat', per: 'footprint', untilStep: 'lift' },
    },
    {
      id: 'lift',
      name: 'Lift off',
      say: 'Peel from the rim towards the foot, gently: it snaps. Leave it in the air to go on drying.',
      minutes: { perPiece: 1 },
      turnsOf: 'soak',
      rest: { until: 'set', from: 'soaked', usualMin: 1440, since: 'soak' },
    },
    {
      id: 'choose',
      name: 'Choose and trim',
      say: 'Hold each against the cake, keep the best, trim feet flat.',
      minutes: { perPiece: 3 },
      putDown: true,
    },
  ],
  supplies: [{ supply: 'kitchenPaper', at: 'soak', per: 'piece', amount: 0.5 }],
  fixed: () => ({ by: 'foot', joints: 1 }),
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
    {
      seen: 'The rim is dry before it is draped',
      because: 'it dripped too long',
      next: 'a wet finger along the rim',
    },
    { seen: 'The foot is still bendy', because: 'folded double on the mat', next: 'turn it, open the foot' },
  ],
  holdingParts: ({ skewered }) =>
    skewered ? [{ id: 'skewer', name: 'wooden skewers', perElement: 1, stays: true }] : [],

  draw: (sail, element, wall) => {
    const fitted = element.fitted ?? {
      portion: 'half' as const,
      widthMm: sail.seenMm * 1.2,
      heightMm: sail.seenMm * element.size,
    }
    return drapedMesh(fitted, element, wall)
  },
})
