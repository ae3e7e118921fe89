import { defineConfig } from '@playwright/test'

const port = Number(process.env.LAMELLON_TEST_PORT ?? 4399)
const isBench = process.env.LAMELLON_BENCH === 'yes'

/** The browser, and what it draws with. */
const chromium = (...drawing: readonly string[]) => ({
  launchOptions: {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium-headless-shell',
    args: [
      '--no-sandbox',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--no-first-run',
      ...drawing,
    ],
  },
})
const flat = chromium('--disable-gpu', '--disable-3d-apis')
/** In depth, without a graphics card: the page itself is put together by the processor then, as browsers do. */
const inDepth = chromium(
  '--disable-gpu-compositing',
  '--use-gl=angle',
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
)
const ABOUT_THE_STAND = '**/stand.spec.ts'

export default defineConfig({
  testDir: isBench ? 'bench' : 'tests',
  testMatch: isBench ? '**/*.browser.ts' : '**/*.spec.ts',
  outputDir: 'test-results',
  // One more than the cores CI has: a page that waits leaves its core to another.
  workers: 3,
  fullyParallel: true,
  retries: 0,
  // Generous, for machines whose cores others take for minutes; a test that waits this long has failed.
  timeout: 600_000,
  expect: { timeout: 60_000 },
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ? [['list'], ['json']] : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    acceptDownloads: true,
    serviceWorkers: 'block',
    // The demo is open until a test goes to its own studio; sheets are laid closer where a test asks for it.
    storageState: {
      cookies: [],
      origins: [
        {
          origin: `http://127.0.0.1:${port}`,
          localStorage: [
            { name: 'lamellon.studio', value: 'demo' },
            { name: 'lamellon.layCloser', value: 'no' },
          ],
        },
      ],
    },
  },
  // Most tests go without graphics: the cake is drawn flat, and all else works. Those of the stand draw it in depth.
  projects: isBench
    ? [{ name: 'bench', use: inDepth }]
    : [
        { name: 'studio', testIgnore: ABOUT_THE_STAND, use: flat },
        // After the others: drawing in depth without a graphics card takes the whole machine.
        { name: 'stand', testMatch: ABOUT_THE_STAND, use: inDepth, dependencies: ['studio'] },
      ],
  webServer: {
    command: 'node .output/server/index.mjs',
    url: `http://127.0.0.1:${port}`,
    env: { HOST: '127.0.0.1', PORT: String(port) },
    reuseExistingServer: false,
  },
})
