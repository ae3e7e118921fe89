import { createHash } from 'node:crypto'
import { defineNitroPlugin } from 'nitropack/runtime'

const INLINE_SCRIPT = /<script(?![^>]*\bsrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g

/** Allows only our own files and, of inline scripts, only those this very page carries, by their hash. */
function policyFor(page: string): string {
  const hashes = [...page.matchAll(INLINE_SCRIPT)].map(
    ([, script]) => `'sha256-${createHash('sha256').update(script!).digest('base64')}'`,
  )
  return [
    "default-src 'self'",
    `script-src 'self' ${hashes.join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; ')
}

export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:response', (response) => {
    if (typeof response.body !== 'string') return
    response.headers = {
      ...response.headers,
      'content-security-policy': policyFor(response.body),
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
    }
  })
})
