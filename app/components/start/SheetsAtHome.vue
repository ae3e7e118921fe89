<script setup lang="ts">
import { sheetsAtHomeSchema } from '#core/supply'
import QuantityField from '~/components/ui/QuantityField.vue'

/** How many sheets of each paper and size lie in the studio. */
defineProps<{ papers: readonly { readonly name: string }[]; counts: Readonly<Record<string, number>> }>()
const emit = defineEmits<{ change: [name: string, sheets: number] }>()
</script>

<template>
  <div class="grid gap-0.5">
    <div v-for="{ name } in papers" :key="name" class="flex items-center justify-between gap-2">
      <span class="text-[0.88rem]">{{ name }}</span>
      <QuantityField
        class="w-14"
        :schema="sheetsAtHomeSchema"
        :label="`${name}, sheets`"
        hide-label
        :model-value="counts[name] ?? 0"
        @update:model-value="(sheets) => emit('change', name, sheets)"
      />
    </div>
  </div>
</template>
