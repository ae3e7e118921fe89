/** The stand-ins of each browser: what one switches off works on for the others. They live as long as the server. */
import { EMPTY_CUTTER, type Cutter } from './cutter'
import { ALL_WELL, type StandIns } from './standIns'

export type Devices = { standIns: StandIns; cutter: Cutter }

/** Those that were not asked for longest are let go. */
const MOST_BROWSERS = 200
const known = new Map<string, Devices>()

/** The stand-ins of a browser, as they are now. */
export function devicesOf(browser: string): Devices {
  const devices = known.get(browser) ?? { standIns: ALL_WELL, cutter: EMPTY_CUTTER }
  known.delete(browser)
  known.set(browser, devices)
  const [oldest] = known.keys()
  if (known.size > MOST_BROWSERS) known.delete(oldest!)
  return devices
}
