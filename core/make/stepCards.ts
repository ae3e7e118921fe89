/**
 * The work of a job as one does it: a card for each task, with its amounts, what to do, what to watch, what can hurt,
 * its timers.
 */

import { recordOf, type Bench } from '../ledger'
import { type Plan } from '../plan'
import { found, type Working } from '../quantity'
import { type Slot, type TaskOf } from '../schedule'
import { NOTHING, ledgerOf, type StepCard, type Wanted, type Told } from './card/card'
import { nameOf, makeCard, type InWork } from './card/benchCard'
import { coverCard, fillCard, picksCard, placeCard, stackCard } from './card/cakeCard'

/** Everything to do by hand, in the order of the timetable; a task that is done in parts stands once. */
export function stepCards(wanted: Wanted): readonly StepCard[] {
  const { plan, commission } = wanted
  if (!plan.timetable.ok) return []
  const seen = new Set<string>()
  const { slots } = plan.timetable.value
  return slots
    .filter(({ hands, task }) => hands && task !== null)
    .flatMap((slot): readonly StepCard[] => {
      const task = slot.task!
      if (seen.has(task)) return []
      seen.add(task)
      const parts = slots.filter((each) => each.task === task && each.hands)
      const minutes = parts.reduce((sum, { from, to }) => sum + to - from, 0)
      const at = placeInWork(task, slot.of, plan)
      return [
        {
          task,
          kind: slot.kind,
          of: slot.of,
          name: at
            ? nameOf(at)
            : (plan.work.making.flatMap(({ again }) => again).find((each) => each.task === task)?.name ?? slot.name),
          from: slot.from,
          to: parts.at(-1)!.to,
          planned: plannedOf(slot, at, plan) ?? found(slot.name, minutes, 'duration', 'of the timetable'),
          record: recordOf(commission.bench, task),
          ...toldOf(slot, at, wanted),
        },
      ]
    })
}

function placeInWork(task: string, of: TaskOf | null, { work, decorations }: Plan): InWork | null {
  const making = of && work.making.find(({ decoration }) => decoration === of.decoration)
  const step = making?.steps.find(({ id }) => id === of!.step)
  const turn = step?.turns.find((each) => each.task === task)
  const made = decorations.find(({ id }) => id === of?.decoration)
  return making && step && turn && made ? { making, made, step, turn, of: of! } : null
}

function plannedOf({ kind, task }: Slot, at: InWork | null, { work }: Plan): Working | null {
  if (at) return at.turn.hands
  switch (kind) {
    case 'fill':
    case 'cover':
      // Tiers may be done in several sittings: the slot has its own minutes.
      return null
    case 'stack':
    case 'place':
    case 'picksOut':
    case 'photograph':
    case 'pack':
    case 'loadCar':
    case 'handOver':
      return work[kind]
    default:
      return work.making.flatMap(({ again }) => again).find((each) => each.task === task)?.hands ?? null
  }
}

function toldOf(slot: Slot, at: InWork | null, wanted: Wanted): Told {
  const { plan } = wanted
  if (at) return makeCard(at, wanted)
  const onCake = { kind: 'cake' } as const
  switch (slot.kind) {
    case 'make':
      return { ...NOTHING, say: ['All steps once more, for the pieces that broke.'], picture: onCake }
    case 'fill':
      return fillCard(wanted, slot)
    case 'cover':
      return coverCard(wanted, slot)
    case 'stack':
      return stackCard(wanted)
    case 'place':
      return placeCard(wanted)
    case 'picksOut':
      return picksCard(wanted)
    case 'pack':
      return {
        ...NOTHING,
        say: [
          'Everything set hard and cool first. Box by box as Deliver lists it, a bag of desiccant in each; ' +
            'repair kit last, on top.',
        ],
        ledger: ledgerOf('packMin', plan.work.pack, plan),
        picture: onCake,
      }
    case 'loadCar':
      return {
        ...NOTHING,
        say: [
          'Level floor, non-slip mat, boxes braced. Cool the car before the cake goes in.',
          'Tick the checklist in Deliver before you close the door.',
        ],
        ledger: ledgerOf('loadMin', plan.work.loadCar, plan),
        picture: onCake,
      }
    case 'photograph':
      return {
        ...NOTHING,
        say: ['Front at eye level, a step back, then details, before anything is closed.'],
        ledger: ledgerOf('photographMin', plan.work.photograph, plan),
        picture: onCake,
      }
    case 'handOver':
      return {
        ...NOTHING,
        say: [
          'Level table, out of sun. Look it over at arm’s length, hand over removal list and care card, have them signed.',
        ],
        ledger: ledgerOf('handOverMin', plan.work.handOver, plan),
        picture: onCake,
      }
    case 'drive':
      return { ...NOTHING, say: ['Gently. The cake on the floor of the car, never on a seat.'], picture: onCake }
    default:
      return { ...NOTHING, picture: onCake }
  }
}

/** The card to do next: what somebody is at, else the first that is neither done nor waits for something. */
export function nextCard(cards: readonly StepCard[], bench: Bench): StepCard | null {
  const open = cards.filter(({ record }) => record === null || record.doneAt === null)
  const isAt = ({ record }: StepCard): boolean => record !== null && record.doneAt === null && record.pausedAt === null
  const lastBegun = [...bench.tasks]
    .reverse()
    .find(({ doneAt, pausedAt }) => doneAt === null && pausedAt === null)?.task
  return open.find((card) => isAt(card) && card.task === lastBegun) ?? open.find(isAt) ?? open[0] ?? null
}
