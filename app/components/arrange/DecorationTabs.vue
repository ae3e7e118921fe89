<script setup lang="ts">
import { Flower2, Plus } from '@lucide/vue'
import { computed, ref } from 'vue'
import { NuxtLink } from '#components'
import type { Decoration } from '#core/commission'
import type { PlannedDecoration } from '#core/decoration'
import WhatGoesOn from '~/components/start/WhatGoesOn.vue'
import SheetDialog from '~/components/ui/SheetDialog.vue'
import { usePlanned } from '~/composables/planned'
import { useChosenDecoration } from './chosen'
import { useAdding } from './useAdding'

const { plan, option } = usePlanned()
const { open, choose } = useChosenDecoration(() => option.value)

/** Tabs of decorations that a bouquet holds, or that none holds. */
const tabsIn = (bouquet: string | null) =>
  option.value.decorations
    .filter(({ gathered }) => (gathered?.bouquet ?? null) === bouquet)
    .flatMap((decoration: Decoration) => {
      const made = plan.value.decorations.find((each: PlannedDecoration) => each.id === decoration.id)
      return made
        ? [{ id: made.id, name: made.name, count: made.elements.length, colour: made.colour.heart, bouquet: false }]
        : []
    })
const tabs = computed(() => [
  ...option.value.bouquets.flatMap(({ id, name }) => [
    { id, name, count: tabsIn(id).reduce((sum, { count }) => sum + count, 0), colour: '', bouquet: true },
    ...tabsIn(id),
  ]),
  ...tabsIn(null),
])

const isAdding = ref(false)
/** What is chosen is put on once the pictures are gone. */
function close(then: () => void): void {
  isAdding.value = false
  then()
}
const { isFull, hasRoomForBouquet, add, addBouquet } = useAdding()
</script>

<template>
  <div class="relative z-20 mb-3 flex flex-wrap items-center gap-1.5" data-testid="decorations">
    <button
      v-for="tab in tabs"
      :key="tab.id"
      type="button"
      class="button min-h-9 gap-1.5! px-2.5 text-[0.88rem]"
      :class="tab.id === open ? 'bg-go-soft ring-2 ring-go' : ''"
      :aria-pressed="tab.id === open"
      @click="choose(tab.id)"
    >
      <Flower2 v-if="tab.bouquet" class="size-4 text-go" aria-hidden="true" /><span
        v-else
        class="size-3.5 rounded-full shadow-inner"
        :style="{ background: tab.colour }"
        aria-hidden="true"
      />{{ tab.name }}<span class="font-normal text-ink-soft">{{ tab.count }}</span>
    </button>
    <button
      type="button"
      class="button min-h-9 gap-1! px-2.5 text-[0.88rem]"
      data-testid="add-decoration"
      :disabled="isFull"
      @click="isAdding = true"
    >
      <Plus class="size-4" aria-hidden="true" />Add
    </button>
    <SheetDialog :open="isAdding" title="What goes on the cake?" @close="isAdding = false">
      <p class="mb-3">
        <NuxtLink class="figure-link" to="/beginnings" data-testid="to-beginnings"
          >Composed beginnings, on your own tiers</NuxtLink
        >
      </p>
      <WhatGoesOn
        :with-bouquet="hasRoomForBouquet"
        :with-beginnings="false"
        @technique="(id) => close(() => add(id))"
        @bouquet="close(addBouquet)"
      />
    </SheetDialog>
  </div>
</template>
