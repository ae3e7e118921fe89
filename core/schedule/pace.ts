import { z } from 'zod'
import type { Learned, UsedFactor } from '../learn'
import { derive, found, setting, type Working } from '../quantity'

const minutes = (label: string) => z.number().min(0).max(240).meta({ label, kind: 'duration' })

/** How long hands take, minutes; for one piece unless the name says otherwise. */
export const paceSchema = z.strictObject({
  cutMin: minutes('Cut and number a piece'),
  doseMin: minutes('Mix a dose and test it'),
  drapeMin: minutes('Soak, dab and drape a piece'),
  liftMin: minutes('Lift a piece off'),
  chooseMin: minutes('Choose and trim a piece'),
  placeMin: minutes('Place a sail'),
  packMin: minutes('Pack, whole job'),
  loadMin: minutes('Load the car, whole job'),
  coverMin: minutes('Cover a tier'),
  stackMin: minutes('Set a tier on the others'),
  photographMin: minutes('Photograph and hand over'),
  aheadMin: z.number().min(0).max(2880).meta({ label: 'Ready before guests look', kind: 'duration' }),
})

export type Pace = z.infer<typeof paceSchema>

/** Guesses to calibrate first. */
export const STARTING_PACE: Pace = {
  cutMin: 2,
  doseMin: 8,
  drapeMin: 5,
  liftMin: 1,
  chooseMin: 3,
  placeMin: 4,
  packMin: 20,
  loadMin: 15,
  coverMin: 40,
  stackMin: 10,
  photographMin: 15,
  aheadMin: 30,
}

/** A pace with its working. What was typed stands; else what was timed often enough replaces the starting value. */
export function paceWorking(pace: Pace, key: keyof Pace, hands: Learned['hands'] = {}): Working {
  const label = paceSchema.shape[key].meta()!.label as string
  const own = hands[key]
  const began = setting(label, pace[key], STARTING_PACE[key], 'duration', 'guess', 'Timetable')
  return own && pace[key] === STARTING_PACE[key] ? asTimed(began, own) : began
}

/** The rule of times that were learned. */
export const TIMED_RULE = 'as you timed it'

/** A usual time as these hands take it. */
export const asTimed = (usual: Working, { median, trials }: UsedFactor): Working =>
  derive(
    usual.label,
    'duration',
    TIMED_RULE,
    '{usual} × {yours}',
    {
      usual: { ...usual, label: 'usually' },
      yours: found('your hands', median, 'ratio', `learned from ${trials} times you did it`),
    },
    (v) => v.usual * v.yours,
  )
