import type { Page } from '@playwright/test'
import { roundTier } from '../core/cake'
import { newCommission, startingDecoration, type Commission, type Decoration } from '../core/commission'
import { demoCommission, demoWorkshop } from '../core/demo'
import { writeCommissionFile } from '../core/format'
import { parseMoment, valueOf } from '../core/quantity'
import { TECHNIQUES } from '../core/technique'
import { STARTING_WORKSHOP, type Workshop } from '../core/workshop'
import { badWords } from './check/badWords'
import { expect, test, turnTo, whole } from './studio'

const NOW = valueOf(parseMoment('2026-11-24T09:00'))
const LEAVES = ['Brief', 'Tiers', 'Arrange', 'Cut', 'Tint', 'Dry', 'Timetable', 'Supply', 'Make', 'Deliver', 'Learn']
const JOBS = 5
const TIERS = [roundTier('low', 240, 120), roundTier('middle', 180, 110), roundTier('high', 120, 100)]

/** Every technique on one of five cakes; on every second of them as few of each as may be. */
function jobs(): readonly (readonly [Commission, Workshop])[] {
  const made = Array.from({ length: JOBS }, (_, at): readonly [Commission, Workshop] => {
    const base = newCommission(`words-${at}`, NOW)
    const tiers = TIERS.slice(0, 1 + (at % 3))
    const decorations = TECHNIQUES.filter((_technique, place) => place % JOBS === at).map(
      ({ id }, place): Decoration => {
        const begun = startingDecoration(`words-${at}-${place}`, id, tiers)
        return at % 2 === 0 && 'count' in begun.composition
          ? ({ ...begun, composition: { ...begun.composition, count: 1 } } as Decoration)
          : begun
      },
    )
    const option = { ...base.options[0]!, cake: { ...base.options[0]!.cake, tiers }, decorations }
    return [{ ...base, brief: { ...base.brief, name: `Job ${at}` }, options: [option] }, STARTING_WORKSHOP]
  })
  return [...made, [demoCommission(NOW), demoWorkshop()]]
}

async function read(page: Page, [commission, workshop]: readonly [Commission, Workshop]): Promise<readonly string[]> {
  await page.getByTestId('file-input').setInputFiles({
    name: 'job.lamellon.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeCommissionFile({ commission, workshop })),
  })
  await page.getByTestId('take-file').click()
  await expect(page.getByTestId('studio-menu')).toContainText(commission.brief.name)
  await whole(page)
  const found: string[] = []
  for (const leaf of LEAVES) {
    await turnTo(page, leaf)
    await whole(page)
    await page.locator('main details').evaluateAll((folds) => folds.forEach((fold) => fold.setAttribute('open', '')))
    const text = `${await page.getByRole('main').innerText()}\n${await page.getByTestId('tally').innerText()}`
    found.push(...badWords(text).map((words) => `${commission.brief.name}, ${leaf}, ${words}`))
  }
  return found
}

for (const [units, from] of [
  ['metric', 0],
  ['imperial', 1],
] as const)
  test(`every leaf of three commissions, ${units}, reads as somebody would write it`, async ({ page }) => {
    await page.addInitScript((wanted) => localStorage.setItem('lamellon.units', wanted), units)
    await page.goto('/brief')
    await expect(page.getByTestId('tally-warnings')).toBeVisible()
    const found: string[] = []
    for (const job of jobs().filter((_, at) => at % 2 === from)) found.push(...(await read(page, job)))
    expect(found).toEqual([])
  })
