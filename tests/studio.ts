import { readFile } from 'node:fs/promises'
import { test as base, expect, type Download, type Locator, type Page } from '@playwright/test'

const TALLY = ['pieces', 'paper', 'colours', 'handsOn', 'startBy', 'cost', 'warnings'] as const
export type TallyName = (typeof TALLY)[number]

/**
 * A page that fails the test on any console error, page error, or request off the machine. Where a test breaks something
 * on purpose, `provoked` is what the browser may say of it.
 */
export const test = base.extend<{ page: Page; provoked: RegExp | null }>({
  provoked: [null, { option: true }],
  page: async ({ page, baseURL, provoked }, use) => {
    const wrong: string[] = []
    page.on('console', (message) => {
      if (message.type() === 'error' && !provoked?.test(message.text())) wrong.push(`console: ${message.text()}`)
    })
    page.on('pageerror', (error) => wrong.push(`page: ${error.message}`))
    page.on('request', (request) => {
      if (!/^(blob:|data:)/.test(request.url()) && !request.url().startsWith(baseURL!))
        wrong.push(`request: ${request.url()}`)
    })
    // The clock goes on from here: Vue tells clicks apart by the time at which they began.
    await page.clock.setSystemTime(new Date('2026-11-24T09:00:00'))
    await use(page)
    expect(wrong).toEqual([])
  },
})

export { expect }

/** Opens a leaf and waits for the plan. */
export async function openLeaf(page: Page, leaf: string): Promise<void> {
  await page.goto(`/${leaf}`)
  await expect(page.getByTestId('tally-warnings')).toBeVisible()
}

/** Turns to a leaf by its tab. */
export async function turnTo(page: Page, name: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Leaves' })
    .getByRole('link', { name: new RegExp(`^${name}`) })
    .click()
  await expect(page).toHaveURL(new RegExp(`/${name.toLowerCase()}$`))
}

/** Goes to a page by its address as the browser's own buttons do, without loading everything anew. */
export const turnToAddress = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState({}, '', `/${to}`)
    dispatchEvent(new PopStateEvent('popstate', { state: history.state }))
  }, path)

/** An own studio that is empty, at its beginning. */
export async function ownStudio(page: Page): Promise<void> {
  await page.addInitScript(() => {
    if (sessionStorage.getItem('begun') === null) localStorage.setItem('lamellon.studio', 'own')
    sessionStorage.setItem('begun', 'yes')
  })
  await page.goto('/')
  await expect(page.getByTestId('new-commission')).toBeVisible()
}

/** Starts a commission with a bare cake in an own studio and waits until its brief is open. */
export async function startOwn(page: Page): Promise<void> {
  await ownStudio(page)
  await page.getByTestId('start-bare').click()
  await expect(page).toHaveURL(/brief$/)
  await expect(page.getByRole('main').getByLabel('Commission')).toHaveValue('New commission')
}

/** Opens a part of Arrange that is folded away. */
export async function openFold(page: Page, id: 'where' | 'what' | 'colour'): Promise<void> {
  const fold = page.getByTestId(`fold-${id}`)
  if ((await fold.getAttribute('open')) === null) await fold.locator('> summary').click()
  await expect(fold).toHaveAttribute('open')
}

/** Waits until the figures shown are those of the last edit. */
export const settled = (page: Page): Promise<void> =>
  expect(page.getByTestId('tally')).toHaveAttribute('aria-busy', 'false')

/** Waits until all of a leaf is there, also what comes after the figures. */
export async function whole(page: Page): Promise<void> {
  await settled(page)
  await expect(page.locator('[data-later]')).toHaveCount(0)
}

/** The large figure of one place in the tally, as read. */
export async function figureOf(page: Page, name: TallyName): Promise<string> {
  await settled(page)
  return page.getByTestId(`tally-${name}`).locator('span.font-display').innerText()
}

export async function tally(page: Page): Promise<Readonly<Record<TallyName, string>>> {
  return Object.fromEntries(await Promise.all(TALLY.map(async (name) => [name, await figureOf(page, name)]))) as Record<
    TallyName,
    string
  >
}

export const TALLY_NAMES = TALLY

/** Types into a field by its label and leaves it. */
export async function fill(page: Page, label: string, text: string, within = page.getByRole('main')): Promise<void> {
  const field = within.getByLabel(label, { exact: true })
  await field.fill(text)
  await field.press('Enter')
}

/** Saves what a click downloads and gives its name and bytes. */
export async function downloaded(
  page: Page,
  click: () => Promise<void>,
): Promise<{ readonly name: string; readonly path: string; readonly bytes: Buffer }> {
  const [download]: [Download, void] = await Promise.all([page.waitForEvent('download'), click()])
  const path = await download.path()
  return { name: download.suggestedFilename(), path, bytes: await readFile(path) }
}

/** Touches what goes on the cake, among the pictures that Add shows. */
export async function addDecoration(page: Page, name: string): Promise<void> {
  // On a bare cake they lie on the leaf itself.
  const shown = page.getByTestId('what-goes-on')
  await expect(shown.or(page.getByTestId('add-decoration'))).toBeVisible()
  if (!(await shown.isVisible())) await page.getByTestId('add-decoration').click()
  await shown.getByRole('button', { name: new RegExp(`^${name}`) }).click()
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible()
}

/** Chooses an entry of the studio's menu. */
export async function fromMenu(page: Page, entry: string | RegExp): Promise<void> {
  await page.getByTestId('studio-menu').click()
  await page.getByRole('menuitem', { name: entry }).click()
}

/** Waits until the last edit lies in the browser's database. */
export const saved = (page: Page): Promise<void> =>
  expect(page.getByTestId('tally')).toHaveAttribute('data-unsaved', '0')

/** Opens the list of a field and takes what reads so. */
export async function pick(field: Locator, says: string | RegExp): Promise<void> {
  await field.click()
  await field.page().getByRole('option', { name: says, exact: true }).click()
}

/** Opens the list of a field and takes the choice of a value. */
export async function pickValue(field: Locator, value: string): Promise<void> {
  await field.click()
  await field.page().locator(`[role="option"][data-value="${value}"]`).click()
}
