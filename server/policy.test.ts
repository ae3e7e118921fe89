import { createHash } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { policyOf, withPolicy } from './policy'

const PAGE =
  '<html><head><title>L</title></head><body><script>start()</script>' +
  '<script type="application/json">{"a":1}</script><script src="/a.js"></script></body></html>'

describe('what a page may run', () => {
  it('is its own inline scripts, by their hash, and no others', () => {
    const hash = createHash('sha256').update('start()').digest('base64')
    expect(policyOf(PAGE)).toContain(`script-src 'self' 'sha256-${hash}';`)
    expect(policyOf(PAGE)).not.toContain('unsafe-eval')
  })
  it('is said in a page that is a file before anything it loads, and is the same as without saying it', () => {
    const page = withPolicy(PAGE)
    expect(page).toMatch(/^<html><head><meta http-equiv="Content-Security-Policy" content="default-src 'self';/)
    expect(policyOf(page)).toBe(policyOf(PAGE))
  })
})
