import { ref, watch, type Ref } from 'vue'
import { usePreferences } from '~/stores/preferences'
import { hired } from '~/workers/hired'
import type { StillWish, StillsWorker } from '~/workers/stills'
import { sceneContent } from '../contentOf'

const MOST_KEPT = 160

/** The worker, beside the page: a picture takes whoever draws it for as long as it is drawn. */
const drawer = hired<StillsWorker>(
  (name) => new Worker(new URL('../../../workers/stills.ts', import.meta.url), { type: 'module', name }),
)

/** A picture as a file; null where the browser draws nothing in depth beside a page, or ends what draws. */
export const drawStill = (wish: StillWish, isFull: boolean): Promise<Blob | null> =>
  drawer.ask((worker) => worker.pictureOf(wish, isFull)).catch(() => null)

const kept = new Map<string, Promise<string | null>>()

function addressOf(wish: StillWish, isFull: boolean): Promise<string | null> {
  const key = JSON.stringify([sceneContent(wish.scene), wish.look, wish.window, wish.width, wish.height, isFull])
  const known =
    kept.get(key) ??
    drawStill(wish, isFull).then((blob) => {
      if (blob) return URL.createObjectURL(blob)
      // Drawn flat for now, and tried again when it is next asked for.
      kept.delete(key)
      return null
    })
  kept.delete(key)
  kept.set(key, known)
  if (kept.size > MOST_KEPT) {
    const [oldest, address] = [...kept][0]!
    kept.delete(oldest)
    void address.then((each) => each && URL.revokeObjectURL(each))
  }
  return known
}

/** The address of a still picture: `undefined` while it is drawn, `null` where nothing can be drawn in depth. */
export function useStill(wish: () => StillWish): Ref<string | null | undefined> {
  const preferences = usePreferences()
  const address = ref<string | null | undefined>(undefined)
  let asked = 0
  watch(
    wish,
    async (next) => {
      const mine = (asked += 1)
      const made = await addressOf(next, preferences.stand !== 'small')
      if (mine === asked) address.value = made
    },
    { immediate: true },
  )
  return address
}
