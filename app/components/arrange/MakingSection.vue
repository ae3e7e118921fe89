<script setup lang="ts">
import type { PlannedDecoration } from '#core/decoration'
import { printDuration } from '#core/quantity'
import { usePlanned } from '~/composables/planned'
import FigureLink from '~/components/working/FigureLink.vue'

/** How a decoration is made, with what it needs and what can hurt or fail at each step. */
const props = defineProps<{ made: PlannedDecoration }>()
const { plan } = usePlanned()
/** How long it rests here after a step. */
function restWords({ id }: PlannedDecoration['steps'][number]): string {
  const making = plan.value.work.making.find(({ decoration }) => decoration === props.made.id)
  const step = making?.steps.find((each) => each.id === id)
  const minutes = (step?.ovenMin ?? step?.rest)?.value ?? 0
  return minutes > 0 ? `Rests ${printDuration(minutes)}.` : ''
}
</script>

<template>
  <section>
    <h2 class="part-title mb-1">How it is made</h2>
    <ol class="grid gap-1.5 text-[0.92rem]">
      <li v-for="(step, at) in made.steps" :key="step.id" class="grid grid-cols-[1.4rem_1fr]">
        <span class="font-semibold text-ink-soft">{{ at + 1 }}</span><span
          ><b>{{ step.name }}.</b> {{ step.say }}<template v-if="restWords(step)"> {{ restWords(step) }}</template>
          <span
            v-for="caution in made.cautions.filter((each) => each.at === step.id)"
            :key="caution.id"
            class="text-look-ink"
            >{{ caution.say }}
          </span></span
        >
      </li>
    </ol>
    <p v-if="made.figures.length > 0" class="mt-2 text-[0.92rem]">
      <span v-for="figure in made.figures" :key="figure.label" class="mr-4"
        >{{ figure.label }} <FigureLink :working="figure"
      /></span>
    </p>
    <p class="mt-2 text-[0.9rem] text-ink-soft">
      Needs {{ made.consumables.join('; ') }}.<template v-for="part in made.removals" :key="part.name">
        {{ part.count }} {{ part.name }}, counted in and out.</template
      >
    </p>
    <details class="mt-2 text-[0.9rem]">
      <summary class="font-semibold">When it goes wrong</summary>
      <ul class="mt-1 grid gap-1 text-ink-soft">
        <li v-for="failure in made.failures" :key="failure.seen">
          {{ failure.seen }}: {{ failure.because }}. Next time {{ failure.next }}.
        </li>
      </ul>
    </details>
  </section>
</template>
