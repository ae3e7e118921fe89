import type { Page } from '@playwright/test'

/**
 * Moves a slider again and again, and times each from the input to new figures in the tally, ms, the quickest first.
 */
export const timeEdits = (page: Page, slider: string, values: readonly number[]): Promise<readonly number[]> =>
  page.evaluate(
    async ([selector, all]) => {
      const input = document.querySelector<HTMLInputElement>(selector as string)!
      const tally = document.querySelector('[aria-label="Tally"]')!
      const measured: number[] = []
      for (const value of all as readonly number[]) {
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
        input.value = String(value)
        input.dispatchEvent(new Event('input', { bubbles: true }))
        measured.push((await changed) - began)
        await new Promise((resolve) => setTimeout(resolve, 150))
      }
      return measured.sort((one, other) => one - other)
    },
    [slider, values] as const,
  )

/** Times as a line to read: the middle one, nineteen in twenty, the longest. */
export function timesText(times: readonly number[]): string {
  const at = (share: number): string => times[Math.floor((times.length - 1) * share)]!.toFixed(0)
  return `median ${at(0.5)} ms, nineteen in twenty under ${at(0.95)} ms, longest ${at(1)} ms (${times.length} edits`
}
