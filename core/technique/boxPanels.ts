/**
 * Box panels: a cornered cake wrapped face by face, a panel for each and one for the top, with folded accents at the
 * corners.
 *
 * By hand: a square tier of 180 × 110 mm with a hem of 4 mm: four panels 180 × 114 mm and one of 180 × 180 mm for the
 * top; three accents on each of its four top corners, 12.
 */
import { z } from 'zod'
import { polyline, rectangle, type Point3 } from '../geometry'
import { between, derive, found, seededStream, typed, type Working } from '../quantity'
import { defineTechnique, type PieceKind, type PlacedElement } from './define'
import type { MeshFace, MeshLine } from './mesh'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { PRINT_LABELS, printOn, printOutlines, PRINTS } from './printed'
import { roundTheTier } from './round'
import { fixed, untilHandled } from './step'

const CORNERS = ['none', 'top', 'all'] as const

const parameters = z.strictObject({
  hemMm: z.number().min(0).max(15).meta({ label: 'Hem', kind: 'length', help: 'Trimmed at the foot' }),
  top: z.boolean().meta({ label: 'A panel for the top too', kind: 'choice' }),
  corners: z.enum(CORNERS).meta({
    label: 'Corner accents',
    kind: 'choice',
    options: { none: 'none', top: 'on the top corners', all: 'on every corner, above and below' },
  }),
  perCorner: z.number().int().min(1).max(5).meta({ label: 'Accents at a corner', kind: 'count' }),
  accentMm: z.number().min(8).max(50).meta({ label: 'Accent across', kind: 'length' }),
  print: z
    .enum(PRINTS)
    .meta({ label: 'Printed or painted', kind: 'choice', options: PRINT_LABELS, help: 'Before it is cut' }),
})

const COLUMNS = 8
/** How much deeper than the paper the print is. */
const PRINT_LIGHT = -0.3
/** All faces are printed from one pattern. */
const PATTERN = 3

/** Accents that belong to one face: those of one of its ends, above, or above and below. */
const accentsOfFace = (corners: (typeof CORNERS)[number], perCorner: number): number =>
  corners === 'none' ? 0 : corners === 'top' ? perCorner : 2 * perCorner

