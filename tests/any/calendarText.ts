/** A calendar of entries, as other programs write it. */
export const calendarOf = (...entries: readonly string[]): string =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//any//EN', ...entries, 'END:VCALENDAR'].join('\r\n')

/** An entry with lines of its own. */
export const entryOf = (...lines: readonly string[]): string =>
  ['BEGIN:VEVENT', 'UID:a', 'DTSTAMP:20250101T000000Z', 'SUMMARY:Dentist', ...lines, 'END:VEVENT'].join('\r\n')
