/** How well a factor foretold each trial: by what the plan began with, and by what the trials before it had taught. */
import { factorOf, type Beginnings, type Sighting } from './factor'

/**
 * One trial: what it took against the starting value, and against what was foretold from those before it; 1 is as
 * foretold.
 */
export type Foretold = { readonly byStart: number; readonly byTrials: number }

/** Bounds are taken at their middle, or at the one that is known. */
function middleOf({ from, to }: Sighting): number {
  return Number.isFinite(from) && Number.isFinite(to) ? (from + to) / 2 : Number.isFinite(from) ? from : to
}

/** All trials of a thing in their order. */
export function foretold(sightings: readonly Sighting[], thing: string, beginnings: Beginnings): readonly Foretold[] {
  return sightings.flatMap((sighting, at) => {
    if (sighting.thing !== thing) return []
    const seen = Math.exp(middleOf(sighting))
    return [
      { byStart: seen, byTrials: seen / factorOf(sightings.slice(0, at), thing, sighting.place, beginnings).median },
    ]
  })
}
