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

/** Ways of drying soaked film compared, as it is first. @param ovenC warmth of the cool oven */
export function dryingRemedies(sheet: Sheet, room: Climate, ovenC: number, box: DryBox): readonly DryingRemedy[] {
  const drying = { sheet, startMoisture: PACKET_MOISTURE + uptakeGG(1), roomC: room.airC, horizonH: HORIZON_H }
  const setBy = (way: DryingWay, air = room): number | null => filmCurve(way, air, ovenC, drying).reachedMin.set
  const water = waterFromFirm(sheet, box.areaDm2, room.airC)
  const humidity = boxHumidity(water, box.desiccantG)
  const inBox = standingFree({ ...room, humidity: Math.min(room.humidity, humidity.value) })
  const warm = moved(onMat({ ...inDryRoom(room), airC: WARM_C }), 'fan')
  const ways: readonly (readonly [DryingRemedy['id'], string, number | null])[] = [
    ['mat', 'on its mat in this room', setBy('mat')],
    ['fan', 'a fan over the mats', setBy('fan')],
    ['rack', 'firm pieces moved to a rack', setBy('rack')],
    ['dryBox', 'firm pieces in a closed box with desiccant', curveWithMove(drying, onMat(room), inBox).reachedMin.set],
    ['dryRoom', 'a dehumidifier and a fan in the room', setBy('dryRoom')],
    ['warmDryRoom', 'the same, the room at 32 °C', curveWithMove(drying, warm, warm).reachedMin.set],
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
