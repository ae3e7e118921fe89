import ical, { ICalAlarmType } from 'ical-generator'
import { momentText, type Moment } from '../quantity'
import { inOneBreath, type Slot } from '../schedule'

/** Floating local time, as the plan keeps it: the calendar shows it at that hour wherever it is opened. */
const floating = (moment: Moment): string => `${momentText(moment)}:00`

/** A line of the file: what stands on several lines would be read as lines of the calendar. */
const oneLine = (text: string): string => text.replace(/[\p{Cc}\p{Zl}\p{Zp}]+/gu, ' ')

/**
 * The timetable for a calendar: an entry for each task done by hand, with a reminder, and the event itself.
 * @param now when the file is written
 */
export function writeCalendar(slots: readonly Slot[], commissionId: string, named: string, now: Moment): string {
  const name = oneLine(named)
  const calendar = ical({
    name: `${name}: timetable`,
    prodId: { company: 'Lamellon', product: 'timetable', language: 'EN' },
  })
  for (const slot of inOneBreath(slots).filter(({ hands, kind }) => hands || kind === 'event')) {
    const entry = calendar.createEvent({
      id: oneLine(`${slot.id}@${commissionId}.lamellon`),
      start: floating(slot.from),
      end: floating(Math.max(slot.to, slot.from + 1)),
      stamp: `${momentText(now)}:00Z`,
      floating: true,
      summary: slot.kind === 'event' ? name : oneLine(`${slot.name} (${name})`),
      description: slot.lane === 'hands' || slot.lane === 'road' ? '' : oneLine(`On ${slot.lane}`),
    })
    if (slot.kind !== 'event')
      entry.createAlarm({ type: ICalAlarmType.display, trigger: 15 * 60, description: oneLine(slot.name) })
  }
  return calendar.toString()
}
