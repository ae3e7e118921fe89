/** What brings soaked film to hard where a room is slow or never does: each way tried by the same curve. */
import { moved, onMat, standingFree, type Climate } from './air'
import type { Working } from '../quantity'
import { boxHumidity, waterFromFirm } from './dryBox'
import { PACKET_MOISTURE, type Sheet } from './dryingCurve'
import { uptakeGG } from './soak'
import { curveWithMove, filmCurve, inDryRoom, type DryingWay } from './ways'

/** A way of drying, and what it comes to. */
export type DryingRemedy = {
  readonly id: DryingWay | 'dryBox' | 'warmDryRoom'
  readonly words: string
  /** Water that pieces give off in a closed box, and how dry its desiccant then holds the air; none elsewhere. */
  readonly inBox: { readonly water: Working; readonly humidity: Working } | null
  /** Usual minutes until it is set hard; null when it never is within three days. */
  readonly setMin: number | null
  /** Minutes gained against drying as it is; null when either never sets. */
  readonly gainedMin: number | null
  /** Whether it goes soft again when it lies in the room, and must be boxed. */
  readonly mustBeBoxed: boolean
}

/** A box with desiccant at hand, and the pieces that would go into it. */
export type DryBox = { readonly areaDm2: number; readonly desiccantG: number }

const HORIZON_H = 72
const WARM_C = 32
/** Above this a set piece softens in the room. @see core/dry/readiness */
const SOFTENS_ABOVE = 0.7

/** Soaked film in a room. */
type InRoom = { readonly sheet: Sheet; readonly room: Climate }

const soaked = ({ sheet, room }: InRoom) => ({
  sheet,
  startMoisture: PACKET_MOISTURE + uptakeGG(1),
  roomC: room.airC,
  horizonH: HORIZON_H,
})

/** What dries in another way than in a box, and the warmth of the cool oven. */
export type Setting = InRoom & { readonly way: DryingWay | 'warmDryRoom'; readonly ovenC: number }

/** Usual minutes until film is set hard in some way; null when it never is within three days. */
export function settingMin({ way, ovenC, ...film }: Setting): number | null {
  if (way !== 'warmDryRoom') return filmCurve(way, film.room, ovenC, soaked(film)).reachedMin.set
  const warm = moved(onMat({ ...inDryRoom(film.room), airC: WARM_C }), 'fan')
  return curveWithMove(soaked(film), warm, warm).reachedMin.set
}

/**
 * Ways of drying soaked film compared, as it is first.
 * @param ovenC warmth of the cool oven
 * @param setting tells when film is set, and may remember it
 */
export function dryingRemedies(
  sheet: Sheet,
  room: Climate,
  ovenC: number,
  box: DryBox,
  setting: typeof settingMin = settingMin,
): readonly DryingRemedy[] {
  const setBy = (way: Setting['way']): number | null => setting({ way, sheet, room, ovenC })
  const water = waterFromFirm(sheet, box.areaDm2, room.airC)
  const humidity = boxHumidity(water, box.desiccantG)
  const inBox = standingFree({ ...room, humidity: Math.min(room.humidity, humidity.value) })
  const boxed = curveWithMove(soaked({ sheet, room }), onMat(room), inBox).reachedMin.set
  const ways: readonly (readonly [DryingRemedy['id'], string, number | null])[] = [
    ['mat', 'on its mat in this room', setBy('mat')],
    ['fan', 'a fan over the mats', setBy('fan')],
    ['rack', 'firm pieces moved to a rack', setBy('rack')],
    ['dryBox', 'firm pieces in a closed box with desiccant', boxed],
    ['dryRoom', 'a dehumidifier and a fan in the room', setBy('dryRoom')],
    ['warmDryRoom', 'the same, the room at 32 °C', setBy('warmDryRoom')],
    ['oven', 'a cool oven', setBy('oven')],
  ]
  const asItIs = ways[0]![2]
  return ways.map(([id, words, setMin]) => ({
    id,
    words,
    inBox: id === 'dryBox' ? { water, humidity } : null,
    setMin,
    gainedMin: asItIs !== null && setMin !== null ? asItIs - setMin : null,
    mustBeBoxed: id !== 'mat' && id !== 'fan' && room.humidity > SOFTENS_ABOVE,
  }))
}
