<script setup lang="ts">
import type { Decoration } from '#core/commission'
import type { PlannedDecoration } from '#core/decoration'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { pilesIn, tierWords } from '#core/cake'
import type { Spot } from '#core/compose'
import { coveringOf } from '#core/material'
import { drawnElements } from '#core/plan'
import { printQuantity } from '#core/quantity'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'
import { placeOn, vPull, type PointerPlace } from '~/composables/pulled'
import { usePreferences } from '~/stores/preferences'
import { useArranging } from './arranging'
import HandlePoint from './HandlePoint.vue'
import { labelPlaces } from './labels'
import { sideMapOf } from './sideMap'
import { unrolledOutline } from './unrolled'

const props = defineProps<{ decoration: Decoration; made: PlannedDecoration; firstElement: number }>()

const { plan } = usePlanned()
const preferences = usePreferences()
const lit = useLit()
const { handles, pickedIndex, isPinned, pick, pullingOver, nudgeHandle } = useArranging()
const drawing = ref<SVGSVGElement | null>(null)
const { width, height } = useElementSize(drawing)

const stack = computed(() => plan.value.stack)
const map = computed(() => sideMapOf(stack.value))
const view = computed(() => ({
  left: -map.value.halfWidthMm - 18,
  top: -34,
  width: 2 * map.value.halfWidthMm + 36,
  height: map.value.heightMm + 72 + room.value,
}))
/** Room below for the handles' words, mm: it does not depend on what is drawn, lest the drawing would jump. */
const room = computed(() => map.value.heightMm / 12)
const perPixel = computed(() =>
  width.value && height.value ? Math.max(view.value.width / width.value, view.value.height / height.value) : 1,
)
const outlines = computed(() =>
  drawnElements(props.decoration, plan.value)
    .map(({ element, mesh, colour }, at) => ({
      at,
      index: element.index,
      colour,
      points: unrolledOutline(element, mesh, stack.value[element.tier]!, map.value),
      pin: element.on === 'side' ? map.value.toMap(element.tier, element.angleDeg, element.heightMm) : null,
    }))
    .filter(({ points }) => points !== ''),
)
const onTop = computed(() => props.made.elements.filter(({ on }) => on === 'top').length)
/** One of several cakes by its name, tiers by their number. */
const bandWords = (at: number): string => (pilesIn(stack.value) > 1 ? tierWords(stack.value, at) : `tier ${at + 1}`)
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)

/** Handles on the side, where they lie on the drawing; those on a top are on the stand. */
const shown = computed(() =>
  handles.value
    .filter(({ on }) => on === 'side')
    .map((handle) => ({ ...handle, ...map.value.toMap(handle.tier, handle.angleDeg, handle.heightMm) })),
)
/** Words that are always there: the tiers' and the front's. */
const written = computed(() => [
  ...map.value.bands.map(({ left, top }, at) => {
    const words = bandLabel(at)
    return {
      id: `tier ${at}`,
      words,
      x: left + (7 + words.length * 3.2) * perPixel.value,
      y: top + 16 * perPixel.value,
    }
  }),
  { id: 'front', words: 'front', x: 0, y: frontY.value },
])
const frontY = computed(() => map.value.heightMm + 20 * perPixel.value)
const bandLabel = (at: number): string => `${bandWords(at)}, ${length(stack.value[at]!.perimeterMm)} round`
const labels = computed(() =>
  labelPlaces(
    shown.value.map(({ id, x, y, name }) => ({ id, x, y, words: name })),
    perPixel.value,
    written.value,
    { left: view.value.left, right: view.value.left + view.value.width },
  ),
)
/** Edges of a band, drawn right across it. */
const edges = computed(() =>
  props.decoration.composition.kind === 'band'
    ? shown.value
        .filter(({ id }) => id === 'to' || id === 'from')
        .map(({ id, y, tier }) => ({ id, y, half: stack.value[tier]!.perimeterMm / 2 }))
    : [],
)

/** The spot of the side under a pointer. */
function spotUnder(at: PointerPlace): Spot | null {
  const place = placeOn(drawing.value, at)
  return place && { ...map.value.fromMap(place.x, place.y), on: 'side', outMm: 0 }
}

const { pullHandle, pullPicked } = pullingOver(spotUnder)
</script>

