<script setup lang="ts">
import LeafHeading from '~/components/ui/LeafHeading.vue'
</script>

<template>
  <div class="max-w-xl">
    <LeafHeading title="What your own trials say">Nothing logged yet.</LeafHeading>
    <p>This leaf will keep your trials: how much your film shrinks, how long it dries in your room, how fast your hands are. Each will replace a starting value in the plan. Until then every figure that rests on a starting value says so in its working.</p>
  </div>
</template>
