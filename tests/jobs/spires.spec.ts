import { expect, settled, test, turnTo } from '../studio'
import { add, heading, say, startJob } from './job'

/**
 * Spires on a little tier, imperial: 4 in across and 4 in high, in modelling chocolate; eight asked, six fit.
 *
 * By hand: 4 in are 101.6 mm; a foot of a spire 30 mm wide is 8.4 mm, at most 50.8 − 4.2 − 4 = 42.6 mm from the middle.
 * Half way out an arc of 120° is 44.6 mm, and feet stand side by side: 44.6 ÷ 8.4 = 5.3 gaps, so 6 stand.
 * At the rim 89.2 ÷ 8.4 = 10.6 gaps, so 11. Each is cut 120 + 20 mm = 5 1/2 in long.
 */
test('spires on a small tier: how many stand is said, and the way out works', async ({ page }) => {
  await startJob(page, { across: '4 in', high: '4 in', covering: 'Modelling chocolate', board: '7 in' })
  await add(page, 'Steamed spire')
  expect(await heading(page)).toMatch(/3 spires/)
  // Its starting colours raise no stop: nothing with alcohol comes near the steam.
  await expect(page.getByRole('main')).not.toContainText('Alcohol burns')
  await say(page, 'place', 'reach', '50 %')
  await say(page, 'place', 'count', '8')
  await expect(page.getByTestId('fewer')).toContainText('8 asked, 6 fit')
  await page.getByTestId('fewer-rim').click()
  await settled(page)
  await expect(page.getByTestId('fewer')).toHaveCount(0)
  expect(await heading(page)).toMatch(/8 spires/)
  // Arranged in another way it keeps how many; taken back it stands as it stood.
  await page.getByTestId('arranged-as').getByRole('button', { name: 'Cluster' }).click()
  await expect(page.getByTestId('arranged-changed')).toContainText(/Kept: .*how many/)
  await page.getByTestId('arranged-as').getByRole('button', { name: 'Crown' }).click()
  await settled(page)
  expect(await heading(page)).toMatch(/8 spires/)
  await turnTo(page, 'Supply')
  await expect(page.getByRole('main')).toContainText('melted dark chocolate')
})
