/**
 * What chance brings each task in each life. It hangs on what is done alone, not on what else is planned nor on the
 * order: so two plans are lived through with the same luck, and differ by what they are.
 */
import { seededStream, seedFor } from '../quantity'

/** Luck of something, life by life: as standard normal deviations, or as shares between 0 and 1. */
export type Luck = {
  readonly deviations: (of: string) => Float64Array
  readonly shares: (of: string) => Float64Array
}

/** A deviation by chance, standard normal. @see Box & Muller 1958 */
const deviation = (stream: () => number): number =>
  Math.sqrt(-2 * Math.log(Math.max(stream(), 1e-12))) * Math.cos(2 * Math.PI * stream())

/** A number for a name. @see Fowler, Noll & Vo 1991, FNV-1a */
function numberOf(name: string): number {
  let sum = 0x811c9dc5
  for (let at = 0; at < name.length; at += 1) sum = Math.imul(sum ^ name.charCodeAt(at), 0x01000193) >>> 0
  return sum
}

/** So much is kept of what was drawn. */
const MOST_KEPT = 2000

/** The luck of so many lives; drawn when it is first asked for, and the same ever after. */
export function luckOf(seed: number, lives: number): Luck {
  const drawing = (kind: string, draw: (stream: () => number) => number) => {
    const drawn = new Map<string, Float64Array>()
    return (of: string): Float64Array => {
      const known = drawn.get(of)
      if (known) return known
      const stream = seededStream(seedFor(seed, numberOf(`${kind} ${of}`)))
      const own = new Float64Array(lives).map(() => draw(stream))
      if (drawn.size >= MOST_KEPT) drawn.clear()
      drawn.set(of, own)
      return own
    }
  }
  return { deviations: drawing('deviation', deviation), shares: drawing('share', (stream) => stream()) }
}
