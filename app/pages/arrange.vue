<script setup lang="ts">
import BouquetLeaf from '~/components/arrange/BouquetLeaf.vue'
import { useChosenDecoration } from '~/components/arrange/chosen'
import DecorationTabs from '~/components/arrange/DecorationTabs.vue'
import DecorationLeaf from '~/components/arrange/DecorationLeaf.vue'
import SweepLeaf from '~/components/arrange/SweepLeaf.vue'
import { usePlanned } from '~/composables/planned'

const { option } = usePlanned()
const { open } = useChosenDecoration(() => option.value)
</script>

<template>
  <div>
    <DecorationTabs />
    <SweepLeaf v-if="open === 'sails'" />
    <BouquetLeaf v-else-if="option.bouquets.some(({ id }) => id === open)" :id="open" :key="open" />
    <DecorationLeaf v-else :id="open" :key="open" />
  </div>
</template>
