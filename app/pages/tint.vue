<script setup lang="ts">
import { computed } from 'vue'
import { sailSweepSchema } from '#core/plan'
import { dishLabels } from '#core/draw'
import { shadeRange } from '#core/learn'
import { DROP_ML } from '#core/material'
import { printQuantity } from '#core/quantity'
import { COLOURING_WORDS, colourWords, seenHex, SOAKED_FILM, type OutOfReach } from '#core/tint'
import CautionList from '~/components/ui/CautionList.vue'
import ColouringSection from '~/components/tint/ColouringSection.vue'
import DishSwatch from '~/components/tint/DishSwatch.vue'
import LookChoice from '~/components/tint/LookChoice.vue'
import DishSection from '~/components/tint/DishSection.vue'
import { useLook } from '~/components/tint/looking'
import ColourChoice from '~/components/ui/ColourChoice.vue'
import DyeShelf from '~/components/tint/DyeShelf.vue'
import MixtureSection from '~/components/tint/MixtureSection.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import SheetPrint from '~/components/ui/SheetPrint.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

const { commission, plan, cake, decoration, editDecoration, cautionsOn } = usePlanned()
const preferences = usePreferences()
const lit = useLit()
const cautions = cautionsOn('tint')
const DROPS_TO_SPOON = 30

const colourSchema = sailSweepSchema.shape.colour.shape
const bath = computed(() => plan.value.bath)
const look = useLook()
const perDish = computed(() =>
  (bath.value?.steps ?? []).map((step) => {
    const sails = plan.value.arrangement.sails.filter(({ shade }) => shade === step.shade)
    return {
      step,
      range: shadeRange(step.inBath, plan.value.dyes, SOAKED_FILM),
      hex: seenHex(
        look.value,
        step.inBath,
        plan.value.dyes.map(({ dye }) => dye),
        SOAKED_FILM,
        cake.value.tiers[sails[0]?.place.tier ?? 0]?.colour ?? '#ffffff',
      ),
      words: colourWords(step.predictedHex, commission.value.palette),
      pieces: plan.value.cutList.pieces.filter(({ shade }) => shade === step.shade),
      loads: plan.value.loads.filter(({ laid }) => laid.some(({ piece }) => piece.shade === step.shade)).length,
      sails: sails.map(({ place }) => place.index),
    }
  }),
)

/** For more drops than anybody counts, the volume to measure instead. */
const volumeText = (drops: number): string =>
  drops > DROPS_TO_SPOON ? printQuantity(drops * DROP_ML, 'volume', preferences.units) : ''

const ends = [
  { key: 'heart', name: 'At the heart' },
  { key: 'tail', name: 'At the tail' },
] as const
const setColour = (key: 'heart' | 'tail', hex: string): void =>
  editDecoration(
    `colour ${key}`,
    ({ colour }) => {
      colour[key] = hex
    },
    `colour ${key}`,
  )
/** Cards to lay before the dishes. */
const doseText = (dye: string, drops: number): string =>
  `${plan.value.dyes.find((each) => each.dye.id === dye)?.dye.name ?? dye} ${drops} ${drops === 1 ? 'drop' : 'drops'}`
const labels = computed(() => [
  dishLabels(`${commission.value.brief.name}: dishes in the order of work`, [
    ...perDish.value.map(({ step, pieces, words }) => ({
      place: step.shade + 1,
      name: `${words}, ${step.shade === 0 ? 'into' : 'then to'} ${printQuantity(step.volumeMl, 'volume', preferences.units)}`,
      hex: step.predictedHex,
      doses: Object.entries(step.wholeDrops).flatMap(([dye, drops]) => (drops > 0 ? [doseText(dye, drops)] : [])),
      pieces: `dip ${pieces.map(({ number }) => number).join(', ') || 'nothing'}`,
    })),
    ...plan.value.dishes.dishes.map(({ predictedHex, ml, doses, uses, colouring }, at) => ({
      place: perDish.value.length + at + 1,
      name: `${colourWords(predictedHex, commission.value.palette)}, ${printQuantity(ml.value, 'volume', preferences.units)}`,
      hex: predictedHex,
      doses: doses.map(({ dye, whole }) => doseText(dye, whole)),
      pieces: `${COLOURING_WORDS[colouring.way]}: ${uses.map(({ name }) => name.toLowerCase()).join(', ')}`,
    })),
  ]),
])

/** Why the colour asked for does not come. */
const OUT_OF_REACH: Readonly<Record<OutOfReach, string>> = {
  paler: 'It is paler than bare film on white: nothing paler can be dyed.',
  deeper: 'It is deeper than the strongest bath makes film.',
  purer: 'It is purer than these dyes mix; a dye of nearly that hue comes nearer.',
}

const tray = ['lengthMm', 'widthMm', 'depthMm'] as const
</script>

