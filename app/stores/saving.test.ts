import { beforeEach, describe, expect, it, vi } from 'vitest'
import { changesBetween } from '#core/change'
import { demoCommission, demoWorkshop } from '#core/demo'
import { StudioDatabase } from '~/database/database'
import { addCommission, keptCommission, removeCommission } from '~/database/keeping'
import type { OnTheWay } from '~/database/onTheWay'
import { savingInto, type Saving } from './saving'

const commission = demoCommission(0)
const workshop = demoWorkshop()
let own: StudioDatabase
let saving: Saving
let count = 0
const arrived = vi.fn()
const gone = vi.fn(() => Promise.resolve())
const refused = vi.fn(() => Promise.resolve())
const failed = vi.fn()

beforeEach(async () => {
  localStorage.clear()
  vi.clearAllMocks()
  own = new StudioDatabase(`saving-${(count += 1)}`)
  await addCommission(own, commission, 1)
  const beginning = () => Promise.resolve(workshop)
  saving = savingInto({ databases: { own, demo: own }, beginning, arrived, gone, refused, failed })
})

const edit = (driveMin: number): OnTheWay => {
  const before = { commission, workshop }
  const after = { ...before, commission: { ...commission, brief: { ...commission.brief, driveMin } } }
  const changes = changesBetween(before, after)
  return {
    commissionId: commission.id,
    changes,
    edit: { id: `e${driveMin}`, of: commission.id, at: driveMin, label: 'drive', undone: false, changes },
    forgotten: [],
    studio: 'own',
  }
}
const driven = async () => (await keptCommission(own, commission.id, workshop))!.commission.brief.driveMin

describe('saving', () => {
  it('keeps edits in their order', async () => {
    for (const minutes of [31, 32, 33]) saving.save(edit(minutes))
    expect(saving.waiting.value).toHaveLength(3)
    await saving.settled()
    expect(saving.waiting.value).toEqual([])
    expect(await driven()).toBe(33)
    expect(
      arrived.mock.calls.map(
        ([
          ,
          {
            edit: { at },
          },
        ]) => at,
      ),
    ).toEqual([31, 32, 33])
  })
  it('lets what the browser has no room for wait, says why, and goes on once there is room', async () => {
    const full = Object.assign(new Error('no room'), { name: 'AbortError' })
    Object.assign(full, { inner: Object.assign(new Error('no room'), { name: 'QuotaExceededError' }) })
    const place = vi.spyOn(own, 'transaction').mockRejectedValueOnce(full)
    saving.save(edit(31))
    await saving.settled()
    expect(saving.waiting.value).toHaveLength(1)
    expect(saving.stuck.value).toContain('full')
    place.mockRestore()
    saving.save(edit(32))
    await saving.settled()
    expect(saving.stuck.value).toBe('')
    expect(await driven()).toBe(32)
  })
  it('takes out an edit the database refuses for good, and keeps those behind it', async () => {
    const odd = edit(31)
    saving.save({ ...odd, edit: { ...odd.edit, label: (() => 0) as never } })
    saving.save(edit(32))
    await saving.settled()
    expect(refused).toHaveBeenCalledTimes(1)
    expect(saving.waiting.value).toEqual([])
    expect(await driven()).toBe(32)
  })
  it('forgets what was edited in a commission that is gone', async () => {
    await removeCommission(own, commission.id, 2)
    saving.save(edit(31))
    await saving.settled()
    expect(gone).toHaveBeenCalledTimes(1)
    expect(saving.waiting.value).toEqual([])
  })
  it('keeps what waits for other commissions when one is gone', async () => {
    const other = { ...commission, id: 'other' }
    await addCommission(own, other, 1)
    await removeCommission(own, commission.id, 2)
    saving.save(edit(31))
    saving.save({ ...edit(32), commissionId: 'other' })
    await saving.settled()
    expect(gone).toHaveBeenCalledExactlyOnceWith(commission.id)
    expect((await keptCommission(own, 'other', workshop))!.commission.brief.driveMin).toBe(32)
  })
  it('goes on after something went wrong beside it', async () => {
    saving.then(() => Promise.reject(new Error('not read')))
    saving.save(edit(31))
    await saving.settled()
    expect(failed).toHaveBeenCalledTimes(1)
    expect(await driven()).toBe(31)
  })
  it('leaves laid aside what there is no room for, and saves it the next time', async () => {
    localStorage.setItem('lamellon.onTheWay.another', JSON.stringify([edit(44)]))
    const place = vi
      .spyOn(own, 'transaction')
      .mockRejectedValueOnce(Object.assign(new Error('x'), { name: 'AbortError' }))
    expect(await saving.saveLaidAside(() => undefined)).toContain('could not be saved')
    expect(localStorage).toHaveLength(1)
    place.mockRestore()
    expect(await saving.saveLaidAside(() => undefined)).toBe('')
    expect(await driven()).toBe(44)
  })
  it('saves what a page that was closed had laid aside, once', async () => {
    localStorage.setItem('lamellon.onTheWay.another', JSON.stringify([edit(44)]))
    expect(await saving.saveLaidAside(() => undefined)).toBe('')
    expect(await driven()).toBe(44)
    expect(localStorage).toHaveLength(0)
  })
})
