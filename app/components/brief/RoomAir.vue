<script setup lang="ts">
import { CloudSun, Radio } from '@lucide/vue'
import { computed } from 'vue'
import { airOver, climateSchema, isDamp, sensorSentence, type Climate } from '#core/dry'
import { momentText, parseMoment, dateText, printQuantity } from '#core/quantity'
import QuantityField from '~/components/ui/QuantityField.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import { useForecast } from './useForecast'
import { useRoomSensor } from './useRoomSensor'

const { studio, commission } = usePlanned()
const preferences = usePreferences()
const { state, isOn, toggle } = useRoomSensor()
const { last, problem, asking, ask } = useForecast()

const air = (climate: Climate): string =>
  `${printQuantity(climate.airC, 'temperature', preferences.units)}, ${printQuantity(climate.humidity, 'share', preferences.units)}`
const seconds = computed(() =>
  state.value.lastGood ? Math.round((state.value.heardMs - state.value.lastGood.atMs) / 1000) : 0,
)

function plan({ airC, humidity }: Climate, label: string): void {
  studio.edit(label, (draft) => {
    draft.commission.brief.workroom = { airC: Math.round(airC * 10) / 10, humidity: Math.round(humidity * 100) / 100 }
  })
}

const dayName = (date: string): string => {
  const moment = parseMoment(`${date}T12:00`)
  return moment.ok ? dateText(moment.value) : date
}
const making = computed(
  () => last.value?.forecast.days.filter(({ date }) => date < commission.value.brief.eventAt.slice(0, 10)) ?? [],
)
const makingAir = computed(() => airOver(making.value))
</script>

<template>
  <fieldset class="min-w-0">
    <legend class="font-display mb-1 text-[1.05rem] font-semibold">Air in the workroom</legend>
    <div class="grid grid-cols-2 gap-5">
      <QuantityField
        :schema="climateSchema.shape.airC"
        label="Warmth"
        :model-value="commission.brief.workroom.airC"
        @update:model-value="
          studio.edit('workroom warmth', (draft) => {
            draft.commission.brief.workroom.airC = $event
          })
        "
      />
      <QuantityField
        :schema="climateSchema.shape.humidity"
        :model-value="commission.brief.workroom.humidity"
        data-testid="workroom-humidity"
        @update:model-value="
          studio.edit('workroom humidity', (draft) => {
            draft.commission.brief.workroom.humidity = $event
          })
        "
      />
    </div>
    <div class="mt-2 flex flex-wrap gap-2">
      <button
        type="button"
        class="button min-h-9 px-3 text-[0.9rem]"
        :aria-pressed="isOn"
        :class="isOn ? 'bg-go-soft' : ''"
        data-testid="sensor-switch"
        @click="toggle"
      >
        <Radio class="size-4" aria-hidden="true" />Room sensor
      </button>
      <button
        type="button"
        class="button min-h-9 px-3 text-[0.9rem]"
        :disabled="asking"
        data-testid="ask-forecast"
        @click="ask(momentText(studio.now))"
      >
        <CloudSun class="size-4" aria-hidden="true" />{{ asking ? 'Asking…' : 'Ten days' }}
      </button>
    </div>
    <div v-if="isOn" class="mt-2 rounded-xl bg-paper-deep px-3 py-2 text-[0.9rem]" role="status" data-testid="sensor">
      <p v-if="state.problem" class="text-look-ink" data-testid="sensor-problem">{{ sensorSentence(state.problem) }}</p>
      <p v-if="state.lastGood" class="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span
          >{{ state.problem ? `Last good reading${seconds > 0 ? `, ${seconds} s before` : ''}:` : 'Now' }}
          <b>{{ air(state.lastGood) }}</b></span
        >
        <button
          type="button"
          class="figure-link"
          data-testid="take-reading"
          @click="plan(state.lastGood, 'reading of the sensor')"
        >
          Plan with it
        </button>
      </p>
      <p v-else-if="!state.problem">Waiting for the first reading…</p>
    </div>
    <p
      v-if="problem"
      role="alert"
      class="mt-2 rounded-xl bg-look-soft px-3 py-2 text-[0.9rem]"
      data-testid="forecast-problem"
    >
      {{ problem }}
    </p>
    <div v-if="last" class="mt-2" data-testid="forecast">
      <ol class="grid grid-cols-5 gap-1">
        <li v-for="each in last.forecast.days" :key="each.date">
          <button
            type="button"
            class="flex w-full flex-col items-center rounded-lg px-1 py-1 text-[0.78rem]"
            :class="isDamp(each) ? 'bg-look-soft' : 'bg-paper-deep'"
            :aria-label="`Plan with ${dayName(each.date)}: ${air(airOver([each])!)}${isDamp(each) ? ', damp' : ''}`"
            @click="plan(airOver([each])!, `air of ${dayName(each.date)}`)"
          >
            <span class="text-ink-soft">{{ dayName(each.date).slice(0, 6) }}</span><b
              >{{ Math.round(Math.max(each.day.humidity, each.night.humidity) * 100) }} %</b
            ><span class="text-ink-soft">{{ Math.round(each.day.airC) }}°</span>
          </button>
        </li>
      </ol>
      <p v-if="makingAir" class="mt-1 text-[0.86rem] text-ink-soft">
        Until the event the dampest hour is {{ Math.round(makingAir.humidity * 100) }} %.
        <button
          type="button"
          class="figure-link"
          data-testid="take-forecast"
          @click="plan(makingAir, 'air of the forecast')"
        >
          Plan with {{ air(makingAir) }}
        </button>
      </p>
    </div>
  </fieldset>
</template>
