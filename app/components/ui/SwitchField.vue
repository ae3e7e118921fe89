<script setup lang="ts">
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'
import { useAttrs } from 'vue'

/** On or off, at once. What is not asked of the field itself goes to the switch. */
defineOptions({ inheritAttrs: false })
defineProps<{ modelValue: boolean; disabled?: boolean; class?: string }>()
const emit = defineEmits<{ 'update:modelValue': [on: boolean] }>()
const attrs = useAttrs()
</script>

<template>
  <SwitchGroup as="div" class="flex min-h-9 items-center gap-2.5" :class="$props.class">
    <Switch
      v-bind="attrs"
      :model-value="modelValue"
      :disabled="disabled"
      class="inline-flex h-6 w-10 shrink-0 items-center rounded-full border-[1.5px] transition-colors disabled:opacity-50"
      :class="modelValue ? 'border-go bg-go' : 'border-ink-soft bg-paper-deep'"
      @update:model-value="emit('update:modelValue', $event)"
      ><span
        class="size-4 rounded-full transition-transform"
        :class="modelValue ? 'translate-x-5 bg-paper' : 'translate-x-0.5 bg-ink-soft'"
        aria-hidden="true"
      />
    </Switch>
    <SwitchLabel v-if="$slots.default" class="text-[0.92rem]"><slot /></SwitchLabel>
  </SwitchGroup>
</template>
