import { beforeEach, describe, expect, it } from 'vitest'
import { LayoutDatabase, type KeptLayout } from './layouts'

const measure = { sheets: 1, openedMm2: 62370, paperMm2: 50000, piecesMm2: 40000 }
const found = (key: string, at: number): KeptLayout => ({
  key,
  at,
  layout: {
    placements: [{ part: 'leaf', sheetIndex: 0, sheetId: 'A4', x: 1, y: 2, rotationDeg: 30, mirrored: false }],
  },
  spentMs: 500,
  untilMs: 20_000,
  first: measure,
  now: measure,
})
let database = new LayoutDatabase('none yet')
beforeEach(() => {
  database = new LayoutDatabase(`layouts ${Math.random()}`)
})

describe('layouts that were found', () => {
  it('are there by their content when the page is opened anew, the last of each', async () => {
    await database.keep(found('one', 1))
    await database.keep({ ...found('one', 2), spentMs: 750 })
    database.close()
    const again = new LayoutDatabase(database.name)
    expect(await again.layouts.get('one')).toEqual({ ...found('one', 2), spentMs: 750 })
    expect(await again.layouts.count()).toBe(1)
  })

  it('let the oldest go once there are very many', async () => {
    await database.layouts.bulkPut(Array.from({ length: 302 }, (_, at) => found(`job ${at}`, at)))
    await database.keep(found('newest', 1000))
    expect(await database.layouts.count()).toBe(300)
    expect(await database.layouts.get('job 2')).toBeUndefined()
    expect(await database.layouts.get('job 3')).toBeDefined()
    expect(await database.layouts.get('newest')).toBeDefined()
  })
})
