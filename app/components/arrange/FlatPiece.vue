<script setup lang="ts">
import type { PieceClass } from '#core/decoration'
import { computed } from 'vue'
import { flipMove } from '#core/geometry'
import { several } from '#core/quantity'
import { pathData } from '#core/format/svg'
import FigureLink from '~/components/working/FigureLink.vue'
import { flatBox, type FlatSize } from './flatSize'

/** `largest` is the largest of the pieces it is drawn beside, so that all are drawn to one scale. */
const props = defineProps<{ piece: PieceClass; colour: string; largest?: FlatSize }>()

const EDGE = 0.06
const window = computed<FlatSize>(() => props.largest ?? flatBox(props.piece))
const view = computed(() => {
  const { x, y, widthMm, heightMm } = flatBox(props.piece)
  const margin = EDGE * Math.max(window.value.widthMm, window.value.heightMm)
  const [wide, high] = [window.value.widthMm + 2 * margin, window.value.heightMm + 2 * margin]
  return `${x + widthMm / 2 - wide / 2} ${-y - heightMm / 2 - high / 2} ${wide} ${high}`
})
const line = computed(() => Math.max(window.value.widthMm, window.value.heightMm) / 90)
</script>

<template>
  <figure class="grid w-full max-w-36 justify-items-center gap-1">
    <svg class="h-20 w-full" :viewBox="view" role="img" :aria-label="`${piece.name}, flat`">
      <path
        v-for="(flap, at) in piece.flaps"
        :key="`flap${at}`"
        :d="pathData(flipMove(flap, 0, 0))"
        fill="var(--line)"
        fill-opacity="0.6"
        stroke="var(--ink)"
        stroke-opacity="0.6"
        :stroke-width="line * 0.6"
      />
      <path
        :d="[piece.outline, ...piece.holes].map((each) => pathData(flipMove(each, 0, 0))).join('')"
        fill-rule="evenodd"
        :fill="colour"
        fill-opacity="0.5"
        stroke="var(--ink)"
        :stroke-width="line"
        stroke-linejoin="round"
      />
      <path
        v-if="piece.print.length > 0"
        :d="piece.print.map((each) => pathData(flipMove(each, 0, 0))).join('')"
        fill="none"
        stroke="var(--ink)"
        stroke-opacity="0.35"
        :stroke-width="line * 0.8"
        stroke-linecap="round"
      />
      <path
        v-for="(flap, at) in piece.flaps"
        :key="`glue${at}`"
        :d="pathData(flipMove(flap, 0, 0))"
        fill="none"
        stroke="var(--ink)"
        stroke-opacity="0.45"
        :stroke-width="line * 0.6"
        :stroke-dasharray="`${line} ${line}`"
      />
      <path
        v-for="(fold, at) in piece.folds"
        :key="at"
        :d="pathData(flipMove(fold, 0, 0))"
        fill="none"
        stroke="var(--ink)"
        :stroke-width="line * 0.8"
        :stroke-dasharray="`${line * 3} ${line * 2}`"
      />
    </svg>
    <figcaption class="text-center text-[0.86rem]">
      <FigureLink :working="piece.wholes.needed" />
      {{ piece.wholes.needed.value === 1 ? piece.name : several(piece.name)
      }}<template v-if="piece.wholes.spares.value > 0">
        + <FigureLink :working="piece.wholes.spares" after=" spare" /></template
      ><span v-if="piece.plies > 1" class="block text-[0.8rem] text-ink-soft">{{ piece.plies }} plies each</span
      ><span class="block text-ink-soft"
        ><FigureLink :working="piece.width" /> × <FigureLink :working="piece.height" /></span
      ><span class="block text-[0.8rem] text-ink-soft">{{ piece.face }}</span>
    </figcaption>
  </figure>
</template>
