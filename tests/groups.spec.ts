import { writeCommissionFile } from '../core/format/commissionFile'
import { STARTING_WORKSHOP } from '../core/workshop'
import { fourGroups, onTwoTiers } from './any/fourGroups'
import { addDecoration, expect, figureOf, openLeaf, settled, test, turnTo } from './studio'

test('four groups of soaked sails share baths and discs, lie on trays and mats, and a fifth joins them', async ({
  page,
}) => {
  const commission = onTwoTiers(fourGroups(), 0)
  const text = writeCommissionFile({
    commission: { ...commission, brief: { ...commission.brief, name: 'Four groups' } },
    workshop: STARTING_WORKSHOP,
  })
  await openLeaf(page, 'arrange')
  await page
    .getByTestId('file-input')
    .setInputFiles({ name: 'four.lamellon.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await page.getByTestId('take-file').click()
  await expect(page.getByTestId('studio-menu')).toContainText('Four groups')
  await settled(page)

  const tabs = page.getByTestId('decorations').getByRole('button', { name: /^Soaked sail/ })
  await expect(tabs).toHaveText([
    /^Soaked sail\s*\d+$/,
    /^Soaked sail 2\s*3$/,
    /^Soaked sail 3\s*2$/,
    /^Soaked sail 4\s*1$/,
  ])
  await expect(page.getByTestId('tally-pieces')).toContainText(/\d+ ± \d+ sails/)

  // Two runs of shades are two baths, pale first for everything in each.
  await turnTo(page, 'Tint')
  const baths = page.getByTestId('bath')
  await expect(baths).toHaveCount(2)
  await expect(baths.nth(0)).toContainText('soaked sail, soaked sail 3')
  await expect(baths.nth(1)).toContainText('soaked sail 2, soaked sail 4')

  // All are portions of the same discs, and the tally counts those that are opened.
  await turnTo(page, 'Cut')
  const table = page.getByTestId('piece-table')
  await expect(table).toContainText('half disc')
  await expect(table).toContainText('whole disc')
  const discs = await figureOf(page, 'paper')
  // All of them are told where the pointer rests; below the figure there is room for some.
  const opened = (await page.getByTestId('tally-paper').locator('[title]').getAttribute('title'))!
  const counts = [...opened.matchAll(/(\d+) discs? of \d+ mm/g)].map(([, count]) => Number(count))
  expect(counts.reduce((sum, count) => sum + count, 0)).toBe(Number(discs))

  // Two ways of drying: trays for what goes into the oven, mats for the rest.
  await turnTo(page, 'Dry')
  await expect(page.getByLabel('How it dries')).toHaveCount(2)
  const main = page.getByRole('main')
  await expect(main).toContainText(/tray 1/i)
  await expect(main).toContainText(/mat 1/i)

  // A fifth of the same run of shades joins the first bath.
  await turnTo(page, 'Arrange')
  await addDecoration(page, 'Soaked sail')
  await expect(tabs).toHaveCount(5)
  await turnTo(page, 'Tint')
  await expect(baths).toHaveCount(2)
  await expect(baths.nth(0)).toContainText('soaked sail, soaked sail 3, soaked sail 5')
  await page.getByTestId('undo').click()
  await expect(baths.nth(0)).not.toContainText('soaked sail 5')
  await expect.poll(() => figureOf(page, 'paper')).toBe(discs)
})
