/** Records of an older file, before anything is known of them. */
import { rect, type StockShape } from '../material'

export type Loose = Readonly<Record<string, unknown>>

export const isRecord = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
export const recordsOf = (value: unknown): readonly Loose[] => (Array.isArray(value) ? value.filter(isRecord) : [])
export const recordIn = (value: unknown): Loose => (isRecord(value) ? value : {})

/** Sizes of sheets by the names they had. */
export const SHAPES: Readonly<Record<string, StockShape>> = {
  a5: rect(148, 210),
  a4: rect(210, 297),
  letter: rect(203, 279),
  square305: rect(305, 305),
  a3: rect(297, 420),
  film220: rect(220, 220),
}

/**
 * Anything, with what its records lack put in and what they had in another way changed: works on commissions, workshops
 * and single edits alike, because it knows what it meets by its fields.
 */
export function filled(
  value: unknown,
  lacking: (own: Loose) => Loose,
  changed: (own: Loose) => Loose = () => ({}),
): unknown {
  if (Array.isArray(value)) return value.map((each) => filled(each, lacking, changed))
  if (!isRecord(value)) return value
  const own = Object.fromEntries(Object.entries(value).map(([name, each]) => [name, filled(each, lacking, changed)]))
  return { ...lacking(own), ...own, ...changed(own) }
}
