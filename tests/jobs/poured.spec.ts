import { expect, settled, test, turnTo } from '../studio'
import { add, choose, heading, say, shopping, startJob } from './job'

/**
 * Poured lace on a small tier, 150 × 90 mm in set buttercream: nine draped pieces, 60 × 45 mm, thin.
 *
 * By hand: 9 × 60 × 1.15 × 45 mm = 2.79 dm², with a fifth for spares and a fifth for edges 4.02 dm²; 8 ml for a dm²: 32 ml
 * of slurry; a pan 220 mm across is 3.80 dm²: 2 pours. Slurry with a fifth left in the jug is 38.6 ml, its paper 38.6 ×
 * 0.14 = 5.4 g: no offcuts are there, so 1 sheet is torn. Nothing is cut. Fresh buttercream holds it: 9 × 3 dots × 0.5 g =
 * 13.5 g.
 */
test('poured lace: slurry, pours and a sheet that is torn, nothing cut', async ({ page }) => {
  await startJob(page, { across: '150 mm', high: '90 mm', covering: 'Set buttercream', board: '220 mm' })
  await add(page, 'Cast mesh')
  await say(page, 'parameter', 'seenMm', '60 mm')
  await say(page, 'parameter', 'highMm', '45 mm')
  await say(page, 'place', 'count', '9')
  expect(await heading(page)).toMatch(/9 pieces of lace/)
  const main = page.getByRole('main')
  await expect(main).toContainText(/lace 4(\.0)? dm²/)
  await expect(main).toContainText(/slurry 32 ml/)
  await expect(main).toContainText(/pours 2/)
  await expect(page.getByTestId('fixing')).toContainText('fresh buttercream, 13.5 g')
  await turnTo(page, 'Cut')
  await expect(page.getByTestId('offcuts')).toContainText(/1 sheet of thin wafer torn whole/)
  expect(await shopping(page)).toContain('thin wafer, A4')

  // Thick and gathered takes more.
  await turnTo(page, 'Arrange')
  await choose(page, 'thickness', 'thick')
  await choose(page, 'laid', 'gathered')
  await settled(page)
  await expect(main).toContainText(/slurry 88 ml/)
})
