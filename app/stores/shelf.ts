import { defineStore } from 'pinia'
import { computed } from 'vue'
import { freshBench } from '#core/ledger'
import { dateClockText } from '#core/quantity'
import type { Workshop } from '#core/workshop'
import { wallClockAt } from '~/composables/wallClock'
import { addCommission, archiveCommission, restoreCommission } from '~/database/keeping'
import { letSetAsideGo } from '~/database/setAside'
import { snapshotDays, type SnapshotDay } from '~/database/snapshots'
import { keepWorkshop } from '~/database/wholeStudio'
import { usePreferences } from './preferences'
import { useStudio } from './studio'
import { isFileDue, lastFileSentence } from './studioFileReminder'

const OF_THE_DEMO = 'This is the demo. It goes when it is put away.'

/** What is done with whole commissions: copied, put away, brought back, saved all in one file. */
export const useShelf = defineStore('shelf', () => {
  const studio = useStudio()
  const preferences = usePreferences()

  /** Puts a copy of a commission beside it, with a name that says so; nothing was done of it yet. */
  async function copy(id: string): Promise<void> {
    const original = await studio.peek(id)
    if (!original) return
    const brief = { ...original.brief, name: `${original.brief.name.slice(0, 70)}, copy` }
    const own = { ...original, bench: freshBench(), id: crypto.randomUUID(), brief }
    await addCommission(studio.database(), own, Date.now())
    await studio.listAnew()
  }

  async function archive(id: string, archived: boolean): Promise<void> {
    await archiveCommission(studio.database(), id, archived)
    await studio.listAnew()
  }

  /** Brings back a commission that was removed, with its history. @returns whether there was one */
  const bringBack = async (id: string): Promise<boolean> =>
    (await restoreCommission(studio.database(), id)) && studio.open(id)

  /**
   * Brings back a commission as it was on an earlier day. In place of what it is now that is an edit, which can be taken
   * back.
   */
  async function bringBackDay({ id, of, at, isLast }: SnapshotDay): Promise<void> {
    const snapshot = await studio.database().snapshots.get(id)
    if (!snapshot || (isLast && (await bringBack(of)))) return
    const { commission } = snapshot.kept
    if (await studio.open(of))
      studio.edit(`back to ${dateClockText(wallClockAt(at))}`, (held) => {
        held.commission = commission
      })
    else {
      await addCommission(studio.database(), commission, Date.now())
      await studio.open(of)
    }
  }

  /** Lets go for good what was set aside. */
  async function letAsideGo(id: string): Promise<void> {
    await letSetAsideGo(studio.database(), id)
    await studio.listAnew()
  }

  /** Takes over a workshop: as an edit, or, where nothing is open, as it is. */
  async function takeWorkshop(workshop: Workshop): Promise<void> {
    if (studio.state)
      studio.edit('workshop of the studio file', (held) => {
        held.workshop = workshop
      })
    else await keepWorkshop(studio.database(), workshop)
  }

  return {
    copy,
    archive,
    bringBack,
    bringBackDay,
    letAsideGo,
    takeWorkshop,
    /** Days of the last ones from which commissions can be brought back. */
    earlierDays: (): Promise<readonly SnapshotDay[]> => snapshotDays(studio.database()),
    /** When the studio was saved to a file, in a sentence. */
    lastFile: computed(() => (studio.isDemo ? OF_THE_DEMO : lastFileSentence(preferences.studioFile))),
    isFileDue: computed(() => !studio.isDemo && isFileDue(preferences.studioFile, Date.now())),
    savedToFile: (): void => {
      if (!studio.isDemo) preferences.studioFile = { at: Date.now(), edits: 0 }
    },
  }
})
