<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { momentText } from '#core/quantity'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import { clockChangeMin, eventProblem } from './eventHour'

const { studio, commission } = usePlanned()
const problem = ref('')

watch(
  () => commission.value.brief.eventAt,
  () => {
    problem.value = ''
  },
)

/** Takes the hour, or says why not and keeps what was there. */
function setEvent(event: Event): void {
  const text = (event.target as HTMLInputElement).value.slice(0, 16)
  problem.value = eventProblem(text, momentText(studio.now))
  if (!problem.value)
    studio.edit('event hour', (draft) => {
      draft.commission.brief.eventAt = text
    })
}

const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

function setOpening(event: Event): void {
  const field = event.target as HTMLInputElement
  const [hours, minutes] = field.value.split(':').map(Number)
  if (hours !== undefined && minutes !== undefined && Number.isFinite(hours + minutes))
    studio.edit('venue opening', (draft) => {
      draft.commission.brief.venueOpensMin = hours * 60 + minutes
    })
  else field.value = clock(commission.value.brief.venueOpensMin)
}

const changes = computed(() => clockChangeMin(momentText(studio.now), commission.value.brief.eventAt))
</script>

<template>
  <div>
    <div class="grid grid-cols-[1.7fr_1fr] gap-4">
      <div>
        <label for="event-at" class="block text-[0.8rem] text-ink-soft">Event, day and hour</label>
        <input
          id="event-at"
          v-draft="commission.brief.eventAt"
          type="datetime-local"
          class="field-input"
          :aria-invalid="problem !== ''"
          aria-describedby="event-problem"
          @change="setEvent"
        />
      </div>
      <div>
        <label for="venue-opens" class="block text-[0.8rem] text-ink-soft">Venue opens</label>
        <input
          id="venue-opens"
          v-draft="clock(commission.brief.venueOpensMin)"
          type="time"
          class="field-input"
          @change="setOpening"
        />
      </div>
    </div>
    <p v-if="problem" id="event-problem" role="alert" class="mt-1 text-[0.85rem] font-medium text-stop">
      {{ problem }}
    </p>
    <p v-else-if="changes !== 0" id="event-problem" class="mt-1 text-[0.85rem] text-ink-soft">
      Clocks go {{ changes > 0 ? 'forward' : 'back' }} before then; all hours here are as the clock will read.
    </p>
  </div>
</template>
