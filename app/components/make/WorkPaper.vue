<script setup lang="ts">
import { computed } from 'vue'
import { workPaper } from '#core/deliver'
import PaperTools from '~/components/papers/PaperTools.vue'
import { usePlanned } from '~/composables/planned'
import { useBench } from '~/stores/bench'
import { usePreferences } from '~/stores/preferences'

/** All steps, on paper. */
const { plan, commission } = usePlanned()
const preferences = usePreferences()
const bench = useBench()
const paper = computed(() =>
  workPaper({ plan: plan.value, commission: commission.value, units: preferences.units }, bench.cards),
)
</script>

<template>
  <PaperTools :papers="[paper]" ending="steps" title="Steps on paper" />
</template>
