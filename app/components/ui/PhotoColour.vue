<script setup lang="ts">
import { usePlanned } from '~/composables/planned'
import SheetDialog from './SheetDialog.vue'
import { touchedColour } from './touchedColour'

/** The commission's pictures, to touch a colour on. */
const emit = defineEmits<{ close: []; touched: [hex: string] }>()
const { commission } = usePlanned()

function touch(event: MouseEvent): void {
  emit('touched', touchedColour(event))
  emit('close')
}
</script>

<template>
  <SheetDialog title="Touch the colour" width="narrow" @close="emit('close')">
    <button
      v-for="photo in commission.brief.photos"
      :key="photo.id"
      type="button"
      class="mx-auto block cursor-crosshair overflow-hidden rounded-lg"
      :aria-label="`${photo.name}: touch a colour`"
      @click="touch"
    >
      <img :src="photo.dataUrl" :alt="photo.name" class="block max-h-96" />
    </button>
    <p class="text-[0.88rem] text-ink-soft">
      A picture shows colours in its own light. Hold a dried strip against the real thing before the batch.
    </p>
  </SheetDialog>
</template>
