import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import Dexie, { type EntityTable, type Table } from 'dexie'
import type { Patch } from 'immer'

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

/** The version in which a studio is kept now. */
const KEPT_VERSION = 12

/** The studio's data in this browser, as it is kept now. */
export class StudioDatabase extends Dexie {
  commissions!: EntityTable<KeptCommission, 'id'>
  workshop!: EntityTable<KeptWorkshop, 'id'>
  edits!: Table<KeptEdit, number>
  removed!: EntityTable<RemovedCommission, 'id'>

  constructor(name = 'lamellon') {
    super(name)
    this.version(KEPT_VERSION).stores({
      commissions: 'id, savedAt, archived',
      workshop: 'id',
      edits: '++id, commissionId',
      removed: 'id',
    })
  }
}

/** The version in which a studio lies in this browser; null where there is none yet. */
async function versionIn(name: string): Promise<number | null> {
  if (!(await Dexie.exists(name))) return null
  const asItIs = await new Dexie(name).open()
  asItIs.close()
  return asItIs.verno
}

/**
 * Brings up what an earlier Lamellon kept, before the studio is opened. How that is done is loaded only where it is
 * needed.
 * @returns whether edits of before had to be let go
 */
export async function broughtUp({ name }: StudioDatabase): Promise<boolean> {
  const kept = await versionIn(name)
  if (kept === null || kept >= KEPT_VERSION) return false
  const { bringUpStudio } = await import('./earlierVersions')
  return bringUpStudio(name)
}
