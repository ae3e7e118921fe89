/** Forms that are checked as a whole when they are submitted; nothing is changed before. */
import { useForm, type TypedSchema } from 'vee-validate'
import { computed } from 'vue'
import { z } from 'zod'

/** A schema as forms ask for one. Each field is told the first thing that is wrong with it. */
const asTyped = <Values extends object, Read extends object>(
  schema: z.ZodType<Read, Values>,
): TypedSchema<Values, Read> => ({
  __type: 'VVTypedSchema',
  parse: (values) => {
    const read = schema.safeParse(values)
    if (read.success) return Promise.resolve({ value: read.data, errors: [] })
    const errors = read.error.issues.map(({ path, message }) => ({ path: path.join('.'), errors: [message] }))
    return Promise.resolve({ errors })
  },
})

/** A name that somebody gives to something. */
export const givenName = (most: number) => z.string().trim().min(1, 'Give it a name, please.').max(most)

/** What somebody may write or leave out. */
export const remark = (most: number) => z.string().trim().max(most)

/**
 * A form whose values are kept when they hold together.
 * @param begins what its fields hold to begin with
 * @returns `field` binds one field; `submit` checks and keeps; `problem` is a sentence, empty until something that was
 * submitted does not hold, `errors` those of each field as soon as it was changed; `beginAgain` empties it
 */
export function useSubmitted<Values extends Record<string, unknown>, Read extends Record<string, unknown>>(
  schema: z.ZodType<Read, Values>,
  begins: () => Values,
  keep: (read: Read) => unknown,
) {
  const form = useForm<Values, Read>({ validationSchema: asTyped(schema), initialValues: begins() as never })
  const problem = computed(() => (form.submitCount.value > 0 ? (Object.values(form.errors.value)[0] ?? '') : ''))
  return {
    values: form.values,
    field: form.defineField,
    submit: form.handleSubmit(keep),
    beginAgain: (): void => form.resetForm({ values: begins() as never }, { force: true }),
    problem,
    errors: form.errors,
  }
}
