/** How what an earlier Lamellon wrote becomes what this one would have written. */
import { commissionFrom1, from2, from3, from4, workshopFrom1 } from './upgrade'
import { bothFrom5 } from './upgrade6'
import { from6 } from './upgrade7'
import { from7 } from './upgrade8'
import { from8 } from './upgrade9'
import { from9 } from './upgrade10'
import { from10 } from './upgrade11'
import { from11 } from './upgrade12'

/** The version of files that are written now. */
export const VERSION = 12

type Loose = { readonly version?: unknown; readonly commission?: unknown; readonly workshop?: unknown }

/** A file of an earlier version as this one would have written it; null for a version that is not known. */
export function broughtUp(content: Loose, version: unknown): Loose | null {
  if (version === VERSION) return content
  const { commission, workshop } = content
  const since = (bringUp: (value: unknown) => unknown, one: unknown, other: unknown): Loose => ({
    ...content,
    version: VERSION,
    ...bothFrom5(bringUp(one), bringUp(other)),
  })
  const both = (bringUp: (value: unknown) => unknown): Loose => ({
    ...content,
    version: VERSION,
    commission: bringUp(commission),
    workshop: bringUp(workshop),
  })
  const since10 = (value: unknown): unknown => from11(from10(value))
  const since9 = (value: unknown): unknown => since10(from9(value))
  const since8 = (value: unknown): unknown => since9(from8(value))
  const since7 = (value: unknown): unknown => since8(from7(value))
  const since3 = (value: unknown): unknown => from4(from3(value))
  const since2 = (value: unknown): unknown => since3(from2(value))
  switch (version) {
    case 11:
      return both(from11)
    case 10:
      return both(since10)
    case 9:
      return both(since9)
    case 8:
      return both(since8)
    case 7:
      return both(since7)
    case 6:
      return both((value) => since7(from6(value)))
    case 5:
      return since((value) => value, commission, workshop)
    case 4:
      return since(from4, commission, workshop)
    case 3:
      return since(since3, commission, workshop)
    case 2:
      return since(since2, commission, workshop)
    case 1:
      return since(since2, commissionFrom1(commission), workshopFrom1(workshop))
    default:
      return null
  }
}
