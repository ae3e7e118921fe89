import { beforeEach, describe, expect, it } from 'vitest'
import { demoCommission, demoWorkshop } from '#core/demo'
import { StudioDatabase } from './database'
import { addCommission, archiveCommission, removeCommission } from './keeping'
import { pauseAfter, spareCopyOf, type Folder, type SpareCopy } from './spareCopy'
import { keepWorkshop } from './wholeStudio'

/** A folder in memory; a file takes what was written once it is closed. */
function folderInMemory(): Folder & { readonly files: Map<string, string> } {
  const files = new Map<string, string>()
  return {
    files,
    async *keys() {
      yield* [...files.keys()]
    },
    removeEntry: (name) => Promise.resolve(void files.delete(name)),
    getFileHandle: (name: string) => {
      let text = ''
      return Promise.resolve({
        getFile: () => Promise.resolve({ text: () => Promise.resolve(files.get(name)) }),
        createWritable: () =>
          Promise.resolve({
            write: (part: string) => Promise.resolve(void (text += part)),
            close: () => Promise.resolve(void files.set(name, text)),
          }),
      } as unknown as FileSystemFileHandle)
    },
  }
}

const commission = demoCommission(0)
const named = (id: string) => ({ ...commission, id })
let count = 0
let folder: ReturnType<typeof folderInMemory>
let database: StudioDatabase
let spare: SpareCopy
const emptyStudio = (): StudioDatabase => new StudioDatabase(`spare-${(count += 1)}`)
const copyOf = (of: StudioDatabase): SpareCopy => spareCopyOf(of, () => Promise.resolve(folder))
const idsOf = async (of: StudioDatabase): Promise<readonly string[]> => of.commissions.toCollection().primaryKeys()

beforeEach(() => {
  folder = folderInMemory()
  database = emptyStudio()
  spare = copyOf(database)
})

describe('the spare copy of a studio', () => {
  it('holds what is added, put away and removed, and fills a database that was lost', async () => {
    await spare.follow()
    await addCommission(database, named('one/../two?'), 10)
    await addCommission(database, named('three'), 30)
    await addCommission(database, named('four'), 20)
    await spare.write()
    await archiveCommission(database, 'three', true)
    await keepWorkshop(database, demoWorkshop())
    await removeCommission(database, 'four', 40)
    await spare.write()
    const kept = await database.commissions.toArray()

    const after = emptyStudio()
    expect(await copyOf(after).bringBack()).toBe(30)
    expect(await after.commissions.toArray()).toEqual(kept)
    expect(kept.map(({ id, archived }) => [id, archived])).toEqual([
      ['one/../two?', 0],
      ['three', 1],
    ])
    expect(await after.workshop.get('workshop')).toEqual(await database.workshop.get('workshop'))
  })

  it('follows a studio that was there before, and one that went on without it', async () => {
    await addCommission(database, named('one'), 10)
    await addCommission(database, named('two'), 10)
    await spare.follow()
    await spare.write()
    expect([...folder.files.keys()].sort()).toEqual(['one 10', 'two 10'])

    const elsewhere = new StudioDatabase(database.name)
    await addCommission(elsewhere, named('one'), 50)
    await removeCommission(elsewhere, 'two', 50)
    const later = copyOf(elsewhere)
    await later.follow()
    await later.write()
    expect([...folder.files.keys()]).toEqual(['one 50'])
  })

  it('touches no database in which anything is', async () => {
    await spare.follow()
    await addCommission(database, named('one'), 10)
    await spare.write()
    const other = emptyStudio()
    await addCommission(other, named('other'), 5)
    expect(await copyOf(other).bringBack()).toBeNull()
    expect(await idsOf(other)).toEqual(['other'])
  })

  it('leaves what cannot be read, and brings the rest back', async () => {
    folder.files.set('torn 10', '{"id":"torn","rev')
    folder.files.set('odd 10', '{"id":"odd","commission":{}}')
    folder.files.set('workshop 1', '')
    await spare.follow()
    await addCommission(database, named('one'), 20)
    await spare.write()
    folder.files.set('torn 10', '{"id":"torn","rev')
    const after = emptyStudio()
    expect(await copyOf(after).bringBack()).toBe(20)
    expect(await idsOf(after)).toEqual(['one'])
  })

  it('brings back the later of two files of one commission, in whatever order they are told', async () => {
    await spare.follow()
    await addCommission(database, named('one'), 900)
    await spare.write()
    const before = folder.files.get('one 900')!
    const later = before.replace('"savedAt":900', '"savedAt":1000').replace('"archived":0', '"archived":1')
    for (const order of [
      ['one 900', 'one 1000'],
      ['one 1000', 'one 900'],
    ]) {
      folder.files.clear()
      for (const file of order) folder.files.set(file, file === 'one 900' ? before : later)
      const after = emptyStudio()
      await copyOf(after).bringBack()
      expect(await after.commissions.get('one')).toMatchObject({ savedAt: 1000, archived: 1 })
    }
  })

  it('is written within moments, and of many pictures no more than a fifth of a megabyte a second', () => {
    expect(pauseAfter(60_000)).toBeLessThan(500)
    for (const letters of [1e6, 8e6]) expect(letters / pauseAfter(letters)).toBeLessThanOrEqual(200)
  })

  it('without a folder does nothing, and with one that refuses tries again', async () => {
    const without = spareCopyOf(database, () => Promise.resolve(null))
    await without.follow()
    await without.write()
    expect(await without.bringBack()).toBeNull()

    let isFull = true
    const refusing: Folder = {
      ...folder,
      getFileHandle: (name) => (isFull ? Promise.reject(new Error('full')) : folder.getFileHandle(name)),
    }
    const trying = spareCopyOf(database, () => Promise.resolve(refusing))
    await trying.follow()
    await addCommission(database, named('one'), 10)
    await trying.write()
    expect(folder.files.size).toBe(0)
    isFull = false
    await trying.write()
    expect([...folder.files.keys()]).toEqual(['one 10'])
  })
})
