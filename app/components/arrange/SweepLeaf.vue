<script setup lang="ts">
import { LayoutGrid, Shuffle, Sparkles, Trash2 } from '@lucide/vue'
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { stackHeightMm, stackTiers } from '#core/cake'
import { sweepSchema, type Sweep } from '#core/compose'
import { startingSweep } from '#core/plan'
import { soakedSail } from '#core/technique'
import CautionList from '~/components/ui/CautionList.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import QuantitySlider from '~/components/ui/QuantitySlider.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { usePlanned } from '~/composables/planned'
import AccentSection from './AccentSection.vue'
import ElementBar from './ElementBar.vue'
import PortionMix from './PortionMix.vue'
import QuietSection from './QuietSection.vue'
import SideEditor from './SideEditor.vue'

const { plan, cake, decoration, editOption, editDecoration, cautionsOn } = usePlanned()
const cautions = cautionsOn('arrange')
const NEXT_SEED = 37
const SEEDS = 1_000_000

const sliders = ['seenHeightMm', 'overlap', 'taper', 'irregularity'] as const
const ends = ['fromAngleDeg', 'fromHeightMm', 'toAngleDeg', 'toHeightMm'] as const
const arrangement = computed(() => plan.value.arrangement)

const setSweep = (key: Exclude<keyof Sweep, 'seed'>, value: number): void =>
  editDecoration(
    sweepSchema.shape[key].meta()!.label as string,
    ({ sweep }) => {
      sweep[key] = value
    },
    `sweep ${key}`,
  )
const shuffle = (): void =>
  editDecoration('shuffle', ({ sweep }) => {
    sweep.seed = (sweep.seed + NEXT_SEED) % SEEDS
  })
const addSweep = (): void =>
  editOption('add a sweep', (option) => {
    option.decorations = [startingSweep(stackHeightMm(stackTiers(cake.value)))]
  })
const removeSweep = (): void =>
  editOption('remove the sweep', (option) => {
    option.decorations = []
  })
</script>

<template>
  <div v-if="!decoration" class="grid max-w-xl content-start gap-4">
    <LeafHeading title="Nothing on the cake yet"
      >A sweep of soaked sails climbs round the side: translucent rice film, folded wet and dried hard. Lay one on and
      pull it where you want it; pieces, discs, colour and hours follow.</LeafHeading
    >
    <p class="flex flex-wrap gap-2">
      <button type="button" class="button button-go" data-testid="add-sweep" @click="addSweep">
        <Sparkles class="size-4.5" aria-hidden="true" />Lay a sweep of soaked sails
      </button>
      <NuxtLink class="button" to="/beginnings" data-testid="see-beginnings"
        ><LayoutGrid class="size-4.5" aria-hidden="true" />Composed beginnings</NuxtLink
      >
    </p>
    <p class="text-[0.9rem] text-ink-soft">
      Rice film is not wafer paper: it is soaked to be worked and dries like glass. Wafer paper would dissolve.
    </p>
  </div>
  <div v-else>
    <div class="flex items-start justify-between gap-4">
      <LeafHeading title="A sweep of soaked sails">
        <FigureLink :working="arrangement.count" :after="arrangement.count.value === 1 ? ' sail' : ' sails'" />, give or
        take <FigureLink :working="arrangement.countSpread" /> as the hand falls, along
        <FigureLink :working="arrangement.sweepLength" /> of the cake. Pull the ends and the heart.
      </LeafHeading>
      <div class="flex shrink-0 gap-1.5">
        <button type="button" class="button" title="Other folds and places, same counts" @click="shuffle">
          <Shuffle class="size-4.5" aria-hidden="true" />Shuffle
        </button>
        <button type="button" class="button px-3" aria-label="Remove the sweep" @click="removeSweep">
          <Trash2 class="size-4.5" aria-hidden="true" />
        </button>
      </div>
    </div>
    <div class="grid gap-x-8 gap-y-3 md:grid-cols-[1fr_12.5rem]">
      <SideEditor />
      <div class="grid grid-cols-2 content-center gap-x-7 gap-y-2 md:grid-cols-1">
        <QuantitySlider
          v-for="key in sliders"
          :key="key"
          :schema="sweepSchema.shape[key]"
          :model-value="decoration.sweep[key]"
          :data-testid="`sweep-${key}`"
          @update:model-value="setSweep(key, $event)"
        />
      </div>
    </div>
    <ElementBar class="mt-2" called="sails" />
    <div class="mt-4 grid gap-x-10 gap-y-5 lg:grid-cols-[1.9fr_1fr]">
      <PortionMix />
      <div class="grid content-start gap-2.5"><CautionList :cautions="cautions" /></div>
    </div>
    <div class="mt-5 grid gap-x-10 gap-y-5 md:grid-cols-2">
      <AccentSection follows="sails" />
      <QuietSection
        :quiet="decoration.quiet"
        first
        @edit="(label, change, merge) => editDecoration(label, ({ quiet }) => change(quiet), merge)"
      />
    </div>
    <details class="mt-5">
      <summary class="part-title font-display font-semibold">Ends, foot and gather, by number</summary>
      <div class="mt-3 grid grid-cols-2 gap-x-7 gap-y-3 md:grid-cols-4">
        <QuantityField
          v-for="key in ends"
          :key="key"
          :schema="sweepSchema.shape[key]"
          :label="
            {
              fromAngleDeg: 'Begins, from the front',
              fromHeightMm: 'Begins, above the board',
              toAngleDeg: 'Ends, from the front',
              toHeightMm: 'Ends, above the board',
            }[key]
          "
          hide-help
          :model-value="decoration.sweep[key]"
          @update:model-value="setSweep(key, $event)"
        />
        <QuantityField
          :schema="soakedSail.parameters.shape.insertionMm"
          :model-value="decoration.sail.insertionMm"
          @update:model-value="
            editDecoration('foot', ({ sail }) => {
              sail.insertionMm = $event
            })
          "
        />
        <QuantityField
          :schema="soakedSail.parameters.shape.gather"
          :model-value="decoration.sail.gather"
          @update:model-value="
            editDecoration('gather', ({ sail }) => {
              sail.gather = $event
            })
          "
        />
        <label class="flex items-center gap-2.5 self-center"
          ><input
            type="checkbox"
            class="size-5 accent-(--go)"
            :checked="decoration.sail.skewered"
            @change="
              editDecoration('skewers', ({ sail }) => {
                sail.skewered = ($event.target as HTMLInputElement).checked
              })
            "
          />A skewer rolled into each foot</label
        >
      </div>
    </details>
  </div>
</template>
