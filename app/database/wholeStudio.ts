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

/** What taking a commission of a file would do here, or has done. */
export type Compared = 'new' | 'changed' | 'same'

type Takes = { readonly workshop: Workshop; readonly now: number }

const changesOf = async (database: StudioDatabase, { commission }: StudioEntry, workshop: Workshop) => {
  const kept = await keptCommission(database, commission.id, workshop)
  return kept && changesBetween({ commission: kept.commission, workshop }, { commission, workshop })
}

/** How a commission of a file stands to what is kept. */
export async function compared(database: StudioDatabase, entry: StudioEntry, workshop: Workshop): Promise<Compared> {
  const changes = await changesOf(database, entry, workshop)
  return changes === null ? 'new' : changes.length > 0 ? 'changed' : 'same'
}

/** Takes a commission of a file: as a new one, or as an edit of the one that is kept, which can be taken back. */
export async function takeEntry(database: StudioDatabase, entry: StudioEntry, { workshop, now }: Takes): Promise<void> {
  const changes = await changesOf(database, entry, workshop)
  const { id } = entry.commission
  if (changes === null) {
    await addCommission(database, entry.commission, now)
    await archiveCommission(database, id, entry.archived)
  } else if (changes.length > 0) {
    const edit = { id: crypto.randomUUID(), of: id, at: now, label: 'open the studio file', undone: false, changes }
    await saveChanges(database, { commissionId: id, changes, edit, forgotten: [], beginning: workshop, now })
  }
}
