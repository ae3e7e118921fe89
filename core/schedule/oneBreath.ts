/** Work as it is read, day by day: what is done in one breath is one line. */
import type { Slot } from './slots'

/** Less than that is no piece of work of its own when it follows on something. Minutes. */
const SHORT_MIN = 10
/** The grid on which work begins leaves so much between two pieces of work that follow on each other. */
const FOLLOWS_MIN = 5

/** A line of the day: one slot, or several that follow on each other. */
export type Breath = Pick<Slot, 'id' | 'kind' | 'name' | 'lane' | 'hands' | 'person' | 'from' | 'to'> & {
  readonly slots: readonly Slot[]
}

const isOneStep = ({ of: one }: Slot, { of: other }: Slot): boolean =>
  one !== null && other !== null && one.decoration === other.decoration && one.step === other.step

const isShort = ({ from, to }: Pick<Slot, 'from' | 'to'>): boolean => to - from < SHORT_MIN

/** Whether a slot goes on from a line: the next bit of its step, or too short to stand by itself, or it makes a short one whole. */
function goesOn(line: Breath, next: Slot): boolean {
  const before = line.slots.at(-1)!
  return (
    line.hands &&
    next.hands &&
    line.kind === 'make' &&
    next.kind === 'make' &&
    line.person === next.person &&
    next.from - line.to <= FOLLOWS_MIN &&
    (isOneStep(before, next) || isShort(next) || isShort(line))
  )
}

/**
 * Slots in the order of time, those in one breath joined: neighbouring bits of one step, and what takes less than ten
 * minutes with what it follows on. All slots are still there, in `slots`.
 */
export function inOneBreath(slots: readonly Slot[]): readonly Breath[] {
  const lines: Breath[] = []
  const latest = new Map<string | null, number>()
  for (const slot of slots) {
    const at = slot.hands ? latest.get(slot.person) : undefined
    const line = at === undefined ? undefined : lines[at]
    if (line && goesOn(line, slot)) {
      lines[at!] = { ...line, to: slot.to, name: `${line.name}; ${slot.name}`, slots: [...line.slots, slot] }
    } else {
      if (slot.hands) latest.set(slot.person, lines.length)
      const { id, kind, name, lane, hands, person, from, to } = slot
      lines.push({ id, kind, name, lane, hands, person, from, to, slots: [slot] })
    }
  }
  return lines
}
