<script setup lang="ts">
import { computed } from 'vue'
import { optionSchema } from '#core/commission'
import { dishLabels } from '#core/draw'
import { printQuantity } from '#core/quantity'
import { COLOURING_WORDS, dippedSteps, doseWords } from '#core/tint'
import { useDishNames } from '~/components/tint/dishNames'
import BathSection from '~/components/tint/BathSection.vue'
import ColouringSection from '~/components/tint/ColouringSection.vue'
import DishSection from '~/components/tint/DishSection.vue'
import DyeShelf from '~/components/tint/DyeShelf.vue'
import LookChoice from '~/components/tint/LookChoice.vue'
import MixtureSection from '~/components/tint/MixtureSection.vue'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import LeafPart from '~/components/ui/LeafPart.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import SheetPrint from '~/components/ui/SheetPrint.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

const { commission, plan, option, editOption, cautionsOn } = usePlanned()
const names = useDishNames()
const preferences = usePreferences()
const cautions = cautionsOn('tint')

const baths = computed(() => plan.value.dishes.baths)
const dishes = computed(() => plan.value.dishes.dishes)
const colours = computed(() => plan.value.tally.find(({ id }) => id === 'colours')?.working ?? null)
/** Dishes are numbered through: the steps of the baths, then the others. */
const firstOf = (at: number): number =>
  1 + baths.value.slice(0, at).reduce((sum, bath) => sum + dippedSteps(bath).length, 0)
const isDipped = computed(
  () => baths.value.length > 0 || dishes.value.some(({ colouring }) => colouring.way === 'bath'),
)

/** Cards to lay before the dishes. */
const doseText = (dye: string, drops: number): string => {
  const known = [...plan.value.dishes.dyes.film, ...plan.value.dishes.dyes.wafer]
  const { name, base } = known.find((each) => each.dye.id === dye)!.dye
  const { amount, beside } = doseWords({ base }, drops, preferences.units)
  return `${name} ${amount}${base === 'powder' ? `, ${beside}` : ''}`
}
const volume = (ml: number): string => printQuantity(ml, 'volume', preferences.units)
const labels = computed(() => [
  dishLabels(`${commission.value.brief.name}: dishes in the order of work`, [
    ...baths.value.flatMap((bath, at) =>
      dippedSteps(bath).map((step, order) => ({
        place: firstOf(at) + order,
        name: `${names.ofShade(bath, step.shade)}, ` + `${order === 0 ? 'into' : 'then to'} ${volume(step.volumeMl)}`,
        hex: step.predictedHex,
        doses: Object.entries(step.wholeDrops).flatMap(([dye, drops]) => (drops > 0 ? [doseText(dye, drops)] : [])),
        pieces: `dip ${step.batch.pieceCount}: ${bath.uses.map(({ name }) => name.toLowerCase()).join(', ')}`,
      })),
    ),
    ...dishes.value.map(({ id, predictedHex, ml, doses, uses, colouring }, at) => ({
      place: firstOf(baths.value.length) + at,
      name: `${names.ofDish(id)}, ${volume(ml.value)}`,
      hex: predictedHex,
      doses: doses.map(({ dye, whole }) => doseText(dye, whole)),
      pieces: `${COLOURING_WORDS[colouring.way]}: ${uses.map(({ name }) => name.toLowerCase()).join(', ')}`,
    })),
  ]),
])

const traySchema = optionSchema.shape.tray.shape
const tray = ['lengthMm', 'widthMm', 'depthMm'] as const
</script>

<template>
  <div>
    <LeafHeading v-if="colours" title="Colours, pale first">
      <FigureLink :working="colours" /> in all, {{ plan.tally.find(({ id }) => id === 'colours')?.beside }}. Every
      colour is mixed once. Dip or brush a strip, dry it, and hold it against the cake before the batch.
    </LeafHeading>
    <LeafHeading v-else-if="plan.decorations.length > 0" title="Nothing to mix"
      >All that is on the cake keeps the colour of its paper. Another colour is chosen below.</LeafHeading
    >
    <LeafHeading v-else title="Nothing to tint yet"
      >Put something on the cake in Arrange, and its colours appear here, dish by dish.</LeafHeading
    >
    <LookChoice v-if="colours" class="mb-4" />
    <BathSection v-for="(bath, at) in baths" :key="bath.id" class="mb-7" :bath="bath" :first="firstOf(at)" />
    <LeafPart><DishSection class="mb-7" :first="firstOf(baths.length)" /></LeafPart>
    <p
      v-for="{ decoration, name, dyes, because } in plan.dishes.leftOut"
      :key="decoration"
      class="mb-3 max-w-3xl rounded-xl bg-look-soft px-4 py-2.5 text-[0.92rem]"
      data-testid="left-out"
    >
      {{ name }} is mixed without {{ dyes.join(', ') }}: {{ because }}. Where the rest does not reach the colour, its
      dish says so.
    </p>
    <div class="grid gap-x-10 gap-y-6 md:grid-cols-[1.4fr_1fr]">
      <LeafPart><ColouringSection /></LeafPart>
      <section class="grid content-start gap-3">
        <p v-if="colours" class="rounded-xl bg-paper-deep px-4 py-3 text-[0.9rem]">
          Swatches are predictions from starting values and may be off by a clear shade. Dip a strip, dry it, hold it
          against the cake before the batch.
        </p>
        <div v-if="isDipped" class="grid max-w-xs grid-cols-3 gap-4">
          <QuantityField
            v-for="side in tray"
            :key="side"
            :schema="traySchema[side]"
            :model-value="option.tray[side]"
            @update:model-value="
              editOption('tray', (each) => {
                each.tray[side] = $event
              })
            "
          />
        </div>
        <CautionList :cautions="cautions" />
        <details v-if="labels[0]!.shapes.length > 1">
          <summary class="figure-link w-fit list-none text-[0.92rem]">Print labels for the dishes</summary>
          <div class="mt-2 max-w-72">
            <SheetPrint
              :sheets="labels"
              :title="`${commission.brief.name}: dishes`"
              :name="commission.brief.name"
              ending="-dishes"
              mark="dishes"
            />
          </div>
        </details>
      </section>
    </div>
    <LeafPart><DyeShelf class="mt-7" /></LeafPart>
    <LeafPart><MixtureSection /></LeafPart>
  </div>
</template>
