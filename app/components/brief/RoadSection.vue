<script setup lang="ts">
import { briefSchema } from '#core/commission'
import { Plus, X } from '@lucide/vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import { vDraft } from '~/composables/draft'
import { usePlanned } from '~/composables/planned'
import IconButton from '~/components/ui/IconButton.vue'
import SwitchField from '~/components/ui/SwitchField.vue'

const { studio, commission } = usePlanned()
const MOST_STOPS = 6
const stopSchema = briefSchema.shape.stops.element.shape.minutes

const add = (): void =>
  studio.edit('add a stop', (draft) => {
    draft.commission.brief.stops.push({ name: `stop ${draft.commission.brief.stops.length + 1}`, minutes: 15 })
  })
const remove = (at: number): void =>
  studio.edit('remove a stop', (draft) => {
    draft.commission.brief.stops.splice(at, 1)
  })

function rename(at: number, event: Event): void {
  const field = event.target as HTMLInputElement
  const name = field.value.trim().slice(0, 60)
  if (name)
    studio.edit('stop', (draft) => {
      draft.commission.brief.stops[at]!.name = name
    })
  else field.value = commission.value.brief.stops[at]!.name
}
</script>

<template>
  <fieldset>
    <legend class="font-display mb-1 text-[1.05rem] font-semibold">On the road</legend>
    <div class="grid grid-cols-2 items-end gap-5">
      <QuantityField
        :schema="briefSchema.shape.driveMin"
        :model-value="commission.brief.driveMin"
        @update:model-value="
          studio.edit('drive', (draft) => {
            draft.commission.brief.driveMin = $event
          })
        "
      />
      <SwitchField
        :model-value="commission.brief.transport.coolCar"
        @update:model-value="
          studio.edit('cool car', (draft) => {
            draft.commission.brief.transport.coolCar = $event
          })
        "
        >Cool car</SwitchField
      >
    </div>
    <ul class="mt-1 grid gap-1">
      <li v-for="(stop, at) in commission.brief.stops" :key="at" class="grid grid-cols-[1fr_6rem_2rem] items-end gap-3">
        <input
          v-draft="stop.name"
          class="field-input"
          maxlength="60"
          :aria-label="`Name of stop ${at + 1}`"
          @change="rename(at, $event)"
        />
        <QuantityField
          :schema="stopSchema"
          :model-value="stop.minutes"
          @update:model-value="
            studio.edit('stop', (draft) => {
              draft.commission.brief.stops[at]!.minutes = $event
            })
          "
        />
        <IconButton :icon="X" round :says="`Remove ${stop.name}`" @click="remove(at)" />
      </li>
    </ul>
    <button
      type="button"
      class="button mt-1.5 min-h-9 px-3 text-[0.9rem]"
      :disabled="commission.brief.stops.length >= MOST_STOPS"
      @click="add"
    >
      <Plus class="size-4" aria-hidden="true" />A stop
    </button>
  </fieldset>
</template>
