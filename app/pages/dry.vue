<script setup lang="ts">
import { workshopSchema } from '#core/workshop'
import { RadioGroup, RadioGroupLabel, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import { airAt, dryingCurve, onMat, READINESS } from '#core/dry'
import { RICE_FILM } from '#core/material'
import { sailSweepSchema } from '#core/plan'
import { dayClockText, printDuration } from '#core/quantity'
import { useForecast } from '~/components/brief/useForecast'
import { dampWords } from '~/components/dry/dampWords'
import { STATE_NAMES } from '~/components/dry/dryingChart'
import DryingChart from '~/components/dry/DryingChart.vue'
import DryingRemedies from '~/components/dry/DryingRemedies.vue'
import PaperRests from '~/components/dry/PaperRests.vue'
import FormerLoads from '~/components/dry/FormerLoads.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'

const { studio, commission, workshop, plan, decoration, editDecoration, cautionsOn } = usePlanned()
const cautions = cautionsOn('dry')

const ways = [
  { id: 'mat', name: 'On a mat, in the room', say: 'Crisp folds, slow; the mat is held till the sails are firm' },
  { id: 'oven', name: 'On parchment, in a cool oven', say: 'Softer folds, half an hour; box at once in a damp room' },
] as const

const drying = computed(() => plan.value.drying)
const former = computed(() => (drying.value.way === 'mat' ? ('mats' as const) : ('trays' as const)))
const dryingSchema = sailSweepSchema.shape.drying.shape
const damp = computed(() => plan.value.dryingWhenDamp)

const { last } = useForecast()
/** When the first load is draped. */
const drapedAt = computed(() =>
  plan.value.timetable.ok ? (plan.value.timetable.value.slots.find(({ kind }) => kind === 'drape')?.to ?? null) : null,
)
/** The curve in the air of the forecast, by day and night, from when the first load is draped; none beyond its days. */
const asForecast = computed(() => {
  const [forecast, from] = [last.value?.forecast, drapedAt.value]
  if (!forecast || from === null || drying.value.way !== 'mat' || !airAt(forecast, from)) return []
  return dryingCurve({
    sheet: RICE_FILM,
    startMoisture: drying.value.curve.points[0]!.moisture,
    surroundings: (minute) => onMat(airAt(forecast, from + minute) ?? commission.value.brief.workroom),
    roomC: commission.value.brief.workroom.airC,
    horizonH: 48,
  }).points
})

const headline = computed(() => {
  const set = drying.value.ready.set.planned
  if (!set) return 'Unlikely to set in this room'
  return `Set hard in ${printDuration(set.value)}`
})

const dampSentence = computed(() => dampWords(damp.value))

const chartLabel = computed(() => {
  const set = drying.value.ready.set.median
  return set
    ? `Drying curve: usually set after ${printDuration(set.value)}`
    : 'Drying curve: not set hard within three days'
})
</script>

<template>
  <div v-if="!decoration">
    <LeafHeading v-if="plan.work.making.length > 0" title="Paper and its rests"
      >What is brushed or damped rests until it can be handled. Damp air makes every rest longer.</LeafHeading
    >
    <LeafHeading v-else title="Nothing to dry yet"
      >Lay a sweep of sails in Arrange, and their drying appears here.</LeafHeading
    >
    <PaperRests v-if="plan.work.making.length > 0" />
  </div>
  <div v-else>
    <LeafHeading :title="headline">
      <template v-if="drying.ready.set.median"
        >Usually <FigureLink :working="drying.ready.set.median" />; the plan takes
        <FigureLink :working="drying.ready.set.planned!" /> to be nearly sure. Soak each piece
        <FigureLink :working="drying.soak" /> first.</template
      >
      <template v-else
        >At {{ Math.round(commission.brief.workroom.humidity * 100) }} % the film stays supple. Dry it in the oven, or
        dry the room. Soak each piece <FigureLink :working="drying.soak" /> first.</template
      >
    </LeafHeading>
    <div class="grid gap-x-9 gap-y-6 xl:grid-cols-[1fr_18rem]">
      <div class="min-w-0">
        <DryingChart
          :estimate="drying"
          :damp="drying.way === 'mat' ? damp : null"
          :forecast="asForecast"
          :room-c="commission.brief.workroom.airC"
          :label="chartLabel"
        />
        <p class="mt-1 flex flex-wrap gap-x-5 text-[0.86rem] text-ink-soft">
          <span class="flex items-center gap-1.5"
            ><span class="h-1 w-6 rounded bg-go" aria-hidden="true" />{{
              drying.way === 'mat'
                ? `this room, ${Math.round(commission.brief.workroom.humidity * 100)} %`
                : 'in the oven'
            }}</span
          >
          <span v-if="drying.way === 'mat'" class="flex items-center gap-1.5"
            ><span class="w-6 border-t-2 border-dashed border-look" aria-hidden="true" />the same at 75 %</span
          >
          <span v-if="asForecast.length > 0" class="flex items-center gap-1.5"
            ><span class="w-6 border-t-2 border-dotted border-ink" aria-hidden="true" />as the forecast has it from
            {{ dayClockText(drapedAt!) }}</span
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
                  <FigureLink v-if="drying.ready[state].median" :working="drying.ready[state].median!" /><span v-else
                    >not here</span
                  >
                </td>
                <td class="text-right">
                  <FigureLink v-if="drying.ready[state].ninety" :working="drying.ready[state].ninety!" /><span v-else
                    >not here</span
                  >
                </td>
              </tr>
            </tbody>
          </table>
          <div class="grid content-start gap-2.5">
            <p class="rounded-xl bg-look-soft px-3.5 py-2 text-[0.92rem]" data-testid="at-75">
              <strong>At 75 %</strong> {{ dampSentence }}.
            </p>
            <p class="text-[0.88rem] text-ink-soft">
              Chance that this room sets it hard: <FigureLink :working="drying.chanceOfSetting" />. All times are
              estimates.
            </p>
          </div>
        </div>
      </div>
      <aside class="grid content-start gap-5" aria-label="How it dries">
        <RadioGroup
          :model-value="decoration.drying.way"
          @update:model-value="
            editDecoration('way of drying', (each) => {
              each.drying.way = $event
            })
          "
        >
          <RadioGroupLabel as="p" class="sr-only">How the sails dry</RadioGroupLabel>
          <div class="grid gap-2">
            <RadioGroupOption v-for="way in ways" :key="way.id" :value="way.id" class="choice"
              ><span class="block font-semibold">{{ way.name }}</span
              ><span class="block text-[0.85rem] text-ink-soft">{{ way.say }}</span></RadioGroupOption
            >
          </div>
        </RadioGroup>
        <div class="grid grid-cols-2 gap-x-5 gap-y-3">
          <QuantityField
            :schema="dryingSchema.soakWaterC"
            :model-value="decoration.drying.soakWaterC"
            @update:model-value="
              editDecoration('soaking water', (each) => {
                each.drying.soakWaterC = $event
              })
            "
          />
          <QuantityField
            v-if="drying.way === 'oven'"
            :schema="dryingSchema.ovenC"
            :model-value="decoration.drying.ovenC"
            @update:model-value="
              editDecoration('oven', (each) => {
                each.drying.ovenC = $event
              })
            "
          />
          <QuantityField
            :schema="workshopSchema.shape[former].shape.count"
            :label="former === 'mats' ? 'Mats' : 'Trays'"
            :model-value="workshop[former].count"
            data-testid="formers"
            @update:model-value="
              studio.edit(former, (draft) => {
                draft.workshop[former].count = $event
              })
            "
          />
          <QuantityField
            v-if="drying.way === 'oven'"
            :schema="workshopSchema.shape.ovenPlaces"
            label="In the oven at once"
            :model-value="workshop.ovenPlaces"
            @update:model-value="
              studio.edit('oven places', (draft) => {
                draft.workshop.ovenPlaces = $event
              })
            "
          />
          <QuantityField
            v-for="side in ['lengthMm', 'widthMm'] as const"
            :key="side"
            :schema="workshopSchema.shape[former].shape[side]"
            :model-value="workshop[former][side]"
            @update:model-value="
              studio.edit(former, (draft) => {
                draft.workshop[former][side] = $event
              })
            "
          />
        </div>
        <CautionList :cautions="cautions" />
      </aside>
    </div>
    <DryingRemedies class="mt-6" />
    <section class="mt-6">
      <h2 class="part-title mb-2">
        {{ plan.loads.length }} {{ plan.loads.length === 1 ? 'load' : 'loads' }} on {{ workshop[former].count }}
        {{ former }}, palest first
      </h2>
      <FormerLoads />
    </section>
    <PaperRests class="mt-6" />
  </div>
</template>
