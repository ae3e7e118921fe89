export { benchSchema, freshBench, MOST_PHOTOS, type Bench, type BenchTimer, type Recut, type TaskRecord } from './bench'
export { photoSchema, type Photo } from './photo'
export { begun, counted, done, minutesLeft, paused, recordOf, recut, reopened, skipped, workedMin } from './records'
