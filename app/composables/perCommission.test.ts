import { expect, it } from 'vitest'
import { beginAnew, perCommission } from './perCommission'

it('what a leaf keeps begins anew with another commission, each by itself', () => {
  const [open, hidden] = [perCommission(() => false), perCommission<readonly string[]>(() => [])]
  open.value = true
  hidden.value = ['sails']
  beginAnew()
  expect(open.value).toBe(false)
  expect(hidden.value).toEqual([])
})
