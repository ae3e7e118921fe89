/**
 * Formed wrap: a sheet of thin wafer kept supple by a glycerin conditioner, pressed over a dummy wrapped in crumpled
 * film, and wrapped round the tier before it is stiff.
 *
 * By hand: a tier 817 mm round on a dummy 10 mm wider is 817 + π × 10 = 848 mm. A sheet 420 mm long shrinks by 2 % and
 * its crumples take up a sixth: 420 × 0.98 ÷ 1.15 = 358 mm, less 15 mm of overlap 343: ⌈848 ÷ 343⌉ = ⌈2.47⌉ = 3 sheets;
 * 110 mm seen, the same both ways: 110 × 1.15 ÷ 0.98 = 129 mm high. Higher than 200 mm, an A4 is turned upright.
 * Four sheets and a spare are conditioned in 5 × 3 + 10 = 25 min besides cutting, pressed in 5 × 6 + 10 = 40 min, with
 * 1.5 m of film and 5 g
 * of fat; a third of their backs takes gel.
 */
import { z } from 'zod'
import { rectangle, type Point3 } from '../geometry'
import { between, derive, found, seededStream, starting, typed, type Working } from '../quantity'
import { defineTechnique, type Means } from './define'
import { chosen } from './chosen'
import type { MeshFace, MeshLine } from './mesh'
import { dampShrink, STANDARD_SPARES } from './flat'
import { oneRowRound } from './round'
import { sheetAlong } from './sheetSide'
import { fixed, untilHandled } from './step'

const parameters = z.strictObject({
  sheetLengthMm: z
    .number()
    .min(100)
    .max(410)
    .nullable()
    .meta({ label: 'Sheet long', kind: 'length', help: 'None typed: as long as the paper gives' }),
  heightMm: z
    .number()
    .min(15)
    .max(400)
    .nullable()
    .meta({ label: 'Seen height', kind: 'length', help: 'None typed: as high as its band' }),
  overlapMm: z.number().min(12).max(40).meta({ label: 'Overlap', kind: 'length', help: 'At least 12 mm' }),
  dummyOverMm: z
    .number()
    .min(0)
    .max(30)
    .meta({ label: 'Dummy wider by', kind: 'length', help: 'Never smaller than the tier, up to a size larger' }),
})

type Wrap = z.infer<typeof parameters>

/** As it begins. */
const STARTING: Wrap = { sheetLengthMm: null, heightMm: null, overlapMm: 15, dummyOverMm: 10 }

/** Paper for each length seen, along and up: crumples take it up. */
const CRUMPLE_FULLNESS = 1.15
const FACET_MM = 15
/** What it is drawn and cut as where no band says how high. */
const USUAL_HIGH_MM = 70

const crumples = (): Working => starting('paper for each length', CRUMPLE_FULLNESS, 'ratio', 'guess')

/** How high a sheet is cut for a seen height. */
const cutHigh = (wrap: Wrap, bandMm: number, means?: Means): Working =>
  derive(
    'cut high',
    'length',
    'crumples laid flat',
    '{seen} × {fullness} ÷ ( 1 − {shrink} )',
    {
      seen:
        wrap.heightMm === null
          ? found('seen height', bandMm, 'length', 'of its band')
          : typed('seen height', wrap.heightMm, 'length', 'Arrange'),
      fullness: crumples(),
      shrink: dampShrink(means?.shrink.damp),
    },
    (v) => (v.seen * v.fullness) / (1 - v.shrink),
  )

/** How long a sheet is as it lies, crumpled and dry. */
const lyingLong = (sheet: Working, means?: Means): Working =>
  derive(
    'sheet as it lies',
    'length',
    'crumpled and dry',
    '{sheet} × ( 1 − {shrink} ) ÷ {fullness}',
    { sheet, fullness: crumples(), shrink: dampShrink(means?.shrink.damp) },
    (v) => (v.sheet * (1 - v.shrink)) / v.fullness,
  )

