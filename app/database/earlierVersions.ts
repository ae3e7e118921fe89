/** How studios of earlier versions are brought up to the one that is kept now. */
import Dexie, { type Table, type Transaction } from 'dexie'
import { bothFrom5 } from '#core/format/upgrade6'
import { workshopFrom5 } from '#core/format/upgrade6Workshop'
import { from6 } from '#core/format/upgrade7'
import { from7 } from '#core/format/upgrade8'
import { from8 } from '#core/format/upgrade9'
import { from9 } from '#core/format/upgrade10'
import { from10 } from '#core/format/upgrade11'
import { from11 } from '#core/format/upgrade12'
import { commissionFrom1, from2, from3, from4, workshopFrom1 } from '#core/format/upgrade'
import { lastOf } from './snapshotName'

async function bringUp(transaction: Transaction, change: (kept: unknown) => unknown): Promise<void> {
  for (const name of ['commissions', 'workshop', 'edits', 'removed']) {
    await transaction
      .table(name)
      .toCollection()
      .modify((kept: Record<string, unknown>) => {
        Object.assign(kept, change(kept))
      })
  }
}

type Held = { commission: unknown }
type Removed = { id: string; kept: { savedAt: number }; history: unknown[] }

/**
 * Everything of version 5 as it is kept now; pieces at the bench take the names they have in the plan of this workshop.
 */
async function bringUpTo6(transaction: Transaction): Promise<void> {
  const table = (name: string): Table<Record<string, unknown>> => transaction.table(name)
  const [own] = await table('workshop').toArray()
  const broughtUp = (commission: unknown): unknown => bothFrom5(commission, own?.workshop).commission
  await table('commissions')
    .toCollection()
    .modify((kept) => {
      Object.assign(kept, { commission: broughtUp(kept.commission), undone: 0 })
    })
  await table('removed')
    .toCollection()
    .modify((kept) => {
      const held = kept.kept as Held
      Object.assign(kept, { kept: { ...held, commission: broughtUp(held.commission), undone: 0 }, edits: [] })
    })
  await table('workshop')
    .toCollection()
    .modify((kept) => {
      kept.workshop = from6(workshopFrom5(kept.workshop))
    })
}

/**
 * Brings a studio up, version by version. Versions are only ever added, so that every studio can be opened by every
 * later Lamellon.
 * @param blocked called while another window holds the studio in its earlier form
 * @returns whether edits made before had to be let go
 */
export async function bringUpStudio(name: string, blocked: () => void): Promise<boolean> {
  let hasForgotten = false
  const studio = new Dexie(name)
  studio.on('blocked', blocked)
  studio.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
  // Edits of version 1 speak of a commission that is built otherwise; they cannot be taken back any more.
  studio
    .version(2)
    .stores({ commissions: 'id, savedAt, archived', removed: 'id' })
    .upgrade(async (transaction) => {
      await transaction
        .table('commissions')
        .toCollection()
        .modify((kept: { commission: unknown; undone: number }) => {
          Object.assign(kept, { commission: commissionFrom1(kept.commission), undone: 0, archived: 0 })
        })
      await transaction
        .table('workshop')
        .toCollection()
        .modify((kept: { workshop: unknown }) => {
          kept.workshop = workshopFrom1(kept.workshop)
        })
      await transaction.table('edits').clear()
    })
  // Everything kept is brought up, edits and what was removed too, so that all can still be taken back.
  const bringsUp = (version: number, change: (kept: unknown) => unknown): void => {
    studio
      .version(version)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, change))
  }
  bringsUp(3, from2)
  bringsUp(4, from3)
  bringsUp(5, from4)
  // Edits of version 5 speak of decorations in two lists; they cannot be taken back any more, and that is said.
  studio
    .version(6)
    .stores({})
    .upgrade(async (transaction) => {
      hasForgotten = (await transaction.table('edits').count()) > 0
      await bringUpTo6(transaction)
      await transaction.table('edits').clear()
    })
  bringsUp(7, from6)
  bringsUp(8, from7)
  bringsUp(9, from8)
  bringsUp(10, from9)
  bringsUp(11, from10)
  bringsUp(12, from11)
  // Edits of version 12 speak of places in lists; they cannot be taken back any more, and that is said.
  studio
    .version(13)
    .stores({ history: 'id, of', edits: null })
    .upgrade(async (transaction) => {
      hasForgotten ||= (await transaction.table('edits').count()) > 0
      await transaction
        .table('commissions')
        .toCollection()
        .modify((kept: { undone?: number }) => {
          delete kept.undone
        })
      await transaction
        .table('removed')
        .toCollection()
        .modify((kept: { kept: { undone?: number }; edits?: unknown; history?: unknown }) => {
          delete kept.kept.undone
          delete kept.edits
          kept.history = []
        })
    })
  // What was removed lies with the other snapshots from here on.
  studio
    .version(14)
    .stores({ snapshots: 'id, of, at', setAside: 'id, at', removed: null })
    .upgrade(async (transaction) => {
      const removed: Removed[] = await transaction.table('removed').toArray()
      await transaction
        .table('snapshots')
        .bulkPut(removed.map(({ id, kept, history }) => ({ id: lastOf(id), of: id, at: kept.savedAt, kept, history })))
    })
  await studio.open()
  studio.close()
  return hasForgotten
}
