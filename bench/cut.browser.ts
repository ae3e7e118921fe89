import { expect, test } from '@playwright/test'

/** How long the page keeps somebody waiting while layouts are searched, and how soon a search ends. */
test('cut: answers while layouts are searched', async ({ page }) => {
  await page.goto('/cut')
  await expect(page.getByText(/Laying it closer, [1-9]\d* s/)).toBeVisible({ timeout: 60_000 })
  // Where it costs most: with sheets in view that are drawn anew.
  await page.getByTestId('cut-sheet').first().scrollIntoViewIfNeeded()
  await page.waitForTimeout(1000)
  const { waits, tasks } = await page.evaluate(async () => {
    const measured: number[] = []
    const tasks: number[] = []
    // Waits are longer than tasks where workers and painting share few cores.
    new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({
      type: 'longtask',
    })
    const until = performance.now() + 8000
    while (performance.now() < until) {
      const asked = performance.now()
      await new Promise((resolve) => setTimeout(resolve, 0))
      measured.push(performance.now() - asked)
    }
    return { waits: measured.sort((one, other) => one - other), tasks }
  })
  const stop = page.getByRole('button', { name: 'Stop' })
  const ended = await stop.evaluate(
    (button: HTMLButtonElement) =>
      new Promise<number>((resolve) => {
        const began = performance.now()
        new MutationObserver((_, watcher) => {
          watcher.disconnect()
          resolve(performance.now() - began)
        }).observe(button.parentElement!, { childList: true, subtree: true, characterData: true })
        button.click()
      }),
  )
  const at = (share: number): string => waits[Math.floor((waits.length - 1) * share)]!.toFixed(1)
  console.log(
    `while layouts are searched the page answers in ${at(0.5)} ms, 99 in 100 under ${at(0.99)} ms, longest ` +
      `${at(1)} ms; ${tasks.length} of its own tasks took 50 ms or ` +
      `more${tasks.length > 0 ? ` (${tasks.map((each) => each.toFixed(0)).join(', ')})` : ''}; ` +
      `a search ends ${ended.toFixed(0)} ms after Stop`,
  )
})
