<script setup lang="ts">
import { MOST_PETALS } from '#core/workshop'
import { Download, Upload, X } from '@lucide/vue'
import { computed, ref } from 'vue'
import { pathData, writeSvg } from '#core/format/svg'
import { flipMove } from '#core/geometry'
import { fitPetal, halfWidthAt, PETAL_SHAPES, petalOutline, type PetalShape } from '#core/technique'
import { usePlanned } from '~/composables/planned'
import { chosenFile, outlineIn } from '~/files/chosen'
import { download, fileNameFor } from '~/files/download'
import { arrowMove } from './arrowKeys'

/** The outline of a petal, pulled into shape by its handles or begun from a shape botanists have a word for. */
const props = defineProps<{ shape: PetalShape; colour: string; lengthMm: number; called: string }>()
const { studio, workshop } = usePlanned()
const emit = defineEmits<{ change: [shape: Partial<PetalShape>, merge: string] }>()

type HandleId = 'shoulder' | 'point' | 'notch'

const LONG = 100
const drawing = ref<SVGSVGElement | null>(null)
const held = ref<HandleId | null>(null)
const within = (value: number, least: number, most: number): number =>
  Math.round(Math.min(most, Math.max(least, value)) * 100) / 100

const outline = computed(() => pathData(flipMove(petalOutline(LONG, props.shape), 0, 0)))
/** Half way from the shoulder to the tip, where pointed and round differ most. */
const between = computed(() => props.shape.shoulder + (1 - props.shape.shoulder) * 0.7)
const handles = computed(() => [
  {
    id: 'shoulder' as const,
    name: 'Shoulder: how wide, and how far up',
    x: (props.shape.wide / 2) * LONG,
    y: props.shape.shoulder * LONG,
  },
  {
    id: 'point' as const,
    name: 'How pointed',
    x: halfWidthAt(between.value, props.shape) * LONG,
    y: between.value * LONG,
  },
  { id: 'notch' as const, name: 'Notch in the tip', x: 0, y: (1 - props.shape.notch) * LONG },
])

/** The shape with a handle at a place of a petal 100 long. */
function pulled(id: HandleId, x: number, y: number): Partial<PetalShape> {
  const { shape } = props
  if (id === 'shoulder')
    return { wide: within((2 * Math.abs(x)) / LONG, 0.2, 1.6), shoulder: within(y / LONG, 0.25, 0.85) }
  if (id === 'notch') return { notch: within(1 - y / LONG, 0, 0.4) }
  const [round, straight] = [
    halfWidthAt(between.value, { ...shape, point: 0 }),
    halfWidthAt(between.value, { ...shape, point: 1 }),
  ]
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
  const by = arrowMove(event, 2, 8)
  const handle = handles.value.find((each) => each.id === id)
  if (!by || !handle) return
  event.stopPropagation()
  emit('change', pulled(id, handle.x + by[0], handle.y + by[1]), id)
}
/** The longest petal at true size, as a file. */
function save(): void {
  const { lengthMm, shape } = props
  const [widthMm, margin] = [lengthMm * shape.wide, 3]
  const outline = petalOutline(lengthMm, shape)
  const moved = {
    start: { x: outline.start.x + widthMm / 2 + margin, y: outline.start.y + margin },
    segments: outline.segments.map((segment) => ({
      ...segment,
      to: { x: segment.to.x + widthMm / 2 + margin, y: segment.to.y + margin },
    })),
  }
  download(
    writeSvg(
      [
        {
          widthMm: widthMm + 2 * margin,
          heightMm: lengthMm + 2 * margin,
          shapes: [{ kind: 'outline', outline: moved, stroke: '#000000', strokeMm: 0.2 }],
        },
      ],
      props.called,
    ),
    fileNameFor(props.called, '.svg'),
    'image/svg+xml',
  )
}

const keepAs = ref('')

/** Keeps the shape in the workshop under a name; one of that name gives way. */
function keep(): void {
  const name = keepAs.value.trim()
  if (!name) return
  const shape = { ...props.shape }
  studio.edit('keep a petal', ({ workshop: draft }) => {
    draft.petals = [...draft.petals.filter((each) => each.name !== name), { name, shape }]
  })
  keepAs.value = ''
}

const told = ref('')
const FAR = 0.05

