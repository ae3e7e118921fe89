import { beforeEach, describe, expect, it, vi } from 'vitest'
import { changesBetween } from '#core/change'
import type { OnTheWay } from './onTheWay'

const changes = changesBetween({ commission: { name: 'a', note: 'b' } }, { commission: { name: 'c' } })
const waiting: OnTheWay = {
  commissionId: 'cake',
  studio: 'own',
  forgotten: ['gone'],
  changes,
  edit: { id: 'one', of: 'cake', at: 5, label: 'name', undone: false, changes },
}
/** A page with a name of its own. */
const page = async () => {
  vi.resetModules()
  return import('./onTheWay')
}

beforeEach(() => localStorage.clear())

describe('what was on its way when a page was closed', () => {
  it('is found by the next page, and gone once it is let go', async () => {
    const { layAside } = await page()
    layAside([waiting])
    const { laidAside, letGo } = await page()
    const [found, ...others] = laidAside()
    expect(others).toEqual([])
    expect(found!.waiting).toMatchObject([{ commissionId: 'cake', forgotten: ['gone'], edit: { id: 'one' } }])
    expect(found!.waiting[0]!.changes.map(({ path }) => path)).toEqual(changes.map(({ path }) => path))
    letGo(found!.name)
    expect(laidAside()).toEqual([])
  })
  it('is nothing when all has arrived, and not its own page’s', async () => {
    const { layAside, laidAside } = await page()
    layAside([waiting])
    expect(laidAside()).toEqual([])
    layAside([])
    expect((await page()).laidAside()).toEqual([])
  })
  it.each(['{"half":', '[{"commissionId":3}]', 'null'])('that cannot be read, %s, is nothing', async (text) => {
    localStorage.setItem('lamellon.onTheWay.other', text)
    const { laidAside } = await page()
    expect(laidAside()).toEqual([{ name: 'lamellon.onTheWay.other', waiting: [] }])
  })
})
