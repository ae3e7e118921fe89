<script setup lang="ts">
import { computed } from 'vue'
import type { CardPicture } from '#core/make'
import { pathData } from '#core/format/svg'
import { flipMove } from '#core/geometry'
import { cakeRoom, drawnElements, sceneOf } from '#core/plan'
import LoadDrawing from '~/components/dry/LoadDrawing.vue'
import CakeStill from '~/components/stand/CakeStill.vue'
import MeshStill from '~/components/stand/MeshStill.vue'
import { wholeCake } from '~/components/stand/wholeCake'
import { usePlanned } from '~/composables/planned'

/** What is in hand, as a picture. */
const props = defineProps<{ picture: CardPicture }>()
const { commission, plan, option } = usePlanned()

const MOST_OUTLINES = 6
const made = computed(() => {
  const { picture } = props
  return picture.kind === 'sheets' || picture.kind === 'element'
    ? (plan.value.decorations.find(({ id }) => id === picture.decoration) ?? null)
    : null
})
const drawn = computed(() => {
  const decoration = option.value.decorations.find(({ id }) => id === made.value?.id)
  return decoration ? (drawnElements(decoration, plan.value)[0] ?? null) : null
})
/** Outlines of the decoration's pieces side by side, one scale for all. */
const outlines = computed(() => {
  let x = 0
  const shown = (made.value?.classes ?? []).slice(0, MOST_OUTLINES).map((piece) => {
    const points = [piece.outline.start, ...piece.outline.segments.map(({ to }) => to)]
    const [left, low] = [Math.min(...points.map((point) => point.x)), Math.min(...points.map((point) => point.y))]
    const width = Math.max(piece.width.value, Math.max(...points.map((point) => point.x)) - left)
    const height = Math.max(piece.height.value, Math.max(...points.map((point) => point.y)) - low)
    const at = {
      d: [piece.outline, ...piece.holes].map((outline) => pathData(flipMove(outline, x - left, low))).join(''),
      colour: piece.colour,
      height,
    }
    x += width + 6
    return at
  })
  return { shown, width: x, height: Math.max(10, ...shown.map(({ height }) => height)) }
})
</script>

<template>
  <LoadDrawing
    v-if="picture.kind === 'load'"
    :load="picture.load"
    :decoration="picture.decoration"
    :former="picture.former"
    class="max-h-64 w-full"
  />
  <svg
    v-else-if="picture.kind === 'sheets' && made"
    class="max-h-52 w-full"
    :viewBox="`-3 ${-outlines.height - 3} ${outlines.width + 6} ${outlines.height + 6}`"
    role="img"
    :aria-label="`Pieces of ${made.name.toLowerCase()}, flat`"
  >
    <path
      v-for="(each, at) in outlines.shown"
      :key="at"
      :d="each.d"
      fill-rule="evenodd"
      :fill="each.colour"
      fill-opacity="0.6"
      stroke="var(--ink)"
      :stroke-width="outlines.width / 320"
    />
  </svg>
  <MeshStill v-else-if="drawn && made" class="mx-auto w-full max-w-56" :drawn :says="`One of the ${made.called}`" />
  <CakeStill
    v-else
    class="mx-auto w-full max-w-64"
    :scene="sceneOf(option, plan)"
    v-bind="wholeCake(cakeRoom(commission, plan))"
    says="The finished cake"
  />
</template>
