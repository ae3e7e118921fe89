<script setup lang="ts">
import { MOST_BUSY, workshopSchema } from '#core/workshop'
import { CalendarPlus, X } from '@lucide/vue'
import { ref } from 'vue'
import { clockText, dateText, MINUTES_PER_DAY } from '#core/quantity'
import { usePlanned } from '~/composables/planned'
import { chosenFile } from '~/files/chosen'
import { readAside } from '~/files/reading'
import IconButton from '~/components/ui/IconButton.vue'
import WorkshopField from '~/components/ui/WorkshopField.vue'

/** Who works, when they cannot, and how many moulds there are. */
const { studio, workshop, plan } = usePlanned()
const refused = ref('')
const WEEKS_BACK = 6

async function bring(event: Event): Promise<void> {
  const file = chosenFile(event)
  if (!file) return
  const until = plan.value.timetable.ok
    ? plan.value.timetable.value.leaveAt + MINUTES_PER_DAY
    : studio.now + 60 * MINUTES_PER_DAY
  const text = await file.text()
  const read = await readAside((reader) => reader.busyHours(text, until - WEEKS_BACK * 7 * MINUTES_PER_DAY, until))
  refused.value = 'refused' in read ? read.refused : ''
  if ('refused' in read) return
  const { content } = read
  // A second import of the same calendar puts its entries where they are now.
  studio.edit('hours when you cannot', ({ workshop: draft }) => {
    draft.busy = [...draft.busy.filter(({ id }) => !content.some((each) => each.id === id)), ...content].slice(
      -MOST_BUSY,
    )
  })
}

const letGo = (id: string): void =>
  studio.edit('free again', ({ workshop: draft }) => {
    draft.busy = draft.busy.filter((each) => each.id !== id)
  })
const { moulds } = workshopSchema.shape
const kinds = Object.keys(moulds.shape) as (keyof typeof moulds.shape)[]
</script>

<template>
  <section aria-labelledby="who" class="grid gap-3">
    <h2 id="who" class="font-display text-[1.05rem] font-semibold">Hands and moulds</h2>
    <div class="grid grid-cols-2 gap-x-5 gap-y-2">
      <WorkshopField class="col-span-2" data-testid="people" group="own" name="people" edits="people" />
      <WorkshopField v-for="kind in kinds" :key="kind" group="moulds" :name="kind" edits="moulds" />
    </div>
    <label class="button w-fit cursor-pointer focus-within:ring-2 focus-within:ring-go"
      ><CalendarPlus class="size-4.5" aria-hidden="true" />Hours you cannot, from a calendar<input
        type="file"
        class="sr-only"
        accept=".ics,text/calendar"
        data-testid="busy-file"
        @change="bring"
    /></label>
    <p v-if="refused" role="alert" class="rounded-lg bg-stop-soft px-3 py-1.5 text-[0.9rem]">
      {{ refused }} What was here is kept.
    </p>
    <ul v-if="workshop.busy.length > 0" class="grid max-h-40 gap-0.5 overflow-y-auto text-[0.9rem]">
      <li v-for="each in workshop.busy" :key="each.id" class="flex items-center gap-2">
        <span class="min-w-0 flex-1 truncate"
          >{{ dateText(each.from) }}, {{ clockText(each.from) }} to {{ clockText(each.to) }}: {{ each.name }}</span
        ><IconButton
          :icon="X"
          round
          :says="`Free again: ${each.name}, ${dateText(each.from)}`"
          @click="letGo(each.id)"
        />
      </li>
    </ul>
  </section>
</template>
