import { expect, settled, test, turnTo, pickValue } from '../studio'
import { add, alike, choose, heading, say, shopping, startJob } from './job'

/**
 * Three folded globes, two wedges and five gathered fans on a tier 260 × 110 mm in fondant.
 *
 * By hand: a ball takes 12 circles of 40 mm: 36, and 10 % that fail 36 × 0.1 ÷ 0.9 = 4: 40 pieces; both faces are coloured.
 * A wedge of four flush: 2 × 4 = 8 circles and a spare. With punches of 25 and 50 mm a circle of 40 is punched 50.
 * A fan seen 70 mm high, 15 mm behind its foot, shrinks by 2 %: 85 ÷ 0.98 = 86.7 mm; spread over 80° it is 90 mm across
 * and 180 mm flat. Five and 15 % that fail, 0.9: one spare, 6. Sheets sponged whole are no other’s.
 */
test('globes of twelve, wedges of four, punches owned, fans on sheets of their own', async ({ page }) => {
  await startJob(page, { across: '260 mm', high: '110 mm', covering: 'Fondant', board: '320 mm' })
  await add(page, 'Folded globe')
  await say(page, 'place', 'spanDeg', '360')
  await alike(page, '3')
  expect(await heading(page)).toMatch(/3 globes on the cake; 40 pieces with spares/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/36 circles \+ 4/)
  await expect(page.getByTestId('flat-pieces')).toContainText('40 mm')

  await add(page, 'Folded globe')
  await choose(page, 'part', 'quarter')
  await say(page, 'parameter', 'wedge', '4')
  await alike(page, '2')
  expect(await heading(page)).toMatch(/2 globes on the cake; 9 pieces with spares/)

  await add(page, 'Gathered fan')
  await say(page, 'parameter', 'seenMm', '70 mm')
  await say(page, 'place', 'irregularity', '0 %')
  await say(page, 'place', 'count', '5')
  expect(await heading(page)).toMatch(/5 fans on the cake; 6 pieces with spares/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/180 mm × 87 mm/)
  await expect(page.getByTestId('needs')).toContainText('picks that hold fans while they set')

  await turnTo(page, 'Cut')
  await settled(page)
  await expect(page.getByRole('main')).toContainText(/circle/)
  // With punches of 25 and 50 mm a circle of 40 is punched 50.
  await page.getByText('Edges, gaps and tools').click()
  await page.getByTestId('punches').fill('25 mm, 50 mm')
  await page.getByTestId('punches').press('Enter')
  await settled(page)
  await pickValue(page.getByLabel('Folded globe is cut by').first(), 'punch')
  await settled(page)
  await turnTo(page, 'Arrange')
  await page
    .getByTestId('decorations')
    .getByRole('button', { name: /^Folded globe 3$/ })
    .click()
  await settled(page)
  await expect(page.getByTestId('flat-pieces')).toContainText('50 mm × 50 mm')
  const list = await shopping(page)
  expect(list).toContain('picks that hold fans while they set')
  expect(list).toContain('glycerin')
})
