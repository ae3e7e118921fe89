/** Where a continuous function crosses nought. */

const MOST_STEPS = 60

/**
 * Where a continuous function crosses nought between two places, within a tolerance; the end that is nearer to nought
 * where it does not cross there. By a parabola through the last three places where one fits, by halving elsewhere: a
 * sixth of the evaluations that halving alone takes.
 * @see Chandrupatla 1997, "A new hybrid quadratic/bisection algorithm"
 */
export function crossing(of: (place: number) => number, low: number, high: number, tolerance: number): number {
  let [near, far, older] = [high, low, low]
  let [nearValue, farValue] = [of(near), of(far)]
  let olderValue = farValue
  const best = (): number => (Math.abs(nearValue) < Math.abs(farValue) ? near : far)
  if (nearValue > 0 === farValue > 0) return best()
  let share = 0.5
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const next = near + share * (far - near)
    const value = of(next)
    if (value > 0 === nearValue > 0) [older, olderValue] = [near, nearValue]
    else [older, olderValue, far, farValue] = [far, farValue, near, nearValue]
    ;[near, nearValue] = [next, value]
    const closest = tolerance / Math.abs(far - near)
    if (nearValue === 0 || closest > 0.5) break
    share = fitsParabola() ? Math.min(1 - closest, Math.max(closest, parabolaShare())) : 0.5
  }
  return best()

  function fitsParabola(): boolean {
    const places = (near - far) / (older - far)
    const values = (nearValue - farValue) / (olderValue - farValue)
    return values * values < places && (1 - values) * (1 - values) < 1 - places
  }
  function parabolaShare(): number {
    const onFar = (nearValue / (farValue - nearValue)) * (olderValue / (farValue - olderValue))
    const onOlder = (nearValue / (olderValue - nearValue)) * (farValue / (olderValue - farValue))
    return onFar + ((older - near) / (far - near)) * onOlder
  }
}
