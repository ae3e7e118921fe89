import { describe, expect, it } from 'vitest'
import { COMPOSITIONS } from '#core/compose'
import { TECHNIQUES } from '#core/technique'
import { formFields } from './formFields'

describe('a form made from a schema', () => {
  it.each([
    ...TECHNIQUES.map(({ id, parameters }) => [id, parameters] as const),
    ...COMPOSITIONS.map(({ kind, schema }) => [kind, schema] as const),
  ])('%s has a labelled field for everything that a person chooses', (_, schema) => {
    const fields = formFields(schema)
    const editedElsewhere = ['kind', 'seed', 'tier', 'rings']
    expect(fields.map(({ key }) => key)).toEqual(
      Object.keys(schema.shape).filter((key) => !editedElsewhere.includes(key)),
    )
    fields.forEach((field) => {
      expect(field.label).toMatch(/^[A-Z]/)
      if (field.kind === 'choice')
        field.options.forEach(({ value, says }) => {
          expect(value).not.toBe('')
          expect(says).not.toBe('')
        })
    })
  })
})
