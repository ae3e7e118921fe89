/** Everything that reads what comes from outside, with files that it accepts, and what is done with what was read. */
import fc from 'fast-check'
import { aCommission } from '../tests/any/anyPlan'
import { calendarOf, entryOf } from '../tests/any/calendarText'
import { chanceJob } from '../tests/any/chanceJob'
import { faultsOf, readNestJob, startNesting } from '../core/cut'
import { demoCommission, demoWorkshop, lanternRow } from '../core/demo'
import { newCommission } from '../core/commission'
import { readCommissionFile, writeCommissionFile } from '../core/format'
import { writeDxf } from '../core/format/cuts'
import { readBusyHours } from '../core/format/busyHours'
import { readOutline } from '../core/format/outlines'
import { PALETTE_FORMATS, readPalette, writePalette } from '../core/format/palette'
import { readStockCsv, writeStockCsv } from '../core/format/stockCsv'
import { isStudioFile, readStudioFile } from '../core/format/studioFile'
import { STARTING_WORKSHOP, workshopSchema } from '../core/workshop'
import { NotSound, useCommission } from './everyFormat'

const NOW = 29_000_000
const DAY_MIN = 1440

/** What becomes of one input: null where it was refused, else what is done with it; `planned` is called once it is planned. */
type Reading = null | ((planned: () => void) => Promise<void>)

export type Reader = {
  readonly name: string
  readonly isJson: boolean
  readonly specimens: readonly string[]
  /** Reads a text. @throws never, if all is well */
  readonly read: (text: string, withPages: boolean) => Reading
}

const commissions = [
  demoCommission(NOW),
  lanternRow(NOW),
  newCommission('bare', NOW),
  ...fc.sample(aCommission, { numRuns: 8, seed: 7 }),
]
const workshops = [demoWorkshop(), STARTING_WORKSHOP]

const commissionFiles = commissions.map((commission, at) =>
  writeCommissionFile({ commission, workshop: workshops[at % workshops.length]! }),
)
const studioText = (holds: readonly (typeof commissions)[number][]): string =>
  JSON.stringify({
    format: 'lamellon-studio',
    version: 12,
    workshop: STARTING_WORKSHOP,
    commissions: holds.map((commission) => ({ archived: false, commission })),
  })

