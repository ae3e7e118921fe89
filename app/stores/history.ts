/**
 * What was edited, in the order it was done: a commission's own edits and those of the workshop alone. What of it is
 * taken back can be made again until something else is done.
 */
import type { Change } from '#core/change'
import { KEPT_EDITS, OF_WORKSHOP, type KeptEdit } from '~/database/database'

export type History = readonly KeptEdit[]

/** The edit that is taken back next; undefined where there is none. */
export const lastDone = (history: History): KeptEdit | undefined => history.findLast(({ undone }) => !undone)

/** What can be made again until something else is done, in its order. */
export function undoneAfterLast(history: History): History {
  const last = lastDone(history)
  return history.filter(({ undone, at }) => undone && (!last || at > last.at))
}

/** The edit that is made again next; undefined where there is none. */
export const nextUndone = (history: History): KeptEdit | undefined => undoneAfterLast(history)[0]

/** Whom changes belong to: the workshop, where they touch nothing else. */
export const belongsTo = (commissionId: string, changes: readonly Change[]): string =>
  changes.every(({ path }) => path[0] === 'workshop') ? OF_WORKSHOP : commissionId

const placeOf = ({ path }: Change): string => JSON.stringify(path)
const liesWithin = (inner: string, outer: string): boolean => inner.startsWith(`${outer.slice(0, -1)},`)

/**
 * Changes of one edit that went on, told once where that can be done: of each field where it began and where it ended.
 */
export function goneOn(first: readonly Change[], then: readonly Change[]): readonly Change[] {
  const all = [...first, ...then]
  const places = [...new Set(all.map(placeOf))]
  const isNested = places.some((inner) => places.some((outer) => liesWithin(inner, outer)))
  if (isNested || !all.every(({ kind }) => kind === 'field')) return all
  const byPlace = new Map<string, Change>()
  for (const change of all) {
    const before = byPlace.get(placeOf(change))
    byPlace.set(placeOf(change), before ? ({ ...change, from: before.from } as Change) : change)
  }
  return [...byPlace.values()]
}

/**
 * The history with an edit in the place of its earlier self, or last. As in the database, of a commission and of the
 * workshop only so many are known; what lies further back is forgotten.
 */
export function withEdit(history: History, edit: KeptEdit): History {
  if (history.some(({ id }) => id === edit.id)) return history.map((each) => (each.id === edit.id ? edit : each))
  const all = [...history, edit]
  const forgotten = new Set(all.filter(({ of }) => of === edit.of).slice(0, -KEPT_EDITS))
  return forgotten.size === 0 ? all : all.filter((each) => !forgotten.has(each))
}

/** An hour behind the last edit, ms: two in the same thousandth of a second keep their order. */
export const hourFor = (history: History, now: number): number => Math.max(now, (history.at(-1)?.at ?? 0) + 1)
