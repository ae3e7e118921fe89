import { defineEventHandler } from 'h3'
import { checkMachineJob, machineSentence } from '#core/cut'
import { ownDevices } from '../asked/browser'
import { sentJson } from '../asked/json'
import { refused } from '../asked/refused'
import { machineReport, tellMachine } from '../simulate/cutting'

/** Sends the cutting machine a sheet; it checks the job first. */
export default defineEventHandler(async (event) => {
  const devices = ownDevices(event)
  if (!machineReport(devices, Date.now())) throw refused(503, 'There is no line to the machine.')
  const job = checkMachineJob(await sentJson(event))
  if (!job.ok) throw refused(422, machineSentence(job.error))
  const report = tellMachine(devices, job.value, Date.now())
  if (!report) throw refused(409, 'The machine is at work. Wait until it is done, or pause it and take the sheet out.')
  return report
})
