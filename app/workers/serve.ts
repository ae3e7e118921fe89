import { expose } from 'comlink'
import { config } from 'zod'

// Zod would otherwise probe for `eval`, which the content security policy forbids.
config({ jitless: true })

/**
 * Lets a page ask this worker. For as long as it lives it holds a lock of its own name, so that the page learns in
 * whatever way it ends; where a browser knows no locks the page learns of failures only.
 */
export function serve(worker: object): void {
  const begin = (): void => {
    expose(worker)
    self.postMessage('ready to be asked')
  }
  if (!('locks' in navigator)) return begin()
  void navigator.locks.request(self.name, () => {
    begin()
    return new Promise(() => undefined)
  })
}
