import { readFile } from 'node:fs/promises'
import { validateBytes } from 'gltf-validator'
import type { Page } from '@playwright/test'
import { hexOklab } from '../core/tint'
import { downloaded, expect, openFold, openLeaf, settled, test, turnTo, pick } from './studio'
import { add, choose, startJob } from './jobs/job'

/** Few pixels: a processor draws them in place of a graphics card. */
test.use({ viewport: { width: 1040, height: 700 } })

/** Waits until the stand shows what was asked for, in full. */
async function drawn(page: Page): Promise<void> {
  await settled(page)
  await expect(page.getByTestId('stand-drawn')).toHaveAttribute('data-drawn', 'yes')
}

/** What the page finds in a picture of the stand. */
async function lookedAt(page: Page, find: 'orange' | 'low'): Promise<readonly number[]> {
  await page.mouse.move(0, 0)
  const picture = await page.getByTestId('stand-drawn').locator('canvas').screenshot()
  return page.evaluate(
    async ([encoded, what]) => {
      const image = new Image()
      image.src = `data:image/png;base64,${encoded}`
      await image.decode()
      const canvas = document.createElement('canvas')
      Object.assign(canvas, { width: image.width, height: image.height })
      const context = canvas.getContext('2d')!
      context.drawImage(image, 0, 0)
      if (what === 'low') return [...context.getImageData(image.width * 0.5, image.height * 0.74, 1, 1).data]
      const { data } = context.getImageData(0, 0, image.width, image.height)
      let many = 0
      for (let at = 0; at < data.length; at += 4) if (data[at]! - data[at + 2]! > 90) many += 1
      return [many]
    },
    [picture.toString('base64'), find] as const,
  )
}

/** How many pixels are much redder than they are blue: film from persimmon to apricot. */
const orange = async (page: Page): Promise<number> => (await lookedAt(page, 'orange'))[0]!

const from = (page: Page, side: string): Promise<void> => page.getByRole('button', { name: side, exact: true }).click()

test('the cake stands in depth: what is behind a tier is hidden by it, from the back it is seen', async ({ page }) => {
  await openLeaf(page, 'brief')
  await drawn(page)
  await expect(page.getByTestId('stand-drawn').locator('canvas')).toBeVisible()
  const front = await orange(page)
  await from(page, 'Back')
  await drawn(page)
  const back = await orange(page)
  expect(front).toBeGreaterThan(3000)
  // The ends of the sweep reach round both sides.
  expect(back).toBeGreaterThan(30)
  expect(back).toBeLessThan(front / 4)
  await from(page, 'Front')
  await drawn(page)
  // A busy machine may have drawn one of the two without shadows.
  const again = await orange(page)
  expect(again).toBeGreaterThan(front * 0.85)
  expect(again).toBeLessThan(front * 1.15)
})

test('the top is composed from above: a globe is touched there, and a crown is pulled by its handle', async ({
  page,
}) => {
  await openLeaf(page, 'arrange')
  await page
    .getByTestId('decorations')
    .getByRole('button', { name: /^Folded globe/ })
    .click()
  await from(page, 'From above')
  await drawn(page)
  await page.getByRole('button', { name: 'Next' }).first().click()
  const globe = (await page.getByTestId('stand-picked').boundingBox())!
  await page
    .getByTestId('decorations')
    .getByRole('button', { name: /^Soaked sail/ })
    .click()
  await drawn(page)
  await page.mouse.click(globe.x + globe.width / 2, globe.y + globe.height / 2)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Folded globe')

  const handle = page.getByTestId('stand-handles').getByRole('button').first()
  const before = await page.getByRole('main').getByTestId('place-middleDeg').locator('input').first().inputValue()
  const at = (await handle.boundingBox())!
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  await page.mouse.move(at.x + 60, at.y - 10, { steps: 4 })
  await page.mouse.up()
  await settled(page)
  await expect(page.getByRole('main').getByTestId('place-middleDeg').locator('input').first()).not.toHaveValue(before)
})

