<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { isDamp } from '#core/dry'
import { dateText, dayClockText, dayOf, momentText } from '#core/quantity'
import type { Slot, SlotKind, Stretch, Timetable, WorkingHours } from '#core/schedule'
import { useForecast } from '~/components/brief/useForecast'
import { vPull, type Pull } from '~/composables/pulled'
import { axisFor, GRID_MIN, laneName, lanesOf, minutesAlong, onGrid, placeAlong, slotsOn, spellsOn } from './axis'

/**
 * The days before the event: who does what, what lies where, when nobody works, when it is damp. Work is dragged to
 * another hour, or moved with the arrow keys.
 */
const props = defineProps<{
  timetable: Timetable
  hours: WorkingHours
  busy: readonly (Stretch & { readonly name: string })[]
  now: number
  chosen: string | null
}>()
const emit = defineEmits<{ choose: [slot: Slot]; pin: [task: string, at: number] }>()
const { last } = useForecast()

const axis = computed(() => axisFor(props.timetable.slots))
const lanes = computed(() =>
  lanesOf(props.timetable.slots).map((lane) => ({ lane, slots: slotsOn(lane, props.timetable.slots) })),
)
const dampDays = computed(() =>
  axis.value.days.filter((day) =>
    last.value?.forecast.days.some((each) => each.date === momentText(day).slice(0, 10) && isDamp(each)),
  ),
)
const busyHere = computed(() => props.busy.filter(({ from, to }) => to > axis.value.from && from < axis.value.to))

const looks: Readonly<Record<SlotKind, string>> = {
  fill: 'bg-[#5f7d8c]',
  chill: 'bg-[#9cc3d4]/70 dark:bg-[#3f6373]',
  cover: 'bg-[#5f7d8c]',
  ready: 'bg-[#b9c9b8]/70 dark:bg-[#4d6350]',
  stack: 'bg-[#5f7d8c]',
  warm: 'bg-look/70',
  make: 'bg-[#8a6a8f]',
  dry: 'bg-[#f0b48d]/75 dark:bg-[#8d5a3d]',
  oven: 'bg-stop',
  rest: 'bg-[#f0b48d]/45 dark:bg-[#8d5a3d]/60',
  place: 'bg-go',
  set: 'bg-[#b9c9b8]/70 dark:bg-[#4d6350]',
  picksOut: 'bg-go',
  photograph: 'bg-go',
  pack: 'bg-go',
  loadCar: 'bg-go',
  drive: 'bg-ink-soft',
  handOver: 'bg-go',
  event: 'bg-look',
}

/** What bands behind the work and paler work mean, those that are in sight. */
const bands = computed(() =>
  [
    { says: 'your working hours', look: 'bg-ground-deep/45', shown: true },
    { says: 'hands are elsewhere', look: 'bg-ink-soft/20', shown: busyHere.value.length > 0 },
    { says: 'a damp day in the forecast', look: 'bg-look/15', shown: dampDays.value.length > 0 },
    { says: 'work by hand', look: 'bg-[#8a6a8f]', shown: true },
    { says: 'rests and dries by itself', look: 'bg-[#f0b48d]/75 dark:bg-[#8d5a3d]', shown: true },
    { says: 'in the oven', look: 'bg-stop', shown: props.timetable.slots.some(({ kind }) => kind === 'oven') },
  ].filter(({ shown: isShown }) => isShown),
)

const place = (from: number, to: number) => placeAlong(axis.value, from, to)
const STATES: Readonly<Record<Slot['state'], string>> = { toDo: '', underWay: ', under way', done: ', done' }
const describe = (slot: Slot): string =>
  `${slot.name}, ${dayClockText(slot.from)} to ${dayClockText(slot.to)}${STATES[slot.state]}`

const dragged = ref<{ readonly id: string; readonly byMin: number } | null>(null)
const lane = ref<HTMLElement | null>(null)
const { width: lanePx } = useElementSize(lane)
const isMovable = ({ hands, task, state }: Slot): boolean => hands && task !== null && state === 'toDo'

const pullsOf = (slot: Slot): Pull => ({
  take: () => {
    emit('choose', slot)
    return isMovable(slot)
  },
  pull: (_, { x }) => {
    dragged.value = { id: slot.id, byMin: minutesAlong(x, axis.value, lanePx.value) }
  },
  drop: (isKept) => {
    const byMin = dragged.value?.byMin ?? 0
    dragged.value = null
    if (isKept && onGrid(slot.from + byMin) !== onGrid(slot.from)) emit('pin', slot.task!, onGrid(slot.from + byMin))
  },
})

