import type { Locator, Page } from '@playwright/test'
import { downloaded, expect, openLeaf, settled, test, turnTo, pick } from './studio'

const doses = (page: Page): Promise<string> => page.getByTestId('dishes').innerText()

/** The colour in the middle of something, as the screen has it. */
async function middleColour(page: Page, of: Locator): Promise<string> {
  const { x, y, width, height } = (await of.boundingBox())!
  const picture = await page.screenshot({
    clip: { x: Math.round(x + width / 2), y: Math.round(y + height / 2), width: 1, height: 1 },
  })
  return page.evaluate(async (base64) => {
    const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))
    const bitmap = await createImageBitmap(new Blob([bytes], { type: 'image/png' }))
    const canvas = document.createElement('canvas')
    canvas.width = canvas.height = 1
    const context = canvas.getContext('2d')!
    context.drawImage(bitmap, 0, 0)
    return `#${[...context.getImageData(0, 0, 1, 1).data.slice(0, 3)].map((each) => each.toString(16).padStart(2, '0')).join('')}`
  }, picture.toString('base64'))
}

test('a dipped strip changes the doses, an odd one does not, and a forgotten one is as if it had never been', async ({
  page,
}) => {
  await openLeaf(page, 'tint')
  const before = await doses(page)
  const shelf = page.getByTestId('dye-shelf')
  await shelf.getByRole('button', { name: 'dip a strip' }).first().click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('The dyed strip').fill('#d96f8e')
  await expect(dialog.getByTestId('strip-teaches')).toContainText(/counts as [1-9][\d.]* times/)
  await dialog.getByRole('button', { name: 'Keep this strip' }).click()
  await settled(page)
  await expect(shelf).toContainText(/times as strong as begun with, ± 15 %, from 1 strip/)
  const after = await doses(page)
  expect(after).not.toBe(before)
  const redIn = (text: string): number => Number(/red (\d+) drops/.exec(text)![1])
  expect(redIn(after)).toBeLessThan(redIn(before))

  await shelf.getByRole('button', { name: 'strips' }).click()
  await dialog.getByRole('button', { name: 'odd, leave it out' }).click()
  await dialog.getByRole('button', { name: 'Close' }).click()
  await settled(page)
  expect(await doses(page)).toBe(before)
})

test('a strip is read from a photograph: first the bare one, then the dyed one', async ({ page }) => {
  await openLeaf(page, 'tint')
  await page.getByTestId('dye-shelf').getByRole('button', { name: 'dip a strip' }).first().click()
  const dialog = page.getByRole('dialog')
  const picture = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    Object.assign(canvas, { width: 200, height: 100 })
    const context = canvas.getContext('2d')!
    context.fillStyle = '#e8e4da'
    context.fillRect(0, 0, 100, 100)
    context.fillStyle = '#c86482'
    context.fillRect(100, 0, 100, 100)
    return canvas.toDataURL('image/png').split(',')[1]!
  })
  await dialog
    .getByLabel('Take both from a photograph')
    .setInputFiles({ name: 'strips.png', mimeType: 'image/png', buffer: Buffer.from(picture, 'base64') })
  const photograph = dialog.getByRole('button', { name: /Photograph/ })
  const { width, height } = (await photograph.boundingBox())!
  await photograph.click({ position: { x: width * 0.35, y: height / 2 } })
  await photograph.click({ position: { x: width * 0.65, y: height / 2 } })
  const near = async (label: string, hex: string): Promise<void> => {
    const value = await dialog.getByLabel(label, { exact: true }).inputValue()
    for (const at of [1, 3, 5])
      expect(Math.abs(parseInt(value.slice(at, at + 2), 16) - parseInt(hex.slice(at, at + 2), 16))).toBeLessThan(8)
  }
  await near('The bare strip', '#e8e4da')
  await near('The dyed strip', '#c86482')
})

