import { defineEventHandler, getRequestHeader } from 'h3'
import { refused } from '../asked/refused'

/** Only pages of this server may ask its devices: a form or script of another site is refused. */
export default defineEventHandler((event) => {
  if (!event.path.startsWith('/api/')) return
  const from = getRequestHeader(event, 'sec-fetch-site')
  const origin = getRequestHeader(event, 'origin')
  const host = getRequestHeader(event, 'host')
  const isOwn = origin === undefined || (URL.canParse(origin) && new URL(origin).host === host)
  if (from === 'cross-site' || from === 'same-site' || !isOwn)
    throw refused(403, 'Only pages of this server may ask for that.')
})
