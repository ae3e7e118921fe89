<script setup lang="ts">
import { Switch } from '@headlessui/vue'
import { Check } from '@lucide/vue'

/** Done or not, in a list of things to do: large enough for a floury finger. */
defineProps<{ modelValue: boolean; says: string }>()
const emit = defineEmits<{ 'update:modelValue': [on: boolean] }>()
</script>

<template>
  <Switch
    :model-value="modelValue"
    :aria-label="says"
    class="inline-flex size-6 shrink-0 items-center justify-center rounded-md border-[1.5px]"
    :class="modelValue ? 'border-go bg-go text-paper' : 'border-ink-soft bg-paper'"
    @update:model-value="emit('update:modelValue', $event)"
    ><Check v-if="modelValue" class="size-4.5" :stroke-width="3" aria-hidden="true"
  /></Switch>
</template>
