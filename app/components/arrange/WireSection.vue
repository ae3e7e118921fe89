<script setup lang="ts">
import { printQuantity } from '#core/quantity'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

/** Wires of the whole cake and how stock wires are cut for them, tape, patches, holders. */
const { plan } = usePlanned()
const preferences = usePreferences()
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
/** Pieces of a cut, those alike together: “2 × 90 mm leaf of laminated leaves”. */
function alike(pieces: readonly { readonly name: string; readonly lengthMm: number }[]): string {
  const counts = new Map<string, number>()
  pieces.forEach(({ name, lengthMm }) => {
    const key = `${length(lengthMm)} ${name}`
    counts.set(key, (counts.get(key) ?? 0) + 1)
  })
  return [...counts].map(([what, count]) => (count > 1 ? `${count} × ${what}` : what)).join(', ')
}
</script>

<template>
  <section v-if="plan.wires.gauges.length > 0" data-testid="wires">
    <h2 class="part-title mb-1">Wires</h2>
    <div v-for="{ gauge, stock, cuts } in plan.wires.gauges" :key="gauge" class="mb-2">
      <p class="text-[0.95rem]">
        <FigureLink :working="stock" :after="` wires of gauge ${gauge}`" /><span class="text-ink-soft">{{
          cuts.fewest ? ', the fewest there can be' : ''
        }}</span>
      </p>
      <ul class="text-[0.88rem] text-ink-soft">
        <li v-for="(pattern, at) in cuts.patterns" :key="at">
          {{ pattern.wires }} cut into {{ alike(pattern.pieces)
          }}<template v-if="pattern.leftMm > 1">; {{ length(pattern.leftMm) }} left</template>
        </li>
      </ul>
      <p v-for="long in cuts.tooLong" :key="long.name" class="text-[0.88rem] text-look-ink">
        {{ long.count }} of {{ length(long.lengthMm) }} ({{ long.name }}) are longer than a wire: tape two together,
        overlapping by a hand’s width.
      </p>
    </div>
    <p class="text-[0.92rem]">
      <span
        v-for="figure in [...plan.wires.tape, plan.wires.patches, plan.wires.holders, plan.wires.foam].filter(
          (each) => each !== null,
        )"
        :key="figure.label"
        class="mr-4"
        >{{ figure.label }} <FigureLink :working="figure"
      /></span>
    </p>
    <ul class="mt-1 text-[0.88rem] text-ink-soft">
      <li
        v-for="{ decoration, name, gauge, weight, holds } in plan.wires.loads"
        :key="decoration"
        :class="weight.value > holds.value ? 'text-look-ink' : ''"
      >
        {{ name }}: the biggest weighs about <FigureLink :working="weight" />; gauge {{ gauge }} holds about
        <FigureLink :working="holds" />{{
          weight.value > holds.value ? ': take a heavier wire for the stem, or make it smaller.' : '.'
        }}
      </li>
    </ul>
    <p class="mt-1 text-[0.86rem] text-look-ink">
      Wires, tape and holders are not food: food-safe holders only, never bare wire into cake; count them in and out.
    </p>
  </section>
</template>
