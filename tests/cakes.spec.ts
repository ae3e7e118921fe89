import { readFile } from 'node:fs/promises'
import { downloaded, expect, fill, fromMenu, openLeaf, saved, startOwn, test, turnTo, pick } from './studio'

test.use({ timezoneId: 'Europe/Paris' })

test('a four-tier cake of mixed shapes in two options: compared, mended, its guides printed', async ({ page }) => {
  await startOwn(page)
  await fill(page, 'Commission', 'Autumn table')
  for (const [side, size] of [
    ['Wide', '400 mm'],
    ['Deep', '400 mm'],
    ['High', '450 mm'],
  ] as const)
    await fill(page, side, size)
  await turnTo(page, 'Tiers')
  await fill(page, 'Board across', '340 mm')
  const tier = (number: number) => page.getByTestId(`tier-${number}`)
  await fill(page, 'Across', '280 mm', tier(1))
  await fill(page, 'High', '100 mm', tier(1))
  for (const [number, shape] of [
    [2, 'Scalloped'],
    [3, 'Polygon'],
    [4, 'Oval'],
  ] as const) {
    await page.getByRole('button', { name: 'Add a tier on top' }).click()
    await pick(tier(number).getByLabel('Shape'), shape)
    await fill(page, 'High', '100 mm', tier(number))
  }
  await expect(tier(2)).toContainText('round, side')
  await expect(page.getByTestId('box-section')).toContainText('It fits the box standing')

  await page.getByTestId('vary').click()
  await expect(page.getByRole('button', { name: 'Option A, varied' })).toHaveAttribute('aria-pressed', 'true')
  await page.getByRole('button', { name: 'Rename this option' }).click()
  await page.keyboard.type('Higher')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Higher', exact: true })).toHaveAttribute('aria-pressed', 'true')
  await fill(page, 'High', '160 mm', tier(3))
  await expect(page.getByTestId('box-section')).toContainText('It does not fit the box standing')
  await page.getByTestId('compare').click()
  const table = page.getByTestId('compare-table')
  await expect(table).toContainText('does not fit the box')
  await expect(table).toContainText('fits the box')
  await expect(table.getByRole('row', { name: /^high, finished/ })).toContainText('472 mm')
  await expect(table.getByRole('row', { name: /^high, finished/ })).toContainText('412 mm')
  await page.getByTestId('choose-a').click()
  await expect(page.getByTestId('box-fit')).toHaveText(/to spare/)

  await page.getByRole('button', { name: 'Higher' }).click()
  await page.getByTestId('way-tiersApart').click()
  await expect(page.getByTestId('box-section')).toContainText('It fits the box standing')
  await expect(page.getByTestId('box-fit')).toHaveText(/to spare/)

  const svg = await downloaded(page, () => page.getByTestId('guide-1-svg').click())
  expect(svg.name).toBe('autumn-table-guides.svg')
  expect(svg.bytes.toString()).toMatch(/width="[\d.]+mm"[\s\S]*tier 2, lower card[\s\S]*tier 2, upper card/)
  const pdf = await downloaded(page, () => page.getByTestId('guide-1-pdf').click())
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-')
})

test('what is typed wrong is answered at its field, and nothing is lost', async ({ page }) => {
  await openLeaf(page, 'tiers')
  const bottom = page.getByTestId('tier-1')
  for (const [typed, answer] of [
    ['0', /Between 50 mm and 600 mm/],
    ['-20 mm', /Between 50 mm/],
    ['3 m', /Between 50 mm and 600 mm/],
    ['wide', /“wide” is not a number/],
    ['20 cm 3 °C', /not a number|unit/],
  ] as const) {
    await fill(page, 'Across', typed, bottom)
    await expect(bottom.getByRole('alert')).toHaveText(answer)
    await bottom.getByLabel('Across').press('Escape')
    await expect(bottom.getByLabel('Across')).toHaveValue('260 mm')
  }
  await turnTo(page, 'Brief')
  const event = page.getByLabel('Event, day and hour')
  await event.fill('2027-03-28T02:30')
  await expect(page.getByRole('main').getByRole('alert')).toContainText('this hour does not exist')
  await event.fill('2026-11-20T18:30')
  await expect(page.getByRole('main')).toContainText('has gone by')
  await event.fill('2027-04-03T18:30')
  await expect(page.getByRole('main')).toContainText('Clocks go forward before then')
  await page.getByTestId('undo').click()
  await page.getByTestId('undo').click()
  await expect(event).toHaveValue('2026-12-05T18:30')
})

