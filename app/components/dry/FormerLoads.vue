<script setup lang="ts">
import { computed } from 'vue'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'
import LoadDrawing from './LoadDrawing.vue'

const { plan } = usePlanned()
const lit = useLit()

const lanes = computed(
  () =>
    new Map(
      plan.value.timetable.ok
        ? plan.value.timetable.value.slots.filter(({ kind }) => kind === 'drape').map(({ load, lane }) => [load, lane])
        : [],
    ),
)
const elementsOf = (load: (typeof plan.value.loads)[number]): readonly number[] =>
  load.laid.flatMap(({ piece }) => (piece.element === null ? [] : [piece.element]))
</script>

<template>
  <ol class="flex flex-wrap gap-4">
    <li
      v-for="load in plan.loads"
      :key="load.number"
      @pointerenter="lit.hoverMany('sail', elementsOf(load))"
      @pointerleave="lit.leave()"
    >
      <LoadDrawing :load="load" class="w-40" />
      <p class="text-[0.86rem] text-ink-soft">
        Load {{ load.number }}<template v-if="lanes.get(load.number)">, {{ lanes.get(load.number) }}</template>
      </p>
    </li>
  </ol>
</template>
