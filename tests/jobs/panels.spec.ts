import { expect, test } from '../studio'
import { add, heading, shopping, say, startJob } from './job'

/**
 * A plain panelled tier in fondant, 260 × 110 mm, printed in sprigs, glued all over.
 *
 * By hand: 816.8 mm round; the panels follow the tier, 110 + 3 mm of hem = 113 mm high, so an A4 lies along it, 287 mm:
 * 816.8 ÷ ( 287 − 12 ) = 2.97, 3 panels and 1 spare. One fits on a sheet, two sheets at once: 4 sheets. Gel over the whole
 * back: 3 × 2.87 × 1.13 dm² × 4 g = 38.9 g. On a tier 210 mm high a sheet is turned: 200 mm long, 816.8 ÷ 188 = 4.3, 5 panels.
 */
test('a panelled tier: panels follow its height, gel over the whole back, a sheet turned where it is tall', async ({
  page,
}) => {
  await startJob(page, { across: '260 mm', high: '110 mm', covering: 'Fondant', board: '320 mm' })
  await add(page, 'Flat panel')
  expect(await heading(page)).toMatch(/3 panels.*4 pieces with spares from 4 sheets/s)
  expect(await heading(page)).not.toContain('give or take')
  await expect(page.getByTestId('fixing')).toContainText(/piping gel, 39 g/)
  await expect(page.getByTestId('flat-pieces')).toContainText('113 mm')
  expect(await shopping(page)).toContain('piping gel')
})

test('a tall panelled tier turns its sheets', async ({ page }) => {
  await startJob(page, { across: '260 mm', high: '210 mm', covering: 'Fondant', board: '320 mm' })
  await add(page, 'Flat panel')
  expect(await heading(page)).toMatch(/5 panels/)
  await say(page, 'parameter', 'panelHeightMm', '150 mm')
  expect(await heading(page)).toMatch(/3 panels/)
})
