import { wrap, type Remote } from 'comlink'
import { until } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import type { CutGroup } from '#core/plan'
import type { NestMeasure } from '#core/cut'
import type { NestWorker } from '~/workers/nest'
import { useStudio } from './studio'

/** How long one job is searched unless more is asked for. */
const SEARCH_MS = 20_000
const SLICE_MS = 250
/** Time to draw sheets anew. */
const DRAWN_MS = 80
const KEPT_LAYOUTS = 24
const SEED = 1

type Search = NonNullable<CutGroup['search']>
type Progress = {
  readonly spentMs: number
  readonly untilMs: number
  readonly first: NestMeasure
  readonly now: NestMeasure
}

/**
 * Searches for closer layouts in the background, one job after the other, in a worker of its own.
 * What it finds goes into the plan; an edit that changes the job under way ends its search at once.
 */
export const useNesting = defineStore('nesting', () => {
  const studio = useStudio()
  const progress = shallowRef<Readonly<Record<string, Progress>>>({})
  const underWay = ref<string | null>(null)
  const paused = ref(false)
  const isLookedAt = ref(false)
  let worker: Worker | null = null
  let remote: Remote<NestWorker> | null = null

  const jobs = computed<readonly Search[]>(
    () => studio.plan?.groups.flatMap(({ search }) => (search ? [search] : [])) ?? [],
  )
  const isDone = ({ key }: Search): boolean => {
    const each = progress.value[key]
    return each !== undefined && each.spentMs >= each.untilMs
  }

  /**
   * Once what was found is planned and drawn: until then the search leaves the machine to the page, which would
   * otherwise answer late where cores are few.
   */
  async function isShown(): Promise<void> {
    await nextTick()
    await until(() => studio.isPlanning).toBe(false)
    await new Promise((resolve) => setTimeout(resolve, DRAWN_MS))
  }

  /** Ends the search under way; what it has found stays. */
  function stop(): void {
    worker?.terminate()
    worker = null
    remote = null
    underWay.value = null
  }

  function note(key: string, each: Progress): void {
    const entries = Object.entries(progress.value).filter(([other]) => other !== key)
    progress.value = Object.fromEntries([...entries, [key, each] as const].slice(-KEPT_LAYOUTS))
  }

  async function search(job: Search): Promise<void> {
    underWay.value = job.key
    worker = new Worker(new URL('../workers/nest.ts', import.meta.url), { type: 'module' })
    const own = (remote = wrap<NestWorker>(worker))
    const isOurs = (): boolean => remote === own
    const first = await own.begin(job.job, SEED)
    if (!isOurs()) return
    if (!first) {
      note(job.key, {
        spentMs: SEARCH_MS,
        untilMs: SEARCH_MS,
        first: { sheets: 0, paperMm2: 0, piecesMm2: 0 },
        now: { sheets: 0, paperMm2: 0, piecesMm2: 0 },
      })
      stop()
      return
    }
    const before = progress.value[job.key]
    let state: Progress = {
      spentMs: before?.spentMs ?? 0,
      untilMs: before?.untilMs ?? SEARCH_MS,
      first: before?.first ?? first.measure,
      now: first.measure,
    }
    if (!before) studio.nest({ [job.key]: first.layout })
    note(job.key, state)
    while (state.spentMs < (progress.value[job.key]?.untilMs ?? 0)) {
      const better = await own.improve(SLICE_MS)
      if (!isOurs()) return
      const known = progress.value[job.key]?.now ?? state.now
      const helps =
        better !== null &&
        (better.measure.sheets < known.sheets ||
          (better.measure.sheets === known.sheets && better.measure.paperMm2 < known.paperMm2))
      state = {
        ...state,
        untilMs: progress.value[job.key]!.untilMs,
        spentMs: state.spentMs + SLICE_MS,
        now: helps ? better.measure : known,
      }
      note(job.key, state)
      if (!helps) continue
      studio.nest({ [job.key]: better.layout })
      await isShown()
      if (!isOurs()) return
    }
    stop()
  }

  function next(): void {
    if (paused.value || !isLookedAt.value || underWay.value !== null) return
    const job = jobs.value.find((each) => !isDone(each))
    if (job) void search(job).then(next)
  }

  /** Searches a job for longer, after it was done. */
  function goOn(key: string): void {
    const each = progress.value[key]
    if (each) note(key, { ...each, untilMs: Math.max(each.untilMs, each.spentMs) + SEARCH_MS })
    paused.value = false
    next()
  }

  function pause(): void {
    paused.value = true
    stop()
  }

  /** Searches while layouts are looked at, and ends when they are not. */
  function look(at: boolean): void {
    isLookedAt.value = at
    if (at) next()
    else stop()
  }

  watch(jobs, (now) => {
    if (underWay.value !== null && !now.some(({ key }) => key === underWay.value)) stop()
    next()
  })

  return { progress, underWay, goOn, pause, look }
})
