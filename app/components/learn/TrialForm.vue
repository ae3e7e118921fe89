<script setup lang="ts">
import { stepKey, thicknessOf } from '#core/decoration'
import { MOST_RUNS, MOST_TRIALS } from '#core/workshop'
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed, ref } from 'vue'
import { DRYING_CASES, type DryingCaseId } from '#core/dry'
import {
  dryingTrialSchema,
  runSchema,
  shrinkTrialSchema,
  SHRINK_WAYS,
  SHRINK_WORDS,
  type DryingTrial,
  type Run,
  type ShrinkTrial,
  type ShrinkWay,
} from '#core/learn'
import { PAPERS, paperOf, type PaperId } from '#core/material'
import { paceSchema, STARTING_PACE, type Pace } from '#core/schedule'
import { TECHNIQUES, type Step } from '#core/technique'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import { stepName } from './knowledge'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf, namedChoices } from '~/components/ui/choice'

/** A trial in half a minute: what, and the two numbers that tell it. */
const { studio, workshop, commission } = usePlanned()
const kinds = [
  { id: 'shrink', name: 'Shrink' },
  { id: 'drying', name: 'Drying' },
  { id: 'speed', name: 'Speed' },
] as const
const kind = ref<(typeof kinds)[number]['id']>('shrink')
const problem = ref('')

const way = ref<ShrinkWay>('mat')
const beforeMm = ref(200)
const afterMm = ref(195)

const what = ref<DryingCaseId>('filmMat')
const papers = computed(() => PAPERS.filter((paper) => paper.kind === DRYING_CASES[what.value].kind))
const paper = ref<PaperId>('riceFilm')
const usualMm = (of: PaperId): number => thicknessOf(of, paperOf(of).shapes, workshop.value.papers)
/** How thick the film was, when that is not as the shelf has it. */
const filmMm = ref<number | null>(null)
const softAtMin = ref(0)
const readyAtMin = ref(12 * 60)

const paces = (Object.keys(paceSchema.shape) as (keyof Pace)[]).filter((key) => key !== 'aheadMin')
/** What is cut takes as long as its way of cutting: that is told at the bench. */
const timedSteps = TECHNIQUES.flatMap(({ id, steps: own }) =>
  own.filter((each) => !('cuts' in each)).map((each) => ({ key: stepKey(id, each.id), each: each as Step })),
)
const steps = timedSteps.map(({ key }) => key)
const step = ref(steps[0]!)
const WAYS = choicesOf(SHRINK_WAYS, (each) => SHRINK_WORDS[each])
const CASES = choicesOf(Object.keys(DRYING_CASES) as DryingCaseId[], (each) => DRYING_CASES[each].words)
const STEPS = [
  ...paces.map((each) => ({ value: each as string, says: stepName(each), group: 'At the cake' })),
  ...steps.map((each) => ({ value: each, says: stepName(each), group: 'Paper' })),
]
const pieces = ref(6)
const minutes = ref(30)

/** What so many take by starting values. */
function standardMin(): number {
  if (step.value in STARTING_PACE) return pieces.value * STARTING_PACE[step.value as keyof Pace]
  const own = timedSteps.find(({ key }) => key === step.value)!.each
  const { perPiece = 0, perElement = 0, fixed = 0 } = own.minutes
  return pieces.value * (perPiece > 0 ? perPiece : perElement) + fixed
}

const fields = () => ({ id: crypto.randomUUID(), at: studio.now, room: workshop.value.room, odd: false })

function keep(): void {
  const { airC, humidity } = commission.value.brief.workroom
  const shrink: ShrinkTrial = { ...fields(), way: way.value, beforeMm: beforeMm.value, afterMm: afterMm.value }
  const dried = papers.value.some(({ id }) => id === paper.value) ? paper.value : papers.value[0]!.id
  const drying: DryingTrial = {
    ...fields(),
    paper: dried,
    thicknessMm: paperOf(dried).kind === 'film' ? (filmMm.value ?? usualMm(dried)) : usualMm(dried),
    what: what.value,
    airC,
    humidity,
    softAtMin: softAtMin.value > 0 ? softAtMin.value : null,
    readyAtMin: readyAtMin.value,
  }
  const run: Run = {
    ...fields(),
    step: step.value,
    name: stepName(step.value),
    commission: '',
    standardMin: standardMin(),
    minutes: minutes.value,
    technique: '',
    good: 0,
    broken: 0,
  }
  const checked =
    kind.value === 'shrink'
      ? shrinkTrialSchema.safeParse(shrink)
      : kind.value === 'drying'
        ? dryingTrialSchema.safeParse(drying)
        : runSchema.safeParse(run)
  problem.value = checked.success ? '' : checked.error.issues[0]!.message
  if (!checked.success) return
  studio.edit('trial logged', ({ workshop: draft }) => {
    if (kind.value === 'shrink') draft.shrinkTrials.push(shrink)
    else if (kind.value === 'drying') draft.dryingTrials.push(drying)
    else draft.runs.push(run)
  })
}
const isFull = computed(() =>
  kind.value === 'speed'
    ? workshop.value.runs.length >= MOST_RUNS
    : (kind.value === 'shrink' ? workshop.value.shrinkTrials : workshop.value.dryingTrials).length >= MOST_TRIALS,
)
</script>

