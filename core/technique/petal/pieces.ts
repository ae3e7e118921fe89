import { polyline } from '../../geometry'
import { derive, found, starting, type Working } from '../../quantity'
import type { AssemblyMove } from '../assembly'
import type { PieceKind } from '../define'
import type { PetalLayer } from './bloom'
import { petalOutline, type PetalShape } from './outline'

/** A hand cuts no smaller petal than this, mm. */
const LEAST_PETAL_MM = 15
/** How far a slit reaches up from the foot, as a share of the petal. */
const SLIT_SHARE = 0.34

/**
 * Petals of a bloom as they are cut, whorl by whorl, their slit drawn as a fold.
 * @param longest length of the longest, as cut
 */
export function petalPieces(
  longest: Working,
  layers: readonly PetalLayer[],
  shape: PetalShape,
  lapDeg: number,
): readonly PieceKind[] {
  return layers.map(({ name, petals, most, share }): PieceKind => {
    const height = derive(
      `${name} petal long`,
      'length',
      'sizes of petals',
      `{longest}${share === 1 ? '' : ' × {share}'}, at least {least}`,
      {
        longest,
        ...(share !== 1 && { share: starting(`${name}, of the longest`, share, 'share', 'usual') }),
        least: starting('a hand cuts at least', LEAST_PETAL_MM, 'length', 'usual'),
      },
      () => Math.max(LEAST_PETAL_MM, longest.value * share),
    )
    const width = derive(
      `${name} petal wide`,
      'length',
      'sizes of petals',
      '{long} × {wide}',
      { long: height, wide: found('wide, of its length', shape.wide, 'share', 'of the petal as it is drawn') },
      (v) => v.long * v.wide,
    )
    return {
      name: `${name} petal`,
      isPetal: true,
      outline: petalOutline(height.value, shape),
      folds:
        lapDeg > 0
          ? [
              polyline([
                { x: 0, y: 0 },
                { x: 0, y: height.value * SLIT_SHARE },
              ]),
            ]
          : [],
      face: 'smooth face in',
      width,
      height,
      perElement: petals,
      ...(most > petals && { mostPerElement: most }),
    }
  })
}

/** Whorls in the order in which they are glued: from the heart out. */
export const whorlByWhorl = (layers: readonly PetalLayer[]): readonly AssemblyMove[] =>
  layers.map(({ name, petals, most, share }) => ({
    what: `${name} petal`,
    count: Math.round((petals + most) / 2),
    atMm: null,
    side: 0,
    share,
  }))
