/** What lies on which former since when, and when it is ready. */
import { recordOf, type Bench } from '../ledger'
import type { Plan } from '../plan'
import type { Moment } from '../quantity'

/**
 * Something on a former, in foam, in moulds or in the oven. `lift` is the task that takes it off; none where it only
 * rests.
 */
export type OnFormer = {
  readonly task: string
  readonly name: string
  readonly where: string
  readonly since: Moment
  readonly readyAt: Moment
  readonly feltAfterMin: number | null
  readonly lift: string | null
  readonly film: boolean
}

/** Everything that lies and dries now, what is ready first at the top. */
export function formerBoard({ timetable, work, drying, loads }: Plan, bench: Bench): readonly OnFormer[] {
  if (!timetable.ok) return []
  const { slots } = timetable.value
  const doneAt = (task: string): Moment | null => recordOf(bench, task)?.doneAt ?? null
  const film = loads.flatMap(({ number }): readonly OnFormer[] => {
    const since = doneAt(`drape-${number}`)
    if (since === null || doneAt(`lift-${number}`) !== null) return []
    const ready = drying.way === 'mat' ? drying.ready.firm.planned : drying.ready.set.planned
    return [
      {
        task: `drape-${number}`,
        name: `Load ${number}`,
        where: slots.find(({ task }) => task === `drape-${number}`)?.lane ?? 'mat',
        since,
        readyAt: since + (ready?.value ?? 0),
        feltAfterMin: bench.felt[`drape-${number}`] ?? null,
        lift: `lift-${number}`,
        film: true,
      },
    ]
  })
  const paper = work.making.flatMap((making) =>
    making.steps.flatMap((step, at): readonly OnFormer[] => {
      if (step.rest.value === 0) return []
      const own = slots.filter(
        ({ task, hands }) =>
          hands && (task === `${making.id}-${step.id}` || task?.startsWith(`${making.id}-${step.id}-`)),
      )
      const next = making.steps[at + 1]
      const nextBegun =
        next &&
        bench.tasks.some(
          ({ task }) => task === `${making.id}-${next.id}` || task.startsWith(`${making.id}-${next.id}-`),
        )
      return [...new Set(own.map(({ task }) => task!))].flatMap((task): readonly OnFormer[] => {
        const since = doneAt(task)
        const isOver =
          nextBegun || doneAt('place') !== null || doneAt('pack') !== null || bench.felt[`${task} ready`] !== undefined
        return since === null || isOver
          ? []
          : [
              {
                task,
                name: making.name,
                where: step.hold?.name ?? 'on the rack',
                since,
                readyAt: since + step.rest.value,
                feltAfterMin: bench.felt[task] ?? null,
                lift: null,
                film: false,
              },
            ]
      })
    }),
  )
  return [...film, ...paper].sort((one, other) => one.readyAt - other.readyAt)
}