export const formedWrap = defineTechnique({
  id: 'formedWrap',
  name: 'Formed wrap',
  element: 'sheet',
  family: 'ruffles',
  alsoCalled: ['cloth', 'fabric', 'crumpled', 'drape'],
  say: 'A crumpled cloth of supple wafer round a whole tier.',
  papers: ['thinWafer'],
  whyPaper: 'Only thin wafer stays supple enough with conditioner to be pressed and wrapped.',
  unfit: {
    standardWafer: 'Standard wafer takes up the conditioner unevenly and breaks at its crumples.',
    thickWafer: 'Thick wafer breaks at its crumples.',
    riceFilm: 'Rice film dries hard: it cannot be wrapped after.',
  },
  compositions: ['band'],
  finishes: ['edgeGilding', 'dusting', 'twoTone', 'speckle', 'stencilShine'],
  parameters,
  startingParameters: STARTING,
  isCounted: true,
  wholeTier: true,
  startingColour: '#cfd6dc',
  fadesUp: true,
  spareShare: STANDARD_SPARES.damp,
  seen: ({ sheetLengthMm, overlapMm, heightMm }) => ({
    widthMm: (sheetLengthMm ?? 287) / CRUMPLE_FULLNESS - overlapMm,
    heightMm: heightMm ?? USUAL_HIGH_MM,
  }),

  layOut: (wrap, room, means) => {
    const high = cutHigh(wrap, room.topMm - room.footMm, means)
    const sheet = lyingLong(sheetAlong(wrap.sheetLengthMm, high.value, means?.shapes), means)
    const overlap = chosen('overlap', wrap.overlapMm, STARTING.overlapMm, 'length')
    const onDummy = derive(
      'round the dummy',
      'length',
      'the dummy it is formed on',
      '{length} + π × {wider}',
      { length: room.length, wider: chosen('dummy wider by', wrap.dummyOverMm, STARTING.dummyOverMm, 'length') },
      (v) => v.length + (Math.PI * v.wider * room.spanDeg) / 360,
    )
    return oneRowRound(room, 'sheets round', sheet, overlap, onDummy)
  },

  pieces: (wrap, _, element, means) => {
    const height = cutHigh(wrap, element?.face?.heightMm ?? USUAL_HIGH_MM, means)
    const width = sheetAlong(wrap.sheetLengthMm, height.value, means?.shapes)
    const flapMm = wrap.overlapMm * CRUMPLE_FULLNESS
    return [
      {
        name: 'wrap sheet',
        edge: 'ruler',
        outline: rectangle(0, 0, width.value, height.value),
        folds: [],
        flaps: [rectangle(width.value - flapMm, 0, flapMm, height.value)],
        face: 'smooth face out',
        width,
        height,
        perElement: 1,
      },
    ]
  },

  dries: ['fan', 'room', 'dryRoom'],
  skin: 'beforeStacking',
  steps: [
    {
      id: 'condition',
      name: 'Condition the sheets',
      say: 'Brush on glycerin conditioner, thinly and evenly; wait till the sheet falls like cloth.',
      minutes: { perPiece: 3, fixed: 10 },
      cuts: true,
      rest: fixed(20),
    },
    {
      id: 'press',
      name: 'Press and dry',
      say:
        'Onto a dummy wrapped in crumpled cling film, greased below; press the folds in. ' +
        'Two hours before a fan: it holds its shape and is not sticky.',
      minutes: { perPiece: 6, fixed: 10 },
      rest: untilHandled(120, 'fan'),
    },
    {
      id: 'wrap',
      name: 'Wrap the tier',
      say: 'While it still bends: gel on the overlap and here and there behind, wrap, press the joint.',
      minutes: { perElement: 5, fixed: 5 },
      onCake: true,
    },
  ],
  liquids: [{ mixture: 'conditioner', at: 'condition', per: 'dm2', ml: 0.47 }],
  supplies: [
    { supply: 'clingFilm', at: 'press', per: 'job', amount: 1500 },
    { supply: 'foodFat', at: 'press', per: 'job', amount: 5 },
  ],
  tools: ['a dummy to form it on'],
  fixed: () => ({ by: 'back', share: 0.35 }),
  gluedWith: ['pipingGel'],
  cautions: [
    {
      id: 'dummySize',
      at: 'press',
      say: 'A dummy as wide as the tier or up to a size larger, never smaller: a wrap does not stretch.',
    },
  ],
  failures: [
    { seen: 'It cracks as it is wrapped', because: 'dried too long', next: 'mist the back, wrap sooner' },
    {
      seen: 'It sags',
      because: 'too much glycerin for a sheet that must stand',
      next: 'thinner conditioner, more gel behind',
    },
  ],
  holdingParts: () => [{ id: 'pick', name: 'picks that hold the wrap’s joints', perElement: 2 }],

  draw: ({ heightMm: typedMm, overlapMm, sheetLengthMm }, { angleDeg, spanDeg, heightMm, seed, face }, wall) => {
    const stream = seededStream(seed)
    const tall = typedMm ?? face?.heightMm ?? USUAL_HIGH_MM
    const wide = face?.widthMm ?? (sheetLengthMm ?? 287) - overlapMm
    const columns = Math.max(4, Math.round(wide / FACET_MM))
    const rows = Math.max(3, Math.round(tall / FACET_MM))
    // Knots strayed from a grid, some pressed in, some standing out: the facets between them are crumpled cloth.
    const knots = Array.from({ length: rows + 1 }, (_, row) =>
      Array.from({ length: columns + 1 }, (__, column): Point3 => {
        const edge = column === 0 || column === columns || row === 0
        const [across, up, out] = [
          between(stream, -0.42, 0.42),
          between(stream, -0.4, 0.4),
          between(stream, 0, 1) ** 2 * 5.5,
        ]
        const share = (column + (edge && row !== 0 ? 0 : row === 0 ? 0 : across)) / columns
        return wall(
          angleDeg + (share - 0.5) * spanDeg * 1.03,
          heightMm + tall * Math.max(0, (row + (row === 0 ? 0 : row === rows ? up * 0.3 : up)) / rows),
          1 + (row === 0 ? 0 : out),
        )
      }),
    )
    const faces: MeshFace[] = []
    const lines: MeshLine[] = []
    for (let row = 0; row < rows; row += 1) {
      for (let column = 0; column < columns; column += 1) {
        const [low, right, top, left] = [
          knots[row]![column]!,
          knots[row]![column + 1]!,
          knots[row + 1]![column + 1]!,
          knots[row + 1]![column]!,
        ]
        const falls = between(stream, 0, 1) < 0.5
        const facet = (points: readonly Point3[]): void => {
          faces.push({ points, opacity: 0.98, light: between(stream, -0.09, 0.12) })
        }
        facet(falls ? [low, right, left] : [low, right, top])
        facet(falls ? [right, top, left] : [low, top, left])
        if (between(stream, 0, 1) < 0.55)
          lines.push({ points: falls ? [right, left] : [low, top], widthMm: 0.5, light: 0.5, opacity: 0.6 })
      }
    }
    return {
      faces,
      lines: [
        ...lines,
        { points: knots[rows]!, widthMm: 0.9, light: 0.5, opacity: 0.9, edge: true },
        { points: knots.map((line) => line[columns]!), widthMm: 0.7, light: -0.4, opacity: 0.7 },
      ],
    }
  },
})
