<script setup lang="ts">
import { computed } from 'vue'
import { paperStand, partsFromAbove } from '#core/draw'
import { sceneOf } from '#core/plan'
import PictureView from '~/components/papers/PictureView.vue'
import { usePlanned } from '~/composables/planned'

/** What stands on a top, seen from above; nothing where none of the decorations does. */
const props = defineProps<{ decorations: readonly string[] }>()

const { plan, option, cake } = usePlanned()
const isOnTop = computed(() =>
  plan.value.decorations.some(
    ({ id, elements }) => props.decorations.includes(id) && elements.some(({ on }) => on === 'top'),
  ),
)
const picture = computed(() => {
  const shown = sceneOf(option.value, plan.value).elements.map(({ mesh, colour, decoration }) => ({
    parts: partsFromAbove(mesh),
    colour,
    shown: props.decorations.includes(decoration) ? ('strong' as const) : ('pale' as const),
  }))
  return paperStand(plan.value.stack, cake.value.board, shown, 'above')
})
</script>

<template>
  <figure v-if="isOnTop" class="mx-auto w-full max-w-72" data-testid="from-above">
    <PictureView :picture="picture" says="The cake from above" mark="from-above" />
    <figcaption class="text-center text-[0.8rem] text-ink-soft">from above</figcaption>
  </figure>
</template>