const svg = (body: string, attributes = 'viewBox="0 0 100 100"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`
const entities = (body: string): string => `0\nSECTION\n2\nENTITIES\n${body}0\nENDSEC\n0\nEOF\n`
const entity = (kind: string, fields: Readonly<Record<number, number | string>>): string =>
  `0\n${kind}\n8\n0\n${Object.entries(fields)
    .map(([code, value]) => `${code}\n${value}\n`)
    .join('')}`
/** Read over four weeks about the hour of the first entry. */
const BUSY_FROM = 28_900_000

/** Lays out a job for a moment, and looks at it with the independent checker. */
function layOut(text: string): Reading {
  const job = readNestJob(JSON.parse(text))
  if (!job.ok) return null
  return async (planned) => {
    // Laying out is a search: it takes its time, beside the page, and can be stopped.
    planned()
    const started = startNesting(job.value, 1)
    if (!started.ok) return
    started.value.step()
    const faults = faultsOf(job.value, started.value.layout())
    if (faults.length > 0) throw new NotSound(`the layout is not allowed: ${JSON.stringify(faults[0])}`)
    return Promise.resolve()
  }
}

export const READERS: readonly Reader[] = [
  {
    name: 'commission',
    isJson: true,
    specimens: commissionFiles,
    read(text, withPages) {
      const result = readCommissionFile(text)
      return result.ok ? (planned) => useCommission(result.value, withPages, planned) : null
    },
  },
  {
    name: 'studio',
    isJson: true,
    specimens: [studioText(commissions.slice(2, 5)), studioText([])],
    read(text, withPages) {
      if (!isStudioFile(text)) return null
      const reading = readStudioFile(text)
      let step = reading.next()
      while (!step.done) step = reading.next()
      if (!step.value.ok) return null
      const { commissions: read, workshop } = step.value.value
      const [first] = read
      return async (planned) => {
        if (first) await useCommission({ commission: first.commission, workshop }, withPages, planned)
      }
    },
  },
  {
    name: 'svg',
    isJson: false,
    specimens: [
      svg('<path d="M10 10H90V90H10Z"/>'),
      svg('<g transform="translate(5 5) rotate(20)"><circle cx="40" cy="40" r="30"/><rect width="20" height="9"/></g>'),
      svg(
        '<path d="M10 80 C 40 10, 65 10, 95 80 S 150 150, 180 80 Q 20 30 10 80 A 25 35 -30 0 1 60 20 Z"/>',
        'width="90mm" viewBox="0 0 200 200"',
      ),
      svg('<polygon points="10,10 90,20 60,90"/><ellipse cx="50" cy="50" rx="20" ry="9"/>'),
    ],
    read: outline,
  },
  {
    name: 'dxf',
    isJson: false,
    specimens: [
      entities(entity('CIRCLE', { 10: 5, 20: 5, 40: 30 })),
      entities(
        [
          [0, 0, 9, 0],
          [9, 0, 9, 7],
          [9, 7, 0, 0],
        ]
          .map(([x1, y1, x2, y2]) => entity('LINE', { 10: x1!, 20: y1!, 11: x2!, 21: y2! }))
          .join(''),
      ),
      entities(
        entity('ARC', { 10: 0, 20: 0, 40: 9, 50: 0, 51: 180 }) + entity('LINE', { 10: -9, 20: 0, 11: 9, 21: 0 }),
      ),
      writeDxf([], { widthMm: 100, heightMm: 100 }),
    ],
    read: outline,
  },
  {
    name: 'stock',
    isJson: false,
    specimens: workshops.map(({ stock }) => writeStockCsv(stock)),
    read(text) {
      const read = readStockCsv(text)
      if (!read.ok) return null
      return async () => {
        workshopSchema.parse({ ...STARTING_WORKSHOP, stock: read.value })
        const again = readStockCsv(writeStockCsv(read.value))
        if (!again.ok) throw new NotSound(`it is not read as it was written: ${again.error.say}`)
        return Promise.resolve()
      }
    },
  },
  {
    name: 'calendar',
    isJson: false,
    specimens: [
      calendarOf(entryOf('DTSTART:20250601T090000', 'DTEND:20250601T103000')),
      calendarOf(entryOf('DTSTART:20240101T090000Z', 'DURATION:PT1H', 'RRULE:FREQ=DAILY')),
      calendarOf(
        entryOf(
          'DTSTART:20250102T090000',
          'DTEND:20250102T100000',
          'RRULE:FREQ=WEEKLY;BYDAY=MO,TH;COUNT=90',
          'EXDATE:20250105T090000',
        ),
        entryOf('RECURRENCE-ID:20250112T090000', 'DTSTART:20250113T090000', 'DTEND:20250113T110000'),
      ),
      calendarOf(
        'BEGIN:VTIMEZONE',
        'TZID:Middle',
        'BEGIN:STANDARD',
        'TZOFFSETFROM:+0200',
        'TZOFFSETTO:+0100',
        'DTSTART:19701025T030000',
        'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU',
        'END:STANDARD',
        'END:VTIMEZONE',
        entryOf('DTSTART;TZID=Middle:20250120T090000', 'DTEND;TZID=Middle:20250120T100000', 'RRULE:FREQ=MONTHLY'),
      ),
    ],
    read(text) {
      const utc = (worldMs: number): number => worldMs / 60_000
      const read = readBusyHours(text, BUSY_FROM, BUSY_FROM + 28 * DAY_MIN, utc, '.lamellon')
      if (!read.ok) return null
      return async () => {
        for (const { from, to } of read.value)
          if (!Number.isFinite(from) || !Number.isFinite(to) || to < from)
            throw new NotSound(`hours from ${from} to ${to}`)
        return Promise.resolve()
      }
    },
  },
  {
    name: 'palette',
    isJson: false,
    specimens: PALETTE_FORMATS.map((format) => writePalette('any', commissions[0]!.palette, format)),
    read(text) {
      const read = readPalette(text, 24)
      if (!read.ok) return null
      return async () => {
        if (read.value.some(({ colour }) => !/^#[0-9a-f]{6}$/.test(colour))) throw new NotSound('a colour that is none')
        return Promise.resolve()
      }
    },
  },
  {
    name: 'nest',
    isJson: true,
    specimens: [1, 2, 3, 4, 5, 6].map((seed) => JSON.stringify(chanceJob(seed))),
    read(text) {
      try {
        JSON.parse(text)
      } catch {
        return null
      }
      return layOut(text)
    },
  },
]

function outline(text: string): Reading {
  const read = readOutline(text)
  if (!read.ok) return null
  return async () => {
    const { rings } = read.value
    if (rings.flat(2).some((each) => !Number.isFinite(each)))
      throw new NotSound('an outline with a number that is none')
    return Promise.resolve()
  }
}
