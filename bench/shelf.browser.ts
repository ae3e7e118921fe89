/** A studio of many years: how soon its shelf is there, how soon another commission is, and what a page keeps of them. */
import { expect, test, type Page } from '@playwright/test'
import type { Commission } from '../core/commission'
import { demoCommission } from '../core/demo'
import { MINUTES_PER_DAY, momentText, parseMoment, valueOf } from '../core/quantity'
import { timesText } from './timing'

const MANY = 500
const EDITS_EACH = 20
const DAYS_APART = 4
/** So many are still to come; the others were handed over. */
const TO_COME = 30
const SWITCHES = 16
const NOW = valueOf(parseMoment('2026-11-24T09:00'))

/** The demo's cake again and again, one event every few days. */
function commissions(): readonly Commission[] {
  return Array.from({ length: MANY }, (_, at): Commission => {
    const made = demoCommission(NOW)
    const eventAt = NOW + 9 * 60 + (TO_COME - at) * DAYS_APART * MINUTES_PER_DAY
    const handedOver = eventAt < NOW ? { at: eventAt - 60, by: 'studio', to: 'host', notes: '' } : null
    return {
      ...made,
      id: `many-${at}`,
      brief: { ...made.brief, name: `Order ${at}`, eventAt: momentText(eventAt) },
      bench: { ...made.bench, handedOver },
    }
  })
}

/** Lays commissions with a history each into the browser's database, as they would lie there. */
async function laidIn(page: Page, all: readonly Commission[]): Promise<void> {
  await page.evaluate(
    async ([commissions, edits]) => {
      const database = await new Promise<IDBDatabase>((resolve, reject) => {
        const opening = indexedDB.open('lamellon')
        opening.onsuccess = () => resolve(opening.result)
        opening.onerror = () => reject(new Error(String(opening.error)))
      })
      const laying = database.transaction(['commissions', 'history'], 'readwrite')
      for (const commission of commissions) {
        laying.objectStore('commissions').put({ id: commission.id, revision: 1, savedAt: 1, archived: 0, commission })
        for (let edit = 0; edit < edits; edit += 1)
          laying.objectStore('history').put({
            id: `${commission.id} ${edit}`,
            of: commission.id,
            at: edit,
            label: 'drive',
            undone: false,
            changes: [{ kind: 'field', path: ['commission', 'brief', 'driveMin'], from: edit, to: edit + 1 }],
          })
      }
      await new Promise((resolve) => {
        laying.oncomplete = resolve
      })
      database.close()
    },
    [all, EDITS_EACH] as const,
  )
}

const entries = (page: Page) => page.locator('[data-testid="shelf"] > li')

/** What a page keeps, collected, MB. */
async function keptMb(page: Page): Promise<number> {
  const session = await page.context().newCDPSession(page)
  await session.send('HeapProfiler.collectGarbage')
  const { usedSize } = await session.send('Runtime.getHeapUsage')
  await session.detach()
  return usedSize / 2 ** 20
}

test('a shelf of five hundred commissions with their histories', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('lamellon.studio', 'own'))
  await page.goto('/new')
  await page.getByTestId('start-bare').click()
  await expect(page.getByTestId('tally')).toHaveAttribute('data-unsaved', '0')
  await laidIn(page, commissions())

  const opened: number[] = []
  for (let again = 0; again < 3; again += 1) {
    await page.goto('/brief')
    await expect(page.getByTestId('tally-warnings')).toBeVisible()
    opened.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const began = performance.now()
            const look = (): void => {
              if (document.querySelectorAll('[data-testid="shelf"] > li').length > 9) resolve(performance.now() - began)
              else requestAnimationFrame(look)
            }
            dispatchEvent(new KeyboardEvent('keydown', { key: 'h' }))
            look()
          }),
      ),
    )
    await expect(entries(page)).toHaveCount(30)
  }
  console.log(`from a key to a shelf of ${MANY}: ${timesText(opened.sort((one, other) => one - other))}; aim 1000 ms)`)

  const switched: number[] = []
  const kept: number[] = []
  for (let turn = 0; turn < SWITCHES; turn += 1) {
    const entry = entries(page).nth(turn % 8)
    switched.push(
      await entry.getByRole('button', { name: /^Open/ }).evaluate(
        (button, called) =>
          new Promise<number>((resolve) => {
            const began = performance.now()
            // Nothing is told of a commission before its own figures are there.
            const look = (): void => {
              const isThere =
                location.pathname === '/arrange' &&
                document.querySelector('[data-testid="studio-menu"]')?.textContent?.includes(called) &&
                document.querySelector('[data-testid="tally-warnings"]')
              if (isThere) resolve(performance.now() - began)
              else requestAnimationFrame(look)
            }
            ;(button as HTMLElement).click()
            look()
          }),
        (await entry.getByRole('heading').getByRole('button').innerText()).trim(),
      ),
    )
    await page.keyboard.press('h')
    await expect(entries(page)).toHaveCount(30)
    if (turn % 8 === 7) kept.push(await keptMb(page))
  }
  console.log(
    `from a commission to another's figures: ${timesText(switched.sort((one, other) => one - other))}; aim 300 ms)`,
  )
  console.log(`what the page keeps after every eight commissions, MB: ${kept.map((each) => each.toFixed(1)).join(' ')}`)
})
