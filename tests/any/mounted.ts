/** What a test of the interface leaves behind: nothing is mounted after it, and nothing is still being loaded. */
import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterAll, afterEach, vi } from 'vitest'

// Files share what they import, and so the package's own note that it was asked before.
disableAutoUnmount()
enableAutoUnmount(afterEach)
afterAll(() => vi.dynamicImportSettled())
