<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { CutPart, CutSheet, SheetSize } from '#core/cut'
import { insideOf, numberHeightMm, sheetOutline } from '#core/draw'
import { pathData } from '#core/format/svg'
import { flipMove, type Point } from '#core/geometry'
import { useLit } from '~/components/stand/lit'
import { vPull } from '~/composables/pulled'
import { AIR_MM, movedOnSheet } from './pulledPiece'

/**
 * A sheet to scale. Where pieces may be moved, they are dragged, or walked with the arrow keys and turned with R; what
 * is in the way is marked while they move.
 */
const props = defineProps<{
  sheet: CutSheet
  size: SheetSize
  name: string
  locked: boolean
  movable: boolean
  /** Numbers of pieces that the machine has cut, and that it spoiled. */
  cut?: readonly number[]
  spoiled?: readonly number[]
  /** Elements on the stand that a part makes. */
  litBy: (part: string) => readonly number[]
  /** Pieces that would be in the way, were the pieces laid so. */
  wrong: (placements: readonly CutSheet['pieces'][number][]) => ReadonlySet<number>
}>()
const emit = defineEmits<{ move: [pieces: readonly CutSheet['pieces'][number][]] }>()

const lit = useLit()
const dragged = ref<{ readonly at: number; readonly x: number; readonly y: number } | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const { width: widthPx } = useElementSize(svg)

const shown = computed(() =>
  dragged.value === null
    ? props.sheet.pieces
    : props.sheet.pieces.map((piece, at) =>
        at === dragged.value!.at ? { ...piece, x: dragged.value!.x, y: dragged.value!.y } : piece,
      ),
)
const wrong = computed(() => (dragged.value === null ? new Set<number>() : props.wrong(shown.value)))
/** Lines of each part about its own origin; its pieces are moved and turned as wholes. */
const lines = computed(
  () =>
    new Map(
      [...new Set(props.sheet.pieces.map(({ part }) => part))].map((part) => [
        part,
        [part.outline, ...part.holes].map((outline) => pathData(flipMove(outline, 0, 0))).join(''),
      ]),
    ),
)
/** Parts whose elements are pointed at on the stand. */
const litParts = computed(
  () =>
    new Set([...lines.value.keys()].filter(({ id }) => props.litBy(id).some((index) => lit.isLit('element', index)))),
)
const labels = computed(() =>
  shown.value.map((piece) => ({ ...insideOf(piece), heightMm: numberHeightMm(piece, props.size.heightMm / 30) })),
)
const transformOf = ({ x, y, rotationDeg, mirrored }: CutSheet['pieces'][number]): string =>
  `translate(${x.toFixed(3)} ${(props.size.heightMm - y).toFixed(3)}) rotate(${-rotationDeg})${mirrored ? ' scale(-1 1)' : ''}`

function pull(at: number, went: Point): void {
  const { x, y } = movedOnSheet(props.sheet.pieces[at]!, went, props.size, widthPx.value)
  dragged.value = { at, x, y }
}

/** Let go: the piece stays where it is if nothing is in the way, else it goes back. */
function drop(isKept: boolean): void {
  const moved = shown.value
  const isGood = isKept && dragged.value !== null && wrong.value.size === 0
  dragged.value = null
  if (isGood) emit('move', moved)
}

const STEPS: Readonly<Record<string, readonly [number, number, number]>> = {
  ArrowLeft: [-1, 0, 0],
  ArrowRight: [1, 0, 0],
  ArrowUp: [0, 1, 0],
  ArrowDown: [0, -1, 0],
  r: [0, 0, 15],
  R: [0, 0, -15],
}

function walk(event: KeyboardEvent, at: number): void {
  const step = STEPS[event.key]
  if (!step || !props.movable) return
  event.preventDefault()
  const [x, y, turn] = step
  const far = event.shiftKey && turn === 0 ? 10 : 1
  const moved = props.sheet.pieces.map((piece, index) =>
    index === at
      ? { ...piece, x: piece.x + x * far, y: piece.y + y * far, rotationDeg: piece.rotationDeg + turn }
      : piece,
  )
  if (props.wrong(moved).size === 0) emit('move', moved)
}

/** A piece's number, with what became of it: never by colour alone. */
const mark = (number: number): string =>
  props.cut?.includes(number) ? `${number} ✓` : props.spoiled?.includes(number) ? `${number} ✗` : String(number)
const isLit = (part: CutPart): boolean => litParts.value.has(part)
</script>

<template>
  <svg
    ref="svg"
    class="w-full touch-none isolate"
    :viewBox="`${-AIR_MM} ${-AIR_MM} ${size.widthMm + 2 * AIR_MM} ${size.heightMm + 2 * AIR_MM}`"
    role="group"
    :aria-label="`${name}, ${sheet.pieces.length} pieces`"
  >
    <path
      :d="pathData(flipMove(sheetOutline(sheet), 0, size.heightMm))"
      fill="#fffdf8"
      :stroke="locked ? 'var(--go)' : '#b9aa9a'"
      :stroke-width="locked ? 2 : 0.8"
    />
    <line
      v-for="({ from, to }, at) in sheet.cuts"
      :key="`cut${at}`"
      :x1="from.x"
      :y1="size.heightMm - from.y"
      :x2="to.x"
      :y2="size.heightMm - to.y"
      stroke="#a8283a"
      stroke-opacity="0.55"
      stroke-width="0.6"
      stroke-dasharray="4 2"
    />
    <g v-for="(piece, at) in shown" :key="at">
      <path
        v-pull="{ take: () => movable, pull: (_, went) => pull(at, went), drop }"
        :d="lines.get(piece.part)"
        :transform="transformOf(piece)"
        fill-rule="evenodd"
        :fill="wrong.has(at) ? '#a8283a' : piece.part.colour"
        :fill-opacity="cut?.includes(piece.number) ? 0.18 : dragged?.at === at ? 0.85 : isLit(piece.part) ? 0.9 : 0.55"
        :stroke="isLit(piece.part) ? '#17695c' : '#2a1c2c'"
        :stroke-width="isLit(piece.part) ? 1.6 : 0.6"
        :tabindex="movable ? 0 : undefined"
        :class="movable ? 'cursor-grab' : ''"
        :role="movable ? 'button' : undefined"
        :aria-label="movable ? `${piece.part.name} ${piece.number}: arrow keys move it, R turns it` : undefined"
        :data-piece="piece.number"
        @pointerenter="lit.hoverMany('element', litBy(piece.part.id))"
        @pointerleave="lit.leave()"
        @keydown="walk($event, at)"
      />
      <text
        :x="labels[at]!.x"
        :y="size.heightMm - labels[at]!.y"
        text-anchor="middle"
        dominant-baseline="middle"
        :font-size="labels[at]!.heightMm"
        font-weight="700"
        fill="#2a1c2c"
        pointer-events="none"
      >
        {{ mark(piece.number) }}
      </text>
    </g>
  </svg>
</template>
