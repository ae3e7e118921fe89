import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import Dexie, { type EntityTable, type Table, type Transaction } from 'dexie'
import type { Patch } from 'immer'
import { bothFrom5 } from '#core/format/upgrade6'
import { workshopFrom5 } from '#core/format/upgrade6Workshop'
import { from6 } from '#core/format/upgrade7'
import { from7 } from '#core/format/upgrade8'
import { from8 } from '#core/format/upgrade9'
import { from9 } from '#core/format/upgrade10'
import { from10 } from '#core/format/upgrade11'
import { commissionFrom1, from2, from3, from4, workshopFrom1 } from '#core/format/upgrade'

/**
 * A commission as kept: `revision` grows with every save, `undone` counts the edits at the end of its history that are
 * taken back.
 */
export type KeptCommission = {
  id: string
  revision: number
  savedAt: number
  undone: number
  archived: 0 | 1
  commission: Commission
}

/** A commission that was deleted, with its history, until the next one is. */
export type RemovedCommission = { id: string; kept: KeptCommission; edits: KeptEdit[] }

export type KeptWorkshop = { id: 'workshop'; revision: number; workshop: Workshop }

/** One edit, as what to do and how to take it back. */
export type KeptEdit = { id?: number; commissionId: string; label: string; patches: Patch[]; inverse: Patch[] }

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
 * The studio's data in this browser. Versions are only ever added, so that every studio can be opened by every later
 * Lamellon.
 */
export class StudioDatabase extends Dexie {
  commissions!: EntityTable<KeptCommission, 'id'>
  workshop!: EntityTable<KeptWorkshop, 'id'>
  edits!: Table<KeptEdit, number>
  removed!: EntityTable<RemovedCommission, 'id'>
  /** Whether edits made before this version had to be let go when the data was brought up. */
  hasForgotten = false

  constructor(name = 'lamellon') {
    super(name)
    this.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
    // Edits of version 1 speak of a commission that is built otherwise; they cannot be taken back any more.
    this.version(2)
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
    this.version(3)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from2))
    this.version(4)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from3))
    this.version(5)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from4))
    // Edits of version 5 speak of decorations in two lists; they cannot be taken back any more, and that is said.
    this.version(6)
      .stores({})
      .upgrade(async (transaction) => {
        this.hasForgotten = (await transaction.table('edits').count()) > 0
        await bringUpTo6(transaction)
        await transaction.table('edits').clear()
      })
    this.version(7)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from6))
    this.version(8)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from7))
    this.version(9)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from8))
    this.version(10)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from9))
    this.version(11)
      .stores({})
      .upgrade((transaction) => bringUp(transaction, from10))
  }
}
