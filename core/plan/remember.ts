/** Numbers of remembered results. */
const numbers = new WeakMap<object, string>()
let count = 0

/** Room for every decoration of a crowded cake, and for going back a few edits. */
const KEPT = 60

/**
 * A function that remembers its last results by what went in, so that a stage whose inputs did not change is not
 * worked out again.
 * Inputs are told apart by their content, since edits arrive as fresh copies; what another stage remembered is told
 * by itself, since it is much to read through.
 */
export function remember<Inputs, Result>(compute: (inputs: Inputs) => Result): (inputs: Inputs) => Result {
  const kept = new Map<string, Result>()
  return (inputs) => {
    const key = JSON.stringify(inputs, (_, value: unknown) =>
      typeof value === 'object' && value !== null ? (numbers.get(value) ?? value) : value,
    )
    const known = kept.get(key)
    if (known !== undefined) {
      // What was asked for last is forgotten last.
      kept.delete(key)
      kept.set(key, known)
      return known
    }
    const result = compute(inputs)
    kept.set(key, result)
    if (typeof result === 'object' && result !== null) numbers.set(result, `result ${(count += 1)}`)
    if (kept.size > KEPT) kept.delete(kept.keys().next().value!)
    return result
  }
}
