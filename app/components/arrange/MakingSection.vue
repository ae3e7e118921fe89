<script setup lang="ts">
import type { PlannedDecoration } from '#core/decoration'
import { computed } from 'vue'
import { printDuration } from '#core/quantity'
import { GLUED, type Glued } from '#core/technique'
import { usePlanned } from '~/composables/planned'
import FigureLink from '~/components/working/FigureLink.vue'

/** How a decoration is made, with what it needs and what can hurt or fail at each step. */
const props = defineProps<{ made: PlannedDecoration }>()
const { plan, option, editOption } = usePlanned()
const GLUED_WORDS: Readonly<Record<Glued, string>> = {
  beforeStacking: 'on each tier, before the tiers are stacked',
  afterStacking: 'on the stacked cake',
}
const isOnCold = computed(() => props.made.elements.some(({ tier }) => option.value.cake.tiers[tier]?.chilled === true))
const glue = (when: Glued): void =>
  editOption('when it is glued on', ({ decorations }) => {
    const own = decorations.find(({ id }) => id === props.made.id)
    if (own) own.glued = when
  })
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
      <li v-for="(step, at) in [...made.steps, made.setting]" :key="step.id" class="grid grid-cols-[1.4rem_1fr]">
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
    <label v-if="made.skin && plan.stack.length > 1" class="mt-2 block text-[0.92rem]"
      >Glued on<select
        class="field-input"
        data-testid="glued"
        :value="made.skin"
        @change="glue(($event.target as HTMLSelectElement).value as Glued)"
      >
        <option v-for="each in GLUED" :key="each" :value="each">{{ GLUED_WORDS[each] }}</option>
      </select>
      <span v-if="isOnCold && made.skin === 'beforeStacking'" class="text-[0.86rem] text-ink-soft"
        >Its tier is chilled: paper would buckle, so it waits until the stacked cake is warm.</span
      ></label
    >
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
