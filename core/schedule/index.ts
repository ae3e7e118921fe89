export { fillFormers, type PieceToLay } from './loads'
export { paceSchema, paceWorking, STARTING_PACE, type Pace } from './pace'
export {
  COMPLETIONS,
  PLACE,
  workFor,
  type CakeCounts,
  type Completion,
  type Load,
  type MadeAgain,
  type Making,
  type MakingStep,
  type Turn,
  type Work,
} from './work'
export type { SlotKind, TaskOf } from './collected'
export type { TierToDress, TimetableQuestion } from './question'
export { couldBeginLater, RESTING, type Slot, type Timetable } from './slots'
export { type NoTimetable } from './slots'
export { findTimetable, planTimetable, timetableSince } from './timetable'
export type { SurePlan } from './sure'
export { workingHoursSchema, type Stretch, type WorkingHours } from './workingHours'
export { scheduleFaults } from './checkSchedule'
export { inOneBreath, type Breath } from './oneBreath'
export { reasonWords } from './reasonWords'
export type { Happened } from './live'
export { smoothed } from './smooth'
export { latestSchedule, searchSchedule } from './search'
export type { Drying, Hold, Job, Person, Schedule, Task, Wait } from './task'
