<script setup lang="ts">
import { NuxtLink } from '#components'
import BouquetLeaf from '~/components/arrange/BouquetLeaf.vue'
import { useChosenDecoration } from '~/components/arrange/chosen'
import DecorationTabs from '~/components/arrange/DecorationTabs.vue'
import DecorationLeaf from '~/components/arrange/DecorationLeaf.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { usePlanned } from '~/composables/planned'

const { option } = usePlanned()
const { open } = useChosenDecoration(() => option.value)
</script>

<template>
  <div>
    <DecorationTabs />
    <BouquetLeaf v-if="option.bouquets.some(({ id }) => id === open)" :id="open" :key="open" />
    <DecorationLeaf v-else-if="open" :id="open" :key="open" />
    <LeafHeading v-else title="Nothing on the cake yet"
      >Add a decoration above, or begin with something composed on your own tiers.</LeafHeading
    >
    <NuxtLink v-if="!open" to="/beginnings" class="button button-go w-fit" data-testid="see-beginnings"
      >See the beginnings</NuxtLink
    >
  </div>
</template>
