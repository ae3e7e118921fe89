import { expect, figureOf, fill, openLeaf, test, turnTo, TALLY_NAMES } from './studio'

const LEAVES = ['Brief', 'Tiers', 'Arrange', 'Cut', 'Tint', 'Dry', 'Timetable', 'Supply', 'Make', 'Deliver', 'Learn']
test('every leaf is turned to by its tab', async ({ page }) => {
  await openLeaf(page, 'brief')
  for (const leaf of LEAVES) {
    await turnTo(page, leaf)
    await expect(page.getByRole('main').getByRole('heading', { level: 1 })).toBeVisible()
  }
})

test('every figure in the tally opens its working, down to what was typed or began', async ({ page }) => {
  await openLeaf(page, 'arrange')
  for (const name of TALLY_NAMES.filter((each) => each !== 'warnings')) {
    const figure = page.getByTestId(`tally-${name}`)
    await figure.focus()
    await page.keyboard.press('Enter')
    await expect(page.getByTestId('working-sentence')).toHaveText(/\S+ = \S+/)
    await expect(
      page
        .getByTestId('working-tree')
        .getByText(/typed in|starting value|counted/)
        .first(),
    ).toBeAttached()
    await page.keyboard.press('Escape')
    await expect(page.getByTestId('working-sentence')).toBeHidden()
  }
  // What needs a look is its own list: as many as are counted.
  await page.getByTestId('tally-warnings').focus()
  await page.keyboard.press('Enter')
  const many = Number(await figureOf(page, 'warnings'))
  await expect(page.locator('[data-testid=needs-a-look] [data-testid^=caution-]')).toHaveCount(many)
})

test('an open working answers to the leaves', async ({ page }) => {
  await openLeaf(page, 'arrange')
  const count = page.getByRole('main').locator('header').getByRole('button', { name: /sails/ }).first()
  await count.click()
  await expect(page.getByTestId('working-sentence')).toContainText('lushness 60 %')
  await page.keyboard.press('Escape')
  await fill(page, 'Lushness', '50')
  await count.click()
  await expect(page.getByTestId('working-sentence')).toContainText('lushness 50 %')
})

test('the stand turns by keys, by dial and by hand', async ({ page }) => {
  await openLeaf(page, 'arrange')
  const stand = page.getByTestId('stand')
  await expect(stand).toHaveAttribute('aria-label', /from 0 degrees.*3 tiers/)
  await page.keyboard.press(']')
  await expect(stand).toHaveAttribute('aria-label', /from 15 degrees/)
  await page.getByRole('button', { name: 'Turn the stand left' }).click()
  await expect(stand).toHaveAttribute('aria-label', /from 0 degrees/)
  const box = (await stand.boundingBox())!
  await page.mouse.move(box.x + 60, box.y + 80)
  await page.mouse.down()
  await page.mouse.move(box.x + 160, box.y + 80, { steps: 4 })
  await page.mouse.up()
  // The first few pixels tell a drag from a touch.
  await expect(stand).toHaveAttribute('aria-label', /from -(57|58|59|60) degrees/)
})

test('a box too small is said on the stand and in the tally', async ({ page }) => {
  await openLeaf(page, 'brief')
  await fill(page, 'High', '380 mm')
  await expect(page.getByTestId('box-fit')).toHaveText(/too high/)
  await expect(page.getByTestId('tally-warnings')).toContainText('something stops the plan')
})

test('keys turn the leaves, k lists them, ? opens the guide at the leaf', async ({ page }) => {
  await openLeaf(page, 'arrange')
  await page.keyboard.press('5')
  await expect(page).toHaveURL(/\/tint$/)
  await page.keyboard.press('k')
  await expect(page.getByRole('dialog')).toContainText('Turn the stand left')
  await page.keyboard.press('Escape')
  await page.keyboard.press('?')
  await expect(page.getByTestId('guide').getByRole('heading', { level: 2 }).last()).toHaveText('Colour')
  await page.getByTestId('guide-next').click()
  await expect(page.getByTestId('guide').getByRole('heading', { level: 2 }).last()).toHaveText('Drying')
  await page.keyboard.press('Escape')
  await page.keyboard.press('1')
  await page.getByRole('main').getByLabel('Occasion').fill('7 years')
  await expect(page).toHaveURL(/\/brief$/)
})

test('everything is allowed to come from here only', async ({ page, request }) => {
  const response = await request.get('/arrange')
  const policy = response.headers()['content-security-policy']
  expect(policy).toContain("default-src 'self'")
  expect(policy).toMatch(/script-src 'self' 'sha256-/)
  expect(policy).not.toMatch(/script-src[^;]*'unsafe/)
  await openLeaf(page, 'dry')
})

test('the care card prints without the studio around it', async ({ page }) => {
  await openLeaf(page, 'deliver')
  await page.getByRole('tab', { name: 'Care card' }).click()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('heading', { name: 'Care card' })).toBeVisible()
  await expect(page.getByTestId('stand')).toBeHidden()
  await expect(page.getByTestId('tally-warnings')).toBeHidden()
})

test('a long list prints whole, over as many pages as it takes', async ({ page }) => {
  await openLeaf(page, 'supply')
  await expect(page.getByTestId('shopping')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  const { hidden, height } = await page.getByRole('main').evaluate((main) => ({
    hidden: main.scrollHeight - main.clientHeight,
    height: document.documentElement.scrollHeight,
  }))
  expect(hidden).toBeLessThanOrEqual(1)
  expect(height).toBeGreaterThan(900)
})

for (const [leaf, mark] of [
  ['tint', 'dishes'],
  ['dry', 'at-75'],
  ['make', 'step-now'],
  ['supply', 'shopping'],
  ['deliver', 'paper-placing'],
  ['learn', 'trial-form'],
] as const) {
  test(`${leaf} fits a phone at the bench`, async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 })
    await openLeaf(page, leaf)
    await expect(page.getByTestId(mark)).toBeVisible()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    expect(await page.getByRole('main').evaluate((main) => main.scrollWidth - main.clientWidth)).toBeLessThanOrEqual(0)
  })
}
