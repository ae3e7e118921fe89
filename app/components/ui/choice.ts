/** One thing of a list to choose from: what is kept, what is read; choices of one group stand together. */
export type Choice<Value extends string | number> = {
  readonly value: Value
  readonly says: string
  readonly disabled?: boolean
  readonly group?: string
}

/** Choices of what has words by its value. */
export const choicesOf = <Value extends string | number>(
  values: readonly Value[],
  says: (value: Value) => string,
): readonly Choice<Value>[] => values.map((value) => ({ value, says: says(value) }))

/** Choices of things with an id and a name. */
export const namedChoices = <Id extends string>(
  things: readonly { readonly id: Id; readonly name: string }[],
): readonly Choice<Id>[] => things.map(({ id, name }) => ({ value: id, says: name }))
