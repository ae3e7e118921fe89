import { defineEventHandler } from 'h3'
import { ownDevices } from '../asked/browser'

/** Which faults the stand-ins are switched to. */
export default defineEventHandler((event) => ownDevices(event).standIns)
