import DxfParser from 'dxf-parser'
import { rulerTicksMm, printedPages } from './printedPage'
import { downloaded, expect, figureOf, fill, openLeaf, settled, test, turnTo, pick } from './studio'

const standIns = (cutter: string) => ({ cutter })

test('the demo is cut by each way, and sheets are saved', async ({ page }) => {
  await openLeaf(page, 'cut')
  const groups = page.getByTestId('cut-group')
  await expect(groups).toHaveCount(5)
  await pick(page.getByTestId('way-globes'), /^Punch/)
  await settled(page)
  const punched = page.getByRole('region', { name: /punch/ })
  await expect(punched.getByTestId('cut-sheet').first()).toBeVisible()
  await expect(punched).toContainText(/\d+ strokes/)
  await pick(page.getByTestId('way-lace'), /^Template/)
  await settled(page)
  await expect(
    page
      .getByRole('region', { name: /template/ })
      .getByTestId('cut-sheet')
      .first(),
  ).toBeVisible()

  const pieces = Number(await figureOf(page, 'pieces'))
  const shown = await page.getByTestId('cut-sheet').locator('path').count()
  expect(shown).toBeGreaterThan(pieces / 3)

  await page
    .getByRole('region', { name: /cutting machine/ })
    .getByText('Print or save these sheets')
    .click()
  const dxf = await downloaded(page, () => page.getByTestId('thinWafer-210x297-machine-dxf').click())
  expect(dxf.name).toMatch(/^quillfinch-press-thinWafer-machine\.dxf$/i)
  const drawing = new DxfParser().parseSync(dxf.bytes.toString())!
  expect(drawing.entities.filter(({ layer }) => layer === 'CUT').length).toBe(8)
  const path = await downloaded(page, () => page.getByRole('button', { name: 'Knife path of sheet 1' }).click())
  expect(path.bytes.toString()).toMatch(/^IN;\nSP1;/)
  const svg = await downloaded(page, () => page.getByTestId('thinWafer-210x297-machine-svg').click())
  expect(svg.bytes.toString()).toContain('width="210mm"')
})

test('a printed page measures what it says: 100 mm are 100 mm', async ({ page }) => {
  await openLeaf(page, 'cut')
  await page
    .getByRole('region', { name: /cutting machine/ })
    .getByText('Print or save these sheets')
    .click()
  const pdf = await downloaded(page, () => page.getByTestId('thinWafer-210x297-machine-pdf').click())
  const ticks = printedPages(pdf.bytes)
    .map(rulerTicksMm)
    .find((marks) => marks.length > 0)
  expect(ticks).toHaveLength(11)
  ticks!.forEach((mm, at) => expect(Math.abs(mm - at * 10)).toBeLessThan(0.2))
})

test('own drawings are brought, cut beside the decorations, and a bad one changes nothing', async ({ page }) => {
  await openLeaf(page, 'cut')
  const before = Number(await figureOf(page, 'pieces'))
  const own = page.getByTestId('own-pieces')
  const bring = (name: string, content: string): Promise<void> =>
    page.getByTestId('own-file').setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(content) })
  await bring(
    'bunting.svg',
    '<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="60mm" viewBox="0 0 80 60"><path d="M5 ' +
      '5h30v40l-15-10l-15 10z"/><path d="M60 20a15 15 0 1 0 .01 0zM60 28a7 7 0 1 1 -.01 0z"/></svg>',
  )
  await expect(own.getByTestId('own-piece')).toHaveCount(2)
  await fill(page, 'How many', '6', own.getByTestId('own-piece').first())
  await settled(page)
  await expect.poll(() => figureOf(page, 'pieces')).toBe(String(before + 7))
  await expect(own.getByTestId('own-piece').first().getByLabel('High')).toHaveValue('40 mm')
  await bring('broken.svg', '<svg><path d="M0 0')
  await expect(own.getByRole('alert')).toContainText('What was here is kept')
  await expect(own.getByTestId('own-piece')).toHaveCount(2)
  await own.getByRole('button', { name: 'Take out bunting 2' }).click()
  await settled(page)
  await expect.poll(() => figureOf(page, 'pieces')).toBe(String(before + 6))
})

