import { applied, areEqual, changesBetween, takenBack, type Change } from '#core/change'
import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import { produce } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CommissionFile } from '#core/format/commissionFile'
import { freshBench } from '#core/ledger'
import { type Nested, type Plan, type PlanInputs, type TallyId } from '#core/plan'
import type { Moment } from '#core/quantity'
import { beginAnew } from '~/composables/perCommission'
import { wallClockAt } from '~/composables/wallClock'
import { broughtUp, StudioDatabase, type KeptEdit } from '~/database/database'
import {
  addCommission,
  archiveCommission,
  keptCommission,
  listCommissions,
  openCommission,
  removeCommission,
  restoreCommission,
  saveChanges,
  type Kept,
  type Listed,
} from '~/database/keeping'
import { laidAside, layAside, letGo, type OnTheWay } from '~/database/onTheWay'
import { differencesBetween, type Difference } from './differences'
import { belongsTo, goneOn, hourFor, lastDone, nextUndone, undoneAfterLast, withEdit, type History } from './history'
import { NONE_TAKEN, takenByOthers, type TakenByOthers } from './otherCommissions'
import { planner } from './planning'
import { afterPress } from './underTheFinger'
import type { Tried } from '~/workers/plan'
import { usePreferences, type StudioName } from './preferences'
import { startingWorkshop } from './startingWorkshop'

/** What an edit may change. */
export type Studio = { commission: Commission; workshop: Workshop }

/** Said once, when data of an older version has been brought up. */
const FORGOTTEN = 'Everything you planned is here in its new form. Edits made before today can no longer be undone.'
const DIFFERENCE_SHOWN_MS = 6000
const SAME_EDIT_MS = 900
const MOST_LAYOUTS = 24
/** Said when somebody else has changed the same. */
const ALSO_ELSEWHERE = 'Another window had changed the same; what was done here last stands now.'
const NOWHERE = 'What the last edit was about was taken away in another window.'
const KEPT_AS_IS = 'Part of that was changed since; it stays as it is now.'
const REMOVED = 'This commission was removed in another window.'

/** The minute it is on the wall. */
const thisMinute = (): Moment => Math.floor(wallClockAt(Date.now()))

