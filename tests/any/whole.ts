import type { VueWrapper } from '@vue/test-utils'
import { expect } from 'vitest'
import { whenTrue } from './whenTrue'

/** What was mounted, once all its parts are there. */
export async function whole<Mounted extends VueWrapper>(mounted: Mounted): Promise<Mounted> {
  await whenTrue(() => expect(mounted.find('[data-later]').exists()).toBe(false))
  return mounted
}
