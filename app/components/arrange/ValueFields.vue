<script setup lang="ts">
import type { z } from 'zod'
import { computed, useId } from 'vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import { formFields } from './formFields'

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

const id = useId()
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
    <label v-else-if="field.kind === 'choice'" :for="`${id}-${field.key}`" class="block text-[0.8rem] text-ink-soft"
      >{{ field.label
      }}<select
        :id="`${id}-${field.key}`"
        class="field-input text-ink"
        :value="values[field.key]"
        :data-testid="`${testPrefix}-${field.key}`"
        @change="emit('set', field.key, ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="option in field.options" :key="option.value" :value="option.value">{{ option.name }}</option>
      </select></label
    >
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
    <label v-else class="flex items-center gap-2 text-[0.92rem]"
      ><input
        type="checkbox"
        class="size-5 accent-(--go)"
        :checked="values[field.key] as boolean"
        :data-testid="`${testPrefix}-${field.key}`"
        @change="emit('set', field.key, ($event.target as HTMLInputElement).checked)"
      />{{ field.label }}</label
    >
  </template>
</template>
