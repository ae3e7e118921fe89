import { expect, settled, test, turnTo, pickValue } from '../studio'
import { add, heading, say, shopping, startJob } from './job'

/**
 * Lace over a third of a side: a round tier 200 × 118 mm in ganache, twelve strip scrolls in two rows over 120°.
 *
 * By hand: strips of 7 × 105 mm: a scroll is seen ( 105 − 12 ) ÷ 2.2 = 42.3 mm. Rows that fill 118 mm, overlapping by a
 * tenth: ( 118 − 42.3 ) ÷ ( 42.3 × 0.9 ) + 1 = 2.99, so 2. A third of the side is 209 mm: 209 ÷ 38.1 = 5.5, 5 or 6 in a
 * row; 10 are asked. 10 scrolls × 10 strips = 100, spares 100 × 0.1 ÷ 0.9 = 11.1, so 12: 112 strips. Two sheets at once:
 * 56 to a sheet along a ruler, 112 on 2 sheets. Gel: two dots of 0.2 g each: 10 × 2 × 0.2 = 4 g. Ten picks.
 */
test('lace over a third of a side: rows, strips, sheets, gel and picks as by hand', async ({ page }) => {
  await startJob(page, { across: '200 mm', high: '118 mm', covering: 'Ganache', board: '260 mm' })
  await add(page, 'Strip scroll')
  await say(page, 'parameter', 'seenMm', '42.3 mm')
  await say(page, 'parameter', 'stripWidthMm', '7 mm')
  await say(page, 'place', 'fromMm', '0 mm')
  await say(page, 'place', 'toMm', '118 mm')
  await say(page, 'place', 'spanDeg', '120')
  await expect(page.getByTestId('place-rows').locator('input')).toHaveAttribute('placeholder', '2')
  await say(page, 'place', 'count', '10')
  expect(await heading(page)).toMatch(/10 scrolls.*112 pieces with spares from 2 sheets/s)
  expect(await heading(page)).not.toContain('give or take')
  // Melted chocolate is usual on ganache; gel is chosen.
  await pickValue(page.getByTestId('glue'), 'pipingGel')
  await settled(page)
  await expect(page.getByTestId('fixing')).toContainText(/On ganache: piping gel, 4 g/)
  await turnTo(page, 'Cut')
  await expect(page.getByRole('main')).toContainText('56')
  const list = await shopping(page)
  expect(list).toContain('piping gel')
  expect(list).toContain('picks that hold scrolls while the gel sets')
  expect(list).not.toMatch(/water/)
})
