import { execFile } from 'node:child_process'
import { copyFile, mkdtemp } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { addDecoration, downloaded, expect, fill, fromMenu, saved, startOwn, tally, test, turnTo, pick } from './studio'

const run = promisify(execFile)

test('from an empty studio to a start-by hour, files out, reload, and into a clean profile', async ({
  page,
  browser,
  baseURL,
}) => {
  await startOwn(page)

  await fill(page, 'Commission', 'Harbour Lights')
  await fill(page, 'Occasion', 'Launch of a ferry')
  await page.getByLabel('Event, day and hour').fill('2027-01-15T17:00')
  await fill(page, 'Drive', '1 h 10')
  await page.getByRole('radio', { name: /At the venue/ }).click()
  await fill(page, 'Wide', '16 in')
  await fill(page, 'Deep', '40 cm')
  await fill(page, 'High', '380 mm')
  await page.getByTestId('workroom-humidity').getByLabel('Humidity').fill('52 %')
  await page.getByTestId('workroom-humidity').getByLabel('Humidity').press('Enter')

  await turnTo(page, 'Tiers')
  await page.getByRole('button', { name: 'Add a tier on top' }).click()
  const [top, bottom] = [
    page.getByRole('listitem').filter({ hasText: /^Top/ }),
    page.getByRole('listitem').filter({ hasText: /^Bottom/ }),
  ]
  await bottom.getByLabel('Across').fill('9 in')
  await bottom.getByLabel('Across').press('Enter')
  await expect(bottom.getByLabel('Across')).toHaveValue('229 mm')
  await pick(top.getByLabel('Covered with'), 'Ganache')
  await expect(page.getByRole('heading', { name: 'It fits the box standing' })).toBeVisible()

  await turnTo(page, 'Arrange')
  await addDecoration(page, 'Soaked sail')
  await fill(page, 'Seen height', '90 mm')
  await expect(page.getByTestId('tally-startBy')).toContainText(/Dec|Mon|Tue|Wed|Thu|Fri|Sat|Sun/)

  await turnTo(page, 'Cut')
  await page.getByTestId('cut-group').getByText('Print or save these sheets').first().click()
  const svg = await downloaded(page, () => page.getByTestId('riceFilm-sectors-svg').click())
  expect(svg.name).toBe('harbour-lights-riceFilm-sectors.svg')
  expect(svg.bytes.toString()).toMatch(/width="\d+(\.\d+)?mm"/)
  const pdf = await downloaded(page, () => page.getByTestId('riceFilm-sectors-pdf').click())
  expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-')

  await turnTo(page, 'Tint')
  await expect(page.getByTestId('dishes').getByRole('listitem')).toHaveCount(4)
  await turnTo(page, 'Dry')
  await expect(page.getByTestId('at-75')).toContainText('unlikely ever to set hard')
  await turnTo(page, 'Timetable')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Start by')
  const calendar = await downloaded(page, () => page.getByTestId('save-calendar').click())
  // Long lines are folded in a calendar file.
  const lines = calendar.bytes.toString().replace(/\r?\n /g, '')
  expect(lines).toMatch(/SUMMARY:.*Soaked sail: soak and drape\\, load 1.*\(Harbour Lights\)/)
  await turnTo(page, 'Deliver')
  await expect(page.getByRole('main')).toContainText('launch of a ferry')

  await expect.poll(() => tally(page).then(({ pieces }) => Number(pieces))).toBeGreaterThan(3)
  const figures = await tally(page)
  const file = await downloaded(page, () => fromMenu(page, 'Save to a file'))
  expect(file.name).toBe('harbour-lights.lamellon.json')

  await saved(page)
  await page.reload()
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
  expect(await tally(page)).toEqual(figures)

  const clean = await browser.newContext({
    baseURL: baseURL!,
    locale: 'en-GB',
    storageState: { cookies: [], origins: [] },
  })
  const other = await clean.newPage()
  await other.clock.setFixedTime(new Date('2026-11-24T09:00:00'))
  await other.goto('/')
  await expect(other.getByTestId('new-commission')).toBeVisible()
  await other.getByTestId('file-input').setInputFiles(await named(file.path, file.name))
  await expect(other.getByRole('dialog')).toContainText('Harbour Lights')
  await other.getByTestId('take-file').click()
  await expect(other.getByTestId('studio-menu')).toContainText('Harbour Lights')
  await expect.poll(() => tally(other)).toEqual(figures)
  await clean.close()

  const { stdout } = await run(process.execPath, [
    'scripts/plan.mjs',
    await named(file.path, file.name),
    '--now',
    '2026-11-24T09:00',
  ])
  for (const [name, label] of [
    ['pieces', 'pieces'],
    ['paper', 'paper'],
    ['colours', 'colours'],
    ['handsOn', 'hands-on'],
    ['warnings', 'needs a look'],
  ] as const) {
    expect(stdout).toMatch(new RegExp(`^${label}\\s+${figures[name].replace(/[.+]/g, '\\$&')}(\\s|$)`, 'm'))
  }
  expect(stdout).toMatch(new RegExp(`^start by\\s+${figures.startBy}`, 'm'))
})

async function named(path: string, name: string): Promise<string> {
  const copy = join(await mkdtemp(join(tmpdir(), 'lamellon-')), name)
  await copyFile(path, copy)
  return copy
}

test('the command line refuses what is not a commission', async () => {
  await expect(run(process.execPath, ['scripts/plan.mjs', 'package.json'])).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringContaining('not a file of Lamellon'),
  })
  await expect(run(process.execPath, ['scripts/plan.mjs', 'nowhere.json'])).rejects.toMatchObject({
    code: 1,
    stderr: expect.stringContaining('nowhere.json'),
  })
})
