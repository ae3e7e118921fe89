<script setup lang="ts">
import { chosenOption } from '#core/commission'
import { Ruler, RulerDimensionLine } from '@lucide/vue'
import { useDebounceFn, useElementSize } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { standLayers, touchedAt, viewAt, type StandLayer, type StandScene } from '#core/draw'
import { isInside, type Point } from '#core/geometry'
import { counted, printQuantity } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'
import { useStudio } from '~/stores/studio'
import CakeCanvas from './CakeCanvas.vue'
import DimensionLines from './DimensionLines.vue'
import StandHandles from './StandHandles.vue'
import { useTurningDetail } from './detail'
import { useLit } from './lit'
import { pointsOf } from './shapePaint'
import { sceneOf, standWindow, type StandWindow } from './standScene'
import { useStandTools } from './standTools'
import { useTurn } from './turn'
import IconButton from '~/components/ui/IconButton.vue'

/** Whether the handles of the open composition are shown. */
defineProps<{ arranging?: boolean }>()
const emit = defineEmits<{ touch: [kind: 'tier' | 'element' | 'accent', index: number] }>()

const studio = useStudio()
/** Height of the dial below the drawing. */
const DIAL_PX = 60
const preferences = usePreferences()
const lit = useLit()
const { turnDeg, turnBy } = useTurn()
const { dimensionsShown, measuring, ends, measuredMm, toggleTape, putTape } = useStandTools()
const frame = ref<HTMLElement | null>(null)
const drawing = ref<SVGSVGElement | null>(null)
const { width, height } = useElementSize(frame)

const shown = computed(() =>
  studio.commission && studio.plan
    ? { commission: studio.commission, option: chosenOption(studio.commission), plan: studio.plan }
    : null,
)
/** What the scene was last made from: a plan that changed elsewhere is no reason to paint the cake again. */
let madeFrom: readonly unknown[] = []
const scene = computed<StandScene | null>((before) => {
  if (!shown.value) return null
  const {
    option: { cake, decorations, accents },
    plan,
  } = shown.value
  const from = [cake, decorations, accents, plan.stack, plan.decorations, plan.accents, plan.dishes]
  if (before && from.every((each, at) => each === madeFrom[at])) return before
  madeFrom = from
  return sceneOf(shown.value.option, plan)
})
/**
 * While it turns or is worked on it is drawn coarser, so that much on a cake does not make it stutter; fine again as
 * soon as it stands.
 */
const SETTLED_MS = 160
const WORKED_ON_FACES = 4500
const STILL_FACES = 24_000
const workedOn = ref(false)
const settleWork = useDebounceFn(() => {
  workedOn.value = false
}, SETTLED_MS)
watch(scene, (_, before) => {
  if (!before) return
  workedOn.value = true
  void settleWork()
})
const turning = ref(false)
const settle = useDebounceFn(() => {
  turning.value = false
}, SETTLED_MS)
const { mostFaces, frame: tellFrame } = useTurningDetail()
watch(turnDeg, () => {
  turning.value = true
  window.requestAnimationFrame(tellFrame)
  void settle()
})
const layers = computed(() =>
  scene.value
    ? standLayers(
        scene.value,
        turnDeg.value,
        turning.value ? mostFaces.value : workedOn.value ? WORKED_ON_FACES : STILL_FACES,
      )
    : [],
)
/** Only what is lit is drawn again over the picture; what is touched is found by its outline. */
const litLayers = computed(() => layers.value.filter(({ kind, index }) => lit.isLit(kind, index)))
const viewBox = computed(() =>
  view.value ? `${view.value.left} ${view.value.top} ${view.value.width} ${view.value.height}` : '0 0 1 1',
)
const view = computed<StandWindow | null>((before) => {
  if (!shown.value) return null
  const window = standWindow(shown.value.commission, shown.value.plan)
  const margin = dimensionsShown.value ? window.width * 0.16 : 0
  const next = { ...window, left: window.left - margin, width: window.width + 2 * margin }
  return before && (Object.keys(next) as (keyof StandWindow)[]).every((key) => before[key] === next[key])
    ? before
    : next
})
const box = computed(() => shown.value?.commission.brief.box)
const boardFoot = computed(() => shown.value?.option.cake.board.thicknessMm ?? 0)
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
const perPixel = computed(() =>
  view.value && width.value && height.value
    ? Math.max(view.value.width / width.value, view.value.height / (height.value - DIAL_PX))
    : 1,
)
/** Where there is little room the box says only whether the cake fits, within itself. */
const CAPTIONS_PX = 250
const captionY = computed(() =>
  !box.value
    ? 0
    : boardFoot.value -
      box.value.heightMm +
      (box.value.widthMm > CAPTIONS_PX * perPixel.value ? -7 : 18) * perPixel.value,
)
const caption = computed(() => {
  if (!shown.value || !box.value) return ''
  const { fit } = shown.value.plan
  const { high, wide, deep } = fit.clearance
  const least = Math.min(high.value, wide.value, deep.value)
  return fit.fits
    ? `${length(least)} to spare`
    : `${length(-least)} too ${high.value === least ? 'high' : wide.value === least ? 'wide' : 'deep'}`
})
const described = computed(() =>
  shown.value
    ? `The cake seen from ${Math.round(turnDeg.value)} degrees: ${counted(shown.value.plan.stack.length, 'tier')}` +
      `${shown.value.plan.decorations.map(({ count, one }) => `, ${counted(count.value, one)}`).join('')}.`
    : '',
)
/** The ends of the tape as they are seen now, y down. */
const tape = computed(() =>
  ends.value.map(({ point }) => viewAt(turnDeg.value)(point)).map(({ x, y }) => ({ x, y: -y })),
)

