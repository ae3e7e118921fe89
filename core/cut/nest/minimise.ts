/** Energy at a point; its gradient is written into the second array. */
export type Slope = (at: Float64Array, gradient: Float64Array) => number

const KEPT = 6
const ARMIJO = 1e-4
/**
 * A walk with many evaluations ends when so many more have not taken a tenth off the energy: it has come to rest far
 * from zero.
 */
const LOOK_BACK = 12
const FELL_TO = 0.9

/**
 * Walks downhill from a point until the energy is at most `enough`, the slope is flat, or the evaluations are spent.
 * Limited-memory quasi-Newton with a halving line search.
 *
 * @param at start; the best point found is written back
 * @param longest longest step of a single coordinate in one move
 * @returns the energy there
 * @see Nocedal 1980; Nocedal and Wright 2006, algorithm 7.4
 */
export function minimise(slope: Slope, at: Float64Array, evaluations: number, longest: number, enough = 0): number {
  const size = at.length
  let gradient = new Float64Array(size)
  let nextGradient = new Float64Array(size)
  const next = new Float64Array(size)
  const direction = new Float64Array(size)
  const steps: Float64Array[] = []
  const turns: Float64Array[] = []
  const inverse: number[] = []
  const shares = new Float64Array(KEPT)
  let energy = slope(at, gradient)
  let spent = 1
  let before = { energy, spent }
  while (energy > enough && spent < evaluations) {
    direction.set(gradient)
    for (let back = steps.length - 1; back >= 0; back -= 1) {
      shares[back] = inverse[back]! * dot(steps[back]!, direction)
      addScaled(direction, turns[back]!, -shares[back]!)
    }
    const latest = steps.length - 1
    const scale = latest >= 0 ? dot(steps[latest]!, turns[latest]!) / dot(turns[latest]!, turns[latest]!) : 0.25
    for (let index = 0; index < size; index += 1) direction[index]! *= scale
    for (let back = 0; back < steps.length; back += 1)
      addScaled(direction, steps[back]!, shares[back]! - inverse[back]! * dot(turns[back]!, direction))
    let fall = dot(direction, gradient)
    if (!(fall > 0)) {
      direction.set(gradient)
      fall = dot(gradient, gradient)
      steps.length = turns.length = inverse.length = 0
    }
    if (fall < 1e-18) break
    let most = 0
    for (let index = 0; index < size; index += 1) most = Math.max(most, Math.abs(direction[index]!))
    let share = Math.min(1, longest / most)
    let nextEnergy = Infinity
    for (let halving = 0; halving < 12; halving += 1) {
      for (let index = 0; index < size; index += 1) next[index] = at[index]! - share * direction[index]!
      nextEnergy = slope(next, nextGradient)
      spent += 1
      if (nextEnergy <= energy - ARMIJO * share * fall || spent >= evaluations) break
      share /= 2
    }
    if (!(nextEnergy < energy)) break
    const [step, turn] =
      steps.length === KEPT ? [steps.shift()!, turns.shift()!] : [new Float64Array(size), new Float64Array(size)]
    if (inverse.length === KEPT) inverse.shift()
    for (let index = 0; index < size; index += 1) {
      step[index] = next[index]! - at[index]!
      turn[index] = nextGradient[index]! - gradient[index]!
    }
    const curve = dot(step, turn)
    if (curve > 1e-14) {
      steps.push(step)
      turns.push(turn)
      inverse.push(1 / curve)
    }
    const gained = energy - nextEnergy
    at.set(next)
    energy = nextEnergy
    ;[gradient, nextGradient] = [nextGradient, gradient]
    if (gained < 1e-7 * energy && gained < 1e-9) break
    if (evaluations > 5 * LOOK_BACK && spent >= before.spent + LOOK_BACK) {
      if (energy > FELL_TO * before.energy) break
      before = { energy, spent }
    }
  }
  return energy
}

function dot(one: Float64Array, other: Float64Array): number {
  let sum = 0
  for (let index = 0; index < one.length; index += 1) sum += one[index]! * other[index]!
  return sum
}

function addScaled(into: Float64Array, from: Float64Array, scale: number): void {
  for (let index = 0; index < into.length; index += 1) into[index]! += scale * from[index]!
}
