import { test as plain } from '@playwright/test'
import { served } from './newBuild'
import { expect, settled, turnTo } from './studio'

plain.describe('a newer build on the server', () => {
  plain.use({ serviceWorkers: 'allow' })
  plain(
    'waits until it is taken over: leaves not yet seen still open, and what is typed stays',
    async ({ page, baseURL }) => {
      const errors: string[] = []
      page.on('pageerror', ({ message }) => errors.push(message))
      const build = await served(baseURL!, /^\/_nuxt\//)
      try {
        await page.goto(`${build.address}/demo`)
        await expect(page).toHaveURL(/arrange$/)
        await turnTo(page, 'Brief')
        await settled(page)
        await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
        const notes = page.getByRole('main').getByLabel('Notes and pictures', { exact: true })
        await notes.press('End')
        await notes.pressSequentially(' White boxes')
        build.renew()
        await page.evaluate(async () => (await navigator.serviceWorker.ready).update())
        await expect(page.getByTestId('newer')).toBeVisible()
        await notes.pressSequentially(', blue ribbon')
        await expect(notes).toHaveValue(/White boxes, blue ribbon$/)
        await turnTo(page, 'Learn')
        await expect(page.getByTestId('ledger')).toBeVisible()
        await turnTo(page, 'Brief')
        await notes.press('End')
        await notes.pressSequentially(', by noon')
        await page.evaluate(() => Object.assign(window, { isOld: true }))
        await page.getByTestId('newer').getByRole('button', { name: 'Take it over' }).click()
        await page.waitForFunction(() => !('isOld' in window))
        await expect(notes).toHaveValue(/White boxes, blue ribbon, by noon$/)
        await expect(page.getByTestId('newer')).toBeHidden()
        expect(errors).toEqual([])
      } finally {
        await build.close()
      }
    },
  )
})
