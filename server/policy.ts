/** What a page may load and run. */
import { createHash } from 'node:crypto'

const INLINE_SCRIPT = /<script(?![^>]*\bsrc=)(?![^>]*type="application\/json")[^>]*>([\s\S]*?)<\/script>/g

/** Nobody shows a page within another. A page cannot say this of itself: it is told beside it. */
export const NOT_FRAMED = "frame-ancestors 'none'"

/** Allows only our own files and, of inline scripts, only those this very page carries, by their hash. */
export function policyOf(page: string): string {
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
  ].join('; ')
}

/** A page that is a file carries its policy itself, before anything that it loads. */
export const withPolicy = (page: string): string =>
  page.replace('<head>', `<head><meta http-equiv="Content-Security-Policy" content="${policyOf(page)}">`)
