import { computed } from 'vue'
import { FRONT_DOWN_DEG } from '#core/draw'
import { fromFront, type Point } from '#core/geometry'
import { perCommission } from '~/composables/perCommission'

const turned = perCommission(() => 0)
const down = perCommission(() => FRONT_DOWN_DEG)
const times = perCommission(() => 1)
const moved = perCommission<Point>(() => ({ x: 0, y: 0 }))

const ABOVE_DEG = 90
const NEAREST_TIMES = 8

/** Sides that the stand can be seen from at a touch. */
export const SIDES = [
  { id: 'front', name: 'Front', turnDeg: 0, downDeg: FRONT_DOWN_DEG },
  { id: 'above', name: 'From above', turnDeg: 0, downDeg: ABOVE_DEG },
  { id: 'back', name: 'Back', turnDeg: 180, downDeg: FRONT_DOWN_DEG },
] as const

const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value))

/** From where the stand is looked at, and how near; shared by all that show or turn it. */
export const useLook = () => {
  /** How far the stand is turned, degrees from -180 to 180. */
  const turnDeg = computed({
    get: () => turned.value,
    set: (degrees: number) => {
      turned.value = fromFront(degrees)
    },
  })
  /** How steeply it is looked down upon, degrees from 0, level, to 90, from above. */
  const downDeg = computed({
    get: () => down.value,
    set: (degrees: number) => {
      down.value = within(degrees, 0, ABOVE_DEG)
    },
  })
  return {
    turnDeg,
    downDeg,
    /** How many times nearer than for the whole, and how far that is moved aside, mm, y down. */
    times: computed(() => times.value),
    moved: computed(() => moved.value),
    turnBy: (degrees: number): void => {
      turnDeg.value += degrees
    },
    tiltBy: (degrees: number): void => {
      downDeg.value += degrees
    },
    /** Comes nearer by so many times, so that a place, mm, y down, stays under the finger. */
    comeNearer: (by: number, place: Point): void => {
      const next = within(times.value * by, 1, NEAREST_TIMES)
      const stays = times.value / next
      const { x, y } = moved.value
      moved.value =
        next === 1 ? { x: 0, y: 0 } : { x: place.x - (place.x - x) * stays, y: place.y - (place.y - y) * stays }
      times.value = next
    },
    /** Moves what is seen nearer aside. */
    moveBy: ({ x, y }: Point): void => {
      if (times.value > 1) moved.value = { x: moved.value.x + x, y: moved.value.y + y }
    },
    lookFrom: (side: (typeof SIDES)[number]): void => {
      turned.value = side.turnDeg
      down.value = side.downDeg
      times.value = 1
      moved.value = { x: 0, y: 0 }
    },
  }
}
