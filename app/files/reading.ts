/** Files that others have made are read beside the page, by a reader that is let go when it takes too long. */
import type { Remote } from 'comlink'
import type { ImportedOutline } from '#core/format/outlines'
import { hired, WorkerGone, type Hired } from '~/workers/hired'
import type { ReadingWorker } from '~/workers/reading'
import type { Read } from './readers'

const LONGEST_S = 20

const REFUSED: Readonly<Record<WorkerGone['why'], string>> = {
  stopped: `It could not be read within ${LONGEST_S} s. Save it with less in it and bring it again.`,
  failed: 'What reads files could not be loaded, or ended. Bring it again.',
}

/** @returns what a reader answers, or what is said when it does not */
export const readingWith =
  (reader: Hired<ReadingWorker>) =>
  async <Content>(question: (reader: Remote<ReadingWorker>) => Promise<Read<Content>>): Promise<Read<Content>> => {
    const limit = setTimeout(() => reader.stop(), LONGEST_S * 1000)
    try {
      return await reader.ask(question)
    } catch (reason) {
      if (!(reason instanceof WorkerGone)) throw reason
      return { refused: REFUSED[reason.why] }
    } finally {
      clearTimeout(limit)
    }
  }

/** Asks the one reader of this page. */
export const readAside = readingWith(
  hired((name) => new Worker(new URL('../workers/reading.ts', import.meta.url), { type: 'module', name })),
)

/** The outline in a file, SVG or DXF, or the sentence that says why there is none. */
export async function outlineIn(file: File): Promise<Read<ImportedOutline>> {
  const text = await file.text()
  return readAside((reader) => reader.outline(text))
}
