import { expect, settled, test, turnTo, pick } from '../studio'
import { add, choose, heading, say, startJob } from './job'

/**
 * Three little cubes of set buttercream, 60 mm, loose on one board, each panelled as a box: 12, 24 and 20 accents.
 *
 * By hand: cubes of 60 mm with corners of 2 mm have faces of 56 mm and half an arc of 3.14 mm at each end, 59.1 mm; with a
 * hem of 4 mm panels are 59 × 64 mm. Four sides and a top are five faces; the bottom is a sixth. Three accents on four top
 * corners are 12, on eight corners 24; five on four are 20. Beside a cube of 60 mm the next stands 60 + 40 = 100 mm to the
 * right, then 100 mm to the left.
 */
test('three loose cubes on one board, boxes of five and six faces, 12, 24 and 20 accents', async ({ page }) => {
  await startJob(page, { across: '60 mm', high: '60 mm', covering: 'Set buttercream', board: '120 mm' })
  const first = page.getByTestId('tier-1')
  await pick(first.getByLabel('Shape'), 'Square')
  await settled(page)
  await page.getByTestId('add-beside').click()
  await page.getByTestId('add-beside').click()
  await settled(page)
  await expect(page.getByRole('main')).toContainText('3 cakes loose on one board')
  await expect(page.getByTestId('tier-3').getByTestId('tier-stands')).toHaveText('loose, on the board')

  const panel = async (cake: string, corners: string, faces: string, perCorner: string, expected: RegExp) => {
    await add(page, 'Box panels')
    await pick(page.getByTestId('place-tier'), cake)
    await settled(page)
    await choose(page, 'faces', faces)
    await choose(page, 'corners', corners)
    await say(page, 'parameter', 'perCorner', perCorner)
    expect(await heading(page)).toMatch(expected)
    expect(await heading(page)).not.toContain('give or take')
  }
  await panel('cake 1', 'top', 'five', '3', /5 panels/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/12 corner accents/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/59 mm × 64 mm/)
  await panel('cake 2', 'all', 'six', '3', /6 panels/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/24 corner accents/)
  await panel('cake 3', 'top', 'five', '5', /5 panels/)
  await expect(page.getByTestId('flat-pieces')).toContainText(/20 corner accents/)

  // Loose cakes are not set on one another: nothing is stacked, no dowels, no cards.
  await turnTo(page, 'Timetable')
  await settled(page)
  await expect(page.getByRole('main')).not.toContainText('Stack the tiers')
  await turnTo(page, 'Supply')
  await settled(page)
  await expect(page.getByRole('main')).not.toContainText('dowels')
})
