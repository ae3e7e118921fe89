import { calendarSentence, readBusyHours, type BusyHours } from '#core/format/busyHours'
import { outlineSentence, readOutline, type ImportedOutline } from '#core/format/outlines'
import type { Moment, Result } from '#core/quantity'
import { wallClockAt } from '~/composables/wallClock'

/** What a file holds, or the sentence that says why it is refused. */
export type Read<Content> = { readonly content: Content } | { readonly refused: string }

const told = <Content, Problem>(
  read: Result<Content, Problem>,
  sentence: (problem: Problem) => string,
): Read<Content> => (read.ok ? { content: read.value } : { refused: sentence(read.error) })

/** Reads files that others have made. */
export const readers = {
  outline: (text: string): Read<ImportedOutline> => told(readOutline(text), outlineSentence),
  busyHours: (text: string, from: Moment, to: Moment): Read<readonly BusyHours[]> =>
    told(readBusyHours(text, from, to, wallClockAt, '.lamellon'), calendarSentence),
}
