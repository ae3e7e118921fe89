<script setup lang="ts">
import { cuttingToolsSchema, type CuttingTools } from '#core/cut'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'

/** Edges, gaps and reach of what the studio cuts with. */
const { workshop, studio } = usePlanned()
const keys = Object.keys(cuttingToolsSchema.shape) as (keyof CuttingTools)[]
</script>

<template>
  <details>
    <summary class="figure-link w-fit list-none">Edges, gaps and tools</summary>
    <div class="mt-2 grid max-w-3xl grid-cols-[repeat(auto-fill,minmax(13rem,1fr))] gap-x-6 gap-y-2">
      <QuantityField
        v-for="key in keys"
        :key="key"
        :schema="cuttingToolsSchema.shape[key]"
        :model-value="workshop.tools[key]"
        @update:model-value="
          studio.edit('cutting tools', (draft) => {
            draft.workshop.tools[key] = $event
          })
        "
      />
    </div>
  </details>
</template>
