/**
 * Dusting: dry edible dust brushed on, deeper towards the edges.
 *
 * By hand: 6 dm² of wings dusted over half: 6 × 0.5 × 0.15 g for each dm² = 0.45 g.
 */
import { derive, starting } from '../../quantity'
import { blend } from '../../tint'
import { chosen } from '../chosen'
import { defineFinish } from './define'
import { edgeShares } from './meshPlaces'

const STARTING_SHARE = 0.5

export const dusting = defineFinish({
  id: 'dusting',
  name: 'Dusted',
  say: 'Dry dust brushed on, deeper towards the edges.',
  over: 'face',
  startingColour: '#a8432e',
  startingShare: STARTING_SHARE,
  amount: ({ share }, { area }) =>
    derive(
      'dust',
      'mass',
      'dust on a face',
      '{area} × {dusted} × {perDm2}',
      {
        area,
        dusted: chosen('share dusted', share, STARTING_SHARE, 'share'),
        perDm2: starting('dust for a dm²', 0.15, 'mass', 'guess'),
      },
      (v) => v.area * v.dusted * v.perDm2,
    ),
  perElementMin: 1,
  when: 'whenDry',
  driesMin: 0,
  step: { name: 'Dust', say: 'A soft dry brush, from the edge inwards; tap off what does not hold.' },
  caution:
    'Fine dust: work over paper, wear a mask, do not breathe it; use dust sold as edible, not merely “non-toxic”.',
  paint: ({ colour, share }, mesh, own) => {
    const shares = edgeShares(mesh)
    return {
      ...mesh,
      faces: mesh.faces.map((face, at) => ({
        ...face,
        tint: blend(face.tint ?? own, colour, (Math.max(0, shares[at]! - (1 - share)) / Math.max(0.05, share)) * 0.75),
      })),
      lines: mesh.lines.map((line) => (line.tint ? line : { ...line, tint: blend(own, colour, 0.6 * share) })),
    }
  },
})
