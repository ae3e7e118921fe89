<script setup lang="ts">
import type { z } from 'zod'
import { computed } from 'vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import { formFields } from './formFields'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import SwitchField from '~/components/ui/SwitchField.vue'

/** A form made from a schema: numbers slide, choices are chosen, yes or no is ticked. */
const props = defineProps<{
  schema: z.ZodObject
  values: Readonly<Record<string, unknown>>
  leaveOut?: readonly string[]
  /** What goes where nothing is typed, by field. */
  none?: Readonly<Record<string, string>>
  testPrefix: string
}>()
const emit = defineEmits<{ set: [key: string, value: number | string | boolean | null] }>()

const fields = computed(() => formFields(props.schema).filter(({ key }) => !props.leaveOut?.includes(key)))
/** Where nothing is typed it is worked out. */
const optionalOf = (key: string): number | null => (props.values[key] ?? null) as number | null
</script>

<template>
  <template v-for="field in fields" :key="field.key">
    <QuantitySlider
      v-if="field.kind === 'number'"
      :schema="field.schema"
      :model-value="values[field.key] as number"
      :data-testid="`${testPrefix}-${field.key}`"
      @update:model-value="emit('set', field.key, $event)"
    />
    <QuantityField
      v-else-if="field.kind === 'optional'"
      :schema="field.schema"
      :model-value="optionalOf(field.key)"
      :none="none?.[field.key] ?? 'as it comes'"
      hide-help
      inline
      :title="field.help"
      :data-testid="`${testPrefix}-${field.key}`"
      @update:model-value="emit('set', field.key, $event)"
      @clear="emit('set', field.key, null)"
    />
    <ChoiceField
      v-else-if="field.kind === 'choice'"
      :label="field.label"
      :choices="field.options"
      :model-value="values[field.key] as string"
      :data-testid="`${testPrefix}-${field.key}`"
      @update:model-value="emit('set', field.key, $event)"
    />
    <label
      v-else-if="field.kind === 'colour'"
      class="flex items-center justify-between gap-2 text-[0.88rem] text-ink-soft"
      >{{ field.label
      }}<input
        type="color"
        class="h-8 w-9 rounded-lg border-0 bg-transparent p-0"
        :value="values[field.key]"
        :data-testid="`${testPrefix}-${field.key}`"
        @change="emit('set', field.key, ($event.target as HTMLInputElement).value)"
    /></label>
    <SwitchField
      v-else
      :model-value="values[field.key] as boolean"
      :data-testid="`${testPrefix}-${field.key}`"
      @update:model-value="emit('set', field.key, $event)"
      >{{ field.label }}</SwitchField
    >
  </template>
</template>
