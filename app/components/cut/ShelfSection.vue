<script setup lang="ts">
import { computed } from 'vue'
import { z } from 'zod'
import { printQuantity } from '#core/quantity'
import { paperOf, shapeName, type PaperId, type StockShape } from '#core/material'
import { paperItem, paperName } from '#core/supply'
import { keptOf, stockOf, workshopSchema, type Workshop } from '#core/workshop'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import SwitchField from '~/components/ui/SwitchField.vue'

/** Sheets and discs of the papers on this cake: which sizes are worked with, how many lie on the shelf, any size more. */
const { studio, workshop, plan } = usePlanned()
const preferences = usePreferences()

type Row = Workshop['papers'][number]
const papers = computed(() => [...new Set(plan.value.groups.map(({ paper }) => paper))])
const rowsOf = (paper: PaperId): readonly Row[] => workshop.value.papers.filter((each) => each.paper === paper)
const onHand = z.number().int().min(0).max(5000).meta({ label: 'On the shelf', kind: 'count' })
const size = z.number().min(40).max(1200).meta({ label: 'A disc of', kind: 'length' })

const isSame = (one: Row, other: Row): boolean =>
  paperItem(one.paper, one.shape) === paperItem(other.paper, other.shape)
const setInUse = (row: Row, inUse: boolean): void =>
  studio.edit(`${shapeName(row.shape)} in use`, (draft) => {
    draft.workshop.papers.find((each) => isSame(each, row))!.inUse = inUse
  })
const held = ({ paper, shape }: Row): number => stockOf(workshop.value, paperItem(paper, shape))?.onHand ?? 0
const setHeld = ({ paper, shape }: Row, value: number): void =>
  studio.edit('on the shelf', (draft) => {
    const item = paperItem(paper, shape)
    keptOf(draft.workshop, {
      item,
      name: paperName(paper, shape),
      shelf: 'paper',
      kind: 'count',
      usualPack: 10,
    }).onHand = value
  })
/** A size that the list does not have yet. */
function addSize(paper: PaperId, diameterMm: number): void {
  const shape: StockShape = { kind: 'disc', diameterMm }
  if (rowsOf(paper).some((each) => paperItem(paper, each.shape) === paperItem(paper, shape))) return
  studio.edit(`${shapeName(shape)} too`, (draft) => {
    draft.workshop.papers.push({ paper, shape, inUse: true, thicknessMm: paperOf(paper).thicknessMm })
  })
}
const { thicknessMm: thick } = workshopSchema.shape.papers.unwrap().shape
/** The thicknesses of what is worked with. */
const thicknessWords = (paper: PaperId): string =>
  [...new Set(rowsOf(paper).flatMap(({ inUse, thicknessMm }) => (inUse ? [thicknessMm] : [])))]
    .sort((one, other) => one - other)
    .map((mm) => printQuantity(mm, 'length', preferences.units))
    .join(', ')
const setThick = (row: Row, value: number): void =>
  studio.edit('thickness of film', (draft) => {
    draft.workshop.papers.find((each) => isSame(each, row))!.thicknessMm = value
  })
</script>

<template>
  <section v-for="paper in papers" :key="paper" :data-testid="`shelf-${paper}`">
    <h2 class="part-title mb-1 first-letter:uppercase">{{ paperOf(paper).name }} on the shelf</h2>
    <ul class="grid gap-1">
      <li
        v-for="row in rowsOf(paper)"
        :key="paperItem(row.paper, row.shape)"
        class="grid grid-cols-[auto_1fr] items-baseline gap-2.5"
      >
        <SwitchField
          class="self-center"
          :aria-label="`Cut from ${shapeName(row.shape)}`"
          :model-value="row.inUse"
          @update:model-value="setInUse(row, $event)"
        />
        <QuantityField
          :schema="onHand"
          inline
          :label="`${shapeName(row.shape)}, on hand`"
          :model-value="held(row)"
          @update:model-value="setHeld(row, $event)"
        />
      </li>
    </ul>
    <details v-if="paperOf(paper).kind === 'film'" class="mt-1 text-[0.9rem]">
      <summary class="figure-link w-fit list-none">how thick it is: {{ thicknessWords(paper) }}</summary>
      <QuantityField
        v-for="row in rowsOf(paper)"
        :key="paperItem(row.paper, row.shape)"
        :schema="thick"
        inline
        :label="shapeName(row.shape)"
        :model-value="row.thicknessMm"
        @update:model-value="setThick(row, $event)"
      />
    </details>
    <details v-if="paperOf(paper).kind === 'film'" class="mt-1 text-[0.9rem]">
      <summary class="figure-link w-fit list-none">another size of disc</summary>
      <QuantityField :schema="size" :model-value="200" @update:model-value="addSize(paper, $event)" />
    </details>
  </section>
</template>
