/** The spare copy of the own studio, as the studio uses it. */
import { dateClockText } from '#core/quantity'
import { wallClockAt } from '~/composables/wallClock'
import { isKept, KEPT_VERSION, type StudioDatabase } from '~/database/database'
import type { SpareCopy } from '~/database/spareCopy'

const broughtBack = (savedAt: number): string =>
  `This browser had lost the studio. It was brought back from a spare copy of ${dateClockText(wallClockAt(savedAt))}; ` +
  'edits made before can no longer be undone. Save a studio file, in case it happens again.'

/** Read once it is needed: figures do not wait for it. */
export function spareOf(database: StudioDatabase) {
  let copy: Promise<SpareCopy> | null = null
  const spare = (): Promise<SpareCopy> =>
    (copy ??= import('~/database/spareCopy').then(({ spareCopyOf, spareFolder }) =>
      spareCopyOf(database, () => spareFolder(`${database.name}-${KEPT_VERSION}`)),
    ))

  return {
    /** Before anything opens the database, and so begins it anew. @returns what is to be said of it, or nothing */
    async bringBack(): Promise<string> {
      const savedAt = (await isKept(database)) ? null : await (await spare()).bringBack()
      return savedAt === null ? '' : broughtBack(savedAt)
    },
    async follow(): Promise<void> {
      const { follow, write } = await spare()
      await follow()
      document.addEventListener('visibilitychange', write)
    },
  }
}
