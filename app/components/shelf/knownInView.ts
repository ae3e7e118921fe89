/** What is known of those entries of a long list that are in view; of the others nothing is kept. */
import { shallowReactive } from 'vue'

/**
 * @param learn what there is to know of an entry, or null where it cannot be known; asked one entry after the other.
 * Where it fails nothing is known of that entry
 * @returns `known` of those in view, `setInView` tells that one came into view or left it, `learnAgain` asks anew for
 * all in view and shows what was known until then
 */
export function useKnownInView<Known>(learn: (id: string) => Promise<Known | null>) {
  const known = shallowReactive(new Map<string, Known>())
  const inView = new Set<string>()
  let wanted = new Set<string>()
  let isLearning = false

  async function learnOn(): Promise<void> {
    if (isLearning) return
    isLearning = true
    for (let [id] = wanted; id !== undefined; [id] = wanted) {
      wanted.delete(id)
      const found = await learn(id).catch(() => null)
      // Who has left meanwhile is not kept.
      if (found !== null && inView.has(id)) known.set(id, found)
    }
    isLearning = false
  }

  function setInView(id: string, is: boolean): void {
    if (is) {
      inView.add(id)
      if (!known.has(id)) wanted.add(id)
      void learnOn()
      return
    }
    for (const each of [inView, wanted]) each.delete(id)
    known.delete(id)
  }

  function learnAgain(): void {
    wanted = new Set(inView)
    void learnOn()
  }

  return { known, setInView, learnAgain }
}
