import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { LEAF_TABS } from '../app/components/leaves'
import { expect, openLeaf, test, turnToAddress, whole } from './studio'

/** Pages by the key that turns to them. */
const BY_KEY: Readonly<Record<string, string>> = {
  ...Object.fromEntries(LEAF_TABS.map(({ leaf, key }) => [leaf, key])),
  compare: 'c',
  shelf: 'h',
}
const BY_ADDRESS = ['drawing', 'proposal', 'stand-ins', 'beginnings', 'drawers', 'new']
const SIZES = { laptop: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const

const ROOMS = ['light', 'dark'] as const
type Theme = (typeof ROOMS)[number]

/**
 * What cannot be read or reached in a page as it stands, by where. In a dark room only the colours are others: those are
 * looked at there, all else in a light one. Nothing here lies in frames, which is what the older mode leaves out; a
 * drawing is one picture, whatever it is made of.
 */
async function faults(page: Page, where: string, theme: Theme): Promise<readonly string[]> {
  const axe = new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .setLegacyMode(true)
    .exclude('svg > *')
  const { violations } = await (theme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze()
  return violations.map(({ id, nodes }) => {
    const places = nodes.slice(0, 3).map(({ target }) => target.join(' '))
    return `${where}, ${theme}: ${id}: ${places.join(', ')}`
  })
}

/** Has the page in a light or a dark room for a moment, without loading it anew. */
const inRoom = (page: Page, theme: Theme): Promise<void> =>
  page.evaluate((chosen) => {
    document.documentElement.dataset.theme = chosen
    // Colours that still fade would be neither.
    for (const each of document.getAnimations()) each.cancel()
  }, theme)

async function faultsInRooms(page: Page, where: string): Promise<readonly string[]> {
  const found: string[] = []
  for (const theme of ROOMS) {
    await inRoom(page, theme)
    found.push(...(await faults(page, where, theme)))
  }
  await inRoom(page, 'light')
  return found
}

for (const [size, viewport] of Object.entries(SIZES)) {
  test(`every page can be read and reached by all on a ${size}, in a light and in a dark room`, async ({ page }) => {
    await page.setViewportSize(viewport)
    await openLeaf(page, 'brief')
    const found: string[] = []
    const look = async (each: string): Promise<void> => {
      await expect(page).toHaveURL(new RegExp(`/${each}$`))
      await expect(page.getByRole('main').getByRole('heading', { level: 1 }).first()).toBeVisible()
      if (each !== 'new') await whole(page)
      found.push(...(await faultsInRooms(page, each)))
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

  test(`what opens over a page can be read and reached by all on a ${size}, in a light and in a dark room`, async ({
    page,
  }) => {
    await page.setViewportSize(viewport)
    await openLeaf(page, 'arrange')
    const found: string[] = []
    const opened = async (
      name: string,
      open: () => Promise<void>,
      role: 'dialog' | 'menu' | 'listbox',
    ): Promise<void> => {
      await open()
      await expect(page.getByRole(role).first()).toBeVisible()
      found.push(...(await faultsInRooms(page, name)))
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
}

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
