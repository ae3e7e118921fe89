import { appendFile, mkdtemp, readdir, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Page } from '@playwright/test'
import { launched } from '../scripts/browserToKill.mjs'
import {
  downloaded,
  expect,
  fill,
  fromMenu,
  openLeaf,
  ownStudio,
  saved,
  settled,
  startOwn,
  tally,
  test,
} from './studio'

const field = (page: Page, label: string) => page.getByRole('main').getByLabel(label, { exact: true })

/** Does something with the records of the user's own studio, past the app. */
const inDatabase = (page: Page, work: string): Promise<void> =>
  page.evaluate(
    (body) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('lamellon')
        opening.onerror = () => reject(new Error('not opened'))
        opening.onsuccess = () => {
          const database = opening.result
          const transaction = database.transaction(['commissions', 'workshop'], 'readwrite')
          transaction.oncomplete = () => {
            database.close()
            resolve()
          }
          const commissions = transaction.objectStore('commissions')
          const all = commissions.getAll()
          all.onsuccess = () => {
            for (const record of all.result) (globalThis as { spoil?: (kept: unknown) => void }).spoil?.(record)
            for (const record of all.result) commissions.put(record)
          }
        }
        ;(globalThis as { spoil?: unknown }).spoil = (record: { commission: never }) => spoilers[body]!(record as never)
        const spoilers: Record<string, (record: { commission: { brief?: unknown; options: never[] } }) => void> = {
          withoutBrief: ({ commission }) => {
            delete commission.brief
          },
          notANumber: ({ commission: { options } }) => {
            ;(options as { cake: { tiers: { heightMm: number }[] } }[])[0]!.cake.tiers[0]!.heightMm = Number.NaN
          },
        }
      }),
    work,
  )

test.describe('where a script cannot be loaded', () => {
  test.use({ provoked: /Failed to load resource|ERR_FAILED/ })

  test('that is said, and figures come once it can', async ({ page }) => {
    await startOwn(page)
    await page.route('**/plan-*.js', (route) => route.abort())
    await page.reload()
    await expect(page.getByTestId('studio-trouble')).toContainText('could not be loaded')
    // All that needs no figures works.
    await page.getByTestId('studio-trouble').getByRole('link', { name: 'To the shelf' }).click()
    await expect(page.getByRole('heading', { name: 'The shelf' })).toBeVisible()
    await page.unroute('**/plan-*.js')
    await page.getByTestId('try-again').click()
    await expect(page.getByTestId('tally-warnings')).toBeVisible()
    await expect(page.getByTestId('studio-trouble')).toHaveCount(0)
  })
})

test('what works the plan out ends in the middle, and the next edit has its figures all the same', async ({ page }) => {
  await openLeaf(page, 'brief')
  const before = await tally(page)
  const [worker] = page.workers()
  await Promise.all([worker!.waitForEvent('close'), worker!.evaluate(() => self.close())])
  await fill(page, 'Drive', '95 min')
  await expect.poll(async () => (await tally(page)).startBy).not.toBe(before.startBy)
  await expect(page.getByTestId('studio-trouble')).toHaveCount(0)
})

for (const [what, spoiled] of [
  ['without a brief', 'withoutBrief'],
  ['with a height that is no number', 'notANumber'],
] as const)
  test(`a commission ${what} is set aside with its reason, can be saved, and the others open`, async ({ page }) => {
    await startOwn(page)
    await saved(page)
    await inDatabase(page, spoiled)
    await page.reload()
    await expect(page).toHaveURL(/new$/)
    await page.getByTestId('start-bare').click()
    await expect(field(page, 'Commission')).toHaveValue('New commission')
    await page.goto('/shelf')
    const aside = page.getByTestId('set-aside')
    await expect(aside).toContainText(spoiled === 'notANumber' ? 'heightMm: a number is expected' : 'brief')
    const file = await downloaded(page, () => aside.getByRole('button', { name: 'Save what is there' }).click())
    expect(JSON.parse(file.bytes.toString())).toMatchObject({ revision: expect.any(Number), commission: {} })
    await aside.getByRole('button', { name: 'Let it go' }).click()
    await aside.getByRole('button', { name: 'Really let it go' }).click()
    await expect(aside).toHaveCount(0)
  })

