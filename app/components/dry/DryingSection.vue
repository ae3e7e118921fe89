<script setup lang="ts">
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import { airAt, DRYING_WORDS, dryingCurve, onMat, paperSheet, READINESS, type DryingWay } from '#core/dry'
import { paperOf } from '#core/material'
import { waysFor, type SoakedDrying } from '#core/plan'
import { dayClockText, printDuration } from '#core/quantity'
import { useForecast } from '~/components/brief/useForecast'
import QuantityField from '~/components/ui/QuantityField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { useChangedWay } from './changedWay'
import { dampWords } from './dampWords'
import { STATE_NAMES } from './dryingChart'
import DryingChart from './DryingChart.vue'
import DryingRemedies from './DryingRemedies.vue'
import FormerLoads from './FormerLoads.vue'
import { dryingFields } from './dryingFields'
import WorkshopField from '~/components/ui/WorkshopField.vue'

/** Soaked film drying in one way: its curve, when it is ready, what would be quicker, what lies on which mat. */
const props = defineProps<{ soaked: SoakedDrying }>()
const { commission, plan, editDecorations } = usePlanned()

const estimate = computed(() => props.soaked.estimate)
const members = computed(() => plan.value.decorations.filter(({ id }) => props.soaked.decorations.includes(id)))
const ways = computed(() => waysFor(members.value[0]!))
const way = computed(() => props.soaked.drying.way)
const inOven = computed(() => way.value === 'oven')
/** Ways whose places are counted beside mats and trays. */
const own = computed(() => (['fan', 'rack', 'dryRoom'] as const).find((each) => each === way.value) ?? null)
/** The air of the room is what it dries in, so that damp weather and the forecast matter. */
const inRoom = computed(() => !inOven.value && way.value !== 'dryRoom')
const former = computed(() => (inOven.value ? ('trays' as const) : ('mats' as const)))
const names = computed(() => members.value.map(({ name }) => name.toLowerCase()).join(', '))
const room = computed(() => `${Math.round(commission.value.brief.workroom.humidity * 100)} %`)

const { last } = useForecast()
/** When the first load is laid down. */
const laidAt = computed(() =>
  plan.value.timetable.ok
    ? (plan.value.timetable.value.slots.find(
        ({ kind, task, of }) =>
          kind === 'dry' && task === null && of && props.soaked.decorations.includes(of.decoration),
      )?.from ?? null)
    : null,
)
/** The curve in the air of the forecast, by day and night, from when the first load is laid; none beyond its days. */
const asForecast = computed(() => {
  const [forecast, from] = [last.value?.forecast, laidAt.value]
  if (!forecast || from === null || way.value !== 'mat' || !airAt(forecast, from)) return []
  const { kind } = paperOf(props.soaked.paper)
  return dryingCurve({
    sheet: paperSheet(kind, props.soaked.thicknessMm),
    startMoisture: estimate.value.curve.points[0]!.moisture,
    surroundings: (minute) => onMat(airAt(forecast, from + minute) ?? commission.value.brief.workroom),
    roomC: commission.value.brief.workroom.airC,
    horizonH: 48,
  }).points
})
const headline = computed(() => {
  const set = estimate.value.ready.set.planned
  return set ? `Set hard in ${printDuration(set.value)}` : 'Unlikely to set in this room'
})
const chartLabel = computed(() => {
  const set = estimate.value.ready.set.median
  return set
    ? `Drying curve: usually set after ${printDuration(set.value)}`
    : 'Drying curve: not set hard within three days'
})
const { remember } = useChangedWay()
function dryIn(to: DryingWay): void {
  remember(way.value, to)
  edit('way of drying', (each) => {
    each.drying.way = to
  })
}
const edit = (label: string, change: Parameters<typeof editDecorations>[2]): void =>
  editDecorations(props.soaked.decorations, label, change)
</script>

