/** Wire is sold in stock lengths; which lengths are cut from which wire, so that the fewest are opened. */

/** Pieces of wire alike. */
export type WireDemand = { readonly name: string; readonly lengthMm: number; readonly count: number }

/** Stock wires that are cut alike: which pieces come off one, and of how many wires. */
type WirePattern = {
  readonly pieces: readonly { readonly name: string; readonly lengthMm: number }[]
  readonly wires: number
  readonly leftMm: number
}

/**
 * How wires are cut. `fewest` says whether fewer are proved impossible; `tooLong` names what no stock wire gives, to
 * be joined.
 */
export type WireCuts = {
  readonly patterns: readonly WirePattern[]
  readonly wires: number
  readonly fewest: boolean
  readonly tooLong: readonly WireDemand[]
}

/** Searching stops after so many steps; the best found by then stands. */
const MOST_STEPS = 2_000

type Open = { readonly counts: number[]; leftMm: number }

/** First the longest, each off the wire on which it leaves least. */
function bestFit(lengths: readonly number[], counts: readonly number[], stockMm: number): Open[] {
  const wires: Open[] = []
  lengths.forEach((length, kind) => {
    for (let each = 0; each < counts[kind]!; each += 1) {
      let best: Open | null = null
      for (const wire of wires) if (wire.leftMm >= length - 1e-9 && (!best || wire.leftMm < best.leftMm)) best = wire
      if (!best) wires.push((best = { counts: lengths.map(() => 0), leftMm: stockMm }))
      best.counts[kind]! += 1
      best.leftMm -= length
    }
  })
  return wires
}

/** Ways to cut one wire that leave no room for another piece of those wanted, the longest pieces first. */
function fullCuts(
  lengths: readonly number[],
  counts: readonly number[],
  stockMm: number,
): readonly (readonly number[])[] {
  const found: number[][] = []
  const cut = lengths.map(() => 0)
  const fill = (kind: number, leftMm: number): void => {
    if (kind === lengths.length) {
      if (lengths.every((length, at) => cut[at] === counts[at] || length > leftMm + 1e-9)) found.push([...cut])
      return
    }
    for (let take = Math.min(counts[kind]!, Math.floor((leftMm + 1e-9) / lengths[kind]!)); take >= 0; take -= 1) {
      cut[kind] = take
      fill(kind + 1, leftMm - take * lengths[kind]!)
    }
    cut[kind] = 0
  }
  fill(0, stockMm)
  return found
}

/** No fewer can do: all lengths end to end, and pieces of which no two come off one wire. */
function leastWires(lengths: readonly number[], counts: readonly number[], stockMm: number): number {
  const total = lengths.reduce((sum, length, kind) => sum + length * counts[kind]!, 0)
  const alone = lengths.reduce((sum, length, kind) => sum + (length > stockMm / 2 ? counts[kind]! : 0), 0)
  return Math.max(alone, Math.ceil(total / stockMm - 1e-9))
}

/** Tries for fewer wires than are known to do. Depth first over full cuts, each wire at least as full as it can be. */
function search(
  lengths: readonly number[],
  counts: readonly number[],
  stockMm: number,
  known: readonly Open[],
): { readonly wires: readonly Open[]; readonly proved: boolean } {
  let best: readonly Open[] = known
  let steps = 0
  const least = leastWires(lengths, counts, stockMm)
  const chosen: Open[] = []
  const seen = new Map<string, number>()
  const go = (left: readonly number[]): void => {
    if (best.length === least || steps > MOST_STEPS) return
    steps += 1
    const longest = left.findIndex((count) => count > 0)
    if (longest === -1) {
      if (chosen.length < best.length) best = chosen.map((wire) => ({ ...wire }))
      return
    }
    if (chosen.length + leastWires(lengths, left, stockMm) >= best.length) return
    const key = left.join(' ')
    if ((seen.get(key) ?? Infinity) <= chosen.length) return
    seen.set(key, chosen.length)
    // Some wire has to give the longest piece that is left: it may as well be the next.
    for (const cut of fullCuts(lengths, left, stockMm)) {
      if (cut[longest] === 0) continue
      chosen.push({
        counts: [...cut],
        leftMm: stockMm - cut.reduce((sum, count, kind) => sum + count * lengths[kind]!, 0),
      })
      go(left.map((count, kind) => count - cut[kind]!))
      chosen.pop()
    }
  }
  go(counts)
  return { wires: best, proved: best.length === least || steps <= MOST_STEPS }
}

/**
 * How stock wires are cut so that the fewest are opened.
 * First the longest pieces into the fullest wires; where that is more than the length of all of them asks for, a
 * search for fewer.
 * @param stockMm length of a stock wire, mm
 */
export function cutWires(demands: readonly WireDemand[], stockMm: number): WireCuts {
  const tooLong = demands.filter(({ lengthMm }) => lengthMm > stockMm)
  const wanted = demands.filter(({ lengthMm, count }) => lengthMm <= stockMm && count > 0)
  // What the pieces are for does not matter to the wire: those of one length are searched as one kind.
  const lengths = [...new Set(wanted.map(({ lengthMm }) => lengthMm))].sort((one, other) => other - one)
  const counts = lengths.map((length) =>
    wanted.reduce((sum, { lengthMm, count }) => sum + (lengthMm === length ? count : 0), 0),
  )
  const { wires, proved } = search(lengths, counts, stockMm, bestFit(lengths, counts, stockMm))
  return { wires: wires.length, fewest: proved, tooLong, patterns: named(wires, lengths, wanted) }
}

/** Wires with what each of their pieces is for; those that are cut alike together. */
function named(
  wires: readonly Open[],
  lengths: readonly number[],
  wanted: readonly WireDemand[],
): readonly WirePattern[] {
  const left = lengths.map((length) =>
    wanted.filter(({ lengthMm }) => lengthMm === length).map(({ name, count }) => ({ name, count })),
  )
  const patterns = new Map<string, { readonly pieces: WirePattern['pieces']; readonly leftMm: number; wires: number }>()
  for (const { counts, leftMm } of [...wires].sort((one, other) =>
    one.counts.join(' ') < other.counts.join(' ') ? 1 : -1,
  )) {
    const pieces = counts.flatMap((count, kind) =>
      Array.from({ length: count }, () => {
        const next = left[kind]!.find((each) => each.count > 0)!
        next.count -= 1
        return { name: next.name, lengthMm: lengths[kind]! }
      }),
    )
    const key = pieces.map(({ name, lengthMm }) => `${name} ${lengthMm}`).join()
    const before = patterns.get(key)
    if (before) before.wires += 1
    else patterns.set(key, { pieces, leftMm, wires: 1 })
  }
  return [...patterns.values()]
}
