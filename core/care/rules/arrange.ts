/** What may go wrong with decorations on their places. */
import { length, rule, ruleOf, type Rule } from './rule'

/** A food-safe holder and the cake round it take so much of a ledge, mm. */
export const HOLDER_ROOM_MM = 12

export const ARRANGE_RULES: readonly Rule[] = [
  ruleOf(
    'sweep-above',
    'arrange',
    'look',
    ({ aboveTop }) => aboveTop,
    ({ name, byMm }, facts) =>
      `${name}: the sweep ends ${length(byMm, facts)} above the top of the cake, where no side holds a foot. End it lower.`,
  ),
  ruleOf(
    'unfit-paper',
    'arrange',
    'stop',
    ({ unfitPapers }) => unfitPapers,
    ({ because }) => because,
  ),
  ruleOf(
    'unwanted-ingredient',
    'arrange',
    'look',
    ({ unwantedIngredients }) => unwantedIngredients,
    ({ name, ingredients }) => `No ${ingredients.join(' and no ')} was asked, and ${name} is made with it.`,
  ),
  ruleOf(
    'fewer-fit',
    'arrange',
    'look',
    ({ fewerFit }) => fewerFit,
    ({ name, asked, fit, ways }) =>
      `${name}: ${fit === 0 ? 'none finds a place' : `${asked} asked, ${fit} ${fit === 1 ? 'fits' : 'fit'}`}: ` +
      `${ways.length > 0 ? ways.join(', or ') : 'free some of the cake for them'}.`,
  ),
  rule(
    'stray-accents',
    'arrange',
    'look',
    ({ strayAccents }) => strayAccents.length > 0,
    ({ strayAccents }) =>
      `What the ${strayAccents.join(' and ')} went with is gone from the cake. Let them go with something else, or remove them.`,
  ),
  rule(
    'show-on-eaten',
    'arrange',
    'stop',
    ({ showOnEaten }) => showOnEaten.length > 0,
    ({ showOnEaten }) =>
      `${showOnEaten.join(' and ')}: for show only, and on a tier that is eaten. Use edible ones, or put them on a dummy tier.`,
  ),
  rule(
    'for-show',
    'arrange',
    'note',
    ({ forShow }) => forShow.length > 0,
    ({ forShow }) => `For show only, off before the cake is cut: ${forShow.join(', ')}. They are on the removal list.`,
  ),
  rule(
    'narrow-ledge',
    'arrange',
    'look',
    ({ narrowLedge }) => narrowLedge !== null,
    (facts) =>
      `The ledge under “${facts.narrowLedge!.bouquet}” is ${length(facts.narrowLedge!.mm, facts)} at its ` +
      `narrowest: holders want ${length(HOLDER_ROOM_MM, facts)}. Set it over the ` +
      `shoulder, or stand the holders where the ledge is wider.`,
  ),
  ruleOf(
    'not-placed',
    'arrange',
    'look',
    ({ notPlaced }) => notPlaced,
    ({ name }) => `No place was found for ${name}: make it smaller, or give it more room.`,
  ),
  ruleOf(
    'short-reach',
    'arrange',
    'look',
    ({ shortReach }) => shortReach,
    ({ called, count, byMm }, facts) =>
      `${count} of the ${called} ${count === 1 ? 'stays' : 'stay'} up to ${length(byMm, facts)} lower than wished: ` +
      `no disc in use reaches. Lower the seen height, shorten the foot, or use larger discs.`,
  ),
  rule(
    'feet-wet',
    'arrange',
    'look',
    ({ feetOnWet }) => feetOnWet.length > 0,
    ({ feetOnWet }) =>
      `Feet on ${feetOnWet.join(' and ')} soften within minutes to hours. Place last, or stand each on a skewer.`,
  ),
  rule(
    'feet-moist',
    'arrange',
    'note',
    ({ feetOnMoist }) => feetOnMoist.length > 0,
    ({ feetOnMoist }) =>
      `Feet on ${feetOnMoist.join(' and ')} soften over hours: only what is set hard, and as late as you can.`,
  ),
]
