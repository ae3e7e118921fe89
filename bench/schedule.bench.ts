import { bench, describe } from 'vitest'
import { latestSchedule, scheduleFaults, searchSchedule, smoothed } from '../core/schedule'
import { chanceWork } from '../tests/any/anyWork'

describe('timetables of 200 tasks', () => {
  const work = chanceWork(5, 25, 8)
  let seed = 0
  const first = searchSchedule(work, 1).best()
  if (!first.ok || scheduleFaults(work, first.value).length > 0)
    throw new Error('The first answer must keep every rule before it is measured.')
  bench('first answer', () => {
    searchSchedule(work, (seed += 1)).best()
  })
  bench(
    'a hundred orders more',
    () => {
      latestSchedule(work, (seed += 1), 20)
    },
    { iterations: 3, warmupIterations: 0, time: 100 },
  )
  bench('room to breathe', () => {
    smoothed(work, first.value)
  })
})
