import { applied, changesBetween, takenBack } from '#core/change'
import { commissionSchema, type Commission } from '#core/commission'
import { readFileSync } from 'node:fs'
import { workshopSchema, type Workshop } from '#core/workshop'
import Dexie from 'dexie'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { broughtUp, OF_WORKSHOP, StudioDatabase, WrittenByNewer } from './database'
import {
  addCommission,
  archiveCommission,
  listCommissions,
  openCommission,
  removeCommission,
  restoreCommission,
  saveChanges,
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

type Held = { commission: Commission; workshop: Workshop }

const changing = (change: (draft: Held) => void, from: Held = { commission, workshop }) => {
  const after = structuredClone(from)
  change(after)
  return changesBetween(from, after)
}
let made = 0
const save = (change: (draft: Held) => void, more: Partial<Save> = {}): Save => {
  const changes = changing(change)
  made += 1
  return {
    commissionId: commission.id,
    changes,
    edit: { id: `edit-${made}`, of: commission.id, at: made, label: 'drive', undone: false, changes },
    forgotten: [],
    beginning: workshop,
    now: 2,
    ...more,
  }
}
const longer = (draft: Held): void => void (draft.commission.brief.driveMin = 75)
const saved = async (what: Save) => {
  const kept = await saveChanges(database, what)
  if ('code' in kept) throw new Error(kept.code)
  return kept
}
const opened = async () => (await openCommission(database, commission.id, workshop))!

describe('keeping a commission', () => {
  it('opens what was added, with the starting workshop and no history', async () =>
    expect(await opened()).toEqual({
      commission,
      workshop,
      archived: false,
      revision: 1,
      workshopRevision: 0,
      history: [],
    }))
  it('knows nothing of an id it never saw', async () =>
    expect(await openCommission(database, 'nobody', workshop)).toBeNull())
  it('keeps an edit with how to take it back', async () => {
    expect(await saved(save(longer))).toMatchObject({ revision: 2, workshopRevision: 0, met: [], lost: [] })
    const { history, ...kept } = await opened()
    expect(kept.commission.brief.driveMin).toBe(75)
    const { commission: before } = applied(kept, takenBack(history[0]!.changes), 'untouched').state
    expect(before).toEqual(commission)
  })
  it('keeps both, when two windows changed different things', async () => {
    await saved(save(longer))
    const kept = await saved(save((draft) => void (draft.workshop.people = 3)))
    expect(kept).toMatchObject({ met: [], lost: [], workshopRevision: 1 })
    expect(await opened()).toMatchObject({ commission: { brief: { driveMin: 75 } }, workshop: { people: 3 } })
  })
  it('keeps the later, when two windows changed the same, and tells', async () => {
    await saved(save(longer))
    const kept = await saved(save((draft) => void (draft.commission.brief.driveMin = 5)))
    expect(kept.met).toMatchObject([{ path: ['commission', 'brief', 'driveMin'] }])
    expect((await opened()).commission.brief.driveMin).toBe(5)
  })
  it('tells when what was changed is not there any more, and when the commission is gone', async () => {
    const [first] = commission.options[0]!.decorations
    await saved(save((draft) => void draft.commission.options[0]!.decorations.shift()))
    const kept = await saved(save((draft) => void (draft.commission.options[0]!.decorations[0]!.name = 'Ours')))
    expect(kept.lost).toHaveLength(1)
    expect(kept.commission.options[0]!.decorations.some(({ id }) => id === first!.id)).toBe(false)
    await removeCommission(database, commission.id, 3)
    expect(await saveChanges(database, save(longer))).toEqual({ code: 'gone' })
    expect(await database.commissions.count()).toBe(0)
  })
  it('opens edits of the workshop with every commission, in the order they were made', async () => {
    await addCommission(database, { ...commission, id: 'other' }, 5)
    const first = save((draft) => void (draft.workshop.people = 2))
    await saved({ ...first, edit: { ...first.edit, of: OF_WORKSHOP, at: 30 } })
    const second = save(longer)
    await saved({ ...second, edit: { ...second.edit, at: 20 } })
    const other = (await openCommission(database, 'other', workshop))!
    expect(other.history.map(({ of }) => of)).toEqual([OF_WORKSHOP])
    expect((await opened()).history.map(({ at }) => at)).toEqual([20, 30])
  })
  it('lists the last saved first and removes one with its history', async () => {
    await addCommission(database, { ...commission, id: 'other' }, 5)
    expect((await listCommissions(database, 3)).map(({ id }) => id)).toEqual(['other', commission.id])
    await saved(save(longer, { now: 9 }))
    expect((await listCommissions(database, 3)).map(({ id }) => id)).toEqual([commission.id, 'other'])
    await removeCommission(database, commission.id, 3)
    expect((await listCommissions(database, 3)).map(({ id }) => id)).toEqual(['other'])
    expect(await database.history.count()).toBe(0)
  })
  it('lists from what is known as it would from nothing, and reads only what was saved since', async () => {
    const read = vi.spyOn(database.commissions, 'bulkGet')
    let known = await listCommissions(database, 3)
    const steps: readonly (readonly [read: number, step: () => Promise<unknown>])[] = [
      [0, () => Promise.resolve()],
      [1, () => addCommission(database, { ...commission, id: 'other' }, 5)],
      [1, () => saved(save((draft) => void (draft.commission.brief.name = 'Another name'), { now: 9 }))],
      [0, () => archiveCommission(database, 'other', true)],
      [0, () => removeCommission(database, commission.id, 10)],
      [1, () => restoreCommission(database, commission.id)],
    ]
    for (const [many, step] of steps) {
      await step()
      read.mockClear()
      known = await listCommissions(database, 11, known)
      expect(read.mock.calls[0]![0]).toHaveLength(many)
      expect(known).toEqual(await listCommissions(database, 11))
    }
  })
  it('brings back each one that was removed, history and all, once', async () => {
    await saved(save(longer))
    await addCommission(database, { ...commission, id: 'other' }, 5)
    await removeCommission(database, commission.id, 3)
    await removeCommission(database, 'other', 4)
    expect(await restoreCommission(database, commission.id)).toBe(true)
    expect((await opened()).history).toHaveLength(1)
    expect(await restoreCommission(database, commission.id)).toBe(false)
    expect(await restoreCommission(database, 'other')).toBe(true)
    expect(await restoreCommission(database, 'nobody')).toBe(false)
  })
  it('keeps what is archived apart, also over a later save', async () => {
    await archiveCommission(database, commission.id, true)
    expect((await listCommissions(database, 3))[0]!.archived).toBe(true)
    await saved(save(longer))
    expect((await listCommissions(database, 3))[0]!.archived).toBe(true)
    await archiveCommission(database, commission.id, false)
    expect((await listCommissions(database, 3))[0]!.archived).toBe(false)
  })
  it('forgets edits that were taken back when a new one is made, and those that lie far back', async () => {
    const first = save(longer)
    await saved(first)
    await saved(save((draft) => void (draft.commission.brief.driveMin = 5), { forgotten: [first.edit.id] }))
    expect((await opened()).history).toHaveLength(1)
    for (let more = 0; more < 305; more += 1)
      await saved(save((draft) => void (draft.commission.brief.driveMin = more)))
    const { history } = await opened()
    expect(history).toHaveLength(300)
    expect(history.at(-1)!.at).toBe(made)
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
    expect(opened).toMatchObject({ revision: 4, workshopRevision: 2, history: [] })
    expect(await studio.commissions.toArray()).not.toContainEqual(
      expect.objectContaining({ undone: expect.anything() }),
    )
    expect(await broughtUp(studio)).toBe(false)
    const ids = opened.commission.options[0]!.decorations.map(({ id }) => id)
    expect(ids).toEqual(commission.options[0]!.decorations.map(({ id }) => id))
    expect(await restoreCommission(studio, 'gone')).toBe(true)
  })
})

it('a studio that a later Lamellon has kept is not opened', async () => {
  const later = new Dexie('later')
  later.version(99).stores({ commissions: 'id' })
  await later.open()
  later.close()
  await expect(broughtUp(new StudioDatabase('later'))).rejects.toBeInstanceOf(WrittenByNewer)
})

it('a studio that is new, or kept as it is now, has nothing to be brought up', async () => {
  expect(await broughtUp(new StudioDatabase('never-opened'))).toBe(false)
  expect(await Dexie.exists('never-opened')).toBe(false)
  await listCommissions(database, 3)
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
      history: [],
      workshop: { fridgeC: 4, prices: workshop.prices },
    })
  })
})
