import { defineEventHandler } from 'h3'
import { standIns } from '../simulate/standIns'

/** Which faults the stand-ins are switched to. */
export default defineEventHandler(() => standIns())
