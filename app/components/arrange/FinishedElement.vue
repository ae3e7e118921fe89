<script setup lang="ts">
import { computed } from 'vue'
import type { Decoration } from '#core/commission'
import { paperOf } from '#core/material'
import { elementColour, type PlannedDecoration } from '#core/decoration'
import { knownMeshes } from '~/components/stand/standScene'
import MeshStill from '~/components/stand/MeshStill.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'

/** The biggest element as it will be, to the scale of the flat pieces it is drawn beside. */
const props = defineProps<{ decoration: Decoration; made: PlannedDecoration; sideMm: number }>()
const { plan } = usePlanned()

const foretold = computed(() => plan.value.dishes.foretold[props.decoration.id] ?? [])
const biggest = computed(() => {
  const { elements } = props.made
  const at = elements.reduce((best, { size }, index) => (size > elements[best]!.size ? index : best), 0)
  const { stack } = plan.value
  const meshes = knownMeshes({ decoration: props.decoration, elements, stack, foretold: foretold.value })
  const mesh = meshes[at]
  return mesh && mesh.faces.length + mesh.lines.length > 0 ? { mesh, element: elements[at]! } : null
})
const first = computed(() => props.made.classes[0] ?? null)
</script>

<template>
  <figure v-if="biggest && first" class="grid max-w-36 justify-items-center gap-1" data-testid="finished-element">
    <MeshStill
      class="h-20"
      :mesh="biggest.mesh"
      :colour="elementColour(decoration.colour, biggest.element, foretold)"
      :is-film="paperOf(decoration.paper).kind === 'film'"
      :says="`A ${made.one} as it will be`"
      :side-mm="sideMm"
    />
    <figcaption class="text-center text-[0.86rem]">
      a {{ made.one }} when it is done<span class="block text-ink-soft"
        >seen <FigureLink :working="first.seenWidth" /> × <FigureLink :working="first.seenHeight"
      /></span>
    </figcaption>
  </figure>
</template>
