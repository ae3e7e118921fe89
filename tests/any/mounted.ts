/** What a test of the interface leaves behind: nothing is mounted after it, and nothing is still being loaded. */
import { config, disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterAll, afterEach, vi } from 'vitest'

// Pictures are drawn on a canvas that the test's page does not have.
config.global.stubs = { ...config.global.stubs, CakeStill: true, MeshStill: true }
// Files share what they import, and so the package's own note that it was asked before.
disableAutoUnmount()
enableAutoUnmount(afterEach)
afterAll(() => vi.dynamicImportSettled())
