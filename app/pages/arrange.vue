<script setup lang="ts">
import { defineAsyncComponent } from 'vue'
import { NuxtLink } from '#components'
import { useChosenDecoration } from '~/components/arrange/chosen'
import DecorationTabs from '~/components/arrange/DecorationTabs.vue'
import DecorationLeaf from '~/components/arrange/DecorationLeaf.vue'
import { useAdding } from '~/components/arrange/useAdding'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import { usePlanned } from '~/composables/planned'

/** Each brings what only it needs. */
const BouquetLeaf = defineAsyncComponent(() => import('~/components/arrange/BouquetLeaf.vue'))
const WhatGoesOn = defineAsyncComponent(() => import('~/components/start/WhatGoesOn.vue'))

const { option } = usePlanned()
const { open } = useChosenDecoration(() => option.value)
const { add, addBouquet } = useAdding()
</script>

<template>
  <div>
    <DecorationTabs v-if="open" />
    <BouquetLeaf v-if="option.bouquets.some(({ id }) => id === open)" :id="open" :key="open" />
    <DecorationLeaf v-else-if="open" :id="open" :key="open" />
    <template v-else>
      <LeafHeading title="Nothing on the cake yet"
        >Touch what goes on it, or begin with
        <NuxtLink to="/beginnings" class="figure-link" data-testid="see-beginnings"
          >something composed on your own tiers</NuxtLink
        >.</LeafHeading
      >
      <WhatGoesOn :with-beginnings="false" @technique="add" @bouquet="addBouquet" />
    </template>
  </div>
</template>
