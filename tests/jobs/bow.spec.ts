import { expect, fromMenu, settled, test, turnTo } from '../studio'
import { add, alike, arrange, heading, say, shopping, startJob } from './job'

/**
 * A bow and four formed sails on a tier 8 in across and 4 in high in ganache, all in inches.
 *
 * By hand: a bow seen 4 3/4 in (120.65 mm) across: each loop is 2 × 60.3 × 1.1 + 10 = 142.7 mm, 5 5/8 in; two loops, two
 * tails, a knot, a spare of each kind: 8 pieces. They lie on one sheet, so that it is cut singly: two at once would be
 * two. Its film goes over whole sheets, both faces, 5 ml for a dm²: one A4 is 62.4 ml, 2.1 fl oz.
 * A sail seen 2 3/4 × 3 1/4 in, 3/4 in behind the next, waved by a fifth, shrinks by 2 %: ( 69.85 + 19.05 ) ÷ 0.98 = 90.7 mm,
 * 3 5/8 in high, 82.55 × 1.2 ÷ 0.98 = 101 mm, 4 in wide.
 */
test('a bow of film over whole sheets, in inches', async ({ page }) => {
  await startJob(page, { across: '8 in', high: '4 in', covering: 'Ganache', board: '11 in' })
  await fromMenu(page, /mm, °C, ml/)
  await add(page, 'Fabric bow')
  await say(page, 'parameter', 'seenMm', '4 3/4 in')
  expect(await heading(page)).toMatch(/1 bow on the cake; 8 pieces with spares from 1 sheet of A4/)
  await expect(page.getByTestId('flat-pieces')).toContainText('5 5/8 in')
  await expect(page.getByTestId('needs')).toContainText('2.1 fl oz of gelatine film')
  await expect(page.getByTestId('fixing')).toContainText(/On ganache: melted dark chocolate, 1\.5 g/)

  await add(page, 'Formed sail')
  await arrange(page, 'Crown')
  await say(page, 'place', 'spanDeg', '360')
  await say(page, 'place', 'reach', '100 %')
  await say(page, 'parameter', 'seenMm', '2 3/4 in')
  await say(page, 'parameter', 'widthMm', '3 1/4 in')
  await say(page, 'parameter', 'insertionMm', '3/4 in')
  await alike(page, '4')
  expect(await heading(page)).toMatch(/4 sails on the cake; 5 pieces with spares/)
  await expect(page.getByTestId('flat-pieces')).toContainText('4 in × 3 5/8 in')
  // Sheets coated with film are no other’s.
  await turnTo(page, 'Cut')
  await settled(page)
  await expect(page.getByRole('region', { name: /thin wafer/ })).toHaveCount(2)
  expect(await shopping(page)).toContain('gelatine')
})
