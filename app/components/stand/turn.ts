import { computed, ref } from 'vue'
import { fromFront } from '#core/geometry'

const turned = ref(0)

/** How far the stand is turned, degrees from -180 to 180; shared by all that show or turn it. */
export const useTurn = () => {
  const turnDeg = computed({
    get: () => turned.value,
    set: (degrees: number) => {
      turned.value = fromFront(degrees)
    },
  })
  return {
    turnDeg,
    turnBy: (degrees: number): void => {
      turnDeg.value += degrees
    },
  }
}
