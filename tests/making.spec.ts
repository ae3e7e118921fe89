import { test as plain, expect, type Page } from '@playwright/test'
import { LEAF_TABS } from '../app/components/leaves'
import { downloaded, figureOf, openLeaf, saved, settled, test, turnTo, turnToAddress } from './studio'

/** Hands that are slower than the plan begins with, all through. */
const SLOWER = 1.4
const DAYS: Readonly<Record<string, number>> = { Wed: 2, Thu: 3, Fri: 4, Sat: 5 }
const MINUTE_MS = 60_000

/** The simulated clock of a job: it never goes back. */
class BenchClock {
  private at = Date.UTC(2026, 11, 2, 15, 45)
  constructor(private readonly page: Page) {}
  async forward(minutes: number): Promise<void> {
    await this.to(this.at + minutes * MINUTE_MS)
  }
  async to(moment: number): Promise<void> {
    this.at = Math.max(this.at, moment)
    await this.page.clock.setSystemTime(new Date(new Date(this.at).toISOString().slice(0, 19)))
  }

  /** To the hour that the card in hand names, such as “Thu 17:10”. */
  async toCard(): Promise<void> {
    const [, day, hour, minute] =
      (await this.page.getByTestId('step-now').innerText()).match(/(Wed|Thu|Fri|Sat) (\d\d):(\d\d)/) ?? []
    if (day) await this.to(Date.UTC(2026, 11, DAYS[day]!, Number(hour), Number(minute)))
  }
}

const minutesIn = (text: string): number => {
  const [, hours = '0', minutes = '0'] = text.match(/(?:(\d+) h)? ?(?:(\d+)(?: min)?)? by hand/) ?? []
  return Number(hours) * 60 + Number(minutes)
}
const current = (page: Page): Promise<string | null> => page.getByTestId('step-now').getAttribute('data-task')
const timeOf = (page: Page, task: string): Promise<string> =>
  page.getByTestId(`task-${task}`).locator('span').last().innerText()

async function begin(page: Page): Promise<void> {
  await page.getByTestId('begin').click()
  await expect(page.getByTestId('done')).toBeVisible()
}

async function finish(page: Page, task: string | null): Promise<void> {
  await page.getByTestId('done').click()
  if (task) await expect(page.getByTestId(`task-${task}`)).toHaveAttribute('aria-label', /^Open again/)
  await settled(page)
}

