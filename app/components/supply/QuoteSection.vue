<script setup lang="ts">
import { printDuration } from '#core/quantity'
import PaperTools from '~/components/papers/PaperTools.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { useHandover } from '~/composables/handover'
import WorkshopField from '~/components/ui/WorkshopField.vue'

/** What it costs, decoration by decoration, and the price that comes of it. */
const { quote, quoteSheet } = useHandover()
</script>

<template>
  <section aria-label="Cost and price" data-testid="quote">
    <p class="font-display text-[2.1rem] leading-none font-semibold"><FigureLink :working="quote.price" /></p>
    <p class="mb-3 text-ink-soft">
      asked of the client: <FigureLink :working="quote.bare" /> bare, <FigureLink :working="quote.overhead" /> overhead,
      and the margin.
    </p>
    <table class="w-full text-[0.95rem]">
      <thead class="text-left text-[0.8rem] text-ink-soft">
        <tr>
          <th class="font-normal">what</th>
          <th class="text-right font-normal">hands</th>
          <th class="text-right font-normal">cost</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in quote.lines" :key="line.id" class="border-t border-line">
          <th scope="row" class="py-1 text-left font-normal">{{ line.name }}</th>
          <td class="pr-3 text-right whitespace-nowrap text-ink-soft">
            {{ line.handsMin > 0 ? printDuration(line.handsMin) : '' }}
          </td>
          <td class="text-right"><FigureLink :working="line.cost" /></td>
        </tr>
      </tbody>
    </table>
    <p v-if="quote.oneMore.length > 0" class="mt-3 rounded-xl bg-paper-deep px-3.5 py-2" data-testid="one-more">
      One more costs about
      <template v-for="({ decoration, called, cost }, at) in quote.oneMore" :key="decoration"
        >{{ at > 0 ? ', ' : '' }}<FigureLink :working="cost" /> of the {{ called }}</template
      >.
    </p>
    <p v-if="quote.unpriced.length > 0" class="mt-2 text-[0.88rem] text-ink-soft">
      Without a price yet, so left out: {{ quote.unpriced.slice(0, 6).join(', ')
      }}{{ quote.unpriced.length > 6 ? ` and ${quote.unpriced.length - 6} more` : '' }}. Type what a pack costs under
      Stock.
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
    <PaperTools class="mt-3" :papers="[quoteSheet]" ending="quote" title="Quote sheet" />
  </section>
</template>
