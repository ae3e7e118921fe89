import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import { enablePatches } from 'immer'
import type { KeptEdit, StudioDatabase } from './database'

enablePatches()

/** How far back edits can be taken back. */
const KEPT_EDITS = 300

export type Opened = {
  readonly commission: Commission
  readonly workshop: Workshop
  readonly revision: number
  readonly workshopRevision: number
  readonly edits: readonly KeptEdit[]
  readonly undone: number
}

export type Listed = {
  readonly id: string
  readonly name: string
  readonly eventAt: string
  readonly savedAt: number
  readonly archived: boolean
}

/** Somebody else, most likely another tab, saved since this one read. */
export type Conflict = { readonly code: 'changed-elsewhere' }

export type Save = {
  readonly commission: Commission
  readonly workshop: Workshop
  readonly revision: number
  readonly workshopRevision: number
  /** The edit that led here, if it is a new one; edits taken back before it are forgotten. */
  readonly edit: KeptEdit | null
  readonly undone: number
  readonly now: number
}

/** All commissions, last saved first. */
export async function listCommissions(database: StudioDatabase): Promise<readonly Listed[]> {
  const kept = await database.commissions.orderBy('savedAt').reverse().toArray()
  return kept.map(({ id, savedAt, archived, commission }) => ({
    id,
    savedAt,
    archived: archived === 1,
    name: commission.brief.name,
    eventAt: commission.brief.eventAt,
  }))
}

/** A commission with the workshop and its history; null when there is none of that id. */
export async function openCommission(
  database: StudioDatabase,
  id: string,
  startingWorkshop: Workshop,
): Promise<Opened | null> {
  const kept = await database.commissions.get(id)
  if (!kept) return null
  const workshop = await database.workshop.get('workshop')
  const edits = await database.edits.where('commissionId').equals(id).sortBy('id')
  return {
    commission: kept.commission,
    workshop: workshop?.workshop ?? startingWorkshop,
    revision: kept.revision,
    workshopRevision: workshop?.revision ?? 0,
    edits,
    undone: kept.undone,
  }
}

/** Puts a new commission into the studio. */
export async function addCommission(database: StudioDatabase, commission: Commission, now: number): Promise<void> {
  await database.commissions.put({ id: commission.id, revision: 1, savedAt: now, undone: 0, archived: 0, commission })
}

/** Removes a commission and its history; the last one removed can be brought back. */
export async function removeCommission(database: StudioDatabase, id: string): Promise<void> {
  await database.transaction('rw', database.commissions, database.edits, database.removed, async () => {
    const kept = await database.commissions.get(id)
    if (!kept) return
    const edits = await database.edits.where('commissionId').equals(id).sortBy('id')
    await database.removed.clear()
    await database.removed.put({ id, kept, edits })
    await database.commissions.delete(id)
    await database.edits.where('commissionId').equals(id).delete()
  })
}

/** Brings the last removed commission back with its history; its id, or null when there is none. */
export async function restoreCommission(database: StudioDatabase): Promise<string | null> {
  return database.transaction('rw', database.commissions, database.edits, database.removed, async () => {
    const [removed] = await database.removed.toArray()
    if (!removed || (await database.commissions.get(removed.id))) return null
    await database.commissions.put(removed.kept)
    await database.edits.bulkPut(removed.edits)
    await database.removed.clear()
    return removed.id
  })
}

/** Puts a commission into the archive, or takes it out. */
export async function archiveCommission(database: StudioDatabase, id: string, archived: boolean): Promise<void> {
  await database.commissions.update(id, { archived: archived ? 1 : 0 })
}

/** Saves an edit whole, or, when another tab saved first, nothing at all. */
export async function saveEdit(
  database: StudioDatabase,
  save: Save,
): Promise<{ readonly edit: KeptEdit | null } | Conflict> {
  return database.transaction('rw', database.commissions, database.workshop, database.edits, async () => {
    const { commission, workshop, revision, workshopRevision, now } = save
    const before = await database.commissions.get(commission.id)
    const keptRevision = before?.revision ?? 0
    const keptWorkshop = (await database.workshop.get('workshop'))?.revision ?? 0
    if (keptRevision !== revision || keptWorkshop !== workshopRevision) return { code: 'changed-elsewhere' as const }
    await database.commissions.put({
      id: commission.id,
      revision: revision + 1,
      savedAt: now,
      undone: save.undone,
      archived: before?.archived ?? 0,
      commission,
    })
    await database.workshop.put({ id: 'workshop', revision: workshopRevision + 1, workshop })
    return { edit: save.edit ? await recordEdit(database, commission.id, save.edit) : null }
  })
}

/** Adds an edit, or replaces the one it goes on from, and forgets what lies too far back. */
async function recordEdit(database: StudioDatabase, commissionId: string, edit: KeptEdit): Promise<KeptEdit> {
  const id = await database.edits.put(edit)
  const ids = await database.edits.where('commissionId').equals(commissionId).primaryKeys()
  const old = ids.filter((each) => each > id || each <= (ids.at(-KEPT_EDITS - 1) ?? -1))
  if (old.length > 0) await database.edits.bulkDelete(old)
  return { ...edit, id }
}

/** Forgets edits that were taken back, when a new one is made instead. */
export const forgetEdits = (database: StudioDatabase, edits: readonly KeptEdit[]): Promise<void> =>
  database.edits.bulkDelete(edits.flatMap(({ id }) => (id === undefined ? [] : [id])))
