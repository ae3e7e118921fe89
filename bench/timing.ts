import type { Page } from '@playwright/test'

/** How long edits take, ms, the quickest first: to the first new figures, and to all of them, hours among them. */
export type EditTimes = { readonly first: readonly number[]; readonly all: readonly number[] }

/** Moves a slider again and again, and times each from the input to new figures on the screen. */
export const timeEdits = (page: Page, slider: string, values: readonly number[]): Promise<EditTimes> =>
  page.evaluate(
    async ([selector, all]) => {
      const input = document.querySelector<HTMLInputElement>(selector as string)!
      const tally = document.querySelector('[data-testid="tally"]')!
      const once = (isSo: () => boolean): Promise<number> =>
        new Promise((resolve) => {
          const watcher = new MutationObserver(() => {
            if (!isSo()) return
            watcher.disconnect()
            requestAnimationFrame(() => resolve(performance.now()))
          })
          watcher.observe(tally, { subtree: true, childList: true, characterData: true, attributes: true })
        })
      const measured: { first: number[]; all: number[] } = { first: [], all: [] }
      for (const value of all as readonly number[]) {
        const before = tally.textContent
        const first = once(() => tally.textContent !== before)
        const whole = once(() => tally.textContent !== before && tally.getAttribute('aria-busy') === 'false')
        const began = performance.now()
        input.value = String(value)
        input.dispatchEvent(new Event('input', { bubbles: true }))
        measured.first.push((await first) - began)
        measured.all.push((await whole) - began)
        await new Promise((resolve) => setTimeout(resolve, 150))
      }
      const sorted = (times: number[]): number[] => times.sort((one, other) => one - other)
      return { first: sorted(measured.first), all: sorted(measured.all) }
    },
    [slider, values] as const,
  )

/** Times as a line to read: the middle one, nineteen in twenty, the longest. */
export function timesText(times: readonly number[]): string {
  const at = (share: number): string => times[Math.floor((times.length - 1) * share)]!.toFixed(0)
  return `median ${at(0.5)} ms, nineteen in twenty under ${at(0.95)} ms, longest ${at(1)} ms (${times.length} times`
}

/** Both times of edits, a line each. */
export const editText = (what: string, { first, all }: EditTimes, aimMs: number): string =>
  [
    `${what}, to the first new figures on the screen: ${timesText(first)}; aim ${aimMs} ms)`,
    `${what}, to all of them, hours among them: ${timesText(all)})`,
  ].join('\n')
