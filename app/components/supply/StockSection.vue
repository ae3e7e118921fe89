<script setup lang="ts">
import { keptOf, setOnHand, stockOf, type Item } from '#core/workshop'
import { FileDown, FileUp } from '@lucide/vue'
import { computed, ref } from 'vue'
import { z } from 'zod'
import { currencySign } from '#core/quantity'
import { packPriceOf, SHELF_WORDS, SHELVES, stockSchema, type Stock } from '#core/supply'
import QuantityField from '~/components/ui/QuantityField.vue'
import { useSupplied } from '~/composables/supplied'
import { usePlanned } from '~/composables/planned'
import { chosenFile } from '~/files/chosen'
import { download } from '~/files/download'

/** The shelves: what this job touches and all that was kept before, with packs and prices. */
const { studio, workshop } = usePlanned()
const { needs } = useSupplied()
const problem = ref('')
const input = ref<HTMLInputElement | null>(null)
const rows = computed((): readonly Item[] => {
  const kept = workshop.value.stock
    .filter(({ item }) => !needs.value.some((need) => need.item === item))
    .map(({ pack, ...each }): Item => ({ ...each, usualPack: pack }))
  return [...needs.value, ...kept]
})
const shelves = computed(() =>
  SHELVES.map((shelf) => ({ shelf, rows: rows.value.filter((row) => row.shelf === shelf) })).filter(
    (each) => each.rows.length > 0,
  ),
)
const have = (row: Item) => stockOf(workshop.value, row.item) ?? { onHand: 0, pack: row.usualPack, packPrice: null }
/** What a pack costs: as typed, or a usual one's price where this job takes it; none where nobody knows. */
const packPrice = (row: Item): number | null => {
  const need = needs.value.find(({ item }) => item === row.item)
  const { pack: holds, packPrice: own } = have(row)
  return need ? packPriceOf(need, holds, own).value : own
}
const priceLabel = computed(() => `A pack costs, ${currencySign(workshop.value.prices.currency)}`)
const amount = (kind: Stock['kind']) => z.number().min(0).max(1e7).meta({ label: 'On hand', kind })
const pack = (kind: Stock['kind']) => z.number().min(0.01).max(1e7).meta({ label: 'In a pack', kind })
const price = stockSchema.shape.packPrice.unwrap().meta({ kind: 'money' })

const tell = (row: Item, amount: number): void =>
  studio.edit('on hand', ({ workshop: draft }) => setOnHand(draft, row, amount), `on hand ${row.item}`)
function setPack(row: Item, value: number): void {
  studio.edit(
    'pack',
    ({ workshop: draft }) => {
      keptOf(draft, row).pack = value
    },
    `pack ${row.item}`,
  )
}
const setPrice = (row: Item, value: number | null): void =>
  studio.edit(
    'price of a pack',
    ({ workshop: draft }) => {
      keptOf(draft, row).packPrice = value
    },
    `price ${row.item}`,
  )

async function save(): Promise<void> {
  const { writeStockCsv } = await import('#core/format/stockCsv')
  download(
    writeStockCsv(
      rows.value.map((row): Stock => ({
        item: row.item,
        name: row.name.slice(0, 80),
        shelf: row.shelf,
        kind: row.kind,
        ...have(row),
      })),
    ),
    'stock.csv',
    'text/csv',
  )
}

async function bring(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const { readStockCsv } = await import('#core/format/stockCsv')
  const read = readStockCsv(await file.text())
  problem.value = read.ok ? '' : `${file.name}, line ${read.error.line}: ${read.error.say} Nothing was taken.`
  if (!read.ok) return
  studio.edit('stock from a table', ({ workshop: draft }) => {
    for (const each of read.value) {
      const row: Item = { ...each, usualPack: each.pack }
      setOnHand(draft, row, each.onHand)
      Object.assign(keptOf(draft, row), { onHand: each.onHand, pack: each.pack, packPrice: each.packPrice })
    }
  })
}
</script>

<template>
  <section aria-label="On the shelves" data-testid="stock">
    <div v-for="{ shelf, rows: own } in shelves" :key="shelf" class="mb-3">
      <h3 class="part-title mb-1">{{ SHELF_WORDS[shelf] }}</h3>
      <div
        v-for="row in own"
        :key="row.item"
        class="grid grid-cols-[minmax(0,1fr)_5.2rem_5.2rem_6rem] items-end gap-x-4 border-t border-line py-1"
        :data-testid="`stock-${row.item}`"
      >
        <span class="pb-1.5">{{ row.name }}</span>
        <QuantityField
          :schema="amount(row.kind)"
          :model-value="have(row).onHand"
          @update:model-value="tell(row, $event)"
        />
        <QuantityField
          :schema="pack(row.kind)"
          :model-value="have(row).pack"
          @update:model-value="setPack(row, $event)"
        />
        <QuantityField
          :schema="price"
          :label="priceLabel"
          none="not known"
          :model-value="packPrice(row)"
          @update:model-value="setPrice(row, $event)"
          @clear="setPrice(row, null)"
        />
      </div>
    </div>
    <p v-if="problem" role="alert" class="mb-2 rounded-xl bg-look-soft px-3.5 py-2">{{ problem }}</p>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="button" data-testid="stock-csv" @click="save">
        <FileDown class="size-4.5" aria-hidden="true" />Save as a table</button
      ><button type="button" class="button" @click="input?.click()">
        <FileUp class="size-4.5" aria-hidden="true" />Read a table
      </button>
    </div>
    <input
      ref="input"
      type="file"
      accept=".csv,text/csv,text/plain"
      class="hidden"
      aria-label="Table of stock"
      data-testid="stock-input"
      @change="bring"
    />
  </section>
</template>
