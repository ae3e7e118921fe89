<script setup lang="ts">
import type { z } from 'zod'
import { computed, ref, useId, watch } from 'vue'
import { printQuantity } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'
import { useDraft } from '~/composables/draft'
import { arrowStep, fieldRules, readTyped } from './fieldRules'

const props = defineProps<{
  schema: z.ZodNumber
  modelValue: number | null
  label?: string
  hideHelp?: boolean
  /** The label is said, not shown: what stands beside it shows what it is. */
  hideLabel?: boolean
  inline?: boolean
  /** What goes where nothing is typed, shown in its place; without it, something must be. */
  none?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number]; 'clear': [] }>()

const preferences = usePreferences()
const id = useId()
const rules = computed(() => fieldRules(props.schema))
const shown = computed(() =>
  props.modelValue === null ? '' : printQuantity(props.modelValue, rules.value.kind, preferences.units),
)
const { text, typing, left } = useDraft(() => shown.value)
const problem = ref('')

watch(shown, () => {
  problem.value = ''
})

/**
 * Takes what was typed, or says why not and keeps what was there. Enter takes a number; the form round it is kept by its
 * button.
 */
function commit(): void {
  left()
  if (text.value === shown.value) {
    problem.value = ''
    return
  }
  if (text.value.trim() === '' && props.none !== undefined) {
    emit('clear')
    return
  }
  const typed = readTyped(text.value, rules.value, preferences.units)
  problem.value = typed.ok ? '' : typed.sentence
  if (!typed.ok) return
  if (typed.value === props.modelValue) text.value = shown.value
  else emit('update:modelValue', typed.value)
}

function nudge(direction: 1 | -1, many: boolean): void {
  const step = arrowStep(rules.value.kind, preferences.units) * (many ? 10 : 1)
  const { min, max } = rules.value
  const from = props.modelValue ?? min - direction * step
  emit('update:modelValue', Math.min(max, Math.max(min, from + direction * step)))
}

function giveUp(): void {
  left()
  text.value = shown.value
  problem.value = ''
}
</script>

<template>
  <div class="min-w-0" :class="inline ? 'grid grid-cols-[1fr_5.2rem] items-baseline gap-x-2' : ''">
    <label
      :for="id"
      class="block text-ink-soft"
      :class="hideLabel ? 'sr-only' : inline ? 'text-[0.88rem]' : 'text-[0.8rem]'"
      >{{ label ?? rules.label }}</label
    >
    <input
      :id="id"
      v-model="text"
      class="field-input"
      :class="inline ? 'text-right' : ''"
      autocomplete="off"
      :placeholder="none"
      inputmode="text"
      :aria-invalid="problem !== ''"
      :aria-describedby="problem ? `${id}-problem` : undefined"
      @input="typing"
      @blur="left"
      @change="commit"
      @keydown.enter.prevent="commit"
      @keydown.esc="giveUp"
      @keydown.up.prevent="nudge(1, $event.shiftKey)"
      @keydown.down.prevent="nudge(-1, $event.shiftKey)"
    />
    <p v-if="problem" :id="`${id}-problem`" class="col-span-2 mt-1 text-[0.8rem] font-medium text-stop" role="alert">
      {{ problem }}
    </p>
    <p v-else-if="rules.help && !hideHelp" class="mt-0.5 text-[0.75rem] text-ink-soft">{{ rules.help }}</p>
  </div>
</template>
