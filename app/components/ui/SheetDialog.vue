<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { useAttrs } from 'vue'
import IconButton from './IconButton.vue'

/**
 * A sheet laid over the leaf for as long as it is there, as high as its content or the window; what is done with it
 * stays in sight below. What is not asked of the sheet itself goes to its panel.
 */
defineOptions({ inheritAttrs: false })
defineProps<{ title: string; width?: 'small' | 'narrow' | 'wide' }>()
const emit = defineEmits<{ close: [] }>()
const attrs = useAttrs()
const WIDTHS = { small: 'max-w-lg', narrow: 'max-w-3xl', wide: 'max-w-5xl' } as const
</script>

<template>
  <Dialog open class="fixed inset-0 z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-night/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-3 sm:p-6">
      <DialogPanel
        v-bind="attrs"
        class="sheet flex max-h-full w-full flex-col rounded-2xl bg-paper!"
        :class="WIDTHS[width ?? 'wide']"
      >
        <div class="flex items-center justify-between gap-3 px-5 pt-4 pb-2 sm:px-6">
          <DialogTitle class="leaf-title">{{ title }}</DialogTitle>
          <IconButton :icon="X" says="Close" @click="emit('close')" />
        </div>
        <div class="min-h-0 overflow-y-auto px-5 pb-5 sm:px-6"><slot /></div>
        <div v-if="$slots.actions" class="flex flex-wrap justify-end gap-2.5 border-t border-line px-5 py-3 sm:px-6">
          <slot name="actions" />
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
