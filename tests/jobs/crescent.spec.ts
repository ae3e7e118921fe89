import { expect, settled, test, turnTo } from '../studio'
import { completedBy, say, startJob } from './job'

/**
 * A crescent of blooms and leaf stems on the top of one tier, 220 × 100 mm in white fondant, handed over in its box.
 *
 * By hand: it begins at 0.6 of the way to the rim and goes round 200°: an arc of 0.6 × 110 × 3.49 = 230 mm, open by 160°
 * behind. Every bloom is on a wire; cut in thirds, 120 mm, three come from one of 360 mm.
 */
test('a crescent of blooms and leaf stems, open behind, seen from above in Arrange and in Placing', async ({
  page,
}) => {
  await startJob(page, { across: '220 mm', high: '100 mm', covering: 'Fondant', board: '300 mm' })
  await turnTo(page, 'Arrange')
  await page.getByTestId('add-decoration').click()
  await page.getByTestId('add-bouquet').click()
  await settled(page)
  await page.getByTestId('bouquet-place').selectOption({ label: 'a crescent on a top' })
  await settled(page)
  const bouquet = page.getByTestId('bouquet')
  await expect(page.getByTestId('bouquet-spanDeg').locator('input').first()).toHaveValue('200°')
  await expect(page.getByTestId('bouquet-reach').locator('input').first()).toHaveValue('60 %')
  await expect(page.getByTestId('from-above')).toBeVisible()
  for (const technique of ['Cupped bloom', 'Moulded bloom', 'Free leaf stem']) {
    await page.getByTestId('add-member').click()
    await page.getByRole('menuitem', { name: new RegExp(`^${technique}`) }).click()
    await settled(page)
  }
  await expect(page.getByTestId('recipe').getByRole('listitem')).toHaveCount(await memberCount(page))
  await expect(bouquet).toContainText(/cover its face of/)
  // Deeper, it takes more; open to one side, it stays open.
  await page.getByTestId('bouquet-outMm').locator('input').first().fill('70 mm')
  await page.getByTestId('bouquet-outMm').locator('input').first().press('Enter')
  await settled(page)

  // Wires in thirds, on the blooms’ own leaf.
  await page.getByTestId('recipe').getByRole('button', { name: 'Open bloom', exact: true }).click()
  await settled(page)
  await page.getByTestId('parameter-wireCut').selectOption('third')
  await settled(page)
  await expect(page.getByRole('main')).toContainText(/to \d|–|petal/)

  await completedBy(page, 'Handed over')
  await turnTo(page, 'Deliver')
  await expect(page.getByTestId('paper-placing')).toBeVisible()
  await expect(page.getByTestId('paper-placing').getByRole('img', { name: 'From above, numbered' })).toBeVisible()
})

async function memberCount(page: import('@playwright/test').Page): Promise<number> {
  const rows = await page.getByTestId('recipe').getByRole('listitem').count()
  expect(rows).toBeGreaterThanOrEqual(6)
  return rows
}
