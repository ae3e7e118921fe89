<script setup lang="ts">
import { dateClockText, percent, printNumber } from '#core/quantity'
import { couldBeginLater, type Timetable } from '#core/schedule'
import FigureLink from '~/components/working/FigureLink.vue'
import WorkshopField from '~/components/ui/WorkshopField.vue'

/** How likely it is to be ready for the event, what would make it late, and the chance that is planned for. */
defineProps<{ timetable: Timetable }>()
const MOST_CAUSES = 3
</script>

<template>
  <section aria-labelledby="risk" data-testid="risk">
    <h2 id="risk" class="part-title mb-1">How sure that is</h2>
    <p class="font-display text-4xl font-semibold"><FigureLink :working="timetable.risk.chance" /></p>
    <p class="text-[0.92rem] text-ink-soft">
      of two hundred runs are ready for the event. An estimate: hands and drying are guesses until yours are logged.
    </p>
    <p v-if="timetable.last && couldBeginLater(timetable)" class="mt-1 text-[0.94rem]">
      Last possible: {{ dateClockText(timetable.last.startBy) }}, about <FigureLink :working="timetable.last.chance" />.
    </p>
    <p v-if="!timetable.risk.isSure" class="mt-1 text-[0.94rem]">
      <template v-if="timetable.last"
        >Beginning earlier does not make it {{ percent(timetable.risk.wanted) }}. </template
      ><template v-if="timetable.risk.help.length > 0">What helps: {{ timetable.risk.help.join('; ') }}.</template
      ><template v-else>Do less at once, or dry in another way.</template>
    </p>
    <ul v-if="timetable.risk.causes.length > 0" class="mt-1.5 grid gap-0.5 text-[0.9rem]">
      <li v-for="cause in timetable.risk.causes.slice(0, MOST_CAUSES)" :key="cause.words">
        {{ printNumber(cause.share * 100, 0) }} % of late runs: {{ cause.words }}
      </li>
    </ul>
    <div class="mt-2 max-w-48"><WorkshopField group="own" name="readyChance" edits="chance of being ready" /></div>
  </section>
</template>
