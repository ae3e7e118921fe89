/**
 * Box panels: a cornered cake wrapped face by face, a panel for each and one for the top, with folded accents at the
 * corners.
 *
 * By hand: a square tier of 180 × 110 mm with sharp corners and a hem of 4 mm: four panels 180 × 114 mm and one of 180 ×
 * 180 mm for the top; three accents on each of its four top corners, 12. Five at each are 20, three on all eight corners
 * 24; a box shape takes a sixth panel below. A cube of 60 mm with corners of 2 mm: 56 mm and half an arc of 3.14 mm at
 * each
 * end, 59.1 mm; 60 mm for the top.
 * Five panels and twelve accents with four spares are 21 pieces: glued on in 21 × 0.5 + 5 × 4 + 5 = 35.5 min, with 50
 * g of gel.
 */
import { z } from 'zod'
import { polyline, rectangle } from '../geometry'
import { derive, found, type Working } from '../quantity'
import { defineTechnique, type BandRoom, type PieceKind, type PlacedElement } from './define'
import { chosen } from './chosen'
import { STANDARD_SPARES } from './flat'
import { BOTTOM_ROW, panelMesh, PATTERN, TOP_ROW } from './panel/panelMesh'
import { PRINT_LABELS, printOn, printOutlines, PRINTS } from './printed'
import { roundTheTier } from './round'

const FACES = ['sides', 'five', 'six'] as const
const CORNERS = ['none', 'top', 'all'] as const

