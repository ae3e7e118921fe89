/**
 * What went wrong and is seen: causes, the likeliest first by what the plan knows, what to do now, what to change next
 * time.
 */

/** What is known of the work that went wrong. */
export type TroubleFacts = {
  readonly isFilm: boolean
  readonly isThin: boolean
  readonly heat: 'pan' | 'oil' | 'steam' | null
  /** Coloured with water, brushed or misted. */
  readonly isWetted: boolean
  /** Names of dyes with sugar in them that are used. */
  readonly sugarDyes: readonly string[]
  readonly roomHumidity: number
  readonly venueHumidity: number
  /** Chance that this room sets film hard. */
  readonly chanceOfSetting: number
  readonly soakWaterC: number
  /** Lifted before it was planned to be ready, minutes; 0 when it was not. */
  readonly liftedEarlyMin: number
  /** Trials of its shrink. */
  readonly shrinkTrials: number
  /** Coverings it stands on that are moist or wet, by name. */
  readonly moistCoverings: readonly string[]
  readonly isChilled: boolean
  readonly isSkewered: boolean
  readonly isWired: boolean
  readonly doses: number
  readonly shimmers: boolean
  readonly breakageShare: number | null
  readonly spareShare: number
}

/** A change to the plan that would keep it from happening again. */
export type TroubleChange = 'ovenDrying' | 'skewers' | 'roomDrier' | 'placeAtVenue'

type Cause = {
  readonly id: string
  readonly words: string
  readonly now: string
  readonly next: string
  /** How much it speaks for this cause: 1 is no reason for or against, 0 rules it out. */
  readonly weight: (facts: TroubleFacts) => number
  /** Why, by the plan's own facts. */
  readonly because?: (facts: TroubleFacts) => string
  readonly change?: TroubleChange
}

type Trouble = { readonly id: string; readonly seen: string; readonly causes: readonly Cause[] }

const percent = (share: number): string => `${Math.round(share * 100)} %`
const when = (holds: boolean, then: number, otherwise = 1): number => (holds ? then : otherwise)
const DAMP = 0.6

export const TROUBLES: readonly Trouble[] = [
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
    id: 'shades',
    seen: 'Shades differ',
    causes: [
      {
        id: 'secondBath',
        words: 'a second bath, or one that was topped up',
        now: 'Put the odd ones at the back; dust to match when dry.',
        next: 'One bath, stirred, pale first.',
        weight: ({ doses }) => when(doses > 1, 2, 0.8),
        because: ({ doses }) => `${doses} doses in one bath`,
      },
      {
        id: 'notStirred',
        words: 'not stirred, or a different time in the bath',
        now: 'Stir and time the rest; dust to match.',
        next: 'A timer for each, a stir before each.',
        weight: ({ isFilm }) => when(isFilm, 1.8),
      },
      {
        id: 'overlap',
        words: 'plies doubled where they overlap',
        now: 'Turn the doubled part away from the front.',
        next: 'Open the folds while it is wet.',
        weight: ({ isFilm }) => when(isFilm, 0.9, 0.6),
      },
    ],
  },
  {
    id: 'smeared',
    seen: 'The shimmer is smeared',
    causes: [
      {
        id: 'steam',
        words: 'steam or damp on the dusted face',
        now: 'Let it dry, dust again with a dry brush.',
        next: 'Steam the plain face; dust last.',
        weight: ({ heat, shimmers }) => when(heat === 'steam', 3) * when(shimmers, 1.5, 0.5),
      },
      {
        id: 'wetPaint',
        words: 'too much paint on the brush',
        now: 'Blot, let it dry, a second thin coat.',
        next: 'Wipe the brush before the edge.',
        weight: ({ shimmers }) => when(shimmers, 1.6, 0.8),
      },
    ],
  },
  {
    id: 'apart',
    seen: 'A flower falls apart',
    causes: [
      {
        id: 'thinGlue',
        words: 'the glue is too wet',
        now: 'Let the foot dry, a tacky dot, five seconds.',
        next: 'Thicker glue; wait until it pulls a thread.',
        weight: () => 1.8,
      },
      {
        id: 'heavy',
        words: 'a petal heavier than its joint',
        now: 'Shorten the petal, or prop it in foam until it holds.',
        next: 'Thinner paper for the outer petals; let each round stand.',
        weight: ({ isThin }) => when(isThin, 0.7, 1.4),
      },
      {
        id: 'hurried',
        words: 'moved before the joint held',
        now: 'Back into foam for two hours.',
        next: 'Assemble a day before.',
        weight: ({ roomHumidity }) => when(roomHumidity > DAMP, 1.6),
      },
    ],
  },
  {
    id: 'ranOut',
    seen: 'Not enough pieces',
    causes: [
      {
        id: 'spares',
        words: 'more broke than there were spares',
        now: 'Cut again from what is left; Make says from where.',
        next: 'Plans keep as many spares as break with you, once enough runs are logged.',
        weight: ({ breakageShare, spareShare }) =>
          breakageShare === null ? 1.5 : when(breakageShare > spareShare, 3, 0.6),
        because: ({ breakageShare, spareShare }) =>
          `${percent(spareShare)} are spares${breakageShare === null ? '' : `, ${percent(breakageShare)} broke`}`,
      },
      {
        id: 'counting',
        words: 'counted on the table, not on the plan',
        now: 'Count each size against the list.',
        next: 'Number pieces when they are cut.',
        weight: () => 0.8,
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

export type LikelyCause = {
  readonly id: string
  readonly words: string
  readonly now: string
  readonly next: string
  readonly because: string
  readonly share: number
  readonly change: TroubleChange | null
}

const LEAST_SHARE = 0.03

/**
 * Causes of what is seen, the likeliest first, with how much the plan's facts speak for each; those it rules out are
 * left off.
 */
export function likelyCauses(seen: string, facts: TroubleFacts): readonly LikelyCause[] {
  const causes = TROUBLES.find(({ id }) => id === seen)?.causes ?? []
  const weighed = causes.map((cause) => ({ cause, weight: cause.weight(facts) }))
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0)
  return weighed
    .filter(({ weight }) => weight / total >= LEAST_SHARE)
    .sort((one, other) => other.weight - one.weight)
    .map(({ cause: { id, words, now, next, because, change = null }, weight }) => ({
      id,
      words,
      now,
      next,
      change,
      because: because?.(facts) ?? '',
      share: weight / total,
    }))
}
