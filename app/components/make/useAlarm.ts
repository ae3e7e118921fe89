import { useStorage, useWakeLock } from '@vueuse/core'
import { onBeforeUnmount, ref, watch } from 'vue'
import { useBench } from '~/stores/bench'
import { browserStorage } from '~/database/browserStorage'

const TONES_HZ = [880, 660, 880] as const
const TONE_S = 0.18

/**
 * Rings when a timer runs out: a sound once a button was touched, a notification where the user allows it. The screen
 * stays awake while a step is in hand.
 */
export function useAlarm() {
  const bench = useBench()
  const wants = useStorage('lamellon.ring', false, browserStorage)
  const problem = ref('')
  const rung = new Set(bench.timers.filter(({ left }) => left <= 0).map(({ id }) => id))
  let sound: AudioContext | null = null
  const { request, release, isSupported } = useWakeLock()

  function ring(name: string): void {
    if (sound)
      TONES_HZ.forEach((hz, at) => {
        const tone = sound!.createOscillator()
        tone.frequency.value = hz
        tone.connect(sound!.destination)
        tone.start(sound!.currentTime + at * TONE_S)
        tone.stop(sound!.currentTime + (at + 0.8) * TONE_S)
      })
    if (wants.value && 'Notification' in window && Notification.permission === 'granted')
      new Notification(`Lamellon: ${name}`)
  }

  /** Allows sound and notifications; browsers want a touch for both. */
  async function allow(): Promise<void> {
    sound ??= new AudioContext()
    await sound.resume()
    wants.value = true
    problem.value =
      'Notification' in window && (await Notification.requestPermission()) === 'granted'
        ? ''
        : 'This browser shows no notifications; timers ring with a sound while this page is open.'
    ring('timers will ring')
  }

  watch(
    () => bench.timers.filter(({ left }) => left <= 0).map(({ id, name }) => ({ id, name })),
    (over) => {
      for (const { id, name } of over)
        if (!rung.has(id)) {
          rung.add(id)
          ring(name)
        }
    },
  )
  const stop = watch(
    () => bench.now?.record !== null && bench.now !== null,
    (busy) => {
      if (isSupported.value) void (busy ? request('screen') : release()).catch(() => undefined)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    stop()
    void release().catch(() => undefined)
  })
  return { wants, problem, allow }
}
