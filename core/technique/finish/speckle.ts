/**
 * Speckle: small drops flicked from a brush.
 *
 * By hand: 5 dm² over half: 5 × 0.5 × 0.2 ml for each dm² = 0.5 ml.
 */
import { between, derive, seededStream, starting } from '../../quantity'
import type { MeshBead } from '../mesh'
import { chosen } from '../chosen'
import { defineFinish } from './define'
import { pointOn } from './meshPlaces'

const MOST_SPECKS = 46

const STARTING_SHARE = 0.5

export const speckle = defineFinish({
  id: 'speckle',
  name: 'Speckled',
  say: 'Fine drops flicked from a brush, no two faces alike.',
  over: 'face',
  startingColour: '#6b4a2f',
  startingShare: STARTING_SHARE,
  amount: ({ share }, { area }) =>
    derive(
      'colour to flick',
      'volume',
      'drops on a face',
      '{area} × {covered} × {perDm2}',
      {
        area,
        covered: chosen('how thickly', share, STARTING_SHARE, 'share'),
        perDm2: starting('colour for a dm²', 0.2, 'volume', 'guess'),
      },
      (v) => v.area * v.covered * v.perDm2,
    ),
  perElementMin: 0.5,
  when: 'beforeCutting',
  driesMin: 30,
  step: {
    name: 'Speckle',
    say: 'Load a stiff brush, wipe it, and flick it over a finger from an arm’s length; try it on waste paper first.',
  },
  caution: 'Cover what must stay clean; drops that stand wet eat through thin wafer.',
  paint: ({ colour, share }, mesh, _, seed) => {
    const stream = seededStream(seed ^ 0x51ec)
    const specks = Array.from(
      { length: mesh.faces.length > 0 ? Math.round(MOST_SPECKS * share) : 0 },
      (): MeshBead => ({
        at: pointOn(
          mesh.faces[Math.min(mesh.faces.length - 1, Math.floor(between(stream, 0, mesh.faces.length)))]!,
          stream,
        ),
        radiusMm: between(stream, 0.3, 1),
        tint: colour,
        shine: 0,
      }),
    )
    return { ...mesh, beads: [...(mesh.beads ?? []), ...specks] }
  },
})
