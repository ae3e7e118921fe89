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

export type KeptWorkshop = { id: 'workshop'; revision: number; workshop: Workshop }

/** The mark of edits that touch nothing but the workshop: they belong to no commission. */
export const OF_WORKSHOP = 'workshop'

/** How many edits can be taken back, of a commission and of the workshop. */
export const KEPT_EDITS = 300

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

/**
 * A commission as it was before the first edit of a day, or, with its history, when it was removed. `at` is ms by the
 * world's clock.
 */
export type KeptSnapshot = { id: string; of: string; at: number; kept: KeptCommission; history: KeptEdit[] }

/** A record that does not hold together; `why` is a sentence for each field that is wrong. */
export type SetAside = { id: string; name: string; at: number; why: readonly string[]; record: unknown }

/** The version in which a studio is kept now. */
export const KEPT_VERSION = 14

/** Thrown where what lies in this browser was written by a later Lamellon: it must not be touched. */
export class WrittenByNewer extends Error {}

/** The studio's data in this browser, as it is kept now. */
export class StudioDatabase extends Dexie {
  commissions!: EntityTable<KeptCommission, 'id'>
  workshop!: EntityTable<KeptWorkshop, 'id'>
  history!: EntityTable<KeptEdit, 'id'>
  snapshots!: EntityTable<KeptSnapshot, 'id'>
  setAside!: EntityTable<SetAside, 'id'>

  constructor(name = 'lamellon') {
    super(name)
    this.version(KEPT_VERSION).stores({
      commissions: 'id, savedAt, archived',
      workshop: 'id',
      history: 'id, of',
      snapshots: 'id, of, at',
      setAside: 'id, at',
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

/** Whether a studio lies in this browser at all; one without a commission does too. */
export const isKept = async ({ name }: StudioDatabase): Promise<boolean> => (await versionIn(name)) !== null

/**
 * Brings up what an earlier Lamellon kept, before the studio is opened. How that is done is loaded only where it is
 * needed.
 * @param blocked called while another window holds what is to be brought up
 * @returns whether edits of before had to be let go
 * @throws WrittenByNewer where a later Lamellon has been here
 */
export async function broughtUp({ name }: StudioDatabase, blocked: () => void = () => undefined): Promise<boolean> {
  const kept = await versionIn(name)
  if (kept !== null && kept > KEPT_VERSION) throw new WrittenByNewer()
  if (kept === null || kept === KEPT_VERSION) return false
  const { bringUpStudio } = await import('./earlierVersions')
  return bringUpStudio(name, blocked)
}
