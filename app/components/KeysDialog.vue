<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { LEAF_TABS } from './leaves'

defineProps<{ open: boolean }>()
const emit = defineEmits<{ close: [] }>()

const keys: readonly (readonly [string, string])[] = [
  ...LEAF_TABS.map(({ key, name }) => [key, name] as const),
  ['[', 'Turn the stand left'],
  [']', 'Turn the stand right'],
  ['{', 'Look from lower down'],
  ['}', 'Look from higher up'],
  ['f', 'The stand large, and back'],
  ['d', 'Dimension lines'],
  ['t', 'Tape measure'],
  ['c', 'Compare options'],
  ['h', 'The shelf'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Ctrl S', 'Save to a file'],
  ['Ctrl O', 'Open a file'],
  ['?', 'These keys'],
]
</script>

<template>
  <Dialog :open="open" class="fixed inset-0 z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-night/30" aria-hidden="true" />
    <div class="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel class="sheet w-full max-w-lg rounded-2xl bg-paper! p-6">
        <DialogTitle class="text-2xl">Keys</DialogTitle>
        <dl class="mt-3 grid grid-cols-2 gap-x-8 gap-y-1.5">
          <div v-for="[key, does] in keys" :key="key" class="flex justify-between gap-3">
            <dt>{{ does }}</dt>
            <dd>
              <kbd class="rounded-md bg-paper-deep px-2 py-0.5 font-semibold">{{ key }}</kbd>
            </dd>
          </div>
        </dl>
        <p class="mt-3 text-[0.88rem] text-ink-soft">
          In a field: up and down change it, with Shift by ten; Escape puts back what was there.
        </p>
        <div class="mt-4 flex justify-end">
          <button type="button" class="button button-go" @click="emit('close')">Close</button>
        </div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
