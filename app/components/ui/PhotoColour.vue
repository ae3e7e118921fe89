<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { usePlanned } from '~/composables/planned'
import { touchedColour } from './touchedColour'

/** The commission's pictures, to touch a colour on. */
defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: []; touched: [hex: string] }>()
const { commission } = usePlanned()

function touch(event: MouseEvent): void {
  emit('touched', touchedColour(event))
  emit('close')
}
</script>

<template>
  <Dialog :open="open" class="fixed inset-0 z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-night/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel class="sheet grid max-h-full w-full max-w-3xl gap-4 overflow-auto rounded-2xl bg-paper! p-6">
        <div class="flex items-start justify-between gap-4">
          <DialogTitle class="text-2xl">Touch the colour</DialogTitle
          ><button type="button" class="button px-3" aria-label="Close the pictures" @click="emit('close')">
            <X class="size-5" aria-hidden="true" />
          </button>
        </div>
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
      </DialogPanel>
    </div>
  </Dialog>
</template>