test('sensor and forecast: each fault is said, the last good value is kept, nonsense is never planned on', async ({
  page,
}) => {
  test.slow()
  await openLeaf(page, 'stand-ins')
  await page.getByTestId('sensor-none').click()
  await page.getByTestId('forecast-none').click()
  await turnTo(page, 'Brief')
  await page.getByTestId('sensor-switch').click()
  await expect(page.getByTestId('sensor')).toContainText('Now')
  // Far from anything the sensor reads, so that what is taken shows.
  await fill(page, 'Humidity', '40 %', page.getByTestId('workroom-humidity'))
  await page.getByTestId('take-reading').click()
  const humidity = page.getByTestId('workroom-humidity').getByLabel('Humidity')
  await expect(humidity).not.toHaveValue('40 %')
  const good = await humidity.inputValue()
  for (const [fault, says] of [
    ['nonsense', /cannot be true/],
    ['unreadable', /cannot be read/],
    ['dropped', /line to the sensor is lost/],
  ] as const) {
    await page.request.put('/api/stand-ins', { data: { sensor: fault, forecast: 'none' } })
    await expect(page.getByTestId('sensor-problem')).toHaveText(says)
    await expect(page.getByTestId('sensor')).toContainText('Last good reading')
    await page.getByTestId('take-reading').click()
    expect(Math.abs(parseInt(await humidity.inputValue()) - parseInt(good))).toBeLessThanOrEqual(2)
    await page.request.put('/api/stand-ins', { data: { sensor: 'none', forecast: 'none' } })
    await expect(page.getByTestId('sensor-problem')).toBeHidden()
  }
  await page.getByTestId('ask-forecast').click()
  await expect(page.getByTestId('forecast').getByRole('button', { name: /damp/ }).first()).toBeVisible()
  for (const fault of ['unreadable', 'nonsense', 'short'] as const) {
    await page.request.put('/api/stand-ins', { data: { sensor: 'none', forecast: fault } })
    await page.getByTestId('ask-forecast').click()
    await expect(page.getByTestId('forecast-problem')).toContainText('The last good one is shown')
    await expect(page.getByTestId('forecast').getByRole('listitem')).toHaveCount(10)
  }
  await page.request.put('/api/stand-ins', { data: { sensor: 'none', forecast: 'none' } })
  expect((await page.request.put('/api/stand-ins', { data: { sensor: 'melted', forecast: 'none' } })).status()).toBe(
    422,
  )
})

test('the shelf: copied, archived, deleted and brought back', async ({ page }) => {
  await openLeaf(page, 'shelf')
  const shelf = page
    .getByTestId('shelf')
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading') })
  await expect(shelf).toHaveCount(1)
  await expect(shelf).toContainText('start by')
  await page.getByRole('button', { name: 'Copy Quillfinch Press' }).click()
  await expect(shelf).toHaveCount(2)
  await page.getByRole('button', { name: 'Delete Quillfinch Press, copy' }).click()
  await expect(shelf).toHaveCount(1)
  await page.getByTestId('bring-back').click()
  await expect(shelf).toHaveCount(2)
  await page.getByRole('button', { name: 'Archive Quillfinch Press, copy' }).click()
  await expect(shelf).toHaveCount(1)
  await page.reload()
  await page.getByRole('button', { name: 'Archive (2)' }).click()
  await page.getByRole('button', { name: 'Take Quillfinch Press, copy out of the archive' }).click()
  await page.getByRole('button', { name: 'Back to the shelf' }).click()
  await expect(shelf).toHaveCount(2)
})

test('the tape measures between two points, dimension lines come and go', async ({ page }) => {
  await openLeaf(page, 'arrange')
  await page.keyboard.press('d')
  await expect(page.getByTestId('dimensions')).toContainText('118 mm')
  await page.keyboard.press('d')
  await page.keyboard.press('t')
  const box = (await page.getByTestId('stand').boundingBox())!
  await page.mouse.click(box.x + box.width * 0.33, box.y + box.height * 0.55)
  await expect(page.getByTestId('tape')).toContainText('other point')
  await page.mouse.click(box.x + box.width * 0.6, box.y + box.height * 0.8)
  await expect(page.getByTestId('tape')).toHaveText(/\d+ mm straight/)
})

test('pictures are shrunk, kept over a reload and carried in the file', async ({ page }) => {
  await openLeaf(page, 'brief')
  await page.getByTestId('photo-input').setInputFiles([
    { name: 'table.png', mimeType: 'image/png', buffer: await readFile('docs/screenshots/arrange.png') },
    { name: 'list.txt', mimeType: 'text/plain', buffer: Buffer.from('eggs') },
  ])
  await expect(page.getByRole('img', { name: 'table.png' })).toBeVisible()
  await expect(page.getByRole('main').getByRole('alert')).toContainText('list.txt is not a picture')
  await saved(page)
  await page.reload()
  await expect(page.getByRole('img', { name: 'table.png' })).toBeVisible()
  const file = await downloaded(page, () => fromMenu(page, 'Save to a file'))
  const [photo] = (
    JSON.parse(file.bytes.toString()) as { commission: { brief: { photos: { widthPx: number; dataUrl: string }[] } } }
  ).commission.brief.photos
  expect(photo!.widthPx).toBe(1100)
  expect(photo!.dataUrl).toMatch(/^data:image\/jpeg;base64,/)
})

test('a chilled filling is planned out of the refrigerator, by either school', async ({ page }) => {
  await openLeaf(page, 'tiers')
  await expect(page.getByTestId('warming')).toContainText('dew point')
  await page.getByRole('radio', { name: /Kept chilled/ }).click()
  await turnTo(page, 'Timetable')
  await page.getByTestId('lanes').click()
  await expect(page.getByTestId('time-lanes')).toContainText('Cake')
  await turnTo(page, 'Brief')
  await page.getByTestId('venue-humidity').getByLabel('Humidity').fill('72')
  await page.getByTestId('venue-humidity').getByLabel('Humidity').press('Enter')
  await turnTo(page, 'Tiers')
  await expect(page.getByRole('main')).toContainText('paper buckles and goes sticky')
})
