<script setup lang="ts">
import { putOnShelf } from '#core/workshop'
import { PackagePlus } from '@lucide/vue'
import { computed } from 'vue'
import { printWorkingValue } from '#core/quantity'
import { SHELF_WORDS, SHELVES, type ShoppingLine } from '#core/supply'
import FigureLink from '~/components/working/FigureLink.vue'
import { useSupplied } from '~/composables/supplied'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import { useBench } from '~/stores/bench'
import TickBox from '~/components/ui/TickBox.vue'

/** What to buy, as one walks along the shelves; ticked off in the shop, received into stock at home. */
const { studio, workshop } = usePlanned()
const { shopping } = useSupplied()
const bench = useBench()
const preferences = usePreferences()
const shelves = computed(() =>
  SHELVES.map((shelf) => ({
    shelf,
    lines: shopping.value.filter(({ need, packs }) => need.shelf === shelf && packs.value > 0),
  })).filter(({ lines }) => lines.length > 0),
)
const enough = computed(() => shopping.value.filter(({ packs }) => packs.value === 0))
const shown = (line: ShoppingLine, value: number): string =>
  printWorkingValue({ kind: line.need.kind, value }, preferences.units)
const mark = ({ need }: ShoppingLine): string => `bought ${need.item}`.slice(0, 160)
const isTicked = (line: ShoppingLine): boolean => bench.bench.ticks[mark(line)] !== undefined
const tick = (line: ShoppingLine, on: boolean): void =>
  bench.change(on ? 'in the basket' : 'back on the list', (before) => ({
    ...before,
    ticks: on
      ? { ...before.ticks, [mark(line)]: studio.now }
      : Object.fromEntries(Object.entries(before.ticks).filter(([each]) => each !== mark(line))),
  }))
const ticked = computed(() => shelves.value.flatMap(({ lines }) => lines).filter(isTicked))

/** Everything in the basket goes on the shelf, and off the list. */
function receive(): void {
  const lines = ticked.value
  const marks = lines.map(mark)
  bench.change(
    'received into stock',
    (before) => ({
      ...before,
      ticks: Object.fromEntries(Object.entries(before.ticks).filter(([each]) => !marks.includes(each))),
    }),
    (draft) => {
      for (const line of lines) putOnShelf(draft, line.need, line.packs.value * line.pack)
    },
  )
}

const isTaken = computed(() => bench.bench.ticks['stock taken'] !== undefined)
/** What the job used comes off the shelves, once. */
const take = (): void =>
  bench.change(
    'taken off the shelves',
    (before) => ({ ...before, ticks: { ...before.ticks, 'stock taken': studio.now } }),
    (draft) => {
      for (const { need } of shopping.value) putOnShelf(draft, need, -need.amount.value)
    },
  )
const hasStock = computed(() => shopping.value.some(({ onHand }) => onHand > 0) && workshop.value !== null)
</script>

<template>
  <section aria-label="To buy" data-testid="shopping">
    <p v-if="shelves.length === 0" class="rounded-xl bg-go-soft px-3.5 py-2">Everything is on the shelf.</p>
    <div v-for="{ shelf, lines } in shelves" :key="shelf" class="mb-4">
      <h2 class="part-title mb-1">{{ SHELF_WORDS[shelf] }}</h2>
      <ul>
        <li
          v-for="line in lines"
          :key="line.need.item"
          class="border-t border-line"
          :data-testid="`buy-${line.need.item}`"
        >
          <label class="grid min-h-12 grid-cols-[1.6rem_6.5rem_1fr_auto] items-center gap-x-3 py-1">
            <TickBox
              :says="`In the basket: ${line.need.name}`"
              :model-value="isTicked(line)"
              @update:model-value="tick(line, $event)"
            />
            <span
              class="font-display text-[1.1rem] font-semibold whitespace-nowrap"
              :class="isTicked(line) ? 'text-ink-soft' : ''"
              >{{ line.packs.value }} × {{ shown(line, line.pack) }}</span
            >
            <span class="min-w-0"
              ><span class="font-semibold">{{ line.need.name }}</span
              ><span class="block text-[0.86rem] text-ink-soft"
                ><FigureLink :working="line.need.amount" /> needed, {{ shown(line, line.onHand) }} on hand<template
                  v-if="line.reserved > 0"
                  >, {{ shown(line, line.reserved) }} kept for others</template
                >; <FigureLink :working="line.packs" :after="line.packs.value === 1 ? ' pack' : ' packs'" /></span
            ></span>
            <span class="text-right text-[0.92rem]"><FigureLink :working="line.cost" /></span>
          </label>
        </li>
      </ul>
    </div>
    <div class="no-print flex flex-wrap gap-2">
      <button
        type="button"
        class="button button-go"
        :disabled="ticked.length === 0"
        data-testid="receive"
        @click="receive"
      >
        <PackagePlus class="size-4.5" aria-hidden="true" />Put
        {{ ticked.length === 1 ? 'what is' : `all ${ticked.length} that are` }} ticked on the shelf
      </button>
      <button v-if="hasStock" type="button" class="button" :disabled="isTaken" data-testid="take-stock" @click="take">
        {{ isTaken ? 'What the job used is off the shelves' : 'Take what the job uses off the shelves' }}
      </button>
    </div>
    <details v-if="enough.length > 0" class="mt-3">
      <summary class="font-display font-semibold">On the shelf already ({{ enough.length }})</summary>
      <ul class="mt-1 text-[0.92rem]">
        <li v-for="line in enough" :key="line.need.item" class="border-t border-line py-1">
          {{ line.need.name }}: <FigureLink :working="line.need.amount" /> of {{ shown(line, line.onHand) }}
        </li>
      </ul>
    </details>
  </section>
</template>
