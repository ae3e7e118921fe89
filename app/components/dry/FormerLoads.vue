<script setup lang="ts">
import { computed } from 'vue'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'

const { plan, workshop } = usePlanned()
const lit = useLit()

const former = computed(() => plan.value.drying.way === 'mat' ? workshop.value.mats : workshop.value.trays)
const lanes = computed(() => new Map(plan.value.timetable.ok ? plan.value.timetable.value.slots.filter(({ kind }) => kind === 'drape').map(({ load, lane }) => [load, lane]) : []))
const colourOf = (shade: number): string => plan.value.bath?.steps[shade]?.predictedHex ?? '#efece2'
const elementsOf = (load: typeof plan.value.loads[number]): readonly number[] => load.laid.flatMap(({ piece }) => piece.element === null ? [] : [piece.element])
</script>

<template>
  <ol class="flex flex-wrap gap-4">
    <li v-for="load in plan.loads" :key="load.number" @pointerenter="lit.hoverMany('sail', elementsOf(load))" @pointerleave="lit.leave()">
      <svg :viewBox="`-4 -4 ${former.lengthMm + 8} ${former.widthMm + 8}`" class="w-40" role="img" :aria-label="`Load ${load.number}: ${load.laid.map(({ piece }) => `piece ${piece.number}`).join(', ')}`">
        <rect :width="former.lengthMm" :height="former.widthMm" rx="14" fill="var(--paper-deep)" stroke="var(--line)" stroke-width="3" />
        <g v-for="laid in load.laid" :key="laid.piece.number">
          <path :d="`M${laid.xMm} ${laid.yMm + laid.heightMm * 0.2}q${laid.widthMm * 0.25} ${-laid.heightMm * 0.28} ${laid.widthMm * 0.5} 0t${laid.widthMm * 0.5} 0l${-laid.widthMm * 0.28} ${laid.heightMm * 0.8}h${-laid.widthMm * 0.44}z`" :fill="colourOf(laid.piece.shade)" fill-opacity="0.85" stroke="var(--ink)" stroke-opacity="0.35" stroke-width="2" />
          <text :x="laid.xMm + laid.widthMm / 2" :y="laid.yMm + laid.heightMm * 0.62" text-anchor="middle" font-size="27" font-weight="700" fill="#2a1c2c">{{ laid.piece.number }}</text>
        </g>
      </svg>
      <p class="text-[0.86rem] text-ink-soft">Load {{ load.number }}<template v-if="lanes.get(load.number)">, {{ lanes.get(load.number) }}</template></p>
    </li>
  </ol>
</template>
