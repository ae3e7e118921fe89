<script setup lang="ts">
import { optionSchema } from '#core/commission'
import { computed } from 'vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'

const { commission, plan, option, cake, editOption } = usePlanned()
const fit = computed(() => plan.value.fit)
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
