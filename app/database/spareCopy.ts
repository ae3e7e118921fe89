/**
 * A second copy of what a studio keeps, in files that the browser has for this address alone. A browser that finds its
 * database damaged throws it away and begins an empty one: it may be damaged for good where the device went off, or the
 * browser was ended, between two writes. The files lie apart, and outlive that.
 */
import type { KeptCommission, KeptWorkshop, StudioDatabase } from './database'
import { faultOfRecord } from './setAside'

/** What changed is written after so long at least, together with all that changed meanwhile. */
const WRITTEN_AFTER_MS = 200
/** A commission with many pictures is long to write: no more than so many letters go into files a millisecond. */
const LETTERS_PER_MS = 200
const WORKSHOP = 'workshop'

/** Where the files lie: a folder as browsers give one, of which the types do not know yet that it tells its files. */
export type Folder = Pick<FileSystemDirectoryHandle, 'getFileHandle' | 'removeEntry'> & {
  readonly keys: () => AsyncIterable<string>
}

export type SpareCopy = {
  /** Writes all that is not in the copy yet, and from then on whatever is changed here; asked again, nothing more. */
  readonly follow: () => Promise<void>
  /** Writes what was changed here and is not written yet. */
  readonly write: () => Promise<void>
  /**
   * Fills a database that is empty from the copy.
   * @returns when the latest of what was brought back was saved, ms by the world's clock; null where there was nothing to
   * bring back
   */
  readonly bringBack: () => Promise<number | null>
}

/** The folder of that name; null where this browser has no files for pages, or writes none from one. */
export async function spareFolder(name: string): Promise<Folder | null> {
  if (!('storage' in navigator) || typeof FileSystemFileHandle?.prototype.createWritable !== 'function') return null
  try {
    const all = await navigator.storage.getDirectory()
    return (await all.getDirectoryHandle(name, { create: true })) as unknown as Folder
  } catch {
    // Private windows and full devices refuse; the studio works without.
    return null
  }
}

/** A file is named after what it holds and when that was saved, so that it shows what is not written yet. */
const fileName = (id: string, saved: number): string => `${encodeURIComponent(id)} ${saved}`
const idIn = (file: string): string => decodeURIComponent(file.slice(0, file.lastIndexOf(' ')))
const savedIn = (file: string): number => Number(file.slice(file.lastIndexOf(' ') + 1))

async function filesIn(folder: Folder): Promise<readonly string[]> {
  const files: string[] = []
  for await (const file of folder.keys()) files.push(file)
  return files
}

/** @returns how many letters were written */
async function writeFile(folder: Folder, file: string, record: object): Promise<number> {
  const handle = await folder.getFileHandle(file, { create: true })
  // What was there stays until all is written.
  const writable = await handle.createWritable()
  const text = JSON.stringify(record)
  await writable.write(text)
  await writable.close()
  return text.length
}

/** How long nothing is written after so many letters, ms. */
export const pauseAfter = (letters: number): number => Math.max(WRITTEN_AFTER_MS, letters / LETTERS_PER_MS)

/** What a file holds; null where that cannot be read. */
async function readFile(folder: Folder, file: string): Promise<unknown> {
  try {
    return JSON.parse(await (await (await folder.getFileHandle(file)).getFile()).text())
  } catch {
    return null
  }
}

/** One window at a time, where the browser lets windows agree. */
async function alone(work: () => Promise<void>): Promise<void> {
  const { locks } = navigator as { readonly locks?: LockManager | null }
  await (locks ? locks.request('lamellon spare copy', work) : work())
}

/** The spare copy of a studio. What goes wrong with it is left: it must never be in the way of the studio itself. */
export function spareCopyOf(database: StudioDatabase, folderFor: () => Promise<Folder | null>): SpareCopy {
  const { commissions, workshop } = database
  /** Ids of what was changed and is not written yet. */
  const changed = new Set<string>()
  let timer: ReturnType<typeof setTimeout> | null = null
  let given: Promise<Folder | null> | null = null
  let isFollowing = false
  let pauseMs = WRITTEN_AFTER_MS
  const folder = (): Promise<Folder | null> => (given ??= folderFor())

  async function writeOne(into: Folder, files: readonly string[], id: string): Promise<number> {
    const record = id === WORKSHOP ? await workshop.get(WORKSHOP) : await commissions.get(id)
    const file = record && fileName(id, 'savedAt' in record ? record.savedAt : record.revision)
    const letters = file ? await writeFile(into, file, record) : 0
    for (const old of files) if (idIn(old) === id && old !== file) await into.removeEntry(old)
    return letters
  }

  async function write(): Promise<void> {
    const into = await folder()
    if (!into || changed.size === 0) return
    const ids = [...changed]
    changed.clear()
    try {
      await alone(async () => {
        const files = await filesIn(into)
        let letters = 0
        for (const id of ids) letters += await writeOne(into, files, id)
        pauseMs = pauseAfter(letters)
      })
    } catch {
      // No room, most likely: tried again with the next change.
      for (const id of ids) changed.add(id)
    }
  }

  function mark(id: string): void {
    changed.add(id)
    timer ??= setTimeout(() => {
      timer = null
      void write()
    }, pauseMs)
  }

  /** What is kept and not in the copy as it is, and what is in the copy and not kept any more. */
  async function markDifferences(into: Folder): Promise<void> {
    const bySaving = commissions.orderBy('savedAt')
    const [ids, saved] = await Promise.all([bySaving.primaryKeys(), bySaving.keys()])
    const kept = new Map(ids.map((id, at) => [fileName(id, saved[at] as number), id]))
    const shop = await workshop.get(WORKSHOP)
    if (shop) kept.set(fileName(WORKSHOP, shop.revision), WORKSHOP)
    const files = await filesIn(into)
    for (const [file, id] of kept) if (!files.includes(file)) mark(id)
    for (const file of files) if (!kept.has(file)) mark(idIn(file))
  }

  return {
    async follow() {
      const into = await folder()
      if (!into || isFollowing) return
      isFollowing = true
      for (const table of [commissions, workshop]) {
        table.hook('creating', (id) => mark(id))
        table.hook('updating', (_, id) => mark(id))
        table.hook('deleting', (id) => mark(id))
      }
      // A database that cannot be read is said of elsewhere.
      await markDifferences(into).catch(() => undefined)
    },

    write,

    async bringBack() {
      const from = await folder()
      if (!from || (await commissions.count()) > 0 || (await workshop.count()) > 0) return null
      let latest: number | null = null
      // Where it was ended between writing a file and letting the one before go, the later stands.
      const files = [...(await filesIn(from))].sort((one, other) => savedIn(one) - savedIn(other))
      for (const file of files) {
        const record = await readFile(from, file)
        if (idIn(file) === WORKSHOP && record !== null) await workshop.put(record as KeptWorkshop)
        else if (faultOfRecord(record) === null) {
          const kept = record as KeptCommission
          await commissions.put(kept)
          latest = Math.max(latest ?? 0, kept.savedAt)
        }
      }
      return latest
    },
  }
}