function panelKind(
  hemMm: number,
  print: (typeof PRINTS)[number],
  face: { readonly widthMm: number; readonly heightMm: number },
  onTop: boolean,
): PieceKind {
  const width = found(onTop ? 'top wide' : 'face wide', face.widthMm, 'length', 'of the tier')
  const seen = found(onTop ? 'top deep' : 'face high', face.heightMm, 'length', 'of the tier')
  const height: Working = onTop
    ? seen
    : derive(
        'cut high',
        'length',
        'a face and its hem',
        '{seen} + {hem}',
        { seen, hem: typed('hem', hemMm, 'length', 'Arrange') },
        (v) => v.seen + v.hem,
      )
  return {
    name: onTop ? 'top panel' : 'face panel',
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
  elements: 'panels',
  say: 'A cornered cake wrapped face by face, accents at its corners.',
  papers: ['standardWafer', 'thickWafer', 'thinWafer'],
  whyPaper: 'Standard wafer prints well and lies flat on a face; thick keeps its edges straight.',
  unfit: { riceFilm: 'Rice film does not lie flat on a face.' },
  compositions: ['band'],
  finishes: ['edgeGilding', 'dusting', 'stencilShine', 'speckle', 'twoTone'],
  parameters,
  startingParameters: { hemMm: 4, top: true, corners: 'top', perCorner: 3, accentMm: 26, print: 'stripes' },
  startingColour: '#e8dccb',
  spareShare: STANDARD_SPARES.dry,
  seen: () => ({ widthMm: 100, heightMm: 100 }),

  layOut: ({ top }, room) => {
    const high = room.topMm - room.footMm
    const faces = room.faces.map((face, index): PlacedElement => ({
      ...roundTheTier(room, index, { row: 0, spanDeg: face.spanDeg, angleDeg: face.middleDeg, heightMm: room.footMm }),
      face: { widthMm: face.widthMm, heightMm: high },
    }))
    const [first, second] = [room.faces[0], room.faces[1]]
    // Only a top with four corners takes a straight panel.
    const hasTop = top && room.faces.length === 4 && first !== undefined && second !== undefined
    const topPanel = hasTop
      ? [
          {
            ...roundTheTier(room, faces.length, {
              row: 1,
              spanDeg: 0,
              angleDeg: first.middleDeg,
              heightMm: room.topMm,
            }),
            on: 'top' as const,
            face: { widthMm: first.widthMm, heightMm: second.widthMm },
          },
        ]
      : []
    const count = derive(
      'panels',
      'count',
      'a panel a face',
      '{faces} + {top}',
      {
        faces: found('flat faces', faces.length, 'count', 'of the tier; a round one has none'),
        top: found('for the top', topPanel.length, 'count', 'of a tier with four corners'),
      },
      (v) => v.faces + v.top,
    )
    return { count, elements: [...faces, ...topPanel] }
  },

  pieces: ({ hemMm, corners, perCorner, accentMm, print }, _, element) => {
    const face = element?.face ?? { widthMm: 100, heightMm: 100 }
    const onTop = element?.on === 'top'
    const accents = onTop ? 0 : accentsOfFace(corners, perCorner)
    const across = typed('accent across', accentMm, 'length', 'Arrange')
    return [
      panelKind(hemMm, print, face, onTop),
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

  steps: [
    {
      id: 'cut',
      name: 'Cut the panels',
      say: 'To the measure of each face; print or paint them first and let them dry.',
      perPieceMin: 1.2,
      perElementMin: 0,
      fixedMin: 5,
      rest: fixed(0),
    },
    {
      id: 'glue',
      name: 'Glue them on',
      say:
        'Opposite faces first, a thin even coat of gel, edges above all; the top ' +
        'last. Fold the accents over the corners to hide the joints.',
      perPieceMin: 0.5,
      perElementMin: 4,
      fixedMin: 5,
      rest: untilHandled(30),
    },
  ],
  consumables: ['piping gel or syrup, 0.1 to 0.4 g for each dm², thin and even'],
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

  draw: ({ corners, perCorner, accentMm, print }, element, wall) => {
    const stream = seededStream(element.seed)
    const at = frameOf(element, wall)
    const face = element.face ?? { widthMm: 100, heightMm: 100 }
    const askew = between(stream, -0.5, 0.5)
    if (element.on === 'top') {
      const corner = (side: number, deep: number): Point3 =>
        at((side * face.widthMm) / 2, 0.6 + askew * 0.2, (deep * face.heightMm) / 2)
      const points = [corner(-1, 1), corner(1, 1), corner(1, -1), corner(-1, -1)]
      const strokes = printOn(print, face, PATTERN).map(({ points: stroke, widthMm }): MeshLine => ({
        points: stroke.map(({ x, y }) => corner((2 * x) / face.widthMm - 1, (2 * y) / face.heightMm - 1)),
        widthMm,
        light: PRINT_LIGHT,
        opacity: 0.7,
        printed: true,
      }))
      return {
        faces: [{ points, opacity: 0.96, light: 0.05 }],
        lines: [...strokes, { points: [...points, points[0]!], widthMm: 0.6, light: 0.5, opacity: 0.8, edge: true }],
      }
    }
    const pointAt = (share: number, up: number, out = 0.9): Point3 =>
      wall(element.angleDeg + share * element.spanDeg, element.heightMm + up * face.heightMm + askew * share, out)
    const faces: MeshFace[] = Array.from({ length: COLUMNS }, (_, column) => ({
      points: [
        pointAt(column / COLUMNS - 0.5, 0),
        pointAt((column + 1) / COLUMNS - 0.5, 0),
        pointAt((column + 1) / COLUMNS - 0.5, 1),
        pointAt(column / COLUMNS - 0.5, 1),
      ],
      opacity: 0.97,
      light: 0,
    }))
    const rim = [
      [-0.5, 0],
      [0.5, 0],
      [0.5, 1],
      [-0.5, 1],
      [-0.5, 0],
    ].map(([share, up]) => pointAt(share!, up!))
    const strokes = printOn(print, face, PATTERN).map(({ points, widthMm }): MeshLine => ({
      points: points.map(({ x, y }) => pointAt(x / face.widthMm - 0.5, y / face.heightMm)),
      widthMm,
      light: PRINT_LIGHT,
      opacity: 0.7,
      printed: true,
    }))
    const lines: MeshLine[] = [...strokes, { points: rim, widthMm: 0.7, light: 0.45, opacity: 0.9, edge: true }]
    const half = accentMm / 2
    const perShare = 1 / Math.max(1, face.widthMm)
    const tops = corners === 'none' ? [] : corners === 'top' ? [1] : [1, 0]
    for (const end of tops) {
      for (let each = 0; each < perCorner; each += 1) {
        const [along, high] = [
          0.5 - each * half * 0.9 * perShare,
          end === 1 ? face.heightMm - half * 0.6 - (each % 2) * half * 0.5 : half * 0.9 + (each % 2) * half * 0.5,
        ]
        const put = (right: number, up: number, out: number): Point3 =>
          wall(element.angleDeg + (along + right * perShare) * element.spanDeg, element.heightMm + high + up, out)
        const [left, low, right, top] = [put(-half, 0, 2.2), put(0, -half, 1.4), put(half, 0, 2.2), put(0, half, 1.4)]
        faces.push(
          { points: [low, right, top], opacity: 0.98, light: 0.14 },
          { points: [low, top, left], opacity: 0.98, light: -0.18 },
        )
        lines.push({ points: [left, low, right, top, left], widthMm: 0.6, light: -0.35, opacity: 0.7, edge: true })
      }
    }
    return { faces, lines }
  },
})
