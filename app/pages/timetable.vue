<script setup lang="ts">
import { CalendarDays, Printer, Rows3 } from '@lucide/vue'
import { computed, ref } from 'vue'
import { clockText, dateText, percent, printDuration } from '#core/quantity'
import { paceSchema, type Breath, type Pace, type Slot } from '#core/schedule'
import { standingWords } from '~/components/make/standingWords'
import { agendaOf } from '~/components/timetable/axis'
import { useLanes } from '~/components/timetable/lanesShown'
import HoursEditor from '~/components/timetable/HoursEditor.vue'
import BusySection from '~/components/timetable/BusySection.vue'
import RiskNote from '~/components/timetable/RiskNote.vue'
import SlotNote from '~/components/timetable/SlotNote.vue'
import WhatIfs from '~/components/timetable/WhatIfs.vue'
import TimeLanes from '~/components/timetable/TimeLanes.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import LeafPart from '~/components/ui/LeafPart.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { download, fileNameFor } from '~/files/download'
import WorkshopField from '~/components/ui/WorkshopField.vue'

const { studio, commission, workshop, plan, option, editOption, cautionsOn } = usePlanned()
const cautions = cautionsOn('timetable')
const dryCautions = cautionsOn('dry')

const timetable = computed(() => (plan.value.timetable.ok ? plan.value.timetable.value : null))
const startBy = computed(() => plan.value.tally.find(({ id }) => id === 'startBy')?.working ?? null)
const standing = computed(() => (timetable.value ? standingWords(timetable.value) : null))
const agenda = computed(() => (timetable.value ? agendaOf(timetable.value.slots) : []))
const paces = Object.keys(paceSchema.shape) as (keyof Pace)[]
const stopping = computed(() => [...cautions.value, ...dryCautions.value.filter(({ severity }) => severity === 'stop')])

const chosen = ref<Slot | null>(null)
/** The slot that is looked at, as it is now. */
const noted = computed(
  () =>
    timetable.value?.slots.find(({ id }) => id === chosen.value?.id) ??
    timetable.value?.slots.find(({ task }) => task !== null && task === chosen.value?.task) ??
    null,
)
const isNoted = ({ slots }: Breath): boolean => noted.value !== null && slots.some(({ id }) => id === noted.value!.id)
/** Lanes stay open while leaves are turned. */
const { lanesShown } = useLanes()
const put = (task: string, at: number): void =>
  editOption(
    'put work at an hour',
    ({ pins }) => {
      pins[task] = at
    },
    `pin ${task}`,
  )
const pinned = computed(() => Object.keys(option.value.pins).length)
const print = (): void => window.print()

async function saveCalendar(): Promise<void> {
  if (!timetable.value) return
  const { writeCalendar } = await import('#core/format/calendar')
  download(
    writeCalendar(timetable.value.slots, commission.value.id, commission.value.brief.name, studio.now),
    fileNameFor(commission.value.brief.name, '.ics'),
    'text/calendar',
  )
}
</script>

