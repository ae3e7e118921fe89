import { until } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import type { CutGroup } from '#core/plan'
import { faultsOf, isLess, leastOf, type NestLayout, type NestMeasure } from '#core/cut'
import { LayoutDatabase } from '~/database/layouts'
import { hired, WorkerGone } from '~/workers/hired'
import type { NestWorker } from '~/workers/nest'
import { usePreferences } from './preferences'
import { useStudio } from './studio'

/** How long one job is searched unless more is asked for. */
const SEARCH_MS = 20_000
const SLICE_MS = 250
/** Time to draw sheets anew. */
const DRAWN_MS = 80
/** How often it is kept how far a search came. */
const KEPT_MS = 1000
const KEPT_LAYOUTS = 24
/** One search, and a second with another seed where the page, its plans and the machine leave a core for it. */
const SEEDS = navigator.hardwareConcurrency > 3 ? [1, 2] : [1]

type Search = NonNullable<CutGroup['search']>
type Progress = {
  readonly spentMs: number
  readonly untilMs: number
  readonly first: NestMeasure
  readonly now: NestMeasure
}

/**
 * Searches for closer layouts in the background, one job after the other, in workers of their own.
 * What it finds goes into the plan; an edit that changes the job under way ends its search at once.
 */
export const useNesting = defineStore('nesting', () => {
  const studio = useStudio()
  const preferences = usePreferences()
  const progress = shallowRef<Readonly<Record<string, Progress>>>({})
  const underWay = ref<string | null>(null)
  const isPaused = computed(() => preferences.layCloser === 'no')
  const isLookedAt = ref(false)
  const database = new LayoutDatabase()
  /** The best layout of each job so far. */
  const layouts = new Map<string, NestLayout>()
  /** Jobs that are or were looked for among the layouts that are kept. */
  const lookedFor = new Map<string, Promise<void>>()
  /** How many searches were begun or stopped: one that finds another number was stopped. */
  let searches = 0
  const searchers = SEEDS.map((seed) => ({
    seed,
    nester: hired<NestWorker>(
      (name) => new Worker(new URL('../workers/nest.ts', import.meta.url), { type: 'module', name }),
    ),
  }))

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

  /** Ends the search under way; what it has found stays, and how far it came. */
  function stop(): void {
    const key = underWay.value
    if (key !== null && layouts.has(key)) keep(key, progress.value[key]!)
    for (const { nester } of searchers) nester.stop()
    searches += 1
    underWay.value = null
  }

  /** A job of which nothing more comes: there is no layout, or nobody to look for one. */
  const noteEnded = (key: string): void => {
    const none = { sheets: 0, openedMm2: 0, paperMm2: 0, piecesMm2: 0 }
    const known = progress.value[key] ?? { untilMs: SEARCH_MS, first: none, now: none }
    note(key, { ...known, spentMs: known.untilMs })
  }

  function note(key: string, each: Progress): void {
    const entries = Object.entries(progress.value).filter(([other]) => other !== key)
    progress.value = Object.fromEntries([...entries, [key, each] as const].slice(-KEPT_LAYOUTS))
  }

  /** Layouts are found again where the browser keeps any; else they are searched anew. */
  const keep = (key: string, each: Progress): void =>
    void database.keep({ key, at: Date.now(), layout: layouts.get(key)!, ...each }).catch(() => undefined)

  /** Plans with a layout from now on. */
  function show(key: string, layout: NestLayout): void {
    layouts.set(key, layout)
    studio.nest({ [key]: layout })
  }

  /** Takes up what was found of a job before the page was opened. */
  async function foundBefore({ key, job }: Search): Promise<void> {
    const kept = await database.layouts.get(key).catch(() => undefined)
    if (!kept || progress.value[key] || faultsOf(job, kept.layout).length > 0) return
    const { layout, spentMs, untilMs, first, now } = kept
    show(key, layout)
    note(key, { spentMs, untilMs, first, now })
  }

  function takeUp(job: Search): Promise<void> {
    const looking = lookedFor.get(job.key) ?? foundBefore(job)
    lookedFor.set(job.key, looking)
    return looking
  }

  async function search(job: Search): Promise<void> {
    const mine = (searches += 1)
    underWay.value = job.key
    await takeUp(job)
    if (mine !== searches) return
    if (isDone(job)) return stop()
    const first = leastOf(
      await Promise.all(searchers.map(({ seed, nester }) => nester.ask((worker) => worker.begin(job.job, seed)))),
    )
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
      now: before?.now ?? first.measure,
    }
    if (!before) show(job.key, first.layout)
    note(job.key, state)
    keep(job.key, state)
    while (state.spentMs < (progress.value[job.key]?.untilMs ?? 0)) {
      const better = leastOf(
        await Promise.all(searchers.map(({ nester }) => nester.ask((worker) => worker.improve(SLICE_MS)))),
      )
      const known = progress.value[job.key]?.now ?? state.now
      const helps = better !== null && isLess(better.measure, known)
      state = {
        ...state,
        untilMs: progress.value[job.key]!.untilMs,
        spentMs: state.spentMs + SLICE_MS,
        now: helps ? better.measure : known,
      }
      note(job.key, state)
      if (helps) show(job.key, better.layout)
      if (helps || state.spentMs % KEPT_MS === 0) keep(job.key, state)
      if (!helps) continue
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
    if (isPaused.value || !isLookedAt.value || underWay.value !== null) return
    const job = jobs.value.find((each) => !isDone(each))
    if (job) void searchOn(job).then(next)
  }

  /** Searches a job for longer, after it was done, and others again after all were stopped. */
  function goOn(key: string): void {
    const each = progress.value[key]
    if (each) note(key, { ...each, untilMs: Math.max(each.untilMs, each.spentMs) + SEARCH_MS })
    preferences.layCloser = 'yes'
    next()
  }

  /** Stops all searches until one is asked for. */
  function pause(): void {
    preferences.layCloser = 'no'
    stop()
  }

  /** Searches while layouts are looked at, and ends when they are not. */
  function look(at: boolean): void {
    isLookedAt.value = at
    if (at) next()
    else stop()
  }

  watch(
    jobs,
    (now) => {
      for (const job of now) void takeUp(job)
    },
    { immediate: true },
  )
  watch(jobs, (now) => {
    if (underWay.value !== null && !now.some(({ key }) => key === underWay.value)) stop()
    next()
  })

  return { progress, underWay, isPaused, goOn, pause, look }
})
