/** What goes wrong with paper in the hand: holes, sticking, brown spots, cracks, shrinking. */
import { percent } from '../../quantity'
import { DAMP, when, type Trouble } from './trouble'

export const PAPER_TROUBLES: readonly Trouble[] = [
  {
    id: 'holes',
    seen: 'The paper dissolves or has holes',
    causes: [
      {
        id: 'tooWet',
        words: 'too much water on wafer',
        now: 'Lay it flat, dab it, let it dry; patch from behind with a dry scrap.',
        next: 'Strong clear alcohol instead of water, edges first, two thin coats.',
        weight: ({ isFilm, isWetted, isThin }) => when(isFilm, 0, 2) * when(isWetted, 2) * when(isThin, 1.5),
        because: ({ isWetted, isThin }) =>
          `${isThin ? 'thin wafer' : 'wafer'}${isWetted ? ', coloured with water' : ''}`,
      },
      {
        id: 'soakedLong',
        words: 'too long in the water',
        now: 'Lift it with both hands and lay it down at once; it cannot be saved once it tears.',
        next: 'Time the soak. Lift while it still has a little spring.',
        weight: ({ isFilm, soakWaterC }) => when(isFilm, 3, 0) * when(soakWaterC > 42, 2),
        because: ({ soakWaterC }) => `soaked at ${Math.round(soakWaterC)} °C`,
      },
      {
        id: 'wrongPaper',
        words: 'wafer was soaked like film',
        now: 'Stop soaking: this sheet is wafer. Check the packet.',
        next: 'Mark the packets: wafer is white and matt, film is clear.',
        weight: ({ isFilm }) => when(isFilm, 1, 0.4),
      },
    ],
  },
  {
    id: 'sticks',
    seen: 'It sticks to mat or pan',
    causes: [
      {
        id: 'peeledEarly',
        words: 'peeled before it was dry',
        now: 'Leave it. Slide a thin warm spatula under a corner later, or part-dry it in a cool oven.',
        next: 'Wait until the rim lifts by itself.',
        weight: ({ liftedEarlyMin, roomHumidity }) => when(liftedEarlyMin > 15, 4) * when(roomHumidity > DAMP, 1.6),
        because: ({ liftedEarlyMin, roomHumidity }) =>
          liftedEarlyMin > 15
            ? `lifted ${Math.round((liftedEarlyMin / 60) * 10) / 10} h before it was planned`
            : `the room has ${percent(roomHumidity)}`,
        change: 'ovenDrying',
      },
      {
        id: 'sugar',
        words: 'sugar in the colour',
        now: 'Wipe the pan, take the piece out while it bends.',
        next: 'Powder colour; no gel on heat.',
        weight: ({ heat, sugarDyes }) => when(sugarDyes.length > 0, 3, 0.3) * when(heat === 'pan', 4),
        because: ({ sugarDyes }) =>
          sugarDyes.length > 0 ? `${sugarDyes.join(', ')} has sugar in it` : 'no dye of this job has sugar in it',
      },
      {
        id: 'soakedLong',
        words: 'film soaked past limp turns to glue',
        now: 'Wet your fingers, ease it off, drape it on parchment instead.',
        next: 'A shorter soak; dab before draping.',
        weight: ({ isFilm }) => when(isFilm, 1.6, 0),
      },
    ],
  },
  {
    id: 'brown',
    seen: 'Brown spots',
    causes: [
      {
        id: 'hotPan',
        words: 'the pan is too hot',
        now: 'Off the heat for a minute; go on lower.',
        next: 'Medium to heat it, low to dry.',
        weight: ({ heat }) => when(heat === 'pan', 3, heat === 'oil' ? 1 : 0.1),
      },
      {
        id: 'residue',
        words: 'residue of the piece before',
        now: 'Wipe the pan with a damp cloth between pieces.',
        next: 'Wipe after each; powder colour leaves less.',
        weight: ({ heat, sugarDyes }) => when(heat === 'pan', 2, 0.1) * when(sugarDyes.length > 0, 2),
      },
      {
        id: 'hotOven',
        words: 'the oven runs hotter than it says',
        now: 'Take the tray out, door ajar.',
        next: 'Check it with a thermometer; dry at 80 °C or less.',
        weight: ({ heat }) => when(heat === null, 1, 0.2),
      },
    ],
  },
  {
    id: 'cracks',
    seen: 'It cracks at the fold',
    causes: [
      {
        id: 'tooDry',
        words: 'folded when it was too dry',
        now: 'Breathe on the fold, or hold it over steam for two seconds; mind the steam.',
        next: 'Damp or steam the fold line first.',
        weight: ({ roomHumidity, isFilm }) => when(roomHumidity < 0.45, 2.5) * when(isFilm, 1.4),
        because: ({ roomHumidity }) => `the room has ${percent(roomHumidity)}`,
      },
      {
        id: 'tooThick',
        words: 'the paper is too thick for the fold',
        now: 'Score it, fold over a rounded edge.',
        next: 'Thinner paper, or a little glycerin in the wash.',
        weight: ({ isThin, isFilm }) => (isFilm || isThin ? 0.4 : 2.2),
      },
      {
        id: 'knocked',
        words: 'set film knocked or pinched',
        now: 'Choose a spare; mend hidden cracks with a dab of gel from behind.',
        next: 'Lift by the foot; box each load when it is hard.',
        weight: ({ isFilm }) => when(isFilm, 2.2, 0.6),
      },
    ],
  },
  {
    id: 'small',
    seen: 'It came out too small',
    causes: [
      {
        id: 'shrink',
        words: 'it shrank more than planned',
        now: 'Measure one before and after, log it as a trial; cut the rest by it.',
        next: 'Plans go by your own shrink once there are enough trials.',
        weight: ({ shrinkTrials, isFilm, heat }) =>
          when(shrinkTrials === 0, 2.5, 1.2) * when(isFilm || heat === 'pan', 1.6),
        because: ({ shrinkTrials }) =>
          shrinkTrials === 0 ? 'no trial of its shrink is logged' : `${shrinkTrials} trials are logged`,
      },
      {
        id: 'gathered',
        words: 'gathered or cupped more than planned',
        now: 'Use it as filler; larger portions for the front.',
        next: 'Raise the gather or the fullness in Arrange.',
        weight: () => 1.2,
      },
    ],
  },
]
