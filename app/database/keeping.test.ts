import { commissionSchema } from '#core/commission'
import { readFileSync } from 'node:fs'
import { workshopSchema } from '#core/workshop'
import Dexie from 'dexie'
import { applyPatches, produceWithPatches } from 'immer'
import { beforeEach, describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { broughtUp, StudioDatabase } from './database'
import {
  addCommission,
  archiveCommission,
  forgetEdits,
  listCommissions,
  openCommission,
  removeCommission,
  restoreCommission,
  saveEdit,
  type Save,
} from './keeping'

const commission = demoCommission(0)
const workshop = demoWorkshop()
let database: StudioDatabase
let count = 0

beforeEach(async () => {
  database = new StudioDatabase(`test-${(count += 1)}`)
  await addCommission(database, commission, 1)
})

const [next, patches, inverse] = produceWithPatches({ commission, workshop }, (draft) => {
  draft.commission.brief.driveMin = 75
})
const save = (change: Partial<Save> = {}): Save => ({
  ...next,
  revision: 1,
  workshopRevision: 0,
  edit: { commissionId: commission.id, label: 'drive', patches, inverse },
  undone: 0,
  now: 2,
  ...change,
})

describe('keeping a commission', () => {
  it('opens what was added, with the starting workshop and no history', async () =>
    expect(await openCommission(database, commission.id, workshop)).toEqual({
      commission,
      workshop,
      revision: 1,
      workshopRevision: 0,
      edits: [],
      undone: 0,
    }))
  it('knows nothing of an id it never saw', async () =>
    expect(await openCommission(database, 'nobody', workshop)).toBeNull())
  it('keeps an edit with how to take it back', async () => {
    expect(await saveEdit(database, save())).toMatchObject({ edit: { label: 'drive' } })
    const opened = (await openCommission(database, commission.id, workshop))!
    expect(opened.commission.brief.driveMin).toBe(75)
    expect(opened.revision).toBe(2)
    expect(
      applyPatches({ commission: opened.commission, workshop: opened.workshop }, opened.edits[0]!.inverse).commission,
    ).toEqual(commission)
  })
  it('keeps nothing of an edit when another tab saved first', async () => {
    await saveEdit(database, save())
    const late = produceWithPatches({ commission, workshop }, (draft) => {
      draft.commission.brief.driveMin = 5
    })[0]
    expect(await saveEdit(database, save(late))).toEqual({ code: 'changed-elsewhere' })
    const opened = (await openCommission(database, commission.id, workshop))!
    expect([opened.commission.brief.driveMin, opened.edits.length, opened.revision]).toEqual([75, 1, 2])
  })
  it('lists the last saved first and removes one with its history', async () => {
    await addCommission(database, { ...commission, id: 'other' }, 5)
    expect((await listCommissions(database)).map(({ id }) => id)).toEqual(['other', commission.id])
    await saveEdit(database, save({ now: 9 }))
    expect((await listCommissions(database)).map(({ id }) => id)).toEqual([commission.id, 'other'])
    await removeCommission(database, commission.id)
    expect((await listCommissions(database)).map(({ id }) => id)).toEqual(['other'])
    expect(await database.edits.count()).toBe(0)
  })
  it('brings back the last one removed, history and all, once', async () => {
    await saveEdit(database, save())
    await removeCommission(database, commission.id)
    expect(await restoreCommission(database)).toBe(commission.id)
    expect((await openCommission(database, commission.id, workshop))!.edits).toHaveLength(1)
    expect(await restoreCommission(database)).toBeNull()
    await addCommission(database, { ...commission, id: 'other' }, 5)
    await removeCommission(database, commission.id)
    await removeCommission(database, 'other')
    expect(await restoreCommission(database)).toBe('other')
  })
  it('keeps what is archived apart, also over a later save', async () => {
    await archiveCommission(database, commission.id, true)
    expect((await listCommissions(database))[0]!.archived).toBe(true)
    await saveEdit(database, save())
    expect((await listCommissions(database))[0]!.archived).toBe(true)
    await archiveCommission(database, commission.id, false)
    expect((await listCommissions(database))[0]!.archived).toBe(false)
  })
  it('forgets edits that were taken back when a new one is made', async () => {
    const saved = await saveEdit(database, save())
    if ('code' in saved) throw new Error(saved.code)
    await forgetEdits(database, [saved.edit!])
    expect((await openCommission(database, commission.id, workshop))!.edits).toEqual([])
  })
})

/** The demo as version 5 kept it; earlier versions lack fields that came later. */
const five = JSON.parse(readFileSync('core/format/files/version5.json', 'utf8')) as {
  commission: Record<string, unknown>
  workshop: Record<string, unknown>
}
const CAME_WITH: Readonly<Record<number, readonly string[]>> = {
  3: ['cutting', 'keptSheets', 'tools', 'remnants', 'sheetEach'],
  4: ['ownPieces', 'dyes', 'dyeTrials'],
  5: ['bench', 'pricing', 'stock', 'pieceBoxes', 'room', 'learnFrom', 'shrinkTrials', 'dryingTrials', 'runs'],
}
function without(value: unknown, names: readonly string[]): unknown {
  if (Array.isArray(value)) return value.map((each) => without(each, names))
  if (typeof value !== 'object' || value === null) return value
  const kept = Object.entries(value).filter(([name]) => !names.includes(name))
  return Object.fromEntries(kept.map(([name, each]) => [name, without(each, names)]))
}

describe.each([2, 3, 4, 5])('a studio of version %d', (version) => {
  it('opens completed, all decorations in one list, and says that earlier edits had to be let go', async () => {
    const later = Object.entries(CAME_WITH).flatMap(([came, names]) => (Number(came) > version ? names : []))
    const [olderCommission, olderWorkshop] = [without(five.commission, later), without(five.workshop, later)]
    const name = `version-${version}`
    const older = new Dexie(name)
    older.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
    older.version(2).stores({ commissions: 'id, savedAt, archived', removed: 'id' })
    if (version > 2) older.version(version).stores({})
    const kept = { id: commission.id, revision: 4, savedAt: 7, undone: 1, archived: 0, commission: olderCommission }
    await older.table('commissions').put(kept)
    await older.table('removed').put({ id: 'gone', kept: { ...kept, id: 'gone' }, edits: [] })
    await older.table('workshop').put({ id: 'workshop', revision: 2, workshop: olderWorkshop })
    await older.table('edits').put({ commissionId: commission.id, label: 'drive', patches: [], inverse: [] })
    older.close()

    const studio = new StudioDatabase(name)
    expect(await broughtUp(studio)).toBe(true)
    const opened = (await openCommission(studio, commission.id, workshop))!
    expect(() => commissionSchema.parse(opened.commission)).not.toThrow()
    expect(() => workshopSchema.parse(opened.workshop)).not.toThrow()
    expect(opened).toMatchObject({ revision: 4, workshopRevision: 2, undone: 0, edits: [] })
    expect(await broughtUp(studio)).toBe(false)
    const ids = opened.commission.options[0]!.decorations.map(({ id }) => id)
    expect(ids).toEqual(commission.options[0]!.decorations.map(({ id }) => id))
    expect(await restoreCommission(studio)).toBe('gone')
  })
})

it('a studio that is new, or kept as it is now, has nothing to be brought up', async () => {
  expect(await broughtUp(new StudioDatabase('never-opened'))).toBe(false)
  expect(await Dexie.exists('never-opened')).toBe(false)
  await listCommissions(database)
  expect(await broughtUp(database)).toBe(false)
})

describe('a studio of the first version', () => {
  it('opens with its commissions brought up and its workshop completed', async () => {
    const name = 'first-version'
    const first = new Dexie(name)
    first.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
    const kept = without(five.commission, ['options', 'chosen', ...Object.values(CAME_WITH).flat()]) as object
    const olderWorkshop = without(five.workshop, ['fridgeC', 'prices', ...Object.values(CAME_WITH).flat()])
    const older = {
      ...kept,
      cake: {
        boardDiameterMm: 300,
        boardThicknessMm: 10,
        tiers: [{ id: 'one', diameterMm: 220, heightMm: 100, covering: 'fondant', colour: null }],
      },
      decorations: [],
    }
    await first.table('commissions').put({ id: commission.id, revision: 4, savedAt: 7, undone: 1, commission: older })
    await first.table('workshop').put({ id: 'workshop', revision: 2, workshop: olderWorkshop })
    await first.table('edits').put({ commissionId: commission.id, label: 'drive', patches: [], inverse: [] })
    first.close()

    const studio = new StudioDatabase(name)
    await broughtUp(studio)
    const opened = (await openCommission(studio, commission.id, workshop))!
    expect(commissionSchema.parse(opened.commission).options).toMatchObject([
      { cake: { board: { acrossMm: 300 }, tiers: [{ shape: { kind: 'round', acrossMm: 220 } }] } },
    ])
    expect(opened).toMatchObject({
      revision: 4,
      workshopRevision: 2,
      undone: 0,
      edits: [],
      workshop: { fridgeC: 4, prices: workshop.prices },
    })
  })
})