let dragged: { x: number; from: number; moved: boolean } | null = null

function grab(event: PointerEvent): void {
  dragged = { x: event.clientX, from: turnDeg.value, moved: false }
}

/** A place of the picture under the pointer, mm, y up. */
function placeUnder(event: MouseEvent): Point | null {
  const matrix = drawing.value?.getScreenCTM()
  if (!matrix) return null
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return { x, y: -y }
}

/** The uppermost layer under the pointer. */
function layerUnder(event: MouseEvent): StandLayer | undefined {
  const place = placeUnder(event)
  return place ? layers.value.findLast(({ outline }) => isInside(place, outline)) : undefined
}

function drag(event: PointerEvent): void {
  if (event.buttons === 0) {
    const layer = layerUnder(event)
    if (layer) lit.hover(layer.kind, layer.index)
    else lit.leave()
    return
  }
  if (!dragged) return
  const by = event.clientX - dragged.x
  if (Math.abs(by) > 4) dragged.moved = true
  if (dragged.moved) turnDeg.value = dragged.from - by * 0.6
}

/** Opens what was touched, or puts the tape there. */
function touch(event: MouseEvent): void {
  if (dragged?.moved || !shown.value) return
  if (!measuring.value) {
    const layer = layerUnder(event)
    if (layer && layer.kind !== 'board') emit('touch', layer.kind, layer.index)
    return
  }
  const place = placeUnder(event)
  const touched = place && touchedAt(shown.value.plan.stack, turnDeg.value, place)
  if (touched) putTape(touched)
}
</script>

