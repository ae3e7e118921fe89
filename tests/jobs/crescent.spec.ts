import { expect, openFold, settled, test, turnTo, pick, pickValue } from '../studio'
import { completedBy, startJob } from './job'

/**
 * A crescent of blooms and leaf stems on the top of one tier, 220 × 100 mm in fondant, handed over in its box.
 *
 * By hand: it begins at 0.6 of the way to the rim and goes round 200°: an arc of 0.6 × 110 × 3.49 = 230 mm, open by 160°
 * behind. Blooms are three parts of the recipe, as are their leaves: as many of both, to within one.
 * Every bloom is on one wire; in thirds of a wire of 360 mm each is 120 mm, three from one.
 */
test('a crescent of blooms and leaf stems, open behind, seen from above in Arrange and in Placing', async ({
  page,
}) => {
  await startJob(page, { across: '220 mm', high: '100 mm', covering: 'Fondant', board: '300 mm' })
  await turnTo(page, 'Arrange')
  await page.getByTestId('add-bouquet').click()
  await settled(page)
  await pick(page.getByTestId('bouquet-place'), 'a crescent on a top')
  await settled(page)
  await expect(page.getByTestId('bouquet-spanDeg').locator('input').first()).toHaveValue('200°')
  await expect(page.getByTestId('bouquet-reach').locator('input').first()).toHaveValue('60 %')
  await expect(page.getByTestId('from-above').getByRole('img', { name: 'The cake from above' })).toBeVisible()
  const recipe = page.getByTestId('recipe')
  const before = await recipe.getByRole('listitem').count()
  for (const technique of ['Cupped bloom', 'Moulded bloom', 'Free leaf stem']) {
    await page.getByTestId('add-member').click()
    await page.getByRole('menuitem', { name: new RegExp(`^${technique}`) }).click()
    await settled(page)
    await expect(recipe).toContainText(technique)
  }
  await expect(recipe.getByRole('listitem')).toHaveCount(before + 3)

  // The wires of the open blooms in thirds, on their own leaf; the bouquet lists how they are cut.
  await recipe.getByRole('button', { name: 'Open bloom', exact: true }).click()
  await settled(page)
  await openFold(page, 'what')
  await pickValue(page.getByTestId('parameter-wireCut'), 'third')
  await settled(page)
  await page.getByTestId('gathered').getByRole('button', { name: 'Bouquet' }).click()
  await settled(page)
  await expect(page.getByTestId('wires')).toContainText(/3 × 120 mm bloom of/)
  const parts = async (technique: string): Promise<number> => {
    const row = recipe.getByRole('listitem').filter({ hasText: technique })
    const found = Number(/(\d+) ±/.exec(await row.innerText())?.[1])
    const without = Number(/(\d+) more found no place/.exec(await row.innerText())?.[1] ?? 0)
    return found + without
  }
  expect(Math.abs((await parts('Open bloom')) - (await parts('Free leaf stem')))).toBeLessThanOrEqual(1)

  await completedBy(page, 'Handed over')
  await turnTo(page, 'Deliver')
  await settled(page)
  await expect(page.getByTestId('paper-placing').getByRole('img', { name: 'From above, numbered' })).toBeVisible()
})
