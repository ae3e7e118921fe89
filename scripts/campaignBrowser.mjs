// A browser that is killed again and again in the middle of edits, and two windows that edit the same studio.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from 'playwright-core'
import { ARGUMENTS, launched } from './browserToKill.mjs'
import { findChromium, freePort, startServer } from './setup.mjs'

const EDITS_EACH = 10

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
  try {
    for (let kill = 0; kill <= kills; kill += 1) {
      const { page, kill: killBrowser } = await launched(folder)
      await page.goto(`${address}/brief`)
      if (kill === 0) await page.getByTestId('start-bare').click()
      await driveField(page).waitFor()
      if (accepted !== null) {
        const there = minutesIn(await driveField(page).inputValue())
        if (there !== accepted && there !== tried)
          findings.push(`kill ${kill}: ${there} min are there, ${accepted} were accepted, ${tried} tried`)
      }
      if (kill === kills) {
        await killBrowser()
        break
      }
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
    server.kill()
    rmSync(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 100 })
  }
  return findings
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
    await pages[0].getByTestId('start-bare').click()
    await driveField(pages[0]).waitFor()
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