test('a whole job in simulated time: made, mended, late, delivered, reviewed; the next plan of the same cake is wiser', async ({
  page,
}) => {
  const clock = new BenchClock(page)
  await openLeaf(page, 'make')
  await clock.forward(0)
  const handsBefore = await figureOf(page, 'handsOn')
  const piecesBefore = await figureOf(page, 'pieces')

  // Cut, then drape with a timer that lives through a reload.
  expect(await current(page)).toBe('sails-cut')
  await begin(page)
  await clock.forward(42)
  await finish(page, 'sails-cut')
  await expect(page.getByTestId('standing')).toContainText('Still safe')
  expect(await current(page)).toBe('sails-soak-1')
  await begin(page)
  await page.getByRole('button', { name: /^Soak/ }).click()
  await expect(page.getByTestId('timers').getByRole('timer')).toHaveText(/0:5\d|1:00/)
  await clock.forward(0.5)
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('timers')).toContainText('Soak')
  await expect(page.getByTestId('timers').getByRole('timer')).toHaveText(/0:[0-3]\d/)
  await clock.forward(40)
  await expect(page.getByTestId('timers').getByRole('timer')).toHaveText(/over by|now/)

  // Two break: one more than there are spares of that size, so some are cut again.
  const broken = page
    .getByTestId(/^count-sails/)
    .last()
    .getByTestId('broken')
  await broken.click()
  await expect(page.getByTestId('shortages')).toBeHidden()
  await broken.click()
  await expect(page.getByTestId('shortages')).toContainText(/Short by 1: .*Cut 2 more: .*disc.*pieces? \d+/)
  await page.getByTestId('cut-again').click()
  await expect(page.getByTestId('shortages')).toBeHidden()
  await expect(page.getByTestId('task-sails-soak-5')).toContainText('cut again')
  await finish(page, 'sails-soak-1')
  await expect(page.getByTestId('former-board')).toContainText(/load 1/i)
  await expect(page.getByTestId('timers')).toContainText(/load 1/i)

  // The trouble guide.
  await page.getByTestId('trouble').click()
  const guide = page.getByTestId('trouble-guide')
  await guide.getByRole('button', { name: 'It sticks to mat or pan' }).click()
  const peeled = guide.getByRole('listitem').filter({ hasText: 'peeled before it was dry' })
  await expect(peeled).toContainText('Here: the room has 58 %')
  await peeled.getByRole('button', { name: 'That was it' }).click()
  await guide.getByRole('button', { name: 'Back to work' }).click()

  // A delay moves what was to come meanwhile.
  await begin(page)
  await settled(page)
  const task = await current(page)
  // Its day and its hour: a day later it may begin at the same hour.
  const follower = page
    .getByRole('region', { name: 'All work' })
    .locator('div')
    .filter({ has: page.getByTestId('task-lace-cut') })
  const whenOf = async (): Promise<string> =>
    `${await follower.getByRole('heading').first().innerText()} ${await timeOf(page, 'lace-cut')}`
  const before = await whenOf()
  await clock.forward(30 * 60)
  await finish(page, task)
  await expect.poll(whenOf).not.toBe(before)

  // The rest, step by step, by slower hands, each when it is its hour.
  let steps = 0
  while (await page.getByTestId('step-now').isVisible()) {
    const step = await current(page)
    await clock.toCard()
    const planned = minutesIn(await page.getByTestId('step-now').locator('header').innerText())
    await begin(page)
    await clock.forward(planned * SLOWER)
    await finish(page, step)
    steps += 1
    expect(steps).toBeLessThan(60)
  }
  await expect(page.getByRole('heading', { name: 'All done' })).toBeVisible()

  // Delivered: counted in, picks counted out, handed over.
  await turnTo(page, 'Deliver')
  await page.getByRole('tab', { name: 'On the day' }).click()
  await page.getByTestId('checklist').getByRole('switch').first().check()
  await page.getByRole('tab', { name: 'Count in, count out' }).click()
  await page.getByTestId('all-in').click()
  await expect(page.getByTestId('count-state')).toContainText(/Not out yet: 10 picks/)
  await page.getByRole('button', { name: /^All out: picks/ }).click()
  await expect(page.getByTestId('count-state')).toContainText('on the removal list')
  await page.getByRole('tab', { name: 'Hand over' }).click()
  await page.getByLabel('Taken over by').fill('the host')
  await page.getByTestId('hand-over').click()
  await expect(page.getByTestId('sign-off')).toContainText('to the host')
  const pack = await downloaded(page, () => page.getByTestId('pack-pdf').click())
  expect(pack.bytes.subarray(0, 5).toString()).toBe('%PDF-')
  const table = await downloaded(page, () => page.getByTestId('pack-csv').click())
  // What came out again is no longer on the list for whoever cuts the cake; what stays is.
  expect(table.bytes.toString()).toMatch(/,\d+,dowels or straws/)
  expect(table.bytes.toString()).not.toMatch(/,10,picks/)

  // Reviewed: planned against actual, and the ledger has it all.
  await turnTo(page, 'Learn')
  const review = page.getByTestId('review')
  await expect(review).toContainText('2 broken')
  await expect(review).toContainText('Wait until the rim lifts by itself')
  await page.getByTestId('review-change').fill('Begin a day earlier.')
  await page.getByTestId('keep-review').click()
  await expect(review.getByRole('status')).toContainText('Begin a day earlier.')
  await expect(page.getByTestId('hands soakedSail soak')).toContainText(/longer.*plans go by/s)
  await expect(page.getByTestId('drying riceFilm firm')).toContainText('plans go by')

  // The same cake again: the plan goes by these hands and this room.
  await page.keyboard.press('h')
  await page.getByRole('button', { name: 'Copy Quillfinch Press' }).click()
  await page
    .getByTestId('shelf')
    .getByRole('button', { name: /^Quillfinch Press, copy/ })
    .or(page.getByTestId('shelf').getByRole('link', { name: /^Quillfinch Press, copy/ }))
    .first()
    .click()
  await turnTo(page, 'Make')
  await expect(page.getByTestId('standing')).toBeHidden()
  await settled(page)
  const minutes = (text: string): number => {
    const [, hours = '0', rest = '0'] = text.match(/(?:(\d+) h)? ?(\d+)?/) ?? []
    return Number(hours) * 60 + Number(rest)
  }
  expect(minutes(await figureOf(page, 'handsOn'))).toBeGreaterThan(minutes(handsBefore) + 20)
  // What broke has taught how many spares it takes.
  expect(Number(await figureOf(page, 'pieces'))).toBeGreaterThan(Number(piecesBefore))
  await turnTo(page, 'Dry')
  await page
    .getByRole('main')
    .getByRole('button', { name: /how it comes about/ })
    .first()
    .click()
  await expect(page.getByTestId('working-tree')).toContainText(/learned from \d+ of your trials/)
})

test('a step is put down, left out with its reason, taken out of turn and opened again', async ({ page }) => {
  await openLeaf(page, 'make')
  await begin(page)
  await page.getByTestId('pause').click()
  await expect(page.getByTestId('go-on').or(page.getByTestId('begin')).first()).toBeVisible()
  await page.getByTestId('task-moths-cut').click()
  await expect(page.getByTestId('step-now')).toHaveAttribute('data-task', 'moths-cut')
  await page.getByTestId('skip').click()
  await page.getByTestId('why').fill('cut last week')
  await page.getByRole('dialog').getByRole('button', { name: 'Leave it out' }).click()
  await expect(page.getByTestId('task-moths-cut')).toContainText('left out: cut last week')
  await page.getByTestId('task-moths-cut').click()
  await expect(page.getByTestId('step-now')).toHaveAttribute('data-task', 'moths-cut')
  await page.getByTestId('undo').click()
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('task-moths-cut')).not.toContainText('left out')
  expect(await timeOf(page, 'moths-cut')).toMatch(/\d\d:\d\d/)
})

