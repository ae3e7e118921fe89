<script setup lang="ts">
import { computed, ref } from 'vue'
import { DRYING_CASES } from '#core/dry'
import { SHRINK_WORDS } from '#core/learn'
import { dateText, printDuration, printQuantity } from '#core/quantity'
import { usePreferences } from '~/stores/preferences'
import { usePlanned } from '~/composables/planned'

/** Every trial and run, the last first; any can be marked odd or forgotten. */
const { studio, workshop } = usePlanned()
const preferences = usePreferences()
type Shelf = 'shrinkTrials' | 'dryingTrials' | 'runs'
const SHOWN = 12
const all = ref(false)

const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)
const rows = computed(() => {
  const { shrinkTrials, dryingTrials, runs } = workshop.value
  return [
    ...shrinkTrials.map(({ id, at, odd, way, beforeMm, afterMm }) => ({
      shelf: 'shrinkTrials' as Shelf,
      id,
      at,
      odd,
      what: SHRINK_WORDS[way],
      told: `${length(beforeMm)} to ${length(afterMm)}`,
    })),
    ...dryingTrials.map(({ id, at, odd, what, humidity, softAtMin, readyAtMin }) => ({
      shelf: 'dryingTrials' as Shelf,
      id,
      at,
      odd,
      what: DRYING_CASES[what].words,
      told: [
        ...(softAtMin === null ? [] : [`soft at ${printDuration(softAtMin)}`]),
        readyAtMin === null ? 'not ready' : `ready at ${printDuration(readyAtMin)}`,
        `${Math.round(humidity * 100)} %`,
      ].join(', '),
    })),
    ...runs.map(({ id, at, odd, name, minutes, standardMin, good, broken }) => ({
      shelf: 'runs' as Shelf,
      id,
      at,
      odd,
      what: name,
      told: `${printDuration(minutes)} for ${printDuration(standardMin)}${good + broken > 0 ? `, ${good} good, ${broken} broken` : ''}`,
    })),
  ].sort((one, other) => other.at - one.at)
})
const mark = (shelf: Shelf, id: string, odd: boolean): void =>
  studio.edit(odd ? 'trial is odd' : 'trial counts', ({ workshop: draft }) => {
    draft[shelf].find((each) => each.id === id)!.odd = odd
  })
const forget = (shelf: Shelf, id: string): void =>
  studio.edit('forget a trial', ({ workshop: draft }) => {
    draft[shelf].splice(
      draft[shelf].findIndex((each) => each.id === id),
      1,
    )
  })
</script>

<template>
  <section v-if="rows.length > 0" aria-label="Ledger" data-testid="ledger">
    <h2 class="part-title mb-1">Ledger</h2>
    <ul>
      <li
        v-for="row in all ? rows : rows.slice(0, SHOWN)"
        :key="row.id"
        class="border-t border-line py-1.5 text-[0.92rem]"
      >
        <span :class="row.odd ? 'text-ink-soft line-through' : ''" class="block">{{ row.what }}: {{ row.told }}</span>
        <span class="flex items-baseline gap-3 text-[0.84rem]"
          ><span class="text-ink-soft">{{ dateText(row.at) }}</span
          ><button
            type="button"
            class="figure-link"
            :aria-pressed="row.odd"
            :aria-label="`${row.odd ? 'Let count' : 'Mark odd'}: ${row.what}, ${row.told}`"
            @click="mark(row.shelf, row.id, !row.odd)"
          >
            {{ row.odd ? 'let it count' : 'odd' }}</button
          ><button
            type="button"
            class="figure-link"
            :aria-label="`Forget: ${row.what}, ${row.told}`"
            @click="forget(row.shelf, row.id)"
          >
            forget
          </button></span
        >
      </li>
    </ul>
    <button v-if="rows.length > SHOWN" type="button" class="figure-link mt-1 text-[0.88rem]" @click="all = !all">
      {{ all ? 'fewer' : `all ${rows.length}` }}
    </button>
  </section>
</template>
