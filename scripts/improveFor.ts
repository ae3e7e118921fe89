import type { Nesting } from '#core/cut'

/** Milliseconds since some beginning. */
export type Clock = () => number

const RECENT_STEPS = 40

/** Steps until the time is nearly over: none is begun that would probably last beyond it. @returns how many */
export function improveFor(nesting: Nesting, untilMs: number, clock: Clock): number {
  const recent: number[] = []
  let steps = 0
  for (let now = clock(); now + Math.max(0, ...recent) < untilMs; steps += 1) {
    nesting.step()
    const after = clock()
    recent.push(after - now)
    if (recent.length > RECENT_STEPS) recent.shift()
    now = after
  }
  return steps
}