<template>
  <section aria-label="Log a trial" data-testid="trial-form" class="rounded-2xl bg-paper-deep/60 p-4">
    <h2 class="part-title mb-2">Log a trial</h2>
    <RadioGroup v-model="kind" class="mb-3 flex gap-2"
      ><RadioGroupLabel as="p" class="sr-only">Of what</RadioGroupLabel
      ><RadioGroupOption v-for="each in kinds" :key="each.id" :value="each.id" class="choice py-1.5!">{{
        each.name
      }}</RadioGroupOption></RadioGroup
    >
    <div v-if="kind === 'shrink'" class="grid grid-cols-2 gap-x-4 gap-y-2">
      <ChoiceField
        v-model="way"
        class="col-span-2"
        :label="shrinkTrialSchema.shape.way.meta()!.label as string"
        :choices="WAYS"
      />
      <QuantityField
        :schema="shrinkTrialSchema.shape.beforeMm"
        :model-value="beforeMm"
        @update:model-value="beforeMm = $event"
      />
      <QuantityField
        :schema="shrinkTrialSchema.shape.afterMm"
        :model-value="afterMm"
        @update:model-value="afterMm = $event"
      />
    </div>
    <div v-else-if="kind === 'drying'" class="grid grid-cols-2 gap-x-4 gap-y-2">
      <ChoiceField
        v-model="what"
        class="col-span-2"
        :label="dryingTrialSchema.shape.what.meta()!.label as string"
        :choices="CASES"
      />
      <ChoiceField
        v-if="papers.length > 1"
        v-model="paper"
        class="col-span-2"
        :label="dryingTrialSchema.shape.paper.meta()!.label as string"
        :choices="namedChoices(papers)"
      />
      <QuantityField
        v-if="DRYING_CASES[what].kind === 'film'"
        class="col-span-2"
        label="Film, thick"
        :schema="dryingTrialSchema.shape.thicknessMm"
        :model-value="filmMm ?? usualMm('riceFilm')"
        @update:model-value="filmMm = $event"
      />
      <QuantityField
        :schema="dryingTrialSchema.shape.softAtMin.unwrap()"
        label="Still soft after, if felt"
        :model-value="softAtMin"
        @update:model-value="softAtMin = $event"
      />
      <QuantityField
        :schema="dryingTrialSchema.shape.readyAtMin.unwrap()"
        label="Ready after"
        :model-value="readyAtMin"
        @update:model-value="readyAtMin = $event"
      />
      <p class="col-span-2 text-[0.84rem] text-ink-soft">
        In “{{ workshop.room }}”, {{ Math.round(commission.brief.workroom.humidity * 100) }} %, as Brief has it.
      </p>
    </div>
    <div v-else class="grid grid-cols-2 gap-x-4 gap-y-2">
      <ChoiceField v-model="step" class="col-span-2" label="Which work" :choices="STEPS" />
      <QuantityField
        :schema="runSchema.shape.good"
        label="How many"
        :model-value="pieces"
        @update:model-value="pieces = Math.max(1, $event)"
      />
      <QuantityField
        :schema="runSchema.shape.minutes"
        label="Took, all of them"
        :model-value="minutes"
        @update:model-value="minutes = $event"
      />
    </div>
    <p v-if="problem" role="alert" class="mt-2 text-[0.88rem] text-stop">{{ problem }}</p>
    <div class="mt-3 flex items-center justify-between gap-3">
      <span class="text-[0.84rem] text-ink-soft">Colour: dip a strip in Tint.</span
      ><button
        type="button"
        class="button button-go whitespace-nowrap"
        :disabled="isFull"
        data-testid="keep-trial"
        @click="keep"
      >
        Keep this trial
      </button>
    </div>
  </section>
</template>
