import { getRequestHeader, type H3Event } from 'h3'
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

/**
 * What was sent. What is too large is not kept; it is let go by while the answer is read, for who sends it hears nothing
 * before. What takes too long is broken off.
 */
async function sentText(event: H3Event): Promise<string> {
  const { req } = event.node
  let isLate = false
  const late = setTimeout(() => {
    isLate = true
    req.destroy()
  }, MOST_MS)
  req.once('close', () => clearTimeout(late))
  const tooLarge = () => {
    req.resume()
    return refused(413, 'That is too large.')
  }
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > MOST_BYTES) throw tooLarge()
  const chunks: Buffer[] = []
  let bytes = 0
  try {
    for await (const chunk of req.iterator({ destroyOnReturn: false }) as AsyncIterable<Buffer>) {
      bytes += chunk.length
      if (bytes > MOST_BYTES) throw tooLarge()
      chunks.push(chunk)
    }
  } catch (reason) {
    throw isLate ? refused(408, 'That came too slowly.') : reason
  }
  clearTimeout(late)
  return Buffer.concat(chunks).toString('utf8')
}
