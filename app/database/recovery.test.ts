import { beforeEach, describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { changesBetween } from '#core/change'
import type { StudioEntry } from '#core/format/studioFile'
import { StudioDatabase, type KeptCommission } from './database'
import {
  addCommission,
  keptCommission,
  listCommissions,
  openCommission,
  removeCommission,
  saveChanges,
} from './keeping'
import { letSetAsideGo, listSetAside, oddNumberIn, setCommissionAside, setWorkshopAside } from './setAside'
import { SNAPSHOT_DAYS, snapshotDays } from './snapshots'
import { compared, everyCommission, takeEntry } from './wholeStudio'

const commission = demoCommission(0)
const workshop = demoWorkshop()
const DAY_MS = 86_400_000
const NOON = new Date(2026, 10, 20, 12).getTime()
let database: StudioDatabase
let count = 0

beforeEach(async () => {
  database = new StudioDatabase(`recovery-${(count += 1)}`)
  await addCommission(database, commission, NOON)
})

/** Drives for so many minutes, saved at an hour. */
async function drive(minutes: number, now: number): Promise<void> {
  const kept = (await keptCommission(database, commission.id, workshop))!
  const before = { commission: kept.commission, workshop }
  const after = {
    ...before,
    commission: { ...kept.commission, brief: { ...kept.commission.brief, driveMin: minutes } },
  }
  const changes = changesBetween(before, after)
  const edit = { id: `${now}`, of: commission.id, at: now, label: 'drive', undone: false, changes }
  await saveChanges(database, { commissionId: commission.id, changes, edit, forgotten: [], beginning: workshop, now })
}
const drivesOf = async (): Promise<readonly number[]> =>
  Promise.all(
    (await snapshotDays(database)).map(async ({ id }) => {
      const snapshot = (await database.snapshots.get(id))!
      return snapshot.kept.commission.brief.driveMin
    }),
  )

describe('earlier days', () => {
  it('are how a commission was before the first edit of each, the latest first', async () => {
    const asItWas = commission.brief.driveMin
    await drive(31, NOON)
    await drive(32, NOON + 1000)
    await drive(33, NOON + DAY_MS)
    await drive(34, NOON + DAY_MS + 1000)
    expect(await drivesOf()).toEqual([32, asItWas])
  })
  it('go after ten days, and not before', async () => {
    await drive(31, NOON)
    await drive(32, NOON + SNAPSHOT_DAYS * DAY_MS)
    expect(await drivesOf()).toHaveLength(2)
    await drive(33, NOON + (SNAPSHOT_DAYS + 1) * DAY_MS)
    expect(await drivesOf()).toEqual([32, 31])
  })
  it('hold what was removed as it was then', async () => {
    await drive(31, NOON)
    await drive(35, NOON + 1000)
    await removeCommission(database, commission.id, NOON + 2000)
    const [last, before] = await snapshotDays(database)
    expect(last).toMatchObject({ of: commission.id, isLast: true, name: commission.brief.name })
    expect(before).toMatchObject({ isLast: false })
    expect((await drivesOf())[0]).toBe(35)
  })
  it('are kept in one step with the edit: where that is refused, neither is', async () => {
    const edit = { id: 'x', of: commission.id, at: 1, label: 'x', undone: false, changes: [() => 0] as never }
    const change = { kind: 'field', path: ['commission', 'brief', 'driveMin'], from: 0, to: 99 } as never
    const save = { commissionId: commission.id, changes: [change], edit, forgotten: [], beginning: workshop, now: NOON }
    await expect(saveChanges(database, save)).rejects.toThrow()
    expect(await snapshotDays(database)).toEqual([])
    expect((await openCommission(database, commission.id, workshop))!.commission).toEqual(commission)
  })
})

describe('a record that does not hold together', () => {
  const record = (id: string, held: unknown) =>
    ({ id, revision: 1, savedAt: 1, archived: 0, commission: held }) as KeptCommission
  it.each([
    ['nothing in it', null],
    ['no brief', { ...commission, id: 'bad', brief: undefined }],
    ['a name that is a number', { ...commission, id: 'bad', brief: { ...commission.brief, name: 7 } }],
    ['no options', { ...commission, id: 'bad', options: [] }],
    ['another option chosen', { ...commission, id: 'bad', chosen: 'none of them' }],
    ['another id', { ...commission, id: 'somebody else' }],
  ])('is set aside whole when the studio is listed: %s', async (_, held) => {
    await database.commissions.put(record('bad', held))
    expect((await listCommissions(database, NOON)).map(({ id }) => id)).toEqual([commission.id])
    const [aside, ...others] = await listSetAside(database)
    expect(others).toEqual([])
    expect(aside).toMatchObject({ at: NOON, record: record('bad', held) })
    expect(aside!.why).toHaveLength(1)
    await letSetAsideGo(database, aside!.id)
    expect(await listSetAside(database)).toEqual([])
  })
  it('is told by a number that is none, and where that is', () => {
    expect(oddNumberIn({ tiers: [{ heightMm: 1 }, { heightMm: Number.NaN }] })).toBe('tiers → 1 → heightMm')
    expect(oddNumberIn({ far: Infinity })).toBe('far')
    expect(oddNumberIn(commission)).toBeNull()
  })
  it('is set aside with its reasons and its name once it was looked through', async () => {
    expect(await setCommissionAside(database, commission.id, ['sails: not a number'], NOON)).toBe(commission.brief.name)
    expect(await listCommissions(database, NOON)).toEqual([])
    expect(await setCommissionAside(database, commission.id, [], NOON)).toBe('')
  })
  it('is the workshop: the studio goes on with what one begins with', async () => {
    await database.workshop.put({ id: 'workshop', revision: 3, workshop: { people: Number.NaN } as never })
    await setWorkshopAside(database, ['people: not a number'], NOON)
    expect((await openCommission(database, commission.id, workshop))!.workshop).toEqual(workshop)
    expect(await listSetAside(database)).toMatchObject([{ name: 'The workshop', record: { revision: 3 } }])
  })
})

describe('a whole studio', () => {
  const changed = (): StudioEntry => ({
    archived: false,
    commission: { ...commission, brief: { ...commission.brief, driveMin: 99 } },
  })
  const other: StudioEntry = { archived: true, commission: { ...commission, id: 'other' } }

  it('is gone through, what is put away too', async () => {
    await takeEntry(database, other, { workshop, now: NOON })
    const all: StudioEntry[] = []
    for await (const entry of everyCommission(database)) all.push(entry)
    expect(all).toHaveLength(2)
    expect(all).toEqual(expect.arrayContaining([other, { archived: false, commission }]))
  })
  it('tells what a file would add, change and leave', async () => {
    expect(await compared(database, other, workshop)).toBe('new')
    expect(await compared(database, changed(), workshop)).toBe('changed')
    expect(await compared(database, { archived: false, commission }, workshop)).toBe('same')
  })
  it('takes a change as an edit that can be taken back, and nothing twice', async () => {
    await takeEntry(database, changed(), { workshop, now: NOON })
    await takeEntry(database, changed(), { workshop, now: NOON })
    const opened = (await openCommission(database, commission.id, workshop))!
    expect(opened.commission.brief.driveMin).toBe(99)
    expect(opened.history).toHaveLength(1)
    expect(opened.history[0]!.label).toContain('studio file')
  })
  it('puts away and brings out again what the file did', async () => {
    const isAway = async (): Promise<boolean> => (await database.commissions.get(commission.id))!.archived === 1
    for (const archived of [true, false]) {
      expect(await compared(database, { archived, commission }, workshop)).toBe('changed')
      await takeEntry(database, { archived, commission }, { workshop, now: NOON })
      expect(await isAway()).toBe(archived)
    }
    expect((await openCommission(database, commission.id, workshop))!.history).toEqual([])
  })
})
