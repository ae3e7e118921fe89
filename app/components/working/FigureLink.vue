<script setup lang="ts">
import { computed, watch } from 'vue'
import { printWorkingValue, type Working } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'
import { useWorkingPanel } from './panel'

const props = defineProps<{ working: Working; after?: string }>()

const preferences = usePreferences()
const panel = useWorkingPanel()
watch(
  () => props.working,
  (now, before) => panel.follow(before, now),
)
const value = computed(() => printWorkingValue(props.working, preferences.units))
</script>

<template>
  <button
    type="button"
    class="figure-link whitespace-nowrap"
    :aria-label="`${working.label} ${value}: how it comes about`"
    @click="panel.open(working)"
  >
    {{ value }}{{ after }}
  </button>
</template>
