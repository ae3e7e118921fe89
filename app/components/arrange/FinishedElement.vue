<script setup lang="ts">
import { computed } from 'vue'
import type { Decoration } from '#core/commission'
import type { PlannedDecoration } from '#core/decoration'
import { drawnElements } from '#core/plan'
import MeshStill from '~/components/stand/MeshStill.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'

/** The biggest element as it will be, to the scale of the flat pieces it is drawn beside. */
const props = defineProps<{ decoration: Decoration; made: PlannedDecoration; sideMm: number }>()
const { plan } = usePlanned()

const biggest = computed(() => {
  const [first, ...others] = drawnElements(props.decoration, plan.value)
  if (!first) return null
  const drawn = others.reduce((best, each) => (each.element.size > best.element.size ? each : best), first)
  return drawn.mesh.faces.length + drawn.mesh.lines.length > 0 ? drawn : null
})
const first = computed(() => props.made.classes[0] ?? null)
</script>

<template>
  <figure v-if="biggest && first" class="grid max-w-36 justify-items-center gap-1" data-testid="finished-element">
    <MeshStill class="h-20" :drawn="biggest" :says="`A ${made.one} as it will be`" :side-mm="sideMm" />
    <figcaption class="text-center text-[0.86rem]">
      a {{ made.one }} when it is done<span class="block text-ink-soft"
        >seen <FigureLink :working="first.seenWidth" /> × <FigureLink :working="first.seenHeight"
      /></span>
    </figcaption>
  </figure>
</template>
