/** What was edited on its way into the database, one edit after another. */
import { ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { Workshop } from '#core/workshop'
import { broughtUp, type StudioDatabase } from '~/database/database'
import { saveChanges, type Saved } from '~/database/keeping'
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
  /** Called when the commission of an edit is gone. */
  readonly gone: () => Promise<void>
  /** Called when the database refuses an edit for good; it was taken out. */
  readonly refused: (edit: OnTheWay, reason: string) => Promise<void>
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
  /** Saves what pages that were closed in the middle had laid aside. @returns a sentence where that failed */
  readonly saveLaidAside: () => Promise<string>
  /** Lays aside what is on its way: the page is closed. */
  readonly layAside: () => void
  readonly forget: () => void
}

/** Saves edits in their order. What the browser has no room for waits on, and is tried again with the next edit. */
export function savingInto({ databases, beginning, arrived, gone, refused }: Places): Saving {
  const waiting = shallowRef<readonly OnTheWay[]>([])
  const stuck = ref('')
  let saving = Promise.resolve()

  async function saveOne(edit: OnTheWay): Promise<void> {
    const { studio, ...save } = edit
    const saved = await saveChanges(databases[studio], {
      ...save,
      beginning: await beginning(studio),
      now: Date.now(),
    })
    if ('code' in saved) {
      waiting.value = []
      return gone()
    }
    waiting.value = waiting.value.slice(1)
    arrived(saved, edit)
  }

  async function saveWaiting(): Promise<void> {
    for (;;) {
      const [first] = waiting.value
      if (!first) break
      try {
        await saveOne(first)
      } catch (reason) {
        const says = reason instanceof Error ? reason.message : String(reason)
        if (!(reason instanceof Error) || !OF_THE_EDIT.includes(reason.name)) {
          stuck.value = isFull(reason) ? 'The room this browser gives is full' : says
          return
        }
        waiting.value = waiting.value.slice(1)
        await refused(first, says)
      }
    }
    stuck.value = ''
    layAside([])
  }

  const then = (work: () => Promise<void>): void => {
    saving = saving.then(work)
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
    async saveLaidAside() {
      let sentence = ''
      for (const { name, waiting: left } of laidAside()) {
        try {
          for (const { studio, ...save } of left) {
            await broughtUp(databases[studio])
            await saveChanges(databases[studio], { ...save, beginning: await beginning(studio), now: Date.now() })
          }
        } catch (reason) {
          // It must not keep the studio from opening.
          sentence = `What was done as the page was closed last could not be saved: ${String(reason)}.`
        }
        letGo(name)
      }
      return sentence
    },
    layAside: () => layAside(waiting.value),
    forget() {
      waiting.value = []
      stuck.value = ''
    },
  }
}