test('a studio that a newer Lamellon has kept is not touched, and that is said', async ({ page }) => {
  await page.goto('/mark.svg')
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        localStorage.setItem('lamellon.studio', 'own')
        const opening = indexedDB.open('lamellon', 9990)
        opening.onupgradeneeded = () => opening.result.createObjectStore('commissions', { keyPath: 'id' })
        opening.onsuccess = () => {
          opening.result.close()
          resolve()
        }
      }),
  )
  await page.goto('/')
  await expect(page.getByTestId('studio-trouble')).toContainText('newer Lamellon')
  const version = await page.evaluate(async () => (await indexedDB.databases()).find(({ name }) => name === 'lamellon'))
  expect(version).toEqual({ name: 'lamellon', version: 9990 })
})

test('another window that holds an older studio open is told of, and left', async ({ page, context }) => {
  const holder = await context.newPage()
  await holder.goto('/mark.svg')
  await holder.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open('lamellon', 130)
        opening.onupgradeneeded = () => {
          const made = opening.result
          const commissions = made.createObjectStore('commissions', { keyPath: 'id' })
          for (const index of ['savedAt', 'archived']) commissions.createIndex(index, index)
          made.createObjectStore('workshop', { keyPath: 'id' })
          made.createObjectStore('history', { keyPath: 'id' }).createIndex('of', 'of')
          made.createObjectStore('removed', { keyPath: 'id' })
        }
        // It never closes by itself.
        opening.onsuccess = () => resolve()
      }),
  )
  await page.addInitScript(() => localStorage.setItem('lamellon.studio', 'own'))
  await page.goto('/')
  await expect(page.getByTestId('studio-trouble')).toContainText('Another window')
  await holder.close()
  await expect(page.getByTestId('new-commission')).toBeVisible()
  await expect(page.getByTestId('studio-trouble')).toHaveCount(0)
})

test.describe('a browser that keeps nothing', () => {
  test.use({ provoked: /denied/ })

  test('of few words: all else works', async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(window, 'localStorage', {
        get() {
          throw new DOMException('denied', 'SecurityError')
        },
      })
    })
    await page.goto('/')
    await page.getByTestId('start-bare').click()
    await fill(page, 'Drive', '33 min')
    await saved(page)
    await expect(page.getByTestId('not-saved')).toHaveCount(0)
  })

  test('at all: that is said, with what to do', async ({ page }) => {
    await page.addInitScript(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException('denied', 'SecurityError')
      }
      IDBFactory.prototype.databases = () => Promise.reject(new DOMException('denied', 'SecurityError'))
    })
    await page.goto('/')
    await expect(page.getByTestId('studio-trouble')).toContainText('keep nothing here')
    await expect(page.getByTestId('try-again')).toBeVisible()
  })
})

test('a browser without room: the edit waits, is said, can be saved to a file, and is kept once there is room', async ({
  page,
}) => {
  await startOwn(page)
  await saved(page)
  await page.evaluate(() => {
    const { put } = IDBObjectStore.prototype
    Object.assign(globalThis, {
      makeRoom: () => {
        IDBObjectStore.prototype.put = put
      },
    })
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
  })
  await fill(page, 'Drive', '47 min')
  const told = page.getByTestId('not-saved')
  await expect(told).toContainText('1 edit could not be saved yet. The room this browser gives is full')
  const file = await downloaded(page, () => told.getByRole('button', { name: 'Save to a file' }).click())
  expect(JSON.parse(file.bytes.toString())).toMatchObject({ commission: { brief: { driveMin: 47 } } })
  await page.evaluate(() => (globalThis as unknown as { makeRoom: () => void }).makeRoom())
  await told.getByRole('button', { name: 'Try again' }).click()
  await saved(page)
  await expect(told).toHaveCount(0)
  await page.reload()
  await expect(field(page, 'Drive')).toHaveValue('47 min')
})

