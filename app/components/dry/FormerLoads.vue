<script setup lang="ts">
import { computed } from 'vue'
import type { SoakedDrying } from '#core/plan'
import { placesOf } from '~/components/stand/elementPlaces'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'
import LoadDrawing from './LoadDrawing.vue'

/** What lies together on mats or trays, in the order of dipping. */
const props = defineProps<{ soaked: SoakedDrying }>()
const { plan, workshop } = usePlanned()
const lit = useLit()

const loads = computed(() =>
  plan.value.work.making
    .filter(({ decoration }) => props.soaked.decorations.includes(decoration))
    .flatMap(({ decoration, name, steps }) =>
      steps
        .filter(({ hold }) => hold?.untilStep)
        .flatMap(({ turns }) =>
          turns.flatMap(({ task, load }) => (load ? [{ decoration, name, load, lane: laneOf(task) }] : [])),
        ),
    ),
)
const laneOf = (task: string): string =>
  (plan.value.timetable.ok && plan.value.timetable.value.slots.find((slot) => slot.task === task)?.lane) || ''
const inOven = computed(() => props.soaked.drying.way === 'oven')
const former = computed(() => (inOven.value ? workshop.value.trays : workshop.value.mats))
const places = ({ load }: (typeof loads.value)[number]): readonly number[] => {
  const parts = new Set(load.laid.map(({ part }) => part))
  return placesOf(plan.value.decorations, ({ id }) => parts.has(id))
}
</script>

<template>
  <div v-if="loads.length > 0">
    <h3 class="part-title mb-2">
      {{ loads.length }} {{ loads.length === 1 ? 'load' : 'loads' }} on {{ former.count }}
      {{ inOven ? 'trays' : 'mats' }}, palest first
    </h3>
    <ol class="flex flex-wrap gap-4">
      <li
        v-for="each in loads"
        :key="`${each.decoration} ${each.load.number}`"
        data-testid="former-load"
        @pointerenter="lit.hoverMany('element', places(each))"
        @pointerleave="lit.leave()"
      >
        <LoadDrawing class="w-40" :load="each.load" :decoration="each.decoration" :former="inOven ? 'tray' : 'mat'" />
        <p class="text-[0.86rem] text-ink-soft">
          <template v-if="soaked.decorations.length > 1">{{ each.name }}, load</template
          ><template v-else>Load</template> {{ each.load.number
          }}<template v-if="each.lane">, {{ each.lane }}</template>
        </p>
      </li>
    </ol>
  </div>
</template>
