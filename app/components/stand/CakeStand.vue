<script setup lang="ts">
import { chosenOption } from '#core/commission'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import {
  AWAY_MM,
  fitted,
  flatAt,
  flatStand,
  metBy,
  nearer,
  outlineSeen,
  sightLine,
  touchedAt,
  viewAt,
  windowOf,
  type Viewpoint,
  type Room,
  type Solid,
} from '#core/draw'
import type { Point } from '#core/geometry'
import { cakeRoom, sceneOf } from '#core/plan'
import { counted, printQuantity } from '#core/quantity'
import { useHidden } from '~/components/arrange/hidden'
import { usePreferences } from '~/stores/preferences'
import { useStudio } from '~/stores/studio'
import type { Shown } from '~/workers/solids'
import BoxGhost from './BoxGhost.vue'
import DimensionLines from './DimensionLines.vue'
import FlatStand from './FlatStand.vue'
import StandBar from './StandBar.vue'
import StandCanvas from './StandCanvas.vue'
import StandPictures from './StandPictures.vue'
import StandHandles from './StandHandles.vue'
import { placesOf } from './elementPlaces'
import { useLit } from './lit'
import { useLook } from './look'
import { drawsInDepth } from './render/level'
import { pointsOf } from './shapePaint'
import { useStandTools } from './standTools'
import { placeOn, type PointerPlace } from '~/composables/pulled'
import { useGestures } from './gestures'
import { useSolids } from './useSolids'

/** `arranging`: the handles of the open composition are shown. `isNeutral`: even light, colours as they are mixed. */
defineProps<{ arranging?: boolean; isNeutral?: boolean }>()
const emit = defineEmits<{ touch: [kind: 'tier' | 'element' | 'accent', index: number] }>()

const studio = useStudio()
const preferences = usePreferences()
const lit = useLit()
const { turnDeg, downDeg, times, moved } = useLook()
const { dimensionsShown, measuring, ends, measuredMm, isLarge, boxShown, putTape } = useStandTools()
const frame = ref<HTMLElement | null>(null)
const drawing = ref<SVGSVGElement | null>(null)
/** The box waits till the stand rests where both would be too much to draw. */
const isHurried = ref(false)
const { width, height } = useElementSize(frame)

const MARGIN_MM = 14
/** The box's size and what is to spare are written above it. */
const CAPTION_PX = 24

const shown = computed(() =>
  studio.commission && studio.plan
    ? { commission: studio.commission, option: chosenOption(studio.commission), plan: studio.plan }
    : null,
)
/**
 * What the look was last taken from: a plan that changed elsewhere is no reason to draw the cake again, nor an edit
 * whose plan is still to come.
 */
let takenFrom: readonly unknown[] = []
const looked = computed<Shown | null>((before) => {
  if (!shown.value) return null
  if (before && studio.isPlanning) return before
  const { cake, decorations, accents } = shown.value.option
  const { stack, decorations: made, accents: followed, dishes } = shown.value.plan
  const from = [cake, decorations, accents, stack, made, followed, dishes]
  if (before && from.every((each, at) => each === takenFrom[at])) return before
  takenFrom = from
  return {
    option: { cake, decorations, accents },
    looks: {
      stack,
      decorations: made.map(({ id, elements }) => ({ id, elements })),
      accents: followed.map(({ id, elements }) => ({ id, elements })),
      dishes: { foretold: dishes.foretold },
    },
  }
})
const isFlat = !drawsInDepth()
const { solids: all, isMaking } = useSolids(() => looked.value, isFlat)
const { isHidden } = useHidden()
/** Elements of decorations that are hidden while others are composed. */
const hiddenPlaces = computed(() =>
  shown.value ? new Set(placesOf(shown.value.plan.decorations, (_, { id }) => isHidden(id))) : new Set<number>(),
)
const isSeen = ({ kind, index }: Pick<Solid, 'kind' | 'index'>): boolean =>
  kind !== 'element' || !hiddenPlaces.value.has(index)
