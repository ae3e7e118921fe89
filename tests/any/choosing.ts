import type { DOMWrapper } from '@vue/test-utils'

/** A page or a part of one that is looked into. */
type Part = Pick<DOMWrapper<Element>, 'get' | 'findAll'>

/** Opens the list of a field, the first of the part where none is named, and takes the choice of a value. */
export async function choose(part: Part, value: string | number, field = '[aria-haspopup="listbox"]'): Promise<void> {
  await part.get(field).trigger('click')
  await part.get(`[role="option"][data-value="${value}"]`).trigger('click')
}

/** What a field offers, as it reads. */
export async function choicesIn(part: Part, field = '[aria-haspopup="listbox"]'): Promise<readonly string[]> {
  await part.get(field).trigger('click')
  const read = part.findAll('[role="option"]').map((each) => each.text())
  await part.get(field).trigger('click')
  return read
}
