<script setup lang="ts">
import type { z } from 'zod'
import { computed, useId } from 'vue'
import { printQuantity } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'
import QuantityField from './QuantityField.vue'
import { arrowStep, fieldRules } from './fieldRules'

const props = defineProps<{ schema: z.ZodNumber; modelValue: number; label?: string }>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()

const preferences = usePreferences()
const id = useId()
const rules = computed(() => fieldRules(props.schema))
const step = computed(() => arrowStep(rules.value.kind, preferences.units))
const share = computed(() => `${(100 * (props.modelValue - rules.value.min)) / (rules.value.max - rules.value.min)}%`)
</script>

<template>
  <div class="min-w-0">
    <QuantityField
      :schema="schema"
      :model-value="modelValue"
      :label="label"
      hide-help
      inline
      @update:model-value="emit('update:modelValue', $event)"
    />
    <label :for="id" class="sr-only">{{ label ?? rules.label }}, slide</label>
    <input
      :id="id"
      class="slider"
      type="range"
      :min="rules.min"
      :max="rules.max"
      :step="step"
      :value="modelValue"
      :style="{ '--share': share }"
      :aria-valuetext="printQuantity(modelValue, rules.kind, preferences.units)"
      @input="emit('update:modelValue', Number(($event.target as HTMLInputElement).value))"
    />
  </div>
</template>
