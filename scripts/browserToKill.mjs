// A browser that is killed as a power cut kills it, and comes back to what it had kept.
import { spawn } from 'node:child_process'
import { createInterface } from 'node:readline'
import { chromium } from 'playwright-core'
import { findChromium } from './setup.mjs'

export const ARGUMENTS = ['--no-sandbox', '--disable-gpu', '--disable-3d-apis', '--disable-background-networking']

/**
 * A browser as a process of our own, which can be killed as a power cut kills it, and what drives it.
 * @param {string} folder where it keeps what a next one finds again
 */
export async function launched(folder) {
  const child = spawn(
    findChromium(),
    [...ARGUMENTS, '--headless', '--no-first-run', '--remote-debugging-port=0', `--user-data-dir=${folder}`],
    // A group of its own: what is started may be a script that starts the browser.
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
  )
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const endpoint = await new Promise((resolve, reject) => {
    createInterface({ input: child.stderr }).on('line', (line) => {
      const found = /DevTools listening on (\S+)/.exec(line)
      if (found) resolve(found[1])
    })
    child.once('exit', () => reject(new Error('The browser did not start.')))
  })
  const browser = await chromium.connectOverCDP(endpoint)
  const [context] = browser.contexts()
  return {
    page: context.pages()[0] ?? (await context.newPage()),
    kill: () => {
      if (child.exitCode === null && child.signalCode === null) process.kill(-child.pid, 'SIGKILL')
      return ended
    },
  }
}
