/**
 * Two-tone: a second colour misted on from one end, running into the first.
 *
 * By hand: 4 dm² misted over six tenths: 4 × 0.6 × 0.6 ml for each dm² = 1.4 ml.
 */
import { derive, starting } from '../../quantity'
import { blend } from '../../tint'
import { chosen } from '../chosen'
import { defineFinish } from './define'
import { heightShares } from './meshPlaces'

const SOFT = 0.35

const STARTING_SHARE = 0.5

export const twoTone = defineFinish({
  id: 'twoTone',
  name: 'Two-tone',
  say: 'A second colour misted from the tips, running into the first.',
  over: 'face',
  startingColour: '#343a63',
  startingShare: STARTING_SHARE,
  amount: ({ share }, { area }) =>
    derive(
      'mist',
      'volume',
      'mist on a face',
      '{area} × {misted} × {perDm2}',
      {
        area,
        misted: chosen('share misted', share, STARTING_SHARE, 'share'),
        perDm2: starting('mist for a dm²', 0.6, 'volume', 'guess'),
      },
      (v) => v.area * v.misted * v.perDm2,
    ),
  perElementMin: 1,
  when: 'whenDry',
  driesMin: 15,
  step: {
    name: 'Mist the second colour',
    say: 'From the tip, a hand’s length away, in short bursts; let it dry between them.',
  },
  caution: 'Mist of colour in alcohol burns: no flame, no hot pan near, and air the room.',
  paint: ({ colour, share }, mesh, own) => {
    const heights = heightShares(mesh)
    return {
      ...mesh,
      faces: mesh.faces.map((face, at) => ({
        ...face,
        tint: blend(face.tint ?? own, colour, (heights[at]! - (1 - share) + SOFT / 2) / SOFT),
      })),
    }
  },
})
