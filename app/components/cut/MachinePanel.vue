<script setup lang="ts">
import { Pause, Play, Send, TriangleAlert } from '@lucide/vue'
import { computed, onBeforeUnmount, onMounted } from 'vue'
import { machineJob } from '#core/cut'
import { shapeBox } from '#core/material'
import { printQuantity } from '#core/quantity'
import type { CutGroup } from '#core/plan'
import { usePlanned } from '~/composables/planned'
import { useCutter } from '~/stores/cutter'
import { usePreferences } from '~/stores/preferences'

/** The cutting machine beside its sheets: sending, watching, and what to do when it stops. */
const props = defineProps<{ group: CutGroup }>()
const emit = defineEmits<{ sent: [sheet: number] }>()
const { commission, workshop } = usePlanned()
const cutter = useCutter()
const preferences = usePreferences()
let stopLooking = (): void => undefined
onMounted(() => {
  stopLooking = cutter.look()
})
onBeforeUnmount(() => stopLooking())

const OVERCUT_MM = 1
const nameOf = (at: number): string => `${props.group.id} ${at}`
const stateOf = (at: number): { readonly cut: readonly number[]; readonly spoiled: readonly number[] } =>
  cutter.sheets[nameOf(at)] ?? { cut: [], spoiled: [] }
const isDone = (at: number): boolean =>
  props.group.layout.sheets[at]!.pieces.every(({ number }) => stateOf(at).cut.includes(number))
const next = computed(() => props.group.layout.sheets.findIndex((_, at) => !isDone(at)))
const current = computed(() => props.group.layout.sheets.findIndex((_, at) => nameOf(at) === cutter.sheet))
const status = computed(() => cutter.report?.status ?? 'empty')
const rest = computed(() =>
  current.value < 0
    ? []
    : props.group.layout.sheets[current.value]!.pieces.map(({ number }) => number).filter(
        (number) => !stateOf(current.value).cut.includes(number),
      ),
)
const spoiled = computed(() => (current.value < 0 ? [] : stateOf(current.value).spoiled))

function send(at: number, fresh: boolean): void {
  const { cut, spoiled: bad } = stateOf(at)
  if (fresh) cutter.startAgain(nameOf(at))
  const job = machineJob(
    `${commission.value.brief.name}, sheet ${at + 1}`,
    props.group.layout.sheets[at]!,
    shapeBox(props.group.layout.sheets[at]!.shape),
    workshop.value.tools.machineMmPerMin,
    OVERCUT_MM,
    (number) => !cut.includes(number) && (fresh || !bad.includes(number)),
  )
  if (job.lines.length === 0) return
  emit('sent', at)
  void cutter.send(nameOf(at), job)
}

/** Numbers of pieces as people say them: "1 to 5 and 8". */
function numbers(list: readonly number[]): string {
  const runs: [number, number][] = []
  for (const number of [...list].sort((one, other) => one - other)) {
    const last = runs.at(-1)
    if (last?.[1] === number - 1) last[1] = number
    else runs.push([number, number])
  }
  return runs
    .map(([from, to]) => (from === to ? String(from) : to === from + 1 ? `${from}, ${to}` : `${from} to ${to}`))
    .join(', ')
}
const left = computed(() =>
  printQuantity(Math.max(1, Math.ceil(cutter.report?.leftMin ?? 0)), 'duration', preferences.units),
)
</script>

