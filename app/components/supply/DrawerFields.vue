<script setup lang="ts">
import { stockSchema } from '#core/supply'
import { setOnHand, stockOf, type Item } from '#core/workshop'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'

/** How much of each thing lies in a drawer. */
defineProps<{ items: readonly Item[] }>()
const { studio, workshop } = usePlanned()
const amount = (kind: Item['kind']) => stockSchema.shape.onHand.meta({ label: 'On hand', kind })
const tell = (item: Item, value: number): void =>
  studio.edit('on hand', ({ workshop: draft }) => setOnHand(draft, item, value), `on hand ${item.item}`)
</script>

<template>
  <QuantityField
    v-for="item in items"
    :key="item.item"
    inline
    :label="item.name"
    :schema="amount(item.kind)"
    :model-value="stockOf(workshop, item.item)?.onHand ?? 0"
    :data-testid="`drawer-${item.item}`"
    @update:model-value="tell(item, $event)"
  />
</template>
