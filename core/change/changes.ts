/**
 * What differs between two states, told by identity: a member of a list is found by its id, wherever it stands. So a
 * change can be taken back, or taken over by somebody else, after other things have changed.
 */
import { areEqual, identityOf, isKeyed, isRecord, type Member } from './identity'

/** A field by its name, or a member of a list by its identity. */
type Step = string | { readonly member: string }
export type Path = readonly Step[]

/** A member as it stood in its list: behind which other one, null where it was the first. */
export type Standing = { readonly value: Member; readonly behind: string | null }

/** A field that holds something else; undefined where it is missing. */
type FieldChange = { readonly kind: 'field'; readonly path: Path; readonly from: unknown; readonly to: unknown }
/** A member that was put into a list, or taken out of it. */
type MemberChange = {
  readonly kind: 'member'
  readonly path: Path
  readonly member: string
  readonly from: Standing | null
  readonly to: Standing | null
}
/** Members that stand in another order. */
type OrderChange = {
  readonly kind: 'order'
  readonly path: Path
  readonly from: readonly string[]
  readonly to: readonly string[]
}
export type Change = FieldChange | MemberChange | OrderChange

/** Changes that lead from one state to another. What is the same object in both is not looked into. */
export function changesBetween(before: unknown, after: unknown, path: Path = []): readonly Change[] {
  if (Object.is(before, after)) return []
  if (isRecord(before) && isRecord(after)) return ofRecords(before, after, path)
  if (isKeyed(before) && isKeyed(after)) return ofLists(before, after, path)
  return areEqual(before, after) ? [] : [{ kind: 'field', path, from: before, to: after }]
}

type Fields = Readonly<Record<string, unknown>>

const ofRecords = (before: Fields, after: Fields, path: Path): readonly Change[] =>
  [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((name) =>
    changesBetween(before[name], after[name], [...path, name]),
  )

function ofLists(before: readonly Member[], after: readonly Member[], path: Path): readonly Change[] {
  const was = new Map(before.map((each) => [identityOf(each), each]))
  const is = new Map(after.map((each) => [identityOf(each), each]))
  const standing = (list: readonly Member[], at: number): Standing => ({
    value: list[at]!,
    behind: at === 0 ? null : identityOf(list[at - 1]!),
  })
  // The last first, so that on the way back each finds the one it stood behind.
  const out = before.toReversed().flatMap((each, fromEnd): readonly Change[] => {
    const at = before.length - 1 - fromEnd
    const member = identityOf(each)
    return is.has(member) ? [] : [{ kind: 'member', path, member, from: standing(before, at), to: null }]
  })
  const put = after.flatMap((each, at): readonly Change[] => {
    const member = identityOf(each)
    return was.has(member) ? [] : [{ kind: 'member', path, member, from: null, to: standing(after, at) }]
  })
  const within = [...is].flatMap(([member, each]) =>
    was.has(member) ? changesBetween(was.get(member), each, [...path, { member }]) : [],
  )
  const stayed = (list: readonly Member[], other: ReadonlyMap<string, Member>): readonly string[] =>
    list.map(identityOf).filter((member) => other.has(member))
  const [from, to] = [stayed(before, is), stayed(after, was)]
  const order: readonly Change[] = areEqual(from, to) ? [] : [{ kind: 'order', path, from, to }]
  return [...out, ...order, ...put, ...within]
}

/** The way back. */
export const takenBack = (changes: readonly Change[]): readonly Change[] =>
  changes.toReversed().map((each) => ({ ...each, from: each.to, to: each.from }) as Change)
