import type { Workshop } from '#core/workshop'
import { useIntervalFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import {
  begun,
  counted,
  done,
  freshBench,
  minutesLeft,
  paused,
  recut,
  reopened,
  skipped,
  type Bench,
  type BenchTimer,
} from '#core/ledger'
import {
  countedParts,
  dryingOf,
  formerBoard,
  nextCard,
  partsOf,
  runOf,
  shortages,
  stepCards,
  type OnFormer,
  type Shortage,
  type StepCard,
} from '#core/make'
import { usePreferences } from './preferences'
import { useStudio } from './studio'

/** The bench: what is to be done, what was, and what of it goes into the ledger. */
export const useBench = defineStore('bench', () => {
  const studio = useStudio()
  const preferences = usePreferences()
  /** The clock of this machine, ms; it goes on by the second while the bench is looked at. */
  const nowMs = ref(Date.now())
  const { pause: stopClock, resume } = useIntervalFn(
    () => {
      nowMs.value = Date.now()
      studio.tick()
    },
    1000,
    { immediate: false },
  )

  const bench = computed<Bench>(() => studio.commission?.bench ?? freshBench())
  const cards = computed<readonly StepCard[]>(() =>
    studio.plan && studio.commission
      ? stepCards({ plan: studio.plan, commission: studio.commission, units: preferences.units })
      : [],
  )
  /** A card that was taken out of turn, until it is done or another is taken. */
  const taken = ref('')
  /** The card that is shown: the timetable moves by the minute, and must not change it under somebody's finger. */
  const held = ref('')
  const openCard = (task: string): StepCard | undefined =>
    cards.value.find((card) => card.task === task && (card.record?.doneAt ?? null) === null)
  const now = computed<StepCard | null>(
    () => openCard(taken.value) ?? openCard(held.value) ?? nextCard(cards.value, bench.value),
  )
  watch(now, (card) => (held.value = card?.task ?? ''), { immediate: true, flush: 'sync' })
  const parts = computed(() => (studio.plan ? countedParts(studio.plan, bench.value) : []))
  const short = computed<readonly Shortage[]>(() => (studio.plan ? shortages(studio.plan, bench.value) : []))
  const board = computed<readonly OnFormer[]>(() => (studio.plan ? formerBoard(studio.plan, bench.value) : []))
  const timers = computed(() =>
    bench.value.timers
      .filter(({ stopped }) => !stopped)
      .map((timer) => ({ ...timer, left: minutesLeft(timer, nowMs.value) }))
      .sort((one, other) => one.left - other.left),
  )

  /** Whoever comes to the bench sees what is to be done by then. */
  function startClock(): void {
    held.value = ''
    resume()
  }

  /** Changes what happened, and what the ledger learns from it, as one edit. */
  function change(
    label: string,
    next: (before: Bench) => Bench,
    learns?: (workshop: Workshop) => void,
    merge = '',
  ): void {
    studio.tick()
    const before = bench.value
    studio.edit(
      label,
      (draft) => {
        // Field by field, so that a tap does not put every photograph into the history.
        const after = next(before)
        for (const field of Object.keys(after) as (keyof Bench)[])
          if (after[field] !== before[field]) Object.assign(draft.commission.bench, { [field]: after[field] })
        learns?.(draft.workshop)
      },
      merge,
    )
  }

  /** The plan as it is before the first step, to look back at. */
  function plannedNow(): Bench['planned'] {
    const plan = studio.plan!
    const figure = (id: string): number => plan.tally.find((each) => each.id === id)?.working?.value ?? 0
    const all = partsOf(plan, bench.value)
    const pieces = all.reduce((sum, { cut }) => sum + cut, 0)
    return {
      at: studio.now,
      startBy: plan.timetable.ok ? plan.timetable.value.startBy : null,
      handsMin: plan.work.total.value,
      sheets: figure('paper'),
      pieces,
      spares: pieces - all.reduce((sum, { needed }) => sum + needed, 0),
      cost: plan.cost.value,
    }
  }

  const withTimer = (before: Bench, timer: Omit<BenchTimer, 'id' | 'beganMs' | 'stopped'>): Bench => ({
    ...before,
    timers: [
      ...before.timers.filter(({ stopped }) => !stopped).slice(-50),
      { ...timer, id: crypto.randomUUID(), beganMs: Date.now(), stopped: false },
    ],
  })

  function begin(card: StepCard): void {
    taken.value = card.task
    change(`begin: ${card.name}`, (before) =>
      begun({ ...before, planned: before.planned ?? plannedNow() }, card, studio.now),
    )
  }

  /**
   * A step is done: pieces that came out finished and were not counted are good, its rest begins, and the ledger has
   * its minutes.
   */
  function finish(card: StepCard): void {
    const at = studio.tick()
    let next = done({ ...bench.value, planned: bench.value.planned ?? plannedNow() }, card, at)
    if (card.counts?.finishes) next = { ...next, counts: { ...next.counts, ...goodOf(card, next) } }
    if (card.rest) next = withTimer(next, { name: card.rest.name, task: card.task, minutes: card.rest.minutes })
    const lifted = board.value.find(({ lift }) => lift === card.task)
    next = {
      ...next,
      timers: next.timers.map((timer) =>
        timer.task === card.task && timer.name !== card.rest?.name
          ? { ...timer, stopped: true }
          : lifted && timer.task === lifted.task
            ? { ...timer, stopped: true }
            : timer,
      ),
    }
    taken.value = ''
    change(
      `done: ${card.name}`,
      () => next,
      (workshop) => {
        const { technique } = card.counts ?? { technique: '' }
        const own = parts.value.filter(({ of }) => techniqueIn(of) === technique).map(({ id }) => id)
        // Done anew after it was opened again: it counts once.
        const told = workshop.runs.findIndex(
          ({ commission, name }) => commission === studio.commission!.id && name === card.name,
        )
        if (told >= 0) workshop.runs.splice(told, 1)
        const run = runOf(card, next, own, workshop.runs, about(), at)
        if (run) workshop.runs.push(run)
        if (lifted) tellDry(workshop, lifted, at)
      },
    )
  }

  /** Pieces in hand that have not been called good or broken are good. */
  function goodOf({ counts }: StepCard, { counts: before }: Bench): Bench['counts'] {
    const before0 = { good: 0, broken: 0 }
    return Object.fromEntries(
      counts!.parts.map(({ id, many }) => {
        const { good, broken } = before[id] ?? before0
        const part = parts.value.find((each) => each.id === id)!
        return [id, { broken, good: Math.max(good, Math.min(part.cut - broken, good + many)) }]
      }),
    )
  }

  const techniqueIn = (of: string): string | undefined =>
    studio.plan!.decorations.find(({ id }) => id === of)?.technique

  const about = (): { readonly commission: string; readonly room: string; readonly id: string } => ({
    commission: studio.commission!.id,
    room: studio.workshop!.room,
    id: crypto.randomUUID(),
  })

  function tellDry(workshop: Workshop, on: OnFormer, at: number): void {
    const soaked = studio.plan!.decorations.find(({ id }) => id === on.soaked)
    if (!soaked) return
    const trial = dryingOf(on, soaked, studio.commission!.brief.workroom, about(), at)
    if (trial) workshop.dryingTrials.push(trial)
  }

  return {
    bench,
    cards,
    now,
    parts,
    short,
    board,
    timers,
    nowMs,
    startClock,
    stopClock,
    change,
    begin,
    finish,
    take: (task: string): void => {
      taken.value = task
    },
    pause: (card: StepCard): void =>
      change(`put down: ${card.name}`, (before) => paused(before, card.task, studio.now)),
    goOn: (card: StepCard): void => change(`go on: ${card.name}`, (before) => begun(before, card, studio.now)),
    skip: (card: StepCard, why: string): void => {
      taken.value = ''
      change(`leave out: ${card.name}`, (before) => skipped(before, card, studio.now, why))
    },
    reopen: (card: StepCard): void => {
      taken.value = card.task
      change(`open again: ${card.name}`, (before) => reopened(before, card.task, studio.now))
    },
    count: (part: string, what: 'good' | 'broken', by: number): void =>
      change(by > 0 ? `one ${what}` : `one less ${what}`, (before) => counted(before, part, what, by)),
    cutAgain: ({ part, many, from }: Shortage): void =>
      change(`cut ${many} again`, (before) =>
        recut(before, { id: `again-${crypto.randomUUID().slice(0, 8)}`, part: part.id, many, at: studio.now, from }),
      ),
    startTimer: (card: StepCard, timer: { readonly name: string; readonly minutes: number }): void =>
      change(`timer: ${timer.name}`, (before) => withTimer(before, { ...timer, task: card.task })),
    stopTimer: (id: string): void =>
      change('stop a timer', (before) => ({
        ...before,
        timers: before.timers.map((timer) => (timer.id === id ? { ...timer, stopped: true } : timer)),
      })),
    /** Felt now: soft still, or ready. */
    stillSoft: (on: OnFormer): void =>
      change(`still soft: ${on.name}`, (before) => ({
        ...before,
        felt: { ...before.felt, [on.task]: Math.max(1, studio.now - on.since) },
      })),
    isReady: (on: OnFormer): void =>
      change(
        `ready: ${on.name}`,
        (before) => ({
          ...before,
          felt: { ...before.felt, [`${on.task} ready`]: Math.max(1, studio.now - on.since) },
          timers: before.timers.map((timer) => (timer.task === on.task ? { ...timer, stopped: true } : timer)),
        }),
        (workshop) => tellDry(workshop, on, studio.now),
      ),
  }
})
