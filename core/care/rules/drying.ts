/** What may go wrong while things dry, and how they keep. */
import { printDuration, percent } from '../../quantity'
import { rule, type Rule } from './rule'

const VENUE_NEEDS_MIN = 6 * 60

export const DRYING_RULES: readonly Rule[] = [
  rule(
    'former-too-small',
    'dry',
    'look',
    ({ tooBigForFormer }) => tooBigForFormer > 0,
    ({ tooBigForFormer, former }) =>
      `${tooBigForFormer} ${tooBigForFormer === 1 ? 'piece is' : 'pieces are'} larger than a ${former} and will hang over its edge.`,
  ),
  rule(
    'never-sets',
    'dry',
    'stop',
    ({ setting }) => setting !== null && !setting.atAll,
    ({ roomHumidity }) =>
      `Soaked film is unlikely to set hard in a room at ${percent(roomHumidity)}. Dry it in a dry room or a cool oven, or bring ` +
      `the room under 60 %.`,
  ),
  rule(
    'paper-never-dry',
    'dry',
    'stop',
    ({ paperNeverDry }) => paperNeverDry.length > 0,
    ({ paperNeverDry, roomHumidity }) =>
      `At ${percent(roomHumidity)} paper is unlikely to get dry enough: ${paperNeverDry.join(', ')}. Choose a dry ` +
      `room for it, the oven where it may go there, or bring the room under 60 %.`,
  ),
  rule(
    'slow-set',
    'dry',
    'look',
    ({ setting }) => setting !== null && setting.atAll && setting.chance < 0.9,
    ({ roomHumidity, setting }) =>
      `At ${percent(roomHumidity)} the room is near the limit: film sets hard in about ${percent(setting!.chance)} of ` +
      `such rooms. Watch the first load, keep the oven ready.`,
  ),
  rule(
    'softens-in-room',
    'dry',
    'look',
    ({ inOven, roomHumidity }) => inOven && roomHumidity >= 0.71,
    ({ roomHumidity }) =>
      `Set in the oven, but soft again in a room at ${percent(roomHumidity)}: box each load airtight as soon as it is cool.`,
  ),
  rule(
    'venue-softens',
    'deliver',
    'look',
    ({ softens }) => softens !== null && softens.venueMin !== null && softens.venueMin < VENUE_NEEDS_MIN,
    ({ softens, venueHumidity }) =>
      `At the venue's ${percent(venueHumidity)} film goes soft in about ${printDuration(softens!.venueMin!)}: ` +
      `${softens!.names.join(', ')}. Place it last, keep the rest boxed.`,
  ),
  rule(
    'road-softens',
    'deliver',
    'look',
    ({ softens, roadMin }) => softens !== null && softens.roadMin !== null && softens.roadMin < roadMin + 30,
    ({ softens }) =>
      `In the car's air film on the cake goes soft in about ${printDuration(softens!.roadMin!)}: ` +
      `${softens!.names.join(', ')}. Dry the car's air, or place it at the venue.`,
  ),
  rule(
    'hot-oven',
    'dry',
    'note',
    ({ inOven }) => inOven,
    () =>
      'Trays from the oven burn: dry gloves, a clear place to put them down. Foil and parchment only: clips, foam and bubble ' +
      'wrap melt. Nothing wet with alcohol goes in: it can catch fire.',
  ),
  rule(
    'sticky',
    'dry',
    'note',
    ({ isSoaked }) => isSoaked,
    () => 'Wet film is very sticky and tears: one piece in the water at a time.',
  ),
  rule(
    'warm-water',
    'dry',
    'note',
    ({ isSoaked }) => isSoaked,
    () => 'Soak in boiled, cooled water, in a dish kept for food.',
  ),
]
