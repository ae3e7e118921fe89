<script setup lang="ts">
import { Plus, X } from '@lucide/vue'
import type { Quiet } from '#core/compose'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import { QUIET_MIDDLE, QUIET_SPAN } from './schemas'
import IconButton from '~/components/ui/IconButton.vue'
import SwitchField from '~/components/ui/SwitchField.vue'

/** What stays free of a decoration. */
const props = defineProps<{ quiet: Quiet; first: boolean }>()
const emit = defineEmits<{ edit: [label: string, change: (quiet: Quiet) => void, merge?: string] }>()

const MOST_PLACES = 4
const ticks = [
  ['others', 'Keeps off what lies there already'],
  ['seams', 'Keeps off seams'],
  ['back', 'Leaves the back bare'],
] as const
</script>

<template>
  <section data-testid="quiet">
    <h2 class="part-title mb-1">Kept free</h2>
    <div class="grid gap-1.5">
      <SwitchField
        v-for="[key, name] in ticks.filter(([key]) => !props.first || key !== 'others')"
        :key="key"
        :model-value="quiet[key]"
        :data-testid="`quiet-${key}`"
        @update:model-value="
          emit('edit', name.toLowerCase(), (each) => {
            each[key] = $event
          })
        "
        >{{ name }}</SwitchField
      >
      <div v-for="(place, at) in quiet.places" :key="at" class="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
        <QuantitySlider
          :schema="QUIET_MIDDLE"
          :model-value="place.middleDeg"
          @update:model-value="
            emit(
              'edit',
              'quiet place',
              ({ places }) => {
                places[at]!.middleDeg = $event
              },
              `quiet ${at}`,
            )
          "
        />
        <QuantitySlider
          :schema="QUIET_SPAN"
          :model-value="place.spanDeg"
          @update:model-value="
            emit(
              'edit',
              'quiet place',
              ({ places }) => {
                places[at]!.spanDeg = $event
              },
              `quiet ${at}`,
            )
          "
        />
        <IconButton
          :icon="X"
          says="No quiet place here"
          @click="
            emit('edit', 'no quiet place', ({ places }) => {
              places.splice(at, 1)
            })
          "
        />
      </div>
      <p v-if="quiet.places.length < MOST_PLACES">
        <button
          type="button"
          class="button min-h-9 gap-1! px-2.5 text-[0.88rem]"
          data-testid="quiet-add"
          @click="
            emit('edit', 'a quiet place', ({ places }) => {
              places.push({ middleDeg: 0, spanDeg: 40 })
            })
          "
        >
          <Plus class="size-4" aria-hidden="true" />A quiet place
        </button>
      </p>
    </div>
  </section>
</template>
