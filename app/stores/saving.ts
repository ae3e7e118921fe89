/** What was edited on its way into the database, one edit after another. */
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Workshop } from '#core/workshop'
import { broughtUp, type StudioDatabase } from '~/database/database'
import { saveChanges, type Gone, type Saved } from '~/database/keeping'
import { laidAside, layAside, letGo, type OnTheWay } from '~/database/onTheWay'
import type { StudioName } from './preferences'
import { isFull } from './trouble'

/** Errors that come of an edit itself: it would be refused again. */
const OF_THE_EDIT = ['DataCloneError', 'DataError', 'ConstraintError', 'TypeError', 'RangeError']

type Places = {
  readonly databases: Readonly<Record<StudioName, StudioDatabase>>
  /** What a workshop holds where none is kept yet. */
  readonly beginning: (studio: StudioName) => Promise<Workshop>
  /** Called when an edit lies in the database. */
  readonly arrived: (saved: Saved, edit: OnTheWay) => void
  /** Called when the commission of an edit is gone; what waits for it is let go. */
  readonly gone: (commissionId: string) => Promise<void>
  /** Called when the database refuses an edit for good; it was taken out. */
  readonly refused: (edit: OnTheWay, reason: string) => Promise<void>
  /** Called when something else went wrong between two savings. */
  readonly failed: (reason: unknown) => void
}

export type Saving = {
  /** What does not lie in the database yet, in the order it was done. */
  readonly waiting: ShallowRef<readonly OnTheWay[]>
  /** Why saving does not go on; empty while it does. */
  readonly stuck: Ref<string>
  readonly save: (edit: OnTheWay) => void
  /** Tries again what could not be saved. */
  readonly goOn: () => void
  /** Does something between two savings. */
  readonly then: (work: () => Promise<void>) => void
  readonly settled: () => Promise<void>
  /**
   * Saves what pages that were closed in the middle had laid aside. What cannot be saved now stays laid aside.
   * @param blocked called while another window holds what is to be brought up first
   * @returns a sentence where that failed
   */
  readonly saveLaidAside: (blocked: () => void) => Promise<string>
  /** Lays aside what is on its way: the page is closed. */
  readonly layAside: () => void
  /** Lets go what waits for a commission that is gone. */
  readonly forget: (commissionId: string) => void
}

const isOfTheEdit = (reason: unknown): boolean => reason instanceof Error && OF_THE_EDIT.includes(reason.name)
const sentenceOf = (reason: unknown): string => (reason instanceof Error ? reason.message : String(reason))

/** Saves edits in their order. What the browser has no room for waits on, and is tried again with the next edit. */
export function savingInto({ databases, beginning, arrived, gone, refused, failed }: Places): Saving {
  const waiting = shallowRef<readonly OnTheWay[]>([])
  const stuck = ref('')
  let saving = Promise.resolve()

  const keep = async ({ studio, ...save }: OnTheWay): Promise<Saved | Gone> =>
    saveChanges(databases[studio], { ...save, beginning: await beginning(studio), now: Date.now() })

  const forget = (commissionId: string): void => {
    waiting.value = waiting.value.filter((edit) => edit.commissionId !== commissionId)
  }

  async function saveWaiting(): Promise<void> {
    for (;;) {
      const [first] = waiting.value
      if (!first) break
      const saved = await keep(first).catch((reason: unknown) => ({ reason }))
      if ('reason' in saved && !isOfTheEdit(saved.reason)) {
        stuck.value = isFull(saved.reason) ? 'The room this browser gives is full' : sentenceOf(saved.reason)
        return
      }
      waiting.value = waiting.value.slice(1)
      if ('reason' in saved) await refused(first, sentenceOf(saved.reason))
      else if ('code' in saved) {
        forget(first.commissionId)
        await gone(first.commissionId)
      } else arrived(saved, first)
    }
    stuck.value = ''
    layAside([])
  }

  // Nothing that goes wrong may keep what comes after it from being saved.
  const then = (work: () => Promise<void>): void => {
    saving = saving.then(work).catch(failed)
  }
  const goOn = (): void => then(saveWaiting)

  return {
    waiting,
    stuck,
    save(edit) {
      waiting.value = [...waiting.value, edit]
      goOn()
    },
    goOn,
    then,
    settled: () => saving,
    async saveLaidAside(blocked) {
      let sentence = ''
      for (const { name, waiting: left } of laidAside()) {
        try {
          for (const edit of left) {
            await broughtUp(databases[edit.studio], blocked)
            await keep(edit)
          }
          letGo(name)
        } catch (reason) {
          // It must not keep the studio from opening. Where there only was no room it is tried again next time.
          sentence = `What was done as the page was closed last could not be saved: ${sentenceOf(reason)}.`
          if (isOfTheEdit(reason)) letGo(name)
        }
      }
      return sentence
    },
    layAside: () => layAside(waiting.value),
    forget,
  }
}
