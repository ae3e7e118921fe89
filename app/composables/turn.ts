import { getCurrentInstance, onBeforeUnmount, onMounted, ref, type Ref } from 'vue'
import { afterPaint } from './afterFigures'

/** What is shown one after the other, up to the part that was asked for last. */
let shownBefore: Promise<void> = Promise.resolve()

/**
 * Whether a part of a leaf has its turn: false until what stands above it is painted. Parts come one after the other,
 * each in a frame of its own, so that the heading of a leaf and its answer never wait for what lies below them. What an
 * edit adds to a leaf that is there already has its turn at once.
 */
export function useTurn(): Ref<boolean> {
  const hasTurn = ref(getCurrentInstance()?.parent?.isMounted ?? false)
  let isGone = false
  onMounted(() => {
    if (hasTurn.value) return
    shownBefore = shownBefore.then(async () => {
      if (isGone) return
      await afterPaint()
      hasTurn.value = true
    })
  })
  onBeforeUnmount(() => {
    isGone = true
  })
  return hasTurn
}
