import { gatheredIn, type Commission, type Decoration } from '../core/commission'
import { expect, test } from '@playwright/test'
import { roundTier, type Cake } from '../core/cake'
import { startingBouquet, type Bouquet } from '../core/compose'
import { demoCommission, demoWorkshop } from '../core/demo'
import { writeCommissionFile } from '../core/format'
import { derivePlan } from '../core/plan'
import { parseMoment, valueOf } from '../core/quantity'
import { editText, timeEdits } from './timing'

const NOW = valueOf(parseMoment('2026-11-24T09:00'))
const WANTED = 120
const EDITS = 40

const cake: Cake = {
  board: { outline: 'round', acrossMm: 420, thicknessMm: 12 },
  tiers: [
    roundTier('one', 330, 120),
    roundTier('two', 250, 120),
    roundTier('three', 170, 120),
    roundTier('four', 110, 120),
  ],
}

/** A wedding cake of four tiers with a wreath on each ledge and a dome on top. */
function wedding(): { readonly commission: Commission; readonly blooms: number } {
  const demo = demoCommission(NOW)
  const bouquets: readonly Bouquet[] = [0, 1, 2, 3].map((tier) => ({
    ...startingBouquet(`ring-${tier}`, 4, 7 + tier),
    name: `Ring ${tier + 1}`,
    place: tier === 3 ? ('top' as const) : ('ledge' as const),
    tier,
    spanDeg: 360,
    outMm: tier === 3 ? 50 : 40,
    highMm: tier === 3 ? 56 : 44,
    full: 0.75,
  }))
  const decorations: readonly Decoration[] = bouquets.flatMap(({ id }) => [
    gatheredIn(id, `${id}-blooms`, 'openBloom', 'secondary', 8, cake.tiers, { acrossMm: 34 }),
    gatheredIn(id, `${id}-leaves`, 'patchedLeaf', 'leaf', 2, cake.tiers, { lengthMm: 60, leafMm: 17 }),
    gatheredIn(id, `${id}-buds`, 'bud', 'bud', 2, cake.tiers, { acrossMm: 12 }),
  ])
  const commission = {
    ...demo,
    brief: { ...demo.brief, box: { widthMm: 500, depthMm: 500, heightMm: 640 } },
    options: [{ ...demo.options[0]!, cake, accents: [], bouquets: [...bouquets], decorations: [...decorations] }],
    chosen: 'a',
  }
  const plan = derivePlan({ commission, workshop: demoWorkshop(), now: NOW, units: 'metric' })
  return {
    commission,
    blooms: plan.decorations
      .filter(({ technique }) => technique === 'openBloom')
      .reduce((sum, { elements }) => sum + elements.length, 0),
  }
}

test('a wedding cake of blooms, edited', async ({ page }) => {
  const { commission, blooms } = wedding()
  expect(blooms).toBeGreaterThanOrEqual(WANTED)
  await page.goto('/brief')
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  await page.getByTestId('file-input').setInputFiles({
    name: 'wedding.lamellon.json',
    mimeType: 'application/json',
    buffer: Buffer.from(writeCommissionFile({ commission, workshop: demoWorkshop() })),
  })
  await page.getByTestId('take-file').click()
  await page
    .getByRole('navigation', { name: 'Leaves' })
    .getByRole('link', { name: /^Arrange/ })
    .click()
  await page
    .getByTestId('decorations')
    .getByRole('button', { name: /Ring 2/ })
    .click()
  await page.waitForTimeout(1500)
  const values = (from: number, by: number) =>
    Array.from({ length: EDITS }, (_, edit) => {
      const turn = edit % 16
      return turn % 2 === 0 ? from + (by * turn) / 2 : from + 20 * by - (by * turn) / 2
    })
  const deeper = await timeEdits(page, '[data-testid="bouquet-outMm"] input[type="range"]', values(30, 1))
  console.log(editText(`a cake of ${blooms} blooms, one bouquet made deeper or flatter`, deeper, 150))
  await page
    .getByTestId('decorations')
    .getByRole('button', { name: /Open bloom/ })
    .first()
    .click()
  await page.waitForTimeout(800)
  const larger = await timeEdits(page, '[data-testid="parameter-acrossMm"] input[type="range"]', values(28, 0.5))
  console.log(editText(`a cake of ${blooms} blooms, one kind made larger or smaller`, larger, 150))
  await page.waitForTimeout(300)
})
