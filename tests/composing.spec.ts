import { execFile } from 'node:child_process'
import { copyFile, mkdtemp } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import type { Locator, Page } from '@playwright/test'
import {
  addDecoration as add,
  downloaded,
  expect,
  figureOf,
  fromMenu,
  openLeaf,
  settled,
  startOwn,
  test,
  turnTo,
  openFold,
  pick,
} from './studio'

const run = promisify(execFile)

async function startOwnArrangement(page: Page): Promise<void> {
  await startOwn(page)
  await turnTo(page, 'Arrange')
}

const openTab = (page: Page, name: RegExp): Promise<void> =>
  page.getByTestId('decorations').getByRole('button', { name }).click()
async function headingOf(page: Page): Promise<string> {
  await settled(page)
  return page.getByRole('main').locator('header').innerText()
}

/** The first number on a decoration's tab: how many elements it has. */
async function countOn(page: Page, tab: Locator): Promise<number> {
  await settled(page)
  return Number((await tab.innerText()).match(/\d+/)![0])
}
const undo = (page: Page): Promise<void> => page.getByTestId('undo').click()

/** The commission saved and planned on the command line, as it prints it. */
async function plannedOutside(page: Page): Promise<string> {
  const file = await downloaded(page, () => fromMenu(page, 'Save to a file'))
  const copy = join(await mkdtemp(join(tmpdir(), 'lamellon-')), file.name)
  await copyFile(file.path, copy)
  return (await run(process.execPath, ['scripts/plan.mjs', copy, '--now', '2026-11-24T09:00'])).stdout
}

test(
  'sails, collar, lace, moths and globes are composed on an empty cake, nudged, ' +
    'pinned, shuffled and taken back; the command line counts the same',
  async ({ page }) => {
    await startOwnArrangement(page)
    for (const name of ['Soaked sail', 'Torn ruffle', 'Strip scroll', 'Butterfly', 'Folded globe'])
      await add(page, name)
    await expect(page.getByTestId('decorations').getByRole('button', { pressed: true })).toContainText('Folded globe')
    await expect(page.getByTestId('flat-pieces')).toContainText('circles')
    await expect(page.getByTestId('tally-startBy')).toContainText(/\d\d:\d\d/)

    // A band pulled up takes more; undone it is as before.
    await openTab(page, /Torn ruffle/)
    const before = await headingOf(page)
    const sheetsIn = (heading: string): number => Number(heading.match(/from (\d+) sheets/)![1])
    await page.getByTestId('shuffle').click()
    expect(await headingOf(page)).toBe(before)
    const upper = page.getByTestId('handle-to')
    await upper.focus()
    for (let press = 0; press < 8; press += 1) await page.keyboard.press('Shift+ArrowUp')
    await expect.poll(async () => sheetsIn(await headingOf(page))).toBeGreaterThan(sheetsIn(before))
    // Presses in quick succession are taken back together; how quick they come is the machine's.
    await expect(async () => {
      if ((await headingOf(page)) !== before) await undo(page)
      expect(await headingOf(page)).toBe(before)
    }).toPass()

    // One moth nudged stays pinned through a shuffle and through fewer moths; the others go elsewhere.
    await openTab(page, /Butterfly/)
    await page.getByTestId('pick-next').click()
    await page.getByTestId('element-move').focus()
    await page.keyboard.press('Shift+ArrowRight')
    await page.keyboard.press('ArrowUp')
    await expect(page.getByTestId('element-bar')).toContainText('pinned')
    const places = async (): Promise<readonly (string | null)[]> => {
      await settled(page)
      return page
        .locator('[data-testid^="unrolled-"] polygon')
        .evaluateAll((all) => all.map((each) => each.getAttribute('points')))
    }
    const [pinnedAt, ...others] = await places()
    await page.getByTestId('shuffle').click()
    await expect.poll(async () => (await places()).slice(1)).not.toEqual(others)
    expect((await places())[0]).toBe(pinnedAt)
    await undo(page)
    await expect.poll(places).toEqual([pinnedAt, ...others])

    // One out, one more, one larger: the counts follow, and one touch gives all back.
    const moths = page.getByTestId('decorations').getByRole('button', { name: /Butterfly/ })
    const count = await countOn(page, moths)
    await page.getByTestId('element-out').click()
    await expect(moths).toContainText(String(count - 1))
    await page.getByTestId('element-add').click()
    await page.getByTestId('element-add').click()
    await expect(moths).toContainText(String(count + 1))
    await page.getByTestId('element-larger').click()
    await page.getByTestId('element-release').click()
    await expect(moths).toContainText(String(count))
    for (let step = 0; step < 5; step += 1) await undo(page)

    // A sail is pinned by hand too.
    await openTab(page, /Soaked sail/)
    await page.getByTestId('pick-next').click()
    await page.getByTestId('element-move').focus()
    await page.keyboard.press('Shift+ArrowLeft')
    await expect(page.getByTestId('element-bar')).toContainText(/1 of \d+, pinned/)

    const [pieces, sheets] = [await figureOf(page, 'pieces'), await figureOf(page, 'paper')]
    expect(Number(sheets)).toBeGreaterThan(2)
    await turnTo(page, 'Cut')
    await expect(page.getByTestId('piece-table')).toContainText('scroll strip')
    await turnTo(page, 'Deliver')
    await expect(page.getByRole('main')).toContainText('picks that hold scrolls')
    const printed = await plannedOutside(page)
    expect(printed).toMatch(new RegExp(`^paper\\s+${sheets}(\\s|$)`, 'm'))
    expect(printed).toMatch(new RegExp(`^pieces\\s+${pieces}(\\s|$)`, 'm'))
  },
)

