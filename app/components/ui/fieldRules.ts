import type { z } from 'zod'
import {
  exampleOf,
  measureSentence,
  parseQuantity,
  printQuantity,
  type QuantityKind,
  type UnitSystem,
} from '#core/quantity'

/** What a form needs to know of a number, read from its schema. */
export type FieldRules = {
  readonly label: string
  readonly kind: QuantityKind
  readonly help: string
  readonly min: number
  readonly max: number
  readonly whole: boolean
}

/** The label, kind and limits that a schema declares. */
export function fieldRules(schema: z.ZodNumber): FieldRules {
  const meta = schema.meta() as { label?: string; kind?: QuantityKind; help?: string } | undefined
  return {
    label: meta?.label ?? '',
    kind: meta?.kind ?? 'count',
    help: meta?.help ?? '',
    min: schema.minValue ?? Number.MIN_SAFE_INTEGER,
    max: schema.maxValue ?? Number.MAX_SAFE_INTEGER,
    whole: schema.format === 'safeint',
  }
}

export type Typed = { readonly ok: true; readonly value: number } | { readonly ok: false; readonly sentence: string }

/** What was typed into a field, checked against its limits; or a sentence that says what to do. */
export function readTyped(text: string, { kind, min, max, whole }: FieldRules, units: UnitSystem): Typed {
  const parsed = parseQuantity(text, kind, units)
  if (!parsed.ok) return { ok: false, sentence: measureSentence(parsed.error, exampleOf(kind, units)) }
  const value = whole ? Math.round(parsed.value) : parsed.value
  const tolerance = (max - min) * 1e-9
  if (value < min - tolerance || value > max + tolerance) {
    return {
      ok: false,
      sentence: `Between ${printQuantity(min, kind, units)} and ${printQuantity(max, kind, units)}, please.`,
    }
  }
  return { ok: true, value: Math.min(max, Math.max(min, value)) }
}

/** A step for arrow keys that suits the kind, in base units. */
export function arrowStep(kind: QuantityKind, units: UnitSystem): number {
  switch (kind) {
    case 'length':
      return units === 'metric' ? 1 : 25.4 / 8
    case 'share':
      return 0.01
    case 'ratio':
      return 0.05
    case 'duration':
      return 5
    case 'angle':
      return 1
    default:
      return 1
  }
}
