/** What every job does at the screen: its tiers, its decorations, the numbers that are typed. */
import type { Page } from '@playwright/test'
import { addDecoration, openFold, settled, startOwn, turnTo, pick, pickValue } from '../studio'

/** An own commission with one round tier of a size and covering, its board wide enough. */
export async function startJob(
  page: Page,
  tier: { readonly across: string; readonly high: string; readonly covering?: string; readonly board: string },
): Promise<void> {
  await startOwn(page)
  await turnTo(page, 'Tiers')
  const card = page.getByTestId('tier-1')
  await type(page, card.getByLabel('Across', { exact: true }), tier.across)
  await type(page, card.getByLabel('High', { exact: true }), tier.high)
  if (tier.covering) await pick(card.getByLabel('Covered with'), tier.covering)
  await type(page, page.getByRole('main').getByLabel('Board across', { exact: true }), tier.board)
  await settled(page)
}

/** Types into a field and leaves it. */
async function type(page: Page, field: ReturnType<Page['getByLabel']>, text: string): Promise<void> {
  await field.fill(text)
  await field.press('Enter')
  await settled(page)
}

/** Adds a decoration in Arrange. */
export async function add(page: Page, technique: string): Promise<void> {
  await turnTo(page, 'Arrange')
  await addDecoration(page, technique)
  await settled(page)
}

/** A number of where it stands (`place`) or of how it is made (`parameter`), typed. */
export async function say(page: Page, of: 'place' | 'parameter', key: string, text: string): Promise<void> {
  await openFold(page, of === 'place' ? 'where' : 'what')
  await type(page, page.getByTestId(`${of}-${key}`).locator('input').first(), text)
}

/** A choice of how it is made. */
export async function choose(page: Page, key: string, value: string): Promise<void> {
  await openFold(page, 'what')
  await pickValue(page.getByTestId(`parameter-${key}`), value)
  await settled(page)
}

/** Arranges the open decoration in another way. */
export async function arrange(page: Page, name: string): Promise<void> {
  await page.getByTestId('arranged-as').getByRole('button', { name }).click()
  await settled(page)
}

/** All of one size, as many as are told. */
export async function alike(page: Page, count: string): Promise<void> {
  await say(page, 'place', 'taper', '100 %')
  await say(page, 'place', 'irregularity', '0 %')
  await say(page, 'place', 'count', count)
}

/** Who completes it at the venue. */
export async function completedBy(page: Page, name: string): Promise<void> {
  await turnTo(page, 'Brief')
  await page.getByRole('radio', { name }).click()
  await settled(page)
}

/** What the open decoration says of itself: elements, pieces, sheets, hands. */
export async function heading(page: Page): Promise<string> {
  await settled(page)
  return page.getByRole('main').locator('header').innerText()
}

/** Lines of the shopping list. */
export async function shopping(page: Page): Promise<string> {
  await turnTo(page, 'Supply')
  await settled(page)
  return page.getByRole('main').innerText()
}
