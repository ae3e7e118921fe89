/**
 * Stencil shine: shortening wiped through a stencil held tight, dust dabbed on it; what is seen is a pattern that
 * shines.
 *
 * By hand: 3 dm² with a stencil that leaves half open: 3 × 0.5 × 0.2 g for each dm² = 0.3 g of dust.
 */
import { derive, starting } from '../../quantity'
import type { Point3 } from '../../geometry'
import type { MeshFace } from '../mesh'
import { chosen } from '../chosen'
import { defineFinish } from './define'
import { middleOf } from './meshPlaces'

const STARTING_SHARE = 0.5

export const stencilShine = defineFinish({
  id: 'stencilShine',
  name: 'Stencil shine',
  say: 'A pattern of shimmer dabbed through a stencil.',
  over: 'face',
  startingColour: '#d8c089',
  startingShare: STARTING_SHARE,
  amount: ({ share }, { area }) =>
    derive(
      'shimmer dust',
      'mass',
      'dust through a stencil',
      '{area} × {open} × {perDm2}',
      {
        area,
        open: chosen('open part of the stencil', share, STARTING_SHARE, 'share'),
        perDm2: starting('dust for an open dm²', 0.2, 'mass', 'guess'),
      },
      (v) => v.area * v.open * v.perDm2,
    ),
  perElementMin: 2,
  when: 'whenDry',
  driesMin: 20,
  step: {
    name: 'Stencil',
    say: 'Wipe shortening thinly through the stencil, hold it tight, dab the dust; never brush it.',
  },
  caution: 'Fine dust: do not breathe it, work over paper. Steam smears it: steam before, or on the other face.',
  wipes: { supply: 'foodFat', perDm2: 0.4 },
  paint: ({ colour, share }, mesh) => ({
    ...mesh,
    faces: [
      ...mesh.faces,
      ...mesh.faces
        .filter((_, at) => at % 2 === 0)
        .map((face): MeshFace => {
          const middle = middleOf(face.points)
          const drawn = 0.3 + 0.5 * share
          // A diamond within each second face: the pattern keeps to the paper however it is folded.
          const edges = face.points.map((point, at): Point3 => {
            const next = face.points[(at + 1) % face.points.length]!
            const half = [0, 1, 2].map((axis) => (point[axis]! + next[axis]!) / 2)
            return [0, 1, 2].map((axis) => middle[axis]! + (half[axis]! - middle[axis]!) * drawn) as unknown as Point3
          })
          return { points: edges, opacity: 0.85, light: 0.12, tint: colour }
        }),
    ],
  }),
})
