/** What makes members of a list the same, and states equal. */

/** Something in a list that has an identity of its own. */
export type Member = Readonly<Record<string, unknown>>

/** What members are known by: an id, or in stock the item they are. */
const IDENTITIES = ['id', 'item'] as const

const known = (member: unknown): string | null => {
  if (!isRecord(member)) return null
  const name = IDENTITIES.find((each) => typeof member[each] === 'string')
  return name === undefined ? null : (member[name] as string)
}

/** What a member of a keyed list is known by. */
export const identityOf = (member: Member): string => known(member)!

/** Whether it is fields with values, and no list. */
export const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)

/** Whether it is a list each of whose members is known by an identity of its own. One without members is. */
export function isKeyed(value: unknown): value is readonly Member[] {
  if (!Array.isArray(value)) return false
  const identities = value.map(known)
  return !identities.includes(null) && new Set(identities).size === identities.length
}

/** Whether two values, as they can be kept, are the same all through. */
export function areEqual(one: unknown, other: unknown): boolean {
  if (Object.is(one, other)) return true
  if (Array.isArray(one) && Array.isArray(other))
    return one.length === other.length && one.every((each, at) => areEqual(each, other[at]))
  if (!isRecord(one) || !isRecord(other)) return false
  const names = new Set([...Object.keys(one), ...Object.keys(other)])
  return [...names].every((name) => areEqual(one[name], other[name]))
}
