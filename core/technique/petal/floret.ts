import { pointAt, polyline, type Outline } from '../../geometry'

const STEPS_PER_PETAL = 8
/** How far the outline comes in between petals, as a share of its reach. */
const WAIST = 0.42

/** A floret in one piece as punched: rounded petals round its middle, mm; the middle at half its width and height. */
export function floretOutline(acrossMm: number, petals: number): Outline {
  const reach = acrossMm / 2
  const centre = { x: reach, y: reach }
  const points = Array.from({ length: petals * STEPS_PER_PETAL }, (_, step) => {
    const share = step / STEPS_PER_PETAL
    return pointAt(
      centre,
      90 + (share * 360) / petals,
      reach * (WAIST + (1 - WAIST) * Math.abs(Math.cos(Math.PI * share)) ** 0.6),
    )
  })
  return polyline([points[0]!, ...points.slice(1)], true)
}
