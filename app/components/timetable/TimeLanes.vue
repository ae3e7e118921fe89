<script setup lang="ts">
import { computed } from 'vue'
import { dateText, dayClockText } from '#core/quantity'
import type { Slot, SlotKind, Timetable, WorkingHours } from '#core/schedule'
import { axisFor, lanesOf, slotsOn, spellsOn } from './axis'

const props = defineProps<{ timetable: Timetable, hours: WorkingHours }>()

const axis = computed(() => axisFor(props.timetable.slots))
const lanes = computed(() => lanesOf(props.timetable.slots).map((lane) => ({ lane, slots: slotsOn(lane, props.timetable.slots) })))

const looks: Readonly<Record<SlotKind, string>> = {
  warm: 'bg-look/70', make: 'bg-[#8a6a8f]', cut: 'bg-go', drape: 'bg-[#c4532f]', dry: 'bg-[#f0b48d]/75 dark:bg-[#8d5a3d]', oven: 'bg-stop', lift: 'bg-go', rest: 'bg-[#f0b48d]/45 dark:bg-[#8d5a3d]/60', choose: 'bg-go', pack: 'bg-go', place: 'bg-go', loadCar: 'bg-go', drive: 'bg-ink-soft', event: 'bg-look',
}

const place = (from: number, to: number) => ({ left: `${axis.value.shareAt(from) * 100}%`, width: `${(axis.value.shareAt(to) - axis.value.shareAt(from)) * 100}%` })
const describe = (slot: Slot): string => `${slot.name}, ${dayClockText(slot.from)} to ${dayClockText(slot.to)}`
const laneName = (lane: string): string => lane.charAt(0).toUpperCase() + lane.slice(1)
</script>

<template>
  <div class="relative" role="img" :aria-label="`Timetable from ${dayClockText(timetable.startBy)}; the list below says it in words`" data-testid="time-lanes">
    <div class="relative ml-16 h-6">
      <span v-for="day in axis.days" :key="day" class="absolute truncate text-[0.8rem] font-semibold" :style="{ ...place(day, day + 1440), paddingLeft: '4px' }">{{ axis.days.length > 8 ? dateText(day).slice(4) : dateText(day) }}</span>
    </div>
    <div class="relative">
      <div class="absolute inset-y-0 right-0 left-16" aria-hidden="true">
        <template v-for="day in axis.days" :key="day">
          <span class="absolute inset-y-0 border-l border-line" :style="{ left: place(day, day).left }" />
          <span v-for="spell in spellsOn(day, hours)" :key="spell.from" class="absolute inset-y-0 bg-ground-deep/45" :style="place(spell.from, spell.to)" />
        </template>
      </div>
      <div v-for="{ lane, slots } in lanes" :key="lane" class="relative flex h-8 items-center">
        <span class="w-16 shrink-0 text-[0.82rem] text-ink-soft">{{ laneName(lane) }}</span>
        <div class="relative h-full flex-1">
          <span v-for="slot in slots" :key="slot.id" class="absolute inset-y-1.5 min-w-[4px] rounded-[4px]" :class="looks[slot.kind]" :style="place(slot.from, slot.to)" :title="describe(slot)" />
        </div>
      </div>
    </div>
  </div>
</template>
