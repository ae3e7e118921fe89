<script setup lang="ts">
import { Maximize2, Minimize2, Ruler, RulerDimensionLine } from '@lucide/vue'
import IconButton from '~/components/ui/IconButton.vue'
import PillButton from '~/components/ui/PillButton.vue'
import { SIDES, useLook } from './look'
import { useStandTools } from './standTools'

/** What turns the stand and measures on it. */
const { turnDeg, downDeg, times, turnBy, lookFrom } = useLook()
const { dimensionsShown, measuring, isLarge, toggleTape } = useStandTools()
const isSeenFrom = (side: (typeof SIDES)[number]): boolean =>
  Math.abs(turnDeg.value - side.turnDeg) < 1 && Math.abs(downDeg.value - side.downDeg) < 1 && times.value === 1
</script>

<template>
  <div class="no-print grid justify-items-center gap-1 pb-1">
    <div class="flex items-center gap-1" role="group" aria-label="Seen from">
      <PillButton v-for="side in SIDES" :key="side.id" :on="isSeenFrom(side)" @click="lookFrom(side)">{{
        side.name
      }}</PillButton>
      <IconButton
        v-if="!isLarge"
        class="lg:hidden"
        :icon="Maximize2"
        says="The stand over the whole window"
        @click="isLarge = true"
      />
    </div>
    <div class="items-center justify-center gap-2" :class="isLarge ? 'flex' : 'flex max-lg:hidden'">
      <IconButton
        :icon="RulerDimensionLine"
        :aria-pressed="dimensionsShown"
        :class="dimensionsShown ? 'bg-go-soft' : ''"
        says="Dimension lines"
        title="Dimension lines (d)"
        @click="dimensionsShown = !dimensionsShown"
      />
      <button type="button" class="button min-h-9 px-3" aria-label="Turn the stand left" @click="turnBy(-15)">‹</button>
      <label class="flex flex-col items-center">
        <span class="sr-only">Turn the stand, degrees</span>
        <input
          v-model.number="turnDeg"
          class="slider w-32"
          type="range"
          min="-180"
          max="180"
          step="1"
          :style="{ '--share': `${(turnDeg + 180) / 3.6}%` }"
        />
        <span class="text-[0.8rem] text-ink-soft">{{
          Math.abs(turnDeg) < 1 ? 'front' : `${Math.round(turnDeg)}° from the front`
        }}</span>
      </label>
      <button type="button" class="button min-h-9 px-3" aria-label="Turn the stand right" @click="turnBy(15)">›</button>
      <IconButton
        :icon="Ruler"
        :aria-pressed="measuring"
        :class="measuring ? 'bg-go-soft' : ''"
        says="Tape measure"
        title="Tape measure (t)"
        @click="toggleTape"
      />
      <IconButton
        :icon="isLarge ? Minimize2 : Maximize2"
        :aria-pressed="isLarge"
        :says="isLarge ? 'The stand beside the leaf' : 'The stand large'"
        title="Large (f)"
        @click="isLarge = !isLarge"
      />
    </div>
  </div>
</template>
