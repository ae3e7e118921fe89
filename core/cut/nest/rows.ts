/**
 * Stock cutting in one direction: lengths onto as few bars of one capacity as can be found.
 * Bar by bar, the longest left is joined by those of the others that together fill the bar best (found exactly, by sums that can be reached);
 * the whole is tried again in other orders until as few bars are used as the total length allows, or the tries are spent.
 *
 * @returns indexes of the lengths on each bar
 */
export function fillRows(lengths: readonly number[], capacity: number, stream: () => number, tries: number): readonly (readonly number[])[] {
  const total = lengths.reduce((sum, length) => sum + length, 0)
  const fewest = Math.ceil(total / capacity - 1e-9)
  let best: readonly (readonly number[])[] | null = null
  for (let attempt = 0; attempt < tries; attempt += 1) {
    const order = lengths.map((length, at) => ({ at, rank: length * (attempt === 0 ? 1 : 0.75 + 0.5 * stream()) })).sort((one, other) => other.rank - one.rank).map(({ at }) => at)
    const bars: number[][] = []
    let left = order
    while (left.length > 0) {
      const [longest, ...rest] = left
      const bar = [longest!, ...bestSubset(rest, lengths, capacity - lengths[longest!]!)]
      bars.push(bar)
      const taken = new Set(bar)
      left = left.filter((at) => !taken.has(at))
    }
    if (!best || bars.length < best.length) best = bars
    if (best.length <= fewest) break
  }
  return best ?? []
}

/** Sums are told apart to this, mm. */
const GRID_MM = 0.01
const MOST_SUMS = 60_000

/** Those of some lengths that fill a room best without exceeding it. */
function bestSubset(candidates: readonly number[], lengths: readonly number[], room: number): readonly number[] {
  const top = Math.floor(room / GRID_MM + 1e-6)
  if (top <= 0) return []
  const cells = Math.min(top, MOST_SUMS)
  const scale = cells / top
  const size = (at: number): number => Math.ceil((lengths[at]! / GRID_MM - 1e-6) * scale - 1e-9)
  const from = new Int32Array(cells + 1).fill(-1)
  const reached = new Uint8Array(cells + 1)
  reached[0] = 1
  let most = 0
  for (const [order, at] of candidates.entries()) {
    const step = size(at)
    if (step > cells || step <= 0) continue
    for (let sum = Math.min(cells, most + step); sum >= step; sum -= 1) {
      if (reached[sum] || !reached[sum - step]) continue
      reached[sum] = 1
      from[sum] = order
      most = Math.max(most, sum)
    }
    if (reached[cells]) break
  }
  const chosen: number[] = []
  for (let sum = most; sum > 0;) {
    const at = candidates[from[sum]!]!
    chosen.push(at)
    sum -= size(at)
  }
  return chosen
}