test('a paper that does not suit is refused with the reason, and the right one is a touch away', async ({ page }) => {
  await startOwnArrangement(page)
  await add(page, 'Torn ruffle')
  await expect(page.getByTestId('tally-paper')).toContainText('A4')
  await openFold(page, 'colour')
  await pick(page.getByTestId('paper'), 'rice film (does not suit)')
  await expect(page.getByTestId('tally-warnings')).toContainText('something stops the plan')
  await expect(page.getByTestId('paper-says')).toContainText('does not tear straight')
  await page.getByRole('button', { name: 'Take thin wafer' }).click()
  await expect(page.getByTestId('tally-warnings')).not.toContainText('something stops the plan')
})

test('another way of arranging, a finish, a quiet place and pearls change what they should', async ({ page }) => {
  await startOwnArrangement(page)
  await add(page, 'Butterfly')
  const sheets = await figureOf(page, 'paper')
  const hands = await figureOf(page, 'handsOn')
  await openFold(page, 'colour')
  await page.getByTestId('finish-edgeGilding').click()
  await expect(page.getByTestId('finishes')).toContainText(/takes .*ml/)
  await expect.poll(() => figureOf(page, 'handsOn')).not.toBe(hands)
  expect(await figureOf(page, 'paper')).toBe(sheets)
  await openFold(page, 'what')
  await page.getByTestId('add-accent').click()
  await page.getByRole('menuitem', { name: 'Pearl' }).click()
  await expect(page.getByTestId('accents')).toContainText('14 pearls')
  await page.getByTestId('accents').getByLabel('eaten').uncheck()
  await expect(page.getByTestId('accents')).toContainText('removal list')
  await page.getByTestId('arranged-as').getByRole('button', { name: 'Band' }).click()
  const moths = page.getByTestId('decorations').getByRole('button', { name: /Butterfly/ })
  const allRound = await countOn(page, moths)
  await page.getByTestId('quiet-back').check()
  await expect.poll(() => countOn(page, moths)).toBeLessThan(allRound)
  await turnTo(page, 'Deliver')
  await page.getByRole('tab', { name: 'Count in, count out' }).click()
  await expect(page.getByRole('main')).toContainText('off before the cake is cut')
})

test('an outline is brought from a file, a bad one changes nothing', async ({ page }) => {
  await startOwnArrangement(page)
  await add(page, 'Silhouette')
  await openFold(page, 'what')
  const bring = (name: string, text: string): Promise<void> =>
    page.getByTestId('outline-file').setInputFiles({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) })
  await bring('bad.svg', '<svg><script>alert(1)</script></svg>')
  await expect(page.getByRole('alert')).toContainText('What was here is kept')
  await expect(page.getByTestId('undo')).toHaveAccessibleName(/add a decoration/)
  await bring(
    'moon.svg',
    '<svg width="60mm" height="60mm" viewBox="0 0 60 60"><path d="M30 5a25 25 0 1 0 20 40a20 20 0 1 1 -20 -40Z"/></svg>',
  )
  await expect(page.getByTestId('undo')).toHaveAccessibleName(/bring an outline/)
  await expect(page.getByTestId('outline-height')).toHaveCount(0)
  await bring(
    'star.svg',
    '<svg viewBox="0 0 10 10"><polygon points="5,0 6,4 10,4 7,6 8,10 5,7 2,10 3,6 0,4 4,4"/></svg>',
  )
  await expect(page.getByTestId('outline-height')).toContainText('does not say how large')
})

