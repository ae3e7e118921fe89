<script setup lang="ts">
import { computed } from 'vue'
import { shadeRange } from '#core/learn'
import { bathStep, dippedSteps, doseWords, seenHex, type Bath, type OutOfReach } from '#core/tint'
import { placesOf } from '~/components/stand/elementPlaces'
import { useLit } from '~/components/stand/lit'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import ColourCode from './ColourCode.vue'
import { useDishNames } from './dishNames'
import DishSwatch from './DishSwatch.vue'
import { useLook } from './looking'

/** One bath from pale to deep: what goes in before each shade, what is dipped in it, and how it will look. */
const props = defineProps<{ bath: Bath; first: number }>()
const { plan, cake } = usePlanned()
const named = useDishNames()
const preferences = usePreferences()
const lit = useLit()
const look = useLook()

const names = computed(() => props.bath.uses.map(({ name }) => name.toLowerCase()).join(', '))
const dyes = computed(() => plan.value.dishes.dyes[props.bath.sheet.kind])
const isIn = (decoration: string): boolean => props.bath.uses.some((use) => use.decoration === decoration)
const steps = computed(() =>
  dippedSteps(props.bath).map((step) => {
    const shade = bathStep(step.shade, props.bath.steps.length)
    const places = placesOf(plan.value.decorations, (piece, { id }) => isIn(id) && piece.shade === shade)
    const tier = plan.value.decorations.find(({ id }) => isIn(id))?.elements[0]?.tier ?? 0
    const turns = plan.value.work.making
      .filter(({ decoration }) => isIn(decoration))
      .flatMap((making) => making.steps.filter(({ hold }) => hold?.untilStep).flatMap((each) => each.turns))
    const parts = new Set(
      plan.value.decorations
        .filter(({ id }) => isIn(id))
        .flatMap(({ classes }) => classes.filter((piece) => piece.shade === shade).map(({ id }) => id)),
    )
    return {
      step,
      places,
      loads: turns.filter(({ load }) => load?.laid.some(({ part }) => parts.has(part))).length,
      range: shadeRange(step.inBath, dyes.value, props.bath.sheet),
      hex: seenHex(
        look.value,
        step.inBath,
        dyes.value.map(({ dye }) => dye),
        props.bath.sheet,
        cake.value.tiers[tier]?.colour ?? '#ffffff',
      ),
      words: named.ofShade(props.bath, step.shade),
    }
  }),
)
/** Why the colour asked for does not come. */
const OUT_OF_REACH: Readonly<Record<OutOfReach, string>> = {
  paler: 'It is paler than bare film on white: nothing paler can be dyed.',
  deeper: 'It is deeper than the strongest bath makes film.',
  purer: 'It is purer than these dyes mix; a dye of nearly that hue comes nearer.',
}
</script>

<template>
  <section :aria-label="`Bath for ${names}`" data-testid="bath">
    <h2 class="part-title mb-1">One bath, pale first: {{ names }}</h2>
    <p class="mb-3 max-w-3xl text-[0.95rem] text-ink-soft">
      Begin with <FigureLink :working="bath.startMl" /> of boiled, cooled water. Dip the palest pieces, add colour, dip
      the next. Each dose allows for what the pieces before carried away; <FigureLink :working="bath.uptakeMl" /> are
      taken up, <FigureLink :working="bath.leftMl" /> are left at the end.
    </p>
    <ol class="grid gap-4 sm:grid-cols-2 lg:flex lg:gap-0" data-testid="dishes">
      <li
        v-for="({ step, hex, range, words, loads, places }, at) in steps"
        :key="step.shade"
        class="flex gap-4 lg:min-w-0 lg:flex-1 lg:flex-col lg:gap-2 lg:px-2"
        @pointerenter="lit.hoverMany('element', places)"
        @pointerleave="lit.leave()"
      >
        <DishSwatch
          :place="first + at"
          :hex="hex"
          :before="steps[at - 1]?.hex ?? null"
          :after="steps[at + 1]?.hex ?? null"
        />
        <div class="lg:text-center">
          <p class="font-semibold first-letter:uppercase">{{ words }}</p>
          <p class="text-[0.82rem] text-ink-soft">{{ at === 0 ? 'into clear water' : 'then add' }}</p>
          <template v-for="{ dye } in dyes" :key="dye.id"
            ><p
              v-if="(step.wholeDrops[dye.id] ?? 0) > 0"
              class="font-display text-[1.05rem] leading-snug font-semibold"
            >
              {{ dye.name }} {{ doseWords(dye, step.wholeDrops[dye.id]!, preferences.units).amount
              }}<span
                v-if="doseWords(dye, step.wholeDrops[dye.id]!, preferences.units).beside"
                class="font-text ml-1.5 inline-block text-[0.82rem] font-normal text-ink-soft"
                >{{ doseWords(dye, step.wholeDrops[dye.id]!, preferences.units).beside }}</span
              >
            </p></template
          >
          <p class="mt-1 text-[0.86rem]">exactly <FigureLink :working="step.exactDrops" /></p>
          <ColourCode :hex="step.predictedHex" />
          <p class="mt-1 text-[0.86rem] text-ink-soft">
            dip {{ step.batch.pieceCount }} {{ step.batch.pieceCount === 1 ? 'piece' : 'pieces'
            }}<template v-if="loads > 1">, in {{ loads }} loads: cover the bath between</template>
          </p>
          <p class="mt-1 flex items-center gap-1 text-[0.8rem] text-ink-soft lg:justify-center">
            between<span
              v-for="(end, edge) in range"
              :key="edge"
              class="size-4 rounded-full border border-line"
              :style="{ background: end }"
              aria-hidden="true"
            />
          </p>
        </div>
      </li>
    </ol>
    <p v-if="bath.mix.outOfReach" class="mt-3 max-w-2xl rounded-xl bg-look-soft px-4 py-2.5 text-[0.92rem]">
      {{ OUT_OF_REACH[bath.mix.outOfReach] }} The nearest is taken.
    </p>
  </section>
</template>
