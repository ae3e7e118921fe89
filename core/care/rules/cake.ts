/** What may go wrong with the cake itself: tiers, stacking, box, chill. */
import { printDuration } from '../../quantity'
import { length, rule, type Rule } from './rule'

/** Dew that wets paper as much as a light brush coat, g/dm². */
const DEW_BUCKLES_GDM2 = 0.15

export const CAKE_RULES: readonly Rule[] = [
  rule(
    'box-too-small',
    'tiers',
    'stop',
    ({ clearanceMm }) => Math.min(...Object.values(clearanceMm)) < 0,
    (facts) =>
      `It does not fit the box standing. A box of ${length(facts.neededBoxMm.wide, facts)} × ` +
      `${length(facts.neededBoxMm.deep, facts)} × ${length(facts.neededBoxMm.high, facts)} ` +
      `inside would just hold it.`,
  ),
  rule(
    'box-shift',
    'tiers',
    'note',
    ({ boxShift }) => boxShift !== null,
    (facts) => {
      const { rightMm, backMm } = facts.boxShift!
      const moves = [
        ...(rightMm !== 0 ? [`${length(Math.abs(rightMm), facts)} to the ${rightMm > 0 ? 'right' : 'left'}`] : []),
        ...(backMm !== 0 ? [`${length(Math.abs(backMm), facts)} to the ${backMm > 0 ? 'back' : 'front'}`] : []),
      ]
      return `It fits the box when the board is set ${moves.join(' and ')} of the middle.`
    },
  ),
  rule(
    'overhang',
    'tiers',
    'look',
    ({ overhang }) => overhang !== null,
    (facts) =>
      `Tier ${facts.overhang!.tier}, counted from the bottom, reaches ` +
      `${length(facts.overhang!.byMm, facts)} over the edge of the one below it.`,
  ),
  rule(
    'lobes-apart',
    'tiers',
    'look',
    ({ lobesApart }) => lobesApart.length > 0,
    ({ lobesApart }) =>
      `The lobes of tier ${lobesApart.join(' and ')} do not meet: take a cutter at least as ` +
      `wide as from mark to mark. Until then they are drawn as if they did.`,
  ),
  rule(
    'leans-too-far',
    'tiers',
    'look',
    ({ leansTooFar }) => leansTooFar.length > 0,
    ({ leansTooFar }) =>
      `Tier ${leansTooFar.join(' and ')} would come to a point; it is drawn leaning only as far as leaves a top.`,
  ),
  rule(
    'tall',
    'tiers',
    'look',
    ({ tall }) => tall,
    () =>
      'Tall and narrow: more than twice as high as its board is wide. A middle dowel into a drum, and somebody to hold it on the way.',
  ),
  rule(
    'support',
    'tiers',
    'note',
    ({ tiers }) => tiers > 1,
    () =>
      'Counts of dowels and straws are guidance. Weigh your tiers, test, and ask somebody who stacks tall cakes when in doubt.',
  ),
  rule(
    'never-warm',
    'tiers',
    'stop',
    ({ chilled, keeping }) => chilled !== null && chilled.warmMin === null && keeping === 'roomTemperature',
    ({ chilled }) =>
      `The air's dew point is ${chilled!.dewC.toFixed(0)} °C: a chilled tier stays wet ` +
      `for a day and more. Dry the room, or choose a filling that keeps.`,
  ),
  rule(
    'paper-last',
    'tiers',
    'note',
    ({ chilled, keeping }) => chilled !== null && chilled.warmMin !== null && keeping === 'roomTemperature',
    ({ chilled }) =>
      `Chilled tiers sweat for up to ${printDuration(chilled!.warmMin!)} out of the refrigerator. Paper goes on after that, and last.`,
  ),
  rule(
    'dew-on-paper',
    'tiers',
    'look',
    ({ chilled, keeping }) => chilled !== null && keeping === 'chilledSealed' && chilled.dewGdm2 > DEW_BUCKLES_GDM2,
    ({ chilled }) =>
      `Taken out decorated, up to ${chilled!.dewGdm2.toFixed(2)} g/dm² of dew settles on it, as much as a ` +
      `brush coat: paper buckles and goes sticky. Let it warm through inside its sealed box.`,
  ),
  rule(
    'board',
    'tiers',
    'look',
    ({ boardTooSmall }) => boardTooSmall,
    () => 'The board is smaller than the lowest tier, its corners counted.',
  ),
]
