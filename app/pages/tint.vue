<script setup lang="ts">
import { computed } from 'vue'
import { sailSweepSchema } from '#core/plan'
import { dishLabels } from '#core/draw'
import { shadeRange } from '#core/learn'
import { DROP_ML } from '#core/material'
import { printQuantity } from '#core/quantity'
import { SOAKED_FILM, type OutOfReach } from '#core/tint'
import CautionList from '~/components/ui/CautionList.vue'
import DyeShelf from '~/components/tint/DyeShelf.vue'
import MixtureSection from '~/components/tint/MixtureSection.vue'
import LeafHeading from '~/components/ui/LeafHeading.vue'
import SheetPrint from '~/components/ui/SheetPrint.vue'
import QuantityField from '~/components/ui/QuantityField.vue'
import FigureLink from '~/components/working/FigureLink.vue'
import { useLit } from '~/components/stand/lit'
import { usePlanned } from '~/composables/planned'
import { usePreferences } from '~/stores/preferences'

const { commission, plan, decoration, editDecoration, cautionsOn } = usePlanned()
const preferences = usePreferences()
const lit = useLit()
const cautions = cautionsOn('tint')
const DROPS_TO_SPOON = 30

const colourSchema = sailSweepSchema.shape.colour.shape
const bath = computed(() => plan.value.bath)
const perDish = computed(() => (bath.value?.steps ?? []).map((step) => ({
  step,
  range: shadeRange(step.inBath, plan.value.dyes, SOAKED_FILM),
  pieces: plan.value.cutList.pieces.filter(({ shade }) => shade === step.shade),
  sails: plan.value.arrangement.sails.filter(({ shade }) => shade === step.shade).map(({ place }) => place.index),
})))

/** For more drops than anybody counts, the volume to measure instead. */
const volumeText = (drops: number): string => drops > DROPS_TO_SPOON ? printQuantity(drops * DROP_ML, 'volume', preferences.units) : ''

const ends = [{ key: 'heart', name: 'At the heart' }, { key: 'tail', name: 'At the tail' }] as const
const setColour = (key: 'heart' | 'tail', hex: string): void => editDecoration(`colour ${key}`, ({ colour }) => { colour[key] = hex }, `colour ${key}`)
/** Cards to lay before the dishes. */
const labels = computed(() => [dishLabels(`${commission.value.brief.name}: dishes in the order of work`, perDish.value.map(({ step, pieces }) => ({
  place: step.shade + 1, name: `${step.shade === 0 ? 'into' : 'then to'} ${printQuantity(step.volumeMl, 'volume', preferences.units)}`, hex: step.predictedHex,
  doses: plan.value.dyes.flatMap(({ dye: { id, name } }) => { const drops = step.wholeDrops[id] ?? 0; return drops > 0 ? [`${name} ${drops} ${drops === 1 ? 'drop' : 'drops'}`] : [] }),
  pieces: `dip ${pieces.map(({ number }) => number).join(', ') || 'nothing'}`,
})))])

/** Why the colour asked for does not come. */
const OUT_OF_REACH: Readonly<Record<OutOfReach, string>> = { paler: 'It is paler than bare film on white: nothing paler can be dyed.', deeper: 'It is deeper than the strongest bath makes film.', purer: 'It is purer than these dyes mix; a dye of nearly that hue comes nearer.' }

const tray = ['lengthMm', 'widthMm', 'depthMm'] as const
</script>

