<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { isUsualSize } from '#core/material'
import { dyeItem, sheetItem, stockOf, type Item, type Workshop } from '#core/workshop'
import DrawerFields from '~/components/supply/DrawerFields.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import WorkshopField from '~/components/ui/WorkshopField.vue'
import { useSupplied } from '~/composables/supplied'
import { usePlanned } from '~/composables/planned'

/** Taking stock: what lies in the drawers, on one screen, counted in one go. */
const { workshop } = usePlanned()
const { needs } = useSupplied()
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
        <DrawerFields :items="sheets.shown" />
        <details v-if="sheets.folded.length > 0" class="mt-2">
          <summary class="text-[0.92rem] font-semibold">Other sizes</summary>
          <DrawerFields :items="sheets.folded" />
        </details>
      </section>
      <section aria-labelledby="drawer-colour">
        <h2 id="drawer-colour" class="part-title mb-1">Colour</h2>
        <DrawerFields :items="dyes" />
        <h2 class="part-title mt-4 mb-1">Formers and tools</h2>
        <WorkshopField inline label="Mats" group="mats" name="count" edits="mats" />
        <WorkshopField inline label="Trays" group="trays" name="count" edits="trays" />
        <WorkshopField inline group="own" name="ovenPlaces" edits="oven places" />
        <WorkshopField v-for="mould in MOULDS" :key="mould" inline group="moulds" :name="mould" edits="moulds" />
      </section>
      <section v-if="others.length > 0" aria-labelledby="drawer-others">
        <h2 id="drawer-others" class="part-title mb-1">And what this cake takes</h2>
        <DrawerFields :items="others" />
      </section>
    </div>
  </div>
</template>
