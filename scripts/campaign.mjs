// Tries to break Lamellon: damaged files over every reader, a browser that is killed in the middle, a server under load.
// npm run campaign [-- --inputs 20000 --kills 200 --from 0 --without browser,server,files] [-- --only 1234]
import { spawn } from 'node:child_process'
import { cpus } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { checkNode, ensureBuilt, ensureChromium, ensureInstalled, root } from './setup.mjs'

checkNode()
ensureInstalled()
const { values } = parseArgs({
  options: {
    inputs: { type: 'string', default: '20000' },
    from: { type: 'string', default: '0' },
    kills: { type: 'string', default: '200' },
    only: { type: 'string' },
    without: { type: 'string', default: '' },
  },
})
const [from, inputs] = [Number(values.from), Number(values.inputs)]
const without = values.without.split(',')
/** What keeps a processor longer is a hang. */
const HANG_MS = 1000
/** After so long a process that says nothing is ended, and the input it was at is a hang. */
const SILENT_MS = 30_000
const EDITS_IN_WINDOWS = 200
const ROUNDS_SPOILED = 40

const counts = new Map()
const findings = []
const longest = []

function note({ input, became, says, readMs, number }) {
  const [reader] = input.split(' ')
  const of = counts.get(reader) ?? {}
  counts.set(reader, { ...of, [became]: (of[became] ?? 0) + 1 })
  if (says) findings.push(`${input}: ${became}: ${says}`)
  if (readMs > HANG_MS) findings.push(`${input}: took ${readMs} ms`)
  longest.push({ input, readMs, number })
  longest.sort((one, other) => other.readMs - one.readMs)
  longest.length = Math.min(longest.length, 5)
}

/** A process that tries every so many inputs; one that hangs is ended, and another goes on behind that input. */
function runInputs(first, last, step) {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [join(root, 'scripts/campaignInputs.mjs'), first, last, step].map(String), {
      // Libraries speak on the usual ways out.
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    })
    let at = first
    let silent = setTimeout(hangs, SILENT_MS * 4)
    let hung = false
    function hangs() {
      hung = true
      child.kill('SIGKILL')
    }
    child.on('message', (line) => {
      clearTimeout(silent)
      silent = setTimeout(hangs, SILENT_MS)
      if (line.begun === undefined) note(line)
      else at = line.begun
    })
    child.on('close', (code) => {
      clearTimeout(silent)
      if (code === 0) return resolve()
      findings.push(`input ${at}: ${hung ? 'hung' : `ended the process (${code})`}`)
      resolve(runInputs(at + step, last, step))
    })
  })
}

const began = Date.now()
if (values.only !== undefined) await runInputs(Number(values.only), Number(values.only) + 1, 1)
else if (!without.includes('files')) {
  const processes = Math.min(cpus().length, 4)
  await Promise.all(Array.from({ length: processes }, (_, at) => runInputs(from + at, from + inputs, processes)))
}
console.log(`\nDamaged files, numbers ${from} to ${from + inputs - 1}, ${Math.round((Date.now() - began) / 1000)} s:`)
console.table(Object.fromEntries(counts))
console.log(`longest to read and plan: ${longest.map(({ input, readMs }) => `${input} ${readMs} ms`).join(', ')}`)
for (const finding of findings) console.log(finding)
console.log(`${findings.length} findings. One of them again: npm run campaign -- --only NUMBER`)

if (values.only === undefined && !without.includes('browser')) {
  ensureChromium()
  ensureBuilt()
  const { killFindings, memoryFindings, storageFindings, windowFindings } = await import('./campaignBrowser.mjs')
  const seed = from + 1
  for (const finding of [
    ...(await windowFindings(EDITS_IN_WINDOWS, seed)),
    ...(await killFindings(Number(values.kills), seed)),
    ...(await storageFindings(ROUNDS_SPOILED, seed)),
    ...(await memoryFindings(50, 500)),
  ]) {
    findings.push(finding)
    console.log(finding)
  }
}
if (values.only === undefined && !without.includes('server')) {
  ensureBuilt()
  const { serverFindings } = await import('./campaignServer.mjs')
  for (const finding of await serverFindings()) {
    findings.push(finding)
    console.log(finding)
  }
}
console.log(`\nIn all ${findings.length} findings.`)
process.exitCode = findings.length > 0 ? 1 : 0