<template>
  <div ref="frame" class="relative flex h-full min-h-0 w-full flex-col">
    <div v-if="view && scene" class="relative min-h-0 flex-1">
      <svg
        class="pointer-events-none absolute inset-0 h-full w-full"
        :viewBox="viewBox"
        preserveAspectRatio="xMidYMid meet"
        aria-hidden="true"
      >
        <defs>
          <radialGradient id="stand-ground">
            <stop offset="0.55" stop-color="#2a1c2c" stop-opacity="0.22" />
            <stop offset="1" stop-color="#2a1c2c" stop-opacity="0" />
          </radialGradient>
        </defs>
        <ellipse
          cx="12"
          :cy="boardFoot + 10"
          :rx="scene.board.acrossMm * 0.6"
          :ry="scene.board.acrossMm * 0.13"
          fill="url(#stand-ground)"
        />
        <rect
          v-if="box"
          :x="-box.widthMm / 2"
          :y="boardFoot - box.heightMm"
          :width="box.widthMm"
          :height="box.heightMm"
          rx="2"
          :stroke-width="1.2 * perPixel"
          :stroke-dasharray="`${2 * perPixel} ${5 * perPixel}`"
          stroke-linecap="round"
          :stroke="shown?.plan.fit.fits ? 'var(--ink-soft)' : 'var(--stop)'"
          fill="var(--paper)"
          fill-opacity="0.25"
        />
      </svg>
      <CakeCanvas :layers="layers" :view="view" />
      <svg
        ref="drawing"
        class="absolute inset-0 h-full w-full touch-pan-y select-none"
        :class="measuring ? 'cursor-crosshair' : ''"
        :viewBox="viewBox"
        preserveAspectRatio="xMidYMid meet"
        :role="arranging ? 'group' : 'img'"
        :aria-label="described"
        data-testid="stand"
        @pointerdown="grab"
        @pointermove="drag"
        @pointerleave="lit.leave()"
        @click="touch"
      >
        <polygon
          v-for="layer in litLayers"
          :key="layer.id"
          :points="pointsOf(layer.outline)"
          fill="var(--go)"
          fill-opacity="0.14"
          stroke="var(--go)"
          stroke-width="2"
          stroke-linejoin="round"
          pointer-events="none"
        />
        <StandHandles v-if="arranging && !measuring" :turn-deg="turnDeg" :per-pixel="perPixel" :drawing="drawing" />
        <DimensionLines v-if="dimensionsShown" :scene="scene" :turn-deg="turnDeg" :per-pixel="perPixel" />
        <g v-if="tape.length > 0" pointer-events="none">
          <line
            v-if="tape.length === 2"
            :x1="tape[0]!.x"
            :y1="tape[0]!.y"
            :x2="tape[1]!.x"
            :y2="tape[1]!.y"
            stroke="var(--ink)"
            :stroke-width="1.6 * perPixel"
            :stroke-dasharray="`${6 * perPixel} ${3 * perPixel}`"
          />
          <circle
            v-for="(end, at) in tape"
            :key="at"
            :cx="end.x"
            :cy="end.y"
            :r="5 * perPixel"
            fill="var(--look)"
            stroke="var(--ink)"
            :stroke-width="1.5 * perPixel"
          />
        </g>
        <text
          v-if="box && box.widthMm > CAPTIONS_PX * perPixel"
          :x="-box.widthMm / 2"
          :y="captionY"
          :font-size="13 * perPixel"
          fill="var(--ink-soft)"
        >
          Box {{ length(box.widthMm) }} × {{ length(box.heightMm) }}
        </text>
        <text
          v-if="box"
          :x="box.widthMm / 2"
          :y="captionY"
          :font-size="13 * perPixel"
          text-anchor="end"
          font-weight="650"
          data-testid="box-fit"
          :fill="shown?.plan.fit.fits ? 'var(--go)' : 'var(--stop)'"
        >
          {{ caption }}
        </text>
      </svg>
    </div>
    <p
      v-if="measuring"
      class="sheet absolute inset-x-6 bottom-16 rounded-xl px-3 py-1.5 text-center text-[0.9rem]"
      role="status"
      data-testid="tape"
    >
      <template v-if="measuredMm !== null"
        ><b class="font-display text-[1.2rem]">{{ length(measuredMm) }}</b> straight, between the two points</template
      >
      <template v-else>{{ ends.length === 1 ? 'Touch the other point' : 'Touch a point of the cake' }}</template>
    </p>
    <div class="no-print flex items-center justify-center gap-2.5 pb-1">
      <IconButton
        :icon="RulerDimensionLine"
        :aria-pressed="dimensionsShown"
        :class="dimensionsShown ? 'bg-go-soft' : ''"
        says="Dimension lines"
        title="Dimension lines (d)"
        @click="dimensionsShown = !dimensionsShown"
      />
      <button type="button" class="button min-h-9 px-3" aria-label="Turn the stand left" @click="turnBy(-15)">‹</button>
      <label class="flex flex-col items-center">
        <span class="sr-only">Turn the stand, degrees</span>
        <input
          v-model.number="turnDeg"
          class="slider w-36"
          type="range"
          min="-180"
          max="180"
          step="1"
          :style="{ '--share': `${(turnDeg + 180) / 3.6}%` }"
        />
        <span class="text-[0.8rem] text-ink-soft">{{
          Math.abs(turnDeg) < 1 ? 'front' : `${Math.round(turnDeg)}° from the front`
        }}</span>
      </label>
      <button type="button" class="button min-h-9 px-3" aria-label="Turn the stand right" @click="turnBy(15)">›</button>
      <IconButton
        :icon="Ruler"
        :aria-pressed="measuring"
        :class="measuring ? 'bg-go-soft' : ''"
        says="Tape measure"
        title="Tape measure (t)"
        @click="toggleTape"
      />
    </div>
  </div>
</template>
