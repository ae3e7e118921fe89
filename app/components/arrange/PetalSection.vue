<script setup lang="ts">
import { computed, ref } from 'vue'
import { pathData } from '#core/format/svg'
import { flipMove } from '#core/geometry'
import { halfWidthAt, PETAL_SHAPES, petalOutline, type PetalShape } from '#core/technique'

/** The outline of a petal, pulled into shape by its handles or begun from a shape botanists have a word for. */
const props = defineProps<{ shape: PetalShape, colour: string }>()
const emit = defineEmits<{ change: [shape: Partial<PetalShape>, merge: string] }>()

type HandleId = 'shoulder' | 'point' | 'notch'

const LONG = 100
const drawing = ref<SVGSVGElement | null>(null)
const held = ref<HandleId | null>(null)
const within = (value: number, least: number, most: number): number => Math.round(Math.min(most, Math.max(least, value)) * 100) / 100

const outline = computed(() => pathData(flipMove(petalOutline(LONG, props.shape), 0, 0)))
/** Half way from the shoulder to the tip, where pointed and round differ most. */
const between = computed(() => props.shape.shoulder + (1 - props.shape.shoulder) * 0.7)
const handles = computed(() => [
  { id: 'shoulder' as const, name: 'Shoulder: how wide, and how far up', x: props.shape.wide / 2 * LONG, y: props.shape.shoulder * LONG },
  { id: 'point' as const, name: 'How pointed', x: halfWidthAt(between.value, props.shape) * LONG, y: between.value * LONG },
  { id: 'notch' as const, name: 'Notch in the tip', x: 0, y: (1 - props.shape.notch) * LONG },
])

/** The shape with a handle at a place of a petal 100 long. */
function pulled(id: HandleId, x: number, y: number): Partial<PetalShape> {
  const { shape } = props
  if (id === 'shoulder') return { wide: within(2 * Math.abs(x) / LONG, 0.2, 1.6), shoulder: within(y / LONG, 0.25, 0.85) }
  if (id === 'notch') return { notch: within(1 - y / LONG, 0, 0.4) }
  const [round, straight] = [halfWidthAt(between.value, { ...shape, point: 0 }), halfWidthAt(between.value, { ...shape, point: 1 })]
  return { point: within((round - Math.abs(x) / LONG) / (round - straight), 0, 1) }
}

function drag(event: PointerEvent): void {
  const matrix = drawing.value?.getScreenCTM()
  if (!held.value || !matrix) return
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  emit('change', pulled(held.value, x, -y), held.value)
}

function grab(id: HandleId, event: PointerEvent): void {
  held.value = id
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}

function onKey(id: HandleId, event: KeyboardEvent): void {
  const far = event.shiftKey ? 8 : 2
  const by = ({ ArrowLeft: [-far, 0], ArrowRight: [far, 0], ArrowUp: [0, far], ArrowDown: [0, -far] } as const)[event.key as 'ArrowLeft']
  const handle = handles.value.find((each) => each.id === id)
  if (!by || !handle) return
  event.preventDefault()
  event.stopPropagation()
  emit('change', pulled(id, handle.x + by[0], handle.y + by[1]), id)
}
</script>

<template>
  <section data-testid="petal">
    <h2 class="part-title mb-1">Petal</h2>
    <div class="grid grid-cols-[11rem_1fr] items-center gap-4">
      <svg ref="drawing" class="h-44 w-full touch-none select-none" viewBox="-84 -112 168 124" role="group" aria-label="The petal’s outline with its handles" @pointermove="drag" @pointerup="held = null" @pointercancel="held = null">
        <path :d="outline" :fill="colour" fill-opacity="0.5" stroke="var(--ink)" stroke-width="1.2" stroke-linejoin="round" />
        <g v-for="handle in handles" :key="handle.id" tabindex="0" role="button" class="cursor-grab" :aria-label="`${handle.name}; arrow keys move it`" :data-testid="`petal-${handle.id}`" @pointerdown="grab(handle.id, $event)" @keydown="onKey(handle.id, $event)">
          <circle :cx="handle.x" :cy="-handle.y" r="13" fill="transparent" />
          <circle :cx="handle.x" :cy="-handle.y" r="5" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.6" />
        </g>
      </svg>
      <div class="flex flex-wrap gap-1.5" role="group" aria-label="Shapes to begin with" data-testid="petal-shapes">
        <button v-for="{ id, name, say, shape: begun } in PETAL_SHAPES" :key="id" type="button" class="button min-h-9 px-2.5 text-[0.88rem]" :title="say" @click="emit('change', begun, '')">{{ name }}</button>
      </div>
    </div>
  </section>
</template>
