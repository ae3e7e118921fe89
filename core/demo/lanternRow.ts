/**
 * A commission that was finished before the demo's: two tiers and a sweep of sails, with what its bench and its trials
 * put into the ledger.
 */
import { roundTier } from '../cake'
import { freshBench, type Bench, type TaskRecord } from '../ledger'
import type { DryingTrial, Run, ShrinkTrial } from '../learn'
import { newCommission, startingDecoration, type Commission, type Decoration } from '../commission'
import { PLACE } from '../schedule'
import type { Workshop } from '../workshop'
import { dayOf, MINUTES_PER_DAY, momentText, type Moment } from '../quantity'

const LANTERN_ROW = 'lantern-row'
const DAYS_AGO = 19
const EVENT_MIN = 17 * 60
const ROOM = { airC: 21, humidity: 0.52 }

/** Work as it was done: task, name, days before the event, when it was begun and how long it took, minutes. */
const DONE: readonly (readonly [string, string, number, number, number])[] = [
  ['sails-cut', 'Soaked sail: cut the discs', 3, 9 * 60, 21],
  ['sails-soak-1', 'Soaked sail: soak and drape, load 1', 3, 9 * 60 + 30, 41],
  ['sails-soak-2', 'Soaked sail: soak and drape, load 2', 3, 10 * 60 + 20, 33],
  ['sails-lift-1', 'Soaked sail: lift off, load 1', 2, 10 * 60, 8],
  ['sails-lift-2', 'Soaked sail: lift off, load 2', 2, 10 * 60 + 15, 5],
  ['sails-choose', 'Soaked sail: choose and trim', 1, 14 * 60, 26],
  ['cover', 'Cover the tiers', 1, 9 * 60, 92],
  ['stack', 'Stack the tiers', 1, 15 * 60, 9],
  ['pack', 'Pack airtight', 0, 12 * 60, 18],
  ['loadCar', 'Load the car', 0, 14 * 60, 14],
  ['drive', 'Drive', 0, 14 * 60 + 20, 35],
  ['place', 'Place the decorations at the venue', 0, 15 * 60, 40],
  ['photograph', 'Photograph', 0, 15 * 60 + 45, 8],
  ['handOver', 'Set up and hand over', 0, 15 * 60 + 53, 7],
]

const eventOf = (now: Moment): Moment => dayOf(now) - DAYS_AGO * MINUTES_PER_DAY + EVENT_MIN
const hourOf = (event: Moment, daysBefore: number, minuteOfDay: number): Moment =>
  dayOf(event) - daysBefore * MINUTES_PER_DAY + minuteOfDay

function benchOf(event: Moment): Bench {
  const tasks = DONE.map(([task, name, days, at, minutes]): TaskRecord => ({
    task,
    name,
    begunAt: hourOf(event, days, at),
    doneAt: hourOf(event, days, at) + minutes,
    pausedMin: 0,
    pausedAt: null,
    skipped: null,
  }))
  return {
    ...freshBench(),
    tasks,
    planned: {
      at: hourOf(event, 4, 18 * 60),
      startBy: hourOf(event, 3, 9 * 60),
      handsMin: 330,
      sheets: 5,
      pieces: 9,
      spares: 2,
      cost: 150,
    },
    counts: {
      'sails/half disc half 220 shade 1': { good: 5, broken: 1 },
      'sails/quarter disc quarter 160 shade 2': { good: 3, broken: 0 },
    },
    troubles: [
      {
        id: 'lantern-1',
        at: hourOf(event, 2, 10 * 60 + 5),
        seen: 'sticks',
        cause: 'peeledEarly',
        task: 'sails-lift-1',
      },
    ],
    handedOver: { at: hourOf(event, 0, 16 * 60), by: 'the decorator', to: 'the host', notes: '' },
    review: {
      at: hourOf(event, 0, 20 * 60),
      colour: 'close',
      change: 'Leave the first load on its mat an hour longer.',
    },
  }
}

/** The finished commission. */
export function lanternRow(now: Moment): Commission {
  const event = eventOf(now)
  const tiers = [
    { ...roundTier('bottom', 210, 100), colour: '#f3ead9' },
    { ...roundTier('top', 140, 90), colour: '#f3ead9' },
  ]
  const base = startingDecoration('sails', 'soakedSail', tiers)
  const sails = {
    ...base,
    parameters: { ...base.parameters, seenMm: 90 },
    composition: { ...base.composition, fromHeightMm: 19, toHeightMm: 161.5, overlap: 0.3, seed: 7 },
    colour: { heart: '#d9572b', tail: '#f3dfc2', steps: 4 },
  } as Decoration
  const commission = newCommission(LANTERN_ROW, now)
  return {
    ...commission,
    brief: {
      ...commission.brief,
      name: 'Lantern Row',
      occasion: 'Opening of a row of shops',
      eventAt: momentText(event),
      driveMin: 35,
      completion: 'atVenue',
      workroom: ROOM,
      portions: 40,
    },
    options: [
      {
        ...commission.options[0]!,
        cake: {
          board: { outline: 'round', acrossMm: 280, thicknessMm: 12 },
          tiers,
        },
        decorations: [sails],
      },
    ],
    bench: benchOf(event),
  }
}

/** What its bench and two evenings of trials put into the ledger: fewer of each kind than plans go by. */
export function demoLedger(now: Moment): Pick<Workshop, 'shrinkTrials' | 'dryingTrials' | 'runs'> {
  const event = eventOf(now)
  const fields = (id: string, at: Moment) => ({ id: `lantern-${id}`, at, room: 'workroom', odd: false })
  const shrunk = (id: string, days: number, afterMm: number): ShrinkTrial => ({
    ...fields(id, hourOf(event, days, 20 * 60)),
    way: 'mat',
    beforeMm: 220,
    afterMm,
  })
  const dried = (id: string, days: number, softAtMin: number, readyAtMin: number): DryingTrial => ({
    ...fields(id, hourOf(event, days, 10 * 60)),
    paper: 'riceFilm',
    thicknessMm: 0.2,
    what: 'filmMat',
    ...ROOM,
    softAtMin,
    readyAtMin,
  })
  const run = (
    task: string,
    step: string,
    standardMin: number,
    pieces: { readonly good: number; readonly broken: number } | null = null,
  ): Run => {
    const [, name, days, at, minutes] = DONE.find(([id]) => id === task)!
    return {
      ...fields(task, hourOf(event, days, at) + minutes),
      step,
      name,
      commission: LANTERN_ROW,
      standardMin,
      minutes,
      technique: pieces ? 'soakedSail' : '',
      good: pieces?.good ?? 0,
      broken: pieces?.broken ?? 0,
    }
  }
  return {
    shrinkTrials: [shrunk('shrink-1', 6, 215), shrunk('shrink-2', 6, 213)],
    dryingTrials: [dried('dry-1', 2, 9 * 60, 14 * 60), dried('dry-2', 2, 8 * 60, 13 * 60)],
    runs: [
      run('sails-cut', 'soakedSail cut', 18),
      run('sails-soak-1', 'soakedSail soak', 33),
      run('sails-soak-2', 'soakedSail soak', 28),
      run('sails-lift-1', 'soakedSail lift', 5, { good: 5, broken: 1 }),
      run('sails-lift-2', 'soakedSail lift', 4, { good: 3, broken: 0 }),
      run('sails-choose', 'soakedSail choose', 27),
      run('cover', 'coverMin', 80),
      run('stack', 'stackMin', 10),
      run('pack', 'packMin', 20),
      run('place', PLACE, 28),
    ],
  }
}
