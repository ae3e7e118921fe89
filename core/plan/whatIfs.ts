/** Small changes to a plan, each tried by itself: what would help when it does not go, and what would happen if. */
import { chosenOption, type Commission } from './commission'
import type { Workshop } from './workshop'

type Changed = { readonly commission: Commission; readonly workshop: Workshop }

/** A change that may be tried and taken. `remedy` is one that helps; others are weather and bad luck. */
export type WhatIf = {
  readonly id: string
  readonly words: string
  readonly remedy: boolean
  readonly applies: (now: Changed) => boolean
  readonly change: (draft: { commission: Commission; workshop: Workshop }) => void
}

const DAMP = 0.75
const DRY = 0.45
const FEWER = 0.15
const sweepOf = ({ commission }: Changed) => chosenOption(commission).decorations[0]
const dayOff = ({ workshop }: Changed): number => workshop.hours.days.findIndex((works) => !works)
const DAYS = ['Sundays', 'Mondays', 'Tuesdays', 'Wednesdays', 'Thursdays', 'Fridays', 'Saturdays'] as const

/** Everything that can be tried; words for a change that depends on the plan come from `wordsFor`. */
export const WHAT_IFS: readonly WhatIf[] = [
  {
    id: 'rain',
    words: 'it rains all week: 75 % in the workroom',
    remedy: false,
    applies: ({ commission }) => commission.brief.workroom.humidity < DAMP,
    change: ({ commission }) => {
      commission.brief.workroom.humidity = DAMP
    },
  },
  {
    id: 'alone',
    words: 'one pair of hands less',
    remedy: false,
    applies: ({ workshop }) => workshop.people > 1,
    change: ({ workshop }) => {
      workshop.people -= 1
    },
  },
  {
    id: 'ahead',
    words: 'ready half an hour earlier',
    remedy: true,
    applies: ({ workshop }) => workshop.pace.aheadMin <= 600,
    change: ({ workshop }) => {
      workshop.pace.aheadMin += 30
    },
  },
  {
    id: 'mat',
    words: 'one more mat',
    remedy: true,
    applies: (now) => sweepOf(now)?.drying.way === 'mat',
    change: ({ workshop }) => {
      workshop.mats.count += 1
    },
  },
  {
    id: 'tray',
    words: 'one more tray',
    remedy: true,
    applies: (now) => sweepOf(now)?.drying.way === 'oven',
    change: ({ workshop }) => {
      workshop.trays.count += 1
    },
  },
  {
    id: 'oven',
    words: 'a cool oven instead of the room',
    remedy: true,
    applies: (now) => sweepOf(now)?.drying.way === 'mat' && now.workshop.ovenPlaces > 0,
    change: (draft) => {
      sweepOf(draft)!.drying.way = 'oven'
    },
  },
  {
    id: 'dryRoom',
    words: 'a dehumidifier: 45 % in the workroom',
    remedy: true,
    applies: ({ commission }) => commission.brief.workroom.humidity > DRY,
    change: ({ commission }) => {
      commission.brief.workroom.humidity = DRY
    },
  },
  {
    id: 'fewer',
    words: 'fewer sails: lushness 15 % less',
    remedy: true,
    applies: (now) => (sweepOf(now)?.sweep.overlap ?? 0) > FEWER,
    change: (draft) => {
      const { sweep } = sweepOf(draft)!
      sweep.overlap = Math.round((sweep.overlap - FEWER) * 100) / 100
    },
  },
  {
    id: 'helper',
    words: 'one more pair of hands',
    remedy: true,
    applies: ({ workshop }) => workshop.people < 6,
    change: ({ workshop }) => {
      workshop.people += 1
    },
  },
  {
    id: 'dayOff',
    words: 'work on a day off',
    remedy: true,
    applies: (now) => dayOff(now) >= 0,
    change: (draft) => {
      draft.workshop.hours.days[dayOff(draft)] = true
    },
  },
]

/** What a change is called for a plan. */
export const wordsFor = ({ id, words }: WhatIf, now: Changed): string =>
  id === 'dayOff' ? `work on ${DAYS[dayOff(now)]} too` : words
