import { onScopeDispose, ref, shallowRef } from 'vue'
import { hear, lostLine, NOT_HEARD, overdue, type SensorState } from '#core/dry'

const LOOK_EVERY_MS = 5000
const TRY_AGAIN_MS = 4000

/**
 * The room sensor's line: what it says, whether to believe it, and the last reading that could be. Open while somebody
 * looks.
 */
export function useRoomSensor() {
  const state = shallowRef<SensorState>(NOT_HEARD)
  const isOn = ref(false)
  let line: EventSource | null = null
  let again = 0
  let looking = 0

  function open(): void {
    line = new EventSource('/api/room')
    line.onmessage = ({ data }: MessageEvent<string>) => {
      state.value = hear(state.value, data, Date.now())
    }
    line.onerror = () => {
      line?.close()
      state.value = lostLine(state.value)
      again = window.setTimeout(open, TRY_AGAIN_MS)
    }
  }

  function turnOn(): void {
    isOn.value = true
    state.value = { ...NOT_HEARD, lastGood: state.value.lastGood, heardMs: Date.now() }
    looking = window.setInterval(() => {
      state.value = overdue(state.value, Date.now())
    }, LOOK_EVERY_MS)
    open()
  }

  function turnOff(): void {
    isOn.value = false
    line?.close()
    window.clearTimeout(again)
    window.clearInterval(looking)
  }

  onScopeDispose(turnOff)
  return { state, isOn, toggle: (): void => (isOn.value ? turnOff() : turnOn()) }
}
