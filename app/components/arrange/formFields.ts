import type { z } from 'zod'

/** A field of a form, as its schema declares it. */
export type FormField = { readonly key: string; readonly label: string } & (
  | { readonly kind: 'number'; readonly schema: z.ZodNumber }
  /** A number that need not be typed. */
  | { readonly kind: 'optional'; readonly schema: z.ZodNumber; readonly help: string }
  | { readonly kind: 'choice'; readonly options: readonly { readonly value: string; readonly says: string }[] }
  | { readonly kind: 'tick' }
  | { readonly kind: 'colour' }
)

type Meta = {
  readonly label?: string
  readonly kind?: string
  readonly help?: string
  readonly options?: Readonly<Record<string, string>>
}

/** Never shown as fields: what a composition is, where it stands, and its seed, have places of their own. */
const APART = ['kind', 'seed', 'tier']

/** The fields that a schema makes, in its order; what is neither number, choice nor tick has an editor of its own. */
export function formFields(schema: z.ZodObject): readonly FormField[] {
  return Object.entries(schema.shape).flatMap(([key, field]): readonly FormField[] => {
    if (APART.includes(key)) return []
    const { type } = (field as z.ZodType)._zod.def
    const { label = key, kind, help = '', options = {} } = ((field as z.ZodType).meta() ?? {}) as Meta
    if (type === 'number') return [{ key, label, kind: 'number', schema: field as unknown as z.ZodNumber }]
    if (type === 'nullable') {
      const inner = (field as unknown as z.ZodNullable<z.ZodNumber>).unwrap()
      return [{ key, label, kind: 'optional', schema: inner.meta({ label, kind, help }), help }]
    }
    if (type === 'boolean') return [{ key, label, kind: 'tick' }]
    if (type === 'enum')
      return [
        {
          key,
          label,
          kind: 'choice',
          options: Object.values((field as unknown as z.ZodEnum).enum).map((value) => ({
            value: String(value),
            says: options[String(value)] ?? String(value),
          })),
        },
      ]
    if (type === 'string' && kind === 'colour') return [{ key, label, kind: 'colour' }]
    return []
  })
}
