import { expect, figureOf, fill, openLeaf, saved, tally, test, turnTo } from './studio'

const asNumber = (text: string): number => Number(/[\d.]+/.exec(text)?.[0])

test('an edit changes the figures the right way and says by how much', async ({ page }) => {
  await openLeaf(page, 'arrange')
  const pieces = asNumber(await figureOf(page, 'pieces'))
  await fill(page, 'Lushness', '72 %')
  await expect(page.getByTestId('difference-pieces')).toHaveText(/^\+\d+$/)
  expect(asNumber(await figureOf(page, 'pieces'))).toBeGreaterThan(pieces)
  await expect(page.getByTestId('difference-handsOn')).toHaveText(/^\+/)
})

test('damp keeps the sails from setting; the oven is the way out', async ({ page }) => {
  await openLeaf(page, 'brief')
  const humidity = page.getByTestId('workroom-humidity').getByLabel('Humidity')
  await humidity.fill('40')
  await humidity.press('Enter')
  await expect(page.getByTestId('difference-startBy')).toHaveText(/later$/)
  await humidity.fill('75 %')
  await humidity.press('Enter')
  await expect(page.getByTestId('tally-startBy')).toContainText('not in this room')
  await turnTo(page, 'Dry')
  await expect(page.getByTestId('drying').getByRole('heading').first()).toContainText('Unlikely to set in this room')
  await page.getByRole('radio', { name: /cool oven/ }).click()
  await expect(page.getByTestId('tally-startBy')).not.toContainText('not in this room')
  await expect(page.getByRole('main')).toContainText('burn')
})

test('fewer mats mean an earlier start, a later event a later one', async ({ page }) => {
  await openLeaf(page, 'dry')
  await page.getByTestId('formers').getByLabel('Mats').fill('1')
  await page.getByTestId('formers').getByLabel('Mats').press('Enter')
  await expect(page.getByTestId('difference-startBy')).toHaveText(/earlier$/)
  await turnTo(page, 'Brief')
  await page.getByLabel('Event, day and hour').fill('2026-12-12T18:30')
  await expect(page.getByTestId('difference-startBy')).toHaveText('7 days later')
})

test('a wrong entry says what to do and changes nothing', async ({ page }) => {
  await openLeaf(page, 'brief')
  const before = await tally(page)
  await fill(page, 'Wide', 'roomy')
  await expect(page.getByRole('alert')).toHaveText(/“roomy” is not a number/)
  await fill(page, 'Wide', '4 m')
  await expect(page.getByRole('alert')).toHaveText('Between 100 mm and 1500 mm, please.')
  await page.getByRole('main').getByLabel('Wide').press('Escape')
  await expect(page.getByRole('main').getByLabel('Wide')).toHaveValue('420 mm')
  expect(await tally(page)).toEqual(before)
})

test('inches go in and come out', async ({ page }) => {
  await openLeaf(page, 'tiers')
  const bottom = page.getByRole('listitem').filter({ hasText: /^Bottom/ })
  for (const [typed, shown] of [
    ['8 in', '203 mm'],
    ['20.5 cm', '205 mm'],
    ['10 1/4"', '260 mm'],
  ] as const) {
    await bottom.getByLabel('Across').fill(typed)
    await bottom.getByLabel('Across').press('Enter')
    await expect(bottom.getByLabel('Across')).toHaveValue(shown)
  }
  await page.getByTestId('studio-menu').click()
  await page.getByRole('menuitem', { name: /^Units/ }).click()
  await expect(bottom.getByLabel('Across')).toHaveValue('10 1/4 in')
  await expect(page.getByTestId('tally-colours')).toContainText('fl oz')
})

test('undo and redo reach across a reload', async ({ page }) => {
  await openLeaf(page, 'arrange')
  const first = await tally(page)
  await fill(page, 'Seen height', '80 mm')
  await expect.poll(() => tally(page)).not.toEqual(first)
  const second = await tally(page)
  await fill(page, 'Smallest', '90 %')
  await expect.poll(() => tally(page)).not.toEqual(second)
  const third = await tally(page)
  await saved(page)
  await page.reload()
  await expect.poll(() => tally(page)).toEqual(third)
  await page.getByTestId('undo').click()
  await expect.poll(() => tally(page)).toEqual(second)
  await page.getByTestId('undo').click()
  await expect.poll(() => tally(page)).toEqual(first)
  await expect(page.getByTestId('undo')).toBeDisabled()
  await saved(page)
  await page.reload()
  await expect.poll(() => tally(page)).toEqual(first)
  await page.keyboard.press('Control+Shift+KeyZ')
  await page.keyboard.press('Control+KeyY')
  await expect.poll(() => tally(page)).toEqual(third)
})

test('pulling the end of the sweep moves it; arrow keys do too', async ({ page }) => {
  await openLeaf(page, 'arrange')
  const before = await tally(page)
  const handle = page.getByTestId('handle-to')
  const box = (await handle.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 3)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + 60, box.y + 40, { steps: 5 })
  await page.mouse.up()
  await expect.poll(() => tally(page)).not.toEqual(before)
  const place = (): Promise<string | null> => handle.locator('circle').last().getAttribute('cx')
  const pulled = await place()
  await handle.focus()
  await page.keyboard.press('Shift+ArrowLeft')
  await expect.poll(place).not.toBe(pulled)
})
