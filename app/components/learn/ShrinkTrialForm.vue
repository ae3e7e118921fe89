<script setup lang="ts">
import { computed } from 'vue'
import { shrinkTrialSchema, SHRINK_WAYS, SHRINK_WORDS } from '#core/learn'
import { MOST_TRIALS } from '#core/workshop'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import TrialFrame from './TrialFrame.vue'
import { useTrial } from './useTrial'

/** A piece measured before it was wetted and after it was dry. */
const { workshop } = usePlanned()
const { field, submit, problem } = useTrial(
  shrinkTrialSchema,
  () => ({ way: 'mat' as const, beforeMm: 200, afterMm: 195 }),
  ({ shrinkTrials }, trial) => shrinkTrials.push(trial),
)
const [way] = field('way')
const [beforeMm] = field('beforeMm')
const [afterMm] = field('afterMm')
const isFull = computed(() => workshop.value.shrinkTrials.length >= MOST_TRIALS)
const { shape } = shrinkTrialSchema
const WAYS = choicesOf(SHRINK_WAYS, (each) => SHRINK_WORDS[each])
</script>

<template>
  <TrialFrame :problem :is-full @submit="submit">
    <ChoiceField v-model="way" class="col-span-2" :label="shape.way.meta()!.label as string" :choices="WAYS" />
    <QuantityField v-model="beforeMm" :schema="shape.beforeMm" />
    <QuantityField v-model="afterMm" :schema="shape.afterMm" />
  </TrialFrame>
</template>
