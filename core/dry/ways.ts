/** Where and in what air paper dries: what the curve is walked with. */
import { inOven, moved, onMat, standingFree, type Climate, type Surroundings } from './air'
import { dryingCurve, type DryingCase, type DryingCurve } from './dryingCurve'

/**
 * How elements dry: as their technique says, laid on a mat in the room, before a fan, moved to a rack as soon as they
 * are firm, in a dry room, or on a tray in a cool oven.
 */
export const DRYING_WAYS = ['room', 'mat', 'fan', 'rack', 'dryRoom', 'oven'] as const
export type DryingWay = (typeof DRYING_WAYS)[number]

/** What each way is called, and what speaks for it and against it. */
export const DRYING_WORDS: Readonly<Record<DryingWay, { readonly name: string; readonly say: string }>> = {
  room: { name: 'In the room', say: 'As it is, in the air of the workroom' },
  mat: { name: 'On a mat, in the room', say: 'Crisp folds, slow; the mat is held till the pieces are firm' },
  fan: { name: 'Before a fan', say: 'Quicker in air that is dry enough; no help where paper never sets' },
  rack: { name: 'On a rack when firm', say: 'Both faces in the air from then on; the mat is free sooner' },
  dryRoom: { name: 'In a dry room', say: 'A dehumidifier to 45 % and a fan: sets in the dampest week' },
  oven: { name: 'In a cool oven', say: 'Half an hour on parchment, softer folds; boxed at once in a damp room' },
}

/** What a dehumidifier brings the air to. Usual practice. */
const DRY_ROOM_HUMIDITY = 0.45

/** The air of a dry room in a workroom. */
export const inDryRoom = (room: Climate): Climate => ({
  ...room,
  humidity: Math.min(room.humidity, DRY_ROOM_HUMIDITY),
})

/** A piece lying on a mat, or standing free: the ground that a way of drying changes. */
export type Ground = (room: Climate) => Surroundings

/** The air of a way of drying over what lies or stands in it. @param ovenC warmth of the oven */
export function airOf(way: DryingWay, ground: Ground, room: Climate, ovenC: number): Surroundings {
  if (way === 'oven') return inOven(ovenC)
  if (way === 'fan') return moved(ground(room), 'fan')
  if (way === 'dryRoom') return moved(ground(inDryRoom(room)), 'fan')
  return ground(room)
}

/**
 * The curve of film from a mat: where it dries on in other air once it is firm, two walks, the first to find when.
 *
 * @param then the air from firm on; as it was where film never gets firm
 */
export function curveWithMove(drying: Omit<DryingCase, 'surroundings'>, first: Surroundings, then: Surroundings) {
  const firmMin = dryingCurve({ ...drying, surroundings: first, until: 'firm' }).reachedMin.firm
  if (firmMin === null) return dryingCurve({ ...drying, surroundings: first })
  return dryingCurve({ ...drying, surroundings: (minute) => (minute < firmMin ? first : then) })
}

/** The curve of film that is soaked and laid on a mat or a tray, in its way of drying. */
export function filmCurve(
  way: DryingWay,
  room: Climate,
  ovenC: number,
  drying: Omit<DryingCase, 'surroundings'>,
): DryingCurve {
  const first = airOf(way, onMat, room, ovenC)
  return way === 'rack'
    ? curveWithMove(drying, first, standingFree(room))
    : dryingCurve({ ...drying, surroundings: first })
}
