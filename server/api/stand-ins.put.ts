import { createError, defineEventHandler, readBody } from 'h3'
import { standInsChangeSchema, switchStandIns } from '../simulate/standIns'

/** Switches the stand-ins to faults, or back. */
export default defineEventHandler(async (event) => {
  const asked = standInsChangeSchema.safeParse(await readBody(event))
  if (!asked.success) throw createError({ statusCode: 400, statusMessage: 'unknown stand-in or fault' })
  return switchStandIns(asked.data)
})
