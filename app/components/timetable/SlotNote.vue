<script setup lang="ts">
import { Pin, PinOff } from '@lucide/vue'
import { computed } from 'vue'
import { clockText, dayClockText, dayOf, printDuration } from '#core/quantity'
import { reasonWords, type Slot, type Timetable } from '#core/schedule'
import { usePlanned } from '~/composables/planned'
import { spellsOn } from './axis'

/** What a piece of work is, why it is no later, and whether it stays where it was put. */
const props = defineProps<{ work: Slot; timetable: Timetable }>()
const { option, workshop, editOption } = usePlanned()

const why = computed(() =>
  props.work.state === 'toDo'
    ? reasonWords(props.work, props.timetable)
    : props.work.state === 'done'
      ? 'done'
      : 'under way',
)
const isPinned = computed(() => props.work.task !== null && props.work.task in option.value.pins)
/** It was put where nobody works, or where hands are at something else. */
const noHands = computed(() => {
  const at = option.value.pins[props.work.task ?? ''] ?? props.work.from
  const isWorked = spellsOn(dayOf(at), workshop.value.hours).some(({ from, to }) => from <= at && at < to)
  return !isWorked || props.timetable.reasons.find(({ task }) => task === props.work.task)?.reason.kind === 'hands'
})
/** The plan comes a little after the edit that lets it go. */
const isUnkept = computed(() => isPinned.value && props.timetable.unkeptPins.includes(props.work.task!))

const pin = (): void => {
  const { task, from } = props.work
  editOption('keep at this hour', ({ pins }) => {
    pins[task!] = from
  })
}
const release = (): void => {
  const { task } = props.work
  editOption('let it move', (draft) => {
    draft.pins = Object.fromEntries(Object.entries(draft.pins).filter(([id]) => id !== task))
  })
}
</script>

<template>
  <div
    class="mt-3 flex flex-wrap items-baseline gap-x-4 gap-y-1 rounded-xl bg-paper-deep px-4 py-2.5"
    role="status"
    data-testid="slot-note"
  >
    <b class="text-[1.02rem]">{{ work.name }}</b>
    <span>{{ dayClockText(work.from) }} to {{ clockText(work.to) }}, {{ printDuration(work.to - work.from) }}</span>
    <span v-if="why" class="text-ink-soft">{{ why }}</span>
    <span v-if="isUnkept" class="text-stop"
      >You put it at {{ dayClockText(option.pins[work.task!]!) }};
      {{
        noHands ? 'hands are not free then, so it comes before that.' : 'the rest of the work does not allow that.'
      }}</span
    >
    <button
      v-if="work.hands && work.task && work.state === 'toDo'"
      type="button"
      class="figure-link flex items-center gap-1"
      :aria-pressed="isPinned"
      @click="isPinned ? release() : pin()"
    >
      <component :is="isPinned ? PinOff : Pin" class="size-4" aria-hidden="true" />{{
        isPinned ? 'let it move again' : 'keep it at this hour'
      }}
    </button>
  </div>
</template>
