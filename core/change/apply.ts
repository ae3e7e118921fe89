/** Changes laid over a state that others may have changed meanwhile. */
import type { Change, Path, Standing } from './changes'
import { areEqual, identityOf, isKeyed, isRecord, type Member } from './identity'

/**
 * `state` is what comes of it. `met` are changes to what somebody else had changed as well; `lost` are changes to what
 * is not there any more, or that were left out.
 */
export type Applied<State> = {
  readonly state: State
  readonly met: readonly Change[]
  readonly lost: readonly Change[]
}

/** Whether a change is made to what others have changed: `over` it, or `untouched` alone. */
export type Manner = 'over' | 'untouched'

/** One change on what lies at its place: what is there then, whether others had changed it, whether it was left out. */
type Made = { readonly value: unknown; readonly met: boolean; readonly lost: boolean }

/**
 * Makes changes one after another.
 * @param manner `over`: what others have changed is changed again; `untouched`: it stays as they have it
 */
export function applied<State>(state: State, changes: readonly Change[], manner: Manner): Applied<State> {
  let now: unknown = state
  const [met, lost]: [Change[], Change[]] = [[], []]
  for (const change of changes) {
    const made = madeAt(now, change.path, (there) => changed(there, change, manner))
    now = made.value
    if (made.met) met.push(change)
    if (made.lost) lost.push(change)
  }
  return { state: now as State, met, lost }
}

const isAt = (there: unknown, told: unknown): boolean => areEqual(there, told)

function changed(there: unknown, change: Change, manner: Manner): Made {
  if (change.kind === 'field') return fieldChanged(there, change.from, change.to, manner)
  if (!isKeyed(there)) return { value: there, met: false, lost: true }
  return change.kind === 'order'
    ? { value: inOrder(there, change.to), met: false, lost: false }
    : memberChanged(there, change.member, change.from, change.to, manner)
}

function fieldChanged(there: unknown, from: unknown, to: unknown, manner: Manner): Made {
  const met = !isAt(there, from) && !isAt(there, to)
  const lost = met && manner === 'untouched'
  return { value: lost ? there : to, met, lost }
}

function memberChanged(
  there: readonly Member[],
  member: string,
  from: Standing | null,
  to: Standing | null,
  manner: Manner,
): Made {
  const own = there.find((each) => identityOf(each) === member)
  if (to !== null) {
    if (own) return { value: there, met: !isAt(own, to.value), lost: false }
    return { value: putIn(there, to), met: false, lost: false }
  }
  if (!own) return { value: there, met: false, lost: false }
  const met = from !== null && !isAt(own, from.value)
  if (met && manner === 'untouched') return { value: there, met, lost: true }
  return { value: there.filter((each) => each !== own), met, lost: false }
}

/** A member behind the one it stood behind, or last where that is gone. */
function putIn(there: readonly Member[], { value, behind }: Standing): readonly Member[] {
  const at = behind === null ? 0 : there.findIndex((each) => identityOf(each) === behind) + 1
  const place = behind !== null && at === 0 ? there.length : at
  return [...there.slice(0, place), value, ...there.slice(place)]
}

/** Members in a wished order; others stay behind the one they stood behind. */
function inOrder(there: readonly Member[], wished: readonly string[]): readonly Member[] {
  const groups = new Map<string, Member[]>()
  let leader = ''
  for (const each of there) {
    if (wished.includes(identityOf(each))) leader = identityOf(each)
    groups.set(leader, [...(groups.get(leader) ?? []), each])
  }
  return [...(groups.get('') ?? []), ...wished.flatMap((member) => groups.get(member) ?? [])]
}

/** What lies at a path made anew, and all above it; what is beside it stays the same object. */
function madeAt(there: unknown, path: Path, make: (there: unknown) => Made): Made {
  const [step, ...rest] = path
  if (step === undefined) return make(there)
  if (typeof step === 'string') {
    if (!isRecord(there)) return { value: there, met: false, lost: true }
    const made = madeAt(there[step], rest, make)
    return { ...made, value: withField(there, step, made.value) }
  }
  const at = isKeyed(there) ? there.findIndex((each) => identityOf(each) === step.member) : -1
  if (!isKeyed(there) || at === -1) return { value: there, met: false, lost: true }
  const made = madeAt(there[at], rest, make)
  return { ...made, value: Object.is(made.value, there[at]) ? there : there.with(at, made.value as Member) }
}

function withField(there: Readonly<Record<string, unknown>>, name: string, value: unknown): unknown {
  if (Object.is(there[name], value)) return there
  const { [name]: _before, ...others } = there
  return value === undefined ? others : { ...there, [name]: value }
}
