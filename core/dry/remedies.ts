/** What brings soaked film to hard where a room is slow or never does: each way tried by the same curve. */
import { inOven, moved, onMat, standingFree, type Climate, type Surroundings } from './air'
import { dryingCurve, PACKET_MOISTURE, type Sheet } from './dryingCurve'
import { uptakeGG } from './soak'

/** A way of drying, and what it comes to. */
export type DryingRemedy = {
  readonly id: 'asItIs' | 'fan' | 'rack' | 'dryBox' | 'dryRoom' | 'warmDryRoom' | 'oven'
  readonly words: string
  /** Usual minutes until it is set hard; null when it never is within three days. */
  readonly setMin: number | null
  /** Minutes gained against drying as it is; null when either never sets. */
  readonly gainedMin: number | null
  /** Whether it goes soft again when it lies in the room, and must be boxed. */
  readonly mustBeBoxed: boolean
}

const HORIZON_H = 72
/** A box with desiccant, and a room with a dehumidifier. Usual practice. */
const DRY_BOX_HUMIDITY = 0.35
const DRY_ROOM_HUMIDITY = 0.45
const WARM_C = 32
/** Above this a set piece softens in the room. @see core/dry/readiness */
const SOFTENS_ABOVE = 0.7

/** Ways of drying soaked film compared, as it is first. @param ovenC warmth of the cool oven */
export function dryingRemedies(sheet: Sheet, room: Climate, ovenC: number): readonly DryingRemedy[] {
  const setIn = (surroundings: Surroundings): number | null =>
    dryingCurve({
      sheet,
      startMoisture: PACKET_MOISTURE + uptakeGG(1),
      surroundings,
      roomC: room.airC,
      horizonH: HORIZON_H,
    }).reachedMin.set
  const dry = { ...room, humidity: Math.min(room.humidity, DRY_ROOM_HUMIDITY) }
  const ways: readonly (readonly [DryingRemedy['id'], string, Surroundings])[] = [
    ['asItIs', 'on its mat in this room', onMat(room)],
    ['fan', 'a fan over the mats', moved(onMat(room), 'fan')],
    ['rack', 'firm pieces moved to a rack', standingFree(room)],
    [
      'dryBox',
      'in a closed box with desiccant',
      onMat({ ...room, humidity: Math.min(room.humidity, DRY_BOX_HUMIDITY) }),
    ],
    ['dryRoom', 'a dehumidifier and a fan in the room', moved(onMat(dry), 'fan')],
    ['warmDryRoom', 'the same, the room at 32 °C', moved(onMat({ ...dry, airC: WARM_C }), 'fan')],
    ['oven', 'a cool oven', inOven(ovenC)],
  ]
  const asItIs = setIn(ways[0]![2])
  return ways.map(([id, words, surroundings]) => {
    const setMin = id === 'asItIs' ? asItIs : setIn(surroundings)
    return {
      id,
      words,
      setMin,
      gainedMin: asItIs !== null && setMin !== null ? asItIs - setMin : null,
      mustBeBoxed: id !== 'asItIs' && id !== 'fan' && room.humidity > SOFTENS_ABOVE,
    }
  })
}
