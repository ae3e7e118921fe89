<script setup lang="ts">
import SheetDialog from '~/components/ui/SheetDialog.vue'
import { LEAF_TABS } from './leaves'

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
  ['?', 'The guide'],
  ['k', 'These keys'],
]
</script>

<template>
  <SheetDialog title="Keys" width="small" @close="emit('close')">
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
  </SheetDialog>
</template>
