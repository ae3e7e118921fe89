/**
 * What is handed over of a plan when another is there already: only what changed, so that whoever shows it need not do
 * so again.
 */
import type { Plan } from './plan'

/**
 * How deep things are compared: stages hand on what they remembered, so that what is alike is mostly the very same
 * thing.
 */
const DEEP = 12

function isSame(one: unknown, other: unknown, deep: number): boolean {
  if (Object.is(one, other)) return true
  if (
    deep === 0 ||
    typeof one !== 'object' ||
    typeof other !== 'object' ||
    one === null ||
    other === null ||
    Array.isArray(one) !== Array.isArray(other)
  )
    return false
  const [mine, others] = [Object.entries(one), other as Readonly<Record<string, unknown>>]
  return (
    mine.length === Object.keys(other).length &&
    mine.every(([name, value]) => name in others && isSame(value, others[name], deep - 1))
  )
}

/** One of a list: the one that was at a place in the list before, or another. */
type Item = { readonly same: number } | { readonly fresh: unknown }

/** Fields that changed; lists say which of theirs are the same as before. */
export type PlanChanges = { readonly fields: Partial<Plan>; readonly lists: Readonly<Record<string, readonly Item[]>> }

/** What changed since the plan before; all of it when there was none. */
export function changesFrom(before: Plan | null, plan: Plan): PlanChanges {
  if (!before) return { fields: plan, lists: {} }
  const changed = Object.entries(plan).flatMap(([name, value]: [string, unknown]) => {
    const earlier: unknown = before[name as keyof Plan]
    return isSame(value, earlier, DEEP) ? [] : [{ name, value, earlier }]
  })
  const isList = ({ value, earlier }: (typeof changed)[number]): boolean =>
    Array.isArray(value) && Array.isArray(earlier)
  return {
    fields: Object.fromEntries(changed.filter((each) => !isList(each)).map(({ name, value }) => [name, value])),
    lists: Object.fromEntries(
      changed.filter(isList).map(({ name, value, earlier }) => [
        name,
        (value as unknown[]).map((item): Item => {
          const same = (earlier as unknown[]).findIndex((each) => isSame(item, each, DEEP))
          return same >= 0 ? { same } : { fresh: item }
        }),
      ]),
    ),
  }
}

/** The plan after changes; what is the same is the very thing it was. */
export function withChanges(before: Plan | null, { fields, lists }: PlanChanges): Plan {
  const listed = Object.entries(lists).map(([name, items]) => [
    name,
    items.map((item) => ('same' in item ? (before![name as keyof Plan] as readonly unknown[])[item.same] : item.fresh)),
  ])
  return { ...before, ...fields, ...(Object.fromEntries(listed) as Partial<Plan>) } as Plan
}
