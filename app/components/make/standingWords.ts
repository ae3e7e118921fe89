import { dayClockText, printDuration } from '#core/quantity'
import type { Timetable } from '#core/schedule'

/** Whether it is still safe to be ready, in words, once work has begun. */
export function standingWords({
  standing,
}: Pick<Timetable, 'standing'>): { readonly safe: boolean; readonly words: string } | null {
  if (!standing) return null
  const { readyAt, spareMin } = standing
  return spareMin >= 0
    ? {
        safe: true,
        words:
          `Still safe: ready ${dayClockText(readyAt)} if you go on as planned, ` +
          `${spareMin < 1 ? 'when it must be' : `${printDuration(spareMin)} to spare`}.`,
      }
    : {
        safe: false,
        words: `Late: ready only ${dayClockText(readyAt)}, ${printDuration(-spareMin)} after it must be. Timetable offers what would help.`,
      }
}
