import { defineEventHandler } from 'h3'
import { ownDevices } from '../asked/browser'
import { sentJson } from '../asked/json'
import { refused } from '../asked/refused'
import { standInsChangeSchema } from '../simulate/standIns'

/** Switches the stand-ins to faults, or back. */
export default defineEventHandler(async (event) => {
  const devices = ownDevices(event)
  const asked = standInsChangeSchema.safeParse(await sentJson(event))
  if (!asked.success) throw refused(422, 'There is no such stand-in or fault.')
  devices.standIns = { ...devices.standIns, ...asked.data }
  return devices.standIns
})
