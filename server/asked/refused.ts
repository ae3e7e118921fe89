import { createError, type H3Error } from 'h3'

/** A request that is not answered: the status, and why, in a sentence. */
export const refused = (statusCode: number, why: string): H3Error =>
  createError({ statusCode, statusMessage: why, data: { why } })
