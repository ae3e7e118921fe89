import { getRequestHeader, setResponseHeader, type H3Event } from 'h3'
import { refused } from './refused'

/** The largest sheet for a machine is smaller than this. */
const MOST_BYTES = 4_000_000
const MOST_MS = 10_000

/**
 * What was sent, as JSON.
 * @throws 415 for what is not JSON, 413 for what is too large, 408 for what comes too slowly, 400 for what cannot be read
 */
export async function sentJson(event: H3Event): Promise<unknown> {
  const type = getRequestHeader(event, 'content-type')?.split(';')[0]?.trim().toLowerCase()
  if (type !== 'application/json') throw refused(415, 'JSON is expected.')
  const text = await sentText(event)
  try {
    return JSON.parse(text)
  } catch {
    throw refused(400, 'What was sent is no JSON.')
  }
}

/** What was sent; what is too large or too slow is not read to its end. */
async function sentText(event: H3Event): Promise<string> {
  const { req } = event.node
  const tooLarge = () => {
    setResponseHeader(event, 'connection', 'close')
    return refused(413, 'That is too large.')
  }
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > MOST_BYTES) throw tooLarge()
  let isLate = false
  const late = setTimeout(() => {
    isLate = true
    req.destroy()
  }, MOST_MS)
  const chunks: Buffer[] = []
  let bytes = 0
  try {
    for await (const chunk of req as AsyncIterable<Buffer>) {
      bytes += chunk.length
      if (bytes > MOST_BYTES) throw tooLarge()
      chunks.push(chunk)
    }
  } catch (reason) {
    throw isLate ? refused(408, 'That came too slowly.') : reason
  } finally {
    clearTimeout(late)
  }
  return Buffer.concat(chunks).toString('utf8')
}
