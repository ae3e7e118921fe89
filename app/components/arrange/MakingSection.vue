<script setup lang="ts">
import { gluesFor, type PlannedDecoration } from '#core/decoration'
import { coveringOf, benchSupplyOf, glueOf, type GlueId } from '#core/material'
import { mixtureOf, unwantedOf } from '#core/mixture'
import { computed } from 'vue'
import { printDuration } from '#core/quantity'
import { GLUED, techniqueOf, type Glued } from '#core/technique'
import { usePlanned } from '~/composables/planned'
import FigureLink from '~/components/working/FigureLink.vue'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf } from '~/components/ui/choice'

/** How a decoration is made, with what it needs and what can hurt or fail at each step. */
const props = defineProps<{ made: PlannedDecoration }>()
const { plan, commission, option, editOption } = usePlanned()
const GLUED_WORDS: Readonly<Record<Glued, string>> = {
  beforeStacking: 'on each tier, before the tiers are stacked',
  afterStacking: 'on the stacked cake',
}
const GLUED_CHOICES = choicesOf(GLUED, (each) => GLUED_WORDS[each])
const isOnCold = computed(() => props.made.elements.some(({ tier }) => option.value.cake.tiers[tier]?.chilled === true))
const glue = (when: Glued): void =>
  editOption('when it is glued on', ({ decorations }) => {
    const own = decorations.find(({ id }) => id === props.made.id)
    if (own) own.glued = when
  })
const wanted = computed(() => option.value.decorations.find(({ id }) => id === props.made.id) ?? null)
/** Glues that hold on every covering it stands on. */
const glues = computed<readonly GlueId[]>(() => {
  const unwanted = unwantedOf(commission.value.brief.limits)
  const [first = [], ...others] = props.made.gluings.map(({ covering }) =>
    gluesFor(techniqueOf(props.made.technique), covering, unwanted),
  )
  return first.filter((id) => others.every((own) => own.includes(id)))
})
/** Stands for no choice of one's own. */
const USUAL = 'usual'
const glueChoices = computed(() => [
  { value: USUAL, says: `the usual: ${glueOf(glues.value[0]!).name}` },
  ...choicesOf<string>(glues.value, (id) => glueOf(id as GlueId).name),
])
const fixWith = (glue: GlueId | null): void =>
  editOption('what it is fixed with', ({ decorations }) => {
    const own = decorations.find(({ id }) => id === props.made.id)
    if (own) own.glue = glue
  })
/** What it is reckoned by, and what is poured where it is cast. */
const figures = computed(() => [
  ...props.made.figures,
  ...(props.made.cast ? [props.made.cast.area, props.made.cast.slurry, props.made.cast.pours] : []),
])
const mixtures = computed(() => (plan.value.liquids[props.made.id] ?? []).filter(({ at }) => at !== null))
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
          ><b>{{ step.name }}.</b> {{ [step.say, restWords(step)].filter(Boolean).join(' ') }}
          <span
            v-for="caution in made.cautions.filter((each) => each.at === step.id)"
            :key="caution.id"
            class="block text-look-ink"
            >{{ caution.say }}</span
          ></span
        >
      </li>
    </ol>
    <div v-if="made.skin && plan.stack.length > 1" class="mt-2">
      <ChoiceField
        label="Glued on"
        data-testid="glued"
        :choices="GLUED_CHOICES"
        :model-value="made.skin"
        @update:model-value="glue"
      />
      <p v-if="isOnCold && made.skin === 'beforeStacking'" class="text-[0.86rem] text-ink-soft">
        Its tier is chilled: paper would buckle, so it waits until the stacked cake is warm.
      </p>
    </div>
    <p v-if="figures.length > 0" class="mt-2 text-[0.92rem]">
      <span v-for="figure in figures" :key="figure.label" class="mr-4"
        >{{ figure.label }} <FigureLink :working="figure"
      /></span>
    </p>
    <div v-if="made.gluings.length > 0" class="mt-2 text-[0.92rem]" data-testid="fixing">
      <ChoiceField
        v-if="glues.length > 0"
        label="Fixed with"
        data-testid="glue"
        :choices="glueChoices"
        :model-value="wanted?.glue && glues.includes(wanted.glue) ? wanted.glue : USUAL"
        @update:model-value="fixWith($event === USUAL ? null : ($event as GlueId))"
      />
      <p v-for="gluing in made.gluings" :key="gluing.covering" class="mt-1">
        On {{ coveringOf(gluing.covering).name.toLowerCase() }}: {{ glueOf(gluing.glue).name
        }}<template v-if="gluing.grams.value > 0">, <FigureLink :working="gluing.grams" /></template>,
        {{ glueOf(gluing.glue).say }}; held {{ Math.round(glueOf(gluing.glue).holdMin * 60) }} s, holds after
        {{ glueOf(gluing.glue).setMin }} min.
      </p>
    </div>
    <p class="mt-2 text-[0.9rem]" data-testid="needs">
      Needs
      <template v-for="(each, at) in mixtures" :key="`${each.mixture} ${at}`"
        ><FigureLink :working="each.ml" /> of {{ mixtureOf(each.mixture).name.toLowerCase() }} to {{ each.ml.label }};
      </template>
      <template v-for="(each, at) in made.used" :key="`${each.supply} ${at}`"
        ><FigureLink :working="each.amount" /> of {{ benchSupplyOf(each.supply).name }};
      </template>
      <template v-if="made.tools.length > 0">{{ made.tools.join(', ') }};</template>
      <template v-for="part in made.removals" :key="part.name">
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
