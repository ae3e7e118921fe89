/** When a studio is to be saved to a file again, which no browser can lose. */
import { counted, dateText } from '#core/quantity'
import { wallClockAt } from '~/composables/wallClock'

const DUE_EDITS = 200
const DUE_DAYS = 14
/** Fewer edits than these are not worth a word, however long ago the file is. */
const FEW_EDITS = 20
const DAY_MS = 86_400_000

/** When the last studio file was saved, ms by the world's clock, and how many edits were made since. */
export type SinceFile = { readonly at: number | null; readonly edits: number }

/** Whether it is time for another file. */
export const isFileDue = ({ at, edits }: SinceFile, now: number): boolean =>
  edits >= DUE_EDITS || (at !== null && edits >= FEW_EDITS && now - at > DUE_DAYS * DAY_MS)

/** When the last file was, and what it lacks. */
export function lastFileSentence({ at, edits }: SinceFile): string {
  const since = edits === 0 ? 'nothing was edited since' : `${counted(edits, 'edit')} since`
  return at === null
    ? 'This studio lies in this browser only; it was never saved to a file.'
    : `Last saved to a file on ${dateText(wallClockAt(at))}, ${since}.`
}
