<script setup lang="ts">
import { computed } from 'vue'
import { shoppingPaper } from '#core/deliver'
import PaperTools from '~/components/papers/PaperTools.vue'
import { usePlanned } from '~/composables/planned'
import { useSupplied } from '~/composables/supplied'
import { usePreferences } from '~/stores/preferences'

/** What to buy, on paper. */
const { plan, commission } = usePlanned()
const preferences = usePreferences()
const { shopping } = useSupplied()
const paper = computed(() =>
  shoppingPaper({ plan: plan.value, commission: commission.value, units: preferences.units }, shopping.value),
)
</script>

<template>
  <PaperTools :papers="[paper]" ending="shopping" title="Shopping list" />
</template>
