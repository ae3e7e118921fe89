/**
 * Torn ruffle: strips of thin wafer torn along a ruler, set round a tier in rows, frilled at their upper edge.
 *
 * By hand: a band 84 mm high on a tier 817 mm round, strips 293 × 40 mm, fullness 1.8, rows overlapping by half:
 * strips in a row = ⌈817 × 1.8 ÷ 293⌉ = ⌈5.02⌉ = 6; rows = ⌈(84 − 40) ÷ (40 × 0.5) + 1⌉ = ⌈3.2⌉ = 4; 24 strips.
 * In two heights, 40 and 30 mm, the mean row rises ( 40 + 30 ) ÷ 2 × 0.5 = 17.5 mm: ⌈( 84 − 40 ) ÷ 17.5 + 1⌉ = 4 rows.
 * 24 strips are set in 24 × 2.5 + 5 = 65 min.
 */
import { z } from 'zod'
import { rectangle } from '../geometry'
import { between, derive, seededStream, typed } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace } from './mesh'
import { STANDARD_SPARES } from './flat'
import { roundTheTier } from './round'

const parameters = z.strictObject({
  stripLengthMm: z
    .number()
    .min(100)
    .max(400)
    .meta({ label: 'Strip long', kind: 'length', help: 'As long as the sheet gives' }),
  stripHeightMm: z.number().min(15).max(90).meta({ label: 'Strip high', kind: 'length' }),
  otherHeightMm: z
    .number()
    .min(15)
    .max(90)
    .nullable()
    .meta({ label: 'Every other row', kind: 'length', help: 'None typed: as high as the rest' }),
  fullness: z
    .number()
    .min(1.3)
    .max(2.5)
    .meta({ label: 'Fullness', kind: 'ratio', help: 'Strip for each length of the row' }),
  overlap: z.number().min(0.1).max(0.8).meta({ label: 'Rows overlap', kind: 'share' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  stripLengthMm: 297,
  stripHeightMm: 34,
  otherHeightMm: null,
  fullness: 1.7,
  overlap: 0.45,
}

const COLUMN_MM = 7
const FLARE = 0.34

export const tornRuffle = defineTechnique({
  id: 'tornRuffle',
  name: 'Torn ruffle',
  element: 'strip',
  family: 'ruffles',
  alsoCalled: ['frill', 'flounce', 'torn edge'],
  say: 'Rows of torn strips round a tier, frilled and soft.',
  papers: ['thinWafer'],
  whyPaper: 'Thin wafer tears to a soft edge and frills when barely damp.',
  unfit: {
    standardWafer: 'Standard wafer frills stiffly and cracks at its gathers; take thin.',
    thickWafer: 'Thick wafer cracks instead of frilling.',
    riceFilm: 'Rice film does not tear straight and snaps when dry.',
  },
  compositions: ['band'],
  finishes: ['edgeGilding', 'dusting', 'twoTone', 'speckle'],
  parameters,
  startingParameters: STARTING,
  startingPlies: 1,
  startingColour: '#f3dfc2',
  spareShare: STANDARD_SPARES.damp,
  seen: ({ stripLengthMm, stripHeightMm, fullness }) => ({
    widthMm: stripLengthMm / fullness,
    heightMm: stripHeightMm,
  }),

  layOut: (ruffle, room) => {
    const strip = chosen('strip', ruffle.stripLengthMm, STARTING.stripLengthMm, 'length')
    const stripHeight = chosen('strip height', ruffle.stripHeightMm, STARTING.stripHeightMm, 'length')
    const inRow = derive(
      'strips in a row',
      'count',
      'ruffle rows',
      'round up( {length} × {fullness} ÷ {strip} )',
      { length: room.length, fullness: chosen('fullness', ruffle.fullness, STARTING.fullness, 'ratio'), strip },
      (v) => Math.max(1, Math.ceil((v.length * v.fullness) / v.strip - 1e-9)),
    )
    const { otherHeightMm } = ruffle
    const meanHeight =
      otherHeightMm === null
        ? stripHeight
        : derive(
            'mean strip height',
            'length',
            'two heights in turn',
            '( {stripHeight} + {other} ) ÷ 2',
            { stripHeight, other: typed('every other row', otherHeightMm, 'length', 'Arrange') },
            (v) => (v.stripHeight + v.other) / 2,
          )
    const rows = derive(
      'rows',
      'count',
      'ruffle rows',
      'round up( ( {height} − {stripHeight} ) ÷ ( {meanHeight} × (1 − {overlap}) ) + 1 ), at least 1',
      {
        height: room.height,
        stripHeight,
        meanHeight,
        overlap: chosen('overlap of rows', ruffle.overlap, STARTING.overlap, 'share'),
      },
      (v) => Math.max(1, Math.ceil((v.height - v.stripHeight) / (v.meanHeight * (1 - v.overlap)) + 1 - 1e-9)),
    )
    const count = derive(
      'strips',
      'count',
      'rows of strips',
      '{rows} × {inRow}',
      { rows, inRow },
      (v) => v.rows * v.inRow,
    )
    const spanDeg = room.spanDeg / inRow.value
    const rise = rows.value === 1 ? 0 : Math.max(0, room.topMm - room.footMm - ruffle.stripHeightMm) / (rows.value - 1)
    const elements = Array.from({ length: count.value }, (_, index) => {
      const [row, at] = [Math.floor(index / inRow.value), index % inRow.value]
      // Joints of neighbouring rows do not stand over each other.
      const shift = row % 2 === 0 ? 0 : spanDeg / 2
      const isOther = otherHeightMm !== null && row % 2 === 1
      return {
        ...roundTheTier(room, index, {
          row,
          spanDeg,
          angleDeg: room.fromDeg + (at + 0.5) * spanDeg + shift,
          heightMm: Math.max(room.footMm, room.topMm - ruffle.stripHeightMm - row * rise),
        }),
        // A run of shades goes from the uppermost row to the lowest.
        away: rows.value === 1 ? 0 : row / (rows.value - 1),
        size: isOther ? otherHeightMm / ruffle.stripHeightMm : 1,
      }
    })
    return { elements, count }
  },

  pieces: ({ stripLengthMm, stripHeightMm }, size) => [
    {
      name: 'torn strip',
      outline: rectangle(0, 0, stripLengthMm, stripHeightMm * size),
      edge: 'torn',
      folds: [],
      face: 'smooth face out',
      perElement: 1,
      width: chosen('strip long', stripLengthMm, STARTING.stripLengthMm, 'length'),
      height:
        size === 1
          ? chosen('strip high', stripHeightMm, STARTING.stripHeightMm, 'length')
          : typed('every other row', stripHeightMm * size, 'length', 'Arrange'),
    },
  ],

  skin: 'afterStacking',
  steps: [
    {
      id: 'tear',
      name: 'Tear the strips',
      say: 'Lay a ruler on the sheet and tear towards you, slowly; two heights look livelier than one.',
      minutes: { fixed: 5 },
      cuts: true,
    },
    {
      id: 'set',
      name: 'Set the rows',
      say:
        'Dampen the cover until it just tacks. From the top down, gather a strip between ' +
        'the fingers and press its foot on; each row over the last.',
      minutes: { perElement: 2.5, fixed: 5 },
      onCake: true,
    },
  ],
  fixed: () => ({ by: 'back', share: 0.2 }),
  gluedWith: ['water', 'edibleGlue', 'buttercream'],
  cautions: [{ id: 'dampCover', at: 'set', say: 'A cover that shines is too wet: the strips dissolve at their foot.' }],
  failures: [
    { seen: 'Strips go see-through and tear', because: 'the cover was wet', next: 'dab it, wait till it tacks' },
    { seen: 'Rows stand stiff and even', because: 'gathers are regular', next: 'gather by eye, press some folds flat' },
  ],
  holdingParts: () => [],

  draw: ({ stripHeightMm: usualMm, stripLengthMm, fullness }, { angleDeg, spanDeg, heightMm, seed, size }, wall) => {
    const stripHeightMm = usualMm * size
    const stream = seededStream(seed)
    const columns = Math.max(6, Math.round(stripLengthMm / fullness / COLUMN_MM))
    const [wave, phase, second] = [
      (between(stream, 0.9, 1.3) * stripLengthMm) / 26,
      between(stream, 0, 6.28),
      between(stream, 0, 6.28),
    ]
    const torn = Array.from({ length: columns + 1 }, () => between(stream, -0.05, 0.05) * stripHeightMm)
    const pointAt = (column: number, up: number) => {
      const share = column / columns
      const frill =
        (Math.sin((wave * share * 6.28) / 2 + phase) + 0.5 * Math.sin(wave * share * 9 + second)) * up ** 1.4
      return wall(
        angleDeg + (share - 0.5) * spanDeg * 1.06,
        heightMm + up * stripHeightMm * (1 - 0.05 * frill) + (up === 1 ? torn[column]! : 0),
        1 + up * stripHeightMm * FLARE * (0.55 + 0.45 * frill),
      )
    }
    const levels = [0, 0.5, 1]
    const faces = Array.from({ length: columns }, (_, column) =>
      levels.slice(1).map((up, level): MeshFace => ({
        points: [
          pointAt(column, levels[level]!),
          pointAt(column + 1, levels[level]!),
          pointAt(column + 1, up),
          pointAt(column, up),
        ],
        opacity: 0.94,
        light: level === 0 ? -0.1 : 0.04,
      })),
    ).flat()
    return {
      faces,
      lines: [
        {
          points: Array.from({ length: columns + 1 }, (_, column) => pointAt(column, 1)),
          widthMm: 0.9,
          light: 0.5,
          opacity: 0.9,
          edge: true,
        },
      ],
    }
  },
})
