import { expect, settled, test, turnTo } from '../studio'
import { add, alike, arrange, completedBy, heading, say, shopping, startJob } from './job'

/**
 * A dome of florets and four filler sprigs on a tier 220 × 90 mm in whipped cream, completed at the venue.
 *
 * By hand: a dome 80 mm across has 2 × π × 40² = 10 053 mm², a floret 18 mm across covers 254 mm²: 1.1 × 10 053 ÷ 254 =
 * 43.5, so 44, and 15 % that fail: 44 × 0.15 ÷ 0.85 = 7.8, so 8 spares, 52 pieces. 44 wires and a stem, one holder.
 * Four sprigs of nine tips: 36 snips, 36 × 0.15 ÷ 0.85 = 6.4, so 7 spares, 43 pieces; 36 wires and 4 stems.
 */
test('one dome unless more are asked, sprigs beside it, nothing glued on whipped cream', async ({ page }) => {
  await startJob(page, { across: '220 mm', high: '90 mm', covering: 'Whipped cream', board: '300 mm' })
  await add(page, 'Floret dome')
  expect(await heading(page)).toMatch(/1 dome on the cake/)
  await say(page, 'parameter', 'acrossMm', '80 mm')
  await say(page, 'parameter', 'floretMm', '18 mm')
  expect(await heading(page)).toMatch(/1 dome on the cake; 52 pieces with spares/)
  await expect(page.getByRole('main')).toContainText(/florets 44/)
  await expect(page.getByTestId('needs')).toContainText('44 wires of florets, counted in and out')

  await add(page, 'Filler sprig')
  await arrange(page, 'Crown')
  await say(page, 'place', 'spanDeg', '360')
  await say(page, 'place', 'reach', '100 %')
  await alike(page, '4')
  expect(await heading(page)).toMatch(/4 sprigs on the cake; 43 pieces with spares/)
  await expect(page.getByTestId('fixing')).toHaveCount(0)

  await completedBy(page, 'At the venue')
  const list = await shopping(page)
  expect(list).toContain('food-safe holders')
  expect(list).toContain('half foam balls')
  // What must be out before it is eaten is on the removal list, wire by wire.
  await turnTo(page, 'Deliver')
  await settled(page)
  await page.getByRole('tab', { name: 'Count in, count out' }).click()
  await expect(page.getByTestId('paper-removal')).toContainText('44')
})
