import { z } from 'zod'
import { asTimed, type Learned } from '../learn'
import { setting, type Working } from '../quantity'

const minutes = (label: string) => z.number().min(0).max(240).meta({ label, kind: 'duration' })

/** How long hands take at the cake and for the whole job, minutes; steps of techniques have minutes of their own. */
export const paceSchema = z.strictObject({
  doseMin: minutes('Mix a dose and test it'),
  packMin: minutes('Pack, whole job'),
  loadMin: minutes('Load the car, whole job'),
  fillMin: minutes('Fill and crumb-coat a tier'),
  coverMin: minutes('Cover a tier'),
  stackMin: minutes('Set a tier on the others'),
  photographMin: minutes('Photograph'),
  handOverMin: minutes('Set up and hand over'),
  aheadMin: z.number().min(0).max(2880).meta({ label: 'Ready before guests look', kind: 'duration' }),
})

export type Pace = z.infer<typeof paceSchema>

/** Guesses to calibrate first. */
export const STARTING_PACE: Pace = {
  doseMin: 8,
  packMin: 20,
  loadMin: 15,
  fillMin: 25,
  coverMin: 40,
  stackMin: 10,
  photographMin: 10,
  handOverMin: 10,
  aheadMin: 30,
}

/** A pace with its working. What was typed stands; else what was timed often enough replaces the starting value. */
export function paceWorking(pace: Pace, key: keyof Pace, hands: Learned['hands'] = {}): Working {
  const label = paceSchema.shape[key].meta()!.label as string
  const own = hands[key]
  const began = setting(label, pace[key], STARTING_PACE[key], 'duration', 'guess', 'Timetable')
  return own && pace[key] === STARTING_PACE[key] ? asTimed(began, own) : began
}
