<script setup lang="ts">
import { computed, watch } from 'vue'
import { thicknessOf } from '#core/decoration'
import { DRYING_CASES, type DryingCaseId } from '#core/dry'
import { dryingTrialSchema } from '#core/learn'
import { PAPERS, paperOf, type PaperId } from '#core/material'
import { MOST_TRIALS } from '#core/workshop'
import ChoiceField from '~/components/ui/ChoiceField.vue'
import { choicesOf, namedChoices } from '~/components/ui/choice'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import TrialFrame from './TrialFrame.vue'
import { useTrial } from './useTrial'

/** Something that dried: when it was still soft, and when it was ready. */
const { workshop, commission } = usePlanned()
const usualMm = (of: PaperId): number => thicknessOf(of, paperOf(of).shapes, workshop.value.papers)
const air = () => {
  const { airC, humidity } = commission.value.brief.workroom
  return { airC, humidity }
}
const { field, values, submit, problem } = useTrial(
  dryingTrialSchema,
  () => ({
    what: 'filmMat' as const,
    paper: 'riceFilm' as const,
    thicknessMm: usualMm('riceFilm'),
    softAtMin: null,
    readyAtMin: 12 * 60,
    ...air(),
  }),
  ({ dryingTrials }, trial) => dryingTrials.push({ ...trial, ...air() }),
)
const [what] = field('what')
const [paper] = field('paper')
const [thicknessMm] = field('thicknessMm')
const [softAtMin] = field('softAtMin')
const [readyAtMin] = field('readyAtMin')
const papers = computed(() => PAPERS.filter(({ kind }) => kind === DRYING_CASES[values.what].kind))
// What dries otherwise may be another paper, and another paper is as thick as the shelf has it.
watch(papers, ([first]) => {
  if (first && !papers.value.some(({ id }) => id === paper.value)) paper.value = first.id
})
watch(paper, (id) => {
  thicknessMm.value = usualMm(id)
})
const isFull = computed(() => workshop.value.dryingTrials.length >= MOST_TRIALS)
const { shape } = dryingTrialSchema
const CASES = choicesOf(Object.keys(DRYING_CASES) as DryingCaseId[], (each) => DRYING_CASES[each].words)
</script>

<template>
  <TrialFrame :problem :is-full @submit="submit">
    <ChoiceField v-model="what" class="col-span-2" :label="shape.what.meta()!.label as string" :choices="CASES" />
    <ChoiceField
      v-if="papers.length > 1"
      v-model="paper"
      class="col-span-2"
      :label="shape.paper.meta()!.label as string"
      :choices="namedChoices(papers)"
    />
    <QuantityField
      v-if="DRYING_CASES[values.what].kind === 'film'"
      v-model="thicknessMm"
      class="col-span-2"
      label="Film, thick"
      :schema="shape.thicknessMm"
    />
    <QuantityField v-model="softAtMin" :schema="shape.softAtMin.unwrap()" none="not felt" @clear="softAtMin = null" />
    <QuantityField v-model="readyAtMin" :schema="shape.readyAtMin.unwrap()" />
    <p class="col-span-2 text-[0.84rem] text-ink-soft">
      In “{{ workshop.room }}”, {{ Math.round(commission.brief.workroom.humidity * 100) }} %, as Brief has it.
    </p>
  </TrialFrame>
</template>
