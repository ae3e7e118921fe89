<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { isUsualSize } from '#core/material'
import { sheetsAtHomeSchema, stockSchema } from '#core/supply'
import { dyeItem, setOnHand, sheetItem, stockOf, type Item, type Workshop } from '#core/workshop'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import WorkshopField from '~/components/ui/WorkshopField.vue'
import { useHandover } from '~/composables/handover'
import { usePlanned } from '~/composables/planned'

/** Taking stock: what lies in the drawers, on one screen, counted in one go. */
const { studio, workshop } = usePlanned()
const { needs } = useHandover()
const MOULDS = ['halfSphere', 'foamHole', 'pan', 'fan', 'rack', 'dryRoom'] as const

const inUse = computed(() => workshop.value.papers.filter((each) => each.inUse))
/** A size that something lies of is shown with the usual ones. */
const isShown = ({ paper, shape }: Workshop['papers'][number]): boolean =>
  isUsualSize(paper, shape) || onHand(sheetItem(paper, shape)) > 0
const sheets = computed(() => ({
  shown: inUse.value.filter(isShown).map(({ paper, shape }) => sheetItem(paper, shape)),
  folded: inUse.value.filter((each) => !isShown(each)).map(({ paper, shape }) => sheetItem(paper, shape)),
}))
const dyes = computed(() => workshop.value.dyes.filter(({ inUse }) => inUse).map(dyeItem))
/** All else that lies on a shelf, or that this cake takes. */
const others = computed((): readonly Item[] => {
  const known = new Set([...sheets.value.shown, ...sheets.value.folded, ...dyes.value].map(({ item }) => item))
  const kept = workshop.value.stock.map(({ pack, ...each }): Item => ({ ...each, usualPack: pack }))
  return [...kept, ...needs.value].filter(({ item }) => !known.has(item) && known.add(item))
})
const onHand = ({ item }: Item): number => stockOf(workshop.value, item)?.onHand ?? 0
const amount = (kind: Item['kind']) => stockSchema.shape.onHand.meta({ label: 'On hand', kind })
const tell = (item: Item, value: number): void =>
  studio.edit('on hand', ({ workshop: draft }) => setOnHand(draft, item, value), `on hand ${item.item}`)
</script>

<template>
  <div data-testid="drawers">
    <LeafHeading title="What is in your drawers?"
      >Count once; every cake after knows it. What is left empty is bought.
      <NuxtLink to="/supply" class="figure-link" data-testid="drawers-done">To the shopping list</NuxtLink>
    </LeafHeading>
    <div class="grid items-start gap-x-10 gap-y-5 md:grid-cols-2 xl:grid-cols-3">
      <section aria-labelledby="drawer-paper">
        <h2 id="drawer-paper" class="part-title mb-1">Paper and film, sheets</h2>
        <QuantityField
          v-for="item in sheets.shown"
          :key="item.item"
          inline
          :label="item.name"
          :schema="sheetsAtHomeSchema"
          :model-value="onHand(item)"
          :data-testid="`drawer-${item.item}`"
          @update:model-value="tell(item, $event)"
        />
        <details v-if="sheets.folded.length > 0" class="mt-2">
          <summary class="text-[0.92rem] font-semibold">Other sizes</summary>
          <QuantityField
            v-for="item in sheets.folded"
            :key="item.item"
            inline
            :label="item.name"
            :schema="sheetsAtHomeSchema"
            :model-value="onHand(item)"
            @update:model-value="tell(item, $event)"
          />
        </details>
      </section>
      <section aria-labelledby="drawer-colour">
        <h2 id="drawer-colour" class="part-title mb-1">Colour</h2>
        <QuantityField
          v-for="item in dyes"
          :key="item.item"
          inline
          :label="item.name"
          :schema="amount(item.kind)"
          :model-value="onHand(item)"
          @update:model-value="tell(item, $event)"
        />
        <h2 class="part-title mt-4 mb-1">Formers and tools</h2>
        <WorkshopField inline label="Mats" group="mats" name="count" edits="mats" />
        <WorkshopField inline label="Trays" group="trays" name="count" edits="trays" />
        <WorkshopField inline group="own" name="ovenPlaces" edits="oven places" />
        <WorkshopField v-for="mould in MOULDS" :key="mould" inline group="moulds" :name="mould" edits="moulds" />
      </section>
      <section v-if="others.length > 0" aria-labelledby="drawer-others">
        <h2 id="drawer-others" class="part-title mb-1">And what this cake takes</h2>
        <QuantityField
          v-for="item in others"
          :key="item.item"
          inline
          :label="item.name"
          :schema="amount(item.kind)"
          :model-value="onHand(item)"
          @update:model-value="tell(item, $event)"
        />
      </section>
    </div>
  </div>
</template>
