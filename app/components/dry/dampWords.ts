import type { DryingEstimate } from '#core/dry'
import { printDuration } from '#core/quantity'

/** What becomes of film in damp air, in words. */
export function dampWords({ ready }: Pick<DryingEstimate, 'ready'>): string {
  const touch = ready.touch.median
    ? `dry to touch after ${printDuration(ready.touch.median.value)}`
    : 'not even dry to touch in three days'
  const handle = ready.handle.median
    ? `ready to handle after ${printDuration(ready.handle.median.value)}`
    : 'never stiff enough to handle'
  return ready.set.median
    ? `usually ${touch}, set after ${printDuration(ready.set.median.value)}`
    : `usually ${touch}, ${handle}, unlikely ever to set hard without heat or a dry box`
}
