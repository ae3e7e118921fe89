import type { BrowserContext, Locator, Page } from '@playwright/test'
import { expect, fill, openLeaf, saved, settled, tally, test, turnTo } from './studio'

const field = (page: Page, label: string): Locator => page.getByRole('main').getByLabel(label, { exact: true })

/** Another window on the same studio. */
async function another(context: BrowserContext, leaf: string): Promise<Page> {
  const other = await context.newPage()
  await other.clock.setSystemTime(new Date('2026-11-24T09:00:00'))
  await openLeaf(other, leaf)
  return other
}

test('in two windows different things are changed at once, and both show both', async ({ page, context }) => {
  await openLeaf(page, 'arrange')
  const other = await another(context, 'arrange')
  await Promise.all([fill(page, 'Seen height', '84 mm'), fill(other, 'Smallest', '70 %')])
  for (const each of [page, other]) {
    await expect(field(each, 'Seen height')).toHaveValue('84 mm')
    await expect(field(each, 'Smallest')).toHaveValue('70 %')
    await saved(each)
  }
  // What is taken back in one is its own, not what the other did since.
  await page.getByTestId('undo').click()
  for (const each of [page, other]) {
    await expect(field(each, 'Seen height')).not.toHaveValue('84 mm')
    await expect(field(each, 'Smallest')).toHaveValue('70 %')
  }
  await saved(page)
  await other.reload()
  await expect(field(other, 'Smallest')).toHaveValue('70 %')
  await expect(field(other, 'Seen height')).not.toHaveValue('84 mm')
})

test('of the same thing the later stands in both windows, and taking back the earlier leaves it', async ({
  page,
  context,
}) => {
  await openLeaf(page, 'arrange')
  const other = await another(context, 'arrange')
  await fill(page, 'Seen height', '84 mm')
  await expect(field(other, 'Seen height')).toHaveValue('84 mm')
  await fill(other, 'Seen height', '92 mm')
  await expect(field(page, 'Seen height')).toHaveValue('92 mm')
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('notice')).toContainText('changed since')
  await saved(page)
  for (const each of [page, other]) await expect(field(each, 'Seen height')).toHaveValue('92 mm')
})

test('two windows work on different commissions, and no edit is lost', async ({ page, context }) => {
  await openLeaf(page, 'brief')
  const other = await another(context, 'new')
  await other.getByTestId('start-bare').click()
  await expect(field(other, 'Commission')).toHaveValue('New commission')
  for (const minutes of ['31', '32', '33']) {
    await fill(page, 'Drive', `${minutes} min`)
    await fill(other, 'Drive', `${minutes} min`)
  }
  await Promise.all([saved(page), saved(other)])
  for (const each of [page, other]) await expect(each.getByTestId('notice')).toHaveCount(0)
  await Promise.all([page.reload(), other.reload()])
  for (const each of [page, other]) await expect(field(each, 'Drive')).toHaveValue('33 min')
})

test('a commission that is removed in one window is left in the other, and that is said', async ({ page, context }) => {
  await openLeaf(page, 'new')
  await page.getByTestId('start-bare').click()
  await expect(field(page, 'Commission')).toHaveValue('New commission')
  await saved(page)
  const other = await another(context, 'shelf')
  await other.getByRole('button', { name: 'Delete New commission' }).click()
  await expect(page.getByTestId('notice')).toContainText('removed in another window')
  await expect(field(page, 'Commission')).toHaveValue('Quillfinch Press')
})

test('what is copied and put away in one window is so on the shelf of the other', async ({ page, context }) => {
  await openLeaf(page, 'shelf')
  const other = await another(context, 'shelf')
  await page.getByRole('button', { name: 'Copy Quillfinch Press' }).click()
  for (const each of [page, other])
    await expect(each.getByRole('button', { name: 'Archive Quillfinch Press, copy' })).toBeVisible()
  await page.getByRole('button', { name: 'Archive Quillfinch Press, copy' }).click()
  for (const each of [page, other]) await expect(each.getByRole('button', { name: 'Archive (2)' })).toBeVisible()
})

test('a note stays as it is typed while figures come, and is kept when the page is closed in the middle', async ({
  page,
  context,
}) => {
  await openLeaf(page, 'brief')
  const other = await another(context, 'brief')
  const notes = field(page, 'Notes and pictures')
  await notes.click()
  await notes.press('End')
  await notes.pressSequentially(' White boxes')
  await fill(other, 'Drive', '77 min')
  await expect(field(page, 'Drive')).toHaveValue('1 h 17')
  await settled(page)
  await notes.pressSequentially(', blue ribbon')
  await expect(notes).toHaveValue(/White boxes, blue ribbon$/)
  await page.reload()
  await expect(notes).toHaveValue(/White boxes, blue ribbon$/)
})

test('trials that were forgotten in another commission come back one by one, and the studio opens again', async ({
  page,
}) => {
  await openLeaf(page, 'learn')
  const ledger = page.getByTestId('ledger')
  const forget = (minutes: number): Locator =>
    ledger.getByRole('button', { name: new RegExp(`^Forget: .*${minutes} min for`) })
  const form = page.getByTestId('trial-form')
  await form.getByRole('radio', { name: 'Speed' }).click()
  for (const minutes of [51, 52, 53]) {
    await fill(page, 'Took, all of them', `${minutes} min`)
    await form.getByTestId('keep-trial').click()
    await expect(forget(minutes)).toHaveCount(1)
  }
  await forget(52).click()
  await expect(forget(52)).toHaveCount(0)
  const first = await tally(page)
  await page.goto('/new')
  await page.getByTestId('start-bare').click()
  await expect(field(page, 'Commission')).toHaveValue('New commission')
  await turnTo(page, 'Learn')
  for (const minutes of [53, 51]) {
    await forget(minutes).click()
    await expect(forget(minutes)).toHaveCount(0)
  }
  await saved(page)
  await page.goto('/shelf')
  await page
    .getByRole('main')
    .getByRole('button', { name: /^Open Quillfinch Press/ })
    .click()
  await expect(page).toHaveURL(/\/arrange$|\/brief$/)
  await turnTo(page, 'Learn')
  for (const minutes of [51, 53, 52]) {
    await page.getByTestId('undo').click()
    await expect(forget(minutes)).toHaveCount(1)
  }
  await saved(page)
  await page.reload()
  await settled(page)
  for (const minutes of [51, 52, 53]) await expect(forget(minutes)).toHaveCount(1)
  await page.getByTestId('redo').click()
  await expect(forget(52)).toHaveCount(0)
  expect(await tally(page)).toEqual(first)
})
