<script setup lang="ts">
import LeafHeading from '~/components/ui/LeafHeading.vue'
</script>

<template>
  <div class="max-w-xl">
    <LeafHeading title="At the bench">Nothing to do here yet.</LeafHeading>
    <p>This leaf will go with you to the bench: today's tasks one big step at a time, timers for every soak and mat, and a tap for each good or broken piece. Until then the timetable and the print of the care card do that work on paper.</p>
  </div>
</template>