const parameters = z.strictObject({
  hemMm: z.number().min(0).max(15).meta({ label: 'Hem', kind: 'length', help: 'Trimmed at the foot' }),
  faces: z.enum(FACES).meta({
    label: 'Faces',
    kind: 'choice',
    options: { sides: 'the sides', five: 'sides and top', six: 'sides, top and bottom' },
  }),
  corners: z.enum(CORNERS).meta({
    label: 'Corner accents',
    kind: 'choice',
    options: { none: 'none', top: 'on the top corners', all: 'on every corner, above and below' },
  }),
  perCorner: z.number().int().min(1).max(5).meta({
    label: 'Accents at a corner',
    kind: 'count',
    help: 'Four top corners: 3 are 12, 5 are 20; all eight: 3 are 24',
  }),
  accentMm: z.number().min(8).max(50).meta({ label: 'Accent across', kind: 'length' }),
  print: z
    .enum(PRINTS)
    .meta({ label: 'Printed or painted', kind: 'choice', options: PRINT_LABELS, help: 'Before it is cut' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = {
  hemMm: 4,
  faces: 'five',
  corners: 'top',
  perCorner: 3,
  accentMm: 26,
  print: 'stripes',
}

/** Accents that belong to one face: those of one of its ends, above, or above and below. */
const accentsOfFace = (corners: (typeof CORNERS)[number], perCorner: number): number =>
  corners === 'none' ? 0 : corners === 'top' ? perCorner : 2 * perCorner

/**
 * What a panel reaches round its corners: each of two neighbours half of the arc between them, so that they meet; the
 * radius of that arc. Nothing where panels do not go all the way round.
 */
function cornerOf({ faces, length, spanDeg }: BandRoom): {
  readonly alongMm: number
  readonly turnDeg: number
  readonly radiusMm: number
} {
  if (faces.length < 3 || spanDeg < 360) return { alongMm: 0, turnDeg: 0, radiusMm: 0 }
  const flat = faces.reduce((sum, { widthMm }) => sum + widthMm, 0)
  const open = faces.reduce((sum, face) => sum + face.spanDeg, 0)
  const alongMm = Math.max(0, length.value - flat) / faces.length
  return {
    alongMm,
    turnDeg: Math.max(0, 360 - open) / faces.length,
    radiusMm: (alongMm * faces.length) / (2 * Math.PI),
  }
}

/** Faces that lie flat: the top, the bottom of a box shape. */
type Level = 'side' | 'top' | 'bottom'

function panelKind(
  hemMm: number,
  print: (typeof PRINTS)[number],
  face: { readonly widthMm: number; readonly heightMm: number },
  level: Level,
): PieceKind {
  const isFlat = level !== 'side'
  const width = found(isFlat ? `${level} wide` : 'face wide', face.widthMm, 'length', 'of the tier')
  const seen = found(isFlat ? `${level} deep` : 'face high', face.heightMm, 'length', 'of the tier')
  const height: Working = isFlat
    ? seen
    : derive(
        'cut high',
        'length',
        'a face and its hem',
        '{seen} + {hem}',
        { seen, hem: chosen('hem', hemMm, STARTING.hemMm, 'length') },
        (v) => v.seen + v.hem,
      )
  return {
    name: isFlat ? `${level} panel` : 'face panel',
    edge: 'ruler',
    outline: rectangle(0, 0, width.value, height.value),
    folds: [],
    print: printOutlines(printOn(print, { widthMm: width.value, heightMm: height.value }, PATTERN)),
    face: 'smooth face out',
    width,
    height,
    perElement: 1,
  }
}

export const boxPanels = defineTechnique({
  id: 'boxPanels',
  name: 'Box panels',
  element: 'panel',
  family: 'ruffles',
  alsoCalled: ['wrap', 'square cake', 'corners', 'sides'],
  say: 'A cornered cake wrapped face by face, accents at its corners.',
  papers: ['standardWafer', 'thickWafer', 'thinWafer'],
  whyPaper: 'Standard wafer prints well and lies flat on a face; thick keeps its edges straight.',
  unfit: { riceFilm: 'Rice film does not lie flat on a face.' },
  compositions: ['band'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle', 'twoTone'],
  parameters,
  startingParameters: STARTING,
  isCounted: true,
  wholeTier: true,
  startingColour: '#e8dccb',
  spareShare: STANDARD_SPARES.dry,
  seen: () => ({ widthMm: 100, heightMm: 100 }),

  layOut: ({ faces: asked }, room) => {
    const high = room.topMm - room.footMm
    const corner = cornerOf(room)
    const faces = room.faces.map((face, index): PlacedElement => ({
      ...roundTheTier(room, index, {
        row: 0,
        spanDeg: face.spanDeg + corner.turnDeg,
        angleDeg: face.middleDeg,
        heightMm: room.footMm,
      }),
      face: { widthMm: face.widthMm + corner.alongMm, heightMm: high },
    }))
    const [first, second] = [room.faces[0], room.faces[1]]
    // Only a top with four corners takes a straight panel.
    const isCornered = room.faces.length === 4 && first !== undefined && second !== undefined
    const flat = (row: number, heightMm: number): readonly PlacedElement[] =>
      isCornered
        ? [
            {
              ...roundTheTier(room, faces.length + row - 1, { row, spanDeg: 0, angleDeg: first.middleDeg, heightMm }),
              on: 'top',
              face: { widthMm: first.widthMm + 2 * corner.radiusMm, heightMm: second.widthMm + 2 * corner.radiusMm },
            },
          ]
        : []
    const topPanel = asked === 'sides' ? [] : flat(TOP_ROW, room.topMm)
    const bottomPanel = asked === 'six' ? flat(BOTTOM_ROW, room.footMm) : []
    const count = derive(
      'panels',
      'count',
      'a panel a face',
      bottomPanel.length > 0 ? '{faces} + {top} + {bottom}' : '{faces} + {top}',
      {
        faces: found('flat faces', faces.length, 'count', 'of the tier; a round one has none'),
        top: found('for the top', topPanel.length, 'count', 'of a tier with four corners'),
        bottom: found('for the bottom', bottomPanel.length, 'count', 'of a box shape'),
      },
      (v) => v.faces + v.top + v.bottom,
    )
    return { count, elements: [...faces, ...topPanel, ...bottomPanel] }
  },

  pieces: ({ hemMm, corners, perCorner, accentMm, print }, _, element) => {
    const face = element?.face ?? { widthMm: 100, heightMm: 100 }
    const level = element?.on !== 'top' ? 'side' : element.row === BOTTOM_ROW ? 'bottom' : 'top'
    const accents = level !== 'side' ? 0 : accentsOfFace(corners, perCorner)
    const across = chosen('accent across', accentMm, STARTING.accentMm, 'length')
    return [
      panelKind(hemMm, print, face, level),
      ...(accents > 0
        ? [
            {
              name: 'corner accent',
              outline: polyline(
                [
                  { x: accentMm / 2, y: 0 },
                  { x: accentMm, y: accentMm / 2 },
                  { x: accentMm / 2, y: accentMm },
                  { x: 0, y: accentMm / 2 },
                ],
                true,
              ),
              folds: [
                polyline([
                  { x: accentMm / 2, y: 0 },
                  { x: accentMm / 2, y: accentMm },
                ]),
              ],
              face: 'smooth face out',
              width: across,
              height: across,
              perElement: accents,
            },
          ]
        : []),
    ]
  },

  skin: 'beforeStacking',
  steps: [
    {
      id: 'cut',
      name: 'Cut the panels',
      say: 'To the measure of each face; print or paint them first and let them dry.',
      minutes: { perPiece: 0.3, fixed: 5 },
      cuts: true,
    },
    {
      id: 'glue',
      name: 'Glue them on',
      say:
        'Opposite faces first, a thin even coat of gel, edges above all; the top ' +
        'last. Fold the accents over the corners to hide the joints.',
      minutes: { perPiece: 0.5, perElement: 4, fixed: 5 },
      onCake: true,
    },
  ],
  fixed: () => ({ by: 'back', share: 1 }),
  gluedWith: ['pipingGel', 'edibleGlue'],
  cautions: [{ id: 'boxBlade', at: 'cut', say: 'A sharp blade along a ruler: fingers behind it, a mat below.' }],
  failures: [
    {
      seen: 'Joints gape at the corners',
      because: 'panels cut to the bare measure shrink',
      next: 'accents over the corners, or 2 mm more and trim',
    },
    { seen: 'Buckles', because: 'too much gel', next: 'thin and even, from the middle out' },
  ],
  holdingParts: () => [],

  draw: panelMesh,
})
