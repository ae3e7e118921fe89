/** What goes wrong once it should stand: buckling, drooping, staying soft. */
import { percent } from '../../quantity'
import { DAMP, when, type Trouble } from './trouble'

export const STANDING_TROUBLES: readonly Trouble[] = [
  {
    id: 'buckles',
    seen: 'Bubbles or buckles on the cake',
    causes: [
      {
        id: 'condensation',
        words: 'the cake sweats',
        now: 'No more paper until its face is dry. Fan, not heat.',
        next: 'Let it warm through first; place the paper last.',
        weight: ({ isChilled, roomHumidity }) => when(isChilled, 3, 0.4) * when(roomHumidity > DAMP, 1.5),
        because: ({ isChilled }) => (isChilled ? 'a tier comes out of the refrigerator' : 'no tier is chilled'),
        change: 'placeAtVenue',
      },
      {
        id: 'wetGlue',
        words: 'too much glue, or too wet',
        now: 'Lift an edge, let it dry, press from the middle out.',
        next: 'A thin even coat; gel rather than water.',
        weight: ({ isFilm }) => when(isFilm, 0.7, 2),
      },
      {
        id: 'butt',
        words: 'edges that only meet',
        now: 'Cover the gap with a strip or an accent.',
        next: 'Overlap by 12 mm at least.',
        weight: ({ isFilm }) => when(isFilm, 0.2, 1),
      },
    ],
  },
  {
    id: 'droops',
    seen: 'It droops or falls',
    causes: [
      {
        id: 'notSet',
        words: 'not set through when it was placed',
        now: 'Take it off, box it with desiccant, or half an hour in a cool oven.',
        next: 'Longer on the former, or the oven; feel the foot, not the rim.',
        weight: ({ chanceOfSetting, liftedEarlyMin, roomHumidity }) =>
          when(chanceOfSetting < 0.9, 2) * when(liftedEarlyMin > 15, 2.5) * when(roomHumidity > DAMP, 1.4),
        because: ({ chanceOfSetting, roomHumidity }) =>
          `at ${percent(roomHumidity)} it sets in about ${percent(chanceOfSetting)} of such rooms`,
        change: 'ovenDrying',
      },
      {
        id: 'moistFoot',
        words: 'its foot drinks from the covering',
        now: 'Stand it on a skewer or a dab of melted chocolate; fresh foot, dry place.',
        next: 'Place it last, or put fat or chocolate between.',
        weight: ({ moistCoverings }) => when(moistCoverings.length > 0, 2.6, 0.4),
        because: ({ moistCoverings }) =>
          moistCoverings.length > 0 ? `stands on ${moistCoverings.join(' and ')}` : 'no covering of this cake is moist',
        change: 'skewers',
      },
      {
        id: 'dampAir',
        words: 'the air is too damp where it stands',
        now: 'Away from doors, kitchens, people; a fan on low across, not at it.',
        next: 'Place it as late as you can.',
        weight: ({ venueHumidity }) => when(venueHumidity > 0.68, 3, venueHumidity > DAMP ? 1.2 : 0.4),
        because: ({ venueHumidity }) => `the venue has ${percent(venueHumidity)}`,
        change: 'placeAtVenue',
      },
      {
        id: 'smallFoot',
        words: 'the foot is too small for its height',
        now: 'Lean it on a neighbour, or a skewer behind it, counted.',
        next: 'A longer foot, or a skewer in each.',
        weight: ({ isSkewered, isWired }) => (isSkewered || isWired ? 0.3 : 1.1),
        change: 'skewers',
      },
    ],
  },
  {
    id: 'soft',
    seen: 'Still soft after its time',
    causes: [
      {
        id: 'damp',
        words: 'the room is too damp',
        now: 'A cool oven, or a closed box with desiccant; a fan alone does not set it.',
        next: 'Dry the room under 60 %, or plan the oven.',
        weight: ({ roomHumidity }) => when(roomHumidity > 0.6, 4, roomHumidity > 0.55 ? 1.6 : 0.6),
        because: ({ roomHumidity }) => `the room has ${percent(roomHumidity)}`,
        change: 'roomDrier',
      },
      {
        id: 'thick',
        words: 'it lies doubled, or the sheet is thick',
        now: 'Open the folds, turn it, stand it on a rack.',
        next: 'Rack instead of mat for the second half.',
        weight: ({ isFilm }) => when(isFilm, 1.5),
      },
      {
        id: 'wetter',
        words: 'it went down wetter than usual',
        now: 'Wait; feel it again in an hour.',
        next: 'Let it drip, dab both faces.',
        weight: () => 1,
      },
    ],
  },
]
