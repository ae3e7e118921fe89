<script setup lang="ts" generic="Value extends string | number">
import { Listbox, ListboxButton, ListboxLabel, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { Check, ChevronDown } from '@lucide/vue'
import { computed, useAttrs } from 'vue'
import type { Choice } from './choice'

/** One of a few things, chosen from a list. What is not asked of the field itself goes to its button. */
defineOptions({ inheritAttrs: false })
const props = defineProps<{
  label: string
  modelValue: Value
  choices: readonly Choice<Value>[]
  /** The label is said, not shown: what stands beside it shows what it is. */
  hideLabel?: boolean
  /** What the closed field shows, where that is shorter than what the list says. */
  shown?: string
  disabled?: boolean
  class?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [value: Value] }>()
const attrs = useAttrs()
const chosen = computed(() => props.choices.find(({ value }) => value === props.modelValue))
const opensGroup = (at: number): boolean =>
  props.choices[at]!.group !== undefined && props.choices[at]!.group !== props.choices[at - 1]?.group
</script>

<template>
  <Listbox
    as="div"
    class="relative min-w-0"
    :class="props.class"
    :model-value="modelValue"
    :disabled="disabled"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <ListboxLabel class="block text-[0.8rem] text-ink-soft" :class="hideLabel ? 'sr-only' : ''">{{
      label
    }}</ListboxLabel>
    <ListboxButton v-bind="attrs" class="field-input flex items-center justify-between gap-1.5 text-left text-ink">
      <span class="truncate">{{ shown ?? chosen?.says ?? '' }}</span>
      <ChevronDown class="size-4 shrink-0 text-ink-soft" aria-hidden="true" />
    </ListboxButton>
    <ListboxOptions class="choices sheet">
      <template v-for="(choice, at) in choices" :key="choice.value">
        <li v-if="opensGroup(at)" role="presentation" class="px-3 pt-2 pb-0.5 text-[0.78rem] text-ink-soft">
          {{ choice.group }}
        </li>
        <ListboxOption
          v-slot="{ active, selected }"
          as="template"
          :value="choice.value"
          :disabled="choice.disabled ?? false"
          ><li
            class="flex min-h-9 cursor-pointer items-center gap-2 px-3 py-1 text-[0.95rem]"
            :class="[active ? 'bg-go-soft' : '', choice.disabled ? 'cursor-not-allowed text-ink-soft' : '']"
            :data-value="choice.value"
          >
            <Check class="size-4 shrink-0" :class="selected ? 'text-go' : 'invisible'" aria-hidden="true" />
            <span :class="selected ? 'font-semibold' : ''">{{ choice.says }}</span>
          </li></ListboxOption
        >
      </template>
    </ListboxOptions>
  </Listbox>
</template>
