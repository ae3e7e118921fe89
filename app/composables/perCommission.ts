import { shallowRef, type ShallowRef } from 'vue'

const begins: (() => void)[] = []

/**
 * State that a leaf keeps while others are turned to, and that begins anew with another commission: what is open, what
 * is in hand, how one looks at the cake.
 */
export function perCommission<Value>(begin: () => Value): ShallowRef<Value> {
  const kept = shallowRef(begin())
  begins.push(() => {
    kept.value = begin()
  })
  return kept
}

/** All of it as it begins: another commission is opened. */
export const beginAnew = (): void => begins.forEach((each) => each())
