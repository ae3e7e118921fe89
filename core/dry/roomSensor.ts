/**
 * What a room sensor says, and whether to believe it. A reading that cannot be true is never planned on; the last good
 * one is kept.
 */
import { z } from 'zod'
import { climateSchema, type Climate } from './air'

const readingSchema = z.strictObject({ airC: z.number(), humidity: z.number() })

export type SensorProblem = 'unreadable' | 'implausible' | 'jumped' | 'silent' | 'lost'

/**
 * `lastGood` is the newest reading to be believed and when it came, milliseconds; `doubted` counts readings in a row
 * that jumped away from it.
 */
export type SensorState = {
  readonly lastGood: (Climate & { readonly atMs: number }) | null
  readonly heardMs: number
  readonly doubted: number
  readonly problem: SensorProblem | null
}

export const NOT_HEARD: SensorState = { lastGood: null, heardMs: 0, doubted: 0, problem: null }

/** A room does not change faster than this between two readings. */
const JUMP_C = 6
const JUMP_HUMIDITY = 0.2
/** After so many readings that agree on the jump, the room has changed (a window was opened). */
const BELIEVED_AFTER = 5
const SILENT_MS = 20_000

/** The state after a message from the sensor. */
export function hear(state: SensorState, message: string, nowMs: number): SensorState {
  const doubt = (problem: SensorProblem): SensorState => ({
    ...state,
    heardMs: nowMs,
    doubted: problem === 'jumped' ? state.doubted + 1 : state.doubted,
    problem,
  })
  const reading = readReading(message)
  if (!reading) return doubt('unreadable')
  const climate = climateSchema.safeParse(reading)
  if (!climate.success) return doubt('implausible')
  const { lastGood } = state
  const jumped =
    lastGood !== null &&
    (Math.abs(climate.data.airC - lastGood.airC) > JUMP_C ||
      Math.abs(climate.data.humidity - lastGood.humidity) > JUMP_HUMIDITY)
  if (jumped && state.doubted + 1 < BELIEVED_AFTER) return doubt('jumped')
  return { lastGood: { ...climate.data, atMs: nowMs }, heardMs: nowMs, doubted: 0, problem: null }
}

/** The state when nothing was heard for a while, or the line was lost. */
export const overdue = (state: SensorState, nowMs: number): SensorState =>
  nowMs - state.heardMs > SILENT_MS && state.problem !== 'lost' ? { ...state, problem: 'silent' } : state
export const lostLine = (state: SensorState): SensorState => ({ ...state, problem: 'lost' })

function readReading(message: string): Climate | null {
  try {
    const parsed = readingSchema.safeParse(JSON.parse(message))
    return parsed.success ? parsed.data : null
  } catch {
    return null
  }
}

const SAYS: Readonly<Record<SensorProblem, string>> = {
  unreadable: 'The sensor sends something that cannot be read.',
  implausible: 'The sensor’s reading cannot be true.',
  jumped: 'The sensor’s reading jumped further than a room does; waiting for more.',
  silent: 'Nothing heard from the sensor for a while.',
  lost: 'The line to the sensor is lost; trying again.',
}

/** What to tell the user about a sensor's problem. */
export const sensorSentence = (problem: SensorProblem): string => SAYS[problem]