export const useStudio = defineStore('studio', () => {
  const preferences = usePreferences()
  /** The demo is a studio of its own: what is done in it never touches the user's, and goes when it is put away. */
  const databases: Readonly<Record<StudioName, StudioDatabase>> = {
    own: new StudioDatabase(),
    demo: new StudioDatabase('lamellon-demo'),
  }
  const database = (): StudioDatabase => databases[preferences.studio]
  const beginning = (): Promise<Workshop> => startingWorkshop(preferences.studio, now.value)
  const tabs = new BroadcastChannel('lamellon')
  const state = shallowRef<Studio | null>(null)
  const plan = shallowRef<Plan | null>(null)
  const listed = shallowRef<readonly Listed[]>([])
  const history = shallowRef<History>([])
  const differences = shallowRef<Partial<Record<TallyId, Difference>>>({})
  const notice = ref('')
  const now = ref(thisMinute())
  /** How often what is shown was saved, here or elsewhere. */
  let seen = { revision: 0, workshopRevision: 0 }
  let lastEdit = { merge: '', at: 0 }
  let saving = Promise.resolve()
  /** What does not lie in the database yet, in the order it was done. */
  const waiting = shallowRef<readonly OnTheWay[]>([])
  let differenceTimer = 0
  let editedSincePlan = false
  /** Layouts that searches have found; the last ones are kept. */
  const nested = shallowRef<Nested>({})
  /** Whether figures are being worked out: what is shown is not of the last edit yet. */
  const isPlanning = ref(false)
  /** Whether there is nothing to open yet. */
  const isEmpty = ref(false)

  const question = (): PlanInputs => ({
    ...state.value!,
    now: now.value,
    units: preferences.units,
    nested: nested.value,
    others: others.value.hours.map(({ from, to }) => ({ from, to })),
  })

  const others = shallowRef<TakenByOthers>(NONE_TAKEN)
  const { ask, once, tried, taken } = planner(
    afterPress(window, (answer: Plan) => {
      if (plan.value && editedSincePlan) showDifferences(plan.value, answer)
      editedSincePlan = false
      plan.value = answer
      isPlanning.value = false
    }),
    (reason) => {
      isPlanning.value = false
      notice.value = `The plan could not be worked out: ${String(reason)}. Undo the last edit, or reload.`
    },
  )

  watch([state, now, () => preferences.units, nested], () => {
    if (!state.value) return
    isPlanning.value = true
    ask(question())
  })

  /** Takes closer layouts into the plan. */
  function nest(found: Nested): void {
    const kept = Object.entries(nested.value)
      .filter(([key]) => !(key in found))
      .slice(1 - MOST_LAYOUTS)
    nested.value = { ...Object.fromEntries(kept), ...found }
  }

  function showDifferences(before: Plan, after: Plan): void {
    differences.value = differencesBetween(before.tally, after.tally, preferences.units)
    window.clearTimeout(differenceTimer)
    differenceTimer = window.setTimeout(() => {
      differences.value = {}
    }, DIFFERENCE_SHOWN_MS)
  }

  /** A commission as the studio keeps it, without opening it. */
  const peek = async (id: string): Promise<Commission | null> =>
    (await keptCommission(database(), id, await beginning()))?.commission ?? null

  async function open(id: string): Promise<boolean> {
    await saving
    const opened = await openCommission(database(), id, await beginning())
    if (!opened) return false
    const { commission, workshop } = opened
    history.value = opened.history
    listed.value = await listCommissions(database())
    others.value = await takenByOthers(commission, listed.value, peek, (other) =>
      taken({ commission: other, workshop, now: now.value, units: preferences.units }),
    )
    if (state.value?.commission.id !== id) {
      plan.value = null
      beginAnew()
    }
    differences.value = {}
    lastEdit = { merge: '', at: 0 }
    isEmpty.value = false
    seen = opened
    state.value = { commission, workshop }
    preferences.lastCommission = id
    return true
  }

  /** Takes the hour from the clock; after sleep the minute's own beat comes late. @returns the hour it is */
  function tick(): Moment {
    const hour = thisMinute()
    if (hour !== now.value) now.value = hour
    return hour
  }

  /** Begins with the studio that was open last. */
  async function begin(): Promise<void> {
    window.setInterval(tick, 60000)
    tabs.onmessage = ({ data }: MessageEvent<StudioName>) => {
      if (data === preferences.studio) saving = saving.then(takeOver)
    }
    await saveLaidAside()
    await enter(preferences.studio)
  }

  /** Saves what pages that were closed in the middle had laid aside. */
  async function saveLaidAside(): Promise<void> {
    for (const { name, waiting: left } of laidAside()) {
      try {
        for (const { studio, ...save } of left) {
          await broughtUp(databases[studio])
          const beginsWith = await startingWorkshop(studio, now.value)
          await saveChanges(databases[studio], { ...save, beginning: beginsWith, now: Date.now() })
        }
      } catch (reason) {
        // It must not keep the studio from opening.
        notice.value = `What was done as the page was closed last could not be saved: ${String(reason)}.`
      }
      letGo(name)
    }
  }

  /** Opens a studio where it was left. The demo is laid out when it is not there; an own one may be empty. */
  async function enter(name: StudioName): Promise<void> {
    await saving
    preferences.studio = name
    if (await broughtUp(database())) notice.value = FORGOTTEN
    if (preferences.lastCommission !== '' && (await open(preferences.lastCommission))) return
    const latest = (await listCommissions(database())).find(({ archived }) => !archived)
    if (latest && (await open(latest.id))) return
    if (name === 'demo') await layOutDemo()
    else await close()
  }

  /** Nothing is open: the studio has no commission that is not put away. */
  async function close(): Promise<void> {
    state.value = null
    plan.value = null
    history.value = []
    differences.value = {}
    others.value = NONE_TAKEN
    listed.value = await listCommissions(database())
    isEmpty.value = true
  }

  async function layOutDemo(): Promise<void> {
    const { demoCommission, lanternRow } = await import('#core/demo')
    const finished = lanternRow(now.value)
    const demo = demoCommission(now.value)
    await addCommission(database(), finished, Date.now() - 1)
    await archiveCommission(database(), finished.id, true)
    await addCommission(database(), demo, Date.now())
    await open(demo.id)
  }

  /** Puts the demo away with all that was done in it, and opens the user's own studio. */
  async function putDemoAway(): Promise<void> {
    await enter('own')
    await databases.demo.delete({ disableAutoOpen: false })
  }

  /** Puts a new commission into the studio and opens it; `change` is what the studio has besides. */
  async function start(commission: Commission, change: (workshop: Workshop) => void = () => undefined): Promise<void> {
    await saving
    await addCommission(database(), commission, Date.now())
    await open(commission.id)
    edit('what is at home', ({ workshop }) => change(workshop))
    await saving
  }

  /**
   * Takes a checked file into the studio; a commission of the same id is changed, as an edit that can be taken back.
   */
  async function take(file: CommissionFile, withWorkshop: boolean): Promise<void> {
    if (!(await openCommission(database(), file.commission.id, await beginning())))
      await addCommission(database(), file.commission, Date.now())
    await open(file.commission.id)
    edit('open file', (studio) => {
      studio.commission = file.commission
      if (withWorkshop) studio.workshop = file.workshop
    })
    await saving
  }

  /** What would come of a change, without making it. */
  const attempt = (change: (draft: { commission: Commission; workshop: Workshop }) => void): Promise<Tried> =>
    tried({
      ...question(),
      ...produce({ commission: state.value!.commission, workshop: state.value!.workshop }, change),
    })
  /** The plan of a commission with this workshop, beside the one that is shown. */
  const planOf = (commission: Commission): Promise<Plan> => once({ ...question(), commission })

  const refreshList = async (): Promise<void> => {
    listed.value = await listCommissions(database())
  }

  /** Puts a copy of a commission beside it, with a name that says so; nothing was done of it yet. */
  async function copy(id: string): Promise<void> {
    const original = await peek(id)
    if (!original) return
    await addCommission(
      database(),
      {
        ...original,
        bench: freshBench(),
        id: crypto.randomUUID(),
        brief: { ...original.brief, name: `${original.brief.name.slice(0, 70)}, copy` },
      },
      Date.now(),
    )
    await refreshList()
  }

  async function archive(id: string, archived: boolean): Promise<void> {
    await archiveCommission(database(), id, archived)
    await refreshList()
  }

  /** Brings back the commission that was removed last. */
  async function bringBack(): Promise<void> {
    const id = await restoreCommission(database())
    if (id) await open(id)
  }

  async function remove(id: string): Promise<void> {
    await removeCommission(database(), id)
    tabs.postMessage(preferences.studio)
    await refreshList()
    if (state.value?.commission.id === id) await openNext()
  }

  /** Opens what was saved last, after the commission that was open is gone. */
  async function openNext(): Promise<void> {
    waiting.value = []
    const next = listed.value.find(({ archived }) => !archived)
    if (next) await open(next.id)
    else await enter(preferences.studio)
  }

  /**
   * Changes commission or workshop. The change is saved and can be taken back.
   * @param label what was done, for undo
   * @param merge edits with the same mark in quick succession, such as a slider's, are taken back together
   */
  function edit(label: string, recipe: (studio: Studio) => void, merge = ''): void {
    if (!state.value) return
    const next = produce(state.value, (draft) => recipe(draft as Studio))
    const changes = changesBetween(state.value, next)
    if (changes.length === 0) return
    const at = Date.now()
    const last = lastDone(history.value)
    const forgotten = undoneAfterLast(history.value)
    const goesOn =
      merge !== '' &&
      merge === lastEdit.merge &&
      at - lastEdit.at < SAME_EDIT_MS &&
      forgotten.length === 0 &&
      last !== undefined
    const made: KeptEdit = goesOn
      ? { ...last, changes: goneOn(last.changes, changes) }
      : {
          id: crypto.randomUUID(),
          of: belongsTo(next.commission.id, changes),
          at: hourFor(history.value, at),
          label,
          undone: false,
          changes,
        }
    lastEdit = { merge, at }
    history.value = withEdit(
      history.value.filter((each) => !forgotten.includes(each)),
      made,
    )
    moveTo(next, changes, made, forgotten)
  }

  /** Shows a new state and saves what led to it. */
  function moveTo(next: Studio, changes: readonly Change[], edit: KeptEdit, forgotten: History = []): void {
    editedSincePlan = true
    state.value = next
    const save = { commissionId: next.commission.id, changes, edit, forgotten: forgotten.map(({ id }) => id) }
    waiting.value = [...waiting.value, { ...save, studio: preferences.studio }]
    saving = saving.then(saveWaiting).catch((reason: unknown) => {
      notice.value = `The last edit could not be saved: ${String(reason)}. Save the commission to a file before you close this page.`
    })
  }

  /** Saves what waits, one after another. What could not be saved waits on, and is tried again with the next edit. */
  async function saveWaiting(): Promise<void> {
    for (;;) {
      const [first] = waiting.value
      if (!first) return layAside([])
      const { studio, ...save } = first
      const saved = await saveChanges(databases[studio], { ...save, beginning: await beginning(), now: Date.now() })
      if ('code' in saved) return leaveRemoved()
      waiting.value = waiting.value.slice(1)
      if (saved.lost.length > 0) notice.value = NOWHERE
      else if (saved.met.length > 0) notice.value = ALSO_ELSEWHERE
      if (state.value?.commission.id === save.commissionId) showKept(saved, save.changes)
      tabs.postMessage(studio)
    }
  }

  /** Shows what is kept with what waits laid over it, where somebody else has changed it. */
  function showKept(kept: Kept, own: readonly Change[] = []): void {
    const touches = (part: string): number => (own.some(({ path }) => path[0] === part) ? 1 : 0)
    const isOwn =
      kept.revision === seen.revision + touches('commission') &&
      kept.workshopRevision === seen.workshopRevision + touches('workshop')
    seen = kept
    if (isOwn) return
    const { commission, workshop } = kept
    const laid = waiting.value
      .filter(({ commissionId }) => commissionId === commission.id)
      .reduce((now, { changes }) => applied(now, changes, 'over').state, { commission, workshop })
    if (!areEqual(state.value, laid)) state.value = laid
  }

  /** Takes over what another window has saved. */
  async function takeOver(): Promise<void> {
    await refreshList()
    const id = state.value?.commission.id
    if (id === undefined) return
    const kept = await keptCommission(database(), id, await beginning())
    if (kept) showKept(kept)
    else await leaveRemoved()
  }

  async function leaveRemoved(): Promise<void> {
    notice.value = REMOVED
    await refreshList()
    saving = Promise.resolve()
    await openNext()
  }

  const undoable = computed(() => lastDone(history.value))
  const redoable = computed(() => nextUndone(history.value))

  /** Makes changes again, or takes them back, where nobody has changed the same since. */
  function turn(edit: KeptEdit, changes: readonly Change[], undone: boolean): void {
    if (!state.value) return
    const { state: next, lost } = applied(state.value, changes, 'untouched')
    if (lost.length > 0) notice.value = KEPT_AS_IS
    lastEdit = { merge: '', at: 0 }
    const turned = { ...edit, undone }
    history.value = withEdit(history.value, turned)
    moveTo(next, changesBetween(state.value, next), turned)
  }

  function undo(): void {
    if (undoable.value) turn(undoable.value, takenBack(undoable.value.changes), true)
  }

  function redo(): void {
    if (redoable.value) turn(redoable.value, redoable.value.changes, false)
  }

  return {
    state,
    plan,
    isPlanning,
    unsaved: computed(() => waiting.value.length),
    listed,
    differences,
    notice,
    now,
    canUndo: computed(() => undoable.value !== undefined),
    canRedo: computed(() => redoable.value !== undefined),
    commission: computed(() => state.value?.commission ?? null),
    workshop: computed(() => state.value?.workshop ?? null),
    undoLabel: computed(() => undoable.value?.label ?? ''),
    redoLabel: computed(() => redoable.value?.label ?? ''),
    /** Hours at which hands are at other commissions. */
    others: computed(() => others.value.hours),
    /** How much of each item those before this one keep. */
    reserved: computed(() => others.value.kept),
    attempt,
    nest,
    begin,
    tick,
    open,
    /** Lays aside what is on its way to the database: the page is closed. */
    layAside: (): void => layAside(waiting.value),
    isDemo: computed(() => preferences.studio === 'demo'),
    isEmpty,
    isOpen: computed(() => isEmpty.value || plan.value !== null),
    enter,
    putDemoAway,
    start,
    take,
    peek,
    planOf,
    copy,
    archive,
    bringBack,
    remove,
    edit,
    undo,
    redo,
  }
})
