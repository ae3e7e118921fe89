import { startingDecoration, type Commission, type Decoration } from '../core/commission'
import { expect, test, type Page } from '@playwright/test'
import { demoCommission, demoWorkshop } from '../core/demo'
import { writeCommissionFile } from '../core/format'
import { derivePlan } from '../core/plan'
import { parseMoment, valueOf } from '../core/quantity'
import type { CompositionKind, TechniqueId } from '../core/technique'

const NOW = valueOf(parseMoment('2026-11-24T09:00'))
const WANTED = 300
const FRAMES = 60
const TURNS = 200
const WIDE = { width: 1260, height: 800 }

/** The demo with more on it than anybody would put on a cake: some of every kind until there are enough. */
function crowded(): { readonly commission: Commission; readonly elements: number } {
  const demo = demoCommission(NOW)
  const [option] = demo.options
  const more = (
    id: string,
    technique: TechniqueId,
    kind: CompositionKind,
    composition: object,
    parameters: object,
  ): Decoration => {
    const base = startingDecoration(id, technique, option!.cake.tiers, kind)
    return {
      ...base,
      quiet: { ...base.quiet, others: false },
      composition: { ...base.composition, ...composition },
      parameters: { ...base.parameters, ...parameters },
    } as Decoration
  }
  const decorations = [
    ...option!.decorations,
    more(
      'moths-low',
      'butterfly',
      'scatter',
      { tier: 0, count: 60, gapMm: 0, spanDeg: 360, taper: 0.5 },
      { seenMm: 22 },
    ),
    more(
      'moths-high',
      'butterfly',
      'scatter',
      { tier: 2, count: 30, gapMm: 0, spanDeg: 360, taper: 0.5 },
      { seenMm: 20 },
    ),
    more('fans', 'gatheredFan', 'band', { tier: 1, fromMm: 90, toMm: 140, overlap: 0.5 }, { seenMm: 30 }),
    more(
      'formed-sails',
      'formedSail',
      'sweep',
      { fromAngleDeg: -170, toAngleDeg: 170, overlap: 0.6 },
      { seenMm: 46, widthMm: 42 },
    ),
    more('puffs', 'puff', 'cluster', { tier: 0, wideMm: 200, highMm: 70, overlap: 0.25 }, { seenMm: 24 }),
  ]
  const commission = { ...demo, options: [{ ...option!, decorations }, ...demo.options.slice(1)] }
  const plan = derivePlan({ commission, workshop: demoWorkshop(), now: NOW, units: 'metric' })
  return {
    commission,
    elements:
      plan.decorations.reduce((sum, { elements }) => sum + elements.length, 0) +
      plan.accents.reduce((sum, { elements }) => sum + elements.length, 0),
  }
}

/** Turns the stand picture by picture, each as soon as the one before is drawn. @returns how long each took, ms, sorted */
const turned = (page: Page, pictures: number): Promise<readonly number[]> =>
  page.evaluate(async (count) => {
    const dial = document.querySelector<HTMLInputElement>('aside input[type="range"]')!
    const stand = document.querySelector<HTMLElement>('[data-testid=stand-drawn]')!
    const times: number[] = []
    for (let picture = 0; picture < count; picture += 1) {
      const drawn = new Promise<void>((resolve) => {
        const watching = new MutationObserver(() => {
          watching.disconnect()
          resolve()
        })
        watching.observe(stand, { attributes: true, attributeFilter: ['data-took'] })
      })
      dial.value = String((picture % 340) - 170)
      dial.dispatchEvent(new Event('input', { bubbles: true }))
      await drawn
      times.push(Number(stand.dataset.took))
    }
    return times.sort((one, other) => one - other)
  }, pictures)

const share = (times: readonly number[], part: number): string =>
  times[Math.floor((times.length - 1) * part)]!.toFixed(0)
const drawn = (page: Page): Promise<void> =>
  expect(page.getByTestId('stand-drawn')).toHaveAttribute('data-drawn', 'yes')

async function told(page: Page, what: string): Promise<void> {
  const times = await turned(page, FRAMES)
  const size = await page.getByTestId('stand-drawn').boundingBox()
  console.log(
    `turning ${what}: median ${share(times, 0.5)} ms, nine in ten under ${share(times, 0.9)} ms, longest ` +
      `${share(times, 1)} ms a picture (${FRAMES} pictures of ${size!.width.toFixed(0)} × ${size!.height.toFixed(0)})`,
  )
}

test('the demo in depth: first picture, turning, memory', async ({ page }) => {
  await page.setViewportSize(WIDE)
  await page.goto('/brief')
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  const figures = Date.now()
  await drawn(page)
  console.log(`the full picture of the demo: ${Date.now() - figures} ms after the figures (aim 3 s)`)
  await told(page, 'the demo (aim 80 ms)')
  const session = await page.context().newCDPSession(page)
  const used = async (): Promise<number> => {
    await session.send('HeapProfiler.collectGarbage')
    return (await session.send('Runtime.getHeapUsage')).usedSize / 2 ** 20
  }
  await turned(page, TURNS)
  const before = await used()
  await turned(page, TURNS)
  console.log(`memory over ${TURNS} turns: ${before.toFixed(1)} MB before, ${(await used()).toFixed(1)} MB after`)
})

test('a crowded cake turned, picture by picture', async ({ page }) => {
  const { commission, elements } = crowded()
  expect(elements).toBeGreaterThanOrEqual(WANTED)
  await page.setViewportSize(WIDE)
  await page.goto('/brief')
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  await page.getByTestId('file-input').setInputFiles({
    name: 'crowded.lamellon.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeCommissionFile({ commission, workshop: demoWorkshop() })),
  })
  await page.getByTestId('take-file').click()
  await expect(page.getByTestId('tally')).toHaveAttribute('aria-busy', 'false')
  await drawn(page)
  await told(page, `${elements} elements (aim 120 ms)`)
})
