<script setup lang="ts">
import type { Decoration } from '#core/commission'
import { computed } from 'vue'
import { pathData } from '#core/format/svg'
import { flipMove } from '#core/geometry'
import { printQuantity, several } from '#core/quantity'
import { isPetalShape, leafOutline, petalOutline, techniqueOf } from '#core/technique'
import { usePreferences } from '~/stores/preferences'

/** In which order an element is put together, as a picture: which leaf next and at which height, or whorl by whorl. */
const props = defineProps<{ decoration: Decoration }>()

const preferences = usePreferences()
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
const assembly = computed(() => techniqueOf(props.decoration.technique).assembly?.(props.decoration.parameters) ?? null)

const STEM = 170
const LEAF = 52
/** Leaves at one joint are joined together; the picture counts joints from the tip down. */
const joints = computed(() => {
  const shown = assembly.value
  if (shown?.kind !== 'branch') return []
  return shown.moves.map(({ atMm, side, share, what }, at) => {
    const [y, turn] = [(-STEM * (atMm ?? 0)) / shown.lengthMm.value, side * 62]
    const { outline } = leafOutline(shown.shape, LEAF * share)
    return { number: at + 1, y, turn, share, what, atMm: atMm ?? 0, side, path: pathData(flipMove(outline, 0, 0)) }
  })
})

/** Rings of petals seen from above, the heart inside. */
const whorls = computed(() => {
  const shown = assembly.value
  if (shown?.kind !== 'bloom') return []
  const { parameters } = props.decoration
  const petal = isPetalShape(parameters) ? parameters : null
  return shown.moves.map(({ what, count, share }, at) => ({
    number: at + 1,
    what,
    count,
    share,
    path: petal ? pathData(flipMove(petalOutline(80 * share, petal), 0, 0)) : '',
    turns: Array.from({ length: count }, (_, one) => (one * 360) / count + at * 36),
  }))
})
</script>

<template>
  <section v-if="assembly" data-testid="assembly">
    <h2 class="part-title mb-1">Put together</h2>
    <div class="flex flex-wrap items-start gap-5">
      <svg
        v-if="assembly.kind === 'branch'"
        class="h-64 w-44 shrink-0"
        viewBox="-80 -232 160 248"
        role="img"
        aria-label="The branch, its leaves numbered in the order they are joined"
      >
        <line x1="0" y1="12" x2="0" :y2="-STEM" stroke="var(--ink-soft)" stroke-width="2.4" stroke-linecap="round" />
        <g
          v-for="joint in [...joints].reverse()"
          :key="joint.number"
          :transform="`translate(0 ${joint.y}) rotate(${joint.turn})`"
        >
          <path
            :d="joint.path"
            :fill="decoration.colour.heart"
            fill-opacity="0.75"
            stroke="var(--ink)"
            stroke-opacity="0.5"
            stroke-width="0.8"
          />
          <text
            x="0"
            :y="-LEAF * joint.share * 0.52"
            font-size="13"
            font-weight="650"
            text-anchor="middle"
            dominant-baseline="middle"
            fill="var(--ink)"
            :transform="`rotate(${-joint.turn} 0 ${-LEAF * joint.share * 0.52})`"
          >
            {{ joint.number }}
          </text>
        </g>
      </svg>
      <svg
        v-else
        class="h-56 w-56 shrink-0"
        viewBox="-96 -96 192 192"
        role="img"
        aria-label="The bloom from above, whorl by whorl"
      >
        <g v-for="whorl in [...whorls].reverse()" :key="whorl.number">
          <path
            v-for="turn in whorl.turns"
            :key="turn"
            :d="whorl.path"
            :transform="`rotate(${turn})`"
            :fill="decoration.colour.heart"
            :fill-opacity="0.28 + 0.16 * (whorls.length - whorl.number)"
            stroke="var(--ink)"
            stroke-opacity="0.45"
            stroke-width="0.7"
          />
        </g>
      </svg>
      <ol class="grid min-w-40 flex-1 gap-0.5 text-[0.92rem]">
        <li
          v-for="(move, at) in assembly.moves"
          :key="at"
          class="grid grid-cols-[1.6rem_1fr_auto] gap-2 border-b border-line py-0.5"
        >
          <span class="font-semibold text-ink-soft">{{ at + 1 }}</span><span
            >{{ move.count > 1 ? `${move.count} ${several(move.what)}` : move.what
            }}{{ move.side === 0 ? '' : move.side < 0 ? ', left' : ', right' }}</span
          ><span v-if="move.atMm !== null" class="text-ink-soft">{{ length(move.atMm) }} up</span>
        </li>
      </ol>
    </div>
  </section>
</template>