<template>
  <div>
    <LeafHeading
      v-if="timetable && startBy"
      :title="`Start by ${dateText(timetable.startBy)}, ${clockText(timetable.startBy)}`"
    >
      The latest beginning that is ready {{ percent(timetable.risk.chance.value) }} of the time:
      <FigureLink :working="startBy" />. Leave by {{ clockText(timetable.leaveAt) }} on
      {{ dateText(timetable.leaveAt) }}; <FigureLink :working="plan.work.total" /> of work by hand in between.
    </LeafHeading>
    <LeafHeading v-else :title="plan.decorations.length > 0 ? 'No timetable works' : 'Nothing to schedule yet'">{{
      plan.decorations.length > 0
        ? 'As it stands the work cannot be ready in time. What stops it:'
        : 'Put something on the cake in Arrange, and the days before the event fill up here.'
    }}</LeafHeading>
    <p
      v-if="standing"
      class="mb-3 max-w-3xl rounded-xl px-4 py-2"
      :class="standing.safe ? 'bg-go-soft' : 'bg-stop-soft'"
      data-testid="standing"
    >
      {{ standing.words }}
    </p>
    <CautionList :cautions="stopping" class="mb-4 max-w-3xl" />
    <div class="grid gap-x-10 gap-y-7 lg:grid-cols-[1fr_15rem]">
      <div v-if="timetable" class="min-w-0">
        <section class="grid content-start gap-5" aria-label="Work day by day" data-testid="agenda">
          <div v-for="{ day, slots } in agenda" :key="day">
            <h2 class="part-title mb-1 px-1.5">{{ dateText(day) }}</h2>
            <ol>
              <li v-for="line in slots" :key="line.id">
                <button
                  type="button"
                  class="day-line"
                  :class="isNoted(line) ? 'bg-go-soft' : ''"
                  :aria-pressed="isNoted(line)"
                  @click="chosen = line.slots[0]!"
                >
                  <span class="font-semibold">{{ clockText(line.from) }}</span><span>{{ line.name }}</span
                  ><span class="text-ink-soft">{{
                    line.to > line.from ? printDuration(line.to - line.from) : ''
                  }}</span>
                </button>
                <SlotNote
                  v-if="isNoted(line) && !lanesShown"
                  class="no-print mt-0! mb-2"
                  :work="noted!"
                  :timetable="timetable"
                />
              </li>
            </ol>
          </div>
        </section>
        <p v-if="pinned > 0" class="no-print mt-2 text-[0.9rem]">
          {{ pinned }} {{ pinned === 1 ? 'piece of work stays' : 'pieces of work stay' }} where you put
          {{ pinned === 1 ? 'it' : 'them' }}.
          <button
            type="button"
            class="figure-link"
            @click="
              editOption('let all move', (each) => {
                each.pins = {}
              })
            "
          >
            let all move
          </button>
        </p>
      </div>
      <p v-else />
      <aside class="no-print grid content-start gap-6" aria-label="Hours and pace">
        <div v-if="timetable" class="flex flex-wrap gap-2">
          <button type="button" class="button button-go" data-testid="save-calendar" @click="saveCalendar">
            <CalendarDays class="size-4.5" aria-hidden="true" />Save for a calendar</button
          ><button type="button" class="button" @click="print">
            <Printer class="size-4.5" aria-hidden="true" />Print the days
          </button>
        </div>
        <LeafPart><HoursEditor /><BusySection /></LeafPart>
        <details>
          <summary class="font-display text-[1.05rem] font-semibold">Your pace</summary>
          <p class="mt-1 text-[0.86rem] text-ink-soft">Guesses to begin with; put in your own.</p>
          <div class="mt-2 grid grid-cols-2 gap-x-5 gap-y-2">
            <WorkshopField v-for="key in paces" :key="key" group="pace" :name="key" edits="pace" />
          </div>
        </details>
      </aside>
    </div>
    <template v-if="timetable">
      <button
        type="button"
        class="button no-print mt-4"
        :aria-expanded="lanesShown"
        data-testid="lanes"
        @click="lanesShown = !lanesShown"
      >
        <Rows3 class="size-4.5" aria-hidden="true" />{{
          lanesShown ? 'Only the days' : 'Hands, formers and rests side by side'
        }}
      </button>
      <div v-if="lanesShown" class="no-print mt-3">
        <TimeLanes
          :timetable="timetable"
          :hours="workshop.hours"
          :busy="[...workshop.busy, ...studio.others]"
          :now="studio.now"
          :chosen="noted?.task ?? null"
          @choose="chosen = $event"
          @pin="put"
        />
        <SlotNote v-if="noted" :work="noted" :timetable="timetable" />
        <p v-else class="mt-2 text-[0.9rem] text-ink-soft">
          Touch a piece of work to see why it is no later; drag it, or use the arrow keys, to put it at another hour.
        </p>
      </div>
    </template>
    <div class="no-print mt-6 grid gap-x-10 gap-y-6 lg:grid-cols-[19rem_1fr]">
      <LeafPart
        ><RiskNote v-if="timetable" :timetable="timetable" /><WhatIfs :class="timetable ? '' : 'lg:col-span-2'"
      /></LeafPart>
    </div>
  </div>
</template>