test('trials replace starting values once there are enough, and one can be marked odd or forgotten', async ({
  page,
}) => {
  await openLeaf(page, 'learn')
  await expect(page.getByTestId('shrink mat')).toContainText('2 of 3 trials')
  const form = page.getByTestId('trial-form')
  for (const after of ['180 mm', '182 mm']) {
    await form.getByLabel('After').fill(after)
    await form.getByLabel('After').press('Enter')
    await form.getByTestId('keep-trial').click()
  }
  await expect(page.getByTestId('shrink mat')).toContainText(/plans go by 4 trials/)
  await page
    .getByTestId('ledger')
    .getByRole('button', { name: /^Mark odd: Film on a mat, 200 mm to 180 mm/ })
    .click()
  await expect(page.getByTestId('shrink mat')).toContainText(/plans go by 3 trials/)
  await page
    .getByTestId('ledger')
    .getByRole('button', { name: /^Forget: Film on a mat, 200 mm to 182 mm/ })
    .click()
  await expect(page.getByTestId('shrink mat')).toContainText('2 of 3 trials')
  await form.getByLabel('After').fill('60 mm')
  await form.getByLabel('After').press('Enter')
  await form.getByTestId('keep-trial').click()
  await expect(form.getByRole('alert')).toContainText('Between half')
  await expect(page.getByTestId('shrink mat')).toContainText('2 of 3 trials')
})

test('shopping: ticked off, received into stock, off the list; stock out and in again', async ({ page }) => {
  await openLeaf(page, 'supply')
  const wafer = page.getByTestId('buy-sheet thinWafer 210x297')
  await expect(wafer).toContainText('11 needed, 0 on hand')
  await wafer.getByRole('switch').check()
  await page.getByTestId('receive').click()
  await expect(wafer).toBeHidden()
  await page.getByRole('tab', { name: 'Stock' }).click()
  await expect(page.getByTestId('stock-sheet thinWafer 210x297').getByLabel('On hand')).toHaveValue('25')
  const saved = await downloaded(page, () => page.getByTestId('stock-csv').click())
  const text = saved.bytes.toString()
  expect(text).toMatch(/^item,name,shelf,kind,onHand,pack,packPrice\n[\s\S]*sheet thinWafer 210x297/)
  await page.getByTestId('stock-input').setInputFiles({
    name: 'stock.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text.replace(/(sheet thinWafer 210x297.*,)25,25/, '$14,25')),
  })
  await expect(page.getByTestId('stock-sheet thinWafer 210x297').getByLabel('On hand')).toHaveValue('4')
  await page
    .getByTestId('stock-input')
    .setInputFiles({ name: 'wrong.csv', mimeType: 'text/csv', buffer: Buffer.from('eggs;12') })
  await expect(page.getByTestId('stock').getByRole('alert')).toContainText('wrong.csv, line 1')
  await page.getByRole('tab', { name: 'To buy' }).click()
  await expect(wafer).toContainText('4 on hand')
  const list = await downloaded(page, () => page.getByTestId('shopping-text').click())
  expect(list.bytes.toString()).toContain('thin wafer, A4')
})

plain.describe('with the network off', () => {
  plain.use({ serviceWorkers: 'allow' })
  plain('every leaf works after the first load, and what is done is kept', async ({ page, context }) => {
    const errors: string[] = []
    page.on('pageerror', (error) => errors.push(error.message))
    await page.goto('/brief')
    await settled(page)
    await page.evaluate(() => navigator.serviceWorker.ready)
    await expect(async () => {
      await page.reload()
      expect(await page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
    }).toPass()
    await context.setOffline(true)
    await page.goto('/gallery')
    await settled(page)
    for (const leaf of [...LEAF_TABS.map((tab) => tab.leaf), 'shelf', 'compare', 'beginnings']) {
      await turnToAddress(page, leaf)
      await expect(page).toHaveURL(new RegExp(`/${leaf}$`))
      await expect(page.getByRole('main').getByRole('heading', { level: 1 })).toBeVisible()
      await settled(page)
    }
    await page.goto('/make')
    await page.getByTestId('begin').click()
    await expect(page.getByTestId('done')).toBeVisible()
    await saved(page)
    await page.reload()
    await expect(page.getByTestId('done')).toBeVisible()
    await page.goto('/deliver')
    const pack = await downloaded(page, () => page.getByTestId('pack-pdf').click())
    expect(pack.bytes.subarray(0, 5).toString()).toBe('%PDF-')
    expect(errors).toEqual([])
  })
})
