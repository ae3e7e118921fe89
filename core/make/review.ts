/** A job looked back at: what was planned against what came of it, and what to change. */
import { TROUBLES } from '../care'
import { workedMin, type Bench } from '../ledger'
import type { Run } from '../learn'
import type { Plan } from '../plan'
import { dayClockText, printDuration, type Moment, percent } from '../quantity'
import { countedParts } from './parts'

/**
 * One line of a review. `off` is how far it came out from what was planned, as a share of it; none where that says
 * nothing.
 */
type ReviewLine = {
  readonly what: string
  readonly planned: string
  readonly actual: string
  readonly off: number | null
}

/** What to change, and why. */
type Lesson = { readonly words: string; readonly because: string }

export type Review = { readonly lines: readonly ReviewLine[]; readonly lessons: readonly Lesson[] }

const CLEARLY_OFF = 0.2
const off = (planned: number, actual: number): number | null => (planned > 0 ? actual / planned - 1 : null)

/**
 * Planned against actual for a job that was begun; null before.
 * @param runs what the ledger holds of this commission
 */
export function reviewOf(plan: Plan, bench: Bench, runs: readonly Run[], now: Moment): Review | null {
  const { planned } = bench
  if (!planned) return null
  const parts = countedParts(plan, bench)
  const broken = parts.reduce((sum, part) => sum + part.broken, 0)
  const done = bench.tasks.filter(({ doneAt, skipped }) => doneAt !== null && skipped === null)
  const worked = done.reduce((sum, record) => sum + workedMin(record, now), 0)
  const doneSteps = new Set(done.map(({ task }) => task))
  const firstAt = Math.min(...bench.tasks.map(({ begunAt }) => begunAt))
  const again = bench.recuts.reduce((sum, { many }) => sum + many, 0)
  const sheetsNow = plan.sheets.reduce((sum, { needed }) => sum + needed.value, 0)
  const standard = runs.reduce((sum, { standardMin }) => sum + standardMin, 0)
  const timed = runs.reduce((sum, { minutes }) => sum + minutes, 0)
  const lines: readonly ReviewLine[] = [
    {
      what: 'begun',
      planned: planned.startBy === null ? 'no hour' : `by ${dayClockText(planned.startBy)}`,
      actual: Number.isFinite(firstAt) ? dayClockText(firstAt) : 'not yet',
      off: null,
    },
    {
      what: 'hands',
      planned: printDuration(planned.handsMin),
      actual: `${printDuration(worked)} in ${doneSteps.size} steps`,
      off: null,
    },
    {
      what: 'hands, timed steps against starting values',
      planned: printDuration(standard),
      actual: printDuration(timed),
      off: runs.length > 0 ? off(standard, timed) : null,
    },
    {
      what: 'sheets',
      planned: String(planned.sheets),
      actual: String(sheetsNow),
      off: off(planned.sheets, sheetsNow),
    },
    {
      what: 'pieces',
      planned: `${planned.pieces}, ${planned.spares} spare`,
      actual: `${planned.pieces + again} cut, ${broken} broken`,
      off: null,
    },
    {
      what: 'breakage',
      planned: percent(planned.spares / Math.max(1, planned.pieces)),
      actual: percent(broken / Math.max(1, planned.pieces + again)),
      off: null,
    },
    ...(bench.handedOver
      ? [
          {
            what: 'handed over',
            planned: plan.timetable.ok ? dayClockText(plan.timetable.value.atVenueBy) : '',
            actual: dayClockText(bench.handedOver.at),
            off: null,
          },
        ]
      : []),
    ...(bench.review
      ? [
          {
            what: 'colour',
            planned: 'as shown',
            actual: { spotOn: 'spot on', close: 'close', off: 'off' }[bench.review.colour],
            off: null,
          },
        ]
      : []),
  ]
  return { lines, lessons: lessonsOf(bench, runs, broken, planned.spares) }
}

function lessonsOf(bench: Bench, runs: readonly Run[], broken: number, spares: number): readonly Lesson[] {
  const slow = runs
    .map(({ name, minutes, standardMin }) => ({ name, off: minutes / standardMin - 1 }))
    .filter(({ off: each }) => Math.abs(each) > CLEARLY_OFF)
    .sort((one, other) => Math.abs(other.off) - Math.abs(one.off))
    .slice(0, 3)
  const left = bench.tasks.filter(({ skipped }) => skipped !== null)
  return [
    ...slow.map(({ name, off: each }): Lesson => ({
      words: each > 0 ? `Plan more time for “${name}”` : `“${name}” needs less time than planned`,
      because: `it took ${percent(Math.abs(each))} ${each > 0 ? 'longer' : 'less'}; plans go by it once it was timed often enough`,
    })),
    ...(bench.recuts.length > 0
      ? [
          {
            words: 'More spares of what was cut again',
            because: `${bench.recuts.reduce((sum, { many }) => sum + many, 0)} pieces were cut again`,
          },
        ]
      : []),
    ...(broken === 0 && spares > 0 && bench.handedOver ? [{ words: 'Fewer spares', because: 'nothing broke' }] : []),
    ...bench.troubles.flatMap(({ seen, cause }): readonly Lesson[] => {
      const trouble = TROUBLES.find(({ id }) => id === seen)
      const found = trouble?.causes.find(({ id }) => id === cause)
      return trouble && found ? [{ words: found.next, because: `${trouble.seen.toLowerCase()}: ${found.words}` }] : []
    }),
    ...left.map(({ name, skipped }): Lesson => ({ words: `“${name}” was left out`, because: skipped ?? '' })),
  ]
}
