/** Small changes to a plan, each tried by itself: what would help when it does not go, and what would happen if. */
import { chosenOption, type Commission, type Decoration } from '../commission'
import { techniqueOf, waysToDry } from '../technique'
import type { Workshop } from '../workshop'

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
const wanted = ({ commission }: Changed): readonly Decoration[] => chosenOption(commission).decorations
const IN_ROOM: readonly Decoration['drying']['way'][] = ['room', 'mat']
/** Decorations that dry in the room as it is and may dry in another way. */
const couldDry = (now: Changed, way: Decoration['drying']['way']): readonly Decoration[] =>
  wanted(now).filter(
    ({ technique, drying }) => IN_ROOM.includes(drying.way) && waysToDry(techniqueOf(technique)).includes(way),
  )
/** Decorations that lie on mats until they are firm, wherever they dry. */
const onMats = (now: Changed): readonly Decoration[] =>
  wanted(now).filter(
    ({ technique, drying }) =>
      drying.way !== 'oven' && techniqueOf(technique).steps.some(({ hold }) => hold?.place === 'mat'),
  )
const dryingOn = (now: Changed, way: Decoration['drying']['way']): readonly Decoration[] =>
  wanted(now).filter(({ drying }) => drying.way === way)
/** Decorations with so much lushness that some can be taken away. */
const lush = (now: Changed): readonly Decoration[] =>
  wanted(now).filter(({ composition }) => 'overlap' in composition && composition.overlap > FEWER)
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
    applies: (now) => onMats(now).length > 0,
    change: ({ workshop }) => {
      workshop.mats.count += 1
    },
  },
  {
    id: 'tray',
    words: 'one more tray',
    remedy: true,
    applies: (now) => dryingOn(now, 'oven').length > 0,
    change: ({ workshop }) => {
      workshop.trays.count += 1
    },
  },
  {
    id: 'oven',
    words: 'a cool oven instead of the room',
    remedy: true,
    applies: (now) => couldDry(now, 'oven').length > 0 && now.workshop.ovenPlaces > 0,
    change: (draft) => {
      for (const each of couldDry(draft, 'oven')) each.drying.way = 'oven'
    },
  },
  {
    id: 'fan',
    words: 'a fan over what dries in the room',
    remedy: true,
    applies: (now) => couldDry(now, 'fan').length > 0 && now.workshop.moulds.fan > 0,
    change: (draft) => {
      for (const each of couldDry(draft, 'fan')) each.drying.way = 'fan'
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
    words: 'fewer elements: lushness 15 % less',
    remedy: true,
    applies: (now) => lush(now).length > 0,
    change: (draft) => {
      for (const { composition } of lush(draft))
        if ('overlap' in composition) composition.overlap = Math.round((composition.overlap - FEWER) * 100) / 100
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
