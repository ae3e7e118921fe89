import type { Page } from '@playwright/test'
import { expect, fromMenu, openLeaf, ownStudio, settled, tally, test, turnTo, whole } from './studio'

/** Touches and typed values up to a plan, counted as a person would. */
class Walk {
  clicks = 0
  typed = 0
  constructor(readonly page: Page) {}
  async click(testId: string): Promise<void> {
    await this.page.getByTestId(testId).click()
    this.clicks += 1
  }
  async type(testId: string, text: string): Promise<void> {
    await this.page.getByTestId(testId).fill(text)
    this.typed += 1
  }
  async leaf(name: string): Promise<void> {
    await turnTo(this.page, name)
    this.clicks += 1
  }
}

/** A first plan, and what is to be bought for it. */
async function firstPlan(page: Page): Promise<{ readonly figures: object; readonly shopping: string }> {
  await expect(page.getByTestId('new-commission')).toBeVisible()
  await page.getByTestId('add-tornRuffle').click()
  await expect(page.getByRole('heading', { level: 1, name: 'Torn ruffle' })).toBeVisible()
  const figures = await tally(page)
  await turnTo(page, 'Supply')
  await whole(page)
  return { figures, shopping: await page.getByRole('main').innerText() }
}

test('from an empty studio to a plan, an hour to start and a shopping list in a few touches', async ({ page }) => {
  await ownStudio(page)
  const walk = new Walk(page)
  await walk.type('new-name', 'Harbour Lights')
  await walk.type('new-event', '2026-12-19T17:00')
  await walk.click('add-openBloom')
  await settled(page)
  await expect(page.getByTestId('studio-menu')).toContainText('Harbour Lights')
  await expect(page.getByTestId('tally-startBy')).toContainText(/\d\d:\d\d/)
  await walk.leaf('Supply')
  await expect(page.getByRole('main')).toContainText('thin wafer')
  expect(walk.clicks).toBeLessThanOrEqual(12)
  expect(walk.typed).toBeLessThanOrEqual(4)
})

test('what goes on the cake is found by the words people use, on three tiers at a touch', async ({ page }) => {
  await ownStudio(page)
  await page.getByRole('button', { name: 'Three tiers' }).click()
  await page.getByTestId('look-for').fill('ribbon')
  await expect(page.getByTestId('what-goes-on').getByRole('listitem')).toHaveCount(1)
  await page.getByTestId('add-fabricBow').click()
  await settled(page)
  await expect(page.getByTestId('stand')).toHaveAttribute('aria-label', /3 tiers, 1 bow/)
  // The same pictures are behind Add.
  await page.getByTestId('add-decoration').click()
  await page.getByRole('dialog').getByTestId('look-for').fill('no such thing')
  await expect(page.getByRole('dialog')).toContainText('Nothing is called so here')
})

test('the demo is a studio of its own: what was done in it never touches one’s own, and goes with it', async ({
  page,
  browser,
  baseURL,
}) => {
  const fresh = await browser.newPage({
    baseURL: baseURL!,
    locale: 'en-GB',
    storageState: { cookies: [], origins: [] },
  })
  await fresh.clock.setSystemTime(new Date('2026-11-24T09:00:00'))
  await fresh.goto('/')
  const untouched = await firstPlan(fresh)
  await fresh.close()

  await openLeaf(page, 'dry')
  const before = await tally(page)
  const mats = page.getByTestId('formers').getByLabel('Mats')
  await mats.fill('1')
  await mats.press('Enter')
  await expect.poll(() => tally(page)).not.toEqual(before)
  await fromMenu(page, 'To your own studio')
  const own = await firstPlan(page)
  expect(own).toEqual(untouched)
  await expect(page.getByRole('main')).not.toContainText('Quillfinch')

  // It lies there as it was left, until it is put away.
  await fromMenu(page, 'Open the demo')
  await expect.poll(() => tally(page)).not.toEqual(before)
  await fromMenu(page, 'Put the demo away')
  await expect(page.getByTestId('studio-menu')).toContainText('New commission')
  await fromMenu(page, 'Open the demo')
  await expect.poll(() => tally(page)).toEqual(before)
})
