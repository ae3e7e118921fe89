/**
 * An endless stream of numbers in [0, 1) that is the same for the same seed.
 * Mixing function: mulberry32 (Tommy Ettinger, 2017, public domain); 32-bit state, good enough for drawing and
 * placing, not for secrets.
 *
 * @param seed any integer; only its low 32 bits count
 */
export function seededStream(seed: number): () => number {
  let state = seed | 0
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
}

/** A seed of its own for the n-th thing under a seed, so that adding a thing leaves the others as they were. */
export const seedFor = (seed: number, index: number): number =>
  Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) + Math.imul(index + 1, 0xc2b2ae35)

/** A number between two bounds from a stream. */
export const between = (stream: () => number, low: number, high: number): number => low + (high - low) * stream()
