import { applied, areEqual, changesBetween, takenBack, type Change } from '#core/change'
import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import { produce } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CommissionFile } from '#core/format/commissionFile'
import type { Nested, Plan, PlanInputs } from '#core/plan'
import type { Moment } from '#core/quantity'
import { beginAnew } from '~/composables/perCommission'
import { wallClockAt } from '~/composables/wallClock'
import { broughtUp, StudioDatabase, type KeptEdit, type SetAside } from '~/database/database'
import {
  addCommission,
  archiveCommission,
  keptCommission,
  listCommissions,
  openCommission,
  removeCommission,
  type Kept,
  type Listed,
  type Saved,
} from '~/database/keeping'
import type { OnTheWay } from '~/database/onTheWay'
import { listSetAside, oddNumberIn, setCommissionAside, setWorkshopAside } from '~/database/setAside'
import { belongsTo, goneOn, hourFor, lastDone, nextUndone, undoneAfterLast, withEdit, type History } from './history'
import { othersOf } from './otherCommissions'
import { figuresOf } from './figures'
import { savingInto } from './saving'
import { spareOf } from './spare'
import { openingTrouble } from './trouble'
import type { Tried } from '~/workers/plan'
import { usePreferences, type StudioName } from './preferences'
import { startingWorkshop } from './startingWorkshop'

/** What an edit may change. */
export type Studio = { commission: Commission; workshop: Workshop }

/** Said once, when data of an older version has been brought up. */
const FORGOTTEN = 'Everything you planned is here in its new form. Edits made before today can no longer be undone.'
const SAME_EDIT_MS = 900
const MOST_LAYOUTS = 24
/** Said when somebody else has changed the same. */
const ALSO_ELSEWHERE = 'Another window had changed the same; what was done here last stands now.'
const NOWHERE = 'What the last edit was about was taken away in another window.'
const KEPT_AS_IS = 'Part of that was changed since; it stays as it is now.'
const REMOVED = 'This commission was removed in another window.'

