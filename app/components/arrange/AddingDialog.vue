<script setup lang="ts">
import { NuxtLink } from '#components'
import type { TechniqueId } from '#core/technique'
import WhatGoesOn from '~/components/start/WhatGoesOn.vue'
import SheetDialog from '~/components/ui/SheetDialog.vue'
import { useAdding } from './useAdding'

/** What can still go on the cake, as pictures; what is chosen is put on once they are gone. */
const emit = defineEmits<{ close: [] }>()
const { hasRoomForBouquet, add, addBouquet } = useAdding()

function addOne(technique: TechniqueId): void {
  emit('close')
  add(technique)
}
function addGathered(): void {
  emit('close')
  addBouquet()
}
</script>

<template>
  <SheetDialog title="What goes on the cake?" @close="emit('close')">
    <p class="mb-3">
      <NuxtLink class="figure-link" to="/beginnings" data-testid="to-beginnings"
        >Composed beginnings, on your own tiers</NuxtLink
      >
    </p>
    <WhatGoesOn :with-bouquet="hasRoomForBouquet" :with-beginnings="false" @technique="addOne" @bouquet="addGathered" />
  </SheetDialog>
</template>
