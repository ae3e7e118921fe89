import { expect, openFold, settled, test, turnTo } from '../studio'
import { add, heading, say, shopping, startJob } from './job'

/**
 * A tier 200 × 120 mm in modelling chocolate, wrapped from foot to top in three shades, with a torn ruffle over it.
 *
 * By hand: round the tier 628 mm, on a dummy 10 mm wider 628.3 + π × 10 = 660 mm. An A4 along the tier is 287 mm long;
 * 2 % of shrink and a sixth of crumples leave 287 × 0.98 ÷ 1.15 = 244.6 mm, less 15 mm of overlap 229.6: 660 ÷ 229.6 =
 * 2.9, so 3 sheets, and a spare. 120 mm high takes 120 × 1.15 ÷ 0.98 = 141 mm.
 * The ruffle’s strips are 297 × 34 mm, fullness 1.7: 628.3 × 1.7 ÷ 297 = 3.6, so 4 in a row; on a band of 84 mm with rows
 * overlapping by 45 %: ( 84 − 34 ) ÷ 18.7 + 1 = 3.7, so 4 rows, 16 strips; 10 % that fail ask for 2: 18. Torn, six come
 * from an A4.
 */
test('a wrap in three shades is ground for a ruffle; strips are torn six from a sheet', async ({ page }) => {
  await startJob(page, { across: '200 mm', high: '120 mm', covering: 'Modelling chocolate', board: '260 mm' })
  await add(page, 'Formed wrap')
  expect(await heading(page)).toMatch(/3 sheets.*4 pieces with spares from 4 sheets/s)
  expect(await heading(page)).not.toContain('give or take')
  await expect(page.getByTestId('flat-pieces')).toContainText(/287 mm × 141 mm/)
  await openFold(page, 'colour')
  const shades = page.getByTestId('run-steps').locator('input').first()
  // Ink blue at the foot, cream at the top.
  await page.getByRole('group', { name: 'Colour', exact: true }).getByRole('button', { name: 'ink blue' }).click()
  await settled(page)
  await shades.fill('3')
  await shades.press('Enter')
  await settled(page)
  await page.getByRole('group', { name: 'At the top' }).getByRole('button', { name: 'cream' }).click()
  await settled(page)
  await expect(page.getByTestId('glued')).toHaveCount(0)

  await add(page, 'Torn ruffle')
  await say(page, 'place', 'fromMm', '0 mm')
  await say(page, 'place', 'toMm', '84 mm')
  expect(await heading(page)).toMatch(/16 strips/)
  await turnTo(page, 'Cut')
  await expect(page.getByRole('main')).toContainText(/torn strip/)

  // Each shade of the wrap has a dish of its own, pale first, for every sheet.
  await turnTo(page, 'Tint')
  await settled(page)
  const dishes = page.getByTestId('paper-dishes').getByRole('listitem')
  await expect(dishes.filter({ hasText: 'Formed wrap, 4 pieces' })).toHaveCount(3)
  expect(await shopping(page)).toContain('piping gel')
  expect(await shopping(page)).toContain('cling film')
})
