/** What goes wrong with finished pieces: shades, shimmer, joints, too few of them. */
import { percent } from '../../quantity'
import { DAMP, when, type Trouble } from './trouble'

export const PIECE_TROUBLES: readonly Trouble[] = [
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
]
