<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from '#imports'
import { useChosenDecoration } from '~/components/arrange/chosen'
import { useLit } from '~/components/stand/lit'
import SortableTable from '~/components/ui/SortableTable.vue'
import type { TableColumn } from '~/components/ui/tableColumn'
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
const rows = computed(() => pieceRows({ dishes: dishes.value, decorations: decorations.value }))
const columns: readonly TableColumn<PieceRow>[] = [
  { id: 'technique', header: 'For', sortBy: ({ technique }) => technique },
  { id: 'piece', header: 'Piece', sortBy: ({ piece }) => piece },
  { id: 'paper', header: 'Paper, face', sortBy: ({ paper }) => paper },
  { id: 'finish', header: 'Finish', sortBy: ({ finish }) => finish },
  { id: 'cut', header: 'Cut', sortBy: ({ sizeMm }) => sizeMm },
  { id: 'seen', header: 'Seen', sortBy: ({ seen }) => seen[1].value },
  { id: 'needed', header: 'Count', sortBy: ({ needed }) => needed.value, align: 'right' },
  { id: 'spares', header: 'Spare', sortBy: ({ spares }) => spares.value, align: 'right' },
]

const isLit = ({ places }: PieceRow): boolean => places.some((place) => lit.isLit('element', place))
const rowProps = (row: PieceRow) => ({
  class: isLit(row) ? 'bg-go-soft' : '',
  onPointerenter: () => lit.hoverMany('element', row.places),
  onPointerleave: () => lit.leave(),
})
const table = ref<HTMLElement | null>(null)
/** An element touched on the stand brings its row into view. */
watch(
  () => rows.value.find(isLit)?.id,
  (id) => {
    if (id && !table.value?.matches(':hover'))
      table.value?.querySelector(`[data-row="${CSS.escape(id)}"]`)?.scrollIntoView({ block: 'nearest' })
  },
)

function open({ decoration }: PieceRow): void {
  choose(decoration)
  void router.push('/arrange')
}
</script>

<template>
  <div ref="table" class="text-[0.9rem]" data-testid="piece-table">
    <SortableTable :rows :columns :row-props="rowProps">
      <template #technique="{ row }">
        <button
          type="button"
          class="figure-link text-left"
          @focus="lit.hoverMany('element', row.places)"
          @blur="lit.leave()"
          @click="open(row)"
        >
          {{ row.technique }}
        </button>
      </template>
      <template #piece="{ row }"
        ><span
          class="mr-1.5 inline-block size-3 rounded-full shadow-inner"
          :style="{ background: row.colour }"
          aria-hidden="true"
        />{{ row.piece }}</template
      >
      <template #paper="{ row }"
        >{{ row.paper }}, <span class="text-ink-soft">{{ row.face }}</span></template
      >
      <template #finish="{ row }">{{ row.finish }}</template>
      <template #cut="{ row }"
        ><span class="whitespace-nowrap"
          ><FigureLink :working="row.cut[0]" /> × <FigureLink :working="row.cut[1]" /></span
      ></template>
      <template #seen="{ row }"
        ><span class="whitespace-nowrap"
          ><FigureLink :working="row.seen[0]" /> × <FigureLink :working="row.seen[1]" /></span
      ></template>
      <template #needed="{ row }"><FigureLink :working="row.needed" /></template>
      <template #spares="{ row }"><FigureLink :working="row.spares" /></template>
    </SortableTable>
  </div>
</template>
