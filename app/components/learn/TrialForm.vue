<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed, ref } from 'vue'
import DryingTrialForm from './DryingTrialForm.vue'
import ShrinkTrialForm from './ShrinkTrialForm.vue'
import SpeedTrialForm from './SpeedTrialForm.vue'

/** A trial in half a minute: what, and the two numbers that tell it. */
const kinds = [
  { id: 'shrink', name: 'Shrink', form: ShrinkTrialForm },
  { id: 'drying', name: 'Drying', form: DryingTrialForm },
  { id: 'speed', name: 'Speed', form: SpeedTrialForm },
] as const
const kind = ref<(typeof kinds)[number]['id']>('shrink')
const form = computed(() => kinds.find(({ id }) => id === kind.value)!.form)
</script>

<template>
  <section aria-label="Log a trial" data-testid="trial-form" class="rounded-2xl bg-paper-deep/60 p-4">
    <h2 class="part-title mb-2">Log a trial</h2>
    <RadioGroup v-model="kind" class="mb-3 flex gap-2"
      ><RadioGroupLabel as="p" class="sr-only">Of what</RadioGroupLabel
      ><RadioGroupOption v-for="each in kinds" :key="each.id" :value="each.id" class="choice py-1.5!">{{
        each.name
      }}</RadioGroupOption></RadioGroup
    >
    <component :is="form" />
  </section>
</template>
