import { lightFormat } from 'date-fns'
import { shallowRef } from 'vue'
import type { StudioFile } from '#core/format/studioFile'
import { compared, everyCommission, takeEntry, type Compared } from '~/database/wholeStudio'
import { useShelf } from '~/stores/shelf'
import { useStudio } from '~/stores/studio'
import { download } from './download'

/** How far a long piece of work is, in commissions. */
type SoFar = { readonly what: string; readonly done: number; readonly total: number }

/** A studio file that was read, and what taking it would do with its commissions. */
type ReadStudio = {
  readonly name: string
  readonly file: StudioFile
  readonly counts: Readonly<Record<Compared, number>>
}

const soFar = shallowRef<SoFar | null>(null)
const read = shallowRef<ReadStudio | null>(null)
const refused = shallowRef<{ readonly name: string; readonly sentence: string } | null>(null)
let isStopped = false

/** Shows how far it is, and lets the page draw and answer. @returns false once it was stopped */
async function goesOn(what: string, done: number, total: number): Promise<boolean> {
  soFar.value = { what, done, total }
  await new Promise((resolve) => {
    setTimeout(resolve)
  })
  return !isStopped
}

/** Does something long that says how far it is; why it failed is said of what it was done with. */
async function underWay(name: string, work: () => Promise<void>): Promise<void> {
  isStopped = false
  try {
    await work()
  } catch (reason) {
    refused.value = { name, sentence: reason instanceof Error ? reason.message : String(reason) }
  } finally {
    soFar.value = null
  }
}

/** The whole studio out to a file and in from one, with how far it is, and a way to stop. */
export function useStudioFiles() {
  const studio = useStudio()
  const shelf = useShelf()

  const save = (): Promise<void> =>
    underWay('The studio file was not written', async () => {
      const { studioFileParts } = await import('#core/format/studioFile')
      const parts: string[] = []
      const total = studio.listed.length
      for await (const part of studioFileParts(await studio.keptWorkshop(), everyCommission(studio.database()))) {
        if (!(await goesOn('Writing', Math.min(parts.length, total), total))) return
        parts.push(part)
      }
      const name = `lamellon-studio-${lightFormat(Date.now(), 'yyyy-MM-dd')}.lamellon.json`
      download(new Blob(parts, { type: 'application/json' }), name)
      shelf.savedToFile()
    })

  const readFile = (name: string, text: string): Promise<void> =>
    underWay(name, async () => {
      const { fileSentence } = await import('#core/format/commissionFile')
      const { readStudioFile } = await import('#core/format/studioFile')
      const reading = readStudioFile(text)
      let step = reading.next()
      for (; !step.done; step = reading.next())
        if (!(await goesOn('Reading', step.value.done, step.value.total))) return
      if (!step.value.ok) {
        refused.value = { name, sentence: fileSentence(step.value.error) }
        return
      }
      const file = step.value.value
      const counts: Record<Compared, number> = { new: 0, changed: 0, same: 0 }
      for (const [done, entry] of file.commissions.entries()) {
        if (!(await goesOn('Comparing', done, file.commissions.length))) return
        counts[await compared(studio.database(), entry, file.workshop)] += 1
      }
      read.value = { name, file, counts }
    })

  /** Takes what was read. What was taken before it was stopped stays. */
  async function take(withWorkshop: boolean): Promise<void> {
    if (!read.value) return
    const { name, file } = read.value
    read.value = null
    await underWay(name, async () => {
      for (const [done, entry] of file.commissions.entries()) {
        if (!(await goesOn('Taking', done, file.commissions.length))) break
        await takeEntry(studio.database(), entry, { workshop: file.workshop, now: Date.now() })
      }
      await studio.openAnew()
      if (withWorkshop) await shelf.takeWorkshop(file.workshop)
    })
  }

  return {
    soFar,
    read,
    refused,
    save,
    readFile,
    take,
    stop: (): void => {
      isStopped = true
    },
    close: (): void => {
      read.value = null
      refused.value = null
    },
  }
}
