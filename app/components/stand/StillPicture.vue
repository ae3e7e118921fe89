<script setup lang="ts">
import { computed } from 'vue'
import { flatStand, viewAt } from '#core/draw'
import { useStill, type StillWish } from './render/stills'
import { pointsOf } from './shapePaint'

/** A still picture that fills its parent; flat where the browser draws nothing in depth. */
const props = defineProps<{ wish: StillWish; says: string }>()
const address = useStill(() => props.wish)
const viewBox = computed(() => {
  const { left, top, width, height } = props.wish.window
  return `${left} ${top} ${width} ${height}`
})
</script>

<template>
  <div class="relative h-full w-full" role="img" :aria-label="says" :data-drawn="address === undefined ? 'no' : 'yes'">
    <img v-if="address" :src="address" alt="" class="h-full w-full object-contain" />
    <svg v-else-if="address === null" :viewBox="viewBox" class="h-full w-full">
      <polygon
        v-for="patch in flatStand(wish.solids(), viewAt(wish.look))"
        :key="patch.id"
        :points="pointsOf(patch.outline)"
        :fill="patch.colour"
        stroke="var(--ink-soft)"
        stroke-width="0.4"
      />
    </svg>
  </div>
</template>
