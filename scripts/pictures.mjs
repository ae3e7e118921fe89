// Draws the pictures of techniques and beginnings that people choose by: npm run pictures. Needed after their drawing
// has changed; they are kept in public/pictures.
import { mkdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
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

const folder = join(root, 'public/pictures')
const HOUR = new Date('2026-11-24T09:00:00')
const WAIT = { timeout: 300_000 }
mkdirSync(folder, { recursive: true })

const { server, address } = await startServer(await freePort(4371))
const browser = await chromium.launch({
  executablePath: findChromium(),
  args: ['--no-sandbox', ...IN_DEPTH],
})

/** The middle of a still, four to three, as small as a picture to choose by needs to be. */
const small = (image) => {
  const canvas = document.createElement('canvas')
  Object.assign(canvas, { width: 360, height: 270 })
  const { naturalWidth: wide, naturalHeight: high } = image
  // Nearer than the still, which leaves room for the tallest.
  const scale = 1.08 * Math.min(360 / wide, 270 / high)
  const context = canvas.getContext('2d')
  context.imageSmoothingQuality = 'high'
  context.drawImage(image, (360 - wide * scale) / 2, 268 - high * scale, wide * scale, high * scale)
  return canvas.toDataURL('image/webp', 0.86)
}

async function draw(path, mark, count) {
  const page = await browser.newPage()
  await page.clock.setFixedTime(HOUR)
  await page.goto(`${address}/demo`)
  await page.locator('[data-testid=tally][aria-busy=false]').waitFor(WAIT)
  await page.goto(`${address}${path}`)
  const items = page.locator(`[${mark}]`)
  await items.nth(count - 1).waitFor(WAIT)
  for (const item of await items.all()) {
    const name = await item.getAttribute(mark)
    await item.locator('img').first().waitFor(WAIT)
    const picture = await item.locator('img').first().evaluate(small)
    writeFileSync(join(folder, `${name}.webp`), Buffer.from(picture.split(',')[1], 'base64'))
    console.log(name)
  }
  await page.close()
}

try {
  await draw('/gallery', 'data-technique', 26)
  await draw('/beginnings', 'data-beginning', 11)
} finally {
  await browser.close()
  server.kill()
}
