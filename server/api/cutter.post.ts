import { defineEventHandler } from 'h3'
import { z } from 'zod'
import { MACHINE_ORDERS } from '#core/cut'
import { ownDevices } from '../asked/browser'
import { sentJson } from '../asked/json'
import { refused } from '../asked/refused'
import { machineReport, tellMachine } from '../simulate/cutting'

const orderSchema = z.strictObject({ order: z.enum(MACHINE_ORDERS) })

/** Tells the cutting machine to run, pause, go on, or to let the sheet go. */
export default defineEventHandler(async (event) => {
  const devices = ownDevices(event)
  if (!machineReport(devices, Date.now())) throw refused(503, 'There is no line to the machine.')
  const asked = orderSchema.safeParse(await sentJson(event))
  if (!asked.success) throw refused(422, 'The machine does not know this order.')
  const report = tellMachine(devices, asked.data.order, Date.now())
  if (!report) throw refused(409, 'The machine cannot do that now.')
  return report
})
