import { getCookie, setCookie, type H3Event } from 'h3'
import { devicesOf, type Devices } from '../simulate/devices'

const COOKIE = 'lamellon-browser'
const ITS_ID = /^[0-9a-f-]{36}$/

/** The stand-ins of the browser that asks; one that asks for the first time is given a mark to be known by. */
export function ownDevices(event: H3Event): Devices {
  const known = getCookie(event, COOKIE) ?? ''
  if (ITS_ID.test(known)) return devicesOf(known)
  const browser = crypto.randomUUID()
  setCookie(event, COOKIE, browser, { path: '/api', httpOnly: true, sameSite: 'strict' })
  return devicesOf(browser)
}
