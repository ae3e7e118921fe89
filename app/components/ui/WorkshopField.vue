<script
  setup
  lang="ts"
  generic="Group extends 'mats' | 'trays' | 'moulds' | 'pace' | 'prices' | 'pricing' | 'tools' | 'own'"
>
import type { z } from 'zod'
import { computed } from 'vue'
import { workshopSchema, type Workshop } from '#core/workshop'
import { usePlanned } from '~/composables/planned'
import QuantityField from './QuantityField.vue'

/** A number of the workshop: in one of its groups, or one of its own. `edits` is what undo calls the change. */
type Own = 'people' | 'ovenPlaces' | 'desiccantG' | 'fridgeC' | 'learnFrom' | 'readyChance'
const props = defineProps<{
  group: Group
  name: Group extends keyof Workshop ? Exclude<keyof Workshop[Group], 'currency'> : Own
  edits: string
  label?: string
  inline?: boolean
}>()
const { studio, workshop } = usePlanned()

type Numbers = Record<string, number>
const numbersIn = (whole: Workshop): Numbers =>
  (props.group === 'own' ? whole : whole[props.group as keyof Workshop]) as unknown as Numbers

const schema = computed(() => {
  const { shape } = workshopSchema
  const own = props.group === 'own' ? shape : (shape[props.group as 'mats'] as z.ZodObject).shape
  return own[props.name as keyof typeof own] as unknown as z.ZodNumber
})

function change(value: number): void {
  studio.edit(props.edits, ({ workshop: draft }) => {
    numbersIn(draft)[props.name as string] = value
  })
}
</script>

<template>
  <QuantityField
    :schema="schema"
    :label="label"
    :inline="inline"
    :model-value="numbersIn(workshop)[name as string]!"
    @update:model-value="change"
  />
</template>
