import { expect, openLeaf, settled, test } from './studio'

test('decorations are called otherwise, put in another order by drag and by keys, copied and hidden', async ({
  page,
}) => {
  await openLeaf(page, 'arrange')
  const tabs = page.getByTestId('decorations').getByRole('button')
  const names = async (): Promise<readonly string[]> =>
    (await tabs.allInnerTexts()).map((text) => text.replace(/\s*\d*$/, '').trim())
  const before = await names()
  const place = (list: readonly string[], name: string): number => list.indexOf(name)

  await tabs.filter({ hasText: 'Butterfly' }).click()
  await page.getByTestId('rename').click()
  await page.getByTestId('decoration-name').fill('Paper moths')
  await page.getByTestId('decoration-name').press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Paper moths' })).toBeVisible()
  await settled(page)

  // By keys: one place earlier, and still in the hand.
  const moths = tabs.filter({ hasText: 'Paper moths' })
  await moths.focus()
  await page.keyboard.press('Alt+ArrowLeft')
  await expect.poll(async () => place(await names(), 'Paper moths')).toBe(place(before, 'Butterfly') - 1)
  await expect(moths).toBeFocused()
  await page.getByTestId('undo').click()
  await expect.poll(async () => place(await names(), 'Paper moths')).toBe(place(before, 'Butterfly'))

  // By drag: behind the globes.
  const globes = tabs.filter({ hasText: 'Folded globe' })
  const [from, to] = [(await moths.boundingBox())!, (await globes.boundingBox())!]
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
  await page.mouse.down()
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 })
  await page.mouse.move(to.x + to.width - 4, to.y + to.height / 2, { steps: 6 })
  await page.mouse.up()
  await expect.poll(async () => place(await names(), 'Paper moths')).toBe(place(before, 'Butterfly') + 1)
  await settled(page)

  // A copy has a name of its own; hidden things stay in the figures.
  await moths.click()
  await page.getByTestId('decoration-menu').click()
  await page.getByTestId('decoration-duplicate').click()
  await expect(page.getByRole('heading', { level: 1, name: 'Paper moths 2' })).toBeVisible()
  await settled(page)
  const pieces = await page.getByTestId('tally-pieces').innerText()
  await page.getByTestId('decoration-menu').click()
  await page.getByTestId('decoration-hide').click()
  await expect(tabs.filter({ hasText: 'Paper moths 2' }).getByLabel('hidden on the stand')).toBeVisible()
  expect(await page.getByTestId('tally-pieces').innerText()).toBe(pieces)

  // Into the other option, and off this one.
  await page.getByTestId('decoration-menu').click()
  await page.getByRole('menuitem', { name: /Copy to “/ }).click()
  await settled(page)
  await page.getByTestId('decoration-menu').click()
  await page.getByTestId('decoration-remove').click()
  await expect(tabs.filter({ hasText: 'Paper moths 2' })).toHaveCount(0)
})

test('a caution about one decoration names it, called by its technique where nobody named it', async ({ page }) => {
  await openLeaf(page, 'brief')
  await page.getByLabel('No alcohol carrier').check()
  await settled(page)
  await page.getByTestId('tally-warnings').click()
  await page.getByTestId('needs-a-look').getByRole('link', { name: 'Tint: Butterfly' }).click()
  await expect(page).toHaveURL(/tint$/)
})

test('what needs a look is listed with its reason and place, and a way out ends it', async ({ page }) => {
  await openLeaf(page, 'tiers')
  await page.getByTestId('tally-warnings').click()
  const list = page.getByTestId('needs-a-look')
  await expect(list.getByRole('link', { name: 'Dry' })).toBeVisible()
  await list.getByRole('button', { name: /in a cool oven/ }).click()
  await settled(page)
  await expect(list.getByTestId('caution-slow-set')).toHaveCount(0)
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByTestId('undo').click()
  await settled(page)
  await page.getByTestId('tally-warnings').click()
  await list.getByRole('link', { name: 'Dry' }).click()
  await expect(page).toHaveURL(/dry$/)
  await expect(list).toHaveCount(0)
})
