/** Changes to the plan that keep a trouble from coming again. */
import type { TroubleChange } from '../care'
import { chosenOption, type Commission } from '../plan'

type Change = {
  readonly words: string
  readonly applies: (commission: Commission) => boolean
  readonly change: (draft: Commission) => void
}

const DRY = 0.45
const sweepOf = (commission: Commission) => chosenOption(commission).decorations[0]

/** What each change does; it applies where it is not so already. */
export const TROUBLE_CHANGES: Readonly<Record<TroubleChange, Change>> = {
  ovenDrying: {
    words: 'Plan the cool oven',
    applies: (commission) => sweepOf(commission)?.drying.way === 'mat',
    change: (draft) => {
      sweepOf(draft)!.drying.way = 'oven'
    },
  },
  skewers: {
    words: 'Plan a skewer in each foot',
    applies: (commission) => sweepOf(commission)?.sail.skewered === false,
    change: (draft) => {
      sweepOf(draft)!.sail.skewered = true
    },
  },
  roomDrier: {
    words: 'Plan a drier room, 45 %',
    applies: ({ brief }) => brief.workroom.humidity > DRY,
    change: ({ brief }) => {
      brief.workroom.humidity = DRY
    },
  },
  placeAtVenue: {
    words: 'Plan placing at the venue',
    applies: ({ brief }) => brief.completion === 'beforeDriving',
    change: ({ brief }) => {
      brief.completion = 'atVenue'
    },
  },
}
