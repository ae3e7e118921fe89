import { createError, defineEventHandler, readBody } from 'h3'
import { z } from 'zod'
import { MACHINE_ORDERS } from '#core/cut'
import { machineReport, tellMachine } from '../simulate/cutting'

const orderSchema = z.strictObject({ order: z.enum(MACHINE_ORDERS) })

/** Tells the cutting machine to run, pause, go on, or to let the sheet go. */
export default defineEventHandler(async (event) => {
  if (!machineReport(Date.now())) throw createError({ statusCode: 503, statusMessage: 'no line to the machine' })
  const asked = orderSchema.safeParse(await readBody(event))
  if (!asked.success)
    throw createError({
      statusCode: 400,
      statusMessage: 'unknown order',
      data: { why: 'The machine does not know this order.' },
    })
  const report = tellMachine(asked.data.order, Date.now())
  if (!report)
    throw createError({ statusCode: 409, statusMessage: 'not now', data: { why: 'The machine cannot do that now.' } })
  return report
})
