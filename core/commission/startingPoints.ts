/** Composed beginnings: whole cakes' worth of decoration, laid on the user's own tiers. */
import { startingAccent } from '../accent'
import { stackHeightMm, stackTiers } from '../cake'
import { made, topOf, heightOf, fading, gilded, pearls, withBouquet, type StartingPoint } from './startingCakes'

export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    id: 'frontCascade',
    name: 'Front cascade',
    say: 'Soaked sails pour from the upper right down the front, pearls between them.',
    on: (cake) => {
      const high = stackHeightMm(stackTiers(cake))
      return {
        bouquets: [],
        decorations: [
          made(cake, 'sails', 'soakedSail', {
            parameters: { seenMm: Math.min(110, Math.max(60, high * 0.4)) },
            composition: {
              fromAngleDeg: 42,
              fromHeightMm: high * 0.86,
              toAngleDeg: -28,
              toHeightMm: high * 0.06,
              heart: 0.6,
              overlap: 0.55,
              seed: 12,
            },
            colour: fading(4),
          }),
        ],
        accents: [pearls('sails')],
      }
    },
  },
  {
    id: 'collarAndCrown',
    name: 'Collar and crown',
    say: 'A torn collar at the foot, spires standing on top, the rest quiet.',
    on: (cake) => ({
      bouquets: [],
      decorations: [
        made(cake, 'collar', 'tornRuffle'),
        made(cake, 'crown', 'steamedSpire', {
          parameters: { seenMm: 96 },
          composition: { count: 5, spanDeg: 230, reach: 0.7 },
          finishes: gilded(0.7),
        }),
      ],
      accents: [],
    }),
  },
  {
    id: 'laceAndMoths',
    name: 'Lace and moths',
    say: 'Scrolls round the top tier, moths rising past them.',
    on: (cake) => ({
      bouquets: [],
      decorations: [
        made(cake, 'lace', 'stripScroll'),
        made(cake, 'moths', 'butterfly', {
          kind: 'sweep',
          composition: { fromAngleDeg: -70, toAngleDeg: 60, overlap: 0 },
          finishes: gilded(0.6),
        }),
      ],
      accents: [],
    }),
  },
  {
    id: 'windblown',
    name: 'Windblown',
    say: 'Formed sails across the tiers, deep at the heart, gilded at the rim.',
    on: (cake) => ({
      bouquets: [],
      decorations: [
        made(cake, 'windblown', 'formedSail', {
          parameters: { former: 'crumpled foil' },
          composition: { fromAngleDeg: -60, toAngleDeg: 70, overlap: 0.5 },
          colour: fading(4),
          finishes: gilded(0.5),
        }),
      ],
      accents: [],
    }),
  },
  {
    id: 'cloth',
    name: 'Cloth and bow',
    say: 'A crumpled wrap round the lowest tier, a bow above it.',
    on: (cake) => ({
      bouquets: [],
      decorations: [
        made(cake, 'cloth', 'formedWrap', {
          composition: { toMm: Math.round(heightOf(cake, 0) * 0.8) },
        }),
        made(cake, 'bow', 'fabricBow', { composition: { tier: Math.min(1, topOf(cake)), upMm: 4 } }),
      ],
      accents: [],
    }),
  },
  {
    id: 'wings',
    name: 'Wings',
    say: 'A pair of layered wings on the top tier, a scatter of quills below.',
    on: (cake) => ({
      bouquets: [],
      decorations: [
        made(cake, 'wings', 'layeredWings', { finishes: [{ finish: 'edgeGilding', colour: '#c3c7cc', share: 1 }] }),
        made(cake, 'quills', 'silhouette', {
          kind: 'scatter',
          parameters: { seenMm: Math.min(60, heightOf(cake, 0) * 0.6), footMm: 0 },
          composition: { tier: 0, count: 6, taper: 0.6 },
        }),
      ],
      accents: [],
    }),
  },
  {
    id: 'clouds',
    name: 'Clouds and globes',
    say: 'A drift of puffs over the lowest shoulder, globes on top.',
    on: (cake) => ({
      bouquets: [],
      decorations: [
        made(cake, 'puffs', 'puff', { colour: fading(3), composition: { wideMm: 170, highMm: 70 } }),
        made(cake, 'globes', 'foldedGlobe', { parameters: { seenMm: 34 }, composition: { spanDeg: 200, reach: 0.6 } }),
      ],
      accents: [pearls('puffs')],
    }),
  },
  {
    id: 'embers',
    name: 'Embers',
    say: 'Pan sails climb the side like dry leaves, flakes of leaf among them.',
    on: (cake) => ({
      bouquets: [],
      decorations: [
        made(cake, 'embers', 'panSail', {
          composition: { fromAngleDeg: -55, toAngleDeg: 50, overlap: 0.45 },
          colour: fading(4),
        }),
      ],
      accents: [{ ...startingAccent('flakes', 'leafFlake', 'embers'), perElement: 1 }],
    }),
  },
  {
    id: 'orchard',
    name: 'Orchard wall',
    say: 'Blossoms, buds and ginkgo on the first ledge, moving to the right.',
    on: (cake) =>
      withBouquet(cake, { name: 'Orchard wall', spanDeg: 110, full: 0.6, movement: 0.5 }, [
        ['openBloom', 'focal', 5, { acrossMm: 38 }],
        ['laminatedLeaf', 'leaf', 3, { lengthMm: 84, leafMm: 26 }],
        ['bud', 'bud', 5, { acrossMm: 13 }],
        ['fillerSprig', 'filler', 3, { lengthMm: 44, tips: 7 }],
      ]),
  },
  {
    id: 'wreath',
    name: 'Wreath',
    say: 'Round leaves and small blooms all round the lowest tier’s rim.',
    on: (cake) =>
      withBouquet(
        cake,
        {
          name: 'Wreath',
          place: cake.tiers.length > 1 ? 'ledge' : 'shoulder',
          spanDeg: 360,
          outMm: 32,
          highMm: 34,
          full: 0.5,
          movement: 0,
        },
        [
          [
            'openBloom',
            'secondary',
            4,
            { acrossMm: 26, small: 2, smallMost: 4, medium: 0, mediumMost: 0, large: 4, largeMost: 6, stamens: 7 },
            '#f3e3cf',
          ],
          ['patchedLeaf', 'leaf', 4, { lengthMm: 60, leafMm: 17 }],
          ['fillerSprig', 'filler', 2, { lengthMm: 36, tips: 5 }],
        ],
      ),
  },
  {
    id: 'peonyDome',
    name: 'Dome of blooms',
    say: 'Cupped blooms and leaves as a dome on the top, nothing below.',
    on: (cake) =>
      withBouquet(cake, { name: 'Dome', place: 'top', tier: topOf(cake), reach: 0, outMm: 58, highMm: 62, full: 0.7 }, [
        ['cuppedBloom', 'focal', 3, { acrossMm: 54 }],
        ['mouldedBloom', 'secondary', 3, { acrossMm: 38 }],
        ['freeLeafStem', 'leaf', 3, { leafMm: 52 }],
        ['bud', 'bud', 2, { acrossMm: 16 }],
      ]),
  },
]
