// Takes the pictures of the main views from the demo data: npm run screenshots -- [folder] [view…]
import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import {
  checkNode,
  ensureBuilt,
  ensureChromium,
  ensureInstalled,
  findChromium,
  freePort,
  IN_DEPTH,
  root,
  startServer,
} from './setup.mjs'

checkNode()
ensureInstalled()
ensureBuilt()
ensureChromium()
const { chromium } = await import('@playwright/test')

const LAPTOP = { width: 1280, height: 800 }
const PHONE = { width: 390, height: 844 }
/** The hour the pictures are taken at, so that the same demo always looks the same. */
const HOUR = new Date('2026-11-24T09:00:00')

const leaf = (name) => ({ name, path: `/${name}`, size: LAPTOP })
/** At the bench: one step done, the next in hand, its soak running. */
async function atTheBench(page) {
  const settled = () => page.locator('[data-testid=tally][aria-busy=false]').waitFor()
  await page.getByTestId('begin').click()
  await settled()
  await page.getByTestId('done').click()
  await settled()
  await page.getByTestId('begin').click()
  await settled()
  await page.getByRole('button', { name: /^Soak/ }).click()
  await settled()
  await page.evaluate(() => {
    document.querySelector('main').scrollTop = 0
  })
}
const views = [
  ...['brief', 'tiers', 'arrange', 'cut', 'tint', 'dry', 'supply', 'deliver', 'learn'].map(leaf),
  { name: 'make', path: '/make', size: LAPTOP, then: atTheBench },
  { name: 'make-phone', path: '/make', size: PHONE, then: atTheBench },
  {
    name: 'timetable',
    path: '/timetable',
    size: LAPTOP,
    then: (page) => page.getByTestId('risk').getByRole('button').first().waitFor(),
  },
  { name: 'new', path: '/new', size: { width: 1280, height: 1180 }, studio: 'own' },
  {
    name: 'gallery',
    path: '/gallery',
    size: { width: 1280, height: 5400 },
    then: (page) => page.getByTestId('gallery').locator('li').nth(25).waitFor(),
  },
  { name: 'compare', path: '/compare', size: LAPTOP, then: (page) => page.getByTestId('compare-table').waitFor() },
  {
    name: 'shelf',
    path: '/shelf',
    size: LAPTOP,
    then: (page) => page.getByTestId('shelf').locator('img').first().waitFor(),
  },
  { name: 'drawing', path: '/drawing', size: LAPTOP },
  {
    name: 'proposal',
    path: '/proposal',
    size: { width: 1280, height: 1500 },
    then: (page) => page.getByTestId('paper-proposal').locator('img').nth(1).waitFor(),
  },
  { name: 'stand', path: '/arrange', size: LAPTOP, then: (page) => page.keyboard.press('f') },
]

const [given = 'docs/screenshots', ...wanted] = process.argv.slice(2)
const folder = resolve(root, given)
mkdirSync(folder, { recursive: true })
const { server, address } = await startServer(await freePort(4311))
const browser = await chromium.launch({
  executablePath: findChromium(),
  args: [
    '--no-sandbox',
    ...IN_DEPTH,
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--no-first-run',
  ],
})
try {
  for (const { name, path, size, then, studio = 'demo' } of views.filter(
    (view) => wanted.length === 0 || wanted.includes(view.name),
  )) {
    const context = await browser.newContext({ viewport: size, locale: 'en-GB', reducedMotion: 'reduce' })
    await context.addInitScript((name) => localStorage.setItem('lamellon.studio', name), studio)
    const page = await context.newPage()
    await page.clock.setFixedTime(HOUR)
    await page.goto(`${address}${path}`)
    await page.getByTestId(studio === 'demo' ? 'tally-warnings' : 'new-commission').waitFor()
    await then?.(page)
    await page.evaluate(() => document.fonts.ready)
    // The stand comes after the figures; at the bench a phone has no room for it.
    if (size !== PHONE && (await page.getByTestId('tally').count()))
      await page.locator('[data-testid=stand-drawn][data-drawn=yes]').waitFor({ state: 'attached' })
    // All that is drawn in depth is as it will stay.
    await page.waitForFunction(() =>
      [...document.querySelectorAll('[data-drawn=no]')].every((each) => each.clientWidth === 0),
    )
    await page.waitForTimeout(400)
    await page.screenshot({ path: join(folder, `${name}.png`) })
    console.log(join(given, `${name}.png`))
    await context.close()
  }
} finally {
  await browser.close()
  server.kill()
}
