import { expect, settled, test, turnTo, pick } from '../studio'
import { add, alike, arrange, choose, completedBy, heading, say, shopping, startJob } from './job'

/**
 * One sail of soaked film and a crown of six pan sails in two colours, on a tier 260 × 120 mm in fondant, completed before
 * the drive.
 *
 * By hand: half a disc of 280 mm as it comes reaches 140 mm; film shrinks by 1.5 % usually, 2.6 % is allowed for until a
 * trial: 140 × 0.974 − 15 = 121 mm high, 2 × 140 × 0.974 ÷ 1.6 = 170 mm wide. A spare is the disc’s other half: 1 disc.
 * A pan sail seen 68 × 66 mm, 12 mm behind the next, at four in five 25.4 % of shrink: ( 68 + 12 ) ÷ 0.746 = 107 mm by
 * 66 × 1.25 ÷ 0.746 = 111 mm. Six are asked; a fifth breaks: 6 ÷ 0.8 = 7.5, so 8. Two fit on an A4: 4 sheets.
 */
test('one sail of film as it comes, six from the pan in two colours, powders by weight', async ({ page }) => {
  await startJob(page, { across: '260 mm', high: '120 mm', covering: 'Fondant', board: '320 mm' })
  await add(page, 'Soaked sail')
  await arrange(page, 'Single')
  await choose(page, 'sizing', 'asItComes')
  await say(page, 'parameter', 'whole', '0')
  await say(page, 'parameter', 'half', '1')
  await say(page, 'parameter', 'quarter', '0')
  expect(await heading(page)).toMatch(/1 sail on the cake; 2 pieces with spares from 1 disc/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/280 mm/)
  await expect(page.getByTestId('finished-element')).toContainText(/seen 170 mm × 121 mm/)

  await add(page, 'Pan sail')
  await arrange(page, 'Crown')
  await say(page, 'place', 'spanDeg', '360')
  await alike(page, '6')
  await say(page, 'place', 'overlap', '60 %')
  await say(page, 'parameter', 'mistedShare', '30 %')
  expect(await heading(page)).toMatch(/6 sails on the cake; 8 pieces with spares from 4 sheets/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/111 mm × 107 mm/)

  // Two dishes: the bath that is dipped in, and what is misted in the pan.
  await turnTo(page, 'Tint')
  const dishes = page.getByTestId('paper-dishes')
  await expect(dishes).toContainText('dipped')
  await expect(dishes).toContainText('second colour')
  await expect(dishes).toContainText('misted')
  // A gel with sugar is left out by its name; a powder is weighed.
  const shelf = page.getByTestId('dye-shelf')
  await pick(shelf.getByLabel('red is made with'), 'powder')
  await pick(shelf.getByLabel('yellow is made with'), 'powder')
  await settled(page)
  await expect(dishes).toContainText(/red \d+(\.\d+)? g/)
  await expect(dishes).toContainText(/level [\d⅛¼⅜½⅝¾⅞ ]+ teaspoon/)
  await pick(shelf.getByLabel('red is made with'), 'sugar gel')
  await settled(page)
  await expect(page.getByTestId('left-out')).toContainText('Pan sail is mixed without red: it has sugar in it')
  await expect(dishes).toContainText('Out of reach: the dyes that suit make another colour')
  await expect(dishes).not.toContainText(/red \d/)

  await completedBy(page, 'Before driving')
  expect(await shopping(page)).toContain('thin wafer, A4')
})
