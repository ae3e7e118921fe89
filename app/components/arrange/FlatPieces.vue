<script setup lang="ts">
import { computed } from 'vue'
import type { Decoration } from '#core/commission'
import type { PlannedDecoration } from '#core/decoration'
import FinishedElement from './FinishedElement.vue'
import FlatPiece from './FlatPiece.vue'
import { largestOf, sideAtScale, takingToo } from './flatSize'

/** Pieces of a decoration as they are cut and what becomes of them, all to one scale. */
const props = defineProps<{ decoration: Decoration; made: PlannedDecoration }>()

/** Sizes drawn here; every one is listed in Cut. */
const MOST_DRAWN = 8
const shown = computed(() => props.made.classes.slice(0, MOST_DRAWN))
/** One scale for the flat pieces and for what becomes of them. */
const drawnIn = computed(() => {
  const [first] = shown.value
  const flats = largestOf(shown.value)
  return first ? takingToo(flats, { widthMm: first.seenWidth.value, heightMm: first.seenHeight.value }) : flats
})
</script>

<template>
  <div class="flex flex-wrap gap-3" data-testid="flat-pieces">
    <FlatPiece v-for="(piece, at) in shown" :key="at" :piece="piece" :colour="piece.colour" :largest="drawnIn" />
    <FinishedElement
      v-if="made.elements.length > 0"
      :decoration="decoration"
      :made="made"
      :side-mm="sideAtScale(drawnIn)"
    />
  </div>
</template>
