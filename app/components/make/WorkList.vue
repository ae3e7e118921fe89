<script setup lang="ts">
import { Check, Circle, CircleDot, CircleSlash } from '@lucide/vue'
import { computed } from 'vue'
import type { StepCard } from '#core/make'
import { clockText, dateText, dayOf, printDuration } from '#core/quantity'
import { useBench } from '~/stores/bench'

/** All work by days; what is not done can be taken up out of turn, what is done be opened again. */
const bench = useBench()
const days = computed(() => {
  const groups = new Map<number, StepCard[]>()
  for (const card of bench.cards) {
    const day = dayOf(card.record?.doneAt ?? card.record?.begunAt ?? card.from)
    const group = groups.get(day)
    if (group) group.push(card)
    else groups.set(day, [card])
  }
  return [...groups].sort(([one], [other]) => one - other)
})
const isDone = ({ record }: StepCard): boolean => record !== null && record.doneAt !== null
const spent = ({ record }: StepCard): string =>
  record?.skipped
    ? `left out: ${record.skipped}`
    : printDuration(Math.max(1, record!.doneAt! - record!.begunAt - record!.pausedMin))
</script>

<template>
  <section aria-label="All work">
    <div v-for="[day, cards] in days" :key="day" class="mb-3">
      <h3 class="text-[0.95rem] text-ink-soft">{{ dateText(day) }}</h3>
      <ol class="grid">
        <li v-for="card in cards" :key="card.task">
          <button
            type="button"
            class="flex min-h-12 w-full items-center gap-3 rounded-xl px-2 text-left hover:bg-paper-deep"
            :class="bench.now?.task === card.task ? 'bg-go-soft' : ''"
            :data-testid="`task-${card.task}`"
            :aria-label="isDone(card) ? `Open again: ${card.name}` : `Do now: ${card.name}`"
            @click="isDone(card) ? bench.reopen(card) : bench.take(card.task)"
          >
            <CircleSlash v-if="card.record?.skipped" class="size-5 shrink-0 text-ink-soft" aria-hidden="true" /><Check
              v-else-if="isDone(card)"
              class="size-5 shrink-0 text-go"
              aria-hidden="true"
            /><CircleDot v-else-if="card.record" class="size-5 shrink-0 text-look-ink" aria-hidden="true" /><Circle
              v-else
              class="size-5 shrink-0 text-ink-soft"
              aria-hidden="true"
            />
            <span class="min-w-0 flex-1 leading-tight" :class="isDone(card) ? 'text-ink-soft' : ''">{{
              card.name
            }}</span>
            <span class="shrink-0 text-[0.86rem] text-ink-soft">{{
              isDone(card) ? spent(card) : clockText(card.from)
            }}</span>
          </button>
        </li>
      </ol>
    </div>
  </section>
</template>
