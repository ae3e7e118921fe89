/**
 * Stock cutting in one direction: lengths onto as few bars of one capacity as can be found.
 * Bar by bar, the longest left is joined by those of the others that together fill the bar best (found exactly, by
 * sums that can be reached).
 * Then the emptiest bar and some others are cut anew together, again and again, and kept when full bars become
 * fuller, or hardly less full,
 * until as few bars are used as the total length allows, or the tries are spent.
 *
 * @returns indexes of the lengths on each bar
 */
export function fillRows(
  lengths: readonly number[],
  capacity: number,
  stream: () => number,
  tries: number,
): readonly (readonly number[])[] {
  const fewest = Math.ceil(lengths.reduce((sum, length) => sum + length, 0) / capacity - 1e-9)
  const filled = (bar: readonly number[]): number => bar.reduce((sum, at) => sum + lengths[at]!, 0)
  const fullness = (bars: readonly (readonly number[])[]): number =>
    bars.reduce((sum, bar) => sum + filled(bar) ** 2, 0)
  let bars = cutBars(
    lengths.map((_, at) => at),
    lengths,
    capacity,
    null,
  )
  for (let attempt = 0; attempt < tries && bars.length > fewest; attempt += 1) {
    const ranked = bars
      .map((bar, at) => ({ bar, rank: at === emptiest(bars.map(filled)) ? -1 : stream() }))
      .sort((one, other) => one.rank - other.rank)
      .map(({ bar }) => bar)
    const several = 2 + Math.floor(stream() * 5)
    const [again, kept] = [ranked.slice(0, several), ranked.slice(several)]
    const fresh = cutBars(again.flat(), lengths, capacity, stream)
    if (
      fresh.length < again.length ||
      (fresh.length === again.length && fullness(fresh) >= fullness(again) - SLACK_MM2 * stream() ** 4)
    )
      bars = [...kept, ...fresh]
  }
  return bars
}

/** A change may make full bars this much less full, seldom so much: it leads out of dead ends. */
const SLACK_MM2 = 400

const emptiest = (fills: readonly number[]): number =>
  fills.reduce((best, fill, at) => (fill < fills[best]! ? at : best), 0)

/** One pass over some lengths, the longest first, or about so by chance. */
function cutBars(
  indexes: readonly number[],
  lengths: readonly number[],
  capacity: number,
  stream: (() => number) | null,
): readonly (readonly number[])[] {
  const order = indexes
    .map((at) => ({ at, rank: lengths[at]! * (stream ? 0.6 + 0.8 * stream() : 1) }))
    .sort((one, other) => other.rank - one.rank)
    .map(({ at }) => at)
  const bars: number[][] = []
  let left = order
  while (left.length > 0) {
    const [longest, ...rest] = left
    const bar = [longest!, ...bestSubset(rest, lengths, capacity - lengths[longest!]!)]
    bars.push(bar)
    const taken = new Set(bar)
    left = left.filter((at) => !taken.has(at))
  }
  return bars
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
