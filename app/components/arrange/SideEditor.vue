<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { tierAt } from '#core/cake'
import { coveringOf } from '#core/material'
import { pointAlong } from '#core/compose'
import { printQuantity } from '#core/quantity'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import { useArranging } from './arranging'
import { sideMapOf } from './sideMap'

type Handle = 'from' | 'heart' | 'to'

const { plan, decoration, editDecoration } = usePlanned()
const preferences = usePreferences()
const lit = useLit()
const { pickedIndex, isPinned, pick, move } = useArranging()
const drawing = ref<SVGSVGElement | null>(null)
const { width, height } = useElementSize(drawing)

const map = computed(() => sideMapOf(plan.value.arrangement.stack))
const view = computed(() => ({
  left: -map.value.halfWidthMm - 6,
  top: -22,
  width: 2 * map.value.halfWidthMm + 12,
  height: map.value.heightMm + 56,
}))
const perPixel = computed(() =>
  width.value && height.value ? Math.max(view.value.width / width.value, view.value.height / height.value) : 1,
)
const path = computed(() => plan.value.arrangement.path)
const line = computed(() =>
  path.value
    .map(({ angleDeg, heightMm }) => map.value.toMap(angleDeg, heightMm))
    .map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`)
    .join(''),
)
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)

/** A sail as a fan of its seen size, standing where its foot is. */
const fans = computed(() =>
  plan.value.arrangement.sails.map(({ place, element, sized, shade }, at) => {
    const { x, y } = map.value.toMap(place.angleDeg, place.heightMm)
    const half = Math.min(1.25, Math.asin(Math.min(0.95, sized.seenWidthMm / (2 * sized.seenHeightMm))))
    const reach = sized.seenHeightMm * 0.9
    const side = Math.sin(half) * reach
    const rise = Math.cos(half) * reach
    const lean = ((place.seed % 23) - 11) * 1.4
    return {
      at,
      index: element.index,
      lean,
      x,
      y,
      d:
        `M0 0L${(-side).toFixed(1)} ${(-rise).toFixed(1)}Q${(-side * 0.5).toFixed(1)} ${(-reach * 1.12).toFixed(1)} ` +
        `0 ${(-reach).toFixed(1)}T${side.toFixed(1)} ${(-rise).toFixed(1)}Z`,
      folds: [-0.5, 0, 0.5].map((at) => `M0 0L${(side * at).toFixed(1)} ${(-reach * 0.9).toFixed(1)}`).join(''),
      colour: plan.value.bath?.steps[shade]?.predictedHex ?? '#efece2',
    }
  }),
)

const handles = computed(() => {
  const sweep = decoration.value?.sweep
  if (!sweep || path.value.length === 0) return []
  const heart = pointAlong(path.value, sweep.heart)
  const at = (id: Handle, name: string, angleDeg: number, heightMm: number) => ({
    id,
    name,
    ...map.value.toMap(angleDeg, heightMm),
    angleDeg,
    heightMm,
    says:
      id === 'heart'
        ? `${Math.round(sweep.heart * 100)} % along`
        : `${Math.round(angleDeg)} degrees, ${length(heightMm)} above the board`,
  })
  return [
    at('from', 'Beginning', sweep.fromAngleDeg, path.value[0]!.heightMm),
    at('heart', 'Heart', heart.angleDeg, heart.heightMm),
    at('to', 'End', sweep.toAngleDeg, path.value.at(-1)!.heightMm),
  ]
})

const HEART_STEP = 0.02
const clampAngle = (degrees: number): number => Math.round(Math.min(720, Math.max(-720, degrees)) * 10) / 10

function put(handle: Handle, angleDeg: number, heightMm: number): void {
  editDecoration(
    'move the sweep',
    ({ sweep }) => {
      if (handle === 'from')
        Object.assign(sweep, { fromAngleDeg: clampAngle(angleDeg), fromHeightMm: Math.round(heightMm) })
      if (handle === 'to') Object.assign(sweep, { toAngleDeg: clampAngle(angleDeg), toHeightMm: Math.round(heightMm) })
    },
    `sweep ${handle}`,
  )
}

const putHeart = (share: number): void =>
  editDecoration(
    'move the heart',
    ({ sweep }) => {
      sweep.heart = Math.round(Math.min(1, Math.max(0, share)) * 100) / 100
    },
    'sweep heart',
  )

let held: Handle | 'sail' | null = null

function grabSail(index: number, event: PointerEvent): void {
  pick(index)
  held = 'sail'
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}

function grab(handle: Handle, event: PointerEvent): void {
  held = handle
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}

function drag(event: PointerEvent): void {
  const matrix = drawing.value?.getScreenCTM()
  if (!held || !matrix || event.buttons === 0) return
  const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  if (held === 'heart') putHeart(nearestAlong(point.x, point.y))
  else {
    const { angleDeg, heightMm } = map.value.fromMap(point.x, point.y)
    if (held === 'sail')
      move({ tier: tierAt(plan.value.arrangement.stack, heightMm).index, on: 'side', angleDeg, heightMm, outMm: 0 })
    else put(held, angleDeg, heightMm)
  }
}

/** Share of the sweep's line that lies nearest to a point of the map. */
function nearestAlong(x: number, y: number): number {
  let best = { along: 0, away: Infinity }
  for (const { along, angleDeg, heightMm } of path.value) {
    const seen = map.value.toMap(angleDeg, heightMm)
    const away = Math.hypot(seen.x - x, seen.y - y)
    if (away < best.away) best = { along, away }
  }
  return best.along
}

function nudge(handle: { id: Handle; angleDeg: number; heightMm: number }, event: KeyboardEvent): void {
  const far = event.shiftKey ? 10 : 2
  const moves: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-far, 0],
    ArrowRight: [far, 0],
    ArrowUp: [0, far],
    ArrowDown: [0, -far],
  }
  const move = moves[event.key]
  if (!move || !decoration.value) return
  event.preventDefault()
  if (handle.id === 'heart') putHeart(decoration.value.sweep.heart + Math.sign(move[0] + move[1]) * HEART_STEP)
  else put(handle.id, handle.angleDeg + move[0], Math.max(0, handle.heightMm + move[1]))
}
</script>

<template>
  <svg
    ref="drawing"
    class="w-full select-none"
    :viewBox="`${view.left} ${view.top} ${view.width} ${view.height}`"
    role="group"
    aria-label="The side of the cake, unrolled"
    :style="{ aspectRatio: `${view.width} / ${view.height}`, maxHeight: 'max(15rem, 44vh)' }"
    @pointermove="drag"
    @pointerup="held = null"
  >
    <g v-for="(band, at) in map.bands" :key="at">
      <polygon
        :points="`${band.left},${band.top + band.height} ${-band.left},${band.top + band.height} 
          ${band.rim / 2},${band.top} ${-band.rim / 2},${band.top}`"
        stroke-linejoin="round"
        :fill="plan.arrangement.stack[at]!.colour ?? coveringOf(plan.arrangement.stack[at]!.covering).colour"
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
        {{ length(plan.arrangement.stack[at]!.perimeterMm) }} round, {{ length(band.height) }} high
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
    <text
      x="0"
      :y="map.heightMm + 20 * perPixel"
      text-anchor="middle"
      :font-size="12 * perPixel"
      fill="var(--ink-soft)"
    >
      front
    </text>
    <path
      :d="line"
      fill="none"
      stroke="var(--go)"
      :stroke-width="24 * perPixel"
      stroke-opacity="0.12"
      stroke-linecap="round"
      stroke-linejoin="round"
    />
    <g
      v-for="fan in fans"
      :key="fan.index"
      class="cursor-move"
      style="touch-action: none"
      :data-testid="`unrolled-${fan.index}`"
      :transform="`translate(${fan.x} ${fan.y}) rotate(${fan.lean})`"
      @pointerdown="grabSail(fan.index, $event)"
      @pointerenter="lit.hover('sail', fan.at)"
      @pointerleave="lit.leave()"
    >
      <path
        :d="fan.d"
        :fill="fan.colour"
        fill-opacity="0.6"
        :stroke="lit.isLit('sail', fan.at) || fan.index === pickedIndex ? 'var(--go)' : 'var(--paper)'"
        :stroke-width="(lit.isLit('sail', fan.at) || fan.index === pickedIndex ? 3 : 1.2) * perPixel"
        stroke-linejoin="round"
      />
      <path :d="fan.folds" stroke="#2a1c2c" stroke-opacity="0.25" :stroke-width="perPixel" fill="none" />
      <circle
        v-if="isPinned(fan.index)"
        r="1"
        :transform="`scale(${3.5 * perPixel})`"
        fill="var(--go)"
        stroke="var(--paper)"
        stroke-width="0.4"
      />
    </g>
    <path
      :d="line"
      fill="none"
      stroke="var(--ink)"
      :stroke-width="1.5 * perPixel"
      stroke-opacity="0.55"
      stroke-linejoin="round"
      pointer-events="none"
    />
    <g
      v-for="handle in handles"
      :key="handle.id"
      tabindex="0"
      role="slider"
      class="cursor-grab"
      style="touch-action: none"
      aria-valuemin="0"
      aria-valuemax="100"
      :aria-valuenow="
        handle.id === 'heart' ? Math.round((decoration?.sweep.heart ?? 0) * 100) : handle.id === 'from' ? 0 : 100
      "
      :aria-label="`${handle.name} of the sweep; arrow keys move it`"
      :aria-valuetext="handle.says"
      :data-testid="`handle-${handle.id}`"
      @pointerdown="grab(handle.id, $event)"
      @keydown="nudge(handle, $event)"
    >
      <circle :cx="handle.x" :cy="handle.y" :r="20 * perPixel" fill="transparent" />
      <circle
        :cx="handle.x"
        :cy="handle.y"
        :r="10 * perPixel"
        fill="var(--paper)"
        stroke="var(--ink)"
        :stroke-width="2 * perPixel"
      />
      <circle
        v-if="handle.id === 'heart'"
        :cx="handle.x"
        :cy="handle.y"
        :r="4 * perPixel"
        :fill="decoration?.colour.heart"
      />
      <text
        :x="handle.x"
        :y="handle.y + 26 * perPixel"
        text-anchor="middle"
        :font-size="12 * perPixel"
        font-weight="600"
        fill="var(--ink)"
        stroke="var(--paper)"
        :stroke-width="3 * perPixel"
        paint-order="stroke"
        pointer-events="none"
      >
        {{ handle.name.toLowerCase() }}
      </text>
    </g>
  </svg>
</template>
