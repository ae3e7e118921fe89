/**
 * Folded globe or wedge: equal circles folded in half and glued fold to fold; two halves of six make a ball, five a
 * quarter.
 *
 * By hand: three balls 40 mm across: 12 circles of 40 mm each, 36 circles and 4 spares of one size; three half balls
 * take 18.
 * Four balls and 6 spares, 54 circles, are folded and glued in 54 × 0.75 + 4 × 2 = 48.5 min; 54 × 0.1 = 5.4 ml of glue.
 */
import { z } from 'zod'
import { circle, polyline, type Point3 } from '../geometry'
import { between, derive, found, seededStream } from '../quantity'
import { defineTechnique } from './define'
import { chosen } from './chosen'
import type { MeshFace, MeshLine } from './mesh'
import { STANDARD_SPARES } from './flat'
import { frameOf } from './frame'
import { fixed } from './step'

const PARTS = ['ball', 'half', 'quarter'] as const

const parameters = z.strictObject({
  seenMm: z.number().min(15).max(120).meta({ label: 'Across', kind: 'length', help: 'Of the biggest' }),
  circles: z.number().int().min(8).max(18).meta({ label: 'Circles in a ball', kind: 'count' }),
  wedge: z.number().int().min(4).max(6).meta({ label: 'Circles in a wedge', kind: 'count', help: '4 to 6' }),
  part: z.enum(PARTS).meta({
    label: 'How much of a ball',
    kind: 'choice',
    options: { ball: 'a whole ball', half: 'half, flat to the cake', quarter: 'a quarter, a wedge' },
  }),
  staggered: z.boolean().meta({ label: 'Staggered, growing in the middle', kind: 'choice' }),
})

/** As it begins. */
const STARTING: z.infer<typeof parameters> = { seenMm: 40, circles: 12, wedge: 5, part: 'ball', staggered: false }

const RIM_STEPS = 12
const TURN = { ball: 2 * Math.PI, half: Math.PI, quarter: Math.PI / 2 } as const
const STAGGER = 0.3

export const foldedGlobe = defineTechnique({
  id: 'foldedGlobe',
  name: 'Folded globe',
  element: 'globe',
  family: 'figures',
  alsoCalled: ['ball', 'honeycomb', 'sphere', 'lantern', 'wedge'],
  say: 'Circles folded in half and glued back to back into balls, halves or wedges.',
  papers: ['thinWafer', 'standardWafer', 'thickWafer'],
  whyPaper: 'Thin wafer folds sharply and stays light; thicker makes fewer, crisper leaves.',
  unfit: { riceFilm: 'Rice film breaks at the fold.' },
  compositions: ['crown', 'cluster', 'sweep', 'scatter', 'pair', 'single'],
  finishes: ['edgeGilding', 'dusting', 'speckle', 'stencilShine'],
  parameters,
  startingParameters: STARTING,
  stands: true,
  sizedBy: ['seenMm'],
  punchMm: ({ seenMm }) => seenMm,
  startingFaces: 2,
  startingColour: '#f6efe4',
  spareShare: STANDARD_SPARES.dry,
  seen: ({ seenMm }) => ({ widthMm: seenMm, heightMm: seenMm }),

  pieces: ({ seenMm, circles, wedge, part }, size) => {
    const across = found('across here', seenMm * size, 'length', 'from its place')
    const radius = across.value / 2
    const inBall = chosen('circles in a ball', circles, STARTING.circles, 'count')
    const each =
      part === 'quarter'
        ? chosen('circles in a wedge', wedge, STARTING.wedge, 'count')
        : part === 'ball'
          ? inBall
          : derive('circles in one', 'count', 'half a ball', 'round up( {inBall} ÷ 2 )', { inBall }, (v) =>
              Math.ceil(v.inBall / 2),
            )
    return [
      {
        name: 'circle',
        outline: circle({ x: radius, y: radius }, radius),
        folds: [
          polyline([
            { x: radius, y: 0 },
            { x: radius, y: 2 * radius },
          ]),
        ],
        face: 'smooth face in',
        width: across,
        height: across,
        perElement: each.value,
      },
    ]
  },

  steps: [
    {
      id: 'punch',
      name: 'Punch the circles',
      say: 'Punch or cut close together; all of one globe alike.',
      minutes: { fixed: 3 },
      cuts: true,
    },
    {
      id: 'fold',
      name: 'Fold and glue',
      say:
        'Fold each in half, glue back to back, six for each half; join the halves when they ' +
        'hold. Staggered, set each a little off the last and back again.',
      minutes: { perPiece: 0.75, perElement: 2 },
      rest: fixed(15),
    },
  ],
  liquids: [{ mixture: 'edibleGlue', at: 'fold', per: 'piece', ml: 0.1 }],
  fixed: () => ({ by: 'dot', joints: 3 }),
  cautions: [{ id: 'punch', at: 'punch', say: 'A punch’s edge is sharp: fingers beside, not below.' }],
  failures: [
    {
      seen: 'The ball gapes',
      because: 'too few circles, or glue over the whole face',
      next: 'add one, glue only near the fold',
    },
  ],
  holdingParts: () => [],

  draw: ({ seenMm, circles, wedge, part, staggered }, element, wall) => {
    const radius = (seenMm * element.size) / 2
    const stream = seededStream(element.seed)
    const at = frameOf(element, wall, radius)
    const leaves = part === 'quarter' ? 2 * wedge : Math.max(3, Math.round((circles * 2 * TURN[part]) / TURN.ball))
    const begin = part === 'ball' ? between(stream, 0, 6.28) : -TURN[part] / 2
    const stray = Array.from({ length: leaves + 1 }, () => between(stream, -0.04, 0.04))
    // A ball touches the side; a part lies flat against it.
    const off = part === 'ball' && element.on === 'side' ? radius * 0.9 : 0.5
    const rimAt = (leaf: number, step: number): Point3 => {
      const round = begin + (leaf * TURN[part]) / leaves + stray[leaf]!
      const up = -Math.PI / 2 + (Math.PI * step) / RIM_STEPS
      const grown = staggered ? 1 - STAGGER * Math.abs(leaf / leaves - 0.5) * 2 : 1
      const out = radius * grown * Math.cos(up)
      return at(out * Math.sin(round), radius * (1 + grown * Math.sin(up)), off + out * Math.cos(round))
    }
    const leafOf = (leaf: number): readonly Point3[] =>
      Array.from({ length: RIM_STEPS + 1 }, (_, step) => rimAt(leaf, step))
    const all = part === 'ball' ? leaves : leaves + 1
    return {
      faces: Array.from({ length: all }, (_, leaf): MeshFace => ({
        points: leafOf(leaf),
        opacity: 0.82,
        light: leaf % 2 === 0 ? -0.12 : 0.06,
      })),
      lines: Array.from({ length: all }, (_, leaf): MeshLine => ({
        points: leafOf(leaf),
        widthMm: 0.6,
        light: 0.4,
        opacity: 0.9,
        edge: true,
      })),
    }
  },
})