<template>
  <div>
    <LeafHeading v-if="bath && decoration" title="One bath, pale first">
      Begin with <FigureLink :working="bath.startMl" /> of boiled, cooled water. Dip the palest pieces, add colour, dip
      the next. Each dose allows for what the pieces before carried away; <FigureLink :working="bath.leftMl" /> is left
      at the end.
    </LeafHeading>
    <LeafHeading v-else-if="plan.dishes.dishes.length > 0" title="Dishes of colour"
      >Every colour is mixed once, pale before deep. Dip or brush a strip, dry it, and hold it against the cake before
      the batch.</LeafHeading
    >
    <LeafHeading v-else title="Nothing to tint yet"
      >Lay a sweep of sails or another decoration in Arrange, and its colours appear here, dish by dish.</LeafHeading
    >
    <LookChoice v-if="bath || plan.dishes.dishes.length > 0" class="mb-4" />
    <ol v-if="bath && decoration" class="grid gap-4 sm:grid-cols-2 lg:flex lg:gap-0" data-testid="dishes">
      <li
        v-for="({ step, hex, range, words, pieces, loads, sails }, at) in perDish"
        :key="step.shade"
        class="flex gap-4 lg:min-w-0 lg:flex-1 lg:flex-col lg:gap-2 lg:px-2"
        @pointerenter="lit.hoverMany('sail', sails)"
        @pointerleave="lit.leave()"
      >
        <DishSwatch
          :place="step.shade + 1"
          :hex="hex"
          :before="perDish[at - 1]?.hex ?? null"
          :after="perDish[at + 1]?.hex ?? null"
        />
        <div class="lg:text-center">
          <p class="font-semibold first-letter:uppercase">{{ words }}</p>
          <p class="text-[0.82rem] text-ink-soft">{{ step.shade === 0 ? 'into clear water' : 'then add' }}</p>
          <template v-for="{ dye } in plan.dyes" :key="dye.id"
            ><p
              v-if="(step.wholeDrops[dye.id] ?? 0) > 0"
              class="font-display text-[1.05rem] leading-snug font-semibold"
            >
              {{ dye.name }} {{ step.wholeDrops[dye.id] }} {{ step.wholeDrops[dye.id] === 1 ? 'drop' : 'drops'
              }}<span
                v-if="volumeText(step.wholeDrops[dye.id]!)"
                class="font-text ml-1.5 inline-block text-[0.82rem] font-normal whitespace-nowrap text-ink-soft"
                >{{ volumeText(step.wholeDrops[dye.id]!) }}</span
              >
            </p></template
          >
          <p class="mt-1 text-[0.86rem]">exactly <FigureLink :working="step.exactDrops" /></p>
          <p class="mt-1 text-[0.86rem] text-ink-soft">
            dip {{ pieces.length }} {{ pieces.length === 1 ? 'piece' : 'pieces'
            }}<template v-if="pieces.length > 0">: {{ pieces.map(({ number }) => number).join(', ') }}</template
            ><template v-if="loads > 1">, in {{ loads }} loads: cover the bath between</template>
          </p>
          <p class="text-[0.86rem] text-ink-soft">dries to {{ step.predictedHex }}</p>
          <p class="mt-1 flex items-center gap-1 text-[0.8rem] text-ink-soft lg:justify-center">
            between<span
              v-for="(end, edge) in range"
              :key="edge"
              class="size-4 rounded-full border border-line"
              :style="{ background: end }"
              :title="end"
            />
          </p>
        </div>
      </li>
    </ol>
    <div class="mt-7 grid gap-x-10 gap-y-6 md:grid-cols-[1.4fr_1fr]">
      <section v-if="bath && decoration">
        <h2 class="part-title mb-2">Colours of the sweep</h2>
        <ColourChoice
          v-for="{ key, name } in ends"
          :key="key"
          class="mb-2"
          :label="name"
          :model-value="decoration.colour[key]"
          @update:model-value="setColour(key, $event)"
        />
        <p v-if="plan.mix.outOfReach" class="mb-3 rounded-xl bg-look-soft px-4 py-2.5 text-[0.92rem]">
          {{ OUT_OF_REACH[plan.mix.outOfReach] }} The nearest is taken.
        </p>
        <div class="mt-3 grid max-w-md grid-cols-4 gap-5">
          <QuantityField
            :schema="colourSchema.steps"
            :model-value="decoration.colour.steps"
            data-testid="shades"
            @update:model-value="
              editDecoration('shades', ({ colour }) => {
                colour.steps = $event
              })
            "
          />
          <QuantityField
            v-for="side in tray"
            :key="side"
            :schema="colourSchema.tray.shape[side]"
            :model-value="decoration.colour.tray[side]"
            @update:model-value="
              editDecoration('tray', ({ colour }) => {
                colour.tray[side] = $event
              })
            "
          />
        </div>
      </section>
      <section class="grid content-start gap-2.5">
        <p v-if="bath" class="rounded-xl bg-paper-deep px-4 py-3 text-[0.9rem]">
          Swatches are predictions from starting values and may be off by a clear shade. Dip a strip, dry it, hold it
          against the cake before the batch. Film takes up <FigureLink :working="bath.uptakeMl" /> in all;
          {{ printQuantity(bath.totalDrops.value, 'count', preferences.units) }} drops go in.
        </p>
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
    <DishSection class="mt-7" :first="perDish.length + 1" />
    <ColouringSection class="mt-7" />
    <DyeShelf class="mt-7" />
    <MixtureSection />
  </div>
</template>
