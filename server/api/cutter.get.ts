import { createError, defineEventHandler } from 'h3'
import { machineReport } from '../simulate/cutting'

/** What the cutting machine is doing. */
export default defineEventHandler(() => {
  const report = machineReport(Date.now())
  if (!report) throw createError({ statusCode: 503, statusMessage: 'no line to the machine' })
  return report
})
