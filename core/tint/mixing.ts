import type { Dye, DyeId } from '../material'
import { difference, filmOklab, hexOklab, type Dose } from './filmOptics'

export type Mix = { readonly dose: Dose, readonly difference: number }

const FIRST_STRIDE = 4
const LAST_STRIDE = 0.005
const MOST_DROPS = 120

/**
 * The dose of each dye that brings dry film over white nearest to a colour.
 * Pattern search from several beginnings: try more and less of each dye, keep what is nearer, halve the stride when nothing is.
 *
 * @see Hooke & Jeeves 1961
 * @returns drops in 100 ml, and the difference left (0.02 is about just visible)
 */
export function mixFor(targetHex: string, dyes: readonly Dye[]): Mix {
  const target = hexOklab(targetHex)
  const away = (dose: Dose): number => difference(filmOklab(dose, dyes, 'dry'), target)
  const beginnings: readonly Dose[] = [{ red: 1, yellow: 1, blue: 1 }, { red: 12, yellow: 12, blue: 1 }, { red: 2, yellow: 12, blue: 12 }, { red: 12, yellow: 2, blue: 12 }]
  return beginnings.map((dose) => descend(dose, away)).sort((one, other) => one.difference - other.difference)[0]!
}

function descend(beginning: Dose, away: (dose: Dose) => number): Mix {
  let dose = beginning
  let best = away(dose)
  for (let stride = FIRST_STRIDE; stride > LAST_STRIDE;) {
    const nearer = neighbours(dose, stride).map((each) => ({ each, away: away(each) })).sort((one, other) => one.away - other.away)[0]!
    if (nearer.away < best) {
      dose = nearer.each
      best = nearer.away
    } else {
      stride /= 2
    }
  }
  return { dose, difference: best }
}

const neighbours = (dose: Dose, stride: number): readonly Dose[] =>
  (Object.keys(dose) as DyeId[]).flatMap((id) => [stride, -stride].map((change) => ({ ...dose, [id]: Math.min(MOST_DROPS, Math.max(0, dose[id] + change)) })))
