<script setup lang="ts">
import { computed } from 'vue'
import type { Caution } from '#core/care'
import { waysOut, type WayOut } from '#core/plan'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'
import { MARKS } from './severity'

/** Cautions, with what can be done at once about each; `elsewhere`: of a commission that is not the open one. */
const props = defineProps<{ cautions: readonly Caution[]; elsewhere?: boolean }>()
defineSlots<{ where?: (slot: { caution: Caution }) => unknown }>()

const { studio, commission, workshop, plan } = usePlanned()
const preferences = usePreferences()

const looks = {
  stop: { box: 'bg-stop-soft', word: 'Stop' },
  look: { box: 'bg-look-soft', word: 'Look' },
  note: { box: 'bg-paper-deep', word: 'Mind' },
} as const

const shown = computed(() =>
  props.cautions.map((caution) => {
    if (props.elsewhere) return { caution, ways: [] }
    const open = { commission: commission.value, workshop: workshop.value }
    return { caution, ways: waysOut({ caution, plan: plan.value, studio: open, units: preferences.units }) }
  }),
)
const take = ({ words, change }: WayOut): void => studio.edit(words.toLowerCase(), change)
</script>

<template>
  <ul v-if="cautions.length > 0" class="grid gap-2">
    <li
      v-for="({ caution, ways }, at) in shown"
      :key="at"
      class="flex gap-2.5 rounded-xl px-3 py-2 text-[0.9rem]"
      :class="looks[caution.severity].box"
      :data-testid="`caution-${caution.code}`"
    >
      <component
        :is="MARKS[caution.severity].icon"
        class="mt-0.5 size-4.5 shrink-0"
        :class="MARKS[caution.severity].ink"
        aria-hidden="true"
      />
      <div class="min-w-0">
        <slot name="where" :caution="caution" />
        <p>
          <span class="sr-only">{{ looks[caution.severity].word }}: </span>{{ caution.say }}
        </p>
        <ul v-if="ways.length > 0" class="mt-1.5 mb-0.5 flex flex-wrap gap-1.5" aria-label="Ways out">
          <li v-for="way in ways" :key="way.id">
            <button
              type="button"
              class="button min-h-9 px-3 text-[0.88rem]"
              :data-testid="`way-${way.id}`"
              @click="take(way)"
            >
              {{ way.words }}
            </button>
          </li>
        </ul>
      </div>
    </li>
  </ul>
</template>
