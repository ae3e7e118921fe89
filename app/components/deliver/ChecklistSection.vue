<script setup lang="ts">
import { computed } from 'vue'
import { checklistOf } from '#core/deliver'
import { clockText, dayClockText } from '#core/quantity'
import { usePlanned } from '~/composables/planned'
import { useBench } from '~/stores/bench'
import TickBox from '~/components/ui/TickBox.vue'

/** What is to be seen to on the way, each with its hour, ticked when it is done. */
const { studio, plan, commission } = usePlanned()
const bench = useBench()
const lines = computed(() => checklistOf({ plan: plan.value, commission: commission.value }))
const tick = (id: string, on: boolean): void =>
  bench.change(on ? 'tick' : 'untick', (before) => ({
    ...before,
    ticks: on
      ? { ...before.ticks, [id]: studio.now }
      : Object.fromEntries(Object.entries(before.ticks).filter(([each]) => each !== id)),
  }))
</script>

<template>
  <ul aria-label="Venue checklist" data-testid="checklist">
    <li v-for="line in lines" :key="line.id" class="border-t border-line">
      <label class="flex min-h-13 items-center gap-3 py-1 text-[1.02rem]">
        <TickBox
          :says="line.text"
          :model-value="bench.bench.ticks[line.id] !== undefined"
          @update:model-value="tick(line.id, $event)"
        />
        <span class="w-24 shrink-0 text-ink-soft">{{ line.at === null ? '' : dayClockText(line.at) }}</span>
        <span class="flex-1" :class="bench.bench.ticks[line.id] !== undefined ? 'text-ink-soft' : ''">{{
          line.text
        }}</span>
        <span v-if="bench.bench.ticks[line.id] !== undefined" class="text-[0.84rem] text-go">{{
          clockText(bench.bench.ticks[line.id]!)
        }}</span>
      </label>
    </li>
  </ul>
</template>