<template>
  <svg
    ref="drawing"
    class="w-full select-none"
    :viewBox="`${view.left} ${view.top} ${view.width} ${view.height}`"
    role="group"
    aria-label="The side of the cake, unrolled"
    :style="{ aspectRatio: `${view.width} / ${view.height}`, maxHeight: 'max(14rem, 40vh)' }"
  >
    <g v-for="(band, at) in map.bands" :key="at" @click="pick(null)">
      <polygon
        :points="`${band.left},${band.top + band.height} ${-band.left},${band.top + band.height} 
          ${band.rim / 2},${band.top} ${-band.rim / 2},${band.top}`"
        stroke-linejoin="round"
        :fill="stack[at]!.colour ?? coveringOf(stack[at]!.covering).colour"
        fill-opacity="0.22"
        stroke="var(--line)"
        :stroke-width="perPixel"
      />
      <text
        :x="band.left + 7 * perPixel"
        :y="band.top + 16 * perPixel"
        :font-size="12 * perPixel"
        fill="var(--ink-soft)"
      >
        {{ bandLabel(at) }}
      </text>
    </g>
    <line
      x1="0"
      x2="0"
      :y1="view.top"
      :y2="map.heightMm + 4"
      stroke="var(--ink-soft)"
      :stroke-width="perPixel"
      :stroke-dasharray="`${2 * perPixel} ${4 * perPixel}`"
    />
    <text x="0" :y="frontY" text-anchor="middle" :font-size="12 * perPixel" fill="var(--ink-soft)">front</text>
    <text
      v-if="onTop > 0"
      x="0"
      :y="-8 * perPixel"
      text-anchor="middle"
      :font-size="12 * perPixel"
      fill="var(--ink-soft)"
    >
      {{ onTop }} on a top: pull them on the stand
    </text>
    <g
      v-for="outline in outlines"
      :key="outline.index"
      v-pull="{ take: () => pick(outline.index), pull: pullPicked }"
      class="cursor-move"
      style="touch-action: none"
      :data-testid="`unrolled-${outline.index}`"
      @pointerenter="lit.hover('element', firstElement + outline.at)"
      @pointerleave="lit.leave()"
    >
      <polygon
        :points="outline.points"
        :fill="outline.colour"
        :fill-opacity="outline.index === pickedIndex ? 0.85 : 0.55"
        :stroke="
          lit.isLit('element', firstElement + outline.at) || outline.index === pickedIndex ? 'var(--go)' : 'var(--ink)'
        "
        stroke-opacity="0.55"
        :stroke-width="
          (lit.isLit('element', firstElement + outline.at) || outline.index === pickedIndex ? 3 : 0.8) * perPixel
        "
        stroke-linejoin="round"
      />
      <circle
        v-if="isPinned(outline.index) && outline.pin"
        :cx="outline.pin.x"
        :cy="outline.pin.y"
        :r="3.5 * perPixel"
        fill="var(--go)"
        stroke="var(--paper)"
        :stroke-width="perPixel"
      />
    </g>
    <line
      v-for="edge in edges"
      :key="edge.id"
      :x1="-edge.half"
      :x2="edge.half"
      :y1="edge.y"
      :y2="edge.y"
      stroke="var(--ink)"
      :stroke-width="1.5 * perPixel"
      :stroke-dasharray="`${8 * perPixel} ${4 * perPixel}`"
      pointer-events="none"
    />
    <HandlePoint
      v-for="handle in shown"
      :key="handle.id"
      :x="handle.x"
      :y="handle.y"
      :per-pixel="perPixel"
      :says="handle.name"
      :data-testid="`handle-${handle.id}`"
      @pull="pullHandle(handle.id, $event)"
      @nudge="(right, up) => nudgeHandle(handle.id, right, up)"
    >
      <text
        :x="labels.get(handle.id)!.x"
        :y="labels.get(handle.id)!.y"
        text-anchor="middle"
        :font-size="11.5 * perPixel"
        font-weight="600"
        fill="var(--ink)"
        stroke="var(--paper)"
        :stroke-width="3 * perPixel"
        paint-order="stroke"
        pointer-events="none"
      >
        {{ handle.name.toLowerCase() }}
      </text>
    </HandlePoint>
  </svg>
</template>
