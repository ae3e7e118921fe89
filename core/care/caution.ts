/** The leaves of the work, in the order people work. */
export const LEAVES = [
  'brief',
  'tiers',
  'arrange',
  'cut',
  'tint',
  'dry',
  'timetable',
  'supply',
  'make',
  'deliver',
  'learn',
] as const
export type Leaf = (typeof LEAVES)[number]

/** Stop: it will not work as planned. Look: it may not. Note: how to do it safely. */
export type Severity = 'stop' | 'look' | 'note'

/**
 * Something to know, said where it applies. `code` names the rule; `say` tells what is so and what to do; `decoration`
 * is the id of the one it is about, where it is about one.
 */
export type Caution = {
  readonly code: string
  readonly severity: Severity
  readonly leaf: Leaf
  readonly say: string
  readonly decoration?: string
}
