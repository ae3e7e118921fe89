/** The outcome of something a user may get wrong: a value, or a refusal that says what and why as data. */
export type Result<Value, Problem> =
  { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly error: Problem }

export const ok = <Value>(value: Value): { readonly ok: true; readonly value: Value } => ({ ok: true, value })

export const refuse = <Problem>(error: Problem): { readonly ok: false; readonly error: Problem } => ({
  ok: false,
  error,
})

/**
 * The value of a result that the caller knows to be good.
 * @throws when it is a refusal: that is a programmer's mistake, not a user's
 */
export function valueOf<Value, Problem>(result: Result<Value, Problem>): Value {
  if (result.ok) return result.value
  throw new Error(`Expected a value, got the refusal ${JSON.stringify(result.error)}`)
}