const solids = computed(() => (hiddenPlaces.value.size === 0 ? all.value : all.value.filter(isSeen)))
const scene = computed(() => looked.value && sceneOf(looked.value.option, looked.value.looks))
const box = computed(() => (boxShown.value ? shown.value?.commission.brief.box : undefined))
const footMm = computed(() => -(shown.value?.option.cake.board.thicknessMm ?? 0))
const cake = computed<Room>((before) => {
  const room = shown.value ? cakeRoom(shown.value.commission, shown.value.plan) : { outMm: 1, upMm: 1, belowMm: 0 }
  return before && (Object.keys(room) as (keyof Room)[]).every((key) => before[key] === room[key]) ? before : room
})
const look = computed<Viewpoint>(() => ({
  turnDeg: turnDeg.value,
  downDeg: downDeg.value,
  aimMm: cake.value.upMm / 2,
  awayMm: AWAY_MM,
}))
/** All that is shown: cake and box as it lies before the viewer, with room for captions and dimensions. */
const whole = computed(() => {
  const { outMm, upMm, belowMm } = cake.value
  const room = {
    outMm: Math.max(outMm, (box.value?.widthMm ?? 0) / 2),
    upMm: Math.max(upMm, (box.value?.heightMm ?? 0) - belowMm),
    belowMm,
  }
  const seen = windowOf(look.value, room, MARGIN_MM)
  const aside = dimensionsShown.value ? seen.width * 0.1 : 0
  return { ...seen, left: seen.left - aside, width: seen.width + 2 * aside }
})
const view = computed(() => {
  const [across, caption] = [Math.max(1, width.value), box.value ? CAPTION_PX : 0]
  const below = fitted(whole.value, across, Math.max(1, height.value - caption))
  const captionMm = (caption * below.width) / across
  const all = { ...below, top: below.top - captionMm, height: below.height + captionMm }
  return nearer(all, times.value, moved.value)
})
const flats = computed(() => (isFlat && scene.value ? flatStand(scene.value, viewAt(look.value)).filter(isSeen) : []))
const perPixel = computed(() => (width.value > 0 ? view.value.width / width.value : 1))
const viewBox = computed(() => `${view.value.left} ${view.value.top} ${view.value.width} ${view.value.height}`)
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
/** Only the outline of what is lit is drawn over the picture. */
const litOutlines = computed(() =>
  isFlat
    ? flats.value
        .filter(({ kind, index }) => lit.isLit(kind, index))
        .map(({ id, outlines }) => ({ id, outline: outlines[0] ?? [] }))
    : solids.value
        .filter(({ kind, index }) => lit.isLit(kind, index))
        .map((solid) => ({ id: solid.id, outline: outlineSeen(solid, viewAt(look.value)) })),
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
const tape = computed(() => ends.value.map(({ point }) => viewAt(look.value)(point)).map(({ x, y }) => ({ x, y: -y })))

/** A place of the picture under a pointer, mm, y up. */
function placeUnder(at: PointerPlace): Point | null {
  const place = placeOn(drawing.value, at)
  return place && { x: place.x, y: -place.y }
}

/** What is under the pointer; what is hidden is not touched. */
function thingUnder(at: PointerPlace): Pick<Solid, 'kind' | 'index'> | null {
  const place = placeUnder(at)
  if (!place) return null
  return isFlat ? flatAt(flats.value, place) : (metBy(sightLine(place, look.value), solids.value)?.solid ?? null)
}

function hover(at: PointerPlace): void {
  const thing = thingUnder(at)
  if (thing) lit.hover(thing.kind, thing.index)
  else lit.leave()
}

/** Opens what was touched, or puts the tape there. */
function touch(at: PointerPlace): void {
  if (!shown.value) return
  if (!measuring.value) {
    const thing = thingUnder(at)
    if (thing && thing.kind !== 'board') emit('touch', thing.kind, thing.index)
    return
  }
  const place = placeUnder(at)
  const touched = place && touchedAt(shown.value.plan.stack, look.value, place)
  if (touched) putTape(touched)
}

useGestures(drawing, { perPixel, placeUnder, hover, touch })
</script>

<template>
  <div class="relative flex h-full min-h-0 w-full flex-col">
    <div ref="frame" class="relative min-h-0 flex-1">
      <template v-if="shown">
        <svg
          class="pointer-events-none absolute inset-0 h-full w-full overflow-visible"
          :viewBox="viewBox"
          aria-hidden="true"
        >
          <BoxGhost v-if="box && !isHurried" :box :foot-mm :look :per-pixel :fits="shown.plan.fit.fits" side="behind" />
        </svg>
        <div v-if="isFlat" class="absolute inset-0" data-drawn="yes" data-level="flat" data-testid="stand-drawn">
          <FlatStand :flats :window="view" />
        </div>
        <StandCanvas
          v-else
          :solids
          :look
          :window="view"
          :room="cake"
          :is-neutral="isNeutral ?? false"
          :is-making
          @hurried="isHurried = $event"
        />
        <svg
          ref="drawing"
          class="absolute inset-0 h-full w-full touch-none overflow-visible select-none"
          :class="measuring ? 'cursor-crosshair' : 'cursor-grab active:cursor-grabbing'"
          :viewBox="viewBox"
          :role="arranging ? 'group' : 'img'"
          :aria-label="described"
          data-testid="stand"
          @pointerleave="lit.leave()"
        >
          <polygon
            v-for="each in litOutlines"
            :key="each.id"
            :points="pointsOf(each.outline)"
            fill="var(--go)"
            fill-opacity="0.14"
            stroke="var(--go)"
            :stroke-width="2 * perPixel"
            stroke-linejoin="round"
            pointer-events="none"
          />
          <BoxGhost v-if="box && !isHurried" :box :foot-mm :look :per-pixel :fits="shown.plan.fit.fits" side="before" />
          <StandHandles v-if="arranging && !measuring" :look :per-pixel="perPixel" :place-under="placeUnder" />
          <DimensionLines
            v-if="dimensionsShown"
            :stack="shown.plan.stack"
            :board="shown.option.cake.board"
            :look
            :per-pixel="perPixel"
          />
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
        </svg>
        <p
          v-if="box"
          class="pointer-events-none absolute inset-x-2 top-0 flex justify-between text-[0.82rem] text-ink-soft"
        >
          <span>Box {{ length(box.widthMm) }} × {{ length(box.depthMm) }} × {{ length(box.heightMm) }}</span>
          <b :class="shown.plan.fit.fits ? 'text-go' : 'text-stop'" data-testid="box-fit">{{ caption }}</b>
        </p>
        <p
          v-if="measuring"
          class="sheet absolute inset-x-6 bottom-2 rounded-xl px-3 py-1.5 text-center text-[0.9rem]"
          role="status"
          data-testid="tape"
        >
          <template v-if="measuredMm !== null"
            ><b class="font-display text-[1.2rem]">{{ length(measuredMm) }}</b> straight, between the two
            points</template
          >
          <template v-else>{{ ends.length === 1 ? 'Touch the other point' : 'Touch a point of the cake' }}</template>
        </p>
      </template>
    </div>
    <StandPictures v-if="isLarge && scene" :scene :solids :look :window="view" :room="cake" :foot-mm />
    <p v-if="shown && isFlat" class="text-center text-[0.8rem] text-ink-soft">
      Drawn flat: this browser shows nothing in depth.
    </p>
    <StandBar v-if="shown" />
  </div>
</template>
