<script setup lang="ts">
import { computed } from 'vue'
import { quotePaper } from '#core/deliver'
import { currencyName, currencySign, printDuration, type Currency } from '#core/quantity'
import type { Quote } from '#core/plan'
import { inCurrency, PRICE_NAMES, pricesSchema, type PriceName } from '#core/supply'
import PaperTools from '~/components/papers/PaperTools.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { useSupplied } from '~/composables/supplied'
import { usePreferences } from '~/stores/preferences'
import CurrencyChoice from './CurrencyChoice.vue'
import SortableTable from '~/components/ui/SortableTable.vue'
import type { TableColumn } from '~/components/ui/tableColumn'
import WorkshopField from '~/components/ui/WorkshopField.vue'

/** What it costs, decoration by decoration, and the price that comes of it. */
const { quote } = useSupplied()
const { studio, workshop, plan, commission } = usePlanned()
const preferences = usePreferences()
const quoteSheet = computed(() =>
  quotePaper({ plan: plan.value, commission: commission.value, units: preferences.units }, quote.value),
)
const currency = computed(() => workshop.value.prices.currency)
const columns: readonly TableColumn<Quote['lines'][number]>[] = [
  { id: 'name', header: 'What', sortBy: ({ name }) => name, isHeading: true },
  { id: 'hands', header: 'Hands', sortBy: ({ handsMin }) => handsMin, align: 'right' },
  { id: 'cost', header: 'Cost', sortBy: ({ cost }) => cost.value, align: 'right' },
]
const priceLabel = (name: PriceName): string =>
  `${pricesSchema.shape[name].meta()!.label as string}, ${currencySign(currency.value)}`
const setCurrency = (code: Currency): void =>
  studio.edit('currency', ({ workshop: draft }) => {
    draft.prices = inCurrency(draft.prices, code)
  })
</script>

<template>
  <section aria-label="Cost and price" data-testid="quote">
    <p class="font-display text-[2.1rem] leading-none font-semibold"><FigureLink :working="quote.price" /></p>
    <p class="mb-3 text-ink-soft">
      asked of the client: <FigureLink :working="quote.bare" /> bare, <FigureLink :working="quote.overhead" /> overhead,
      and the margin.
    </p>
    <SortableTable class="text-[0.95rem]" :rows="quote.lines" :columns>
      <template #name="{ row }">{{ row.name }}</template>
      <template #hands="{ row }"
        ><span class="text-ink-soft">{{ row.handsMin > 0 ? printDuration(row.handsMin) : '' }}</span></template
      >
      <template #cost="{ row }"><FigureLink :working="row.cost" /></template>
    </SortableTable>
    <p v-if="quote.oneMore.length > 0" class="mt-3 rounded-xl bg-paper-deep px-3.5 py-2" data-testid="one-more">
      One more costs about
      <template v-for="({ decoration, called, cost }, at) in quote.oneMore" :key="decoration"
        >{{ at > 0 ? ', ' : '' }}<FigureLink :working="cost" /> of the {{ called }}</template
      >.
    </p>
    <div class="mt-3 grid grid-cols-2 gap-x-5">
      <WorkshopField
        v-for="key in ['overhead', 'margin'] as const"
        :key="key"
        group="pricing"
        :name="key"
        :edits="key"
      />
    </div>
    <details class="mt-4" data-testid="prices">
      <summary class="font-display font-semibold">Your prices, in {{ currencyName(currency) }}</summary>
      <p class="mt-1 text-[0.86rem] text-ink-soft">
        Guesses to begin with; put in your own. What is bought in packs has its price under Stock.
      </p>
      <div class="mt-2 grid grid-cols-2 gap-x-5 gap-y-2">
        <CurrencyChoice class="col-span-2" :model-value="currency" @update:model-value="setCurrency" />
        <WorkshopField
          v-for="name in PRICE_NAMES"
          :key="name"
          group="prices"
          :name="name"
          :label="priceLabel(name)"
          edits="prices"
        />
      </div>
    </details>
    <PaperTools class="mt-3" :papers="[quoteSheet]" ending="quote" title="Quote sheet" />
  </section>
</template>
