/** All commissions of a studio out and in, one at a time, so that any number of them takes little memory. */
import { changesBetween } from '#core/change'
import type { StudioEntry } from '#core/format/studioFile'
import type { Workshop } from '#core/workshop'
import type { StudioDatabase } from './database'
import { addCommission, archiveCommission, keptCommission, saveChanges } from './keeping'

/** Every commission that is kept, one after another. */
export async function* everyCommission(database: StudioDatabase): AsyncGenerator<StudioEntry> {
  const ids = await database.commissions.toCollection().primaryKeys()
  for (const id of ids) {
    const kept = await database.commissions.get(id)
    if (kept) yield { archived: kept.archived === 1, commission: kept.commission }
  }
}

/** Puts a workshop in place of the one that is kept. */
export async function keepWorkshop(database: StudioDatabase, workshop: Workshop): Promise<void> {
  const kept = await database.workshop.get('workshop')
  await database.workshop.put({ id: 'workshop', revision: (kept?.revision ?? 0) + 1, workshop })
}

/** What taking a commission of a file would do here, or has done; `changed` where it is put away or brought out too. */
export type Compared = 'new' | 'changed' | 'same'

type Takes = { readonly workshop: Workshop; readonly now: number }

/** What a commission of a file changes; null where it is new. */
async function changesOf(database: StudioDatabase, { archived, commission }: StudioEntry, workshop: Workshop) {
  const kept = await keptCommission(database, commission.id, workshop)
  return (
    kept && {
      changes: changesBetween({ commission: kept.commission, workshop }, { commission, workshop }),
      isMoved: kept.archived !== archived,
    }
  )
}

/** How a commission of a file stands to what is kept. */
export async function compared(database: StudioDatabase, entry: StudioEntry, workshop: Workshop): Promise<Compared> {
  const found = await changesOf(database, entry, workshop)
  return found === null ? 'new' : found.isMoved || found.changes.length > 0 ? 'changed' : 'same'
}

/**
 * Takes a commission of a file: as a new one, or as an edit of the one that is kept, which can be taken back; and puts
 * it into the archive or takes it out, as it was in the file.
 */
export async function takeEntry(database: StudioDatabase, entry: StudioEntry, { workshop, now }: Takes): Promise<void> {
  const found = await changesOf(database, entry, workshop)
  const { id } = entry.commission
  if (found === null) await addCommission(database, entry.commission, now)
  else if (found.changes.length > 0) {
    const { changes } = found
    const edit = { id: crypto.randomUUID(), of: id, at: now, label: 'open the studio file', undone: false, changes }
    await saveChanges(database, { commissionId: id, changes, edit, forgotten: [], beginning: workshop, now })
  }
  await archiveCommission(database, id, entry.archived)
}
