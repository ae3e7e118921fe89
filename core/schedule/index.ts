export { fillFormers, type Former, type FormerLoad } from './formerLoads'
export { asTimed, paceSchema, paceWorking, STARTING_PACE, TIMED_RULE, type Pace } from './pace'
export { COMPLETIONS, workFor, type Completion, type MadeAgain, type Making, type MakingStep, type Work } from './tasks'
export {
  findTimetable,
  planTimetable,
  timetableSince,
  type FoundTimetable,
  type NoTimetable,
  type Slot,
  type SlotKind,
  type Timetable,
  type TimetableQuestion,
} from './timetable'
export { workingHoursSchema, type Stretch, type WorkingHours } from './workingHours'
export { scheduleFaults } from './checkSchedule'
export { reasonWords } from './reasonWords'
export type { Happened } from './live'
export { riskOf, STARTING_STRAYING, type Straying } from './risk'
export { smoothed } from './smooth'
export { latestSchedule, searchSchedule } from './search'
export type { Hold, Job, Person, Schedule, Task, Wait } from './task'
