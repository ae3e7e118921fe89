import { applied, type Change } from '#core/change'
import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import { OF_WORKSHOP, type KeptEdit, type StudioDatabase } from './database'

/** How far back edits can be taken back, of a commission and of the workshop. */
const KEPT_EDITS = 300

/** A commission and the workshop it is made in, as they lie in the database, and how often each was saved. */
export type Kept = {
  readonly commission: Commission
  readonly workshop: Workshop
  readonly revision: number
  readonly workshopRevision: number
}

export type Opened = Kept & { readonly history: readonly KeptEdit[] }

export type Listed = {
  readonly id: string
  readonly name: string
  readonly eventAt: string
  readonly savedAt: number
  readonly archived: boolean
}

/** Changes that are to be kept, and what becomes of the history by them. */
export type Save = {
  readonly commissionId: string
  readonly changes: readonly Change[]
  /** The edit that was made, or taken back, or made again. */
  readonly edit: KeptEdit
  /** Edits that cannot be made again after this one. */
  readonly forgotten: readonly string[]
  /** What the workshop holds where none is kept yet. */
  readonly beginning: Workshop
  readonly now: number
}

/** `met` are changes to what somebody else had changed as well, `lost` those whose place is gone. */
export type Saved = Kept & { readonly met: readonly Change[]; readonly lost: readonly Change[] }

/** The commission was removed meanwhile, most likely in another window. */
export type Gone = { readonly code: 'gone' }

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

/** A commission with the workshop; null when there is none of that id. */
export async function keptCommission(
  database: StudioDatabase,
  id: string,
  startingWorkshop: Workshop,
): Promise<Kept | null> {
  const kept = await database.commissions.get(id)
  if (!kept) return null
  const workshop = await database.workshop.get('workshop')
  return {
    commission: kept.commission,
    workshop: workshop?.workshop ?? startingWorkshop,
    revision: kept.revision,
    workshopRevision: workshop?.revision ?? 0,
  }
}

/** A commission with the workshop and the history of both, in the order it was made; null when there is none. */
export async function openCommission(
  database: StudioDatabase,
  id: string,
  startingWorkshop: Workshop,
): Promise<Opened | null> {
  const kept = await keptCommission(database, id, startingWorkshop)
  if (!kept) return null
  const history = await database.history.where('of').anyOf(id, OF_WORKSHOP).sortBy('at')
  return { ...kept, history }
}

/** Puts a new commission into the studio. */
export async function addCommission(database: StudioDatabase, commission: Commission, now: number): Promise<void> {
  await database.commissions.put({ id: commission.id, revision: 1, savedAt: now, archived: 0, commission })
}

/** Removes a commission and its history; the last one removed can be brought back. */
export async function removeCommission(database: StudioDatabase, id: string): Promise<void> {
  await database.transaction('rw', database.commissions, database.history, database.removed, async () => {
    const kept = await database.commissions.get(id)
    if (!kept) return
    const history = await database.history.where('of').equals(id).toArray()
    await database.removed.clear()
    await database.removed.put({ id, kept, history })
    await database.commissions.delete(id)
    await database.history.where('of').equals(id).delete()
  })
}

/** Brings the last removed commission back with its history; its id, or null when there is none. */
export async function restoreCommission(database: StudioDatabase): Promise<string | null> {
  return database.transaction('rw', database.commissions, database.history, database.removed, async () => {
    const [removed] = await database.removed.toArray()
    if (!removed || (await database.commissions.get(removed.id))) return null
    await database.commissions.put(removed.kept)
    await database.history.bulkPut(removed.history)
    await database.removed.clear()
    return removed.id
  })
}

/** Puts a commission into the archive, or takes it out. */
export async function archiveCommission(database: StudioDatabase, id: string, archived: boolean): Promise<void> {
  await database.commissions.update(id, { archived: archived ? 1 : 0 })
}

/**
 * Makes changes to what is kept, whoever has changed it since, all of them or, where the commission is gone, none.
 * @returns what is kept now
 */
export async function saveChanges(database: StudioDatabase, save: Save): Promise<Saved | Gone> {
  return database.transaction('rw', database.commissions, database.workshop, database.history, async () => {
    const { commissionId, changes, edit, forgotten, beginning, now } = save
    const before = await keptCommission(database, commissionId, beginning)
    if (!before) return { code: 'gone' as const }
    const { commission, workshop } = before
    const { state, met, lost } = applied({ commission, workshop }, changes, 'over')
    const revision = before.revision + (state.commission === commission ? 0 : 1)
    const workshopRevision = before.workshopRevision + (state.workshop === workshop ? 0 : 1)
    await database.commissions.update(commissionId, { commission: state.commission, savedAt: now, revision })
    if (workshopRevision !== before.workshopRevision)
      await database.workshop.put({ id: 'workshop', revision: workshopRevision, workshop: state.workshop })
    await database.history.bulkDelete([...forgotten])
    await keepEdit(database, edit)
    return { ...state, revision, workshopRevision, met, lost }
  })
}

/** Keeps an edit, and forgets what lies too far back. */
async function keepEdit(database: StudioDatabase, edit: KeptEdit): Promise<void> {
  await database.history.put(edit)
  const all = await database.history.where('of').equals(edit.of).sortBy('at')
  await database.history.bulkDelete(all.slice(0, -KEPT_EDITS).map(({ id }) => id))
}
