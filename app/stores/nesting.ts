import { until } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import type { CutGroup } from '#core/plan'
import type { NestMeasure } from '#core/cut'
import { hired, WorkerGone } from '~/workers/hired'
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
  /** How many searches were begun or stopped: one that finds another number was stopped. */
  let searches = 0
  const nester = hired<NestWorker>(
    (name) => new Worker(new URL('../workers/nest.ts', import.meta.url), { type: 'module', name }),
  )

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
    nester.stop()
    searches += 1
    underWay.value = null
  }

  /** A job of which nothing more comes: there is no layout, or nobody to look for one. */
  const noteEnded = (key: string): void => {
    const none = { sheets: 0, paperMm2: 0, piecesMm2: 0 }
    const known = progress.value[key] ?? { untilMs: SEARCH_MS, first: none, now: none }
    note(key, { ...known, spentMs: known.untilMs })
  }

  function note(key: string, each: Progress): void {
    const entries = Object.entries(progress.value).filter(([other]) => other !== key)
    progress.value = Object.fromEntries([...entries, [key, each] as const].slice(-KEPT_LAYOUTS))
  }

  async function search(job: Search): Promise<void> {
    const mine = (searches += 1)
    underWay.value = job.key
    const first = await nester.ask((worker) => worker.begin(job.job, SEED))
    if (!first) {
      noteEnded(job.key)
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
      const better = await nester.ask((worker) => worker.improve(SLICE_MS))
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
      if (mine !== searches) return
    }
    stop()
  }

  /** Searches, unless it is stopped in the middle; where nobody can search, the layout stays as it is. */
  const searchOn = (job: Search): Promise<void> =>
    search(job).catch((reason: unknown) => {
      if (!(reason instanceof WorkerGone)) throw reason
      if (reason.why === 'stopped') return
      noteEnded(job.key)
      stop()
    })

  function next(): void {
    if (paused.value || !isLookedAt.value || underWay.value !== null) return
    const job = jobs.value.find((each) => !isDone(each))
    if (job) void searchOn(job).then(next)
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
