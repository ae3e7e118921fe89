<script setup lang="ts" generic="Row extends { readonly id: string }">
import { ArrowDown, ArrowUp } from '@lucide/vue'
import { getCoreRowModel, getSortedRowModel, useVueTable, type SortingState } from '@tanstack/vue-table'
import { computed, ref } from 'vue'
import type { TableColumn } from './tableColumn'

/** A table that is sorted by a touch on what stands above a column; what is in a cell is given by its column's slot. */
const props = defineProps<{
  rows: readonly Row[]
  columns: readonly TableColumn<Row>[]
  /** What a row carries besides its cells. */
  rowProps?: (row: Row) => Readonly<Record<string, unknown>>
}>()
defineSlots<Record<string, (shown: { readonly row: Row }) => unknown>>()

const sorting = ref<SortingState>([])
const rows = computed(() => [...props.rows])
const table = useVueTable({
  get data() {
    return rows.value
  },
  get columns() {
    return props.columns.map(({ id, header, sortBy }) => ({ id, header, accessorFn: sortBy }))
  },
  getRowId: ({ id }) => id,
  getCoreRowModel: getCoreRowModel(),
  getSortedRowModel: getSortedRowModel(),
  state: {
    get sorting() {
      return sorting.value
    },
  },
  onSortingChange: (next) => {
    sorting.value = typeof next === 'function' ? next(sorting.value) : next
  },
})
const WAYS = { asc: 'ascending', desc: 'descending' } as const
const heads = computed(() =>
  table.getFlatHeaders().map(({ column }) => ({
    column,
    own: props.columns.find(({ id }) => id === column.id)!,
    sorted: sorting.value.length > 0 ? column.getIsSorted() : false,
  })),
)
const isRight = ({ align }: TableColumn<Row>): boolean => align === 'right'
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full">
      <thead class="text-left text-[0.8rem] text-ink-soft">
        <tr>
          <th
            v-for="{ column, own, sorted } in heads"
            :key="own.id"
            scope="col"
            class="pr-3 pb-1 font-normal last:pr-0"
            :class="isRight(own) ? 'text-right' : ''"
            :aria-sort="sorted ? WAYS[sorted] : 'none'"
          >
            <button
              type="button"
              class="inline-flex items-center gap-0.5"
              @click="column.getToggleSortingHandler()?.($event)"
            >
              {{ own.header
              }}<component
                :is="sorted === 'asc' ? ArrowUp : ArrowDown"
                v-if="sorted"
                class="size-3.5"
                aria-hidden="true"
              />
            </button>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ id, original: row } in table.getRowModel().rows"
          :key="id"
          :data-row="id"
          class="border-t border-line align-top"
          v-bind="rowProps?.(row)"
        >
          <component
            :is="own.isHeading ? 'th' : 'td'"
            v-for="own in columns"
            :key="own.id"
            :scope="own.isHeading ? 'row' : undefined"
            class="py-1 pr-3 font-normal last:pr-0"
            :class="isRight(own) ? 'text-right whitespace-nowrap' : 'text-left'"
          >
            <slot :name="own.id" :row="row" />
          </component>
        </tr>
      </tbody>
    </table>
  </div>
</template>
