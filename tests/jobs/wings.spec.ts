import { expect, settled, test, turnTo } from '../studio'
import { add, choose, heading, say, startJob } from './job'

/**
 * A pair of wings and butterflies on loops, on a tier 200 × 120 mm in fondant.
 *
 * By hand: wings begin at 0.6 of the tier, 120 mm high; four layers a side, 8 pieces and a spare; all alike they are cut 120
 * mm high. Five butterflies on loops: 5 wires of gauge 26 of 50 + 12 + 50 = 112 mm, three from a wire of 360 mm: 2 wires;
 * 5 patches, 5 holders.
 */
test('wings in four layers from the tier’s size, butterflies on wire loops', async ({ page }) => {
  await startJob(page, { across: '200 mm', high: '120 mm', covering: 'Fondant', board: '300 mm' })
  await add(page, 'Layered wings')
  expect(await heading(page)).toMatch(/2 wings on the cake; .*pieces/s)
  expect(await heading(page)).not.toContain('give or take')
  await expect(page.getByTestId('parameter-seenMm').locator('input').first()).toHaveValue('120 mm')
  await choose(page, 'layering', 'equal')
  await expect(page.getByTestId('flat-pieces')).toContainText(/8 layer wings \+ 1/)
  await expect(page.getByTestId('flat-pieces')).toContainText('120 mm')

  await add(page, 'Butterfly')
  await choose(page, 'set', 'loop')
  await say(page, 'place', 'count', '5')
  expect(await heading(page)).toMatch(/5 butterflies/)
  await expect(page.getByTestId('fixing')).toHaveCount(0)
  await turnTo(page, 'Supply')
  await settled(page)
  await expect(page.getByRole('main')).toContainText('wire, gauge 26')
  await expect(page.getByRole('main')).toContainText('food-safe holders')
})
