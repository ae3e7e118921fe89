<script setup lang="ts">
import { computed } from 'vue'
import { runSchema } from '#core/learn'
import { MOST_RUNS } from '#core/workshop'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import { stepName } from './knowledge'
import { FIRST_STEP, standardMin, STEP_CHOICES } from './timedSteps'
import TrialFrame from './TrialFrame.vue'
import { useTrial } from './useTrial'

/** Work that was done with a clock beside it. */
const { workshop } = usePlanned()
const { field, submit, problem } = useTrial(
  runSchema,
  () => ({
    step: FIRST_STEP,
    name: stepName(FIRST_STEP),
    commission: '',
    standardMin: standardMin(FIRST_STEP, 6),
    minutes: 30,
    technique: '',
    good: 6,
    broken: 0,
  }),
  // How many there were is told by the time they take; as pieces they are of no technique, and count for none.
  ({ runs }, trial) =>
    runs.push({
      ...trial,
      name: stepName(trial.step),
      standardMin: standardMin(trial.step, Math.max(1, trial.good)),
      good: 0,
    }),
)
const [step] = field('step')
const [pieces] = field('good')
const [minutes] = field('minutes')
const isFull = computed(() => workshop.value.runs.length >= MOST_RUNS)
const { shape } = runSchema
</script>

<template>
  <TrialFrame :problem :is-full @submit="submit">
    <ChoiceField v-model="step" class="col-span-2" label="Which work" :choices="STEP_CHOICES" />
    <QuantityField v-model="pieces" :schema="shape.good" label="How many" />
    <QuantityField v-model="minutes" :schema="shape.minutes" label="Took, all of them" />
  </TrialFrame>
</template>
