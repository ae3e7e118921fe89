import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, openLeaf, test } from './studio'

/** Pages by the key that turns to them. */
const BY_KEY: Readonly<Record<string, string>> = {
  brief: '1',
  tiers: '2',
  arrange: '3',
  cut: '4',
  tint: '5',
  dry: '6',
  timetable: '7',
  supply: 's',
  make: '8',
  deliver: '9',
  learn: '0',
  compare: 'c',
  shelf: 'h',
}
const BY_ADDRESS = ['drawing', 'proposal', 'stand-ins', 'beginnings', 'drawers', 'new']
const SIZES = { laptop: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const

/**
 * What cannot be read or reached in a page as it stands, by where. In a dark room only the colours are others: those are
 * looked at there, all else in a light one. Nothing here lies in frames, which is what the older mode leaves out; a
 * drawing is one picture, whatever it is made of.
 */
async function faults(page: Page, where: string, theme: string): Promise<readonly string[]> {
  const axe = new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
    .exclude('svg > *')
  const { violations } = await (theme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze()
  return violations.map(({ id, nodes }) => {
    const places = nodes.slice(0, 3).map(({ target }) => target.join(' '))
    return `${where}: ${id}: ${places.join(', ')}`
  })
}

/** Goes to a page by its address as the browser's own buttons do, without loading everything anew. */
const turnToAddress = (page: Page, path: string): Promise<void> =>
  page.evaluate((to) => {
    history.pushState({}, '', `/${to}`)
    dispatchEvent(new PopStateEvent('popstate', { state: history.state }))
  }, path)

const inRoom = (page: Page, theme: string): Promise<unknown> =>
  page.addInitScript((chosen) => localStorage.setItem('lamellon.theme', chosen), theme)

for (const theme of ['light', 'dark'])
  for (const [size, viewport] of Object.entries(SIZES))
    test(`every page can be read and reached by all, in a ${theme} room, on a ${size}`, async ({ page }) => {
      await page.setViewportSize(viewport)
      await inRoom(page, theme)
      await openLeaf(page, 'brief')
      const found: string[] = []
      const look = async (each: string): Promise<void> => {
        await expect(page).toHaveURL(new RegExp(`/${each}$`))
        await expect(page.getByRole('main').getByRole('heading', { level: 1 }).first()).toBeVisible()
        found.push(...(await faults(page, each, theme)))
      }
      for (const [each, key] of Object.entries(BY_KEY)) {
        await page.keyboard.press(key)
        await look(each)
      }
      for (const each of BY_ADDRESS) {
        await turnToAddress(page, each)
        await look(each)
      }
      expect(found).toEqual([])
    })

for (const theme of ['light', 'dark'])
  test(`what opens over a page can be read and reached by all, in a ${theme} room`, async ({ page }) => {
    await inRoom(page, theme)
    await openLeaf(page, 'arrange')
    const found: string[] = []
    const opened = async (
      name: string,
      open: () => Promise<void>,
      role: 'dialog' | 'menu' | 'listbox',
    ): Promise<void> => {
      await open()
      await expect(page.getByRole(role).first()).toBeVisible()
      found.push(...(await faults(page, name, theme)))
      await page.keyboard.press('Escape')
      await expect(page.getByRole(role)).toHaveCount(0)
    }
    await opened('guide', () => page.keyboard.press('?'), 'dialog')
    await opened('keys', () => page.keyboard.press('k'), 'dialog')
    await opened('a working', () => page.getByTestId('tally-pieces').click(), 'dialog')
    await opened('needs a look', () => page.getByTestId('tally-warnings').click(), 'dialog')
    await opened('studio menu', () => page.getByTestId('studio-menu').click(), 'menu')
    await page.keyboard.press('2')
    await opened('choice of a covering', () => page.getByTestId('covered-with').first().click(), 'listbox')
    await page.keyboard.press('5')
    await opened('a dipped strip', () => page.getByRole('button', { name: 'dip a strip' }).first().click(), 'dialog')
    await page.keyboard.press('4')
    await opened('a rest', () => page.getByRole('button', { name: 'Measure a rest' }).click(), 'dialog')
    await page.keyboard.press('8')
    await opened('what is wrong', () => page.getByTestId('trouble').click(), 'dialog')
    expect(found).toEqual([])
  })

test('text twice as large stays on the page, on every leaf', async ({ page }) => {
  // A laptop's window whose browser shows everything twice as large has half as many of its units across and down.
  await page.setViewportSize({ width: SIZES.laptop.width / 2, height: SIZES.laptop.height / 2 })
  await openLeaf(page, 'brief')
  for (const [each, key] of Object.entries(BY_KEY)) {
    await page.keyboard.press(key)
    await expect(page).toHaveURL(new RegExp(`/${each}$`))
    await expect(page.getByRole('main').getByRole('heading', { level: 1 }).first()).toBeVisible()
    const hidden = await page.evaluate(() => {
      const main = document.querySelector('main')!
      return {
        page: document.documentElement.scrollWidth - window.innerWidth,
        leaf: main.scrollWidth - main.clientWidth,
      }
    })
    expect([each, hidden.page <= 1, hidden.leaf <= 1]).toEqual([each, true, true])
  }
})
