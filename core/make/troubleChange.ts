/** Changes to the plan that keep a trouble from coming again. */
import { chosenOption, type Commission, type Decoration } from '../commission'
import type { TroubleChange } from '../care'

type Change = {
  readonly words: string
  readonly applies: (commission: Commission) => boolean
  readonly change: (draft: Commission) => void
}

const DRY = 0.45
const onMats = (commission: Commission): readonly Decoration[] =>
  chosenOption(commission).decorations.filter(({ drying }) => drying.way === 'mat')
/** Decorations that could stand on a skewer and do not. */
const unskewered = (commission: Commission): readonly { parameters: { skewered: boolean } }[] =>
  chosenOption(commission).decorations.flatMap(({ parameters }) =>
    'skewered' in parameters && !parameters.skewered ? [{ parameters }] : [],
  )

/** What each change does; it applies where it is not so already. */
export const TROUBLE_CHANGES: Readonly<Record<TroubleChange, Change>> = {
  ovenDrying: {
    words: 'Plan the cool oven',
    applies: (commission) => onMats(commission).length > 0,
    change: (draft) => {
      for (const each of onMats(draft)) each.drying.way = 'oven'
    },
  },
  skewers: {
    words: 'Plan a skewer in each foot',
    applies: (commission) => unskewered(commission).length > 0,
    change: (draft) => {
      for (const { parameters } of unskewered(draft)) parameters.skewered = true
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
