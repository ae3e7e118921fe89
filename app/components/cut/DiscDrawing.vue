<script setup lang="ts">
import { computed } from 'vue'
import type { CutDisc } from '#core/cut'
import { discShapes } from '#core/draw'
import { paintShapes } from '~/components/stand/shapePaint'
import { useLit } from '~/components/stand/lit'

const props = defineProps<{ disc: CutDisc; tint: (shade: number) => string; mmPerRem: number }>()

const lit = useLit()
/** Large enough to read on a screen, where discs are drawn at a tenth of their size. */
const ON_SCREEN_MM = 26
const radius = computed(() => props.disc.diameterMm / 2)
const shapes = computed(() =>
  discShapes(props.disc, { x: radius.value, y: radius.value }, props.tint, true, ON_SCREEN_MM),
)
const painted = computed(() => paintShapes(shapes.value, `disc-${props.disc.number}`))
const labels = computed(() => shapes.value.flatMap((shape) => (shape.kind === 'label' ? [shape] : [])))
const size = computed(() => `${props.disc.diameterMm / props.mmPerRem}rem`)
const elements = computed(() =>
  props.disc.sectors.flatMap(({ piece }) => (piece.element === null ? [] : [piece.element])),
)
const isLit = computed(() => elements.value.some((element) => lit.isLit('sail', element)))
const described = computed(() => {
  const pieces = props.disc.sectors.map(
    ({ piece }) => `piece ${piece.number}, ${piece.portion}${piece.element === null ? ', spare' : ''}`,
  )
  return `Disc ${props.disc.number}, ${props.disc.diameterMm} mm: ${pieces.join('; ')}`
})
</script>

<template>
  <figure class="grid justify-items-center" @pointerenter="lit.hoverMany('sail', elements)" @pointerleave="lit.leave()">
    <svg
      :viewBox="`-1 -1 ${disc.diameterMm + 2} ${disc.diameterMm + 2}`"
      :style="{ width: size, height: size }"
      role="img"
      :aria-label="described"
    >
      <g :transform="`translate(0 ${disc.diameterMm})`">
        <path
          v-for="(path, at) in painted.paths"
          :key="at"
          :d="path.d"
          :fill="path.fill"
          :fill-opacity="path.fillOpacity"
          :stroke="isLit ? 'var(--go)' : path.stroke"
          :stroke-width="isLit ? 3 : 1.4"
          :stroke-dasharray="path.dash"
        />
        <text
          v-for="(label, at) in labels"
          :key="at"
          :x="label.at.x"
          :y="-label.at.y"
          text-anchor="middle"
          dominant-baseline="middle"
          :font-size="label.sizeMm"
          font-weight="700"
          :fill="label.colour"
        >
          {{ label.text }}
        </text>
      </g>
    </svg>
    <figcaption class="text-[0.8rem] text-ink-soft">disc {{ disc.number }}</figcaption>
  </figure>
</template>
