import { derive, type Working } from '../../quantity'

/**
 * What a petal becomes when it is slit at its foot and the slit's edges are drawn over each other: part of a cone.
 *
 * Round the end of the slit the flat paper has 360°. Lapping it by an angle leaves 360° less that angle, so every
 * length from there is seen
 * shorter by the same share: sin(half angle of the cone) = 1 − lap ÷ 360. What is lost to the eye goes into depth.
 *
 * By hand: lapped by 40°, 1 − 40 ÷ 360 = 0.889: the cone opens to 62.7° each side; a petal 30 mm wide is seen 26.7 mm
 * and 15 × cos 62.7° = 6.9 mm deep.
 */
export function coneShare(lapDeg: Working): Working {
  return derive(
    'seen of a length',
    'share',
    'a lapped slit makes a cone',
    '1 − {lap} ÷ 360',
    { lap: lapDeg },
    (v) => 1 - v.lap / 360,
  )
}

/**
 * How far the middle of a cupped petal lies below its edges, mm: half its width times the cosine of the cone's half
 * angle.
 */
export const cupDepth = (share: Working, width: Working): Working =>
  derive(
    'cup deep',
    'length',
    'a lapped slit makes a cone',
    '{width} ÷ 2 × √( 1 − {share}² )',
    { width, share },
    (v) => (v.width / 2) * Math.sqrt(Math.max(0, 1 - v.share ** 2)),
  )

/** Half the angle at which the cone opens, degrees. */
export const coneHalfAngle = (share: Working): Working =>
  derive(
    'cone opens',
    'angle',
    'a lapped slit makes a cone',
    'arcsin {share}',
    { share },
    (v) => (Math.asin(v.share) * 180) / Math.PI,
  )
