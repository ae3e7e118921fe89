<script setup lang="ts">
import { Printer } from '@lucide/vue'
import { computed } from 'vue'
import { definitionOf } from '#core/cake'
import { coveringOf } from '#core/material'
import { printQuantity } from '#core/quantity'
import { cakeRoom, sceneOf } from '#core/plan'
import CakeStill from '~/components/stand/CakeStill.vue'
import DimensionLines from '~/components/stand/DimensionLines.vue'
import { wholeCake } from '~/components/stand/wholeCake'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

const { commission, option, cake, plan } = usePlanned()
const preferences = usePreferences()
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
const scene = computed(() => sceneOf(option.value, plan.value))
/** Drawn to scale: what is far is no smaller. */
const views = computed(() => {
  const room = cakeRoom(commission.value, plan.value)
  return sides.map(({ name, turn }) => {
    const whole = wholeCake(room, { turnDeg: turn, downDeg: LOOKED_DOWN_DEG, awayMm: null })
    const margin = whole.window.width * 0.24
    const { left, width } = whole.window
    return { name, ...whole, window: { ...whole.window, left: left - margin, width: width + 2 * margin } }
  })
})
const sides = [
  { name: 'front', turn: 0 },
  { name: 'right', turn: -90 },
  { name: 'back', turn: 180 },
] as const
const LOOKED_DOWN_DEG = 8
const PICTURE_PX = 330
const printPage = (): void => window.print()
</script>

<template>
  <div>
    <div class="flex items-start justify-between gap-4">
      <LeafHeading :title="`${commission.brief.name}: ${option.name}`"
        >{{ length(plan.finished.wide.value) }} wide, {{ length(plan.finished.deep.value) }} deep,
        {{ length(plan.finished.high.value) }} high with its board. Widths are as seen at each foot.</LeafHeading
      >
      <button type="button" class="button button-go no-print" @click="printPage">
        <Printer class="size-4.5" aria-hidden="true" />Print
      </button>
    </div>
    <div class="grid grid-cols-3 gap-2" data-testid="drawing">
      <figure v-for="{ name, look, window, room } in views" :key="name">
        <CakeStill :scene :look :window :room :says="`The cake from the ${name}`" :pixels="560">
          <svg
            class="absolute inset-0 h-full w-full overflow-visible"
            :viewBox="`${window.left} ${window.top} ${window.width} ${window.height}`"
          >
            <DimensionLines
              :stack="plan.stack"
              :board="option.cake.board"
              :look
              :per-pixel="window.height / PICTURE_PX"
            />
          </svg>
        </CakeStill>
        <figcaption class="text-center text-[0.88rem] text-ink-soft">{{ name }}</figcaption>
      </figure>
    </div>
    <table class="mt-4 w-full text-[0.92rem]">
      <thead class="text-left text-[0.8rem] text-ink-soft">
        <tr>
          <th class="font-normal">tier, from the top</th>
          <th class="font-normal">shape</th>
          <th class="font-normal">high</th>
          <th class="font-normal">round its foot</th>
          <th class="font-normal">covered with</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="index in cake.tiers.map((_, at) => cake.tiers.length - 1 - at)" :key="cake.tiers[index]!.id">
          <td class="py-0.5">{{ index + 1 }}</td>
          <td>{{ definitionOf(cake.tiers[index]!.shape.kind).name }}</td>
          <td>{{ length(cake.tiers[index]!.heightMm) }}</td>
          <td>{{ length(plan.stack[index]?.perimeterMm ?? 0) }}</td>
          <td>{{ coveringOf(cake.tiers[index]!.covering).name }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