/** The code of a dish's colour, which is told when it is asked for. */
async function codeOf(dish: Locator): Promise<string> {
  await dish.getByText('its code').click()
  return dish.getByText(/^#[0-9a-f]{6}$/).innerText()
}

test('colours on the screen are those that were reckoned', async ({ page }) => {
  await openLeaf(page, 'tint')
  const dishes = page.getByTestId('dishes').getByRole('listitem')
  await expect(dishes).toHaveCount(4)
  for (const dish of await dishes.all()) {
    const hex = await codeOf(dish)
    expect(await middleColour(page, dish.getByTestId('dish'))).toBe(hex)
  }
  for (const dish of (await page.getByTestId('paper-dishes').getByRole('listitem').all()).slice(0, 3)) {
    const hex = await codeOf(dish)
    await dish.getByTestId('dish').scrollIntoViewIfNeeded()
    expect(await middleColour(page, dish.getByTestId('dish'))).toBe(hex)
  }
  const red = page.getByTestId('dye-red')
  await red.scrollIntoViewIfNeeded()
  expect(await middleColour(page, red)).toBe(await red.getAttribute('title'))
})

test('a dye is added and taken off the shelf, and recipes do without one that is not in use', async ({ page }) => {
  await openLeaf(page, 'tint')
  const shelf = page.getByTestId('dye-shelf')
  await shelf.getByLabel('Another dye').fill('rose')
  await shelf.getByRole('button', { name: 'Add' }).click()
  await expect(shelf.getByText('rose', { exact: true })).toBeVisible()
  await shelf.getByLabel('yellow is in use').uncheck()
  await settled(page)
  await expect(page.getByTestId('dishes')).not.toContainText('yellow')
  await expect(page.getByText(/purer than these dyes mix|deeper than the strongest bath/)).toBeVisible()
  await shelf.getByRole('button', { name: 'Take rose off the shelf' }).click()
  await expect(shelf.getByText('rose', { exact: true })).toHaveCount(0)
})

test('labels of the dishes are printed, and a palette goes out and comes in again', async ({ page }) => {
  await openLeaf(page, 'tint')
  await page.getByText('Print labels for the dishes').click()
  const labels = await downloaded(page, () => page.getByTestId('dishes-svg').click())
  expect(labels.bytes.toString()).toMatch(/red \d+ drops/)
  await turnTo(page, 'Brief')
  const gpl = await downloaded(page, () =>
    page.getByRole('button', { name: 'Save the colours: palette for other programs' }).click(),
  )
  expect(gpl.bytes.toString()).toContain('217  87  43\tpersimmon')
  await page.getByRole('button', { name: 'Remove persimmon' }).click()
  await expect(page.getByLabel('Colour of persimmon')).toHaveCount(0)
  await page
    .getByTestId('palette-file')
    .setInputFiles({ name: 'palette.gpl', mimeType: 'text/plain', buffer: gpl.bytes })
  await expect(page.getByLabel('Colour of persimmon')).toHaveValue('#d9572b')
  await page
    .getByTestId('palette-file')
    .setInputFiles({ name: 'bad.css', mimeType: 'text/css', buffer: Buffer.from(':root { --a: red; }') })
  await expect(page.getByRole('alert').filter({ hasText: 'Line 1' })).toContainText('What was here is kept')
})

test('a colour that does not suit stops the plan until its remedy is taken', async ({ page }) => {
  await openLeaf(page, 'tint')
  const moths = page.getByTestId('colouring-moths')
  await pick(moths.getByLabel('Butterfly is thinned with'), 'boiled, cooled water')
  await moths.getByRole('button', { name: 'thin it with strong clear alcohol' }).click()
  await expect(moths.getByLabel('Butterfly is thinned with')).toHaveText('strong clear alcohol')
  await turnTo(page, 'Brief')
  await page.getByLabel('No alcohol carrier').check()
  await turnTo(page, 'Tint')
  await settled(page)
  await expect(page.getByText(/Butterfly: No alcohol was asked for/)).toBeVisible()
  await moths.getByRole('button', { name: 'mist it with coloured water' }).click()
  await settled(page)
  await expect(page.getByText(/Butterfly: No alcohol was asked for/)).toHaveCount(0)
  await expect(page.getByTestId('paper-dishes')).toContainText(/Butterfly, 8 pieces, misted/)
})