const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -GRID_MIN, ArrowRight: GRID_MIN }
function walk(event: KeyboardEvent, slot: Slot): void {
  const step = STEPS[event.key]
  if (step === undefined || !isMovable(slot)) return
  event.preventDefault()
  emit('pin', slot.task!, onGrid(slot.from + step * (event.shiftKey ? 4 : 1)))
}
const shown = (slot: Slot) => {
  const by = dragged.value?.id === slot.id ? dragged.value.byMin : 0
  return place(slot.from + by, slot.to + by)
}
</script>

<template>
  <div
    class="relative"
    role="group"
    :aria-label="`Timetable from ${dayClockText(timetable.startBy)}; the list above says it in words`"
    data-testid="time-lanes"
  >
    <div class="relative ml-16 h-6">
      <span
        v-for="day in axis.days"
        :key="day"
        data-testid="day"
        class="absolute truncate text-[0.8rem] font-semibold"
        :class="day === dayOf(now) ? 'text-go' : ''"
        :style="{ ...place(day, day + 1440), paddingLeft: '4px' }"
        >{{ axis.days.length > 8 ? dateText(day).slice(4) : dateText(day) }}</span
      >
    </div>
    <div class="relative">
      <div ref="lane" class="absolute inset-y-0 right-0 left-16" aria-hidden="true">
        <template v-for="day in axis.days" :key="day">
          <span class="absolute inset-y-0 border-l border-line" :style="{ left: place(day, day).left }" />
          <span
            v-for="spell in spellsOn(day, hours)"
            :key="spell.from"
            class="absolute inset-y-0 bg-ground-deep/45"
            :style="place(spell.from, spell.to)"
          />
        </template>
        <span
          v-for="day in dampDays"
          :key="`damp${day}`"
          class="absolute inset-y-0 bg-look/15"
          :style="place(day, day + 1440)"
          title="a damp day in the forecast"
          data-testid="damp-day"
        />
        <span
          v-for="{ from, to, name } in busyHere"
          :key="`busy${from}`"
          class="absolute inset-y-0 bg-ink-soft/20"
          :style="place(from, to)"
          :title="name"
          data-testid="busy"
        />
        <span
          v-if="now > axis.from && now < axis.to"
          class="absolute inset-y-0 z-10 border-l-2 border-stop"
          :style="{ left: place(now, now).left }"
          title="now"
        />
      </div>
      <div v-for="{ lane: name, slots } in lanes" :key="name" class="relative flex h-8 items-center">
        <span class="w-16 shrink-0 text-[0.82rem] leading-tight text-ink-soft">{{ laneName(name) }}</span>
        <div class="relative h-full flex-1">
          <button
            v-for="slot in slots"
            :key="`${name} ${slot.id}`"
            v-pull="pullsOf(slot)"
            type="button"
            class="thin-touch absolute inset-y-1.5 min-w-[5px] touch-none rounded-[4px]"
            :class="[
              looks[slot.kind],
              isMovable(slot) ? 'cursor-ew-resize' : 'cursor-default',
              slot.state === 'done'
                ? 'opacity-40'
                : slot.state === 'underWay'
                  ? 'outline-2 outline-offset-1 outline-look'
                  : '',
              chosen !== null && slot.task === chosen ? 'ring-2 ring-ink ring-offset-1' : '',
            ]"
            :style="shown(slot)"
            :aria-label="`${describe(slot)}${isMovable(slot) ? ': arrow keys put it at another hour' : ''}`"
            :title="describe(slot)"
            :tabindex="isMovable(slot) ? 0 : -1"
            :data-task="slot.task ?? undefined"
            @focus="emit('choose', slot)"
            @keydown="walk($event, slot)"
          />
        </div>
      </div>
    </div>
    <ul class="mt-2 flex flex-wrap gap-x-5 gap-y-1 text-[0.84rem] text-ink-soft" data-testid="bands">
      <li v-for="{ says, look } in bands" :key="says" class="flex items-center gap-1.5">
        <span class="inline-block h-4 w-5 rounded-[4px] border border-line" :class="look" aria-hidden="true" />{{
          says
        }}
      </li>
    </ul>
  </div>
</template>
