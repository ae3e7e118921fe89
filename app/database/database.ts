import type { Change } from '#core/change'
import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import Dexie, { type EntityTable } from 'dexie'

/** A commission as kept; `revision` grows with every save. */
export type KeptCommission = {
  id: string
  revision: number
  savedAt: number
  archived: 0 | 1
  commission: Commission
}

/** A commission that was deleted, with its history, until the next one is. */
export type RemovedCommission = { id: string; kept: KeptCommission; history: KeptEdit[] }

export type KeptWorkshop = { id: 'workshop'; revision: number; workshop: Workshop }

/** The mark of edits that touch nothing but the workshop: they belong to no commission. */
export const OF_WORKSHOP = 'workshop'

/**
 * One edit, as what it changed. `of` is the commission it was made in, or the workshop alone; `at` puts it in its place,
 * ms by the world's clock.
 */
export type KeptEdit = {
  id: string
  of: string
  at: number
  label: string
  undone: boolean
  changes: readonly Change[]
}

/** The version in which a studio is kept now. */
const KEPT_VERSION = 13

/** The studio's data in this browser, as it is kept now. */
export class StudioDatabase extends Dexie {
  commissions!: EntityTable<KeptCommission, 'id'>
  workshop!: EntityTable<KeptWorkshop, 'id'>
  history!: EntityTable<KeptEdit, 'id'>
  removed!: EntityTable<RemovedCommission, 'id'>

  constructor(name = 'lamellon') {
    super(name)
    this.version(KEPT_VERSION).stores({
      commissions: 'id, savedAt, archived',
      workshop: 'id',
      history: 'id, of',
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
