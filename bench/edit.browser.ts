import { expect, test } from '@playwright/test'

const EDITS = 20

test('from an edit to new figures on the screen, demo, in Chromium', async ({ page }) => {
  await page.goto('/arrange')
  await expect(page.getByTestId('tally-sails')).toBeVisible()
  const times = await page.evaluate(async (edits) => {
    const slider = document.querySelector<HTMLInputElement>('[data-testid="sweep-seenHeightMm"] input[type="range"]')!
    const tally = document.querySelector('[aria-label="Tally"]')!
    const measured: number[] = []
    for (let edit = 0; edit < edits; edit += 1) {
      const changed = new Promise<number>((resolve) => {
        const before = tally.textContent
        const watcher = new MutationObserver(() => {
          if (tally.textContent === before) return
          watcher.disconnect()
          requestAnimationFrame(() => resolve(performance.now()))
        })
        watcher.observe(tally, { subtree: true, childList: true, characterData: true })
      })
      const began = performance.now()
      slider.value = String(edit % 2 === 0 ? 70 + edit : 140 - edit)
      slider.dispatchEvent(new Event('input', { bubbles: true }))
      measured.push(await changed - began)
      await new Promise((resolve) => setTimeout(resolve, 150))
    }
    return measured.sort((one, other) => one - other)
  }, EDITS)
  const at = (share: number): string => times[Math.floor((times.length - 1) * share)]!.toFixed(0)
  console.log(`edit to new figures on the screen: median ${at(0.5)} ms, nine in ten under ${at(0.9)} ms, longest ${at(1)} ms (${EDITS} edits; aim 100 ms)`)
})

test('script sent at first load', async ({ page }) => {
  let bytes = 0
  const client = await page.context().newCDPSession(page)
  await client.send('Network.enable')
  const scripts = new Set<string>()
  client.on('Network.responseReceived', ({ requestId, type, response }) => { if (type === 'Script' || response.mimeType.includes('javascript')) scripts.add(requestId) })
  client.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => { if (scripts.has(requestId)) bytes += encodedDataLength })
  await page.goto('/arrange')
  await expect(page.getByTestId('tally-sails')).toBeVisible()
  await page.waitForTimeout(500)
  console.log(`script at first load, without the worker: ${(bytes / 1000).toFixed(0)} kB as sent (aim 300 kB)`)
})
