// A browser that is killed again and again in the middle of edits, and two windows that edit the same studio.
import { mkdtempSync, readdirSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from 'playwright-core'
import { ARGUMENTS, launched } from './browserToKill.mjs'
import { findChromium, freePort, startServer } from './setup.mjs'

const EDITS_EACH = 10
const MEMORY_MAY_GROW = 1.1
/** How a folder is removed: the browser's last processes may still write in it. */
const GONE = { recursive: true, force: true, maxRetries: 20, retryDelay: 100 }

/** Numbers from 0 up to 1 by a seed, so that a run can be made again. */
function streamOf(seed) {
  let state = seed
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

const driveField = (page) => page.getByRole('main').getByLabel('Drive', { exact: true })
const isSaved = (page) => page.locator('[data-testid="tally"][data-unsaved="0"]').waitFor({ state: 'attached' })

/** Begins a commission; the page where one begins has a field for the drive too. */
async function startBare(page) {
  await page.getByTestId('start-bare').click()
  await page.getByTestId('start-bare').waitFor({ state: 'hidden' })
  await driveField(page).waitFor()
}

/** Whether a page comes to an empty studio, not to the figures of a commission. */
async function beginsEmpty(page) {
  const empty = page.getByTestId('start-bare')
  await empty.or(page.getByTestId('tally-warnings')).waitFor()
  return empty.isVisible()
}

async function drive(page, minutes) {
  await driveField(page).fill(`${minutes} min`)
  await driveField(page).press('Enter')
}

/** Minutes that a field shows: “1 h 17”, “45 min”. */
function minutesIn(text) {
  const hours = /(\d+) h/.exec(text)?.[1] ?? 0
  const rest = /h (\d+)|(\d+) min/.exec(text)
  return Number(hours) * 60 + Number(rest?.[1] ?? rest?.[2] ?? 0)
}

/**
 * Kills a browser in the middle of edits and looks at what is there afterwards. An edit counts as accepted once the
 * figures say that nothing waits to be saved.
 * @returns what was found, a sentence each
 */
export async function killFindings(kills, seed) {
  const stream = streamOf(seed)
  const { server, address } = await startServer(await freePort())
  const folder = mkdtempSync(join(tmpdir(), 'lamellon-kills-'))
  const findings = []
  let accepted = null
  let tried = null
  let edits = 0
  let value = 10
  let killLast = () => Promise.resolve()
  try {
    for (let kill = 0; kill <= kills; kill += 1) {
      const { page, kill: killBrowser } = await launched(folder)
      killLast = killBrowser
      await page.goto(`${address}/brief`)
      const isEmpty = await beginsEmpty(page)
      if (isEmpty) await startBare(page)
      if (accepted !== null) {
        const there = isEmpty ? 'no' : minutesIn(await driveField(page).inputValue())
        if (there !== accepted && there !== tried)
          findings.push(`kill ${kill}: ${there} min are there, ${accepted} were accepted, ${tried} tried`)
      }
      if (kill === kills) break
      for (let edit = 0; edit < EDITS_EACH; edit += 1) {
        value = 10 + ((value - 9) % 160)
        tried = value
        await drive(page, value)
        edits += 1
        // The last one of them is cut short at any moment.
        if (edit === EDITS_EACH - 1) await new Promise((resolve) => setTimeout(resolve, stream() * 40))
        else {
          await isSaved(page)
          accepted = value
        }
      }
      await killBrowser()
    }
    console.log(`\n${edits} edits, ${kills} kills of the browser: ${findings.length} findings`)
  } finally {
    await killLast()
    server.kill()
    rmSync(folder, GONE)
  }
  return findings
}

/** What can happen to what a browser keeps, while it does not run: files of its database gone, cut short or changed. */
const SPOILED = {
  'all gone': (files) => files.forEach((file) => rmSync(file)),
  'one gone': (files, stream) => rmSync(chosen(files, stream)),
  'cut short': (files, stream) => {
    const file = chosen(files, stream)
    truncateSync(file, Math.floor(statSync(file).size * stream()))
  },
  'changed'(files, stream) {
    const file = chosen(files, stream)
    const bytes = readFileSync(file)
    for (let times = 0; times < 20 && bytes.length > 0; times += 1)
      bytes[Math.floor(stream() * bytes.length)] = Math.floor(stream() * 256)
    writeFileSync(file, bytes)
  },
}
const chosen = (files, stream) => files[Math.floor(stream() * files.length)]

/** All files in which a browser keeps the studio. */
const keptFiles = (folder) =>
  readdirSync(join(folder, 'Default', 'IndexedDB'), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map(({ parentPath, name }) => join(parentPath, name))

/**
 * Spoils what the browser keeps between two starts. What was kept may be lost then: but the page must come to the
 * commission, to an empty studio, or to a sentence that says what is wrong, and an empty studio must take a commission.
 * @returns what was found, a sentence each
 */
export async function storageFindings(rounds, seed) {
  const stream = streamOf(seed)
  const { server, address } = await startServer(await freePort())
  const findings = []
  const cameTo = new Map()
  try {
    for (let round = 0; round < rounds; round += 1) {
      const folder = mkdtempSync(join(tmpdir(), 'lamellon-spoiled-'))
      const begun = await launched(folder)
      await begun.page.goto(`${address}/brief`)
      await startBare(begun.page)
      for (const minutes of [20, 30, 40]) await drive(begun.page, minutes)
      await isSaved(begun.page)
      await begun.kill()
      const [what, spoil] = Object.entries(SPOILED)[round % Object.keys(SPOILED).length]
      spoil(keptFiles(folder), stream)
      const again = await launched(folder)
      const wrong = []
      again.page.on('pageerror', (error) => wrong.push(error.message))
      await again.page.goto(`${address}/brief`)
      const mayCome = {
        'the commission': again.page.getByTestId('tally-warnings'),
        'an empty studio': again.page.getByTestId('start-bare'),
        'a sentence': again.page.getByTestId('studio-trouble'),
      }
      const [commission, empty, trouble] = Object.values(mayCome)
      let came = 'nothing'
      await commission
        .or(empty)
        .or(trouble)
        .first()
        .waitFor()
        .catch(() => wrong.push('nothing came'))
      for (const [name, locator] of Object.entries(mayCome)) if (await locator.isVisible()) came = name
      if (await again.page.getByText('brought back from a spare copy').isVisible()) came += ' from its spare copy'
      cameTo.set(came, (cameTo.get(came) ?? 0) + 1)
      if (came === 'an empty studio') {
        await empty.click()
        await isSaved(again.page).catch(() => wrong.push('a new commission was not kept'))
      }
      if (came === 'nothing' || wrong.length > 0)
        findings.push(`storage ${what}, round ${round}: came to ${came} ${wrong.join('; ')}`)
      await again.kill()
      rmSync(folder, GONE)
    }
    const all = [...cameTo].map(([came, times]) => `${times} times to ${came}`).join(', ')
    console.log(`\n${rounds} times storage spoiled: came ${all}: ${findings.length} findings`)
  } finally {
    server.kill()
  }
  return findings
}

/** Edits a field of a page so many times, each once the one before is saved. */
async function editsIn([field, from, to]) {
  const isSavedNow = () => document.querySelector('[data-testid="tally"]')?.dataset.unsaved === '0'
  for (let edit = from; edit <= to; edit += 1) {
    field.focus()
    field.value = `${10 + (edit % 160)} min`
    field.dispatchEvent(new Event('input', { bubbles: true }))
    field.dispatchEvent(new Event('change', { bubbles: true }))
    field.blur()
    await new Promise((resolve) => setTimeout(resolve, 20))
    while (!isSavedNow()) await new Promise((resolve) => setTimeout(resolve, 5))
  }
}

/**
 * Edits by the hundred in one page: what it keeps in memory, collected, must not grow with them.
 * @returns what was found, a sentence each
 */
export async function memoryFindings(few, many) {
  const { server, address } = await startServer(await freePort())
  const browser = await chromium.launch({ executablePath: findChromium(), args: ARGUMENTS })
  try {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    const page = await context.newPage()
    await page.goto(`${address}/brief`)
    await startBare(page)
    const session = await context.newCDPSession(page)
    const keptAfter = async () => {
      await session.send('HeapProfiler.collectGarbage')
      return (await session.send('Runtime.getHeapUsage')).usedSize / 2 ** 20
    }
    const kept = []
    const field = await driveField(page).elementHandle()
    for (const [from, to] of [
      [1, few],
      [few + 1, many],
    ]) {
      // In the page itself: what drives it from outside leaves traces of its own there with every edit.
      await page.evaluate(editsIn, [field, from, to])
      kept.push(await keptAfter())
    }
    const [before, after] = kept
    const says = `${before.toFixed(1)} MB after ${few} edits, ${after.toFixed(1)} MB after ${many}`
    console.log(`\n${says}`)
    return after > before * MEMORY_MAY_GROW ? [`memory: ${says}`] : []
  } finally {
    await browser.close()
    server.kill()
  }
}

/** Two windows that change different things at any moments. @returns what was found, a sentence each */
export async function windowFindings(edits, seed) {
  const stream = streamOf(seed)
  const { server, address } = await startServer(await freePort())
  const browser = await chromium.launch({ executablePath: findChromium(), args: ARGUMENTS })
  const findings = []
  try {
    const context = await browser.newContext({ serviceWorkers: 'block' })
    const pages = [await context.newPage(), await context.newPage()]
    await pages[0].goto(`${address}/brief`)
    await startBare(pages[0])
    await isSaved(pages[0])
    await pages[1].goto(`${address}/brief`)
    await driveField(pages[1]).waitFor()
    const fields = ['Drive', 'Occasion']
    const last = ['', '']
    for (let at = 0; at < edits; at += 2) {
      await Promise.all(
        pages.map(async (page, which) => {
          await new Promise((resolve) => setTimeout(resolve, stream() * 60))
          const text = which === 0 ? `${10 + (at % 49)} min` : `supper ${at}`
          const field = page.getByRole('main').getByLabel(fields[which], { exact: true })
          await field.fill(text)
          await field.press('Enter')
          last[which] = text
        }),
      )
    }
    for (const page of pages) {
      await isSaved(page)
      for (const [which, label] of fields.entries()) {
        const field = page.getByRole('main').getByLabel(label, { exact: true })
        await page
          .waitForFunction(([element, text]) => element.value === text, [await field.elementHandle(), last[which]])
          .catch(async () => findings.push(`“${label}” is “${await field.inputValue()}”, not “${last[which]}”`))
      }
    }
    console.log(`\n${edits} edits in two windows: ${findings.length} findings`)
  } finally {
    await browser.close()
    server.kill()
  }
  return findings
}
