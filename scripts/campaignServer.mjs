// The server under ten thousand requests, good and bad: what it answers, and what memory it takes.
import { readFileSync } from 'node:fs'
import { freePort, startServer } from './setup.mjs'

const REQUESTS = 10_000
const AT_ONCE = 20
/** Memory may grow by so much of what it was after the first tenth. */
const MOST_GROWTH = 0.25
const LARGE = 'x'.repeat(5_000_000)

const json = (method, body, headers = {}) => ({
  method,
  body,
  headers: { 'content-type': 'application/json', ...headers },
})
/** What is asked, and what may be answered. */
const ASKED = [
  ['/', {}, 200],
  ['/mark.svg', {}, 200],
  ['/api/forecast?from=2026-11-29T09:00', {}, 200],
  ['/api/forecast?from=yesterday', {}, 422],
  ['/api/kettle', {}, 404],
  ['/api/stand-ins', { method: 'DELETE' }, 405],
  ['/api/cutter', json('POST', '{"order":'), 400],
  ['/api/cutter', json('POST', '{"order":"explode"}'), 422],
  ['/api/cutter', json('POST', '{"order":"clear"}', { origin: 'http://elsewhere.test' }), 403],
  ['/api/cutter', { method: 'POST', body: 'order=clear', headers: { 'content-type': 'text/plain' } }, 415],
]
const TOO_LARGE = ['/api/cutter', json('POST', LARGE), 413]

/** What the server takes, kB; unknown where the system does not tell. */
function memoryOf(pid) {
  try {
    return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1])
  } catch {
    return null
  }
}

/** @returns what was found, a sentence each */
export async function serverFindings() {
  const { server, address } = await startServer(await freePort())
  const findings = []
  let early = null
  let next = 0
  async function one() {
    for (let at = next++; at < REQUESTS; at = next++) {
      const [path, request, expected] = at % 500 === 499 ? TOO_LARGE : ASKED[at % ASKED.length]
      const answer = await fetch(address + path, request).catch((reason) => ({
        status: String(reason.cause ?? reason),
      }))
      await answer.arrayBuffer?.()
      if (answer.status !== expected)
        findings.push(`${request.method ?? 'GET'} ${path}: ${answer.status}, not ${expected}`)
      if (at === REQUESTS / 10) early = memoryOf(server.pid)
    }
  }
  try {
    await Promise.all(Array.from({ length: AT_ONCE }, one))
    const late = memoryOf(server.pid)
    console.log(`\n${REQUESTS} requests: memory ${early} kB after the first ${REQUESTS / 10}, ${late} kB at the end`)
    if (early !== null && late > early * (1 + MOST_GROWTH)) findings.push(`memory grew from ${early} to ${late} kB`)
  } finally {
    server.kill()
  }
  return [...new Set(findings)]
}
