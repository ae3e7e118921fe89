/**
 * Edge gilding: metallic edible paint drawn along the cut edges.
 *
 * By hand: twelve petals with 150 mm of edge each, all of it gilded: 1.8 m × 0.25 ml for each metre = 0.45 ml.
 */
import { derive, starting } from '../../quantity'
import { chosen } from '../chosen'
import { defineFinish } from './define'

const MM_PER_M = 1000

const STARTING_SHARE = 0.8

export const edgeGilding = defineFinish({
  id: 'edgeGilding',
  name: 'Gilded edges',
  say: 'Metallic paint along the cut edges, thinly.',
  over: 'edge',
  startingColour: '#c9a24b',
  startingShare: STARTING_SHARE,
  amount: ({ share }, { edge }) =>
    derive(
      'paint for edges',
      'volume',
      'paint along an edge',
      '{edge} × {gilded} × {perMetre} ÷ 1000',
      {
        edge,
        gilded: chosen('share gilded', share, STARTING_SHARE, 'share'),
        perMetre: starting('paint for a metre', 0.25, 'volume', 'guess'),
      },
      (v) => (v.edge / MM_PER_M) * v.gilded * v.perMetre,
    ),
  perElementMin: 1.5,
  when: 'whenDry',
  driesMin: 30,
  step: { name: 'Gild the edges', say: 'A nearly dry, flat brush along the edge, outward; too wet curls the paper.' },
  caution: 'Only paint sold as edible on what is eaten; metallic is often for display only.',
  paint: ({ colour, share }, mesh) => ({
    ...mesh,
    lines: mesh.lines.flatMap((line) =>
      line.edge
        ? [
            line,
            {
              ...line,
              points: line.points.slice(0, Math.max(2, Math.ceil(line.points.length * share))),
              tint: colour,
              widthMm: Math.max(1.1, line.widthMm * 1.3),
              opacity: 1,
              light: 0.08,
            },
          ]
        : [line],
    ),
  }),
})