<template>
  <section
    class="mb-3 max-w-2xl rounded-2xl bg-paper-deep px-4 py-3"
    aria-label="Cutting machine"
    data-testid="machine"
  >
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <p class="grow text-[0.95rem]" role="status">
        <b>Cutting machine. </b>
        <template v-if="cutter.isLost"
          ><TriangleAlert class="mr-1 inline size-4 text-look-ink" aria-hidden="true" />Its line is lost; it may go on
          cutting. Look at it; asking again…</template
        >
        <template v-else-if="status === 'empty'">{{
          next < 0 ? 'All sheets are cut.' : `Lay sheet ${next + 1} on the mat, smooth side as marked, and send it.`
        }}</template>
        <template v-else-if="status === 'loaded'"
          >Sheet {{ current + 1 }} was taken. Close the lid before it starts.</template
        >
        <template v-else-if="status === 'running'"
          >Cutting sheet {{ current + 1 }}: {{ cutter.report!.cut.length }} of
          {{ rest.length + stateOf(current).cut.length }} pieces, about {{ left }} to go.</template
        >
        <template v-else-if="status === 'paused'">Paused; about {{ left }} to go.</template>
        <template v-else-if="status === 'done'"
          >Sheet {{ current + 1 }} is cut.{{ rest.length > 0 ? ` Not cut: ${numbers(rest)}.` : '' }}</template
        >
        <template v-else-if="cutter.report?.fault === 'blade'"
          ><TriangleAlert class="mr-1 inline size-4 text-stop" aria-hidden="true" />The blade broke. Cut:
          {{ numbers(stateOf(current).cut) || 'none' }}. Spoiled: {{ numbers(spoiled) || 'none' }}. Not begun:
          {{ numbers(rest.filter((number) => !spoiled.includes(number))) || 'none' }}. Unplug it before you change the
          blade.</template
        >
        <template v-else
          ><TriangleAlert class="mr-1 inline size-4 text-stop" aria-hidden="true" />The mat slipped. Cut:
          {{ numbers(stateOf(current).cut) || 'none' }}. The rest of this sheet no longer lies where it lay:
          {{ numbers(rest) || 'nothing' }} must come from a fresh sheet.</template
        >
      </p>
      <div class="flex flex-wrap gap-2">
        <button
          v-if="(status === 'empty' || status === 'done') && next >= 0"
          type="button"
          class="button button-go"
          @click="send(next, false)"
        >
          <Send class="size-4.5" aria-hidden="true" />Send sheet {{ next + 1 }}
        </button>
        <button v-if="status === 'loaded'" type="button" class="button button-go" @click="cutter.tell('run')">
          <Play class="size-4.5" aria-hidden="true" />Start
        </button>
        <button v-if="status === 'running'" type="button" class="button" @click="cutter.tell('pause')">
          <Pause class="size-4.5" aria-hidden="true" />Pause
        </button>
        <button v-if="status === 'paused'" type="button" class="button button-go" @click="cutter.tell('resume')">
          <Play class="size-4.5" aria-hidden="true" />Go on
        </button>
        <button
          v-if="
            status === 'fault' && cutter.report?.fault === 'blade' && rest.some((number) => !spoiled.includes(number))
          "
          type="button"
          class="button button-go"
          @click="send(current, false)"
        >
          <Send class="size-4.5" aria-hidden="true" />Cut the rest of it
        </button>
        <button
          v-if="
            (status === 'fault' || status === 'done') &&
            rest.length > 0 &&
            (cutter.report?.fault === 'slip' || spoiled.length > 0)
          "
          type="button"
          class="button"
          @click="send(current, true)"
        >
          <Send class="size-4.5" aria-hidden="true" />{{ rest.length }} on a fresh sheet
        </button>
        <button
          v-if="['loaded', 'paused', 'fault', 'done'].includes(status)"
          type="button"
          class="button"
          @click="cutter.tell('clear')"
        >
          Take it out
        </button>
      </div>
    </div>
    <progress
      v-if="['running', 'paused'].includes(status)"
      class="mt-2 h-2 w-full accent-(--go)"
      :value="cutter.report!.share"
      max="1"
      aria-label="Of this sheet"
    />
    <p v-if="cutter.problem" role="alert" class="mt-1 text-stop">{{ cutter.problem }}</p>
    <p class="mt-1 text-[0.84rem] text-ink-soft">
      Hands away from the moving knife. Paper that lifts catches it: press the sheet down all over.
    </p>
  </section>
</template>
