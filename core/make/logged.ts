/** What the ledger learns by itself from the bench: how long hands took, what broke, when things were dry. */
import { DRYING_CASES, type Climate, type DryingCaseId, type DryingWay } from '../dry'
import type { PlannedDecoration } from '../decoration'
import { recordOf, workedMin, type Bench } from '../ledger'
import type { DryingTrial, Run } from '../learn'
import type { Moment } from '../quantity'
import type { OnFormer } from './formerBoard'
import type { StepCard } from './card/card'

/** Shorter than this nothing was timed: it was ticked after it was done. */
const LEAST_TIMED = 0.2

/**
 * A step that was done, for the ledger; nothing where its speed is not learned, where it was left out, or where it
 * was only ticked.
 * Pieces are told once, where they come out finished: those of its technique that no run of the commission has told
 * before.
 *
 * @param parts every part of the job, by technique
 * @param runs what the ledger holds already
 */
export function runOf(
  { task, name, ledger, counts }: StepCard,
  bench: Bench,
  parts: readonly string[],
  runs: readonly Run[],
  about: { readonly commission: string; readonly room: string; readonly id: string },
  at: Moment,
): Run | null {
  const record = recordOf(bench, task)
  if (!record || record.doneAt === null || record.skipped !== null || !ledger) return null
  const minutes = workedMin(record, at)
  if (minutes < ledger.standardMin * LEAST_TIMED) return null
  const told = runs.filter(
    ({ commission, technique }) =>
      commission === about.commission && technique !== '' && technique === counts?.technique,
  )
  const came = (what: 'good' | 'broken'): number =>
    Math.max(
      0,
      parts.reduce((sum, part) => sum + (bench.counts[part]?.[what] ?? 0), 0) -
        told.reduce((sum, run) => sum + run[what], 0),
    )
  const [good, broken] = counts?.finishes ? [came('good'), came('broken')] : [0, 0]
  return {
    id: about.id,
    at,
    room: about.room,
    odd: false,
    step: ledger.step,
    name,
    commission: about.commission,
    standardMin: ledger.standardMin,
    minutes,
    technique: counts && good > 0 ? counts.technique : '',
    good,
    broken: good > 0 ? broken : 0,
  }
}

/** What is learned of: film that dried where it was laid. */
const CASE_OF_FILM: Readonly<Partial<Record<DryingWay, DryingCaseId>>> = { mat: 'filmMat', oven: 'filmOven' }

/** A drying for the ledger: soft when it was last felt, ready now. None of what moved to a rack or dried in moved air. */
export function dryingOf(
  on: OnFormer,
  { drying, paper, thicknessMm }: Pick<PlannedDecoration, 'drying' | 'paper' | 'thicknessMm'>,
  air: Climate,
  about: { readonly room: string; readonly id: string },
  now: Moment,
): DryingTrial | null {
  const what = CASE_OF_FILM[drying.way]
  if (on.soaked === null || !what) return null
  const readyAtMin = Math.max(1, Math.round(now - on.since))
  return {
    id: about.id,
    at: now,
    room: about.room,
    odd: false,
    paper,
    thicknessMm,
    what,
    airC: air.airC,
    humidity: air.humidity,
    softAtMin: on.feltAfterMin === null || on.feltAfterMin > readyAtMin ? null : on.feltAfterMin,
    readyAtMin: DRYING_CASES[what].kind === 'film' ? readyAtMin : null,
  }
}
