/** A decorator who has never seen Lamellon: how many touches and typed values it takes to a plan that can be trusted. */
import type { Locator, Page } from '@playwright/test'
import { addDecoration, expect, figureOf, ownStudio, settled, test, turnTo } from './studio'

const MOST_CLICKS = 12
const MOST_TYPED = 4
const MOST_WEDDING_CLICKS = 60

/** Counts what a hand does: clicks, and values typed into fields. */
async function counting(page: Page): Promise<() => Promise<{ readonly clicks: number; readonly typed: number }>> {
  await page.addInitScript(() => {
    const counted = { clicks: 0, typed: 0 }
    Object.assign(window, { counted })
    // A key on a button clicks it too, without a place.
    window.addEventListener(
      'click',
      ({ isTrusted, detail }) => {
        counted.clicks += isTrusted && detail > 0 ? 1 : 0
      },
      true,
    )
    window.addEventListener(
      'change',
      ({ isTrusted }) => {
        counted.typed += isTrusted ? 1 : 0
      },
      true,
    )
  })
  return () => page.evaluate(() => (window as unknown as { counted: { clicks: number; typed: number } }).counted)
}

/** A plan that can be trusted: it says when to start and what to buy, and nothing in it stops. */
async function isTrusted(page: Page): Promise<void> {
  await settled(page)
  expect(await figureOf(page, 'startBy')).toMatch(/\d\d:\d\d/)
  await expect(page.getByTestId('tally-warnings')).not.toContainText('something stops the plan')
  await turnTo(page, 'Supply')
  await expect(page.getByTestId('shopping').getByRole('listitem').first()).toBeVisible()
  await expect(page.getByTestId('shopping')).not.toContainText('no price')
  await turnTo(page, 'Timetable')
  await expect(page.getByTestId('agenda').getByRole('listitem').first()).toBeVisible()
}

const FIRST_CAKES = [
  'Soaked sail',
  'Torn ruffle',
  'Open bloom',
  'Laminated leaves',
  'Butterfly',
  'Folded globe',
  'Strip scroll',
  'Fabric bow',
  'Gathered fan',
]

for (const technique of FIRST_CAKES)
  test(`a first plan of a cake with ${technique.toLowerCase()} takes a dozen touches at most`, async ({ page }) => {
    const counted = await counting(page)
    await ownStudio(page)
    await page.getByTestId('new-name').fill('First cake')
    await addDecoration(page, technique)
    await isTrusted(page)
    const { clicks, typed } = await counted()
    expect([clicks > 0 && clicks <= MOST_CLICKS, typed <= MOST_TYPED]).toEqual([true, true])
  })

test('a wedding of three tiers with five decorations takes sixty touches at most', async ({ page }) => {
  const counted = await counting(page)
  await ownStudio(page)
  await page.getByRole('button', { name: 'Three tiers', exact: true }).click()
  for (const technique of ['Soaked sail', 'Open bloom', 'Laminated leaves', 'Torn ruffle', 'Butterfly']) {
    await addDecoration(page, technique)
    await settled(page)
  }
  await isTrusted(page)
  const { clicks, typed } = await counted()
  expect([clicks > 0 && clicks <= MOST_WEDDING_CLICKS, typed <= MOST_TYPED]).toEqual([true, true])
})

const MOST_STEPS = 400

/** Goes on with the Tab key until something has the focus. */
async function tabTo(page: Page, wanted: Locator): Promise<void> {
  await expect(wanted).toBeVisible()
  for (let step = 0; step < MOST_STEPS; step += 1) {
    await page.keyboard.press('Tab')
    if (await wanted.evaluate((element) => element === document.activeElement)) return
  }
  throw new Error(`The Tab key never came to ${String(wanted)}.`)
}

test('a cake is begun, cut another way, taken back, and planned to its hours by the keyboard alone', async ({
  page,
}) => {
  await ownStudio(page)
  await tabTo(page, page.getByTestId('new-name'))
  await page.keyboard.type('By keys')
  await tabTo(page, page.getByTestId('what-goes-on').getByRole('button', { name: /^Folded globe/ }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Folded globe' })).toBeVisible()
  const leaf = (name: string): Locator =>
    page.getByRole('navigation', { name: 'Leaves' }).getByRole('link', { name: new RegExp(`^${name}`) })
  await tabTo(page, leaf('Cut'))
  await page.keyboard.press('Enter')
  const way = page.getByTestId(/^way-/).first()
  await tabTo(page, way)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('listbox')).toBeVisible()
  await page.keyboard.press('End')
  await page.keyboard.press('Enter')
  await expect(way).toContainText('Cutting machine')
  await expect(way).toBeFocused()
  await tabTo(page, page.getByRole('button', { name: /^Undo/ }))
  await page.keyboard.press('Enter')
  await expect(way).toContainText('as advised')
  await tabTo(page, leaf('Supply'))
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('shopping').getByRole('listitem').first()).toBeVisible()
  await tabTo(page, leaf('Timetable'))
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('agenda').getByRole('listitem').first()).toBeVisible()
  await tabTo(page, page.getByTestId('tally-startBy'))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toHaveCount(0)
})
