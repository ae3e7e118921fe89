/** Room for every decoration of a crowded cake, and for going back a few edits. */
const KEPT = 60
/** So many contents are told apart before those of which nobody asked since are forgotten. */
const MOST_CONTENTS = 20_000

/** A number for each content: what is alike has the same, however often it was copied. */
export type Contents = {
  /** What was numbered once is not read again: it must not change afterwards. */
  readonly numberOf: (thing: object) => number
  /** Numbers a thing by itself, where it is much to read through. */
  readonly countIn: (thing: object) => void
}

/**
 * Numbers nothing yet.
 * @param most contents that are kept before some are forgotten; what was forgotten gets another number, never one that
 * something else has
 */
export function contents(most = MOST_CONTENTS): Contents {
  const ofThing = new WeakMap<object, number>()
  let ofText = new Map<string, number>()
  let before = new Map<string, number>()
  let count = 0
  const written = (value: unknown): string =>
    typeof value === 'object' && value !== null ? `#${numberOf(value)}` : (JSON.stringify(value) ?? 'undefined')
  function textOf(thing: object): string {
    if (Array.isArray(thing)) return `[${thing.map(written).join()}]`
    let text = ''
    for (const [name, value] of Object.entries(thing))
      if (value !== undefined) text += `${JSON.stringify(name)}:${written(value)},`
    return text
  }
  function numberOf(thing: object): number {
    const known = ofThing.get(thing)
    if (known !== undefined) return known
    const text = textOf(thing)
    const number = ofText.get(text) ?? before.get(text) ?? (count += 1)
    if (ofText.size >= most) [before, ofText] = [ofText, new Map()]
    ofText.set(text, number)
    ofThing.set(thing, number)
    return number
  }
  return { numberOf, countIn: (thing) => ofThing.set(thing, (count += 1)) }
}

/**
 * A function that remembers its last results by what went in, so that a stage whose inputs did not change is not
 * worked out again.
 * Inputs are told apart by their content, since edits arrive as fresh copies; what another stage remembered is told
 * by itself, since it is much to read through.
 * @param told tells contents apart; the same for all stages of a plan
 */
export function remember<Inputs extends object, Result>(
  compute: (inputs: Inputs) => Result,
  told: Contents,
): (inputs: Inputs) => Result {
  const kept = new Map<number, Result>()
  return (inputs) => {
    const key = told.numberOf(inputs)
    const known = kept.get(key)
    if (known !== undefined) {
      // What was asked for last is forgotten last.
      kept.delete(key)
      kept.set(key, known)
      return known
    }
    const result = compute(inputs)
    kept.set(key, result)
    if (typeof result === 'object' && result !== null) told.countIn(result)
    if (kept.size > KEPT) kept.delete(kept.keys().next().value!)
    return result
  }
}