<template>
  <div v-if="!bath || !decoration">
    <LeafHeading title="Nothing to tint yet">Lay a sweep of sails in Arrange, and its bath appears here, step by step.</LeafHeading>
    <MixtureSection />
  </div>
  <div v-else>
    <LeafHeading title="One bath, pale first">
      Begin with <FigureLink :working="bath.startMl" /> of boiled, cooled water. Dip the palest pieces, add colour, dip the next. Each dose allows for what the pieces before carried away; <FigureLink :working="bath.leftMl" /> is left at the end.
    </LeafHeading>
    <ol class="grid gap-4 sm:grid-cols-2 lg:flex lg:gap-0" data-testid="dishes">
      <li
        v-for="{ step, range, pieces, sails } in perDish" :key="step.shade" class="flex gap-4 lg:min-w-0 lg:flex-1 lg:flex-col lg:gap-2 lg:px-2"
        @pointerenter="lit.hoverMany('sail', sails)" @pointerleave="lit.leave()"
      >
        <div class="relative size-24 shrink-0 rounded-full border-[5px] border-paper-deep shadow-[inset_0_3px_10px_rgb(70_40_30/0.3),0_3px_10px_-3px_rgb(70_40_30/0.35)] lg:mx-auto lg:size-32" :style="{ background: step.predictedHex }">
          <span class="absolute -top-1 -left-1 grid size-8 place-items-center rounded-full bg-paper font-display text-lg font-semibold shadow">{{ step.shade + 1 }}</span>
        </div>
        <div class="lg:text-center">
          <p class="text-[0.82rem] text-ink-soft">{{ step.shade === 0 ? 'into clear water' : 'then add' }}</p>
          <template v-for="{ dye } in plan.dyes" :key="dye.id"><p v-if="(step.wholeDrops[dye.id] ?? 0) > 0" class="font-display text-[1.05rem] leading-snug font-semibold">{{ dye.name }} {{ step.wholeDrops[dye.id] }} {{ step.wholeDrops[dye.id] === 1 ? 'drop' : 'drops' }}<span v-if="volumeText(step.wholeDrops[dye.id]!)" class="font-text ml-1.5 inline-block text-[0.82rem] font-normal whitespace-nowrap text-ink-soft">{{ volumeText(step.wholeDrops[dye.id]!) }}</span></p></template>
          <p class="mt-1 text-[0.86rem]">exactly <FigureLink :working="step.exactDrops" /></p>
          <p class="mt-1 text-[0.86rem] text-ink-soft">dip {{ pieces.length }} {{ pieces.length === 1 ? 'piece' : 'pieces' }}<template v-if="pieces.length > 0">: {{ pieces.map(({ number }) => number).join(', ') }}</template></p>
          <p class="text-[0.86rem] text-ink-soft">dries to {{ step.predictedHex }}</p>
          <p class="mt-1 flex items-center gap-1 text-[0.8rem] text-ink-soft lg:justify-center">between<span v-for="(hex, end) in range" :key="end" class="size-4 rounded-full border border-line" :style="{ background: hex }" :title="hex" /></p>
        </div>
      </li>
    </ol>
    <div class="mt-7 grid gap-x-10 gap-y-6 md:grid-cols-[1.4fr_1fr]">
      <section>
        <h2 class="part-title mb-2">Colours of the sweep</h2>
        <fieldset v-for="{ key, name } in ends" :key="key" class="mb-3">
          <legend class="text-[0.8rem] text-ink-soft">{{ name }}</legend>
          <div class="mt-1 flex flex-wrap items-center gap-2">
            <button
              v-for="each in commission.palette" :key="each.name" type="button" class="flex items-center gap-1.5 rounded-full py-1 pr-3 pl-1 text-[0.9rem]"
              :class="decoration.colour[key] === each.colour ? 'bg-go-soft ring-2 ring-go' : 'bg-paper-deep'" :aria-pressed="decoration.colour[key] === each.colour" @click="setColour(key, each.colour)"
            ><span class="size-7 rounded-full shadow-inner" :style="{ background: each.colour }" aria-hidden="true" />{{ each.name }}</button>
            <label class="flex items-center gap-1.5 text-[0.9rem]"><input type="color" class="h-9 w-10 rounded-lg border-0 bg-transparent p-0" :value="decoration.colour[key]" @change="setColour(key, ($event.target as HTMLInputElement).value)">another</label>
          </div>
        </fieldset>
        <p v-if="plan.mix.outOfReach" class="mb-3 rounded-xl bg-look-soft px-4 py-2.5 text-[0.92rem]">{{ OUT_OF_REACH[plan.mix.outOfReach] }} The nearest is taken.</p>
        <div class="grid max-w-md grid-cols-4 gap-5">
          <QuantityField :schema="colourSchema.steps" :model-value="decoration.colour.steps" data-testid="shades" @update:model-value="editDecoration('shades', ({ colour }) => { colour.steps = $event })" />
          <QuantityField v-for="side in tray" :key="side" :schema="colourSchema.tray.shape[side]" :model-value="decoration.colour.tray[side]" @update:model-value="editDecoration('tray', ({ colour }) => { colour.tray[side] = $event })" />
        </div>
      </section>
      <section class="grid content-start gap-2.5">
        <p class="rounded-xl bg-paper-deep px-4 py-3 text-[0.9rem]">Swatches are predictions from starting values and may be off by a clear shade. Dip a strip, dry it, hold it against the cake before the batch. Film takes up <FigureLink :working="bath.uptakeMl" /> in all; {{ printQuantity(bath.totalDrops.value, 'count', preferences.units) }} drops go in.</p>
        <CautionList :cautions="cautions" />
        <details><summary class="figure-link w-fit list-none text-[0.92rem]">Print labels for the dishes</summary><div class="mt-2 max-w-72"><SheetPrint :sheets="labels" :title="`${commission.brief.name}: dishes`" :name="commission.brief.name" ending="-dishes" mark="dishes" /></div></details>
      </section>
    </div>
    <DyeShelf class="mt-7" />
    <MixtureSection />
  </div>
</template>
