<script setup lang="ts">
import { cuttingToolsSchema, type CuttingTools } from '#core/cut'
import WorkshopField from '~/components/ui/WorkshopField.vue'
import PunchesField from './PunchesField.vue'

/** Edges, gaps and reach of what the studio cuts with. */
const { punchesMm: _, ...numbers } = cuttingToolsSchema.shape
const keys = Object.keys(numbers) as Exclude<keyof CuttingTools, 'punchesMm'>[]
</script>

<template>
  <details>
    <summary class="figure-link w-fit list-none">Edges, gaps and tools</summary>
    <div class="mt-2 grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-6 gap-y-2">
      <WorkshopField v-for="key in keys" :key="key" group="tools" :name="key" edits="cutting tools" />
      <PunchesField />
    </div>
  </details>
</template>
