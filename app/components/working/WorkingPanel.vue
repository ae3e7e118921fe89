<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue'
import { X } from '@lucide/vue'
import { computed } from 'vue'
import { printWorkingValue, workingSentence } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'
import { useWorkingPanel } from './panel'
import WorkingTree from './WorkingTree.vue'

const preferences = usePreferences()
const { opened, close } = useWorkingPanel()
const inputs = computed(() =>
  opened.value?.source.from === 'derived' ? Object.values(opened.value.source.inputs) : [],
)
</script>

<template>
  <Dialog :open="opened !== null" class="fixed inset-0 z-40" @close="close">
    <div class="fixed inset-0 bg-night/30" aria-hidden="true" />
    <DialogPanel
      class="sheet fixed inset-y-0 right-0 w-full max-w-[34rem] overflow-y-auto p-6 sm:inset-y-3 sm:right-3 sm:rounded-2xl"
    >
      <template v-if="opened">
        <div class="flex items-start justify-between gap-4">
          <div>
            <p class="text-[0.85rem] text-ink-soft">How this comes about</p>
            <DialogTitle as="h2" class="text-2xl first-letter:uppercase">{{ opened.label }}</DialogTitle>
          </div>
          <button type="button" class="button px-3" aria-label="Close the working" @click="close">
            <X class="size-5" aria-hidden="true" />
          </button>
        </div>
        <p class="font-display mt-2 text-5xl font-semibold tracking-tight">
          {{ printWorkingValue(opened, preferences.units) }}
        </p>
        <p class="mt-3 rounded-xl bg-paper-deep px-4 py-3 text-[1.02rem]" data-testid="working-sentence">
          {{ workingSentence(opened, preferences.units) }}
        </p>
        <ul v-if="inputs.length > 0" class="mt-4" data-testid="working-tree">
          <WorkingTree v-for="(input, at) in inputs" :key="at" :working="input" />
        </ul>
        <p class="mt-6 flex flex-wrap gap-x-5 gap-y-1 border-t border-line pt-3 text-[0.85rem] text-ink-soft">
          <span class="flex items-center gap-1.5"
            ><span class="size-2 rounded-full bg-go" aria-hidden="true" />typed by you</span
          >
          <span class="flex items-center gap-1.5"
            ><span class="size-2 rounded-full bg-look" aria-hidden="true" />starting value, yours to replace</span
          >
        </p>
      </template>
    </DialogPanel>
  </Dialog>
</template>
