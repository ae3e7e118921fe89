import type { Page } from '@playwright/test'
import ICAL from 'ical.js'
import { readFile } from 'node:fs/promises'
import { downloaded, expect, openLeaf, settled, test, turnTo } from './studio'

const heading = (page: Page) => page.getByRole('main').getByRole('heading', { level: 1 })
const work = (page: Page, task: string) => page.getByTestId('time-lanes').locator(`[data-task="${task}"]`).first()

test('a damp spell in the forecast stops the plan, the leaf says so, a remedy is taken, and it goes', async ({
  page,
}) => {
  await openLeaf(page, 'brief')
  await page.getByTestId('ask-forecast').click()
  await page.getByTestId('forecast').getByRole('button', { name: /damp/ }).first().click()
  await settled(page)
  await turnTo(page, 'Timetable')
  await expect(heading(page)).toHaveText('No timetable works')
  await expect(page.getByText(/unlikely to set hard in a room at/)).toBeVisible()
  const whatIfs = page.getByTestId('what-ifs')
  await whatIfs.getByRole('button', { name: 'Try each' }).click()
  await expect(page.getByTestId('what-if-mat')).toContainText('does not go')
  await expect(page.getByTestId('what-if-oven')).toContainText(/begin \w{3}/)
  await page.getByTestId('what-if-oven').getByRole('button', { name: 'take it' }).click()
  await settled(page)
  await expect(heading(page)).toContainText('Start by')
  await expect(page.getByTestId('risk')).toContainText(/\d+ %/)
  await turnTo(page, 'Brief')
  await turnTo(page, 'Timetable')
  await page.getByTestId('lanes').click()
  await expect(page.getByTestId('damp-day').first()).toBeAttached()
  await expect(page.getByTestId('bands')).toContainText('a damp day in the forecast')
})

test('work is dragged and walked to another hour, stays there, is let go again; what does not go is said', async ({
  page,
}) => {
  await openLeaf(page, 'timetable')
  await settled(page)
  const cover = page.getByTestId('agenda').getByRole('button', { name: /Cover/ }).first()
  await cover.click()
  await expect(page.getByTestId('slot-note')).toContainText('Cover')
  await page.getByTestId('lanes').click()
  const before = await work(page, 'cover').getAttribute('aria-label')
  const box = (await work(page, 'cover').boundingBox())!
  const [first, second] = await page.getByTestId('day').all()
  const dayPx = (await second!.boundingBox())!.x - (await first!.boundingBox())!.x
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 - dayPx, box.y + box.height / 2, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByText('1 piece of work stays where you put it')).toBeVisible()
  await settled(page)
  await expect(work(page, 'cover')).not.toHaveAttribute('aria-label', before!)
  await expect(page.getByTestId('slot-note')).toContainText('You put it at this hour')
  await page.keyboard.press('Control+z')
  await settled(page)
  await expect(work(page, 'cover')).toHaveAttribute('aria-label', before!)
  await work(page, 'pack').focus()
  await expect(page.getByTestId('slot-note')).toContainText('Load the car')
  // Past the hour at which the car is loaded.
  for (let hour = 0; hour < 9; hour += 1) {
    await page.keyboard.press('Shift+ArrowRight')
    await settled(page)
  }
  await expect(page.getByTestId('slot-note')).toContainText('so it comes before that')
  await page.getByRole('button', { name: 'let it move again' }).click()
  await expect(page.getByText('1 piece of work stays')).toHaveCount(0)
})

test('the timetable goes into a calendar, and a calendar’s hours come out of the timetable', async ({ page }) => {
  await openLeaf(page, 'timetable')
  await settled(page)
  const file = await downloaded(page, () => page.getByTestId('save-calendar').click())
  const events = new ICAL.Component(ICAL.parse(await readFile(file.path, 'utf8')) as string[])
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each))
  expect(events.length).toBeGreaterThan(20)
  const drape = events.find(({ uid }) => uid.startsWith('sails-'))!
  const { year, month, day, hour, minute } = drape.startDate
  const two = (value: number): string => String(value).padStart(2, '0')
  const stamp = (minutes: number): string => `${year}${two(month)}${two(day)}T${two(hour)}${two(minutes)}00`
  const busy = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//test//EN',
    'BEGIN:VEVENT',
    'UID:dentist',
    'DTSTAMP:20260101T000000Z',
    `DTSTART:${stamp(minute)}`,
    `DURATION:PT1H`,
    'SUMMARY:Dentist',
    'END:VEVENT',
    'END:VCALENDAR',
  ].join('\r\n')
  await page.getByTestId('lanes').click()
  const before = await work(page, 'sails-soak-1').getAttribute('aria-label')
  const bring = (): Promise<void> =>
    page
      .getByTestId('busy-file')
      .setInputFiles({ name: 'mine.ics', mimeType: 'text/calendar', buffer: Buffer.from(busy) })
  await bring()
  await bring()
  await settled(page)
  await expect(page.getByRole('button', { name: /Free again: Dentist/ })).toHaveCount(1)
  await expect(work(page, 'sails-soak-1')).not.toHaveAttribute('aria-label', before!)
  await expect(page.getByTestId('busy')).toHaveCount(1)
  await page
    .getByTestId('busy-file')
    .setInputFiles({ name: 'mine.ics', mimeType: 'text/calendar', buffer: Buffer.from('nothing') })
  await expect(page.getByRole('alert').filter({ hasText: 'no calendar' })).toContainText('What was here is kept')
  await page.getByRole('button', { name: /Free again: Dentist/ }).click()
  await settled(page)
  await expect(work(page, 'sails-soak-1')).toHaveAttribute('aria-label', before!)
})
