import { expect, settled, test, turnTo } from '../studio'
import { add, alike, arrange, choose, completedBy, heading, say, shopping, startJob } from './job'

/**
 * Foliage on a tier 240 × 120 mm in fresh buttercream, completed at the venue: five free stems, a laminated and a patched
 * branch.
 *
 * By hand: a stem of three leaves has one of 90, 72 and 55.8 mm; five stems are 15 leaves, and 15 % that fail ask for
 * one more of each: 18 pieces. Their wires are 60 + 50 = 110 mm, three from a wire: 5 of gauge 24.
 * A laminated branch 150 mm long carries ( 150 × 0.84 ) ÷ 25 = 5 pairs and one at its tip, 11 leaves of two plies; one
 * spare leaf of each of three sizes: 14 leaves, 28 pieces. In thirds its leaf wires are 120 mm: 11, three from a wire.
 * A patched branch 110 mm long carries ( 110 × 0.84 ) ÷ 25 = 3.7, so 4 pairs and a tip: 9 leaves and 3 spares, 12 pieces.
 */
test('stems and branches: leaves counted, wires in thirds, a cutting list at the bench', async ({ page }) => {
  await startJob(page, { across: '240 mm', high: '120 mm', covering: 'Fresh buttercream', board: '300 mm' })
  await add(page, 'Free leaf stem')
  await arrange(page, 'Crown')
  await say(page, 'parameter', 'leafMm', '90 mm')
  await say(page, 'place', 'spanDeg', '360')
  await alike(page, '5')
  expect(await heading(page)).toMatch(/5 stems on the cake; 18 pieces with spares/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/5 large leaves \+ 1/)

  await add(page, 'Laminated leaves')
  await arrange(page, 'Single')
  await say(page, 'parameter', 'lengthMm', '150 mm')
  await choose(page, 'wireCut', 'third')
  expect(await heading(page)).toMatch(/1 branch on the cake; 28 pieces with spares/)
  await expect(page.getByRole('main')).toContainText(/leaves 11/)

  await add(page, 'Patched leaves')
  await arrange(page, 'Single')
  expect(await heading(page)).toMatch(/1 branch on the cake; 12 pieces with spares/)
  await expect(page.getByRole('main')).toContainText(/leaves 9/)

  await completedBy(page, 'At the venue')
  const list = await shopping(page)
  expect(list).toContain('wire, gauge 24')
  expect(list).toContain('wire, gauge 26')
  expect(list).toContain('food-safe holders')
  expect(list).not.toMatch(/water/)

  // At the bench: the card of the step that takes the wires lists them.
  await turnTo(page, 'Make')
  await page
    .getByTestId(/^task-.*-laminate$/)
    .first()
    .click()
  await expect(page.getByTestId('step-now')).toContainText(/11 of 120 mm, leaf; 3 from a wire/)
  await settled(page)
})
