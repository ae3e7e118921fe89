import type { Stretch } from '#core/schedule'
import { packingOf } from '#core/deliver'
import {
  changesFrom,
  createPlanner,
  needsOf,
  type Plan,
  type PlanChanges,
  type PlanInputs,
  type TallyFigure,
} from '#core/plan'
import { serve } from './serve'

const planner = createPlanner()

/** What comes of a plan that is only tried. */
export type Tried = { readonly startBy: number | null; readonly chance: number | null; readonly problem: string }

/** Hours of hands, and how much of each item. */
export type Taken = {
  readonly hours: readonly Stretch[]
  readonly needs: readonly (readonly [item: string, amount: number])[]
}

/** What of a commission, and of the workshop, does not hold together: a sentence for each field, none where all does. */
export type Faults = { readonly commission: readonly string[]; readonly workshop: readonly string[] }

/** What changed since the answer of that number, or the whole plan; and this answer's own number. */
export type Answer = { readonly changes: PlanChanges; readonly since: number; readonly number: number }

let last: { readonly plan: Plan; readonly number: number } | null = null

const worker = {
  derive: (inputs: PlanInputs): Plan => planner(inputs),
  /** Read only where it is asked for: figures do not wait for it. */
  async faults({ commission, workshop }: PlanInputs): Promise<Faults> {
    const { faultsOf } = await import('#core/format/faults')
    return faultsOf(commission, workshop)
  },
  /** What a commission takes of the studio: hours of hands, and how much of each item. */
  taken(inputs: PlanInputs): Taken {
    const plan = planner(inputs)
    const { timetable } = plan
    const boxes = packingOf(plan, inputs.commission, inputs.workshop.pieceBoxes).boxes.length
    return {
      hours: timetable.ok
        ? timetable.value.slots
            .filter((slot) => slot.hands && slot.state !== 'done')
            .map(({ from, to }) => ({ from, to }))
        : [],
      needs: needsOf(plan, inputs.commission, inputs.workshop.prices, boxes).map(
        ({ item, amount }) => [item, amount.value] as const,
      ),
    }
  },
  /** Only when to start, and how likely that holds: a whole plan is much to hand over. */
  tried(inputs: PlanInputs): Tried {
    const { timetable, cautions } = planner(inputs)
    return timetable.ok
      ? { startBy: timetable.value.startBy, chance: timetable.value.risk.chance.value, problem: '' }
      : { startBy: null, chance: null, problem: cautions.find(({ severity }) => severity === 'stop')?.say ?? '' }
  },
  /**
   * @param known the number of the last answer that is still known; 0 for none. Only what changed is handed over:
   * copying a whole plan would make the page wait.
   * @param tellAhead told of figures that hang on no hour, before hours are found
   */
  deriveChanges(inputs: PlanInputs, known: number, tellAhead: (figures: readonly TallyFigure[]) => void): Answer {
    const plan = planner(inputs, tellAhead)
    const before = last?.number === known ? last : null
    last = { plan, number: (last?.number ?? 0) + 1 }
    return { changes: changesFrom(before?.plan ?? null, plan), since: before?.number ?? 0, number: last.number }
  },
}

export type PlanWorker = typeof worker

serve(worker)
