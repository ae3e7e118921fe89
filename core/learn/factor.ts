/**
 * How much longer or shorter something takes than the plan began with, in two parts: one that goes with the thing (a
 * paper, a step of work), one that goes with the place or the person.
 */
import { normalDensity, normalShareBelow } from '../quantity'

/**
 * What was seen: its logarithm against what the plan began with lies between two bounds; both the same when it was
 * seen exactly, open where it is not known.
 */
export type Sighting = { readonly thing: string; readonly place: string; readonly from: number; readonly to: number }

/** How far things stray before anything was seen, deviations of logarithms. */
export type Beginnings = { readonly thing: number; readonly place: number; readonly noise: number }

/** A belief about a factor: the median of it, and the deviation of the logarithm of one more case. */
export type Factor = { readonly median: number; readonly deviation: number; readonly sightings: number }

/** Further off than so many deviations of the noise, a sighting counts less the further off it is. @see Huber 1964 */
const ODD_FROM = 1.5
const SWEEPS = 12
const FURTHEST = 8

type Belief = { readonly mean: Float64Array; readonly covariance: Float64Array[] }

/**
 * A normal distribution cut to what lies between two bounds: its mean and its variance, as shares of the whole one's.
 * @see Johnson, Kotz & Balakrishnan 1994, 10.1
 */
export function cutNormal(from: number, to: number): { readonly mean: number; readonly variance: number } {
  const [low, high] = [Math.max(from, -FURTHEST), Math.min(to, FURTHEST)]
  const share = normalShareBelow(high) - normalShareBelow(low)
  if (share < 1e-9) return { mean: from > FURTHEST ? from : to < -FURTHEST ? to : (low + high) / 2, variance: 0.05 }
  const [atLow, atHigh] = [normalDensity(low), normalDensity(high)]
  const mean = (atLow - atHigh) / share
  return { mean, variance: Math.max(1e-6, 1 + (low * atLow - high * atHigh) / share - mean * mean) }
}

/** One sighting after the other taken into a belief; `weights` makes the noise of what looks odd larger. */
function sweep(
  sightings: readonly Sighting[],
  names: readonly string[],
  { thing, place, noise }: Beginnings,
  weights: readonly number[],
): Belief {
  const mean = new Float64Array(names.length)
  const covariance = names.map((name, row) =>
    new Float64Array(names.length).map((_, column) =>
      row === column ? (name.startsWith('thing ') ? thing : place) ** 2 : 0,
    ),
  )
  sightings.forEach((sighting, at) => {
    const own = [names.indexOf(`thing ${sighting.thing}`), names.indexOf(`place ${sighting.place}`)]
    const spread = names.map((_, row) => own.reduce((sum, column) => sum + covariance[row]![column]!, 0))
    const variance = own.reduce((sum, row) => sum + spread[row]!, 0) + noise ** 2 / weights[at]!
    const deviation = Math.sqrt(variance)
    const expected = own.reduce((sum, row) => sum + mean[row]!, 0)
    const isExact = sighting.from === sighting.to
    const cut = isExact
      ? { mean: (sighting.from - expected) / deviation, variance: 0 }
      : cutNormal((sighting.from - expected) / deviation, (sighting.to - expected) / deviation)
    names.forEach((_, row) => {
      mean[row]! += (spread[row]! / deviation) * cut.mean
    })
    covariance.forEach((line, row) =>
      line.forEach((_, column) => {
        line[column]! -= ((spread[row]! * spread[column]!) / variance) * (1 - cut.variance)
      }),
    )
  })
  return { mean, covariance }
}

/**
 * What sightings say of a thing in a place: `ln seen = ln begun with + thing + place + noise`, each part normal.
 * A new thing keeps what is known of the place. What lies far from the rest counts less the further off it is, so
 * that one slip does not throw the factor.
 *
 * By hand: things stray by 0.30, places by 0.38, noise is 0.25. One sighting of ln( 8 ÷ 10.47 ) = −0.269: its
 * variance is 0.30² + 0.38² + 0.25² = 0.2969,
 * so the thing takes 0.09 ÷ 0.2969 of it and the place 0.1444 ÷ 0.2969: together −0.2124, a factor of 0.809.
 *
 * @see Kalman 1960; bounds by matching the moments of a cut normal
 */
export function factorOf(sightings: readonly Sighting[], thing: string, place: string, beginnings: Beginnings): Factor {
  const names = [
    ...new Set([
      `thing ${thing}`,
      `place ${place}`,
      ...sightings.flatMap((each) => [`thing ${each.thing}`, `place ${each.place}`]),
    ]),
  ]
  let weights = sightings.map(() => 1)
  let belief = sweep(sightings, names, beginnings, weights)
  for (let turn = 0; turn < SWEEPS; turn += 1) {
    const next = sightings.map(({ thing: seen, place: where, from, to }) => {
      const expected = belief.mean[names.indexOf(`thing ${seen}`)]! + belief.mean[names.indexOf(`place ${where}`)]!
      const off = expected < from ? from - expected : expected > to ? expected - to : 0
      return Math.min(1, (ODD_FROM * beginnings.noise) / Math.max(off, 1e-9))
    })
    if (next.every((weight, at) => Math.abs(weight - weights[at]!) < 1e-4)) break
    weights = next
    belief = sweep(sightings, names, beginnings, weights)
  }
  const own = [names.indexOf(`thing ${thing}`), names.indexOf(`place ${place}`)]
  const variance =
    own.reduce((sum, row) => sum + own.reduce((line, column) => line + belief.covariance[row]![column]!, 0), 0) +
    beginnings.noise ** 2
  return {
    median: Math.exp(own.reduce((sum, row) => sum + belief.mean[row]!, 0)),
    deviation: Math.sqrt(variance),
    sightings: sightings.filter((each) => each.thing === thing).length,
  }
}
