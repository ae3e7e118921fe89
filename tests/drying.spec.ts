import { addDecoration, expect, fill, settled, startOwn, test, turnTo, pick } from './studio'

/**
 * A wrap and puffs in a damp week, 80 % in the workroom. By hand: film can be handled up to about 78 %, so that puffs
 * never get dry enough to fry, before a fan or not; a wrap of thin wafer does, before its fan. In a dry room at 45 % puffs
 * dry again, once it has a shelf.
 */
test('a wrap and puffs in the dampest week: said, dried in a dry room, and there is an hour to start', async ({
  page,
}) => {
  await startOwn(page)
  await turnTo(page, 'Arrange')
  for (const name of ['Formed wrap', 'Puff']) {
    await addDecoration(page, name)
    await settled(page)
  }
  await turnTo(page, 'Dry')
  const rests = page.getByTestId('rests')
  const ways = rests.getByTestId(/^dries-/)
  await expect(ways).toHaveCount(2)
  for (const at of [0, 1]) await expect(ways.nth(at)).toHaveText('before a fan')
  await expect(page.getByTestId('tally-startBy')).toContainText(/\d\d:\d\d/)

  await turnTo(page, 'Brief')
  const humidity = page.getByTestId('workroom-humidity').getByLabel('Humidity')
  await humidity.fill('80 %')
  await humidity.press('Enter')
  await settled(page)
  await expect(page.getByTestId('tally-startBy')).toContainText('not in this room')
  await turnTo(page, 'Dry')
  await expect(rests.getByText('unlikely to get dry enough')).toHaveCount(1)
  await expect(page.getByRole('main')).toContainText(/At 80 % paper is unlikely to get dry enough: puff/)
  await pick(
    rests
      .getByRole('listitem')
      .filter({ hasText: 'Puff' })
      .getByTestId(/^dries-/),
    /dry room/,
  )
  await settled(page)
  await expect(rests.getByText('unlikely to get dry enough')).toHaveCount(0)
  await expect(page.getByTestId('tally-startBy')).toContainText('not possible')
  await fill(page, 'Shelves in a dry room', '1')
  await settled(page)
  await expect(page.getByTestId('tally-startBy')).toContainText(/\d\d:\d\d/)
  await turnTo(page, 'Timetable')
  await page.getByTestId('lanes').click()
  await expect(page.getByRole('main')).toContainText('Shelf in a dry room')
})
