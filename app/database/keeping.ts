import { applied, type Change } from '#core/change'
import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import { faultOfRecord, setCommissionAside } from './setAside'
import { lastOf } from './snapshotName'
import { keepLast, keepSnapshot } from './snapshots'
import { KEPT_EDITS, OF_WORKSHOP, type KeptCommission, type KeptEdit, type StudioDatabase } from './database'

/** A commission and the workshop it is made in, as they lie in the database, and how often each was saved. */
export type Kept = {
  readonly commission: Commission
  readonly workshop: Workshop
  readonly archived: boolean
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

/**
 * All commissions, last saved first. What does not hold together even for that is set aside.
 * @param known the list as it was: of what was not saved since nothing but its keys is read
 */
export async function listCommissions(
  database: StudioDatabase,
  now: number,
  known: readonly Listed[] = [],
): Promise<readonly Listed[]> {
  const { commissions } = database
  const bySaving = commissions.orderBy('savedAt')
  const [ids, inOrder, saved, away] = await database.transaction('r', commissions, () =>
    Promise.all([
      commissions.toCollection().primaryKeys(),
      bySaving.primaryKeys(),
      bySaving.keys(),
      commissions.where('archived').equals(1).primaryKeys(),
    ]),
  )
  const savedAt = new Map(inOrder.map((id, at) => [id, saved[at]]))
  const isAway = new Set(away)
  const same = known.filter((each) => savedAt.get(each.id) === each.savedAt)
  const listed = same.map((each): Listed => ({ ...each, archived: isAway.has(each.id) }))
  const isKnown = new Set(same.map(({ id }) => id))
  for (const kept of await commissions.bulkGet(ids.filter((id) => !isKnown.has(id)))) {
    if (!kept) continue
    const fault = faultOfRecord(kept)
    if (fault !== null) await setCommissionAside(database, kept.id, [fault], now)
    else
      listed.push({
        id: kept.id,
        savedAt: kept.savedAt,
        archived: kept.archived === 1,
        name: kept.commission.brief.name,
        eventAt: kept.commission.brief.eventAt,
      })
  }
  return listed.sort((one, other) => other.savedAt - one.savedAt)
}

/** A commission with the workshop; null when there is none of that id. */
export async function keptCommission(
  database: StudioDatabase,
  id: string,
  startingWorkshop: Workshop,
): Promise<Kept | null> {
  const kept = await database.commissions.get(id)
  return kept ? inItsWorkshop(database, kept, startingWorkshop) : null
}

async function inItsWorkshop(
  database: StudioDatabase,
  kept: KeptCommission,
  startingWorkshop: Workshop,
): Promise<Kept> {
  const workshop = await database.workshop.get('workshop')
  return {
    commission: kept.commission,
    workshop: workshop?.workshop ?? startingWorkshop,
    archived: kept.archived === 1,
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

/** Removes a commission and its history. It can be brought back for some days. */
export async function removeCommission(database: StudioDatabase, id: string, now: number): Promise<void> {
  const { commissions, history, snapshots } = database
  await database.transaction('rw', commissions, history, snapshots, async () => {
    const kept = await commissions.get(id)
    if (!kept) return
    await keepLast(database, kept, await history.where('of').equals(id).toArray(), now)
    await commissions.delete(id)
    await history.where('of').equals(id).delete()
  })
}

/**
 * Brings back a commission that was removed, with its history.
 * @returns whether there was one to bring back
 */
export async function restoreCommission(database: StudioDatabase, id: string): Promise<boolean> {
  const { commissions, history, snapshots } = database
  return database.transaction('rw', commissions, history, snapshots, async () => {
    const last = await snapshots.get(lastOf(id))
    if (!last || (await commissions.get(id))) return false
    await commissions.put(last.kept)
    await history.bulkPut(last.history)
    await snapshots.delete(last.id)
    return true
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
  const { commissions, workshop: workshops, history, snapshots } = database
  return database.transaction('rw', commissions, workshops, history, snapshots, async () => {
    const { commissionId, changes, edit, forgotten, beginning, now } = save
    const record = await commissions.get(commissionId)
    if (!record) return { code: 'gone' as const }
    const before = await inItsWorkshop(database, record, beginning)
    const { commission, workshop } = before
    const { state, met, lost } = applied({ commission, workshop }, changes, 'over')
    if (state.commission !== commission) await keepSnapshot(database, record, now)
    const revision = before.revision + (state.commission === commission ? 0 : 1)
    const workshopRevision = before.workshopRevision + (state.workshop === workshop ? 0 : 1)
    await database.commissions.update(commissionId, { commission: state.commission, savedAt: now, revision })
    if (workshopRevision !== before.workshopRevision)
      await database.workshop.put({ id: 'workshop', revision: workshopRevision, workshop: state.workshop })
    await database.history.bulkDelete([...forgotten])
    await keepEdit(database, edit)
    return { ...before, ...state, revision, workshopRevision, met, lost }
  })
}

/** Keeps an edit, and forgets what lies too far back. */
async function keepEdit(database: StudioDatabase, edit: KeptEdit): Promise<void> {
  await database.history.put(edit)
  const all = await database.history.where('of').equals(edit.of).sortBy('at')
  await database.history.bulkDelete(all.slice(0, -KEPT_EDITS).map(({ id }) => id))
}
