/** The one cutting machine of this server, as it is now. */
import type { MachineJob, MachineOrder, MachineReport } from '#core/cut'
import { cutterAt, EMPTY_CUTTER, loaded, ordered, reportOf, type Cutter } from './cutter'
import { standIns } from './standIns'

let cutter: Cutter = EMPTY_CUTTER

const faultNow = (): MachineReport['fault'] => {
  const { cutter: fault } = standIns()
  return fault === 'blade' || fault === 'slip' ? fault : null
}

function now(nowMs: number): Cutter {
  cutter = cutterAt(cutter, nowMs, faultNow())
  return cutter
}

/** What it reports; null when its line is lost: it goes on without anybody hearing of it. */
export const machineReport = (nowMs: number): MachineReport | null => {
  const state = now(nowMs)
  return standIns().cutter === 'lost' ? null : reportOf(state)
}

/** Gives it a job or an order. @returns its report, or null when it does not take it now */
export function tellMachine(told: MachineJob | MachineOrder, nowMs: number): MachineReport | null {
  const next = typeof told === 'string' ? ordered(now(nowMs), told, nowMs) : loaded(now(nowMs), told, nowMs)
  if (!next) return null
  cutter = next
  return reportOf(cutter)
}
