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
  // While enough of each length is left, one bar is filled as the one before.
  const known = new Map<string, readonly number[]>()
  let left = order
  while (left.length > 0) {
    const [longest, ...rest] = left
    const bar = [longest!, ...bestSubset(rest, lengths, capacity - lengths[longest!]!, known)]
    bars.push(bar)
    const taken = new Set(bar)
    left = left.filter((at) => !taken.has(at))
  }
  return bars
}

/** Sums are told apart to this, mm. */
const GRID_MM = 0.01
const MOST_SUMS = 60_000

/**
 * Those of some lengths that fill a room best without exceeding it.
 * @param known what filled a room best, by the room and the lengths there were
 */
function bestSubset(
  candidates: readonly number[],
  lengths: readonly number[],
  room: number,
  known: Map<string, readonly number[]>,
): readonly number[] {
  const top = Math.floor(room / GRID_MM + 1e-6)
  if (top <= 0) return []
  const cells = Math.min(top, MOST_SUMS)
  const scale = cells / top
  const usable: { readonly at: number; readonly step: number }[] = []
  const many = new Map<number, number>()
  for (const at of candidates) {
    const step = Math.ceil((lengths[at]! / GRID_MM - 1e-6) * scale - 1e-9)
    // Of one length no more are of any use than fit into the room.
    const fits = step > 0 ? Math.floor(cells / step) : 0
    const already = many.get(step) ?? 0
    if (already >= fits) continue
    many.set(step, already + 1)
    usable.push({ at, step })
  }
  const steps = usable.map(({ step }) => step)
  const key = `${cells}: ${steps.join()}`
  const chosen = known.get(key) ?? bestSteps(steps, cells)
  known.set(key, chosen)
  return chosen.map((place) => usable[place]!.at)
}

/** Places of those of some steps whose sum comes nearest to so many cells without exceeding it. */
function bestSteps(steps: readonly number[], cells: number): readonly number[] {
  const from = new Int32Array(cells + 1).fill(-1)
  const reached = new Uint8Array(cells + 1)
  reached[0] = 1
  let most = 0
  for (const [place, step] of steps.entries()) {
    for (let sum = Math.min(cells, most + step); sum >= step; sum -= 1) {
      if (reached[sum] || !reached[sum - step]) continue
      reached[sum] = 1
      from[sum] = place
      most = Math.max(most, sum)
    }
    if (reached[cells]) break
  }
  const chosen: number[] = []
  for (let sum = most; sum > 0; sum -= steps[from[sum]!]!) chosen.push(from[sum]!)
  return chosen
}
