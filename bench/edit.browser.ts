import { expect, test, type Page } from '@playwright/test'
import { LEAF_TABS } from '../app/components/leaves'
import { editText, timeEdits, timesText } from './timing'

const EDITS = 40

test('from an edit to new figures on the screen, demo, in Chromium', async ({ page }) => {
  await page.goto('/arrange')
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  const slider = '[data-testid="parameter-seenMm"] input[type="range"]'
  await expect(page.locator(slider)).toBeVisible()
  const times = await timeEdits(
    page,
    slider,
    // Far enough from one to the next that some figure changes each time.
    Array.from({ length: EDITS }, (_, edit) => (edit % 2 === 0 ? 70 + (edit % 20) : 140 - (edit % 20))),
  )
  console.log(editText('an edit of the demo', times, 100))
})

/** Scripts a page has asked for by the time its figures are on the screen, kB as sent; workers bring their own. */
async function scriptUntilFigures(page: Page, leaf: string): Promise<number> {
  await page.addInitScript(() => {
    const seen = new MutationObserver(() => {
      if (!document.querySelector('[data-testid="tally-warnings"]')) return
      Object.assign(window, { figuresAt: performance.now() })
      seen.disconnect()
    })
    seen.observe(document, { childList: true, subtree: true })
  })
  await page.goto(`/${leaf}`)
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  return page.evaluate(() => {
    const { figuresAt } = window as unknown as { figuresAt: number }
    const scripts = (performance.getEntriesByType('resource') as PerformanceResourceTiming[]).filter(
      ({ name, startTime }) =>
        name.endsWith('.js') && !/\/(plan|solids|stills|nest)-[^/]*$/.test(name) && startTime <= figuresAt,
    )
    return scripts.reduce((sum, { encodedBodySize }) => sum + encodedBodySize, 0) / 1000
  })
}

test('script sent before the figures, by the leaf that is opened first', async ({ browser }) => {
  const sent: string[] = []
  for (const { leaf } of LEAF_TABS) {
    const page = await browser.newPage()
    sent.push(`${leaf} ${(await scriptUntilFigures(page, leaf)).toFixed(0)}`)
    await page.close()
  }
  console.log(`script before the figures, without workers, kB as sent (aim 300): ${sent.join(', ')}`)
})

/** From a key to the first frame that shows another heading, ms. */
const turnByKey = (page: Page, key: string): Promise<number> =>
  page.evaluate(
    (pressed) =>
      new Promise<number>((resolve) => {
        const before = document.querySelector('main h1')
        const began = performance.now()
        const look = (): void => {
          const shown = document.querySelector('main h1')
          if (shown && shown !== before) resolve(performance.now() - began)
          else requestAnimationFrame(look)
        }
        dispatchEvent(new KeyboardEvent('keydown', { key: pressed }))
        requestAnimationFrame(look)
      }),
    key,
  )

/** Who reads a leaf sees all of it, and the cake drawn, before the next is turned to. */
async function read(page: Page): Promise<void> {
  await expect(page.getByTestId('stand-drawn')).toHaveAttribute('data-drawn', 'yes')
  await expect(page.locator('main [data-later]')).toHaveCount(0)
}

for (const [pace, between] of [
  ['read one after the other', read],
  ['leafed through without a pause', () => Promise.resolve()],
] as const)
  test(`from a key to another leaf on the screen, ${pace}`, async ({ page }) => {
    await page.goto('/brief')
    await read(page)
    const keys = ['2', '3', '4', '5', '6', '7', 's', '8', '9', '0', '1']
    for (const turn of ['first time', 'again']) {
      const times: number[] = []
      for (const key of keys) {
        await between(page)
        times.push(await turnByKey(page, key))
      }
      console.log(
        `from a key to another leaf, ${pace}, ${turn}: ` +
          `${timesText(times.sort((one, other) => one - other))}; aim 200 ms)`,
      )
    }
  })
