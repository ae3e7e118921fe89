<script setup lang="ts">
import { ArrowDown, ArrowUp } from '@lucide/vue'
import {
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  useVueTable,
  type SortingState,
} from '@tanstack/vue-table'
import { computed, ref, watch } from 'vue'
import { useRouter } from '#imports'
import { useChosenDecoration } from '~/components/arrange/chosen'
import { useLit } from '~/components/stand/lit'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { pieceRows, type PieceRow } from './pieceRows'

/** All pieces, sorted as wished; a row lights up its elements on the stand, and an element its row. */
const { plan, option } = usePlanned()
const { choose } = useChosenDecoration(() => option.value)
const lit = useLit()
const router = useRouter()

// Each by itself, so that layouts that are found meanwhile do not draw the table anew.
const dishes = computed(() => plan.value.dishes)
const decorations = computed(() => plan.value.decorations)
const rows = computed(() => [...pieceRows({ dishes: dishes.value, decorations: decorations.value })])
const sorting = ref<SortingState>([])
const column = createColumnHelper<PieceRow>()
const columns = [
  column.accessor('technique', { header: 'For' }),
  column.accessor('piece', { header: 'Piece' }),
  column.accessor('paper', { header: 'Paper, face' }),
  column.accessor('finish', { header: 'Finish' }),
  column.accessor('sizeMm', { header: 'Cut' }),
  column.accessor(({ seen }) => seen[1].value, { id: 'seen', header: 'Seen' }),
  column.accessor(({ needed }) => needed.value, { id: 'needed', header: 'Count' }),
  column.accessor(({ spares }) => spares.value, { id: 'spares', header: 'Spare' }),
]
const table = useVueTable({
  get data() {
    return rows.value
  },
  columns,
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

const isLit = ({ places }: PieceRow): boolean => places.some((place) => lit.isLit('element', place))
const body = ref<HTMLElement | null>(null)
/** An element touched on the stand brings its row into view. */
watch(
  () => rows.value.find(isLit)?.id,
  (id) => {
    if (id && !body.value?.matches(':hover'))
      body.value?.querySelector(`[data-row="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' })
  },
)

function open({ decoration }: PieceRow): void {
  choose(decoration)
  void router.push('/arrange')
}
</script>

<template>
  <div class="overflow-x-auto">
    <table class="w-full text-[0.9rem]" data-testid="piece-table">
      <thead class="text-left text-[0.8rem] text-ink-soft">
        <tr>
          <th
            v-for="header in table.getFlatHeaders()"
            :key="header.id"
            scope="col"
            class="pr-3 pb-1 font-normal"
            :aria-sort="
              header.column.getIsSorted() === 'asc'
                ? 'ascending'
                : header.column.getIsSorted() === 'desc'
                  ? 'descending'
                  : 'none'
            "
          >
            <button
              type="button"
              class="flex items-center gap-0.5"
              @click="header.column.getToggleSortingHandler()?.($event)"
            >
              {{ header.column.columnDef.header
              }}<ArrowUp v-if="header.column.getIsSorted() === 'asc'" class="size-3.5" aria-hidden="true" /><ArrowDown
                v-else-if="header.column.getIsSorted() === 'desc'"
                class="size-3.5"
                aria-hidden="true"
              />
            </button>
          </th>
        </tr>
      </thead>
      <tbody ref="body">
        <tr
          v-for="{ original: row } in table.getRowModel().rows"
          :key="row.id"
          :data-row="row.id"
          class="border-t border-line align-top"
          :class="isLit(row) ? 'bg-go-soft' : ''"
          @pointerenter="lit.hoverMany('element', row.places)"
          @pointerleave="lit.leave()"
        >
          <td class="py-1 pr-3">
            <button
              type="button"
              class="figure-link text-left"
              @focus="lit.hoverMany('element', row.places)"
              @blur="lit.leave()"
              @click="open(row)"
            >
              {{ row.technique }}
            </button>
          </td>
          <td class="py-1 pr-3">
            <span
              class="mr-1.5 inline-block size-3 rounded-full shadow-inner"
              :style="{ background: row.colour }"
              aria-hidden="true"
            />{{ row.piece }}
          </td>
          <td class="py-1 pr-3">
            {{ row.paper }}, <span class="text-ink-soft">{{ row.face }}</span>
          </td>
          <td class="py-1 pr-3">{{ row.finish }}</td>
          <td class="py-1 pr-3 whitespace-nowrap">
            <FigureLink :working="row.cut[0]" /> × <FigureLink :working="row.cut[1]" />
          </td>
          <td class="py-1 pr-3 whitespace-nowrap">
            <FigureLink :working="row.seen[0]" /> × <FigureLink :working="row.seen[1]" />
          </td>
          <td class="py-1 pr-3 text-right"><FigureLink :working="row.needed" /></td>
          <td class="py-1 text-right"><FigureLink :working="row.spares" /></td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