test('a beginning is laid on the user’s own tiers and taken back', async ({ page }) => {
  await startOwnArrangement(page)
  await page.getByTestId('see-beginnings').click()
  await expect(page.getByTestId('beginnings').locator('li')).toHaveCount(11)
  await page
    .getByTestId('beginnings')
    .locator('li', { hasText: 'Collar and crown' })
    .getByRole('button', { name: 'Lay it on' })
    .click()
  await expect(page.getByTestId('decorations')).toContainText('Torn ruffle')
  await undo(page)
  await expect(page.getByRole('heading', { level: 1, name: 'Nothing on the cake yet' })).toBeVisible()
})

test('an element touched on the stand opens its decoration and can be moved there', async ({ page }) => {
  await openLeaf(page, 'tiers')
  // Without graphics the cake is drawn, and touched, flat.
  await expect(page.getByTestId('stand-drawn')).toHaveAttribute('data-level', 'flat')
  const stand = (await page.getByTestId('stand').boundingBox())!
  await page.mouse.click(stand.x + stand.width * 0.62, stand.y + stand.height * 0.8)
  await expect(page).toHaveURL(/\/arrange$/)
  await expect(page.getByRole('heading', { level: 1, name: 'Torn ruffle' })).toBeVisible()
  await expect(page.getByTestId('element-bar')).toContainText(/\d+ of 20/)
  const picked = page.getByTestId('stand-picked')
  await picked.focus()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByTestId('element-bar')).toContainText('pinned')
  const box = (await picked.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - 30, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await expect.poll(async () => Math.round((await picked.boundingBox())!.x)).toBeLessThan(Math.round(box.x) - 10)
})

test('a bouquet says how many blooms a place takes; it is made fuller, pulled, shaped and counted alike outside', async ({
  page,
}) => {
  await startOwnArrangement(page)
  await page.getByTestId('add-bouquet').click()
  await expect(page.getByTestId('recipe').getByRole('listitem')).toHaveCount(4)
  await expect(page.getByTestId('wires')).toContainText('the fewest there can be')
  const blooms = page.getByTestId('decorations').getByRole('button', { name: /Open bloom/ })
  const before = await countOn(page, blooms)
  const full = page.getByTestId('bouquet-full').getByRole('textbox')
  await full.fill('85 %')
  await full.press('Enter')
  await expect.poll(() => countOn(page, blooms)).toBeGreaterThan(before)

  // Pulled on the stand, its blooms go with it.
  const middle = page.getByTestId('stand-handle-middle')
  await middle.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByTestId('bouquet-middleDeg').getByRole('textbox')).toHaveValue(/-?18/)

  // A bloom is made after another plant and its petal pulled.
  await blooms.click()
  await openFold(page, 'what')
  await page.getByTestId('plants').getByRole('button', { name: 'Magnolia' }).click()
  await expect(page.getByTestId('flat-pieces')).toContainText('medium petals')
  const wide = await page.getByTestId('flat-pieces').innerText()
  await page.getByTestId('petal-shoulder').focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect
    .poll(async () => {
      await settled(page)
      return page.getByTestId('flat-pieces').innerText()
    })
    .not.toBe(wide)
  await expect(page.getByTestId('assembly').getByRole('listitem')).toHaveCount(3)

  // Placed by itself it is no longer in the recipe; undo brings it back.
  await page.getByRole('button', { name: 'Place it by itself' }).click()
  await expect(page.getByTestId('arranged-as')).toBeVisible()
  await undo(page)
  await expect(page.getByTestId('gathered')).toBeVisible()

  await turnTo(page, 'Tint')
  await expect(page.getByTestId('mixtures')).toContainText('Edible glue from offcuts')
  const sheets = await figureOf(page, 'paper')
  expect(await plannedOutside(page)).toMatch(new RegExp(`^paper\\s+${sheets}(\\s|$)`, 'm'))
  await turnTo(page, 'Deliver')
  await page.getByRole('tab', { name: 'Count in, count out' }).click()
  await expect(page.getByRole('main')).toContainText('wires of blooms')
})
