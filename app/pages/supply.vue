<script setup lang="ts">
import { NuxtLink } from '#components'
import { ClipboardList } from '@lucide/vue'
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { computed } from 'vue'
import { listCost } from '#core/supply'
import ShoppingSection from '~/components/supply/ShoppingSection.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { afterFigures } from '~/composables/afterFigures'
import { usePlanned } from '~/composables/planned'
import { useSupplied } from '~/composables/supplied'

const ShoppingPaper = afterFigures(() => import('~/components/supply/ShoppingPaper.vue'))
const StockSection = afterFigures(() => import('~/components/supply/StockSection.vue'))
const EquipmentSection = afterFigures(() => import('~/components/supply/EquipmentSection.vue'))
const QuoteSection = afterFigures(() => import('~/components/supply/QuoteSection.vue'))

const { plan, workshop } = usePlanned()
const { shopping } = useSupplied()
const toBuy = computed(() => shopping.value.filter(({ packs }) => packs.value > 0))
const cost = computed(() => listCost(shopping.value, workshop.value.prices.currency))
const TABS = ['To buy', 'Stock'] as const
</script>

<template>
  <div v-if="plan.decorations.length === 0">
    <LeafHeading title="Nothing to buy yet"
      >Lay something on the cake in Arrange, and the shopping list writes itself, net of what is on the
      shelf.</LeafHeading
    >
  </div>
  <div v-else>
    <div class="mb-3 flex flex-wrap items-start justify-between gap-4">
      <LeafHeading class="mb-0!" :title="toBuy.length === 0 ? 'All on the shelf' : `${toBuy.length} things to buy`"
        >In whole packs, net of stock and of what other commissions keep<template v-if="toBuy.length > 0"
          >; about <FigureLink :working="cost" /> in all</template
        >.</LeafHeading
      >
      <ShoppingPaper />
    </div>
    <div class="grid gap-x-10 gap-y-6 xl:grid-cols-[1fr_22rem]">
      <TabGroup as="div" class="min-w-0">
        <TabList class="no-print mb-3 flex gap-1.5"
          ><Tab v-for="tab in TABS" :key="tab" v-slot="{ selected }" as="template"
            ><button
              type="button"
              class="rounded-full px-4 py-2 font-semibold"
              :class="selected ? 'bg-go-soft shadow-[inset_0_0_0_1.5px_var(--go)]' : 'bg-paper-deep'"
            >
              {{ tab }}
            </button></Tab
          ></TabList
        >
        <TabPanels
          ><TabPanel><ShoppingSection /></TabPanel
          ><TabPanel class="grid grid-cols-[minmax(0,1fr)] justify-items-start gap-6 *:w-full"
            ><NuxtLink to="/drawers" class="button button-go w-auto!" data-testid="take-count">
              <ClipboardList class="size-4.5" aria-hidden="true" />Take stock on one page </NuxtLink
            ><StockSection /><EquipmentSection /></TabPanel
        ></TabPanels>
      </TabGroup>
      <QuoteSection class="no-print" />
    </div>
  </div>
</template>
