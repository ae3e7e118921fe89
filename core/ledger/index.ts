export { benchSchema, freshBench, type Bench, type BenchTimer, type PieceCount, type PlannedThen, type Recut, type TaskRecord, type TroubleRecord } from './bench'
export { photoSchema, type Photo } from './photo'
export { begun, counted, done, minutesLeft, paused, recordOf, reopened, skipped, workedMin } from './records'
