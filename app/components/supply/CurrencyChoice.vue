<script setup lang="ts">
import { CURRENCIES, currencyName, currencySign, type Currency } from '#core/quantity'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

/** The money that prices are kept in. */
defineProps<{ modelValue: Currency }>()
const emit = defineEmits<{ 'update:modelValue': [currency: Currency] }>()
const choices = choicesOf(CURRENCIES, (code) => `${currencyName(code)}, ${currencySign(code)}`)
</script>

<template>
  <ChoiceField
    label="Prices are in"
    :choices="choices"
    :model-value="modelValue"
    data-testid="currency"
    @update:model-value="emit('update:modelValue', $event)"
  />
</template>