test('a commission is brought back as it was before the first edit of the day, and after it was removed', async ({
  page,
}) => {
  await startOwn(page)
  const asItWas = await field(page, 'Drive').inputValue()
  await fill(page, 'Drive', '88 min')
  await saved(page)
  await page.goto('/shelf')
  const days = page.getByTestId('earlier-days')
  await page.getByTestId('show-days').click()
  await days.getByRole('button', { name: 'Bring it back' }).click()
  await expect(field(page, 'Drive')).toHaveValue(asItWas)
  await page.getByTestId('undo').click()
  await expect(field(page, 'Drive')).toHaveValue('1 h 28')
  await saved(page)
  await fromMenu(page, 'The shelf')
  await page.getByRole('button', { name: 'Delete New commission' }).click()
  await expect(page).toHaveURL(/new$/)
  await fromMenu(page, 'The shelf')
  await page.getByTestId('show-days').click()
  await days.getByRole('listitem').filter({ hasText: 'removed' }).getByRole('button').click()
  await expect(field(page, 'Drive')).toHaveValue('1 h 28')
})

test('the whole studio goes out to a file and into another browser, and what is there already stays', async ({
  page,
  browser,
  baseURL,
}) => {
  await startOwn(page)
  await fill(page, 'Commission', 'Anemone supper')
  await fill(page, 'Drive', '52 min')
  await saved(page)
  await page.goto('/shelf')
  await expect(page.getByTestId('last-file')).toContainText('never saved')
  const file = await downloaded(page, () => page.getByTestId('save-studio').click())
  await expect(page.getByTestId('last-file')).toContainText('nothing was edited since')
  const path = `${file.path}.lamellon.json`
  await writeFile(path, file.bytes)

  const elsewhere = await browser.newContext({ baseURL, serviceWorkers: 'block' })
  const other = await elsewhere.newPage()
  await ownStudio(other)
  await other.getByTestId('file-input').setInputFiles(path)
  const dialog = other.getByTestId('studio-file')
  await expect(dialog).toContainText('1 commission that is not here yet')
  await other.getByTestId('take-studio').click()
  await expect(other.getByTestId('shelf')).toContainText('Anemone supper')
  await settled(other)
  await other.getByTestId('file-input').setInputFiles(path)
  await expect(dialog).toContainText('1 commission is the same as here')
  await elsewhere.close()
})

test('the plug is pulled in the middle of making: nothing that was done is missing, and timers say what is left', async ({
  baseURL,
}) => {
  const folder = await mkdtemp(join(tmpdir(), 'lamellon-plug-'))
  const atBench = new Date('2026-12-02T15:45:00')
  const minutesOn = (minutes: number): Date => new Date(atBench.getTime() + minutes * 60_000)
  const timer = (page: Page) => page.getByTestId('timers').getByRole('timer').first()
  const minutesLeft = async (page: Page): Promise<number> => {
    const [, hours = '0', minutes] = (await timer(page).innerText()).match(/^(?:(\d+) h )?(\d+)/)!
    return Number(hours) * 60 + Number(minutes)
  }
  const opened = async (page: Page): Promise<void> => {
    await page.goto(`${baseURL}/make`)
    await expect(page.getByTestId('tally-warnings')).toBeVisible()
  }
  let running: Awaited<ReturnType<typeof launched>> | null = null
  const counted = (page: Page) => page.getByTestId(/^count-sails/).allInnerTexts()
  try {
    running = await launched(folder)
    const plugged = running.page
    await plugged.clock.setSystemTime(atBench)
    await plugged.goto(`${baseURL}/`)
    await plugged.evaluate(() => localStorage.setItem('lamellon.studio', 'demo'))
    await opened(plugged)
    await plugged.getByTestId('begin').click()
    await plugged.clock.setSystemTime(minutesOn(42))
    await plugged.getByTestId('done').click()
    await expect(plugged.getByTestId('step-now')).toHaveAttribute('data-task', 'sails-soak-1')
    await plugged.getByTestId('begin').click()
    await plugged
      .getByTestId(/^count-sails/)
      .last()
      .getByTestId('broken')
      .click()
    await plugged.getByTestId('done').click()
    await expect(plugged.getByTestId('timers')).toContainText(/load 1/i)
    await plugged.getByTestId('begin').click()
    await saved(plugged)
    await plugged.clock.setFixedTime(minutesOn(50))
    // Opened anew, it shows that minute from the first.
    await opened(plugged)
    await expect(timer(plugged)).toBeVisible()
    const inHand = await plugged.getByTestId('step-now').getAttribute('data-task')
    const pieces = await counted(plugged)
    const left = await minutesLeft(plugged)
    await running.kill()

    running = await launched(folder)
    const again = running.page
    await again.clock.setFixedTime(minutesOn(57))
    await opened(again)
    await expect(again.getByTestId('step-now')).toHaveAttribute('data-task', inHand!)
    await expect(again.getByTestId('done')).toBeVisible()
    await expect(again.getByTestId('task-sails-cut')).toHaveAttribute('aria-label', /^Open again/)
    await expect(again.getByTestId('task-sails-soak-1')).toHaveAttribute('aria-label', /^Open again/)
    expect(await counted(again)).toEqual(pieces)
    expect(left - (await minutesLeft(again))).toBe(7)
  } finally {
    await running?.kill()
    // Its last processes may still write for a moment.
    await rm(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 100 })
  }
})