/** The nearest petal to an outline from a file; one that cannot be read changes nothing. */
async function bring(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const brought = await outlineIn(file)
  if ('refused' in brought) {
    told.value = `${brought.refused} What was here is kept.`
    return
  }
  const { shape, offShare } = fitPetal(brought.outline.rings[0]!.map(([x, y]) => ({ x, y })))
  told.value =
    offShare > FAR
      ? 'That outline is far from a petal with a foot below and a tip above; the nearest is shown.'
      : 'The nearest petal to your outline.'
  emit('change', shape, '')
}
</script>

<template>
  <section data-testid="petal">
    <h2 class="part-title mb-1">Petal</h2>
    <div class="grid grid-cols-[11rem_1fr] items-center gap-4">
      <svg
        ref="drawing"
        class="h-44 w-full touch-none select-none"
        viewBox="-84 -112 168 124"
        role="group"
        aria-label="The petal’s outline with its handles"
        @pointermove="drag"
        @pointerup="held = null"
        @pointercancel="held = null"
      >
        <path
          :d="outline"
          :fill="colour"
          fill-opacity="0.5"
          stroke="var(--ink)"
          stroke-width="1.2"
          stroke-linejoin="round"
        />
        <g
          v-for="handle in handles"
          :key="handle.id"
          tabindex="0"
          role="button"
          class="cursor-grab"
          :aria-label="`${handle.name}; arrow keys move it`"
          :data-testid="`petal-${handle.id}`"
          @pointerdown="grab(handle.id, $event)"
          @keydown="onKey(handle.id, $event)"
        >
          <circle :cx="handle.x" :cy="-handle.y" r="13" fill="transparent" />
          <circle :cx="handle.x" :cy="-handle.y" r="5" fill="var(--paper)" stroke="var(--ink)" stroke-width="1.6" />
        </g>
      </svg>
      <div class="grid gap-2">
        <div class="flex flex-wrap gap-1.5" role="group" aria-label="Shapes to begin with" data-testid="petal-shapes">
          <button
            v-for="{ id, name, say, shape: begun } in PETAL_SHAPES"
            :key="id"
            type="button"
            class="button min-h-9 px-2.5 text-[0.88rem]"
            :title="say"
            @click="emit('change', begun, '')"
          >
            {{ name }}
          </button>
        </div>
        <div class="flex flex-wrap gap-1.5">
          <label
            class="button min-h-9 cursor-pointer gap-1! px-2.5 text-[0.88rem] focus-within:ring-2 focus-within:ring-go"
            ><Upload class="size-4" aria-hidden="true" />Bring an SVG<input
              type="file"
              class="sr-only"
              accept=".svg,.dxf,image/svg+xml"
              data-testid="petal-file"
              @change="bring"
          /></label>
          <button
            type="button"
            class="button min-h-9 gap-1! px-2.5 text-[0.88rem]"
            data-testid="petal-save"
            @click="save"
          >
            <Download class="size-4" aria-hidden="true" />Save as SVG
          </button>
        </div>
        <ul
          v-if="workshop.petals.length > 0"
          class="flex flex-wrap gap-1.5"
          aria-label="Petals you kept"
          data-testid="kept-petals"
        >
          <li v-for="kept in workshop.petals" :key="kept.name" class="flex">
            <button
              type="button"
              class="button min-h-9 rounded-r-none px-2.5 text-[0.88rem]"
              @click="emit('change', kept.shape, '')"
            >
              {{ kept.name }}</button><button
              type="button"
              class="button min-h-9 rounded-l-none px-1.5"
              :aria-label="`Forget ${kept.name}`"
              @click="
                studio.edit('forget a petal', ({ workshop: draft }) => {
                  draft.petals = draft.petals.filter(({ name }) => name !== kept.name)
                })
              "
            >
              <X class="size-4" aria-hidden="true" />
            </button>
          </li>
        </ul>
        <form v-if="workshop.petals.length < MOST_PETALS" class="flex items-end gap-1.5" @submit.prevent="keep">
          <label class="text-[0.8rem] text-ink-soft"
            >Keep it as<input
              v-model="keepAs"
              class="field-input w-40 text-ink"
              maxlength="30"
              data-testid="keep-petal" /></label
          ><button type="submit" class="button min-h-9 px-2.5 text-[0.88rem]">Keep</button>
        </form>
        <p v-if="told" role="status" class="text-[0.88rem] text-ink-soft">{{ told }}</p>
      </div>
    </div>
  </section>
</template>
