import { createError, defineEventHandler, readBody } from 'h3'
import { checkMachineJob, machineSentence } from '#core/cut'
import { machineReport, tellMachine } from '../simulate/cutting'

/** Sends the cutting machine a sheet; it checks the job first. */
export default defineEventHandler(async (event) => {
  if (!machineReport(Date.now())) throw createError({ statusCode: 503, statusMessage: 'no line to the machine' })
  const job = checkMachineJob(await readBody(event))
  if (!job.ok)
    throw createError({ statusCode: 400, statusMessage: 'refused', data: { why: machineSentence(job.error) } })
  const report = tellMachine(job.value, Date.now())
  if (!report)
    throw createError({
      statusCode: 409,
      statusMessage: 'at work',
      data: { why: 'The machine is at work. Wait until it is done, or pause it and take the sheet out.' },
    })
  return report
})
