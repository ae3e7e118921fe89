/**
 * Fabric bow: wafer coated on both faces with a gelatine, glycerin and water film so that it falls like cloth; loops,
 * tails and knot are cut from it.
 *
 * By hand: a bow seen 120 mm across with a ribbon 34 mm wide: each loop reaches 60 mm and back with a tenth for its
 * belly, 2 × 60 × 1.1 + 10 = 142 mm long;
 * two loops, two tails and a knot: 5 pieces; the film goes over whole sheets, 5 ml for each dm² and face: for two A4,
 * 2 × 6.237 × 2 × 5 = 125 ml.
 * With a spare of each, 8 pieces are coated in 8 × 1.5 + 20 = 32 min and tied in 10 min; 8 × 0.1 = 0.8 ml of glue.
 */
import { z } from 'zod'
import { polyline, rectangle, type Point } from '../geometry'
import { derive, found, starting } from '../quantity'
import { defineTechnique } from './define'
import { STANDARD_SPARES } from './flat'
import { bowMesh } from './bow/bowMesh'
import { untilHandled } from './step'

const parameters = z.strictObject({
  seenMm: z.number().min(40).max(220).meta({ label: 'Seen across', kind: 'length', help: 'From loop to loop' }),
  ribbonMm: z.number().min(12).max(80).meta({ label: 'Ribbon wide', kind: 'length' }),
  tailMm: z.number().min(20).max(240).meta({ label: 'Tails long', kind: 'length' }),
})

/** A loop goes out and back, with a tenth more for its belly, and is gathered over this much at the knot. */
const BELLY = 1.1
const GATHERED_MM = 10

export const fabricBow = defineTechnique({
  id: 'fabricBow',
  name: 'Fabric bow',
  element: 'bow',
  family: 'figures',
  alsoCalled: ['ribbon', 'knot', 'cloth'],
  say: 'Loops, tails and a knot of wafer that falls like cloth.',
  papers: ['thinWafer'],
  whyPaper: 'Thin wafer between two films bends like ribbon.',
  unfit: {
    standardWafer: 'Standard wafer makes stiff loops that crack at the knot.',
    thickWafer: 'Thick wafer cracks at the knot.',
    riceFilm: 'Rice film sticks to itself when it is coated.',
  },
  compositions: ['single', 'pair', 'cluster'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle'],
  contains: ['gelatine'],
  parameters,
  startingParameters: { seenMm: 100, ribbonMm: 32, tailMm: 70 },
  sizedBy: ['seenMm', 'ribbonMm', 'tailMm'],
  startingColour: '#a8432e',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ seenMm, ribbonMm, tailMm }) => ({ widthMm: seenMm, heightMm: tailMm + ribbonMm }),

  pieces: ({ seenMm, ribbonMm, tailMm }, size) => {
    const wide = found('ribbon wide here', ribbonMm * size, 'length', 'from its place')
    const long = derive(
      'loop long',
      'length',
      'out and back',
      '{across} × {belly} + {gathered}',
      {
        across: found('seen across here', seenMm * size, 'length', 'from its place'),
        belly: starting('for its belly', BELLY, 'ratio', 'guess'),
        gathered: starting('gathered at the knot', GATHERED_MM, 'length', 'usual'),
      },
      (v) => v.across * v.belly + v.gathered,
    )
    const tail = derive(
      'tail long',
      'length',
      'seen and gathered',
      '{tail} + {gathered}',
      {
        tail: found('tail here', tailMm * size, 'length', 'from its place'),
        gathered: starting('gathered at the knot', GATHERED_MM, 'length', 'usual'),
      },
      (v) => v.tail + v.gathered,
    )
    const knot = derive('knot long', 'length', 'round the gathers', '{wide} × 1.6', { wide }, (v) => v.wide * 1.6)
    const knotWide = derive(
      'knot wide',
      'length',
      'narrower than the ribbon',
      '{wide} × 0.6',
      { wide },
      (v) => v.wide * 0.6,
    )
    const swallow: readonly [Point, ...Point[]] = [
      { x: 0, y: 0 },
      { x: tail.value, y: 0 },
      { x: tail.value - wide.value * 0.4, y: wide.value / 2 },
      { x: tail.value, y: wide.value },
      { x: 0, y: wide.value },
    ]
    return [
      {
        name: 'loop',
        edge: 'ruler',
        outline: rectangle(0, 0, long.value, wide.value),
        folds: [
          polyline([
            { x: long.value / 2, y: 0 },
            { x: long.value / 2, y: wide.value },
          ]),
        ],
        flaps: [
          rectangle(0, 0, GATHERED_MM / 2, wide.value),
          rectangle(long.value - GATHERED_MM / 2, 0, GATHERED_MM / 2, wide.value),
        ],
        face: 'either face',
        width: long,
        height: wide,
        perElement: 2,
      },
      {
        name: 'tail',
        outline: polyline(swallow, true),
        folds: [],
        flaps: [rectangle(0, 0, GATHERED_MM, wide.value)],
        face: 'either face',
        width: tail,
        height: wide,
        perElement: 2,
      },
      {
        name: 'knot',
        edge: 'ruler',
        outline: rectangle(0, 0, knot.value, knotWide.value),
        folds: [],
        face: 'either face',
        width: knot,
        height: knotWide,
        perElement: 1,
      },
    ]
  },
  steps: [
    {
      id: 'coat',
      name: 'Coat the sheets',
      say:
        'Gelatine, glycerin and water about 1 : 1 : 2 by volume, bloomed and warmed in short ' +
        'bursts. Brush one face, ten minutes, then the other; no bubbles.',
      minutes: { perPiece: 1.5, fixed: 20 },
      rest: untilHandled(20),
    },
    {
      id: 'cut',
      name: 'Dust and cut',
      say: 'Dust when set, wait half an hour to an hour, then cut loops, tails and knot.',
      minutes: { perPiece: 0.5, fixed: 5 },
      cuts: true,
      rest: untilHandled(45),
      suppleMin: 240,
    },
    {
      id: 'tie',
      name: 'Shape the bow',
      say: 'Gather the loops, glue, hold; tails behind, knot round. Prop the loops with rolled paper till they stand.',
      minutes: { perElement: 10 },
      rest: untilHandled(120),
    },
  ],
  liquids: [
    { mixture: 'gelatineFilm', at: 'coat', per: 'sheetDm2', ml: 5, faces: 2 },
    { mixture: 'edibleGlue', at: 'tie', per: 'piece', ml: 0.1 },
  ],
  fixed: () => ({ by: 'foot', joints: 1 }),
  cautions: [
    { id: 'gelatine', at: 'coat', say: 'Contains gelatine, from animals: ask who eats it, and read its label.' },
    { id: 'hotFilm', at: 'coat', say: 'The warm film burns and sticks: short bursts, never boiling.' },
  ],
  failures: [
    { seen: 'The film sets in the bowl', because: 'it cooled', next: 'warm it in short bursts; small batches' },
    { seen: 'Bubbles under the film', because: 'stirred hard', next: 'let it stand, skim it, brush one way' },
  ],
  holdingParts: () => [{ id: 'roll', name: 'paper rolls that prop loops while they set', perElement: 2 }],

  draw: bowMesh,
})