<template>
  <section :aria-label="`Drying of ${names}`" data-testid="drying">
    <h2 class="text-[1.35rem]">
      {{ headline }}<span class="text-ink-soft">: {{ names }}</span>
    </h2>
    <p class="mb-3 text-[0.98rem] text-ink-soft">
      <template v-if="estimate.ready.set.median"
        >Usually <FigureLink :working="estimate.ready.set.median" />; the plan takes
        <FigureLink :working="estimate.ready.set.planned!" /> to be nearly sure. Soak each piece
        <FigureLink :working="estimate.soak" /> first.</template
      ><template v-else
        >At {{ room }} the film stays supple. Dry it in a dry room or in the oven. Soak each piece
        <FigureLink :working="estimate.soak" /> first.</template
      >
    </p>
    <div class="grid gap-x-9 gap-y-6 xl:grid-cols-[1fr_18rem]">
      <div class="min-w-0">
        <DryingChart
          :estimate="estimate"
          :damp="inRoom ? soaked.whenDamp : null"
          :forecast="asForecast"
          :room-c="commission.brief.workroom.airC"
          :label="chartLabel"
        />
        <p class="mt-1 flex flex-wrap gap-x-5 text-[0.86rem] text-ink-soft">
          <span class="flex items-center gap-1.5"
            ><span class="h-1 w-6 rounded bg-go" aria-hidden="true" />{{
              inRoom ? `${DRYING_WORDS[way].name.toLowerCase()}, ${room}` : DRYING_WORDS[way].name.toLowerCase()
            }}</span
          >
          <span v-if="inRoom" class="flex items-center gap-1.5"
            ><span class="w-6 border-t-2 border-dashed border-look" aria-hidden="true" />the same at 75 %</span
          >
          <span v-if="asForecast.length > 0" class="flex items-center gap-1.5"
            ><span class="w-6 border-t-2 border-dotted border-ink" aria-hidden="true" />as the forecast has it from
            {{ dayClockText(laidAt!) }}</span
          >
        </p>
        <div class="mt-5 grid gap-x-9 gap-y-5 md:grid-cols-2">
          <table class="w-full self-start text-[0.94rem]">
            <thead class="text-left text-[0.8rem] text-ink-soft">
              <tr>
                <th class="font-normal">ready</th>
                <th class="text-right font-normal">usually</th>
                <th class="text-right font-normal">almost surely</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="state in READINESS" :key="state">
                <th scope="row" class="py-0.5 text-left font-semibold">{{ STATE_NAMES[state] }}</th>
                <td class="text-right">
                  <FigureLink v-if="estimate.ready[state].median" :working="estimate.ready[state].median!" /><span
                    v-else
                    >not here</span
                  >
                </td>
                <td class="text-right">
                  <FigureLink v-if="estimate.ready[state].ninety" :working="estimate.ready[state].ninety!" /><span
                    v-else
                    >not here</span
                  >
                </td>
              </tr>
            </tbody>
          </table>
          <div class="grid content-start gap-2.5">
            <p class="rounded-xl bg-look-soft px-3.5 py-2 text-[0.92rem]" data-testid="at-75">
              <strong>At 75 %</strong> {{ dampWords(soaked.whenDamp) }}.
            </p>
            <p class="text-[0.88rem] text-ink-soft">
              Chance that this room sets it hard: <FigureLink :working="estimate.chanceOfSetting" />. All times are
              estimates.
            </p>
          </div>
        </div>
      </div>
      <aside class="grid content-start gap-5" aria-label="How it dries">
        <RadioGroup :model-value="soaked.drying.way" @update:model-value="dryIn($event)">
          <RadioGroupLabel as="p" class="sr-only">How {{ names }} dry</RadioGroupLabel>
          <div class="grid gap-2">
            <RadioGroupOption v-for="each in ways" :key="each" :value="each" class="choice"
              ><span class="block font-semibold">{{ DRYING_WORDS[each].name }}</span
              ><span v-if="each === way" class="block text-[0.85rem] text-ink-soft">{{
                DRYING_WORDS[each].say
              }}</span></RadioGroupOption
            >
          </div>
        </RadioGroup>
        <div class="grid grid-cols-2 gap-x-5 gap-y-3">
          <QuantityField
            :schema="dryingFields.soakWaterC"
            :model-value="soaked.drying.soakWaterC"
            @update:model-value="
              edit('soaking water', (each) => {
                each.drying.soakWaterC = $event
              })
            "
          />
          <QuantityField
            v-if="inOven"
            :schema="dryingFields.ovenC"
            :model-value="soaked.drying.ovenC"
            @update:model-value="
              edit('oven', (each) => {
                each.drying.ovenC = $event
              })
            "
          />
          <WorkshopField
            :label="inOven ? 'Trays' : 'Mats'"
            :group="former"
            name="count"
            :edits="former"
            data-testid="formers"
          />
          <WorkshopField v-if="own" group="moulds" :name="own" :edits="DRYING_WORDS[own].name.toLowerCase()" />
          <WorkshopField v-if="inOven" label="In the oven at once" group="own" name="ovenPlaces" edits="oven places" />
          <WorkshopField
            v-for="side in ['lengthMm', 'widthMm'] as const"
            :key="side"
            :group="former"
            :name="side"
            :edits="former"
          />
        </div>
      </aside>
    </div>
    <DryingRemedies class="mt-6" :remedies="soaked.remedies" />
    <FormerLoads class="mt-6" :soaked="soaked" />
  </section>
</template>
