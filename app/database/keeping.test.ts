import { commissionSchema } from '#core/commission'
import Dexie from 'dexie'
import { applyPatches, produceWithPatches } from 'immer'
import { beforeEach, describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { freshBench } from '#core/ledger'
import { StudioDatabase } from './database'
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

describe('a studio of the second version', () => {
  it('opens completed, with edits that can still be taken back', async () => {
    const name = 'second-version'
    const second = new Dexie(name)
    second.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
    second.version(2).stores({ commissions: 'id, savedAt, archived', removed: 'id' })
    const { cutting, ...decoration } = commission.options[0]!.decorations[0]!
    expect(cutting.plies).toBeGreaterThan(0)
    const { tools, remnants, ...olderWorkshop } = workshop
    expect([tools.marginMm, remnants.length]).toEqual([5, 0])
    const older = {
      ...commission,
      options: commission.options.map(({ keptSheets, decorations, ...option }) => ({
        ...option,
        decorations: decorations.slice(keptSheets.length, 1).map(() => decoration),
      })),
    }
    await second
      .table('commissions')
      .put({ id: commission.id, revision: 4, savedAt: 7, undone: 0, archived: 0, commission: older })
    await second.table('workshop').put({ id: 'workshop', revision: 2, workshop: olderWorkshop })
    await second.table('edits').put({
      commissionId: commission.id,
      label: 'take out',
      patches: [],
      inverse: [{ op: 'add', path: ['commission', 'options', 0, 'decorations', 0], value: decoration }],
    })
    second.close()

    const opened = (await openCommission(new StudioDatabase(name), commission.id, workshop))!
    expect(() => commissionSchema.parse(opened.commission)).not.toThrow()
    expect(opened).toMatchObject({
      workshop: { tools, remnants: [] },
      edits: [{ inverse: [{ value: { cutting: { way: 'boxes' } } }] }],
    })
  })
})

describe('a studio of the third version', () => {
  it('opens completed: what is cut is cut as before, and edits can still be taken back', async () => {
    const name = 'third-version'
    const third = new Dexie(name)
    third.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
    third.version(2).stores({ commissions: 'id, savedAt, archived', removed: 'id' })
    third.version(3).stores({})
    const plain = { way: 'template', plies: 2 }
    const older = {
      ...commission,
      options: commission.options.map(({ ownPieces, decorations, ...option }) => ({
        ...option,
        decorations: decorations.slice(ownPieces.length, 1).map((each) => ({ ...each, cutting: plain })),
      })),
    }
    await third
      .table('commissions')
      .put({ id: commission.id, revision: 4, savedAt: 7, undone: 0, archived: 0, commission: older })
    await third.table('workshop').put({ id: 'workshop', revision: 2, workshop })
    await third.table('edits').put({
      commissionId: commission.id,
      label: 'way of cutting',
      patches: [],
      inverse: [{ op: 'replace', path: ['commission', 'options', 0, 'decorations', 0, 'cutting'], value: plain }],
    })
    third.close()

    const opened = (await openCommission(new StudioDatabase(name), commission.id, workshop))!
    expect(() => commissionSchema.parse(opened.commission)).not.toThrow()
    expect(opened).toMatchObject({
      commission: {
        options: [{ ownPieces: [], decorations: [{ cutting: { ...plain, layers: 1, colouredWhole: false } }] }, {}],
      },
      edits: [{ inverse: [{ value: { ...plain, layers: 1, colouredWhole: false } }] }],
    })
  })
})

describe('a studio of the fourth version', () => {
  it('opens with an untouched bench and an empty ledger, and edits can still be taken back', async () => {
    const name = 'fourth-version'
    const fourth = new Dexie(name)
    fourth.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
    fourth.version(2).stores({ commissions: 'id, savedAt, archived', removed: 'id' })
    fourth.version(4).stores({})
    const { bench, ...older } = commission
    const { pricing, stock, pieceBoxes, room, learnFrom, shrinkTrials, dryingTrials, runs, ...olderWorkshop } = workshop
    await fourth
      .table('commissions')
      .put({ id: commission.id, revision: 4, savedAt: 7, undone: 0, archived: 0, commission: older })
    await fourth.table('workshop').put({ id: 'workshop', revision: 2, workshop: olderWorkshop })
    await fourth.table('edits').put({
      commissionId: commission.id,
      label: 'another cake',
      patches: [],
      inverse: [{ op: 'replace', path: ['commission'], value: older }],
    })
    fourth.close()

    const opened = (await openCommission(new StudioDatabase(name), commission.id, workshop))!
    expect(opened.commission.bench).toEqual(freshBench())
    expect(opened.workshop).toEqual({
      ...olderWorkshop,
      pricing,
      stock: [],
      pieceBoxes,
      room,
      learnFrom,
      shrinkTrials: [],
      dryingTrials: [],
      runs: [],
    })
    expect([bench.tasks, stock, shrinkTrials, dryingTrials, runs].every((each) => Array.isArray(each))).toBe(true)
    expect(opened.edits[0]!.inverse[0]).toMatchObject({ value: { bench: freshBench() } })
  })
})

describe('a studio of the first version', () => {
  it('opens with its commissions brought up and its workshop completed', async () => {
    const name = 'first-version'
    const first = new Dexie(name)
    first.version(1).stores({ commissions: 'id, savedAt', workshop: 'id', edits: '++id, commissionId' })
    const { options, chosen, ...kept } = commission
    const { fridgeC, prices, ...olderWorkshop } = workshop
    expect([options.length, chosen, fridgeC, prices.hour]).toEqual([2, 'a', 4, 25])
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

    const opened = (await openCommission(new StudioDatabase(name), commission.id, workshop))!
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