const leftOut = (names: readonly string[]): string =>
  `${names.map((name) => `“${name}”`).join(', ')} could not be worked out; its hours and stock are left out here.`

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
  /** The demo has none: it is laid out anew. */
  const spare = spareOf(databases.own)
  const beginning = (of: StudioName = preferences.studio): Promise<Workshop> => startingWorkshop(of, now.value)
  const tabs = new BroadcastChannel('lamellon')
  const state = shallowRef<Studio | null>(null)
  const listed = shallowRef<readonly Listed[]>([])
  const history = shallowRef<History>([])
  /** What went otherwise than was wished; it is said until something else is done. */
  const notice = ref('')
  /** Records that do not hold together. */
  const setAside = shallowRef<readonly SetAside[]>([])
  /** The commission of which it was asked whether it holds together. */
  let looked = ''
  const now = ref(thisMinute())
  /** How often what is shown was saved, here or elsewhere. */
  let seen = { revision: 0, workshopRevision: 0 }
  let lastEdit = { merge: '', at: 0 }
  /** Layouts that searches have found; the last ones are kept. */
  const nested = shallowRef<Nested>({})
  /** Whether there is nothing to open yet. */
  const isEmpty = ref(false)

  const question = (): PlanInputs => ({
    ...state.value!,
    now: now.value,
    units: preferences.units,
    nested: nested.value,
    others: others.taken.value.hours.map(({ from, to }) => ({ from, to })),
  })

  const { plan, tally, isPlanning, trouble, differences, askAnew, edited, clear, once, tried, taken, faults, stop } =
    figuresOf(
      () => (state.value ? question() : null),
      () => {
        void lookThrough()
        if (preferences.studio === 'own') void spare.follow()
      },
    )

  async function putAside(id: string, why: readonly string[]): Promise<void> {
    const name = await setCommissionAside(database(), id, why, Date.now())
    await refreshList()
    notice.value = `“${name}” does not hold together and was set aside. It lies on the shelf.`
  }

  /**
   * Once a commission is opened: whether it holds together. Where it does not, it is set aside, and the next one opened.
   */
  async function lookThrough(): Promise<void> {
    const id = state.value?.commission.id
    if (id === undefined || looked === id) return
    looked = id
    const found = await faults(question()).catch(() => null)
    if (!found) looked = ''
    else if (found.commission.length > 0) {
      await saving.settled()
      await putAside(id, found.commission)
      if (state.value?.commission.id === id) await openNext(id)
    } else if (found.workshop.length > 0) {
      await setWorkshopAside(database(), found.workshop, Date.now())
      await open(id)
      notice.value = 'The workshop did not hold together and was set aside; it is as it began. It lies on the shelf.'
    }
  }

  /** Takes closer layouts into the plan. */
  function nest(found: Nested): void {
    const kept = Object.entries(nested.value)
      .filter(([key]) => !(key in found))
      .slice(1 - MOST_LAYOUTS)
    nested.value = { ...Object.fromEntries(kept), ...found }
  }

  /** The workshop as it is kept, also where nothing is open. */
  const keptWorkshop = async (): Promise<Workshop> =>
    (await database().workshop.get('workshop'))?.workshop ?? (await beginning())

  /** A commission as the studio keeps it, without opening it. */
  const peek = async (id: string): Promise<Commission | null> =>
    (await keptCommission(database(), id, await beginning()))?.commission ?? null
  const others = othersOf(peek, (commission, workshop) =>
    taken({ commission, workshop, now: now.value, units: preferences.units }),
  )
  watch([state, now, () => preferences.units, nested, others.taken], askAnew)

  async function open(id: string): Promise<boolean> {
    await saving.settled()
    await refreshList()
    const opened = await openCommission(database(), id, await beginning())
    if (!opened) return false
    const odd = oddNumberIn(opened.commission)
    if (odd !== null) {
      await putAside(id, [`${odd}: a number is expected`])
      return false
    }
    const { commission, workshop } = opened
    history.value = opened.history
    if (state.value?.commission.id !== id) {
      clear()
      looked = ''
      beginAnew()
    }
    differences.value = {}
    lastEdit = { merge: '', at: 0 }
    isEmpty.value = false
    seen = opened
    state.value = { commission, workshop }
    preferences.lastCommission = id
    void others.learn(commission, listed.value, opened).then((unworkable) => {
      if (unworkable && unworkable.length > 0) notice.value = leftOut(unworkable)
    })
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
      if (data === preferences.studio) saving.then(takeOver)
    }
    await enter(preferences.studio)
  }

  /**
   * Opens a studio where it was left. The demo is laid out when it is not there; an own one may be empty. Where it cannot
   * be opened that is said, and nothing of it is touched.
   */
  async function enter(name: StudioName): Promise<void> {
    await saving.settled()
    if (preferences.studio !== name) listed.value = []
    preferences.studio = name
    const blocked = (): void => {
      trouble.value = { code: 'blocked' }
    }
    try {
      const broughtBack = name === 'own' ? await spare.bringBack() : ''
      const said = await saving.saveLaidAside(blocked)
      notice.value ||= said
      if (await broughtUp(database(), blocked)) notice.value = FORGOTTEN
      trouble.value = null
      notice.value = broughtBack || notice.value
      await openLatest()
    } catch (reason) {
      state.value = null
      clear(openingTrouble(reason))
    }
  }

  async function openLatest(): Promise<void> {
    if (preferences.lastCommission !== '' && (await open(preferences.lastCommission))) return
    await refreshList()
    for (const { id } of listed.value.filter(({ archived }) => !archived)) if (await open(id)) return
    if (preferences.studio === 'demo') await layOutDemo()
    else await close()
  }

  /** Shows what was put into the database beside the edits of this page. */
  async function openAnew(): Promise<void> {
    await saving.settled()
    tabs.postMessage(preferences.studio)
    await openLatest()
  }

  /** Tries again what did not go: opening, saving, or working the plan out. */
  async function tryAgain(): Promise<void> {
    saving.goOn()
    if (state.value) askAnew()
    else await enter(preferences.studio)
  }

  /** Nothing is open: the studio has no commission that is not put away. */
  async function close(): Promise<void> {
    state.value = null
    clear()
    history.value = []
    others.leave()
    await refreshList()
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
    await saving.settled()
    await addCommission(database(), commission, Date.now())
    await open(commission.id)
    edit('what is at home', ({ workshop }) => change(workshop))
    await saving.settled()
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
    await saving.settled()
  }

  /** What would come of a change, without making it. */
  const attempt = (change: (draft: { commission: Commission; workshop: Workshop }) => void): Promise<Tried> =>
    tried({
      ...question(),
      ...produce({ commission: state.value!.commission, workshop: state.value!.workshop }, change),
    })
  /** The plan of a commission with this workshop, beside the one that is shown. */
  const planOf = async (commission: Commission): Promise<Plan> =>
    once({ ...question(), workshop: state.value?.workshop ?? (await keptWorkshop()), commission })

  async function refreshList(): Promise<void> {
    const found = await listCommissions(database(), Date.now(), listed.value)
    // The shelf works out anew what is listed anew.
    if (!areEqual(listed.value, found)) listed.value = found
    setAside.value = await listSetAside(database())
  }

  /** Lists the commissions anew after some came, went or were put away; other windows do so too. */
  async function listAnew(): Promise<void> {
    tabs.postMessage(preferences.studio)
    await refreshList()
  }

  async function remove(id: string): Promise<void> {
    await removeCommission(database(), id, Date.now())
    await listAnew()
    if (state.value?.commission.id === id) await openNext(id)
  }

  /** Opens what was saved last, after a commission that was open is gone. */
  async function openNext(gone: string): Promise<void> {
    saving.forget(gone)
    await enter(preferences.studio)
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
    // One that goes on, such as a slider's, counts once.
    if (!goesOn) preferences.countEdit()
    lastEdit = { merge, at }
    history.value = withEdit(
      history.value.filter((each) => !forgotten.includes(each)),
      made,
    )
    moveTo(next, changes, made, forgotten)
  }

  /** Shows a new state and saves what led to it. */
  function moveTo(next: Studio, changes: readonly Change[], edit: KeptEdit, forgotten: History = []): void {
    edited()
    notice.value = ''
    state.value = next
    saving.save({
      commissionId: next.commission.id,
      changes,
      edit,
      forgotten: forgotten.map(({ id }) => id),
      studio: preferences.studio,
    })
  }

  const saving = savingInto({
    databases,
    beginning,
    arrived(saved: Saved, { studio, commissionId, changes }: OnTheWay) {
      if (saved.lost.length > 0) notice.value = NOWHERE
      else if (saved.met.length > 0) notice.value = ALSO_ELSEWHERE
      if (state.value?.commission.id === commissionId) showKept(saved, changes)
      tabs.postMessage(studio)
    },
    async gone(commissionId) {
      if (state.value?.commission.id === commissionId) await leaveRemoved()
    },
    failed(reason) {
      notice.value = `What lies in this browser could not be read: ${String(reason)}.`
    },
    async refused({ edit: { label }, commissionId }, reason) {
      if (state.value?.commission.id === commissionId) await takeOver()
      notice.value = `“${label}” could not be kept and was taken back: ${reason}.`
    },
  })

  /** Shows what is kept with what waits laid over it, where somebody else has changed it. */
  function showKept(kept: Kept, own: readonly Change[] = []): void {
    const touches = (part: string): number => (own.some(({ path }) => path[0] === part) ? 1 : 0)
    const isOwn =
      kept.revision === seen.revision + touches('commission') &&
      kept.workshopRevision === seen.workshopRevision + touches('workshop')
    seen = kept
    if (isOwn) return
    const { commission, workshop } = kept
    const laid = saving.waiting.value
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
    // It waits for what is being saved, and so cannot be waited for here.
    void openNext(state.value?.commission.id ?? '')
  }

  const undoable = computed(() => lastDone(history.value))
  const redoable = computed(() => nextUndone(history.value))

  /** Makes changes again, or takes them back, where nobody has changed the same since. */
  function turn(edit: KeptEdit, changes: readonly Change[], undone: boolean): void {
    if (!state.value) return
    const { state: next, lost } = applied(state.value, changes, 'untouched')
    lastEdit = { merge: '', at: 0 }
    const turned = { ...edit, undone }
    history.value = withEdit(history.value, turned)
    moveTo(next, changesBetween(state.value, next), turned)
    if (lost.length > 0) notice.value = KEPT_AS_IS
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
    tally,
    isPlanning,
    /** Whether it is still worked out what other commissions take of the studio. */
    isLearningOfOthers: others.isLearning,
    unsaved: computed(() => saving.waiting.value.length),
    /** Why what was edited could not be saved; empty where it could. */
    stuck: saving.stuck,
    trouble,
    setAside,
    database,
    keptWorkshop,
    listAnew,
    openAnew,
    tryAgain,
    /** Gives up what is being worked out. */
    stop,
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
    others: computed(() => others.taken.value.hours),
    /** How much of each item those before this one keep. */
    reserved: computed(() => others.taken.value.kept),
    attempt,
    nest,
    begin,
    tick,
    open,
    /** Lays aside what is on its way to the database: the page is closed. */
    layAside: saving.layAside,
    isDemo: computed(() => preferences.studio === 'demo'),
    isEmpty,
    isOpen: computed(() => isEmpty.value || plan.value !== null || (trouble.value !== null && state.value !== null)),
    enter,
    putDemoAway,
    start,
    take,
    peek,
    planOf,
    remove,
    edit,
    undo,
    redo,
  }
})
