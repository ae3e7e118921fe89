/** What lies on which mat, in foam or in the oven since when, and when it is ready. */
import { recordOf, type Bench } from '../ledger'
import type { Plan } from '../plan'
import type { Moment } from '../quantity'
import type { MakingStep, Turn } from '../schedule'

/**
 * Something that lies and dries. `lift` is the task that takes it up; none where it only rests. `soaked` names the
 * decoration whose soaked film it is, for the ledger.
 */
export type OnFormer = {
  readonly task: string
  readonly name: string
  readonly where: string
  readonly since: Moment
  readonly readyAt: Moment
  readonly feltAfterMin: number | null
  readonly lift: string | null
  readonly soaked: string | null
}

/** The task that takes up what a turn laid down. */
const liftOf = (steps: readonly MakingStep[], step: MakingStep, turn: Turn): string | null => {
  const until = step.hold?.untilStep
  return until ? (steps.find(({ id }) => id === until)?.turns[step.turns.indexOf(turn)]?.task ?? null) : null
}

/** Everything that lies and dries now, what is ready first at the top. */
export function formerBoard({ timetable, work, dryings }: Plan, bench: Bench): readonly OnFormer[] {
  if (!timetable.ok) return []
  const { slots } = timetable.value
  const doneAt = (task: string): Moment | null => recordOf(bench, task)?.doneAt ?? null
  const isDressed = doneAt('place') !== null || doneAt('pack') !== null
  const lying = work.making.flatMap(({ decoration, name, steps }) =>
    steps.flatMap((step, at) => {
      const restMin = (step.ovenMin ?? step.rest).value
      if (restMin === 0 || step.since !== null) return []
      const next = steps[at + 1]?.turns.some(({ task }) => recordOf(bench, task) !== null) ?? false
      return step.turns.flatMap((turn): readonly OnFormer[] => {
        const since = doneAt(turn.task)
        const lift = liftOf(steps, step, turn)
        const isOver = lift ? doneAt(lift) !== null : next || bench.felt[`${turn.task} ready`] !== undefined
        if (since === null || isOver || isDressed) return []
        const lane = slots.find(
          ({ kind, of, task }) =>
            kind === 'dry' &&
            task === null &&
            of?.decoration === decoration &&
            of.turn === step.turns.indexOf(turn) + 1,
        )?.lane
        return [
          {
            task: turn.task,
            name: turn.load ? `${name}, load ${turn.load.number}` : name,
            where: (turn.load && lane) || [step.hold?.name, step.air?.name].filter(Boolean).join(', ') || 'resting',
            since,
            readyAt: since + restMin,
            feltAfterMin: bench.felt[turn.task] ?? null,
            lift,
            soaked:
              turn.load && dryings.some(({ decorations }) => decorations.includes(decoration)) ? decoration : null,
          },
        ]
      })
    }),
  )
  return lying.sort((one, other) => one.readyAt - other.readyAt)
}
