<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import IconButton from './IconButton.vue'

/** A sheet laid over the leaf, as high as its content or the window. */
defineProps<{ open: boolean; title: string; width?: 'narrow' | 'wide' }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <Dialog :open="open" class="fixed inset-0 z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-night/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-3 sm:p-6">
      <DialogPanel
        class="sheet flex max-h-full w-full flex-col rounded-2xl bg-paper!"
        :class="width === 'narrow' ? 'max-w-2xl' : 'max-w-5xl'"
      >
        <div class="flex items-center justify-between gap-3 px-6 pt-5 pb-3">
          <DialogTitle class="leaf-title">{{ title }}</DialogTitle>
          <IconButton :icon="X" says="Close" @click="emit('close')" />
        </div>
        <div class="min-h-0 overflow-y-auto px-6 pb-6"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
