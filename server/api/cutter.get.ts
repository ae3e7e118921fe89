import { defineEventHandler } from 'h3'
import { ownDevices } from '../asked/browser'
import { refused } from '../asked/refused'
import { machineReport } from '../simulate/cutting'

/** What the cutting machine is doing. */
export default defineEventHandler((event) => {
  const report = machineReport(ownDevices(event), Date.now())
  if (!report) throw refused(503, 'There is no line to the machine.')
  return report
})