/**
 * What a browser that is ended between two writes leaves in its database's log: the head of a record without the record.
 * What comes after it is lost at the start after next, and the browser throws all of the database away.
 */
async function tearWrite(folder: string): Promise<void> {
  const databases = join(folder, 'Default', 'IndexedDB')
  const paths = await readdir(databases, { recursive: true })
  const logs = paths.filter((path) => /[/\\]\d+\.log$/.test(path))
  expect(logs.length).toBeGreaterThan(0)
  const head = Buffer.from([0x78, 0x56, 0x34, 0x12, 0xf4, 0x01, 0x01])
  for (const log of logs) await appendFile(join(databases, log), head)
}

test('a browser that throws its damaged database away: the studio comes back from its spare copy', async ({
  baseURL,
}) => {
  const folder = await mkdtemp(join(tmpdir(), 'lamellon-torn-'))
  const spareFiles = (page: Page): Promise<readonly string[]> =>
    page.evaluate(async () => {
      const all = await navigator.storage.getDirectory()
      const names: string[] = []
      for await (const name of (all as unknown as { keys: () => AsyncIterable<string> }).keys()) names.push(name)
      const contents: string[] = []
      for (const name of names) {
        const inside = await all.getDirectoryHandle(name)
        for await (const file of (inside as unknown as { keys: () => AsyncIterable<string> }).keys())
          // One that is just being replaced is not there for a moment, whenever in reading it that is.
          contents.push(
            await inside
              .getFileHandle(file)
              .then((handle) => handle.getFile())
              .then((found) => found.text())
              .catch(() => ''),
          )
      }
      return contents
    })
  const drives = async (page: Page, minutes: number): Promise<void> => {
    await fill(page, 'Drive', `${minutes} min`)
    await saved(page)
    await expect.poll(async () => (await spareFiles(page)).join()).toContain(`"driveMin":${minutes}`)
  }
  let running: Awaited<ReturnType<typeof launched>> | null = null
  try {
    running = await launched(folder)
    await running.page.goto(`${baseURL}/brief`)
    await running.page.getByTestId('start-bare').click()
    await expect(running.page.getByTestId('tally-warnings')).toBeVisible()
    await drives(running.page, 71)
    await running.kill()
    await tearWrite(folder)

    running = await launched(folder)
    await running.page.goto(`${baseURL}/brief`)
    await expect(field(running.page, 'Drive')).toHaveValue('1 h 11')
    await drives(running.page, 72)
    await running.kill()

    running = await launched(folder)
    await running.page.goto(`${baseURL}/brief`)
    await expect(field(running.page, 'Drive')).toHaveValue('1 h 12')
    await expect(running.page.getByText('brought back from a spare copy')).toBeVisible()
  } finally {
    await running?.kill()
    await rm(folder, { recursive: true, force: true, maxRetries: 20, retryDelay: 100 })
  }
})
