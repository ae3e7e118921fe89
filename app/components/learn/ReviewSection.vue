<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import { z } from 'zod'
import { reviewPaper } from '#core/deliver'
import { reviewOf } from '#core/make'
import PaperTools from '~/components/papers/PaperTools.vue'
import { usePreferences } from '~/stores/preferences'
import { usePlanned } from '~/composables/planned'
import { remark, useSubmitted } from '~/composables/submitted'
import { useBench } from '~/stores/bench'

/** The job looked back at on one page: planned against actual, and what to change. */
const { studio, commission, workshop, plan } = usePlanned()
const bench = useBench()
const preferences = usePreferences()
const review = computed(() =>
  reviewOf(
    plan.value,
    commission.value.bench,
    workshop.value.runs.filter((run) => run.commission === commission.value.id),
    studio.now,
  ),
)
const colours = [
  { id: 'spotOn', name: 'Spot on' },
  { id: 'close', name: 'Close' },
  { id: 'off', name: 'Off' },
] as const
const { field, submit } = useSubmitted(
  z.object({ colour: z.enum(['spotOn', 'close', 'off']), change: remark(2000) }),
  () => ({
    colour: commission.value.bench.review?.colour ?? 'close',
    change: commission.value.bench.review?.change ?? '',
  }),
  (told) => bench.change('review', (before) => ({ ...before, review: { at: studio.now, ...told } })),
)
const [colour] = field('colour')
const [change] = field('change')
const off = (share: number): string =>
  Math.abs(share) < 0.005 ? 'as planned' : `${share > 0 ? '+' : '−'}${Math.round(Math.abs(share) * 100)} %`
const sheet = computed(() =>
  review.value
    ? reviewPaper({ plan: plan.value, commission: commission.value, units: preferences.units }, review.value)
    : null,
)
</script>

<template>
  <section v-if="review" aria-labelledby="review" data-testid="review">
    <h2 id="review" class="part-title mb-1">Looking back at {{ commission.brief.name }}</h2>
    <table class="w-full text-[0.95rem]">
      <thead class="text-left text-[0.8rem] text-ink-soft">
        <tr>
          <th class="font-normal"><span class="sr-only">What</span></th>
          <th class="font-normal">planned</th>
          <th class="font-normal">came out</th>
          <th class="text-right font-normal">off by</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in review.lines" :key="line.what" class="border-t border-line">
          <th scope="row" class="py-1 pr-3 text-left font-normal text-ink-soft">{{ line.what }}</th>
          <td class="pr-3">{{ line.planned }}</td>
          <td class="pr-3 font-semibold">{{ line.actual }}</td>
          <td
            class="text-right"
            :class="line.off !== null && Math.abs(line.off) > 0.2 ? 'text-look-ink font-semibold' : 'text-ink-soft'"
          >
            {{ line.off === null ? '' : off(line.off) }}
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="review.lessons.length > 0" class="mt-3">
      <h3 class="text-[1rem]">What to change</h3>
      <ul class="list-disc pl-5 marker:text-look">
        <li v-for="(lesson, at) in review.lessons" :key="at">
          {{ lesson.words }} <span v-if="lesson.because" class="text-ink-soft">({{ lesson.because }})</span>
        </li>
      </ul>
    </div>
    <form class="no-print mt-3 grid gap-2" novalidate @submit="submit">
      <RadioGroup v-model="colour" class="flex flex-wrap items-center gap-2"
        ><RadioGroupLabel as="p" class="text-[0.9rem] text-ink-soft">The colour came out</RadioGroupLabel
        ><RadioGroupOption v-for="each in colours" :key="each.id" :value="each.id" class="choice py-1!">{{
          each.name
        }}</RadioGroupOption></RadioGroup
      >
      <label class="text-[0.9rem] text-ink-soft"
        >What I would do otherwise<textarea
          v-model="change"
          rows="2"
          maxlength="2000"
          class="field-input text-ink"
          data-testid="review-change"
        />
      </label>
      <button type="submit" class="button button-go w-fit" data-testid="keep-review">Keep this review</button>
    </form>
    <PaperTools v-if="sheet" class="mt-3" :papers="[sheet]" ending="review" title="On one page" />
    <p v-if="commission.bench.review" class="mt-2 text-[0.9rem]" role="status">
      Reviewed. {{ commission.bench.review.change }}
    </p>
  </section>
</template>
