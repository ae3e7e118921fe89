import { computed, ref } from 'vue'

const turned = ref(0)

/** How far the stand is turned, degrees from -180 to 180; shared by all that show or turn it. */
export const useTurn = () => {
  const turnDeg = computed({
    get: () => turned.value,
    set: (degrees: number) => {
      turned.value = ((((degrees + 180) % 360) + 360) % 360) - 180
    },
  })
  return {
    turnDeg,
    turnBy: (degrees: number): void => {
      turnDeg.value += degrees
    },
  }
}
