<script setup lang="ts">
import { optionSchema } from '#core/commission'
import { computed } from 'vue'
import { type BoxRemedy } from '#core/plan'
import { printQuantity } from '#core/quantity'
import QuantityField from '~/components/ui/QuantityField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

const { studio, commission, plan, option, cake, editOption } = usePlanned()
const preferences = usePreferences()
const fit = computed(() => plan.value.fit)
const length = (mm: number): string => printQuantity(mm, 'length', preferences.units)

function says(remedy: BoxRemedy): string {
  switch (remedy.kind) {
    case 'placeAtVenue':
      return 'Place what stands out at the venue'
    case 'tiersApart':
      return remedy.tiersApart === 1
        ? 'Let the top tier travel apart'
        : `Let the top ${remedy.tiersApart} tiers travel apart`
    case 'box':
      return `Take a box of ${length(remedy.box.widthMm)} × ${length(remedy.box.depthMm)} × ${length(remedy.box.heightMm)}`
  }
}

function take(remedy: BoxRemedy): void {
  switch (remedy.kind) {
    case 'placeAtVenue':
      return studio.edit('complete at the venue', (draft) => {
        draft.commission.brief.completion = 'atVenue'
      })
    case 'tiersApart':
      return editOption('tiers apart', (each) => {
        each.tiersApart = remedy.tiersApart
      })
    case 'box':
      return studio.edit('box', (draft) => {
        draft.commission.brief.box = { ...remedy.box }
      })
  }
}
</script>

<template>
  <section aria-labelledby="fit-title" data-testid="box-section">
    <h2 id="fit-title" class="part-title mb-1" :class="fit.fits ? '' : 'text-stop'">
      {{ fit.fits ? 'It fits the box standing' : 'It does not fit the box standing' }}
    </h2>
    <p>
      Free at each side <FigureLink :working="fit.clearance.wide" />, front and back
      <FigureLink :working="fit.clearance.deep" />, above <FigureLink :working="fit.clearance.high" /><template
        v-if="commission.brief.completion !== 'beforeDriving'"
        >, decorations packed apart</template
      >.
    </p>
    <ul v-if="plan.remedies.length > 0" class="mt-2 flex flex-wrap gap-2">
      <li v-for="remedy in plan.remedies" :key="remedy.kind">
        <button type="button" class="button button-go" :data-testid="`remedy-${remedy.kind}`" @click="take(remedy)">
          {{ says(remedy) }}
        </button>
      </li>
    </ul>
    <p class="mt-2 text-ink-soft">
      Finished it is <FigureLink :working="plan.finished.wide" /> wide,
      <FigureLink :working="plan.finished.deep" /> deep and <FigureLink :working="plan.finished.high" /> high with its
      board.
    </p>
    <QuantityField
      v-if="cake.tiers.length > 1"
      class="mt-2 w-44"
      :schema="optionSchema.shape.tiersApart"
      :model-value="option.tiersApart"
      @update:model-value="
        (value) =>
          editOption('tiers apart', (each) => {
            each.tiersApart = Math.min(value, each.cake.tiers.length - 1)
          })
      "
    />
    <p v-if="plan.cake.middleDowel" class="mt-2 text-[0.92rem] text-ink-soft">
      A middle dowel of <FigureLink :working="plan.cake.middleDowel" /> keeps the tiers from sliding.
    </p>
    <p class="mt-1 text-[0.92rem] text-ink-soft">
      <FigureLink :working="plan.cake.surface" /> of sides and tops<template
        v-for="covering in plan.cake.coverings"
        :key="covering.name"
        >, <FigureLink :working="covering.total" /> {{ covering.name.toLowerCase() }}</template
      >.
    </p>
  </section>
</template>
