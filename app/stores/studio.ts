import type { Workshop } from '#core/workshop'
import type { Commission } from '#core/commission'
import { applyPatches, produce, produceWithPatches } from 'immer'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { CommissionFile } from '#core/format/commissionFile'
import { freshBench } from '#core/ledger'
import { type Nested, type Plan, type PlanInputs, type TallyId } from '#core/plan'
import { MINUTES_PER_DAY, parseMoment, type Moment } from '#core/quantity'
import type { Stretch } from '#core/schedule'
import { beginAnew } from '~/composables/perCommission'
import { wallClockAt } from '~/composables/wallClock'
import { broughtUp, StudioDatabase, type KeptEdit } from '~/database/database'
import {
  addCommission,
  archiveCommission,
  forgetEdits,
  listCommissions,
  openCommission,
  removeCommission,
  restoreCommission,
  saveEdit,
  type Listed,
} from '~/database/keeping'
import { differencesBetween, type Difference } from './differences'
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
/** Commissions whose events are so near share hands. */
const WEEKS_SHARED = 6

/** A stretch of time that another commission takes, and which. */
type OtherHours = Stretch & { readonly name: string }

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
  const edits = shallowRef<readonly KeptEdit[]>([])
  const undone = ref(0)
  const differences = shallowRef<Partial<Record<TallyId, Difference>>>({})
  const notice = ref('')
  const now = ref(thisMinute())
  let revision = 0
  let workshopRevision = 0
  let lastEdit = { merge: '', at: 0 }
  let saving = Promise.resolve()
  /** Edits that do not lie in the database yet. */
  const unsaved = ref(0)
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
    others: others.value.map(({ from, to }) => ({ from, to })),
  })

  /** Hours at which hands are at other commissions. */
  const others = shallowRef<readonly OtherHours[]>([])
  /** How much of each item other commissions keep, those whose events are before this one's. */
  const reserved = shallowRef<ReadonlyMap<string, number>>(new Map())
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

  /**
   * Hours that other commissions of these weeks take, as they are planned now, and what those before this one keep of
   * the stock.
   */
  async function takenByOthers(
    { id, brief }: Commission,
    workshop: Workshop,
  ): Promise<{ readonly hours: readonly OtherHours[]; readonly kept: ReadonlyMap<string, number> }> {
    const eventAt = parseMoment(brief.eventAt)
    const near = listed.value.filter((each) => {
      const at = parseMoment(each.eventAt)
      return (
        each.id !== id &&
        !each.archived &&
        at.ok &&
        eventAt.ok &&
        Math.abs(at.value - eventAt.value) < WEEKS_SHARED * 7 * MINUTES_PER_DAY
      )
    })
    const found = await Promise.all(
      near.map(async (each) => {
        const commission = await peek(each.id)
        if (!commission || commission.bench.handedOver) return { hours: [], needs: [] }
        const { hours, needs } = await taken({ commission, workshop, now: now.value, units: preferences.units })
        const isBefore = each.eventAt < brief.eventAt || (each.eventAt === brief.eventAt && each.id < id)
        return {
          hours: hours.map((stretch): OtherHours => ({ ...stretch, name: each.name })),
          needs: isBefore ? needs : [],
        }
      }),
    )
    const kept = new Map<string, number>()
    for (const [item, amount] of found.flatMap(({ needs }) => needs)) kept.set(item, (kept.get(item) ?? 0) + amount)
    return { hours: found.flatMap(({ hours }) => hours), kept }
  }

  async function open(id: string): Promise<boolean> {
    await saving
    const opened = await openCommission(database(), id, await beginning())
    if (!opened) return false
    ;({ revision, workshopRevision } = opened)
    edits.value = opened.edits
    undone.value = opened.undone
    listed.value = await listCommissions(database())
    const { hours, kept } = await takenByOthers(opened.commission, opened.workshop)
    others.value = hours
    reserved.value = kept
    if (state.value?.commission.id !== id) {
      plan.value = null
      beginAnew()
    }
    differences.value = {}
    lastEdit = { merge: '', at: 0 }
    isEmpty.value = false
    state.value = { commission: opened.commission, workshop: opened.workshop }
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
    tabs.onmessage = ({ data }: MessageEvent<{ studio: StudioName; id: string }>) => {
      if (data.studio === preferences.studio && data.id === state.value?.commission.id) void open(data.id)
    }
    await enter(preferences.studio)
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
    edits.value = []
    undone.value = 0
    differences.value = {}
    others.value = []
    reserved.value = new Map()
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

  /** A commission as the studio keeps it, without opening it. */
  const peek = async (id: string): Promise<Commission | null> =>
    (await openCommission(database(), id, await beginning()))?.commission ?? null

  async function remove(id: string): Promise<void> {
    await removeCommission(database(), id)
    await refreshList()
    if (state.value?.commission.id !== id) return
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
    const [next, patches, inverse] = produceWithPatches(state.value, (draft) => {
      recipe(draft as Studio)
    })
    if (patches.length === 0) return
    const at = Date.now()
    const kept = edits.value.slice(0, edits.value.length - undone.value)
    const last = kept.at(-1)
    const goesOn =
      merge !== '' &&
      merge === lastEdit.merge &&
      at - lastEdit.at < SAME_EDIT_MS &&
      undone.value === 0 &&
      last !== undefined
    const made: KeptEdit = goesOn
      ? { ...last, patches: [...last.patches, ...patches], inverse: [...inverse, ...last.inverse] }
      : { commissionId: state.value.commission.id, label, patches, inverse }
    const forgotten = edits.value.slice(edits.value.length - undone.value)
    lastEdit = { merge, at }
    edits.value = goesOn ? [...kept.slice(0, -1), made] : [...kept, made]
    undone.value = 0
    moveTo(next, edits.value.length - 1, forgotten)
  }

  /** Shows a new state and saves it. Saves follow one another; each takes up the key its edit was given. */
  function moveTo(next: Studio, savedEdit: number | null, forgotten: readonly KeptEdit[] = []): void {
    editedSincePlan = true
    state.value = next
    const undoneNow = undone.value
    const [into, from] = [database(), preferences.studio]
    unsaved.value += 1
    saving = saving
      .then(async () => {
        if (forgotten.length > 0) await forgetEdits(into, forgotten)
        const edit = savedEdit === null ? null : (edits.value[savedEdit] ?? null)
        const saved = await saveEdit(into, {
          ...next,
          revision,
          workshopRevision,
          edit,
          undone: undoneNow,
          now: Date.now(),
        })
        if ('code' in saved) {
          notice.value =
            'This commission was changed in another tab; that version is shown now, and the last edit here was not kept.'
          saving = Promise.resolve()
          await open(next.commission.id)
          return
        }
        revision += 1
        workshopRevision += 1
        if (saved.edit && savedEdit !== null)
          edits.value = edits.value.map((each, at) => (at === savedEdit ? { ...each, id: saved.edit!.id } : each))
        tabs.postMessage({ studio: from, id: next.commission.id })
      })
      .catch((reason: unknown) => {
        notice.value = `The last edit could not be saved: ${String(reason)}. Save the commission to a file before you close this page.`
      })
      .finally(() => {
        unsaved.value -= 1
      })
  }

  const canUndo = computed(() => edits.value.length > undone.value)
  const canRedo = computed(() => undone.value > 0)

  function undo(): void {
    const last = edits.value[edits.value.length - undone.value - 1]
    if (!last || !state.value) return
    undone.value += 1
    lastEdit = { merge: '', at: 0 }
    moveTo(applyPatches(state.value, last.inverse), null)
  }

  function redo(): void {
    const next = edits.value[edits.value.length - undone.value]
    if (!next || !state.value) return
    undone.value -= 1
    lastEdit = { merge: '', at: 0 }
    moveTo(applyPatches(state.value, next.patches), null)
  }

  return {
    state,
    plan,
    isPlanning,
    unsaved,
    listed,
    differences,
    notice,
    now,
    canUndo,
    canRedo,
    commission: computed(() => state.value?.commission ?? null),
    workshop: computed(() => state.value?.workshop ?? null),
    undoLabel: computed(() => edits.value[edits.value.length - undone.value - 1]?.label ?? ''),
    redoLabel: computed(() => edits.value[edits.value.length - undone.value]?.label ?? ''),
    others,
    reserved,
    attempt,
    nest,
    begin,
    tick,
    open,
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
