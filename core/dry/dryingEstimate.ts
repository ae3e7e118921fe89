import { derive, found, NINETY_PERCENT, normalShareBelow, starting, typed, type Working } from '../quantity'
import { standingFree, USUAL_ROOM, type Climate } from './air'
import { PACKET_MOISTURE, softAgainMin, type DryingCurve, type Sheet } from './dryingCurve'
import { paperSheet } from './paperSheet'
import { READINESS, type Readiness } from './readiness'
import { soakMin, uptakeGG } from './soak'
import { DRYING_WORDS, filmCurve, inDryRoom, type DryingWay } from './ways'

/**
 * A time that is not known exactly: usually by the median, almost surely by the ninety. Minutes; null where the air
 * never brings the piece there.
 */
type ReadyTime = {
  readonly median: Working | null
  readonly ninety: Working | null
  readonly planned: Working | null
}

export type DryingEstimate = {
  readonly way: DryingWay
  readonly soak: Working
  readonly curve: DryingCurve
  readonly ready: Readonly<Record<Readiness, ReadyTime>>
  /** Chance that this room sets the film hard at all. */
  readonly chanceOfSetting: Working
  /** Minutes a set piece stays stiff in the venue's air; null when it stays so. */
  readonly venueSoftMin: number | null
  /** The same in the air of the car. */
  readonly roadSoftMin: number | null
}

export type DryingQuestion = {
  readonly kind: 'wafer' | 'film'
  /** How thick its sheets are, mm. */
  readonly thickness: Working
  readonly way: DryingWay
  readonly soakWaterC: number
  readonly ovenC: number
  readonly workroom: Climate
  readonly venue: Climate
  readonly transport: Climate
  /** What the user's own trials say; nothing when there are too few. */
  readonly learned?: DryingLearned | undefined
}

/**
 * How long film takes here against the drying curve, how far one drying strays (deviation of its logarithm), and up to
 * which humidity this room sets it, as its hygrometer shows it; with how many trials.
 */
export type DryingLearned = {
  readonly factor: { readonly median: number; readonly deviation: number; readonly trials: number } | null
  readonly limit: { readonly mean: number; readonly deviation: number; readonly trials: number } | null
}

/** One in ten dryings takes longer than the median by this factor (log-deviation 0.55; fitted to reported times). */
const LOG_DEVIATION = 0.55
const USUAL_PRACTICE_MIN = { mat: 24 * 60, oven: 30 } as const
export const SETTING_LIMIT = 0.625
export const SETTING_LIMIT_DEVIATION = 0.04
export const HYGROMETER_DEVIATION = 0.02
const HORIZON_H = 72
const QUARTER_MIN = 15

/**
 * Chance that a room of this humidity sets starch film hard: the limit is known to about 4 points, a hygrometer to 2.
 */
export const chanceOfSetting = (humidity: number, limit = SETTING_LIMIT, deviation = SETTING_LIMIT_DEVIATION): number =>
  normalShareBelow((limit - humidity) / Math.hypot(deviation, HYGROMETER_DEVIATION))

/**
 * How long soaked film takes to each state, with its spread and the working of each figure.
 * Until enough dryings are logged the plan takes the longer of the model's ninety-percent point and usual practice.
 */
