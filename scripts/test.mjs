// Everything that must hold: types, lint, unit tests, end-to-end tests. Ends with one line that counts the tests.
import { spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bin, checkNode, ensureInstalled, findChromium, npm, root } from './setup.mjs'

checkNode()
ensureInstalled()

const reports = mkdtempSync(join(tmpdir(), 'lamellon-tests-'))
const failures = []

/** A step that others may run beside: what it prints is shown at once, or when it has ended. */
function step(name, command, args, { env = {}, isBeside = false } = {}) {
  if (!isBeside) console.log(`\n— ${name}`)
  const began = Date.now()
  return new Promise((resolve) => {
    const stdio = isBeside ? ['ignore', 'pipe', 'pipe'] : 'inherit'
    const child = spawn(command, args, { cwd: root, stdio, env: { ...process.env, ...env } })
    const printed = []
    child.stdout?.on('data', (bytes) => printed.push(bytes))
    child.stderr?.on('data', (bytes) => printed.push(bytes))
    child.on('error', (reason) => printed.push(Buffer.from(String(reason))))
    child.on('close', (status) => {
      if (isBeside) console.log(`\n— ${name}`)
      if (printed.length > 0) console.log(String(Buffer.concat(printed)))
      console.log(`  ${name}: ${status === 0 ? 'good' : 'FAILED'}, ${Math.round((Date.now() - began) / 1000)} s`)
      if (status !== 0) failures.push(name)
      resolve()
    })
  })
}

function readReport(name) {
  try {
    return JSON.parse(readFileSync(join(reports, name), 'utf8'))
  } catch {
    failures.push(`${name} was not written`)
    return null
  }
}

// Types and rules keep a core each busy, and read what is prepared first; the system's packages wait for a network.
await step('prepare', bin('nuxt'), ['prepare', '--logLevel', 'silent'])
await Promise.all([
  step('packages', process.execPath, [join(root, 'scripts/systemPackages.mjs')], { isBeside: true }),
  step('types', npm, ['run', '--silent', 'types:prepared'], { isBeside: true }),
  step('lint', npm, ['run', '--silent', 'lint'], { isBeside: true }),
])
// Building leaves a core idle most of the time.
await Promise.all([
  step('build', process.execPath, [join(root, 'scripts/build.mjs')], { isBeside: true }),
  step('unit', bin('vitest'), [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(reports, 'unit.json')}`,
  ]),
])
await step('end-to-end', bin('playwright'), ['test'], {
  env: {
    CHROMIUM_PATH: findChromium(),
    PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'end-to-end.json'),
  },
})

const unit = readReport('unit.json')
const endToEnd = readReport('end-to-end.json')
rmSync(reports, { recursive: true, force: true })

const passed = (unit?.numPassedTests ?? 0) + (endToEnd?.stats.expected ?? 0)
const failed = (unit?.numFailedTests ?? 0) + (endToEnd?.stats.unexpected ?? 0) + (endToEnd?.stats.flaky ?? 0)
if (failures.length > 0) console.log(`\nNot good: ${failures.join(', ')}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failures.length > 0 || failed > 0 || passed === 0 ? 1 : 0)
