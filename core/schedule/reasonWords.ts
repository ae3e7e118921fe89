import { dayClockText, printDuration } from '../quantity'
import { NEAR_MIN } from './freeTime'
import type { Slot, Timetable } from './slots'

/** Why a slot is no later, and how long it might wait before that, in words. None for what only lies and waits. */
export function reasonWords({ task, to }: Slot, { reasons, slots }: Timetable): string | null {
  const reason = reasons.find((each) => each.task === task)?.reason
  if (!task || !reason) return null
  const nameOf = (id: string | null): string => slots.find((each) => each.task === id)?.name ?? 'something else'
  const startOf = (id: string): number => Math.min(...slots.filter((each) => each.task === id).map(({ from }) => from))
  switch (reason.kind) {
    case 'end':
      return 'The event sets its hour.'
    case 'next': {
      const slack = startOf(reason.task) - reason.waitMin - to
      const wait = reason.waitMin > 0 ? `${printDuration(reason.waitMin)} before ` : 'before '
      return slack > NEAR_MIN
        ? `It could end ${printDuration(slack)} later; then it holds up “${nameOf(reason.task)}”.`
        : `It must be over ${wait}“${nameOf(reason.task)}”.`
    }
    case 'unit':
      return `The ${reason.resource} is wanted by “${nameOf(reason.task)}” from ${dayClockText(startOf(reason.task))}.`
    case 'hands':
      return reason.task ? `Later, hands are at “${nameOf(reason.task)}”.` : 'Later, nobody works.'
    case 'goesOff':
      return `“${nameOf(reason.task)}” before it would go off.`
    case 'pinned':
      return 'You put it at this hour.'
  }
}