test('a rest that lies in the studio is measured by typed corners, or touched on a photograph, and used first', async ({
  page,
}) => {
  await openLeaf(page, 'cut')
  await page.getByRole('button', { name: 'Look for closer' }).first().click()
  await page.getByRole('button', { name: 'Measure a rest' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel(/Corners in order/).fill('0 0\n150 0\n150 six')
  await expect(dialog.getByRole('alert')).toContainText('Line 3')
  await dialog.getByLabel(/Corners in order/).fill('0 0\n180 0\n180 120\n0 90')
  await dialog.getByRole('button', { name: 'Take into stock' }).click()
  await expect(page.getByRole('button', { name: 'rest, 180 mm × 120 mm, is used up' })).toBeVisible()
  await expect(page.getByRole('region', { name: /template/ }).getByText(/^\s*rest: \d+ pieces/)).toBeVisible()

  await page.getByRole('button', { name: 'Measure a rest' }).click()
  await dialog
    .getByLabel('From a photograph')
    .setInputFiles({ name: 'rest.png', mimeType: 'image/png', buffer: await page.screenshot() })
  const photograph = dialog.getByRole('button', { name: /Photograph/ })
  const { width, height } = (await photograph.boundingBox())!
  for (const [x, y] of [
    [0.1, 0.1],
    [0.6, 0.1],
    [0.1, 0.3],
    [0.6, 0.3],
    [0.6, 0.8],
    [0.1, 0.8],
  ])
    await photograph.click({ position: { x: x! * width, y: y! * height } })
  // Half of the picture's width is the ruler of 100 mm, and half of its height the other side.
  const high = (100 * height) / width
  await expect(dialog.getByRole('figure')).toContainText(
    new RegExp(`100 mm × (${Math.floor(high)}|${Math.ceil(high)}) mm`),
  )
  await dialog.getByRole('button', { name: 'Take into stock' }).click()
  await expect(page.getByRole('button', { name: /is used up/ })).toHaveCount(2)
})

test('sheets are laid closer while they are looked at, and the tally follows', async ({ page }) => {
  await openLeaf(page, 'cut')
  const before = Number(await figureOf(page, 'paper'))
  await page.getByRole('button', { name: 'Look for closer' }).first().click()
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
  await expect.poll(async () => Number(await figureOf(page, 'paper'))).toBeLessThanOrEqual(before)
  await expect(page.getByText(/Laying it closer, [1-9]\d* s/)).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('button', { name: 'Look for closer' }).first()).toBeVisible()
})

test('a piece is moved by keys, its sheet is locked by that, and a piece never goes where another lies', async ({
  page,
}) => {
  await openLeaf(page, 'cut')
  const group = page.getByRole('region', { name: /cutting machine/ })
  const top = group.locator('path[data-piece]').last()
  await top.focus()
  await page.keyboard.press('Shift+ArrowUp')
  await settled(page)
  await expect(group.getByRole('button', { name: 'locked' })).toHaveAttribute('aria-pressed', 'true')
  const place = await group.locator('path[data-piece]').last().getAttribute('transform')
  const low = group.locator('path[data-piece]').first()
  await low.focus()
  for (let step = 0; step < 3; step += 1) await page.keyboard.press('Shift+ArrowDown')
  await settled(page)
  expect(await group.locator('path[data-piece]').last().getAttribute('transform')).toBe(place)
  await group.getByRole('button', { name: 'locked' }).click()
  await expect(group.getByRole('button', { name: 'lock', exact: true })).toBeVisible()
})

test('what is left of a sheet is kept in stock for the next commission, and used up', async ({ page }) => {
  await openLeaf(page, 'cut')
  const left = page.getByTestId('offcuts')
  await expect(left).toContainText(/About [\d.]+ g of offcuts; glue and slurry take [\d.]+ g/)
  await left.getByRole('button', { name: 'Keep in stock' }).first().click()
  const kept = left.getByRole('button', { name: /is used up/ })
  await expect(kept.first()).toBeVisible()
  const count = await kept.count()
  await kept.first().click()
  await expect(kept).toHaveCount(count - 1)
})

test('the machine cuts a sheet, breaks its blade, and the rest is cut after', async ({ page }) => {
  await openLeaf(page, 'cut')
  await page.getByText('Edges, gaps and tools').click()
  // So slow that it cannot be done before it is stopped, however busy this machine is.
  await fill(page, 'Machine cuts, mm a minute', '1500')
  const machine = page.getByTestId('machine')
  await machine.getByRole('button', { name: 'Send sheet 1' }).click()
  await machine.getByRole('button', { name: 'Start' }).click()
  await expect(machine).toContainText(/Cutting sheet 1: [1-9] of/)
  await machine.getByRole('button', { name: 'Pause' }).click()
  await expect(machine).toContainText('Paused')
  await machine.getByRole('button', { name: 'Go on' }).click()
  await page.request.put('/api/stand-ins', { data: standIns('blade') })
  await expect(machine).toContainText(/The blade broke\. Cut: 1[\d, to]*\. Spoiled: (\d+|none)\. Not begun: \d+/)
  await expect(page.getByRole('region', { name: /A4 of thin wafer, cutting machine/ })).toContainText('1 ✓')
  await page.request.put('/api/stand-ins', { data: standIns('none') })
  await fill(page, 'Machine cuts, mm a minute', '20000')
  await machine.getByRole('button', { name: 'Cut the rest of it' }).click()
  await machine.getByRole('button', { name: 'Start' }).click()
  await expect(machine).toContainText('Sheet 1 is cut')
  const fresh = machine.getByRole('button', { name: /on a fresh sheet/ })
  if (await fresh.isVisible()) {
    await fresh.click()
    await machine.getByRole('button', { name: 'Start' }).click()
    await expect(machine).toContainText('Sheet 1 is cut.')
  }
  await machine.getByRole('button', { name: 'Take it out' }).click()
  await expect(machine).toContainText('All sheets are cut')
  await turnTo(page, 'Tint')
  await turnTo(page, 'Cut')
  await expect(page.getByTestId('machine')).toContainText('All sheets are cut')
})

test('what was laid closer is there when the page is opened again, and is not searched anew', async ({ page }) => {
  await openLeaf(page, 'cut')
  const status = page
    .getByRole('main')
    .getByRole('status')
    .filter({ hasText: /^(Laying it closer|Laid for)/ })
  await page.getByRole('button', { name: 'Look for closer' }).first().click()
  await expect(status.filter({ hasText: /Laying it closer, ([3-9]|\d\d) s/ }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).first().click()
  await expect(page.getByRole('button', { name: 'Stop' })).toHaveCount(0)
  const laid = status.filter({ hasText: /Laid for [1-9]/ }).first()
  const before = await laid.textContent()
  // Elsewhere the plan goes by it too.
  await page.goto('/supply')
  await settled(page)
  await turnTo(page, 'Cut')
  const seconds = (text: string | null): number => Number(/(\d+) s/.exec(text ?? '')![1])
  await expect(status.first()).toBeVisible()
  // It is kept every second, and told to the nearest.
  expect(seconds(await status.first().textContent())).toBeGreaterThanOrEqual(seconds(before) - 1)
})
