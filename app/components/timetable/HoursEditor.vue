<script setup lang="ts">
import { ref } from 'vue'
import { workingHoursSchema, type WorkingHours } from '#core/schedule'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'

const { studio, workshop } = usePlanned()
const problem = ref('')
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
/** The week as people say it, Monday first. */
const WEEK = [1, 2, 3, 4, 5, 6, 0]

const clock = (minutes: number): string =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`

/** Takes new hours if they hold together; otherwise says why and keeps what was there. */
function take(next: WorkingHours): void {
  const checked = workingHoursSchema.safeParse(next)
  problem.value = checked.success ? '' : (checked.error.issues[0]?.message ?? 'These hours do not hold together.')
  if (checked.success)
    studio.edit('working hours', (draft) => {
      draft.workshop.hours = checked.data
    })
}

const toggle = (day: number): void =>
  take({ ...workshop.value.hours, days: workshop.value.hours.days.map((works, at) => (at === day ? !works : works)) })

function setSpell(at: number, end: 'fromMin' | 'toMin', event: Event): void {
  const field = event.target as HTMLInputElement
  const [hours, minutes] = field.value.split(':').map(Number)
  if (hours === undefined || minutes === undefined || !Number.isFinite(hours + minutes)) return
  take({
    ...workshop.value.hours,
    spells: workshop.value.hours.spells.map((spell, index) =>
      index === at ? { ...spell, [end]: hours * 60 + minutes } : spell,
    ),
  })
  field.value = clock(workshop.value.hours.spells[at]![end])
}
</script>

<template>
  <fieldset>
    <legend class="font-display mb-2 text-[1.05rem] font-semibold">Working hours</legend>
    <div class="flex flex-wrap gap-1.5">
      <button
        v-for="day in WEEK"
        :key="day"
        type="button"
        class="min-h-9 rounded-full px-3 text-[0.9rem] font-semibold"
        :class="workshop.hours.days[day] ? 'bg-go text-paper' : 'bg-paper-deep text-ink-soft'"
        :aria-pressed="workshop.hours.days[day]"
        @click="toggle(day)"
      >
        {{ DAYS[day] }}
      </button>
    </div>
    <div v-for="(spell, at) in workshop.hours.spells" :key="at" class="mt-2 flex items-center gap-2">
      <input
        v-draft="clock(spell.fromMin)"
        type="time"
        class="field-input w-28!"
        :aria-label="`Spell ${at + 1} begins`"
        @change="setSpell(at, 'fromMin', $event)"
      />
      to
      <input
        v-draft="clock(spell.toMin)"
        type="time"
        class="field-input w-28!"
        :aria-label="`Spell ${at + 1} ends`"
        @change="setSpell(at, 'toMin', $event)"
      />
    </div>
    <p v-if="problem" role="alert" class="mt-1 text-[0.86rem] text-stop">{{ problem }}</p>
  </fieldset>
</template>
