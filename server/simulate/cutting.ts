/** The one cutting machine of a browser, as it is now. */
import type { MachineJob, MachineOrder, MachineReport } from '#core/cut'
import { cutterAt, loaded, ordered, reportOf, type Cutter } from './cutter'
import type { Devices } from './devices'

const faultOf = ({ standIns: { cutter } }: Devices): MachineReport['fault'] =>
  cutter === 'blade' || cutter === 'slip' ? cutter : null

function now(devices: Devices, nowMs: number): Cutter {
  devices.cutter = cutterAt(devices.cutter, nowMs, faultOf(devices))
  return devices.cutter
}

/** What it reports; null when its line is lost: it goes on without anybody hearing of it. */
export function machineReport(devices: Devices, nowMs: number): MachineReport | null {
  const state = now(devices, nowMs)
  return devices.standIns.cutter === 'lost' ? null : reportOf(state)
}

/** Gives it a job or an order. @returns its report, or null when it does not take it now */
export function tellMachine(devices: Devices, told: MachineJob | MachineOrder, nowMs: number): MachineReport | null {
  const before = now(devices, nowMs)
  const next = typeof told === 'string' ? ordered(before, told, nowMs) : loaded(before, told, nowMs)
  if (!next) return null
  devices.cutter = next
  return reportOf(next)
}
