import { expect, test } from '@playwright/test'
import { timeEdits, timesText } from './timing'

const EDITS = 20

test('from an edit to new figures on the screen, demo, in Chromium', async ({ page }) => {
  await page.goto('/arrange')
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  const slider = '[data-testid="parameter-seenMm"] input[type="range"]'
  await expect(page.locator(slider)).toBeVisible()
  const times = await timeEdits(
    page,
    slider,
    Array.from({ length: EDITS }, (_, edit) => (edit % 2 === 0 ? 70 + edit : 140 - edit)),
  )
  console.log(`edit to new figures on the screen: ${timesText(times)}; aim 100 ms)`)
})

test('script sent at first load', async ({ page }) => {
  let bytes = 0
  const client = await page.context().newCDPSession(page)
  await client.send('Network.enable')
  const scripts = new Set<string>()
  client.on('Network.responseReceived', ({ requestId, type, response }) => {
    if (type === 'Script' || response.mimeType.includes('javascript')) scripts.add(requestId)
  })
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength
  })
  await page.goto('/arrange')
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  await page.waitForTimeout(500)
  console.log(`script at first load, without the worker: ${(bytes / 1000).toFixed(0)} kB as sent (aim 300 kB)`)
})

test('from a key to another leaf on the screen', async ({ page }) => {
  await page.goto('/brief')
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  const keys = ['2', '3', '4', '5', '6', '7', 's', '8', '9', '0', '1']
  for (const turn of ['first time', 'again']) {
    const times: number[] = []
    for (const key of keys)
      times.push(
        await page.evaluate(
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
        ),
      )
    console.log(
      `from a key to another leaf, ${turn}: ${timesText(times.sort((one, other) => one - other))}; aim 200 ms)`,
    )
  }
})
