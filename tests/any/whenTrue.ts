import { vi } from 'vitest'

/** Waits until a check holds, however slow or busy the machine is; what takes a minute has failed. */
export const whenTrue = (check: () => void | Promise<void>): Promise<void> =>
  vi.waitFor(check, { timeout: 60_000, interval: 20 })
