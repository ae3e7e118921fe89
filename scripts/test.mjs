// Everything that must hold: types, lint, unit tests, end-to-end tests. Ends with one line that counts the tests.
import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import {
  bin,
  checkNode,
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  ensurePageReader,
  findChromium,
  npm,
  root,
} from './setup.mjs'

checkNode()
ensureInstalled()
ensureChromium()
ensurePageReader()

const reports = mkdtempSync(join(tmpdir(), 'lamellon-tests-'))
const failures = []

function step(name, command, args, env = {}) {
  console.log(`\n— ${name}`)
  const began = Date.now()
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
  console.log(`  ${name}: ${status === 0 ? 'good' : 'FAILED'}, ${Math.round((Date.now() - began) / 1000)} s`)
  if (status !== 0) failures.push(name)
}

/** A step beside another: what it prints is shown when it has ended. */
function stepBeside(name, command, args) {
  const began = Date.now()
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: process.env })
    const printed = []
    child.stdout.on('data', (bytes) => printed.push(bytes))
    child.stderr.on('data', (bytes) => printed.push(bytes))
    child.on('error', (reason) => printed.push(Buffer.from(String(reason))))
    child.on('close', (status) => {
      console.log(`\n— ${name}\n${Buffer.concat(printed)}`)
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

// Each of the two keeps one core busy; both read what is prepared first.
step('prepare', bin('nuxt'), ['prepare', '--logLevel', 'silent'])
await Promise.all([
  stepBeside('types', npm, ['run', '--silent', 'types']),
  stepBeside('lint', npm, ['run', '--silent', 'lint']),
])
step('unit', bin('vitest'), [
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${join(reports, 'unit.json')}`,
])
ensureBuilt()
step('end-to-end', bin('playwright'), ['test'], {
  CHROMIUM_PATH: findChromium(),
  PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'end-to-end.json'),
})

const unit = readReport('unit.json')
const endToEnd = readReport('end-to-end.json')
rmSync(reports, { recursive: true, force: true })

const passed = (unit?.numPassedTests ?? 0) + (endToEnd?.stats.expected ?? 0)
const failed = (unit?.numFailedTests ?? 0) + (endToEnd?.stats.unexpected ?? 0) + (endToEnd?.stats.flaky ?? 0)
if (failures.length > 0) console.log(`\nNot good: ${failures.join(', ')}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failures.length > 0 || failed > 0 || passed === 0 ? 1 : 0)