test('colours in Tint are those that were reckoned, on the cake too', async ({ page }) => {
  await startJob(page, { across: '200 mm', high: '140 mm', board: '260 mm' })
  await pick(page.getByTestId('tier-1').getByLabel('Shape'), 'Square')
  await add(page, 'Box panels')
  await choose(page, 'print', 'plain')
  await openFold(page, 'colour')
  const heart = page
    .getByRole('main')
    .getByLabel(/: typed$/)
    .first()
  await heart.fill('#d05e3e')
  await heart.press('Enter')
  await turnTo(page, 'Tint')
  await drawn(page)
  await page.getByRole('main').getByText('its code').first().click()
  const said = await page
    .getByRole('main')
    .getByText(/^#[0-9a-f]{6}$/)
    .first()
    .innerText()
  const low = await lookedAt(page, 'low')
  const seen = `#${low
    .slice(0, 3)
    .map((byte) => byte.toString(16).padStart(2, '0'))
    .join('')}`
  const [one, other] = [hexOklab(said), hexOklab(seen)]
  expect(Math.hypot(one.l - other.l, one.a - other.a, one.b - other.b)).toBeLessThan(0.03)
})

test('the stand large: a picture of the size asked for, and a file in depth that others read', async ({ page }) => {
  await openLeaf(page, 'brief')
  await drawn(page)
  await page.keyboard.press('f')
  await expect(page.getByRole('main')).toBeHidden()
  await expect(page.getByTestId('tally-pieces')).toBeVisible()
  await pick(page.getByLabel('Width of the picture'), '3000 pixels wide')
  await drawn(page)
  const picture = await downloaded(page, () => page.getByTestId('save-picture').click())
  expect(picture.name).toBe('quillfinch-press.png')
  expect(picture.bytes.subarray(1, 4).toString()).toBe('PNG')
  expect(picture.bytes.readUInt32BE(16)).toBe(3000)

  const solid = await downloaded(page, () => page.getByTestId('save-solid').click())
  expect(solid.name).toBe('quillfinch-press.glb')
  const report = await validateBytes(new Uint8Array(await readFile(solid.path)))
  expect(report.issues.numErrors).toBe(0)
  const told = JSON.parse(solid.bytes.subarray(20, 20 + solid.bytes.readUInt32LE(12)).toString()) as {
    readonly nodes: readonly { readonly name?: string; readonly scale?: readonly number[] }[]
    readonly accessors: readonly { readonly type: string; readonly max?: readonly number[] }[]
  }
  const names = told.nodes.map(({ name }) => name)
  for (const name of ['Quillfinch Press', 'Board', 'Tier 1', 'Tier 3', 'Soaked sail 1', 'Folded globe 3'])
    expect(names).toContain(name)
  const [metre] = told.nodes.find(({ name }) => name === 'Quillfinch Press')!.scale!
  // Tiers of 110, 150 and 118 mm: the top one ends 378 mm above its board.
  const tops = told.accessors.flatMap(({ max }) => (max?.length === 3 ? [max[2]! * metre!] : []))
  expect(tops.some((top) => Math.abs(top - 0.378) < 0.0005)).toBe(true)
  await page.keyboard.press('f')
  await expect(page.getByRole('main')).toBeVisible()
})

test('the page for the client: two views at least, the price if wanted, as PDF', async ({ page }) => {
  await openLeaf(page, 'proposal')
  const paper = page.getByTestId('paper-proposal')
  await expect(paper.locator('img')).toHaveCount(2)
  await page.getByRole('button', { name: 'The front', exact: true }).click()
  await expect(paper.locator('img')).toHaveCount(2)
  await page.getByRole('button', { name: 'The back', exact: true }).click()
  await expect(paper.locator('img')).toHaveCount(3)
  await expect(paper).not.toContainText('Together')
  await page.getByTestId('with-price').check()
  await expect(paper).toContainText(/Together €\d+\.\d\d, as planned today/)
  const pdf = await downloaded(page, () => page.getByTestId('proposal-pdf').click())
  expect(pdf.bytes.subarray(0, 4).toString()).toBe('%PDF')
})

test('the stand is turned, tilted and come near by hand, and by keys', async ({ page }) => {
  await openLeaf(page, 'brief')
  await drawn(page)
  const stand = page.getByTestId('stand')
  const box = (await stand.boundingBox())!
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const viewBox = async (): Promise<readonly number[]> => (await stand.getAttribute('viewBox'))!.split(' ').map(Number)
  const whole = await viewBox()
  await page.mouse.move(x, y)
  await page.mouse.wheel(0, -400)
  await expect.poll(async () => (await viewBox())[2]!).toBeLessThan(whole[2]! * 0.7)
  await drawn(page)
  await page.keyboard.press('}')
  await page.keyboard.press(']')
  await expect(stand).toHaveAttribute('aria-label', /from 15 degrees/)
  await from(page, 'Front')
  await expect.poll(async () => (await viewBox())[2]!).toBeCloseTo(whole[2]!, 3)
})

test('drawn small where that is preferred', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('lamellon.stand', 'small'))
  await openLeaf(page, 'brief')
  await drawn(page)
  await expect(page.getByTestId('stand-drawn')).toHaveAttribute('data-level', 'small')
  expect(await orange(page)).toBeGreaterThan(3000)
})
