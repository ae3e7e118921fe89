import { setResponseHeaders } from 'h3'
import { defineNitroPlugin } from 'nitropack/runtime'
import { NOT_FRAMED, policyOf } from '../policy'

export default defineNitroPlugin((nitro) => {
  // Files too: the start page is one, and scripts and fonts are.
  nitro.hooks.hook('request', (event) =>
    setResponseHeaders(event, {
      'content-security-policy': NOT_FRAMED,
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'no-referrer',
    }),
  )
  nitro.hooks.hook('render:response', (response) => {
    if (typeof response.body !== 'string') return
    const { 'x-powered-by': _maker, ...headers } = response.headers ?? {}
    response.headers = { ...headers, 'content-security-policy': `${policyOf(response.body)}; ${NOT_FRAMED}` }
  })
})
