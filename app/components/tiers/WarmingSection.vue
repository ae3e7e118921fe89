<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import { printDuration } from '#core/quantity'
import WarmingChart from './WarmingChart.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import WorkshopField from '~/components/ui/WorkshopField.vue'

const { studio, commission, plan } = usePlanned()
const slowest = computed(() => plan.value.cake.slowest)
const keepings = [
  { id: 'roomTemperature', name: 'Paper last, at room temperature', say: 'Warm through first, then place' },
  { id: 'chilledSealed', name: 'Kept chilled, sealed and dry', say: 'Decorated, and warmed through in its box' },
] as const
</script>

<template>
  <section v-if="slowest" aria-labelledby="warm-title" data-testid="warming">
    <h2 id="warm-title" class="part-title mb-1">Out of the refrigerator</h2>
    <p v-if="slowest.usual">
      The surface of tier {{ slowest.tier + 1 }} stands above the dew point, <FigureLink :working="slowest.dewPoint" />,
      after <FigureLink :working="slowest.usual" /> usually<template v-if="slowest.cautious"
        >, <FigureLink :working="slowest.cautious" /> by the cautious answer that is planned on</template
      >. Until then {{ slowest.dew[0].toFixed(2) }} to {{ slowest.dew[1].toFixed(2) }} g/dm² of dew settles on it.
    </p>
    <p v-else>
      In this air it stays below the dew point, <FigureLink :working="slowest.dewPoint" />, for more than
      {{ printDuration(1440) }}.
    </p>
    <div class="mt-3 grid gap-5 md:grid-cols-[1.3fr_1fr]">
      <WarmingChart :warming="slowest" />
      <div class="grid content-start gap-2">
        <RadioGroup
          :model-value="commission.brief.keeping"
          aria-label="How the decorated cake is kept"
          class="grid gap-2"
          @update:model-value="
            studio.edit('keeping', (draft) => {
              draft.commission.brief.keeping = $event
            })
          "
        >
          <RadioGroupOption v-for="each in keepings" :key="each.id" :value="each.id" class="choice"
            ><span class="block font-semibold">{{ each.name }}</span
            ><span class="block text-[0.88rem] text-ink-soft">{{ each.say }}</span></RadioGroupOption
          >
        </RadioGroup>
        <WorkshopField class="w-32" group="own" name="fridgeC" edits="refrigerator" />
      </div>
    </div>
  </section>
</template>