export function estimateDrying({
  kind,
  thickness,
  way,
  soakWaterC,
  ovenC,
  workroom,
  venue,
  transport,
  learned = { factor: null, limit: null },
}: DryingQuestion): DryingEstimate {
  const sheet = paperSheet(kind, thickness.value)
  const startMoisture = PACKET_MOISTURE + uptakeGG(1)
  const { factor, limit } = learned
  // A hygrometer that reads high, or a room of its own kind: the curve is walked as if the air were so much drier.
  const own = way === 'dryRoom' ? inDryRoom(workroom) : workroom
  const air = {
    ...own,
    humidity: Math.min(0.98, Math.max(0.05, own.humidity + (limit ? SETTING_LIMIT - limit.mean : 0))),
  }
  const drying = { sheet, startMoisture, roomC: workroom.airC, horizonH: HORIZON_H }
  const curve = filmCurve(way, air, ovenC, drying)
  const humidity =
    own.humidity === workroom.humidity
      ? typed('humidity', workroom.humidity, 'share', 'Brief')
      : starting('humidity in a dry room', own.humidity, 'share', 'usual')
  const airInputs: Readonly<Record<string, Working>> =
    way === 'oven'
      ? { warmth: typed('oven air', ovenC, 'temperature', 'Dry') }
      : { humidity, warmth: typed('workroom', workroom.airC, 'temperature', 'Brief') }
  const water = derive(
    'water taken up',
    'share',
    'soaking',
    'packet {packet} + soaked till limp {uptake}',
    {
      packet: starting('moisture', PACKET_MOISTURE, 'share', 'usual'),
      uptake: starting('uptake', uptakeGG(1), 'share', 'usual'),
    },
    ({ packet, uptake }) => packet + uptake,
  )
  const readyTime = (state: Readiness): ReadyTime => {
    const reached = curve.reachedMin[state]
    if (reached === null) return { median: null, ninety: null, planned: null }
    const walk = `walk of the drying curve from {water} ${AIR_WORDS[way]}, {thickness}`
    const curveMin = derive(
      `${factor ? 'by the curve' : 'usually'} ${stateWords[state]}`,
      'duration',
      'drying curve',
      walk,
      { water, ...airInputs, thickness },
      () => reached,
    )
    if (factor) {
      const median = derive(
        `usually ${stateWords[state]}`,
        'duration',
        'drying as you logged it',
        '{curve} × {yours}',
        {
          curve: curveMin,
          yours: found('in your room', factor.median, 'ratio', `learned from ${factor.trials} of your trials`),
        },
        (v) => v.curve * v.yours,
      )
      const ninety = ninetyOf(state, median)
      return {
        median,
        ninety,
        planned:
          state !== 'set'
            ? ninety
            : derive(
                'drying planned',
                'duration',
                'up to the next quarter of an hour',
                '{ninety}, rounded up',
                { ninety },
                (v) => Math.ceil(v.ninety / QUARTER_MIN - 1e-9) * QUARTER_MIN,
              ),
      }
    }
    const median = curveMin
    const ninety = ninetyOf(state, median)
    const planned =
      state !== 'set'
        ? ninety
        : derive(
            'drying planned',
            'duration',
            'the longer of model and practice',
            'longer of {ninety} and {practice}, up to the next quarter of an hour',
            { ninety, practice: practiceIn(way, sheet, startMoisture) },
            (v) => Math.ceil(Math.max(v.ninety, v.practice) / QUARTER_MIN - 1e-9) * QUARTER_MIN,
          )
    return { median, ninety, planned }
  }
  return {
    way,
    soak: derive(
      'soak',
      'duration',
      'soaking till limp',
      '1 min × ( {thickness} ÷ 0.2 mm )² × slower in cooler water, {bath}',
      { thickness, bath: typed('soaking water', soakWaterC, 'temperature', 'Dry') },
      (v) => soakMin(v.thickness, v.bath),
    ),
    curve,
    ready: Object.fromEntries(READINESS.map((state) => [state, readyTime(state)])) as Record<Readiness, ReadyTime>,
    chanceOfSetting:
      way === 'oven'
        ? starting('chance to set hard in the oven', 0.99, 'share', 'usual')
        : derive(
            'chance to set hard',
            'share',
            'humidity limit',
            `share of rooms below the limit {limit} ± ${Math.round((limit?.deviation ?? SETTING_LIMIT_DEVIATION) * 100)} ` +
              `points, read at {humidity} ± 2 points`,
            {
              limit: limit
                ? found('setting limit', limit.mean, 'share', `learned from ${limit.trials} of your trials`)
                : starting('setting limit', SETTING_LIMIT, 'share', 'guess'),
              humidity,
            },
            (v) => chanceOfSetting(v.humidity, v.limit, limit?.deviation),
          ),
    venueSoftMin: softAgainMin(sheet, standingFree(venue), venue.airC, 48),
    roadSoftMin: softAgainMin(sheet, standingFree(transport), transport.airC, 48),
  }
}

/** The air that each way dries in, as a working tells it. */
const AIR_WORDS: Readonly<Record<DryingWay, string>> = {
  room: 'in still air of {humidity} at {warmth}',
  mat: 'in still air of {humidity} at {warmth}',
  fan: 'before a fan in air of {humidity} at {warmth}',
  rack: 'in still air of {humidity} at {warmth}, from firm on a rack',
  dryRoom: 'in a dry room in air of {humidity} at {warmth}',
  oven: 'in {warmth}',
}

/**
 * What is usual in a way of drying: told for a mat in a usual room and for the oven; for other ways as much less as the
 * curve has it in a usual room.
 */
function practiceIn(way: DryingWay, sheet: Sheet, startMoisture: number): Working {
  if (way === 'oven') return starting('usual practice', USUAL_PRACTICE_MIN.oven, 'duration', 'usual')
  const onAMat = starting('usual practice', USUAL_PRACTICE_MIN.mat, 'duration', 'usual')
  if (way === 'mat' || way === 'room') return onAMat
  const drying = { sheet, startMoisture, roomC: USUAL_ROOM.airC, horizonH: HORIZON_H }
  const [own, mat] = [way, 'mat' as const].map((each) => filmCurve(each, USUAL_ROOM, 0, drying).reachedMin.set!)
  const share = found(
    `as long ${DRYING_WORDS[way].name.toLowerCase()}`,
    own! / mat!,
    'ratio',
    'two walks of the drying curve at 22 °C and 47.5 %',
  )
  return derive('usual practice', 'duration', 'practice in this way', '{mat} × {share}', { mat: onAMat, share }, (v) =>
    Math.ceil(v.mat * v.share),
  )
}

/**
 * A time within which nine dryings of ten are ready. The spread stays as it began however many were logged: a few logs say
 * what is usual here, not how far the next one strays, so that a log of just the usual time changes nothing.
 */
const ninetyOf = (state: Readiness, median: Working): Working =>
  derive(
    `almost surely ${stateWords[state]}`,
    'duration',
    'ninety-percent point',
    '{median} × {spread}',
    { median, spread: starting('spread of drying times', Math.exp(NINETY_PERCENT * LOG_DEVIATION), 'ratio', 'usual') },
    (v) => v.median * v.spread,
  )

const stateWords: Readonly<Record<Readiness, string>> = {
  touch: 'dry to touch',
  handle: 'ready to handle',
  firm: 'firm',
  set: 'set hard',
}
