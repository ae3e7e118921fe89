<script setup lang="ts">
import { computed, ref } from 'vue'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import ForetoldChart from './ForetoldChart.vue'
import { knowledgeOf, type Known } from './knowledge'
import WorkshopField from '~/components/ui/WorkshopField.vue'

/** What trials say, by kind, with how many there are and whether plans go by them. */
const { studio, workshop } = usePlanned()
const GROUPS: readonly (readonly [Known['group'], string])[] = [
  ['shrink', 'Shrink'],
  ['drying', 'Drying'],
  ['breakage', 'Breakage'],
  ['hands', 'Hands'],
  ['colour', 'Colour'],
]
const known = computed(() => knowledgeOf(workshop.value))
const open = ref('')
const LEAST_CHART = 2
const state = ({ trials, isUsed }: Known): string =>
  isUsed
    ? `plans go by ${trials} trials`
    : `${trials} of ${workshop.value.learnFrom} trials; plans keep their starting value`
</script>

<template>
  <section aria-label="What trials say" data-testid="known">
    <p v-if="known.length === 0" class="mb-4 text-ink-soft">
      Nothing is logged yet. Half a minute below is enough for a trial; what is timed at the bench comes here by itself.
    </p>
    <div
      v-for="[group, name] in GROUPS.filter(([each]) => known.some((one) => one.group === each))"
      :key="group"
      class="mb-4"
    >
      <h2 class="part-title mb-1">{{ name }}</h2>
      <ul>
        <li
          v-for="each in known.filter((one) => one.group === group)"
          :key="each.id"
          class="border-t border-line py-1.5"
          :data-testid="each.id"
        >
          <p class="text-[1.02rem]">
            <strong class="inline-block first-letter:uppercase">{{ each.name }}</strong> {{ each.says
            }}<span v-if="each.began" class="text-ink-soft"> (begun with {{ each.began }})</span>.
          </p>
          <p class="flex flex-wrap gap-x-4 text-[0.86rem]">
            <span :class="each.isUsed ? 'text-go' : 'text-ink-soft'">{{ state(each) }}</span><button
              v-if="each.foretold.length >= LEAST_CHART"
              type="button"
              class="figure-link"
              :aria-expanded="open === each.id"
              @click="open = open === each.id ? '' : each.id"
            >
              before and after
            </button>
          </p>
          <div v-if="open === each.id" class="mt-1 max-w-xl">
            <ForetoldChart
              :foretold="each.foretold"
              :label="`${each.name}: how far each trial lay from what was foretold`"
            />
            <p class="flex flex-wrap gap-x-5 text-[0.84rem] text-ink-soft">
              <span class="flex items-center gap-1.5"
                ><span class="w-6 border-t-2 border-dashed border-look" aria-hidden="true" />by starting values</span
              ><span class="flex items-center gap-1.5"
                ><span class="h-0.5 w-6 bg-go" aria-hidden="true" />by your trials before it</span
              >
            </p>
          </div>
        </li>
      </ul>
    </div>
    <div class="grid max-w-md grid-cols-2 gap-x-5">
      <WorkshopField data-testid="learn-from" group="own" name="learnFrom" edits="go by trials from" />
      <label class="text-[0.8rem] text-ink-soft"
        >This room is called<input
          v-draft="workshop.room"
          class="field-input text-ink"
          maxlength="40"
          @change="
            studio.edit('room', (draft) => {
              draft.workshop.room = ($event.target as HTMLInputElement).value.trim() || 'workroom'
            })
          "
      /></label>
    </div>
  </section>
</template>
