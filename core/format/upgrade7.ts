/**
 * What version 7 asks besides version 6: when a skin is glued on, filling and handing over as work of their own, the
 * chance that a plan is made for.
 */
import { STARTING_PACE } from '../schedule'
import { TECHNIQUES, type Glued } from '../technique'
import { STARTING_WORKSHOP } from '../workshop'
import { filled, isRecord, recordsOf, type Loose } from './looseRecords'

const gluedOf = (technique: unknown): Glued =>
  (TECHNIQUES as readonly { readonly id: string; readonly skin?: Glued }[]).find(({ id }) => id === technique)?.skin ??
  'afterStacking'

const isDecoration = ({ technique, composition, cutting }: Loose): boolean =>
  typeof technique === 'string' && isRecord(composition) && isRecord(cutting)

/** Whoever had photographed the cake had handed it over too. */
function withHandOver(bench: Loose): Loose {
  const tasks = recordsOf(bench.tasks)
  const last = tasks.find(({ task }) => task === 'photograph')
  if (!last || typeof last.doneAt !== 'number' || tasks.some(({ task }) => task === 'handOver')) return {}
  const { doneAt } = last
  return { tasks: [...tasks, { ...last, task: 'handOver', name: 'Set up and hand over', begunAt: doneAt }] }
}

/** Anything of version 6, or of what an edit of it changed, as version 7 had it. */
export const from6 = (value: unknown): unknown =>
  filled(
    value,
    (own) => ({
      ...(isDecoration(own) && { glued: gluedOf(own.technique) }),
      ...('packMin' in own && 'loadMin' in own && { ...STARTING_PACE }),
      ...('pace' in own && 'ovenPlaces' in own && { readyChance: STARTING_WORKSHOP.readyChance }),
    }),
    (own) => (Array.isArray(own.tasks) && 'timers' in own ? withHandOver(own) : {}),
  )
