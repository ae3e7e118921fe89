import { expect, settled, test, turnTo, pickValue } from '../studio'
import { add, alike, arrange, heading, say, shopping, startJob } from './job'

/**
 * A show piece: a covered dummy, 200 × 120 mm, with fifteen puffs and one outline standing on it.
 *
 * By hand: colour of half depth lets film swell 1.4 times: puffs seen 30 mm are cut 21.4 mm; fifteen and a fifth that
 * fails, 15 × 0.2 ÷ 0.8 = 3.75, so 4: 19. Oil to fry in is bought, 600 ml; a sheet of kitchen paper to five puffs, 4.
 * An outline seen 90 mm with a foot of 20 is cut 110 mm high; one and a spare.
 * Nobody eats a dummy: nothing is filled or crumb-coated, no holders.
 */
test('a dummy with puffs and an outline: oil bought, nothing filled', async ({ page }) => {
  await startJob(page, { across: '200 mm', high: '120 mm', covering: 'Fondant', board: '260 mm' })
  const card = page.getByTestId('tier-1')
  await expect(card).toContainText('crumb coat')
  await pickValue(card.getByTestId('tier-inside'), 'dummy')
  await settled(page)
  await expect(card).not.toContainText('crumb coat')

  await add(page, 'Puff')
  await arrange(page, 'Crown')
  await say(page, 'place', 'spanDeg', '360')
  await say(page, 'place', 'reach', '100 %')
  await alike(page, '15')
  expect(await heading(page)).toMatch(/15 puffs on the cake; 19 pieces with spares/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/21 mm/)
  await expect(page.getByTestId('needs')).toContainText('600 ml of plain oil for frying')

  await add(page, 'Silhouette')
  await arrange(page, 'Single')
  await say(page, 'parameter', 'seenMm', '90 mm')
  await say(page, 'parameter', 'footMm', '20 mm')
  expect(await heading(page)).toMatch(/1 silhouette on the cake; 2 pieces with spares/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/110 mm/)
  const list = await shopping(page)
  expect(list).toContain('plain oil for frying')
  expect(list).toContain('kitchen paper')
  expect(list).not.toContain('crumb coat')
  await turnTo(page, 'Timetable')
  await settled(page)
  await expect(page.getByRole('main')).not.toContainText('Fill and crumb-coat tier')
})
