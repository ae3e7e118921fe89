<script setup lang="ts">
import { computed } from 'vue'
import { elementColour } from '#core/decoration'
import { partsFromAbove, topView, type SeenFromAbove } from '#core/draw'
import PictureView from '~/components/papers/PictureView.vue'
import { knownMeshes } from '~/components/stand/standScene'
import { usePlanned } from '~/composables/planned'

/** What stands on a top, seen from above; nothing where none of the decorations does. */
const props = defineProps<{ decorations: readonly string[] }>()

const { plan, option, cake } = usePlanned()
const isOnTop = computed(() =>
  plan.value.decorations.some(
    ({ id, elements }) => props.decorations.includes(id) && elements.some(({ on }) => on === 'top'),
  ),
)
const seen = computed(() =>
  plan.value.decorations.flatMap(({ id, elements }): readonly SeenFromAbove[] => {
    const decoration = option.value.decorations.find((each) => each.id === id)
    if (!decoration) return []
    const foretold = plan.value.dishes.foretold[id] ?? []
    const { stack } = plan.value
    return knownMeshes({ decoration, elements, stack, foretold }).map((mesh, at) => ({
      parts: partsFromAbove(mesh),
      colour: elementColour(decoration.colour, elements[at]!, foretold),
      isMain: props.decorations.includes(id),
    }))
  }),
)
const picture = computed(() => topView(plan.value.stack, cake.value.board, seen.value))
</script>

<template>
  <figure v-if="isOnTop" class="mx-auto w-full max-w-72" data-testid="from-above">
    <PictureView :picture="picture" says="The cake from above" mark="from-above" />
    <figcaption class="text-center text-[0.8rem] text-ink-soft">from above</figcaption>
  </figure>
</template>
