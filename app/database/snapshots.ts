/** How commissions were at the beginning of the last days on which they were edited, and when they were removed. */
import type { KeptCommission, KeptEdit, KeptSnapshot, StudioDatabase } from './database'
import { dayOf, lastOf } from './snapshotName'

/** For how many days they are kept. */
export const SNAPSHOT_DAYS = 10
const DAY_MS = 86_400_000

/** A day from which a commission can be brought back, and how it was named then. */
export type SnapshotDay = {
  readonly id: string
  readonly of: string
  readonly at: number
  readonly name: string
  /** Whether it is how it was when it was removed. */
  readonly isLast: boolean
}

async function put(database: StudioDatabase, snapshot: KeptSnapshot): Promise<void> {
  await database.snapshots.put(snapshot)
  await database.snapshots
    .where('at')
    .below(snapshot.at - SNAPSHOT_DAYS * DAY_MS)
    .delete()
}

/**
 * Keeps a commission as it is before the first edit of a day. Part of the transaction that saves the edit.
 * @param now ms by the world's clock
 */
export async function keepSnapshot(database: StudioDatabase, kept: KeptCommission, now: number): Promise<void> {
  const id = dayOf(kept.id, now)
  if ((await database.snapshots.where('id').equals(id).count()) > 0) return
  await put(database, { id, of: kept.id, at: now, kept, history: [] })
}

/** Keeps a commission with its history as it is when it is removed. */
export const keepLast = (
  database: StudioDatabase,
  kept: KeptCommission,
  history: KeptEdit[],
  now: number,
): Promise<void> => put(database, { id: lastOf(kept.id), of: kept.id, at: now, kept, history })

/** What can be brought back, the latest first. */
export async function snapshotDays(database: StudioDatabase): Promise<readonly SnapshotDay[]> {
  const all = await database.snapshots.orderBy('at').reverse().toArray()
  return all.map(({ id, of, at, kept }) => ({
    id,
    of,
    at,
    name: kept.commission.brief.name,
    isLast: id === lastOf(of),
  }))
}
