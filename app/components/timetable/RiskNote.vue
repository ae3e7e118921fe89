<script setup lang="ts">
import { dateClockText, printDuration, printNumber } from '#core/quantity'
import type { Timetable } from '#core/schedule'
import FigureLink from '~/components/working/FigureLink.vue'

/** How likely it is to be ready for the event, and what would make it late. */
defineProps<{ timetable: Timetable }>()
const emit = defineEmits<{ ahead: [minutes: number] }>()
const MOST_CAUSES = 3
const SURE = 0.9
</script>

<template>
  <section aria-labelledby="risk" data-testid="risk">
    <h2 id="risk" class="part-title mb-1">How sure that is</h2>
    <p v-if="!timetable.risk" class="text-[0.92rem] text-ink-soft">Living through it two hundred times…</p>
    <template v-else>
      <p class="font-display text-4xl font-semibold"><FigureLink :working="timetable.risk.chance" /></p>
      <p class="text-[0.92rem] text-ink-soft">
        of two hundred runs are ready for the event. An estimate: hands and drying are guesses until yours are logged.
      </p>
      <p v-if="timetable.risk.sure" class="mt-1 text-[0.94rem]">
        To be ready nine times in ten, be done {{ printDuration(timetable.risk.sure.earlierMin) }} earlier: begin
        <b>{{ dateClockText(timetable.risk.sure.startBy) }}</b>.
        <button type="button" class="figure-link" @click="emit('ahead', timetable.risk.sure.earlierMin)">
          plan so
        </button>
      </p>
      <p v-else-if="timetable.risk.chance.value < SURE" class="mt-1 text-[0.94rem]">
        Not even a day more makes it sure: do less at once, or dry in another way.
      </p>
      <ul v-if="timetable.risk.causes.length > 0" class="mt-1.5 grid gap-0.5 text-[0.9rem]">
        <li v-for="cause in timetable.risk.causes.slice(0, MOST_CAUSES)" :key="cause.words">
          {{ printNumber(cause.share * 100, 0) }} % of late runs: {{ cause.words }}
        </li>
      </ul>
    </template>
  </section>
</template>
